import { type Ingredient, massKg, volumeLitres, waterDensityKgPerL, whole } from '../matter';

import type { PotState } from './pot';

/** Bone, shell and skin weigh about so much, kg/L. Common practice. */
export const BONE_KG_PER_L = 1.3;

/** Bone, shell and skin with the edible kilograms of a food that goes in whole, kg; nothing with any other. */
export function bonesOf(ingredient: Ingredient, edibleKg: number): number {
  return ingredient.wholeInPot ? edibleKg / ingredient.yield - edibleKg : 0;
}

/** What the stick reads: litres in the pot, liquid, pieces and bones, at its temperature. */
export function potLitres(pot: PotState): number {
  return foodLitres(pot) + bonesLitres(pot);
}

/** What is served of it: litres of liquid and pieces, at its temperature. */
export function foodLitres(pot: PotState): number {
  return volumeLitres(whole(pot.mixture), pot.tempC);
}

/** Litres that bone, shell and skin take up. */
export function bonesLitres({ bonesKg = 0 }: PotState): number {
  return bonesKg / BONE_KG_PER_L;
}

/** Litres of liquid without pieces, at 20 °C: what thickness goes by. */
export function liquidLitres(pot: PotState): number {
  return volumeLitres(pot.mixture.liquid, 20);
}

/** Kilograms the pot will hold when its level has fallen to some litres by steam alone. */
export function massAtLitres(pot: PotState, litres: number): number {
  return massKg(pot.mixture) - (potLitres(pot) - litres) * waterDensityKgPerL({ tempC: pot.tempC });
}

/** Litres when steam has taken the pot down to a mass, kg: a kilogram of hot water is about 1.04 L. */
export function litresAtMass(pot: PotState, kg: number): number {
  return potLitres(pot) - (massKg(pot.mixture) - kg) / waterDensityKgPerL({ tempC: pot.tempC });
}
