import { layLots, type ShelfLot } from '../larder';
import { planBatch } from '../plan';
import type { Recipe } from '../recipe';
import { litresAtDepth } from '../vessel';
import type { KitchenBurner, OrderRequest, PlanningKitchen } from './order-request';
import { planInputOf } from './plan-input';
import { fitOf } from './pot-choices';

/** Where an order would be cooked. */
export interface Place {
  potId: string;
  burnerId: string;
}

/**
 * The pot and burner an order opens on: free, and as large as it needs. Burners the kitchen knows best come first, on
 * each the largest pot; the first place where the order fits is taken, else one where it fits at all, else the first.
 *
 * @param asked the order in any pot; `busy` names pots and burners with something on them
 * @returns null where nothing is free
 */
export function openingPlace(asked: {
  request: Omit<OrderRequest, 'potId' | 'burnerId'>;
  kitchen: PlanningKitchen;
  recipe: Recipe;
  book: readonly Recipe[];
  lots: readonly ShelfLot[];
  busy: { potIds: readonly string[]; burnerIds: readonly string[] };
}): Place | null {
  let shallow: Place | null = null;
  const places = freePlaces(asked.kitchen, asked.busy);
  for (const place of places) {
    const fit = fitAt(asked, place);
    if (fit === 'fits' || fit === 'tight') return place;
    if (fit === 'shallow') shallow ??= place;
  }
  return shallow ?? places[0] ?? null;
}

function freePlaces(
  kitchen: PlanningKitchen,
  busy: { potIds: readonly string[]; burnerIds: readonly string[] },
): Place[] {
  const brim = (pot: PlanningKitchen['pots'][number]) => litresAtDepth(pot.vessel, pot.vessel.heightCm);
  const batches = (burner: KitchenBurner) => burner.heatFactor.batches;
  return kitchen.burners
    .filter((burner) => !busy.burnerIds.includes(burner.id))
    .sort((a, b) => batches(b) - batches(a))
    .flatMap((burner) =>
      kitchen.pots
        .filter((pot) => burner.potIds.includes(pot.id) && !busy.potIds.includes(pot.id))
        .sort((a, b) => brim(b) - brim(a))
        .map((pot) => ({ potId: pot.id, burnerId: burner.id })),
    );
}

function fitAt(asked: Parameters<typeof openingPlace>[0], place: Place) {
  const input = planInputOf({ ...asked.request, ...place }, asked.kitchen, asked.recipe, asked.book);
  if (Array.isArray(input)) return 'cannot';
  try {
    return fitOf(planBatch(layLots(input, asked.lots)));
  } catch (error) {
    if (error instanceof RangeError) return 'cannot';
    throw error;
  }
}
