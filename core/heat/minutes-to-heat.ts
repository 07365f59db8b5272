import { finite, positive } from '../check';
import { type HeatPart, mixTempC } from './mix-temp-c';

/**
 * Minutes to bring what is mixed together to a temperature, with nothing lost on the way.
 *
 * @param parts kg, kJ/kg·K, °C; they are mixed first
 * @param toC the temperature wanted, °C
 * @param netPowerW what reaches the food, above 0
 * @returns minutes; 0 if the mix is already there
 * @throws RangeError naming the bad argument
 * @example minutesToHeat({ parts: [{ massKg: 20, specificHeatKJ: 4.19, tempC: 15 }], toC: 100, netPowerW: 2400 }) // => 49.465
 * @source heat balance
 */
export function minutesToHeat(input: { parts: readonly HeatPart[]; toC: number; netPowerW: number }): number {
  const power = positive('netPowerW', input.netPowerW);
  const rise = finite('toC', input.toC) - mixTempC({ parts: input.parts });
  const capacityKJ = input.parts.reduce((sum, part) => sum + part.massKg * part.specificHeatKJ, 0);
  return rise <= 0 ? 0 : (capacityKJ * rise * 1000) / power / 60;
}
