import { recordOf } from '../own';
import { INGREDIENTS } from './data/ingredients';
import type { Ingredient } from './ingredient';

/** Every ingredient of the table, by its id. */
export const INGREDIENT_BY_ID: Readonly<Record<string, Ingredient>> = recordOf(
  INGREDIENTS.map((ingredient) => [ingredient.id, ingredient]),
);
