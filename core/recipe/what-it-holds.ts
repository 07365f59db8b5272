import { ALLERGENS, type Allergen, DIETS, type Diet, type Ingredient } from '../matter';

import { type Library, recipeIdOf } from './library';
import type { Recipe, RecipeLine } from './recipe';

/** One thing that brings something in, with the way it comes: the line first, then down through what it is made of. */
export interface Bringer {
  lineId: string;
  path: string[];
  /** why nobody would think so */
  hides?: string;
}

export interface Holdings {
  /** in the order of the European list, each with its place there and whether it is one of the US nine */
  allergens: { allergen: Allergen; name: string; eu: number; us: boolean; from: Bringer[] }[];
  diet: Diet;
  /** what keeps it from being vegetarian, and from being vegan */
  notVegetarian: Bringer[];
  notVegan: Bringer[];
}

/** A claim on the menu that the pot does not keep. */
export interface BrokenClaim {
  claim: Diet;
  from: Bringer[];
}

interface Food {
  lineId: string;
  path: string[];
  ingredient: Ingredient;
  /** ids of the recipes it stands in, the dish first */
  within: readonly string[];
}

/**
 * What a recipe holds, through every sub-recipe: allergens of the European fourteen and the US nine, its diet, and
 * which line brings each.
 *
 * @throws RangeError for a food or recipe that is not there, or a circle
 */
export function whatItHolds(recipe: Recipe, library: Library): Holdings {
  return holdingsFrom(foodsOf(recipe, library, [recipe.id], []).flatMap((food) => withMakers(food, library)));
}

/**
 * A bought food that the house makes too holds what its own recipes for it hold: the stock on the shelf is the house's.
 *
 * @param path ids of the recipes it is being looked up in: what is made of itself is not gone down into again
 */
export function makersOf(rowId: string, library: Library, path: readonly string[] = []): Recipe[] {
  return Object.values(library.recipes).filter((one) => one.stocksAs === rowId && !path.includes(one.id));
}

/** A food, and what the house's own recipes for it are made of. */
function withMakers(food: Food, library: Library): Food[] {
  const own = makersOf(food.ingredient.id, library, food.within);
  const below = own.flatMap((recipe) =>
    foodsOf(recipe, library, [...food.within, recipe.id], []).flatMap((one) => withMakers(one, library)),
  );
  return [food, ...below.map((one) => ({ ...one, lineId: food.lineId, path: [...food.path, ...one.path] }))];
}

/** As `whatItHolds`, from rows already rolled up: each names itself as what brings it. */
export function holdingsOf(prepared: {
  recipe: Recipe;
  ingredients: Readonly<Record<string, Ingredient>>;
}): Holdings {
  return holdingsFrom(
    prepared.recipe.lines.map((line) => {
      const ingredient = prepared.ingredients[line.ingredientId]!;
      return { lineId: line.id, path: [ingredient.name], ingredient, within: [] };
    }),
  );
}

/** Claims on the menu that do not hold, each with the line that breaks it. */
export function brokenClaims(recipe: Recipe, holds: Holdings): BrokenClaim[] {
  return (recipe.claims ?? []).flatMap((claim) => {
    const from = claim === 'vegan' ? holds.notVegan : claim === 'vegetarian' ? holds.notVegetarian : [];
    if (from.length === 0) return [];
    return [{ claim, from }];
  });
}

function foodsOf(
  recipe: Recipe,
  library: Library,
  path: readonly string[],
  above: readonly { lineId: string; name: string }[],
): Food[] {
  return recipe.lines.flatMap((line) => {
    const { sub, ingredient } = namedBy(line, library, path);
    const lineId = above[0]?.lineId ?? line.id;
    const names = above.map((one) => one.name);
    if (ingredient) return [{ lineId, path: [...names, ingredient.name], ingredient, within: path }];
    return foodsOf(sub!, library, [...path, sub!.id], [...above, { lineId, name: sub!.name }]);
  });
}

/** The food or the recipe of the book that a line names. */
export function namedBy(
  line: RecipeLine,
  library: Library,
  path: readonly string[],
): { sub: Recipe | null; ingredient: Ingredient | null } {
  const recipeId = recipeIdOf(line.ingredientId);
  if (recipeId === null) {
    const ingredient = library.ingredients[line.ingredientId];
    if (!ingredient) throw new RangeError(`ingredientId must be in the table, got ${line.ingredientId}`);
    return { sub: null, ingredient };
  }
  const sub = library.recipes[recipeId];
  if (!sub) throw new RangeError(`ingredientId must be a recipe in the book, got ${line.ingredientId}`);
  if (path.includes(recipeId))
    throw new RangeError(`a recipe cannot hold itself, got ${[...path, recipeId].join(' in ')}`);
  return { sub, ingredient: null };
}

function holdingsFrom(foods: readonly Food[]): Holdings {
  const bringer = ({ lineId, path, ingredient }: Food): Bringer => ({
    lineId,
    path,
    ...(ingredient.hides ? { hides: ingredient.hides } : {}),
  });
  const allergens = (Object.keys(ALLERGENS) as Allergen[])
    .map((allergen) => ({
      allergen,
      ...ALLERGENS[allergen],
      from: foods.filter((food) => food.ingredient.allergens.includes(allergen)).map(bringer),
    }))
    .filter((entry) => entry.from.length > 0);
  const strictest = foods.reduce((worst, food) => Math.max(worst, DIETS.indexOf(food.ingredient.diet)), 0);
  const above = (diet: Diet) =>
    foods.filter((food) => DIETS.indexOf(food.ingredient.diet) > DIETS.indexOf(diet)).map(bringer);
  return { allergens, diet: DIETS[strictest]!, notVegetarian: above('vegetarian'), notVegan: above('vegan') };
}
