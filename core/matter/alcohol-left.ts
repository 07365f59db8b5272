import { within } from '../check';
import { ALCOHOL_RETENTION } from './data/alcohol-retention';

/** Exponent of the distillation law. source: from memory: distillation of dilute solutions, 8 to 11 */
const VOLATILITY = 9;

/**
 * Share of the alcohol left after boiling off a fraction of the liquid.
 *
 * @param boiledOff fraction of the liquid gone, 0..1
 * @returns 0..1; never call the rest alcohol-free
 * @throws RangeError outside 0..1
 * @example alcoholLeftByBoilOff({ boiledOff: 0.1 }) // => 0.3874
 * @source from memory: (1 − e)^K, K 8 to 11
 */
export function alcoholLeftByBoilOff({ boiledOff }: { boiledOff: number }): number {
  return (1 - within('boiledOff', boiledOff, 0, 1)) ** VOLATILITY;
}

/**
 * Share of the alcohol left after simmering and stirring for some minutes, between the table's rows.
 *
 * @param minutes 0..150 and beyond; the last row holds from there on
 * @returns 0..1
 * @throws RangeError below 0
 * @example alcoholLeftByMinutes({ minutes: 60 }) // => 0.25
 * @source published: USDA Table of Nutrient Retention Factors, release 6: alcohol, simmered and stirred
 */
export function alcoholLeftByMinutes({ minutes }: { minutes: number }): number {
  within('minutes', minutes, 0, Number.MAX_VALUE);
  let before: { minutes: number; left: number } = ALCOHOL_RETENTION[0];
  for (const row of ALCOHOL_RETENTION) {
    if (row.minutes >= minutes) {
      const span = row.minutes - before.minutes;
      const along = span === 0 ? 0 : (minutes - before.minutes) / span;
      return before.left + (row.left - before.left) * along;
    }
    before = row;
  }
  return before.left;
}
