import { INGREDIENT_BY_ID, type Ingredient } from '../matter';
import { recordOf } from '../own';
import type { Recipe } from '../recipe';

import { recipeAsIngredient } from './prepare-recipe';

/**
 * Recipes as the foods they make, by row id, for what is written on top of them: from the table as it ships, unpriced.
 *
 * @throws RangeError for a circle, or for a food that is not in the table
 */
export function recipesAsRows(recipes: readonly Recipe[]): Record<string, Ingredient> {
  const library = {
    ingredients: INGREDIENT_BY_ID,
    recipes: recordOf(recipes.map((one) => [one.id, one])),
    pricesCentsPerKg: {},
  };
  return recordOf(
    recipes.map((one) => {
      const { ingredient } = recipeAsIngredient(one, library);
      return [ingredient.id, ingredient];
    }),
  );
}
