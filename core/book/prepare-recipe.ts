import {
  holdsOf,
  type Ingredient,
  type Masses,
  massesOf,
  NO_MASSES,
  plus,
  rowOfLine,
  type Savour,
  times,
  totalKg,
  volumeLitres,
  withSalt,
  withWater,
} from '../matter';
import { own, recordOf } from '../own';
import {
  blendedShare,
  curedIngredient,
  holdingsOf,
  type Library,
  makersOf,
  type Recipe,
  type RecipeLine,
  recipeIdOf,
  recipeRowId,
  whatItHolds,
} from '../recipe';
import { cookedBodyG } from '../thickness';
import { cookOnPaper } from './cook-on-paper';
import { usualCentsPerKg } from './usual-price';

/** A recipe ready to plan: every line names a row, sub-recipes and brined meat among them, each row with its price. */
export interface PreparedRecipe {
  recipe: Recipe;
  ingredients: Readonly<Record<string, Ingredient>>;
  pricesCentsPerKg: Readonly<Record<string, number>>;
  /** foods without a price, by name, however deep: their share of the cost is missing */
  unpriced: readonly string[];
  /** foods whose price is a guess until the kitchen has said its own, by name */
  guessed: readonly string[];
}

/** Litres of bought or made-up food are measured at this, °C. */
const MEASURED_AT_C = 20;

/**
 * Rolls a recipe's lines up into rows of food: a sub-recipe becomes the food it makes, to any depth; meat that lies in
 * brine becomes brined meat.
 *
 * @param recipe any
 * @param library foods, recipes, prices
 * @returns the recipe with its lines naming the rows returned beside it
 * @throws RangeError for a circle of recipes, naming it, and for a food or recipe that is not there
 * @source docs/model.md § 12
 */
export function prepareRecipe(recipe: Recipe, library: Library): PreparedRecipe {
  const made = new Map<string, MadeRow>();
  return prepareWithin(recipe, library, made, [recipe.id]);
}

/** The food that a recipe makes, as a row with its price; for the larder and for recipes that use it. */
export function recipeAsIngredient(recipe: Recipe, library: Library): MadeRow {
  return rowOfRecipe(recipe, library, new Map(), [recipe.id]);
}

export interface MadeRow {
  ingredient: Ingredient;
  centsPerKg: number;
  unpriced: readonly string[];
  guessed: readonly string[];
}

type Made = Map<string, MadeRow>;

function prepareWithin(
  recipe: Recipe,
  library: Library,
  made: Made,
  path: readonly string[],
): PreparedRecipe {
  const ingredients = recordOf<Ingredient>();
  const prices = recordOf<number>();
  const unpriced = new Set<string>();
  const guessed = new Set<string>();
  const lines = recipe.lines.map((line): RecipeLine => {
    const row = rowOf(line, library, made, path);
    for (const name of row.unpriced) unpriced.add(name);
    for (const name of row.guessed) guessed.add(name);
    if (!line.cure) {
      ingredients[line.ingredientId] = row.ingredient;
      prices[line.ingredientId] = row.centsPerKg;
      return line;
    }
    const id = `${line.ingredientId}~${line.id}`;
    ingredients[id] = curedIngredient(row.ingredient, line.cure, id);
    prices[id] = row.centsPerKg;
    return { ...line, ingredientId: id };
  });
  return {
    recipe: { ...recipe, lines },
    ingredients,
    pricesCentsPerKg: prices,
    unpriced: [...unpriced],
    guessed: [...guessed],
  };
}

