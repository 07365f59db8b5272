import { finite, positive, within } from '../check';
import { type CoolingAir, FILM_WM2K, SOUP } from './data/films';

/** kJ to melt a kilogram of ice. source: published: steam tables, IAPWS */
const MELTING_J_PER_KG = 333_550;
const KG_PER_M3 = 1000;

/** Soup freezes a little below water, °C. From memory: −0.5 to −2. */
const FREEZES_AT_C = -1;

/** A tub is about as high as it is wide: the factors of a cube. source: published: Plank 1941 */
const CUBE = { film: 1 / 6, depth: 1 / 24 } as const;

/**
 * Hours that a frozen tub takes to thaw in the cold.
 *
 * @param litres in one tub, above 0
 * @param waterShare of it that was frozen, 0..1
 * @param airC of the place it thaws in, above −1 °C
 * @throws RangeError naming the bad argument
 * @example thawHours({ litres: 2, waterShare: 0.9, airC: 4, air: 'still' }) // => 53.405
 * @source published: Plank's equation, for a cube; heat reaches the ice through what has thawed
 */
export function thawHours(of: { litres: number; waterShare: number; airC: number; air: CoolingAir }): number {
  const edgeM = Math.cbrt(positive('litres', of.litres) / 1000);
  const drivingK = finite('airC', of.airC) - FREEZES_AT_C;
  if (drivingK <= 0) throw new RangeError(`airC must be above ${FREEZES_AT_C}, got ${of.airC}`);
  const meltingJM3 = KG_PER_M3 * MELTING_J_PER_KG * within('waterShare', of.waterShare, 0, 1);
  const resistance =
    (CUBE.film * edgeM) / FILM_WM2K[of.air] + (CUBE.depth * edgeM * edgeM) / SOUP.conductivityWmK;
  return ((meltingJM3 / drivingK) * resistance) / 3600;
}
