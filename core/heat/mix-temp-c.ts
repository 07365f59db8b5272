import { atLeast, positive, within } from '../check';
import { FROZEN_SPECIFIC_HEAT_KJ, FUSION_KJ_PER_KG } from './data/heat-constants';

/** Nothing is colder, °C; and nothing that is poured together in a kitchen hotter. */
const ABSOLUTE_ZERO_C = -273.15;
const HOTTEST_C = 400;

export interface HeatPart {
  massKg: number;
  /** kJ/kg·K of the thawed food */
  specificHeatKJ: number;
  tempC: number;
}

export interface MixPart extends HeatPart {
  frozen?: boolean;
  /** share of the frozen part that is water and has to melt, 0..1 */
  waterFraction?: number;
}

/**
 * Temperature that parts settle at when they are put together, with nothing lost to the air.
 *
 * @param parts mass in kg (0 or more, some in all), specific heat in kJ/kg·K (above 0), temperature in °C.
 *   from -273.15 to 400. A frozen part takes 2.1 kJ/kg·K below 0 °C and 334 kJ per kg of its water to melt.
 * @returns °C; 0 when there is not the heat to melt all that is frozen
 * @throws RangeError naming a bad part, or when there is nothing to mix
 * @example mixTempC({ parts: [{ massKg: 15, specificHeatKJ: 3.9, tempC: 92 }, { massKg: 3, specificHeatKJ: 3.43, tempC: 5 }] }) // => 78.99
 * @source heat balance; fusion 334 kJ/kg published
 */
export function mixTempC({ parts }: { parts: readonly MixPart[] }): number {
  let heatKJ = 0;
  let capacityKJ = 0;
  let anyFrozen = false;
  parts.forEach((part, i) => {
    const mass = atLeast(`parts[${i}].massKg`, part.massKg, 0);
    const capacity = mass * positive(`parts[${i}].specificHeatKJ`, part.specificHeatKJ);
    const temp = within(`parts[${i}].tempC`, part.tempC, ABSOLUTE_ZERO_C, HOTTEST_C);
    capacityKJ += capacity;
    if (part.frozen) {
      within(`parts[${i}].tempC`, temp, ABSOLUTE_ZERO_C, 0);
      const water = within(`parts[${i}].waterFraction`, part.waterFraction ?? 1, 0, 1);
      heatKJ += mass * (FROZEN_SPECIFIC_HEAT_KJ * temp - water * FUSION_KJ_PER_KG);
      anyFrozen = true;
    } else {
      heatKJ += capacity * temp;
    }
  });
  if (capacityKJ === 0)
    throw new RangeError(`parts must hold some mass, got ${parts.length} part(s) of 0 kg`);
  return anyFrozen && heatKJ < 0 ? 0 : heatKJ / capacityKJ;
}
