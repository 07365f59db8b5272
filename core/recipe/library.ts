import type { Ingredient } from '../matter';
import type { Recipe } from './recipe';

/** What a kitchen has to cook from: its foods (the table with its own rows over it), its recipes, its prices. */
export interface Library {
  ingredients: Readonly<Record<string, Ingredient>>;
  recipes: Readonly<Record<string, Recipe>>;
  /** hundredths of the kitchen’s money a kg as purchased */
  pricesCentsPerKg: Readonly<Record<string, number>>;
  /** the kitchen's money, in three letters, where a food without a price may stand at a guess */
  currency?: string;
}

const PREFIX = 'recipe:';

/** The id under which a recipe stands among the ingredients. */
export function recipeRowId(recipeId: string): string {
  return `${PREFIX}${recipeId}`;
}

/** The recipe an ingredient id stands for, or null for a food of the table. */
export function recipeIdOf(ingredientId: string): string | null {
  return ingredientId.startsWith(PREFIX) ? ingredientId.slice(PREFIX.length) : null;
}
