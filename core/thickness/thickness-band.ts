import { finite, within } from '../check';
import { BANDS } from './data/thickeners';

/**
 * The thickness band of a flour equivalent, 0 thin as water to 6 stands, linear between the knots.
 *
 * @param flourEquivalentGPerL g of flour per litre of liquid
 * @returns 0..6, clamped
 * @throws RangeError unless finite
 * @example thicknessBand({ flourEquivalentGPerL: 61 }) // => 3.5
 * @source knots in data/thickeners.ts
 */
export function thicknessBand(input: { flourEquivalentGPerL: number }): number {
  const f = finite('flourEquivalentGPerL', input.flourEquivalentGPerL);
  for (let band = 1; band < BANDS.length; band++) {
    const below = BANDS[band - 1]!.flourEquivalentGPerL;
    const above = BANDS[band]!.flourEquivalentGPerL;
    if (f < above) return Math.max(0, band - 1 + (f - below) / (above - below));
  }
  return BANDS.length - 1;
}

/**
 * The flour equivalent a band stands for: the inverse of `thicknessBand` inside its range.
 *
 * @param band 0..6
 * @returns g of flour per litre of liquid
 * @throws RangeError outside 0..6
 * @example flourEquivalentOfBand({ band: 3 }) // => 50
 * @source knots in data/thickeners.ts
 */
export function flourEquivalentOfBand(input: { band: number }): number {
  const band = within('band', input.band, 0, BANDS.length - 1);
  const below = Math.min(Math.floor(band), BANDS.length - 2);
  const low = BANDS[below]!.flourEquivalentGPerL;
  return low + (band - below) * (BANDS[below + 1]!.flourEquivalentGPerL - low);
}

/**
 * The words for a band, the nearest whole one.
 *
 * @param band 0..6
 * @returns the band's name
 * @throws RangeError outside 0..6
 * @example bandName(2.8) // => 'coats the spoon'
 * @source ours
 */
export function bandName(band: number): string {
  return BANDS[Math.round(within('band', band, 0, BANDS.length - 1))]!.name;
}
