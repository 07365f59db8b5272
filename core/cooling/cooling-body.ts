import { finite, positive } from '../check';
import { SOUP, SOUP_HEAT_JM3K } from './data/films';

/** So many modes of the slab are followed: the faster ones are gone within two minutes. */
const MODES = 6;

/** A mode that has died away by e to this is none: 10⁻⁹ of it is left. The slowest stays. */
const GONE = 20;

/**
 * Something that cools in a place of one temperature: a sum of parts that each die away at a rate of its own. Of a slab
 * they are its modes, of what is stirred there is one.
 */
export interface CoolingBody {
  airC: number;
  /** 1/h */
  ratesPerHour: readonly number[];
  /** each part's share of what the middle is above the air, K */
  centreK: readonly number[];
  /** and of what the mean is, K */
  meanK: readonly number[];
  /** roots of β tan β = Bi; absent of what is stirred */
  roots?: readonly number[];
}

/**
 * Soup at rest in a pan: a slab with the same film on both faces, as warm all through to begin with.
 *
 * @param depthCm of the soup, above 0
 * @param filmWm2K above 0
 * @param airC,tempC °C
 * @throws RangeError naming the bad argument
 * @source published: Carslaw and Jaeger, slab with surface resistance; properties of soup from memory
 */
export function slabBody(of: {
  depthCm: number;
  filmWm2K: number;
  airC: number;
  tempC: number;
}): CoolingBody {
  const { halfM, roots } = rootsOf(of.depthCm, of.filmWm2K);
  const aboveK = finite('tempC', of.tempC) - finite('airC', of.airC);
  const amplitudes = roots.map(
    (root) => (aboveK * 2 * Math.sin(root)) / (root + Math.sin(root) * Math.cos(root)),
  );
  return fromModes(of.airC, halfM, roots, amplitudes);
}

/**
 * Soup that is stirred: as warm all through, Newton's law.
 *
 * @param perHour above 0
 * @throws RangeError naming the bad argument
 */
export function stirredBody(of: { perHour: number; airC: number; tempC: number }): CoolingBody {
  const aboveK = finite('tempC', of.tempC) - finite('airC', of.airC);
  return {
    airC: of.airC,
    ratesPerHour: [positive('perHour', of.perHour)],
    centreK: [aboveK],
    meanK: [aboveK],
  };
}

/** °C in the middle after so many hours. */
export function centreC(body: CoolingBody, hours: number): number {
  return body.airC + summed(body.centreK, body.ratesPerHour, hours);
}

/** °C of all of it, were it stirred once, after so many hours. */
export function meanC(body: CoolingBody, hours: number): number {
  return body.airC + summed(body.meanK, body.ratesPerHour, hours);
}

/** The same body so many hours on. */
export function cooledFor(body: CoolingBody, hours: number): CoolingBody {
  const decay = body.ratesPerHour.map((rate) => Math.exp(-rate * hours));
  const after = (parts: readonly number[]) => parts.map((part, i) => part * decay[i]!);
  return { ...body, centreK: after(body.centreK), meanK: after(body.meanK) };
}

/** The same body begun warmer or colder: what it is above the air times so much. */
export function scaled(body: CoolingBody, factor: number): CoolingBody {
  const times = (parts: readonly number[]) => parts.map((part) => part * factor);
  return { ...body, centreK: times(body.centreK), meanK: times(body.meanK) };
}

/**
 * A slab set in another air without being stirred: it is as warm at each depth as it was. What was stirred is a slab from
 * here on.
 *
 * @source the old profile in the modes of the new place, each overlap of two cosines in closed form
 */
export function inOtherAir(
  body: CoolingBody,
  to: { depthCm: number; filmWm2K: number; airC: number },
): CoolingBody {
  if (!body.roots) return slabBody({ ...to, tempC: centreC(body, 0) });
  const { halfM, roots } = rootsOf(to.depthCm, to.filmWm2K);
  const shiftK = body.airC - to.airC;
  const was = body.roots.map((root) => ({ root, sine: Math.sin(root), cosine: Math.cos(root) }));
  const amplitudes = roots.map((root) => {
    const now = { root, sine: Math.sin(root), cosine: Math.cos(root) };
    const own = 1 / 2 + (now.sine * now.cosine) / (2 * root);
    const before = was.reduce((sum, old, i) => sum + body.centreK[i]! * overlap(old, now), 0);
    return (before + (shiftK * now.sine) / root) / own;
  });
  return fromModes(to.airC, halfM, roots, amplitudes);
}

