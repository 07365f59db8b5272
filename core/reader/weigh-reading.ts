import type { Ingredient } from '../matter';
import type { UnitSystem } from '../units';
import { MEASURES, SIZE_SHARE, type WrittenUnit } from './data/measures';
import type { ParseWarning, Reading } from './reading';

/**
 * Grams of so many of a unit of an ingredient.
 *
 * @param count how many, 0 or more
 * @param unit as written; `each` is a plain count
 * @param ingredient whose densities, piece weight and own measures are used
 * @param system which cups, pints and spoons
 * @param size of counted things
 * @returns grams and whether that is edible already (a cup of cut onion is); null where the ingredient has no such
 *   measure; `isGuess` where the measure is a usual one and not the ingredient's own
 */
export function gramsOf(
  count: number,
  unit: WrittenUnit,
  ingredient: Ingredient,
  system: UnitSystem,
  size: keyof typeof SIZE_SHARE = 'medium',
): { grams: number; isEdible: boolean; isGuess: boolean } | null {
  if (unit === 'each') {
    const pieceG = ingredient.pieceG;
    if (pieceG === undefined) return null;
    return { grams: count * pieceG * SIZE_SHARE[size], isEdible: false, isGuess: false };
  }
  const own = ingredient.measures?.[unit];
  if (own !== undefined) return { grams: count * own * SIZE_SHARE[size], isEdible: false, isGuess: false };
  const measure = MEASURES[unit];
  if (measure.grams !== undefined) return { grams: count * measure.grams, isEdible: false, isGuess: false };
  if (measure.mL !== undefined) {
    const mL = typeof measure.mL === 'number' ? measure.mL : measure.mL[system];
    return { grams: count * mL * ingredient.looseKgPerL, isEdible: true, isGuess: false };
  }
  if (measure.usualG)
    return { grams: count * measure.usualG * SIZE_SHARE[size], isEdible: false, isGuess: true };
  return null;
}

/** Spoons, cups, litres: a measure that says how much room, not how heavy. */
export const isByVolume = (unit: WrittenUnit): boolean => unit !== 'each' && MEASURES[unit].mL !== undefined;

/** What a line comes to, g: of its own weights, or by the food's; a guess is told. */
export function weigh(of: {
  count: number;
  unit: WrittenUnit;
  ingredient: Ingredient;
  system: UnitSystem;
  size: Reading['size'];
  each: number | null;
  warnings: ParseWarning[];
}): { grams: number; isEdible: boolean } | null {
  if (of.each !== null) return { grams: of.count * of.each, isEdible: false };
  const weight = gramsOf(of.count, of.unit, of.ingredient, of.system, of.size ?? 'medium');
  if (weight?.isGuess && of.unit !== 'pinch' && of.unit !== 'tin') {
    of.warnings.push({
      kind: 'measure',
      measure: of.unit,
      name: of.ingredient.name,
      grams: weight.grams / of.count,
    });
  }
  return weight;
}
