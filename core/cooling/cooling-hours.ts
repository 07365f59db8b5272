import { finite, positive } from '../check';

/** W/m·K and m²/s of soup. source: from memory: watery foods 0.55 to 0.62 and 1.4 ·10⁻⁷ */
const CONDUCTIVITY_W_PER_MK = 0.6;
const DIFFUSIVITY_M2_PER_S = 1.4e-7;

/**
 * Hours a soup takes to cool from one temperature to another.
 *
 * `pan`: a covered pan as a slab with a film coefficient on both faces; the centre passes `fromC`, then `toC`, having
 * been uniform at `startC` to begin with. `newton`: stirred, with a constant per hour from its first readings.
 *
 * @param depthCm of the soup, above 0; filmWm2K: still walk-in 10, fan 20, blast 40
 * @param fromC,toC,airC °C; toC above airC
 * @param startC uniform at the start, default fromC, not below it
 * @param perHour Newton's constant, 1/h, above 0
 * @returns hours; 0 if toC is at or above fromC
 * @throws RangeError naming the bad argument; toC at or below the air
 * @example coolingHours({ how: 'pan', depthCm: 5, filmWm2K: 10, startC: 90, fromC: 57, toC: 21, airC: 4 }) // => 3.87
 * @source published: Carslaw and Jaeger, slab with surface resistance; properties from memory
 */
export function coolingHours(
  input:
    | {
        how: 'pan';
        depthCm: number;
        filmWm2K: number;
        fromC: number;
        toC: number;
        airC: number;
        startC?: number;
      }
    | { how: 'newton'; perHour: number; fromC: number; toC: number; airC: number },
): number {
  const from = finite('fromC', input.fromC);
  const to = finite('toC', input.toC);
  const air = finite('airC', input.airC);
  if (to <= air) throw new RangeError(`toC must be above airC ${air}, got ${to}`);
  if (input.how === 'newton') {
    const perHour = positive('perHour', input.perHour);
    return to >= from ? 0 : Math.log((from - air) / (to - air)) / perHour;
  }
  if (input.how !== 'pan') {
    throw new RangeError(`how must be pan or newton, got ${String((input as { how: string }).how)}`);
  }
  const halfM = positive('depthCm', input.depthCm) / 200;
  const biot = (positive('filmWm2K', input.filmWm2K) * halfM) / CONDUCTIVITY_W_PER_MK;
  const start = finite('startC', input.startC ?? from);
  if (start < from) throw new RangeError(`startC must not be below fromC ${from}, got ${start}`);
  if (to >= from) return 0;
  const terms = slabTerms(biot);
  const fourierAt = (tempC: number) => fourierWhen(terms, (tempC - air) / (start - air));
  return ((fourierAt(to) - fourierAt(from)) * halfM * halfM) / DIFFUSIVITY_M2_PER_S / 3600;
}

interface SlabTerm {
  rootSquared: number;
  coefficient: number;
}

/** Roots of β tan β = Bi, one in each half period, and the coefficient of each at the slab's middle plane. */
function slabTerms(biot: number): SlabTerm[] {
  const terms: SlabTerm[] = [];
  for (let n = 0; n < 40; n++) {
    let low = n * Math.PI;
    let high = low + Math.PI / 2;
    for (let round = 0; round < 80; round++) {
      const middle = (low + high) / 2;
      if (middle * Math.sin(middle) * (n % 2 ? -1 : 1) < biot * Math.cos(middle) * (n % 2 ? -1 : 1))
        low = middle;
      else high = middle;
    }
    const root = (low + high) / 2;
    const sine = Math.sin(root);
    terms.push({
      rootSquared: root * root,
      coefficient: (2 * sine) / (root + sine * Math.cos(root)),
    });
  }
  return terms;
}

/** Fourier number at which the middle plane has fallen to a share of its start above the air. */
function fourierWhen(terms: readonly SlabTerm[], share: number): number {
  if (share >= 1) return 0;
  const shareAt = (fourier: number) =>
    terms.reduce((sum, term) => sum + term.coefficient * Math.exp(-term.rootSquared * fourier), 0);
  let low = 0;
  let high = 1;
  while (shareAt(high) > share) high *= 2;
  for (let round = 0; round < 80; round++) {
    const middle = (low + high) / 2;
    if (shareAt(middle) > share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
