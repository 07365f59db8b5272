import { TZDate } from '@date-fns/tz';
import { addDays, endOfDay } from 'date-fns';
import { baseKind } from '../core/bases';
import { recipeAsIngredient } from '../core/book';
import { contentsOfRow, type KeepingRules, lifeOf, type ReceivedFood } from '../core/larder';
import { type Recipe, recipeIdOf, recipeRowId } from '../core/recipe';
import { libraryOf } from './plan-input';
import type { KitchenView } from './views';

/** The kitchen's limits on keeping, its days ending where its own clock says. */
export function keepingRules(kitchen: Pick<KitchenView, 'zone' | 'limits'>): KeepingRules {
  return {
    dateMarkDays: kitchen.limits.dateMarkDays,
    endOfDayMs: (atMs, daysOn) => endOfDay(addDays(new TZDate(atMs, kitchen.zone), daysOn)).getTime(),
  };
}

/** Months a food keeps its taste frozen where nothing is said of it. Common practice. */
const FROZEN_MONTHS = 3;

/** What the table, the book and the prices say of a food as it comes in; null for one that is not known. */
export function receivedFoodOf(
  ingredientId: string,
  kitchen: Pick<KitchenView, 'pricesCentsPerKg' | 'ownIngredients'>,
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
    centsPerKg: kitchen.pricesCentsPerKg[row.id] ?? 0,
    life: isMade ? { rule: 'dateMark' } : { rule: 'none' },
    frozenMonths: FROZEN_MONTHS,
  };
}
