import { atLeast, positive, within } from '../check';
import type { Ingredient } from '../matter';
import type { Cure } from './recipe';

/** Salt wanders through meat this fast, m²/s. source: from memory: 0.8 to 1.5·10⁻⁹ at 4 °C */
const SALT_DIFFUSIVITY = 1.2e-9;

/**
 * Salt of meat or fish after it has lain in brine or in plain water.
 *
 * Meat and brine go towards the same salt in the water of both; how far is a slab's first series term.
 *
 * @param saltPercent of the meat before, kg per 100 kg
 * @param waterPercent of the meat, kg per 100 kg
 * @param cure brine strength 0..26 %, hours 0 or above, kg of it to a kg of meat above 0, thickness above 0 cm
 * @returns salt after, kg per 100 kg of meat
 * @throws RangeError naming a bad argument
 * @example curedSaltPercent({ saltPercent: 0.15, waterPercent: 74, cure: { brinePercent: 5, hours: 12, liquidPerKg: 1, thicknessCm: 3 } }) // => 1.29
 * @source mass balance; diffusivity from memory; water taken up is neglected
 */
export function curedSaltPercent(of: { saltPercent: number; waterPercent: number; cure: Cure }): number {
  const { brinePercent, hours, liquidPerKg, thicknessCm } = of.cure;
  within('brinePercent', brinePercent, 0, 26.4);
  atLeast('hours', hours, 0);
  positive('liquidPerKg', liquidPerKg);
  positive('thicknessCm', thicknessCm);
  const saltKg = within('saltPercent', of.saltPercent, 0, 100) / 100;
  const waterKg = within('waterPercent', of.waterPercent, 0, 100) / 100;
  const brineSaltKg = (liquidPerKg * brinePercent) / 100;
  const evenSaltKg = ((saltKg + brineSaltKg) * waterKg) / (waterKg + liquidPerKg - brineSaltKg);
  const timeConstantS = (thicknessCm / 100) ** 2 / (Math.PI ** 2 * SALT_DIFFUSIVITY);
  const gone = 1 - (8 / Math.PI ** 2) * Math.exp((-hours * 3600) / timeConstantS);
  const share = hours === 0 ? 0 : Math.max(0, gone);
  return 100 * (saltKg + (evenSaltKg - saltKg) * share);
}

/** The food as it comes out of its brine or its soak: salt changed, water making up the rest. */
export function curedIngredient(ingredient: Ingredient, cure: Cure, id: string): Ingredient {
  const { water, salt } = ingredient.perKg;
  const after = curedSaltPercent({ saltPercent: salt * 100, waterPercent: water * 100, cure }) / 100;
  return {
    ...ingredient,
    id,
    name: `${ingredient.name}, ${cure.brinePercent > 0 ? 'brined' : 'soaked'}`,
    perKg: { ...ingredient.perKg, salt: after, water: Math.max(0, water + salt - after) },
  };
}
