import { atLeast, positive } from '../check';

/** Bowls that go under the grill together. */
export interface PlannedLoad {
  portions: number;
  inMs: number;
  outMs: number;
}

/** Between one load out and the next in, min. Common practice: the tray is changed. */
const CHANGE_MIN = 0.5;

/**
 * Loads under a grill, timed back so that the last comes out when it is wanted.
 *
 * @param of portions 0 or more, whole; perLoad at least 1; minutes above 0; wantedMs when all are to be out
 * @returns the first load first; none of no portions
 * @throws RangeError naming the bad argument
 * @example grillLoads({ portions: 14, perLoad: 6, minutes: 4, wantedMs: 0 }).length // => 3
 */
export function grillLoads(of: {
  portions: number;
  perLoad: number;
  minutes: number;
  wantedMs: number;
}): PlannedLoad[] {
  const portions = atLeast('portions', of.portions, 0);
  const perLoad = atLeast('perLoad', of.perLoad, 1);
  const loadMs = positive('minutes', of.minutes) * 60_000;
  const count = Math.ceil(portions / perLoad);
  const everyMs = loadMs + CHANGE_MIN * 60_000;
  return Array.from({ length: count }, (_, i) => {
    const outMs = of.wantedMs - (count - 1 - i) * everyMs;
    return { portions: Math.min(perLoad, portions - i * perLoad), inMs: outMs - loadMs, outMs };
  });
}
