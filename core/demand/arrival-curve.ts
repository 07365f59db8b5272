import { within } from '../check';

/**
 * When in a service bowls are asked for: the share of them in each of as many equal parts of its time, adding up to 1.
 * Flat until services have shown another.
 */
export type ArrivalCurve = readonly number[];

/** A service is looked at in so many parts. Ours. */
export const CURVE_PARTS = 12;

export const FLAT_CURVE: ArrivalCurve = Array.from({ length: CURVE_PARTS }, () => 1 / CURVE_PARTS);

/** How a kitchen says that its guests come. */
export type Arrival = 'steady' | 'peaked' | 'together';

/** A service whose guests come as it says, before any was counted. From memory: a train empties into the room at once. */
export function curveSaid(arrival: Arrival): ArrivalCurve {
  const weights = FLAT_CURVE.map((_, i) => {
    const at = (i + 0.5) / CURVE_PARTS;
    if (arrival === 'steady') return 1;
    // up to a third of the time and down again; or most of it in the first fifth
    return arrival === 'peaked' ? (at < 1 / 3 ? at * 3 : (1 - at) * 1.5) : Math.exp(-at / 0.15);
  });
  const all = weights.reduce((sum, one) => sum + one, 0);
  return weights.map((one) => one / all);
}

/** As sure as so many bowls seen, before any were: what the kitchen says. From memory: about one service's worth. */
const SAID_COUNTS = 40;

/**
 * The share of a service's bowls that have been asked for by a moment of it.
 *
 * @param part of its time gone, 0..1
 * @returns 0..1, never falling
 */
export function arrivedBy(curve: ArrivalCurve, part: number): number {
  const at = within('part', part, 0, 1) * curve.length;
  const whole = Math.min(curve.length - 1, Math.floor(at));
  let sum = 0;
  for (let i = 0; i < whole; i++) sum += curve[i]!;
  return Math.min(1, sum + curve[whole]! * (at - whole));
}

/** The moment, as a part of the service's time, by which such a share has been asked for: the inverse of `arrivedBy`. */
export function whenArrived(curve: ArrivalCurve, share: number): number {
  let left = within('share', share, 0, 1);
  for (const [i, part] of curve.entries()) {
    if (part > 0 && left <= part) return (i + left / part) / curve.length;
    left -= part;
  }
  return 1;
}

/**
 * The curve that services have shown, drawn to what the kitchen says the fewer bowls were seen.
 *
 * @param counts bowls served in each part, added up over services
 * @param said how it says that they come; flat where it says nothing
 * @source published: a Dirichlet prior and multinomial counts add up
 */
export function learnedCurve(counts: readonly number[], said: ArrivalCurve = FLAT_CURVE): ArrivalCurve {
  const all = counts.reduce((sum, one) => sum + one, 0) + SAID_COUNTS;
  return counts.map((one, i) => (one + SAID_COUNTS * said[i]!) / all);
}
