import { within } from '../check';
import { saturationPressureKPa } from './saturation-pressure-kpa';

/** How far the day's air pressure strays from its mean at one place, one standard deviation, kPa. From memory. */
export const AIR_PRESSURE_SD_KPA = 1.5;

/** Boiling points that are somewhere on land, from the highest town to the lowest shore with its weather, °C. */
export const BOILING_POINTS_C = { from: 80, to: 102.5 } as const;

/**
 * How high a kitchen lies by the temperature at which its water boils: the pressure there, read backwards through the
 * standard atmosphere. The day's weather moves it, and so does the thermometer.
 *
 * @param tempC of water at a rolling boil, 80..102.5
 * @param thermometerSdC how far the thermometer may be off, °C; 0 for one that was checked on ice
 * @returns metres above sea level and one standard deviation
 * @throws RangeError outside 80..102.5
 * @example altitudeFromBoilingM({ tempC: 97.2 }).altitudeM // => 834
 * @source published: IAPWS saturation line and ICAO standard atmosphere, inverted
 */
export function altitudeFromBoilingM(of: { tempC: number; thermometerSdC?: number }): {
  altitudeM: number;
  sdM: number;
} {
  const { tempC } = of;
  within('tempC', tempC, BOILING_POINTS_C.from, BOILING_POINTS_C.to);
  const thermometerSdC = within('thermometerSdC', of.thermometerSdC ?? 0, 0, 5);
  const pressure = saturationPressureKPa({ tempC });
  const byWeatherM = heightM(pressure - AIR_PRESSURE_SD_KPA) - heightM(pressure + AIR_PRESSURE_SD_KPA);
  const byThermometerM =
    heightM(saturationPressureKPa({ tempC: tempC - thermometerSdC })) -
    heightM(saturationPressureKPa({ tempC: tempC + thermometerSdC }));
  return { altitudeM: heightM(pressure), sdM: Math.hypot(byWeatherM, byThermometerM) / 2 };
}

/** Where the standard atmosphere has a pressure, m. */
function heightM(pressureKPa: number): number {
  return (1 - (pressureKPa / 101.325) ** (1 / 5.25588)) / 2.25577e-5;
}
