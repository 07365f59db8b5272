import { atLeast, finite, within } from '../check';
import { airPressureKPa, boilingPointC, latentHeatKJPerKg, saturation, saturationPressureKPa } from '../heat';

import { LID_FACTOR, type Lid, STILL_AIR_COEFFICIENT } from './data/evaporation-constants';

/**
 * Steam leaving a hot surface below the boil, in still air. The pool form is for lukewarm water; the logarithm is
 * the vapour's own outflow, which takes over near the boil, where the loss grows without bound and the burner
 * decides instead.
 *
 * @param areaM2 free surface, 0 or more
 * @param tempC surface temperature, 0 °C to just below boiling
 * @param lid 'off', 'ajar' (0.45 of it) or 'on' (0.1)
 * @param airTempC kitchen air, default 25 °C
 * @param relativeHumidity 0..1, default 0.5
 * @param altitudeM metres, default 0
 * @returns kg per hour, 0 where the air is moister than the surface
 * @throws RangeError naming the bad argument; at or above boiling
 * @example surfaceLossKgPerHour({ areaM2: 1, tempC: 90, lid: 'off' }) // => 16.56
 * @source published: ASHRAE Applications (natatoriums) for the pool form; Stefan flow for the outflow factor;
 *   lid factors common practice
 */
export function surfaceLossKgPerHour(input: {
  areaM2: number;
  tempC: number;
  lid: Lid;
  airTempC?: number;
  relativeHumidity?: number;
  altitudeM?: number;
}): number {
  const area = atLeast('areaM2', input.areaM2, 0);
  const altitudeM = input.altitudeM ?? 0;
  const pressure = airPressureKPa({ altitudeM });
  const boiling = boilingPointC({ altitudeM });
  if (finite('tempC', input.tempC) >= boiling) {
    throw new RangeError(
      `tempC must be below boiling, ${boiling.toFixed(2)} °C at this altitude, got ${input.tempC}`,
    );
  }
  if (!Object.hasOwn(LID_FACTOR, input.lid)) {
    throw new RangeError(`lid must be off, ajar or on, got ${String(input.lid)}`);
  }
  const humidity = within('relativeHumidity', input.relativeHumidity ?? 0.5, 0, 1);
  const airVapour = humidity * saturationPressureKPa({ tempC: input.airTempC ?? 25 });
  const steam = surfaceSteam({ tempC: input.tempC, pressureKPa: pressure, airVapourKPa: airVapour });
  return (3600 * area * LID_FACTOR[input.lid] * steam.kWPerM2) / latentHeatKJPerKg({ tempC: input.tempC });
}

/**
 * The law above as the heat it carries off, kW/m² with the lid off, and how that grows, kW/(m²·K); pressures in kPa.
 * Unchecked: for the pot's balance, which asks it thousands of times.
 */
export function surfaceSteam(input: { tempC: number; pressureKPa: number; airVapourKPa: number }): {
  kWPerM2: number;
  kWPerM2K: number;
} {
  const vapour = saturation(input.tempC);
  if (vapour.kPa <= input.airVapourKPa) return { kWPerM2: 0, kWPerM2K: 0 };
  const room = input.pressureKPa - vapour.kPa;
  const strength = STILL_AIR_COEFFICIENT * input.pressureKPa;
  return {
    kWPerM2: strength * Math.log((input.pressureKPa - input.airVapourKPa) / room),
    kWPerM2K: (strength * vapour.kPaPerK) / room,
  };
}