function rowOf(line: RecipeLine, library: Library, made: Made, path: readonly string[]): MadeRow {
  const recipeId = recipeIdOf(line.ingredientId);
  if (recipeId === null) {
    const row = library.ingredients[line.ingredientId];
    if (!row) throw new RangeError(`ingredientId must be in the table, got ${line.ingredientId}`);
    const ingredient = asMadeHere(row, library, path);
    const price = own(library.pricesCentsPerKg, ingredient.id);
    if (price !== undefined || ingredient.store === 'tap')
      return { ingredient, centsPerKg: price ?? 0, unpriced: [], guessed: [] };
    const guess = usualCentsPerKg(ingredient, library.currency ?? '');
    return guess === null
      ? { ingredient, centsPerKg: 0, unpriced: [ingredient.name], guessed: [] }
      : { ingredient, centsPerKg: guess, unpriced: [], guessed: [ingredient.name] };
  }
  const known = made.get(recipeId);
  if (known) return known;
  const sub = library.recipes[recipeId];
  if (!sub) throw new RangeError(`ingredientId must be a recipe in the book, got ${line.ingredientId}`);
  if (path.includes(recipeId)) {
    const names = [...path.slice(path.indexOf(recipeId)), recipeId].map(
      (id) => library.recipes[id]?.name ?? id,
    );
    throw new RangeError(`a recipe cannot hold itself, got ${names.join(' in ')}`);
  }
  const row = rowOfRecipe(sub, library, made, [...path, recipeId]);
  made.set(recipeId, row);
  return row;
}

/** A food of the table as this house has it: where a recipe makes it, it holds what that holds, bought or made. */
function asMadeHere(row: Ingredient, library: Library, path: readonly string[]): Ingredient {
  const makers = makersOf(row.id, library, path);
  if (makers.length === 0) return row;
  const made = makers.map((recipe) => whatItHolds(recipe, library));
  const holds = made.map(({ allergens, diet }) => ({
    allergens: allergens.map((one) => one.allergen),
    diet,
  }));
  return { ...row, ...holdsOf([row, ...holds]) };
}

function rowOfRecipe(recipe: Recipe, library: Library, made: Made, path: readonly string[]): MadeRow {
  const prepared = prepareWithin(recipe, library, made, path);
  const holds = holdingsOf(prepared);
  const portions = (recipe.litres * 1000) / recipe.portionMl;
  let masses: Masses = NO_MASSES;
  let flourG = 0;
  const blended = blendedShare(recipe);
  let costCents = 0;
  let gelatinKg = 0;
  let acidG = 0;
  const umami = { glutamate: 0, aspartate: 0, imp: 0, gmp: 0, amp: 0 };
  for (const line of prepared.recipe.lines) {
    const ingredient = rowOfLine(line, prepared.ingredients);
    const kg = line.scaling === 'perBowl' ? line.kg * portions : line.kg;
    costCents += (kg / ingredient.yield) * (prepared.pricesCentsPerKg[line.ingredientId] ?? 0);
    for (const key of Object.keys(umami) as (keyof typeof umami)[])
      umami[key] += kg * (ingredient.umami?.[key] ?? 0);
    gelatinKg += kg * (ingredient.gelatin ?? 0);
    if (line.comesOut && !line.comesOut.backStageId) continue;
    masses = plus(masses, massesOf(ingredient, kg));
    acidG += kg * (ingredient.acidGPerKg ?? 0);
    flourG += cookedBodyG(ingredient, kg, blended, line.thickener);
  }
  const overLitres = volumeLitres(masses, MEASURED_AT_C) - recipe.litres;
  if (overLitres > 0) masses = withWater(masses, Math.max(0, masses.water - overLitres));
  masses = withTargetSalt(recipe, prepared, masses);
  const kg = totalKg(masses);
  const base = recipe.stocksAs ? library.ingredients[recipe.stocksAs] : undefined;
  if (recipe.stocksAs && !base) throw new RangeError(`stocksAs must be in the table, got ${recipe.stocksAs}`);
  const madeKg = base ? recipe.litres * base.densityKgPerL : kg;
  const shared = {
    id: recipeRowId(recipe.id),
    name: recipe.name,
    allergens: holds.allergens.map((one) => one.allergen),
    diet: holds.diet,
    source: `made here: ${recipe.name}, version ${recipe.version}`,
  };
  const strained = strainedRow(recipe, prepared, base);
  const ingredient: Ingredient =
    base || strained
      ? { ...(base ?? PLAIN_LIQUID), ...strained, ...shared }
      : {
          ...shared,
          kind: recipe.staysPieces ? 'grain' : 'stock',
          perKg: times(masses, 1 / kg),
          densityKgPerL: kg / volumeLitres(masses, MEASURED_AT_C),
          looseKgPerL: recipe.staysPieces ? 0.6 : kg / volumeLitres(masses, MEASURED_AT_C),
          yield: 1,
          share: recipe.staysPieces ? 'pieces' : 'liquid',
          // what stays in pieces keeps its starch to itself
          bodyGPerKg: recipe.staysPieces ? 0 : flourG / kg,
          store: 'walk-in',
          gelatin: gelatinKg / kg,
          ...(acidG > 0 ? { acidGPerKg: acidG / kg } : {}),
          umami: {
            glutamate: umami.glutamate / kg,
            aspartate: umami.aspartate / kg,
            imp: umami.imp / kg,
            gmp: umami.gmp / kg,
            amp: umami.amp / kg,
          },
        };
  return {
    ingredient,
    centsPerKg: costCents / madeKg,
    unpriced: prepared.unpriced,
    guessed: prepared.guessed,
  };
}

