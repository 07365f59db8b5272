import { atLeast } from '../check';
import { latentHeatKJPerKg } from '../heat';

/**
 * Steam a pot at the boil gives off: all the heat that is left over turns water into steam.
 *
 * @param netPowerW heat reaching the pot less what its wall loses, 0 or more
 * @param tempC the boiling temperature, 0..150 °C
 * @returns kg per hour
 * @throws RangeError naming the bad argument
 * @example boilOffKgPerHour({ netPowerW: 3000, tempC: 100 }) // => 4.786
 * @source heat balance; latent heat from steam tables
 */
export function boilOffKgPerHour({ netPowerW, tempC }: { netPowerW: number; tempC: number }): number {
  return (3.6 * atLeast('netPowerW', netPowerW, 0)) / latentHeatKJPerKg({ tempC });
}
