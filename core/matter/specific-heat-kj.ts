import { within } from '../check';
import { SPECIFIC_HEAT_KJ } from './data/component-properties';
import { COMPONENTS, type Masses } from './masses';

/**
 * Heat that warms a kilogram of a mixture by one degree.
 *
 * @param masses kg of each component, some in all
 * @param tempC 0..150 °C, default 50, the middle of a heat-up
 * @returns kJ/kg·K
 * @throws RangeError outside 0..150 °C or with nothing in it
 * @example specificHeatKJ({ ...NO_MASSES, water: 1 }, 50) // => 4.1853
 * @source published: Choi and Okos 1986; heats add by mass
 */
export function specificHeatKJ(masses: Masses, tempC = 50): number {
  within('tempC', tempC, 0, 150);
  let heat = 0;
  let total = 0;
  for (const component of COMPONENTS) {
    const kg = masses[component];
    const [at0, perC, perC2] = SPECIFIC_HEAT_KJ[component];
    heat += kg * (at0 + perC * tempC + perC2 * tempC * tempC);
    total += kg;
  }
  if (total <= 0) throw new RangeError(`masses must hold something, got ${total} kg`);
  return heat / total;
}