/** Hours until the middle has fallen to a temperature; 0 where it has, null where the air is not colder than that. */
export function hoursUntil(body: CoolingBody, toC: number): number | null {
  const { ratesPerHour: rates, centreK } = body;
  const wantK = toC - body.airC;
  if (centreC(body, 0) <= toC) return 0;
  if (wantK <= 0) return null;
  // after its first minutes it falls along the slowest part, whose logarithm is straight; from there Newton needs few steps
  let hours = Math.max(0, Math.log(centreK[0]! / wantK) / rates[0]!);
  for (let round = 0; round < 12; round++) {
    let aboveK = 0;
    let perHourK = 0;
    for (let i = 0; i < rates.length && (i === 0 || rates[i]! * hours < GONE); i++) {
      const part = centreK[i]! * Math.exp(-rates[i]! * hours);
      aboveK += part;
      perHourK += part * rates[i]!;
    }
    const step = perHourK > 0 ? (aboveK * Math.log(aboveK / wantK)) / perHourK : 0.1 / rates[0]!;
    // where it has hardly begun to fall the tangent is flat: no further than the slowest part's own time
    const bounded = Math.min(step, 0.5 / rates[0]!);
    hours = Math.max(0, hours + bounded);
    // Newton doubles its digits: after a step of a second the rest is a thousandth of one
    if (Math.abs(step) < 3e-4) break;
  }
  return hours;
}

/** Newton's constant of soup stirred in a vessel whose floor and wetted wall give off heat, 1/h. */
export function stirredPerHour(of: { filmWm2K: number; depthCm: number; areaM2: number }): number {
  const depthM = positive('depthCm', of.depthCm) / 100;
  // a floor about as long as it is wide
  const wallPerM = 4 / Math.sqrt(positive('areaM2', of.areaM2));
  return (3600 * positive('filmWm2K', of.filmWm2K) * (1 / depthM + wallPerM)) / SOUP_HEAT_JM3K;
}

function fromModes(
  airC: number,
  halfM: number,
  roots: readonly number[],
  amplitudes: readonly number[],
): CoolingBody {
  const perHour = (3600 * SOUP.diffusivityM2S) / (halfM * halfM);
  return {
    airC,
    ratesPerHour: roots.map((root) => root * root * perHour),
    centreK: amplitudes,
    meanK: amplitudes.map((amplitude, i) => (amplitude * Math.sin(roots[i]!)) / roots[i]!),
    roots,
  };
}

/** Half the depth, and the roots of β tan β = Bi, one in each half period. */
function rootsOf(depthCm: number, filmWm2K: number): { halfM: number; roots: readonly number[] } {
  const halfM = positive('depthCm', depthCm) / 200;
  const biot = (positive('filmWm2K', filmWm2K) * halfM) / SOUP.conductivityWmK;
  const roots = rootsFor(biot);
  return { halfM, roots };
}

/** Roots found before: the same pan in the same air is asked about many times in one forecast. */
const found = new Map<number, readonly number[]>();
const MOST_FOUND = 64;

function rootsFor(biot: number): readonly number[] {
  const before = found.get(biot);
  if (before) return before;
  const roots = Array.from({ length: MODES }, (_, n) => rootAfter(n * Math.PI, biot));
  if (found.size >= MOST_FOUND) found.clear();
  found.set(biot, roots);
  return roots;
}

/** The root of β tan β = Bi in the half period that begins there: halved into reach, then by Newton. */
function rootAfter(from: number, biot: number): number {
  let low = 0;
  let high = Math.PI / 2;
  // counted from the half period's beginning sine and cosine are those of the first
  for (let round = 0; round < 7; round++) {
    const middle = (low + high) / 2;
    if ((from + middle) * Math.sin(middle) < biot * Math.cos(middle)) low = middle;
    else high = middle;
  }
  let rest = (low + high) / 2;
  for (let round = 0; round < 4; round++) {
    const [sine, cosine] = [Math.sin(rest), Math.cos(rest)];
    const root = from + rest;
    rest -= (root * sine - biot * cosine) / (sine + root * cosine + biot * sine);
  }
  return from + rest;
}

interface Wave {
  root: number;
  sine: number;
  cosine: number;
}

/** ∫ cos ax · cos bx over half the depth, which is 1; sines of sums and differences out of those of the roots. */
function overlap(a: Wave, b: Wave): number {
  const between = a.root - b.root;
  const plus = a.sine * b.cosine;
  const minus = a.cosine * b.sine;
  const apart = Math.abs(between) < 1e-9 ? 1 : (plus - minus) / between;
  return (apart + (plus + minus) / (a.root + b.root)) / 2;
}

function summed(parts: readonly number[], rates: readonly number[], hours: number): number {
  let sum = 0;
  for (let i = 0; i < parts.length && (i === 0 || rates[i]! * hours < GONE); i++)
    sum += parts[i]! * Math.exp(-rates[i]! * hours);
  return sum;
}
