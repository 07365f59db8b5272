import type { Masses } from '../matter/masses';
import { totalKg } from '../matter/masses';
import { baseKind } from './base-recipe';

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
  const kg = totalKg(masses) - masses.fat - masses.starch;
  return kg > 0 ? (100 * (masses.protein + masses.sugars + masses.other + masses.salt)) / kg : 0;
}

/** A stock sets in the cold from this much gelatin, g in 100 g. source: from memory: gelatin sets from about 1 % */
export const SETS_FROM_GELATIN_PERCENT = 1;

/** How many times the usual strength of its kind a °Brix is; null for a kind that has none. */
export function timesStandard(brix: number, kindId: string | undefined): number | null {
  const standard = baseKind(kindId)?.standardBrix;
  return standard ? brix / standard : null;
}
