import { baseKind } from '../bases';
import {
  type AddedItem,
  type BatchEvent,
  type BatchEventBody,
  type BatchSnapshot,
  type BatchState,
  holdsInPot,
  type StoredLot,
} from '../batch';
import { activeEvents } from '../log';
import {
  type Ingredient,
  type LotContents,
  times,
  timesSavour,
  totalKg,
  volumeLitres,
  whole,
} from '../matter';
import { own } from '../own';
import { type Recipe, recipeRowId } from '../recipe';

import type { LotDraw, LotMade } from './ledger';
import type { LotBirth, LotLife } from './lot';

/** A lot is measured cold, °C. */
const COLD_C = 20;

/** Months a frozen dish keeps its taste where nothing else is said. Common practice. */
const FROZEN_MONTHS = 3;

/**
 * What a batch drew out of lots, read off its log: undone draws are none, and what was said to be in and was forgotten
 * never left its lot.
 *
 * @param ingredients of its snapshot: a crate is weighed as purchased, a pot takes what is left after trim
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
    const { id: eventId, actedAtMs: atMs, seq } = event;
    for (const item of drawnItems(event))
      drawn.push({
        lineId: item.lineId,
        draw: { eventId, lotId: item.lotId, batchId, kg: kgOffTheShelf(ingredients, item), atMs, seq },
      });
  }
  return drawn.map(({ draw }) => draw);
}

/** A food that was taken out of a lot. */
export type DrawnItem = AddedItem & { lotId: string };

/** What an entry takes out of lots: what it says goes in, what was too much, what was meant for another pot. */
export function drawnItems(event: BatchEventBody): DrawnItem[] {
  const items: AddedItem[] =
    event.type === 'added'
      ? event.payload.items
      : event.type === 'slip' && 'ingredientId' in event.payload
        ? [event.payload]
        : [];
  return items.filter((item): item is DrawnItem => item.lotId !== undefined);
}

/** Kilograms that leave a lot, as it is weighed: a crate as purchased, what the kitchen made as it is. */
export function kgOffTheShelf(
  ingredients: Readonly<Record<string, Pick<Ingredient, 'yield'>>>,
  item: Pick<AddedItem, 'ingredientId' | 'kg' | 'drawn'>,
): number {
  const edible = own(ingredients, item.ingredientId)?.yield ?? 1;
  return item.drawn && !item.drawn.isAsPurchased ? item.kg : item.kg / edible;
}

/** The lots a batch stored: what was in the pot then, its allergens and diet from all that had gone in. */
export function lotsOfBatch(batchId: string, snapshot: BatchSnapshot, state: BatchState): LotMade[] {
  return state.stored.map((lot) => ({
    eventId: lot.eventId,
    atMs: lot.atMs,
    seq: lot.seq,
    birth: birthOf(batchId, snapshot, lot),
  }));
}

function birthOf(batchId: string, snapshot: BatchSnapshot, lot: StoredLot): LotBirth {
  const { recipe } = snapshot.input;
  return {
    lotId: lot.lotId,
    kg: lot.kg,
    contents: { ...contentsOf(recipe, lot), ...holdsInPot(snapshot, lot) },
    centsPerKg: lot.kg > 0 ? lot.costCents / lot.kg : 0,
    place: lot.place,
    storage: lot.storage,
    origin: { kind: 'batch', batchId },
    madeAtMs: lot.atMs,
    ...(lot.tempC === undefined ? {} : { tempC: lot.tempC }),
    ...(lot.warmS === undefined ? {} : { warmMs: Math.round(lot.warmS * 1000) }),
    life: lifeOf(recipe),
    ...(recipe.best ? { best: recipe.best } : {}),
    frozenMonths: baseKind(recipe.base)?.frozenMonths ?? FROZEN_MONTHS,
  };
}

function contentsOf(recipe: Recipe, lot: StoredLot): Omit<LotContents, 'allergens' | 'diet'> {
  const masses = whole(lot.mixture);
  const perKg = lot.kg > 0 ? 1 / lot.kg : 0;
  const rowId = recipeRowId(recipe.id);
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
  };
}

/** How long it may be kept, by its recipe and its kind: hours of its own, days of its own, or the house's date mark. */
export function lifeOf(recipe: Pick<Recipe, 'keeps' | 'base'>): LotLife {
  if (recipe.keeps) return { rule: 'hours', hours: recipe.keeps.hours, advisory: recipe.keeps.advisory };
  const days = baseKind(recipe.base)?.dryDays;
  return days ? { rule: 'days', days } : { rule: 'dateMark' };
}
