import type { Ingredient } from '../matter';
import type { UnitSystem } from '../units';
import { type IngredientNames, ingredientNames } from './ingredient-names';

/** What a line is read against: the table with its names, and the kitchen's cups and pints. */
export interface ReadingTable {
  ingredients: Readonly<Record<string, Ingredient>>;
  names: IngredientNames;
  system: UnitSystem;
  /** foods that lines were saved with, and how they read then, by the id of the line */
  saved?: ReadonlyMap<string, { text: string; ingredientId: string }>;
}

/** A table ready to read against; make it once and keep it. */
export function readingTable(
  ingredients: Readonly<Record<string, Ingredient>>,
  system: UnitSystem = 'metric',
): ReadingTable {
  return { ingredients, names: ingredientNames(Object.values(ingredients)), system };
}
