import { within } from '../check';
import { airPressureKPa, boilingPointC, saturationPressureKPa } from '../heat';

/** The air of a kitchen, worked out once for all the pots in it. */
export interface KitchenAir {
  altitudeM: number;
  airTempC: number;
  relativeHumidity: number;
  pressureKPa: number;
  boilingC: number;
  vapourKPa: number;
}

/**
 * What the kitchen's height, warmth and moisture mean to a pot.
 *
 * @param altitudeM metres, -500..9000
 * @param airTempC 0..60, default 25
 * @param relativeHumidity 0..1, default 0.5
 * @returns pressure and vapour in kPa, the boiling point in °C
 * @throws RangeError naming the bad argument
 * @example kitchenAir({ altitudeM: 1240 }).boilingC // => 95.85
 * @source as boilingPointC and saturationPressureKPa
 */
export function kitchenAir(input: {
  altitudeM: number;
  airTempC?: number;
  relativeHumidity?: number;
}): KitchenAir {
  const { altitudeM } = input;
  const airTempC = within('airTempC', input.airTempC ?? 25, 0, 60);
  const relativeHumidity = within('relativeHumidity', input.relativeHumidity ?? 0.5, 0, 1);
  return {
    altitudeM,
    airTempC,
    relativeHumidity,
    pressureKPa: airPressureKPa({ altitudeM }),
    boilingC: boilingPointC({ altitudeM }),
    vapourKPa: relativeHumidity * saturationPressureKPa({ tempC: airTempC }),
  };
}
