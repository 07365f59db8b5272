import { type Masses, totalKg } from './masses';

/** What is dissolved, kg: all but water, fat, alcohol and starch. */
export function dissolvedKg(masses: Masses): number {
  return masses.protein + masses.sugars + masses.other + masses.salt;
}

/** What it is dissolved in, itself included, kg: a strained and defatted sample; flour and starch do not dissolve. */
export function solutionKg(masses: Masses): number {
  return totalKg(masses) - masses.fat - masses.starch;
}

/**
 * Degrees Brix of a strained, cooled, defatted sample: what is dissolved, g in 100 g. Starch and flour do not dissolve
 * and are left out; salt and wine count, so that it is no guide to strength once there is much of either.
 *
 * @param masses of the liquid, kg or kg per kg
 * @returns °Brix, 0..100; 0 for nothing
 * @source definition: g of dissolved solids in 100 g of solution, a refractometer's scale made for sugar
 *
 * @example brixOf({ water: 97, fat: 1, protein: 2, sugars: 0.5, starch: 0, other: 0.4, salt: 0.1, alcohol: 0 }) // => 3
 */
export function brixOf(masses: Masses): number {
  const kg = solutionKg(masses);
  return kg > 0 ? (100 * dissolvedKg(masses)) / kg : 0;
}
