import { baseKind } from '../bases';
import type { BatchEvent, BatchSnapshot, BatchState, StoredLot } from '../batch';
import { activeEvents } from '../log';
import { DIETS, type Ingredient, times, timesSavour, totalKg, volumeLitres, whole } from '../matter';
import { type Recipe, recipeRowId } from '../recipe';

import type { LotDraw, LotMade } from './ledger';
import type { LotBirth, LotContents, LotLife } from './lot';

/** A lot is measured cold, °C. */
const COLD_C = 20;

/** Months a frozen dish keeps its taste where nothing else is said. Common practice. */
const FROZEN_MONTHS = 3;

/**
 * What a batch drew out of lots, read off its log: undone draws are none, and what was said to be in and was forgotten
 * never left its lot.
 *
 * @param ingredients of its snapshot: a crate is weighed as bought, a pot takes what is left after trim
 * @param events of one batch, any order
 */
export function drawsOfBatch(
  batchId: string,
  ingredients: Readonly<Record<string, Pick<Ingredient, 'yield'>>>,
  events: readonly BatchEvent[],
): LotDraw[] {
  let drawn: { lineId: string | undefined; draw: LotDraw }[] = [];
  for (const event of activeEvents(events)) {
    if (event.type === 'slip' && event.payload.kind === 'forgot') {
      const { lineId } = event.payload;
      drawn = drawn.filter((one) => one.lineId !== lineId);
    }
    if (event.type !== 'added') continue;
    for (const { lotId, lineId, kg, ingredientId } of event.payload.items) {
      if (!lotId) continue;
      const boughtKg = kg / (ingredients[ingredientId]?.yield ?? 1);
      const { id: eventId, actedAtMs: atMs, seq } = event;
      drawn.push({ lineId, draw: { eventId, lotId, batchId, kg: boughtKg, atMs, seq } });
    }
  }
  return drawn.map(({ draw }) => draw);
}

/** The lots a batch put by: what was in the pot then, its allergens and diet from all that had gone in. */
export function lotsOfBatch(batchId: string, snapshot: BatchSnapshot, state: BatchState): LotMade[] {
  return state.stored.map((lot) => ({
    eventId: lot.eventId,
    atMs: lot.atMs,
    seq: lot.seq,
    birth: birthOf(batchId, snapshot, state, lot),
  }));
}

function birthOf(batchId: string, snapshot: BatchSnapshot, state: BatchState, lot: StoredLot): LotBirth {
  const { recipe, ingredients } = snapshot.input;
  const foods = Object.keys(state.addedKgByIngredient).flatMap((id) => ingredients[id] ?? []);
  return {
    lotId: lot.lotId,
    kg: lot.kg,
    contents: contentsOf(recipe, lot, foods),
    centsPerKg: lot.kg > 0 ? lot.costCents / lot.kg : 0,
    place: lot.place,
    storage: lot.storage,
    origin: { kind: 'batch', batchId },
    madeAtMs: lot.atMs,
    life: lifeOf(recipe),
    ...(recipe.best ? { best: recipe.best } : {}),
    frozenMonths: baseKind(recipe.base)?.frozenMonths ?? FROZEN_MONTHS,
  };
}

function contentsOf(recipe: Recipe, lot: StoredLot, foods: readonly Ingredient[]): LotContents {
  const masses = whole(lot.mixture);
  const perKg = lot.kg > 0 ? 1 / lot.kg : 0;
  const rowId = recipeRowId(recipe.id);
  const strictest = foods.reduce((worst, food) => Math.max(worst, DIETS.indexOf(food.diet)), 0);
  return {
    name: recipe.name,
    ingredientId: rowId,
    satisfies: recipe.stocksAs ? [rowId, recipe.stocksAs] : [rowId],
    ...(recipe.base ? { base: recipe.base } : {}),
    share: totalKg(lot.mixture.pieces) > totalKg(lot.mixture.liquid) ? 'pieces' : 'liquid',
    perKg: times(masses, perKg),
    densityKgPerL: lot.kg > 0 ? lot.kg / volumeLitres(masses, COLD_C) : 1,
    savourPerKg: timesSavour(lot.mixture.savour, perKg),
    bodyGPerKg: lot.mixture.flourEquivalentG * perKg,
    allergens: [...new Set(foods.flatMap((food) => food.allergens))],
    diet: DIETS[strictest]!,
  };
}

/** How long it may be kept, by its recipe and its kind: hours of its own, days of its own, or the house's date mark. */
export function lifeOf(recipe: Pick<Recipe, 'keeps' | 'base'>): LotLife {
  if (recipe.keeps) return { rule: 'hours', hours: recipe.keeps.hours, advisory: recipe.keeps.advisory };
  const days = baseKind(recipe.base)?.dryDays;
  return days ? { rule: 'days', days } : { rule: 'dateMark' };
}
