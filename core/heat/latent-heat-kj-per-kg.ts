import { within } from '../check';
import { LATENT_HEAT_KJ_PER_KG, LATENT_HEAT_STEP_C } from './data/latent-heat';

/**
 * Heat that turns a kilogram of water into steam, read from the steam table between its rows.
 *
 * @param tempC 0..150 °C
 * @returns kJ/kg, within 0.1 % of steam tables
 * @throws RangeError outside 0..150
 * @example latentHeatKJPerKg({ tempC: 95 }) // => 2269.45
 * @source published: saturated-water steam tables
 */
export function latentHeatKJPerKg({ tempC }: { tempC: number }): number {
  const top = LATENT_HEAT_KJ_PER_KG.length - 1;
  const place = within('tempC', tempC, 0, top * LATENT_HEAT_STEP_C) / LATENT_HEAT_STEP_C;
  const row = Math.min(Math.floor(place), top - 1);
  const below = LATENT_HEAT_KJ_PER_KG[row]!;
  const above = LATENT_HEAT_KJ_PER_KG[row + 1]!;
  return below + (above - below) * (place - row);
}
