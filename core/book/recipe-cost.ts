import { positive } from '../check';
import type { Library, Recipe } from '../recipe';
import { prepareRecipe } from './prepare-recipe';

/**
 * What a portion costs as the recipe is written, trim loss included.
 *
 * @returns hundredths of the kitchen's money a portion
 * @throws RangeError for what is not in the library
 */
export function recipeCostPerPortionCents(recipe: Recipe, library: Library): number {
  const prepared = prepareRecipe(recipe, library);
  const portions = (positive('litres', recipe.litres) * 1000) / positive('portionMl', recipe.portionMl);
  const cents = prepared.recipe.lines.reduce((sum, line) => {
    const kg = line.scaling === 'perBowl' ? line.kg * portions : line.kg;
    const purchasedKg = kg / prepared.ingredients[line.ingredientId]!.yield;
    return sum + purchasedKg * (prepared.pricesCentsPerKg[line.ingredientId] ?? 0);
  }, 0);
  return cents / portions;
}

/** A dish that a change of price moves. */
export interface PriceMove {
  recipeId: string;
  name: string;
  beforeCents: number;
  afterCents: number;
}

/**
 * The dishes that new prices move, through any sub-recipe, the most moved first.
 *
 * @param changes hundredths a kg as purchased, by ingredient
 */
export function priceMoves(library: Library, changes: Readonly<Record<string, number>>): PriceMove[] {
  const after: Library = { ...library, pricesCentsPerKg: { ...library.pricesCentsPerKg, ...changes } };
  return Object.values(library.recipes)
    .map((recipe) => ({
      recipeId: recipe.id,
      name: recipe.name,
      beforeCents: recipeCostPerPortionCents(recipe, library),
      afterCents: recipeCostPerPortionCents(recipe, after),
    }))
    .filter((move) => Math.abs(move.afterCents - move.beforeCents) > 1e-6)
    .sort((a, b) => Math.abs(b.afterCents - b.beforeCents) - Math.abs(a.afterCents - a.beforeCents));
}
