import { ADJUST_INGREDIENTS, EVERYBODY } from '../batch';
import { libraryOf, prepareRecipe, recipeAsIngredient } from '../book';
import type { Ingredient } from '../matter';
import { recordOf } from '../own';
import type { PlanInput, PlannedBurner, Pot } from '../plan';
import { portionsOfKinds } from '../portions';
import { type Library, type Recipe, recipeIdOf } from '../recipe';
import { hotLimitsOf } from '../safety';
import { type Substitution, substitute } from '../substitute';
import { cannotBeCooked, type OrderRefusal } from './order-refusal';
import type { KitchenBurner, OrderRequest, PlanningKitchen } from './order-request';

/** A burner as a batch takes it along: with what a pot on it has shown at its settings, where that is known. */
export function burnerFor(
  { learned }: Pick<PlanningKitchen, 'learned'>,
  burner: KitchenBurner,
  potId: string,
): PlannedBurner {
  const { id, name, powerW, efficiency, heatFactor, dial } = burner;
  const settings = learned.rates
    .filter((one) => one.burnerId === id && one.potId === potId && one.fraction < 1)
    .map(({ fraction, lid, arriving }) => ({ fraction, lid, arriving }));
  return {
    id,
    name,
    powerW,
    efficiency,
    heatFactor,
    ...(dial ? { dial } : {}),
    ...(settings.length > 0 ? { settings } : {}),
  };
}

/** A pot as a batch takes it along: with what its surface and its floor have shown, where that is known. */
export function potFor(
  { learned }: Pick<PlanningKitchen, 'learned'>,
  { id, name, vessel, emptyMassKg }: Pot,
  recipeId: string,
): Pot {
  const surfaces = learned.shares.flatMap(({ key, share }) =>
    'surfaceOf' in key && key.surfaceOf === id ? [{ lid: key.lid, share }] : [],
  );
  const floor = learned.shares.find(
    ({ key }) => 'floorOf' in key && key.floorOf === id && key.recipeId === recipeId,
  );
  return {
    id,
    name,
    vessel,
    emptyMassKg,
    ...(surfaces.length > 0 ? { surfaces } : {}),
    ...(floor ? { floor: floor.share } : {}),
  };
}

/** What the dish's thickening has shown over the table, where its tests have told it. */
function bodyFor({ learned }: Pick<PlanningKitchen, 'learned'>, recipeId: string): Pick<PlanInput, 'body'> {
  const known = learned.shares.find(({ key }) => 'bodyOf' in key && key.bodyOf === recipeId);
  return known ? { body: { ...known.share, batches: known.segments } } : {};
}

/** What the kitchen's ladles have given over what was meant, where it was measured. */
function ladleFor({ learned }: Pick<PlanningKitchen, 'learned'>): Pick<PlanInput, 'ladle'> {
  const known = learned.shares.find(({ key }) => 'ladleOf' in key && key.ladleOf === EVERYBODY);
  return known ? { ladle: { ...known.share, batches: known.segments } } : {};
}

/**
 * The order put together with the kitchen it is for; the browser and the server do it alike.
 *
 * @param request whose recipe, pot and burner are the kitchen's
 * @param book what recipes in the recipe are looked up in
 * @returns the plan's input, or each reason why there is none
 */
export function planInputOf(
  request: OrderRequest,
  kitchen: PlanningKitchen,
  recipe: Recipe,
  book: readonly Recipe[] = [recipe],
): PlanInput | OrderRefusal[] {
  const pot = kitchen.pots.find((one) => one.id === request.potId);
  const burner = kitchen.burners.find((one) => one.id === request.burnerId);
  const refusals: OrderRefusal[] = [];
  if (!pot) refusals.push({ field: 'potId', code: 'unknownPot', potId: request.potId });
  if (!burner) refusals.push({ field: 'burnerId', code: 'unknownBurner', burnerId: request.burnerId });
  if (pot && burner && !burner.potIds.includes(pot.id)) {
    const names = { potName: pot.name, burnerName: burner.name };
    refusals.push({ field: 'burnerId', code: 'potNotOnBurner', ...names });
  }
  if (!pot || !burner || refusals.length > 0) return refusals;
  const library = libraryOf(kitchen, book);
  try {
    const changed = substituted(recipe, request.changes ?? [], library);
    const prepared = prepareRecipe(changed, library);
    return {
      recipe: prepared.recipe,
      ingredients: { ...adjustRows(library), ...prepared.ingredients },
      pricesCentsPerKg: { ...kitchen.pricesCentsPerKg, ...prepared.pricesCentsPerKg },
      unpriced: prepared.unpriced,
      ...(prepared.guessed.length > 0 ? { guessed: prepared.guessed } : {}),
      kitchen: {
        altitudeM: kitchen.altitudeM,
        airTempC: kitchen.airTempC,
        relativeHumidity: kitchen.relativeHumidity,
      },
      pot: potFor(kitchen, pot, recipe.id),
      burner: burnerFor(kitchen, burner, pot.id),
      ...portionsOf(request),
      saltPercent: request.saltPercent,
      band: request.band,
      serviceAtMs: request.serviceAtMs,
      equipment: kitchen.equipment,
      limits: hotLimitsOf(kitchen.limits),
      ...(kitchen.learned.eye ? { eye: kitchen.learned.eye } : {}),
      ...bodyFor(kitchen, recipe.id),
      ...ladleFor(kitchen),
      ...(request.holdBackShare ? { holdBackShare: request.holdBackShare } : {}),
    };
  } catch (error) {
    return [cannotBeCooked('recipeId', error)];
  }
}

/** The portions of an order; where it names kinds, their litres say how many bowls they are. */
function portionsOf({
  portions,
  portionMl,
  kinds,
}: OrderRequest): Pick<PlanInput, 'portions' | 'portionMl' | 'kinds'> {
  if (!kinds?.length) return { portions, portionMl };
  return { portions: portionsOfKinds(kinds, portionMl), portionMl, kinds };
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

/** The rows a batch may be adjusted with. */
function adjustRows(library: Library): Record<string, Ingredient> {
  return recordOf(
    ADJUST_INGREDIENTS.flatMap((id) => {
      const row = library.ingredients[id];
      return row ? [[id, row]] : [];
    }),
  );
}
