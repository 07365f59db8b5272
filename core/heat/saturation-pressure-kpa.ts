import { within } from '../check';

const CRITICAL_K = 647.096;
const CRITICAL_KPA = 22064;

const A = [-7.85951783, 1.84408259, -11.7866497, 22.6807411, -15.9618719, 1.80122502] as const;

/**
 * Pressure at which water boils at a temperature.
 *
 * @param tempC 0..370 °C
 * @returns kPa
 * @throws RangeError outside 0..370
 * @example saturationPressureKPa({ tempC: 100 }) // => 101.418
 * @source published: Wagner and Pruss 1993, the saturation line adopted by IAPWS
 */
export function saturationPressureKPa({ tempC }: { tempC: number }): number {
  return saturation(within('tempC', tempC, 0, 370)).kPa;
}

/** The same line with its slope, kPa/K, unchecked: for the pot's balance, which asks it thousands of times. */
export function saturation(tempC: number): { kPa: number; kPaPerK: number } {
  const kelvin = tempC + 273.15;
  const t = 1 - kelvin / CRITICAL_K;
  const root = Math.sqrt(t);
  const t2 = t * t;
  const t3 = t2 * t;
  const sum =
    A[0] * t + A[1] * t * root + A[2] * t3 + A[3] * t3 * root + A[4] * t3 * t + A[5] * t3 * t3 * t * root;
  const slope =
    A[0] +
    1.5 * A[1] * root +
    3 * A[2] * t2 +
    3.5 * A[3] * t2 * root +
    4 * A[4] * t3 +
    7.5 * A[5] * t3 * t3 * root;
  const logRatio = (CRITICAL_K / kelvin) * sum;
  const kPa = CRITICAL_KPA * Math.exp(logRatio);
  return { kPa, kPaPerK: (-kPa / kelvin) * (logRatio + slope) };
}
