import { within } from '../check';

/**
 * Air pressure at an altitude in the standard atmosphere.
 *
 * @param altitudeM metres above sea level, -500..9000
 * @returns kPa
 * @throws RangeError outside -500..9000
 * @example airPressureKPa({ altitudeM: 1240 }) // => 87.29
 * @source published: ICAO standard atmosphere, p = 101.325 (1 − 2.25577·10⁻⁵ h)^5.25588
 */
export function airPressureKPa({ altitudeM }: { altitudeM: number }): number {
  within('altitudeM', altitudeM, -500, 9000);
  return 101.325 * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}
