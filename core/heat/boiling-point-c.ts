import { airPressureKPa } from './air-pressure-kpa';
import { saturationPressureKPa } from './saturation-pressure-kpa';

/**
 * Where water boils at an altitude: the temperature at which its saturation pressure meets the air's.
 *
 * @param altitudeM metres above sea level, -500..9000
 * @returns °C
 * @throws RangeError outside -500..9000
 * @example boilingPointC({ altitudeM: 1240 }) // => 95.85
 * @source published: standard atmosphere and the IAPWS saturation line
 */
export function boilingPointC({ altitudeM }: { altitudeM: number }): number {
  const pressure = airPressureKPa({ altitudeM });
  let low = 50;
  let high = 120;
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (saturationPressureKPa({ tempC: middle }) < pressure) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
