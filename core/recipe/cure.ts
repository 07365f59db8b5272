import { atLeast, positive, within } from '../check';
import type { Ingredient } from '../matter';
import type { Cure } from './recipe';

/** Salt wanders through meat this fast, m²/s. source: from memory: 0.8 to 1.5·10⁻⁹ at 4 °C */
const SALT_DIFFUSIVITY = 1.2e-9;

/**
 * Salt of meat or fish after it has lain in brine or in plain water.
 *
 * Meat and brine go towards the same salt in the water of both; how far is the mean of a slab that takes it up on both
 * faces, by its whole series, so that half a minute counts as half a minute.
 *
 * @param saltPercent of the meat before, kg per 100 kg
 * @param waterPercent of the meat, kg per 100 kg
 * @param cure brine strength 0..26 %, hours 0 or above, kg of it to a kg of meat above 0, thickness above 0 cm
 * @returns salt after, kg per 100 kg of meat
 * @throws RangeError naming a bad argument
 * @example curedSaltPercent({ saltPercent: 0.15, waterPercent: 74, cure: { brinePercent: 5, hours: 12, liquidPerKg: 1, thicknessCm: 3 } }) // => 1.29
 * @source published: Crank, The Mathematics of Diffusion, plane sheet; mass balance; diffusivity from memory; water taken
 *   up is neglected
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
  return 100 * (saltKg + (evenSaltKg - saltKg) * takenUp(hours, thicknessCm));
}

/** Terms of the series; at the shortest time that is asked they still add up to a ten-thousandth. */
const MOST_TERMS = 400;

/** Share of the way to evenness that a slab has come on the average, 0..1. */
function takenUp(hours: number, thicknessCm: number): number {
  const fourier = (SALT_DIFFUSIVITY * hours * 3600) / (thicknessCm / 100) ** 2;
  let missing = 0;
  for (let n = 0; n < MOST_TERMS; n++) {
    const odd = ((2 * n + 1) * Math.PI) ** 2;
    const term = (8 / odd) * Math.exp(-odd * fourier);
    missing += term;
    if (term < 1e-9) break;
  }
  return hours === 0 ? 0 : Math.min(1, Math.max(0, 1 - missing));
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
