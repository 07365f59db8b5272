import { type BatchEvent, type BatchEventBody, type BatchState, foldBatch } from '../core/batch';
import { type OrderRequest, planInputOf } from '../core/order';
import { type Plan, type PlanInput, planBatch } from '../core/plan';
import { BOOK } from './dishes/dishes';
import { kitchenView } from './kitchen-view';

/** Sixty bowls for the 13:10 train in the stockpot on burner 2: the order that tests begin with. */
export const MIDDAY_ORDER: OrderRequest = {
  recipeId: 'trout-chowder',
  portions: 60,
  portionMl: 250,
  saltPercent: 0.9,
  band: 3,
  serviceAtMs: Date.UTC(2026, 2, 10, 13, 10),
  potId: 'stockpot-40',
  burnerId: 'gas-2',
};

/** All that goes into the pot by a plan but its salt, in one go. */
export function allButSalt(plan: Plan): BatchEventBody {
  const items = plan.lines
    .filter((line) => !line.perBowl && line.ingredientId !== 'salt')
    .map(({ ingredientId, lineId, edibleKg, tempC }) => ({ ingredientId, lineId, kg: edibleKg, tempC }));
  return { type: 'added', payload: { items } };
}

/** A dish of the house as it is ordered for midday, all of it but its salt in the pot from the first minute. */
export function filledPot(recipeId: string) {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  const input = planInputOf({ ...MIDDAY_ORDER, recipeId }, kitchenView(), recipe, BOOK) as PlanInput;
  const snapshot = { input, plan: planBatch(input) };
  const startMs = snapshot.plan.startAtMs;
  let n = 0;
  const said = (minute: number, body: BatchEventBody): BatchEvent => {
    n += 1;
    return { ...body, id: `e${n}`, seq: n, actedAtMs: startMs + minute * 60_000 };
  };
  const filled = said(1, allButSalt(snapshot.plan));
  return {
    snapshot,
    startMs,
    said,
    filled,
    at: (minute: number, ...more: BatchEvent[]): BatchState =>
      foldBatch(snapshot, [filled, ...more], startMs + minute * 60_000),
  };
}
