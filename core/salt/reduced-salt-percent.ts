import { within } from '../check';

/** By so much less food may be called reduced in salt. source: published: Regulation (EC) No 1924/2006, annex; from memory */
const LESS = 0.25;

/**
 * The salt of a dish that is to be called reduced in salt.
 *
 * @param percent of the dish as it usually is, 0..5
 * @returns percent, to a hundredth, never more than may be
 * @example reducedSaltPercent(0.9) // => 0.67
 */
export const reducedSaltPercent = (percent: number): number =>
  Math.floor(within('percent', percent, 0, 5) * (1 - LESS) * 100 + 1e-9) / 100;
