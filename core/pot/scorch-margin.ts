import { atLeast, positive, within } from '../check';

/**
 * Heat through the bottom that a pot takes before its floor catches, W/m², by thickness band when it is stirred often.
 * source: from memory, set so that water and stock boil on any ring, a velouté takes half a strong ring, a thick purée a
 * small flame: common practice in direction only
 */
const CATCHES_AT_W_PER_M2 = [120_000, 90_000, 65_000, 45_000, 30_000, 18_000, 10_000] as const;

/** Sugars and other solids catch too: each percent over five takes this share off. From memory. */
const PER_SOLIDS_PERCENT = 0.03;
const SOLIDS_FREE_PERCENT = 5;

/** Stirred this often the figures above hold; left longer, the floor bears less, to a half. Common practice in direction. */
const STIRRED_EVERY_MIN = 5;

/** Shallow soup has less to carry the heat off its floor: under this depth in proportion. From memory. */
const SHALLOW_CM = 4;

/**
 * How far the heat may still go before the floor catches: 2 means twice the present heat, 1 that it is at its limit,
 * under 1 that it catches. Shown as a margin, never as a promise: the nose decides.
 *
 * @param heatW what reaches the pot, W, 0 or more
 * @param bottomM2 the floor, m², above 0
 * @param band thickness band, 0..6
 * @param solidsPercent dissolved solids of the liquid, 0..100
 * @param depthCm of the liquid, 0 or more
 * @param stirEveryMin how often the bottom is scraped, min, above 0
 * @returns heat it bears over heat it gets; Infinity with the heat off
 * @throws RangeError naming the bad argument
 * @example scorchMargin({ heatW: 2400, bottomM2: 0.1, band: 0, solidsPercent: 3, depthCm: 20, stirEveryMin: 5 }) // => 5
 * @source from memory; direction common practice
 */
export function scorchMargin(of: {
  heatW: number;
  bottomM2: number;
  band: number;
  solidsPercent: number;
  depthCm: number;
  stirEveryMin: number;
}): number {
  const band = within('band', of.band, 0, CATCHES_AT_W_PER_M2.length - 1);
  const low = Math.min(Math.floor(band), CATCHES_AT_W_PER_M2.length - 2);
  const atLow = CATCHES_AT_W_PER_M2[low]!;
  const byBand = atLow + (band - low) * (CATCHES_AT_W_PER_M2[low + 1]! - atLow);
  const solids = within('solidsPercent', of.solidsPercent, 0, 100);
  const bySolids = 1 / (1 + PER_SOLIDS_PERCENT * Math.max(0, solids - SOLIDS_FREE_PERCENT));
  const byStirring = Math.min(
    1,
    Math.max(0.5, STIRRED_EVERY_MIN / positive('stirEveryMin', of.stirEveryMin)),
  );
  const byDepth = Math.min(1, atLeast('depthCm', of.depthCm, 0) / SHALLOW_CM);
  const getsWPerM2 = atLeast('heatW', of.heatW, 0) / positive('bottomM2', of.bottomM2);
  return getsWPerM2 === 0
    ? Number.POSITIVE_INFINITY
    : (byBand * bySolids * byStirring * byDepth) / getsWPerM2;
}
