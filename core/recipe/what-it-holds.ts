import { ALLERGENS, type Allergen, DIETS, type Diet, type Ingredient, type ServingCheck } from '../matter';

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
  sentence: string;
  from: Bringer[];
}

/** What must be looked for, kept cold or declared. */
export interface Advisory {
  kind: ServingCheck | 'rawEgg' | 'garlicOil' | 'shortLife' | 'caution';
  sentence: string;
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
    const what = from.map((one) => `${one.path.join(' ← ')}${one.hides ? ` (${one.hides})` : ''}`).join('; ');
    return [{ claim, from, sentence: `Said to be ${claim}, and holds ${what}.` }];
  });
}

/** What to look for before serving, and garnishes with a short life, down through every sub-recipe. */
export function advisoriesOf(recipe: Recipe, library: Library): Advisory[] {
  const foods = foodsOf(recipe, library, [recipe.id], []);
  const found: Advisory[] = [];
  for (const [check, sentence] of Object.entries(CHECK_SENTENCES) as [ServingCheck, string][]) {
    const from = foods
      .filter((food) => food.ingredient.checks?.includes(check))
      .map((food) => food.path.join(' ← '));
    if (from.length > 0) found.push({ kind: check, sentence: `${sentence} (${from.join(', ')})` });
  }
  for (const food of foods) {
    if (food.ingredient.caution) found.push({ kind: 'caution', sentence: food.ingredient.caution });
  }
  for (const { name, recipe: part, isGarnish } of partsOf(recipe, library, [recipe.id])) {
    const rows = part.lines.flatMap((line) => library.ingredients[line.ingredientId] ?? []);
    const isHeated = part.stages.some(
      (stage) => ['simmer', 'soft', 'fall'].includes(stage.ends.rule) || stage.topTempC !== undefined,
    );
    if (rows.some((row) => row.kind === 'egg') && (isGarnish || !isHeated)) {
      found.push({
        kind: 'rawEgg',
        sentence: `${name}: raw egg. Keep it at 5 °C or below, use it today, say so on the menu.`,
      });
    }
    const fatKg = part.lines
      .filter((line) => library.ingredients[line.ingredientId]?.kind === 'fat')
      .reduce((sum, line) => sum + line.kg, 0);
    const allKg = part.lines.reduce((sum, line) => sum + line.kg, 0);
    if (
      fatKg > 0.4 * allKg &&
      rows.some((row) => row.kind === 'herb' || row.id === 'garlic') &&
      part.id !== recipe.id
    ) {
      found.push({
        kind: 'garlicOil',
        sentence: `${name}: garlic or herbs in oil. At 5 °C or below, ${part.keeps?.hours ?? 48} h at the most, never on the shelf.`,
      });
    } else if (part.keeps)
      found.push({
        kind: 'shortLife',
        sentence: `${name} keeps ${part.keeps.hours} h: ${part.keeps.advisory}`,
      });
  }
  return found.filter((one, i) => found.findIndex((other) => other.sentence === one.sentence) === i);
}

const CHECK_SENTENCES: Record<ServingCheck, string> = {
  pinBones: 'Run a finger over every fillet for pin bones',
  shell: 'Look for bits of shell; what stays shut is thrown away',
  splinters: 'Look for splinters of bone; strain where it was chopped',
};

function foodsOf(
  recipe: Recipe,
  library: Library,
  path: readonly string[],
  above: readonly { lineId: string; name: string }[],
): Food[] {
  return recipe.lines.flatMap((line) => {
    const { sub, ingredient } = satisfies(line, library, path);
    const lineId = above[0]?.lineId ?? line.id;
    const names = above.map((one) => one.name);
    if (ingredient) return [{ lineId, path: [...names, ingredient.name], ingredient, within: path }];
    return foodsOf(sub!, library, [...path, sub!.id], [...above, { lineId, name: sub!.name }]);
  });
}

function partsOf(
  recipe: Recipe,
  library: Library,
  path: readonly string[],
): { name: string; recipe: Recipe; isGarnish: boolean }[] {
  const below = recipe.lines.flatMap((line) => {
    const { sub } = satisfies(line, library, path);
    if (!sub) return [];
    const parts = partsOf(sub, library, [...path, sub.id]);
    return parts.map((part) => ({ ...part, isGarnish: part.isGarnish || line.scaling === 'perBowl' }));
  });
  return [{ name: recipe.name, recipe, isGarnish: false }, ...below];
}

function satisfies(
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
