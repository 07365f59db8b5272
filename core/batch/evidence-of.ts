import { FIRST_GUESS_HEAT_FACTOR } from '../pot';

/** What is known of a share of heat, and one standard deviation of it. */
export interface KnownHeat {
  mean: number;
  sd: number;
}

/** A stretch has taught something where it left less than this share of the doubt it began with. */
const TAUGHT_BELOW = 0.9;
/** A test was made on purpose: however little of the doubt it took, it counts by that. */
export const TESTED_BELOW = 0.999;

/**
 * What readings alone have shown, with what was known before taken off again: added to what other batches have shown, the
 * first guess is counted once. Null where nothing was read, and so nothing learned.
 *
 * @param after as it ended
 * @param knew as it began; in results of before, the first guess
 * @param taughtBelow share of the doubt that must be left at most, 0..1
 * @source published: a normal prior and a normal likelihood multiply, precisions add
 */
export function evidenceOf(
  after: KnownHeat,
  knew: KnownHeat = FIRST_GUESS_HEAT_FACTOR,
  taughtBelow = TAUGHT_BELOW,
): KnownHeat | null {
  if (!(after.sd > 0) || after.sd >= taughtBelow * knew.sd) return null;
  const precision = 1 / after.sd ** 2 - 1 / knew.sd ** 2;
  const mean = (after.mean / after.sd ** 2 - knew.mean / knew.sd ** 2) / precision;
  return { mean, sd: Math.sqrt(1 / precision) };
}
