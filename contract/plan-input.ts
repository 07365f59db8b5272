import { ADJUST_INGREDIENTS } from '../core/batch';
import { prepareRecipe, recipeAsIngredient } from '../core/book';
import { INGREDIENT_BY_ID, type Ingredient } from '../core/matter';
import type { PlanInput, PlannedBurner } from '../core/plan';
import { type Library, type Recipe, recipeIdOf, recipeIn } from '../core/recipe';
import { type Substitution, substitute } from '../core/substitute';
import type { PlanRequest } from './plan-request';
import type { FieldError } from './problem';
import type { BurnerView, KitchenView } from './views';

type KitchenFoods = Pick<KitchenView, 'pricesCentsPerKg' | 'ownIngredients'>;

/** What the kitchen has to cook from: the table with its own rows over it, its book, its prices. */
export function libraryOf(kitchen: KitchenFoods, book: readonly Recipe[]): Library {
  const own = Object.fromEntries(kitchen.ownIngredients.map((row) => [row.id, row]));
  return {
    ingredients: { ...INGREDIENT_BY_ID, ...own },
    recipes: Object.fromEntries(book.map((recipe) => [recipe.id, recipe])),
    pricesCentsPerKg: kitchen.pricesCentsPerKg,
  };
}

/** Every row a line may name: foods, and each recipe of the book that holds together as the food it makes. */
export function rowsOf(library: Library, except?: string): Record<string, Ingredient> {
  const rows: Record<string, Ingredient> = { ...library.ingredients };
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

/** The recipe an order names: one of the book, or a dish of it brought back hot; undefined where there is none. */
export function orderedRecipe(
  recipeId: string,
  kitchen: KitchenFoods,
  book: readonly Recipe[],
): Recipe | undefined {
  return recipeIn(book, recipeId, libraryOf(kitchen, book).ingredients);
}

/** A burner as a batch takes it along: with what a pot on it has shown at its settings, where that is known. */
export function burnerFor(kitchen: KitchenView, burner: BurnerView, potId: string): PlannedBurner {
  const { id, name, powerW, efficiency, heatFactor } = burner;
  const settings = kitchen.learned
    .filter((one) => one.burnerId === id && one.potId === potId && one.fraction < 1)
    .map(({ fraction, lid, arriving }) => ({ fraction, lid, arriving }));
  return { id, name, powerW, efficiency, heatFactor, ...(settings.length > 0 ? { settings } : {}) };
}

/** The order put together with the kitchen it is for; the browser and the server do it alike. */
export function planInputOf(
  request: PlanRequest,
  kitchen: KitchenView,
  recipe: Recipe,
  book: readonly Recipe[] = [recipe],
): PlanInput | FieldError[] {
  const pot = kitchen.pots.find((one) => one.id === request.potId);
  const burner = kitchen.burners.find((one) => one.id === request.burnerId);
  const errors: FieldError[] = [];
  if (!pot) errors.push({ field: 'potId', sentence: `There is no pot “${request.potId}” in this kitchen.` });
  if (!burner) {
    errors.push({ field: 'burnerId', sentence: `There is no burner “${request.burnerId}” in this kitchen.` });
  }
  if (pot && burner && !burner.potIds.includes(pot.id)) {
    errors.push({ field: 'burnerId', sentence: `The ${pot.name} does not go on ${burner.name}.` });
  }
  if (!pot || !burner || errors.length > 0) return errors;
  const library = libraryOf(kitchen, book);
  try {
    const changed = substituted(recipe, request.changes ?? [], library);
    const prepared = prepareRecipe(changed, library);
    return {
      recipe: prepared.recipe,
      ingredients: { ...benchRows(library), ...prepared.ingredients },
      pricesCentsPerKg: { ...kitchen.pricesCentsPerKg, ...prepared.pricesCentsPerKg },
      kitchen: {
        altitudeM: kitchen.altitudeM,
        airTempC: kitchen.airTempC,
        relativeHumidity: kitchen.relativeHumidity,
      },
      pot,
      burner: burnerFor(kitchen, burner, pot.id),
      portions: request.portions,
      portionMl: request.portionMl,
      saltPercent: request.saltPercent,
      band: request.band,
      serviceAtMs: request.serviceAtMs,
      equipment: kitchen.equipment,
      ...(request.holdBackShare ? { holdBackShare: request.holdBackShare } : {}),
    };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return [{ field: 'recipeId', sentence: `This recipe cannot be cooked: ${error.message}.` }];
  }
}

/** The recipe with one food after the other put in another's place. */
function substituted(recipe: Recipe, changes: readonly Substitution[], library: Library): Recipe {
  if (changes.length === 0) return recipe;
  const rows = { ...library.ingredients };
  for (const line of recipe.lines) {
    const sub = library.recipes[recipeIdOf(line.ingredientId) ?? ''];
    if (sub) rows[line.ingredientId] = recipeAsIngredient(sub, library).ingredient;
  }
  return changes.reduce((one, change) => substitute(one, change, rows).recipe, recipe);
}

/** The rows the bench may mend a batch with. */
function benchRows(library: Library): Record<string, Ingredient> {
  return Object.fromEntries(
    ADJUST_INGREDIENTS.flatMap((id) => {
      const row = library.ingredients[id];
      return row ? [[id, row]] : [];
    }),
  );
}