/** What is salted to a percent carries that percent, whatever was written for the salt: it is salted last, by taste. */
function withTargetSalt(recipe: Recipe, prepared: PreparedRecipe, masses: Masses): Masses {
  const added = prepared.recipe.lines
    .filter((line) => line.scaling === 'toSalt')
    .reduce((sum, line) => sum + line.kg * prepared.ingredients[line.ingredientId]!.perKg.salt, 0);
  if (added === 0) return masses;
  const target = recipe.targetSaltPercent / 100;
  const unsaltedKg = totalKg(masses) - masses.salt;
  return withSalt(masses, Math.max(masses.salt - added, (target * unsaltedKg) / (1 - target)));
}

/** What a strained liquid is that stands for no row of the table. */
const PLAIN_LIQUID = {
  kind: 'stock',
  densityKgPerL: 1.003,
  looseKgPerL: 1.003,
  yield: 1,
  share: 'liquid',
  store: 'walk-in',
  perKg: NO_MASSES,
} as const;

/** Strained rows worked out before, by recipe, with the compositions each came of: recipes are never changed in place. */
const strainedBefore = new WeakMap<Recipe, { of: readonly Masses[]; row: Partial<Ingredient> }>();

/** Of what is strained, only what the water has drawn. Cooking it on paper takes a while, so it is done once. */
function strainedRow(
  recipe: Recipe,
  prepared: PreparedRecipe,
  base?: Ingredient,
): Partial<Ingredient> | null {
  if (!recipe.stages.some((stage) => stage.does?.kind === 'strain')) return null;
  const of = prepared.recipe.lines.map((line) => prepared.ingredients[line.ingredientId]!.perKg);
  const before = strainedBefore.get(recipe);
  if (before?.of.every((masses, i) => masses === of[i])) return before.row;
  const row = drawnOnPaper(prepared, (base ?? PLAIN_LIQUID).densityKgPerL);
  strainedBefore.set(recipe, { of, row });
  return row;
}

/** As it comes out of a pot that suits it, diluted to the litres that are written. */
function drawnOnPaper(prepared: PreparedRecipe, densityKgPerL: number): Partial<Ingredient> {
  const { recipe } = prepared;
  const { liquid, savour } = cookOnPaper(prepared).mixture;
  const kg = recipe.litres * densityKgPerL;
  const solids = totalKg(liquid) - liquid.water;
  const perKg = withWater(times(liquid, 1 / kg), Math.max(0, 1 - solids / kg));
  const percent = (of: keyof Savour) => (100 * savour[of]) / kg;
  return {
    perKg,
    gelatin: savour.gelatin / kg,
    umami: {
      glutamate: percent('glutamate'),
      aspartate: percent('aspartate'),
      imp: percent('imp'),
      gmp: percent('gmp'),
      amp: percent('amp'),
    },
  };
}
