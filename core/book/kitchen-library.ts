import { INGREDIENT_BY_ID, type Ingredient } from '../matter';
import { recordOf } from '../own';
import { type Library, type Recipe, recipeIn } from '../recipe';
import type { HotLimits } from '../safety';
import { recipeAsIngredient } from './prepare-recipe';

/** The foods of a kitchen's own and its prices. */
export interface KitchenFoods {
  /** hundredths of the kitchen’s money a kg as purchased */
  pricesCentsPerKg: Readonly<Record<string, number>>;
  /** foods of its own and labels over the table */
  ownIngredients: readonly Ingredient[];
  /** three letters; what has no price is guessed in it, where anything is known of it */
  currency?: string;
}

/** What the kitchen has to cook from: the table with its own rows over it, its book, its prices. */
export function libraryOf(kitchen: KitchenFoods, book: readonly Recipe[]): Library {
  const foods = [...Object.values(INGREDIENT_BY_ID), ...kitchen.ownIngredients];
  return {
    ingredients: recordOf(foods.map((row) => [row.id, row])),
    recipes: recordOf(book.map((recipe) => [recipe.id, recipe])),
    pricesCentsPerKg: recordOf(Object.entries(kitchen.pricesCentsPerKg)),
    ...(kitchen.currency ? { currency: kitchen.currency } : {}),
  };
}

/** Every row a line may name: foods, and each recipe of the book that holds together as the food it makes. */
export function rowsOf(library: Library, except?: string): Record<string, Ingredient> {
  const rows = recordOf(Object.entries(library.ingredients));
  for (const recipe of Object.values(library.recipes)) {
    if (recipe.id === except) continue;
    try {
      const { ingredient } = recipeAsIngredient(recipe, library);
      rows[ingredient.id] = ingredient;
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
    }
  }
  return rows;
}

/** The recipe an order names: one of the book, or a dish of it reheated; undefined where there is none. */
export function orderedRecipe(
  recipeId: string,
  kitchen: KitchenFoods & { limits?: HotLimits },
  book: readonly Recipe[],
): Recipe | undefined {
  return recipeIn(book, recipeId, libraryOf(kitchen, book).ingredients, kitchen.limits);
}
