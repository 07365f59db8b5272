import { within } from '../check';

/**
 * Density of water.
 *
 * @param tempC 0..150 °C
 * @returns kg/L
 * @throws RangeError outside 0..150
 * @example waterDensityKgPerL({ tempC: 20 }) // => 0.998204
 * @source published: Kell 1975, Journal of Chemical and Engineering Data
 */
export function waterDensityKgPerL({ tempC }: { tempC: number }): number {
  const t = within('tempC', tempC, 0, 150);
  const top =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))));
  return top / (1 + 16.87985e-3 * t) / 1000;
}
