import { layLots, type ShelfLot } from '../larder';
import { type Plan, planBatch, strongestBurner } from '../plan';
import type { Recipe } from '../recipe';
import type { OrderRequest, PlanningKitchen } from './order-request';
import { planInputOf } from './plan-input';

/** How an order would go in a pot: it fits, only just, so low that it falls fast, in batches, or not on this burner. */
export type PotFit = 'fits' | 'tight' | 'shallow' | 'batches' | 'cannot';

export interface PotChoice {
  potId: string;
  burnerId: string;
  name: string;
  fullestLitres: number;
  workingFillLitres: number;
  batches: number;
  startAtMs: number;
  fit: PotFit;
}

/** Fuller than this share of the working fill is watched; under the other the level falls fast. Common practice. */
const TIGHT_FROM = 0.92;
const SHALLOW_UNDER = 0.3;

/**
 * The same order planned in every pot, each on its own burner where the pot goes on it, else on the strongest that takes
 * it, a free one before a busy one: what the cook compares.
 *
 * @param asked.busy pots and burners with something on them
 */
export function potChoices(asked: {
  request: OrderRequest;
  kitchen: PlanningKitchen;
  recipe: Recipe;
  book?: readonly Recipe[];
  lots: readonly ShelfLot[];
  busy?: { potIds: readonly string[]; burnerIds: readonly string[] };
}): PotChoice[] {
  const { burners } = asked.kitchen;
  const free = burners.filter((one) => !asked.busy?.burnerIds.includes(one.id));
  return asked.kitchen.pots.flatMap((pot) => {
    const own = asked.kitchen.burners.find(
      (burner) => burner.id === asked.request.burnerId && burner.potIds.includes(pot.id),
    );
    const burner = own ?? strongestBurner(free, pot.id) ?? strongestBurner(burners, pot.id);
    if (!burner) return [];
    const request = { ...asked.request, potId: pot.id, burnerId: burner.id };
    const input = planInputOf(request, asked.kitchen, asked.recipe, asked.book);
    if (Array.isArray(input)) return [];
    const named = { potId: pot.id, burnerId: burner.id, name: pot.name };
    try {
      const plan = planBatch(layLots(input, asked.lots));
      const { fullest, workingFillLitres, batches, startAtMs } = plan;
      const fit = fitOf(plan);
      return [{ ...named, fullestLitres: fullest.litres, workingFillLitres, batches, startAtMs, fit }];
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      const none = { fullestLitres: 0, workingFillLitres: 0, batches: 0, startAtMs: 0 };
      return [{ ...named, ...none, fit: 'cannot' }];
    }
  });
}

/** How a plan goes in its pot. */
export function fitOf({ batches, fullest, workingFillLitres }: Plan): PotFit {
  if (batches > 1) return 'batches';
  const share = fullest.litres / workingFillLitres;
  if (share > TIGHT_FROM) return 'tight';
  return share < SHALLOW_UNDER ? 'shallow' : 'fits';
}
