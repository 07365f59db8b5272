import { baseKind } from '../bases';
import { type KitchenFoods, libraryOf, recipeAsIngredient } from '../book';
import { type Recipe, recipeIdOf, recipeRowId } from '../recipe';
import { contentsOfRow } from './contents-of-row';
import type { ReceivedFood } from './larder-event';
import { lifeOf } from './lots-of-batch';

/** Months a food keeps its taste frozen where nothing is said of it. Common practice. */
const FROZEN_MONTHS = 3;

/** What the table, the book and the prices say of a food as it comes in; null for one that is not known. */
export function receivedFoodOf(
  ingredientId: string,
  kitchen: KitchenFoods,
  book: readonly Recipe[],
): ReceivedFood | null {
  const library = libraryOf(kitchen, book);
  const recipe = library.recipes[recipeIdOf(ingredientId) ?? ''];
  if (recipe) {
    const { ingredient, centsPerKg } = recipeAsIngredient(recipe, library);
    const satisfies = [recipeRowId(recipe.id), ...(recipe.stocksAs ? [recipe.stocksAs] : [])];
    return {
      contents: contentsOfRow(ingredient, satisfies, recipe.base),
      centsPerKg,
      life: lifeOf(recipe),
      ...(recipe.best ? { best: recipe.best } : {}),
      frozenMonths: baseKind(recipe.base)?.frozenMonths ?? FROZEN_MONTHS,
    };
  }
  const row = library.ingredients[ingredientId];
  if (!row) return null;
  const isMade = row.kind === 'stock' && row.perKg.water > 0.5;
  return {
    contents: contentsOfRow(row),
    centsPerKg: library.pricesCentsPerKg[row.id] ?? 0,
    life: isMade ? { rule: 'dateMark' } : { rule: 'none' },
    frozenMonths: FROZEN_MONTHS,
  };
}
