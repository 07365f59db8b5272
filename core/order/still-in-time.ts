import { begunAhead } from '../lists';
import { type Plan, type PlanInput, planBatch } from '../plan';
import type { Recipe } from '../recipe';
import type { OrderRequest, PlanningKitchen } from './order-request';
import { planInputOf } from './plan-input';

/** What can still be made for a service whose pot should have been lit already. */
export interface StillInTime {
  /** the most bowls of the same dish; 0 where even one comes too late */
  bowls: number;
  /** others of the book, as many bowls in the same pot: what leaves most time first */
  dishes: { recipeId: string; name: string; startAtMs: number }[];
}

/** No more dishes are offered than a cook reads at a glance. */
const MOST_DISHES = 3;

/**
 * A smaller order boils sooner and another dish cooks for less long: what the clock still allows.
 *
 * @param of the order as it was asked for, its input, and the moment, ms
 */
export function stillInTime(of: {
  request: OrderRequest;
  input: PlanInput;
  kitchen: PlanningKitchen;
  book: readonly Recipe[];
  nowMs: number;
}): StillInTime {
  const { request, input, nowMs } = of;
  const isInTime = (one: PlanInput): Plan | null => {
    const plan = planned(one);
    if (!plan || plan.startAtMs < nowMs || plan.batches > 1 || plan.unmet) return null;
    const ahead = begunAhead({ recipe: one.recipe, plan, ingredients: one.ingredients }, nowMs);
    return ahead.some((item) => item.shortWays !== null) ? null : plan;
  };
  const dishes = of.book
    .filter((recipe) => recipe.id !== request.recipeId && !recipe.base)
    .flatMap((recipe) => {
      const other = planInputOf(asOrdered(request, recipe), of.kitchen, recipe, of.book);
      const plan = Array.isArray(other) ? null : isInTime(other);
      return plan ? [{ recipeId: recipe.id, name: recipe.name, startAtMs: plan.startAtMs }] : [];
    })
    .sort((a, b) => b.startAtMs - a.startAtMs)
    .slice(0, MOST_DISHES);
  return {
    bowls: mostBowls((portions) => isInTime({ ...input, portions }) !== null, input.portions),
    dishes,
  };
}

/** The same wish for another dish: its own salt and body, nothing put in another's place. */
function asOrdered(request: OrderRequest, recipe: Recipe): OrderRequest {
  const { recipeId: _id, changes: _changes, lotIds: _lots, holdBackShare: _held, ...rest } = request;
  return { ...rest, recipeId: recipe.id, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand };
}

/** The most under `all` that is in time, by halving: fewer bowls are never later. */
function mostBowls(isInTime: (portions: number) => boolean, all: number): number {
  if (!isInTime(1)) return 0;
  let [most, tooMany] = [1, all];
  while (tooMany - most > 1) {
    const middle = Math.floor((most + tooMany) / 2);
    if (isInTime(middle)) most = middle;
    else tooMany = middle;
  }
  return most;
}

function planned(input: PlanInput): Plan | null {
  try {
    return planBatch(input);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
