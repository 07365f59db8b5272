import { within } from '../check';
import { SPECIFIC_HEAT_KJ } from './data/component-properties';
import { type Masses, totalKg } from './masses';

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
  const total = totalKg(masses);
  if (!(total > 0 && total < Number.POSITIVE_INFINITY))
    throw new RangeError(`masses must hold something, got ${total} kg`);
  const { water, fat, protein, sugars, starch, other, salt, alcohol } = SPECIFIC_HEAT_KJ;
  // written out: a running pot asks this at every event
  const heat =
    masses.water * perKg(water, tempC) +
    masses.fat * perKg(fat, tempC) +
    masses.protein * perKg(protein, tempC) +
    masses.sugars * perKg(sugars, tempC) +
    masses.starch * perKg(starch, tempC) +
    masses.other * perKg(other, tempC) +
    masses.salt * perKg(salt, tempC) +
    masses.alcohol * perKg(alcohol, tempC);
  return heat / total;
}

function perKg(heat: readonly [number, number, number], tempC: number): number {
  return heat[0] + heat[1] * tempC + heat[2] * tempC * tempC;
}
