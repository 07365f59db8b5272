import { writeFileSync } from 'node:fs';
import { BASE_KINDS, baseRecipe } from '../core/bases';
import { type Recipe, recipeIdOf } from '../core/recipe';
import { BASES, DISHES } from './dishes/dishes';

/**
 * The starter book: general bases, and the invented kitchen's dishes as examples, marked as such, with what they stand on.
 * Written as a book file beside the built pages; a kitchen takes from it what it likes.
 */
const general = BASE_KINDS.filter((kind) => !BASES.some((one) => one.base === kind.id)).map((kind) =>
  baseRecipe(kind.id),
);
const standsOn = (recipe: Recipe): Recipe[] =>
  recipe.lines.flatMap((line) => {
    const id = recipeIdOf(line.ingredientId);
    return [...DISHES, ...BASES].filter((one) => one.id === id);
  });
const isNeeded = (base: Recipe) =>
  base.base !== undefined || DISHES.some((dish) => standsOn(dish).includes(base));
const EXAMPLE = 'An example from an invented kitchen.';
const examples = DISHES.map((dish) => ({ ...dish, note: dish.note ? `${EXAMPLE} ${dish.note}` : EXAMPLE }));
const recipes = [...general, ...BASES.filter(isNeeded), ...examples].map((recipe) => ({
  ...recipe,
  version: 1,
}));

const to = process.argv[2];
if (!to) throw new Error('starter: name the file to write');
writeFileSync(to, `${JSON.stringify({ format: 'slow-pot-book', version: 1, recipes, ingredients: [] })}\n`);
