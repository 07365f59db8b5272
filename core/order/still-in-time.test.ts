import { describe, expect, it } from 'vitest';
import { BOOK } from '../../demo/dishes/dishes';
import { TROUT_CHOWDER } from '../../demo/dishes/trout-chowder';
import { MIDDAY_ORDER } from '../../demo/filled-pot';
import { kitchenView } from '../../demo/kitchen-view';
import { type PlanInput, planBatch } from '../plan';
import { planInputOf } from './plan-input';
import { stillInTime } from './still-in-time';

const kitchen = kitchenView();
const MIN = 60_000;
const request = { ...MIDDAY_ORDER, portions: 90 };
const input = planInputOf(request, kitchen, TROUT_CHOWDER, BOOK) as PlanInput;
const startMs = planBatch(input).startAtMs;
const at = (nowMs: number) => stillInTime({ request, input, kitchen, book: BOOK, nowMs });

describe('an order that should have begun', () => {
  it('a little late, fewer bowls are still in time, and one more would not be', () => {
    const { bowls } = at(startMs + 12 * MIN);
    expect(bowls).toBeGreaterThan(10);
    expect(bowls).toBeLessThan(90);
    const startOf = (portions: number) => planBatch({ ...input, portions }).startAtMs;
    expect(startOf(bowls)).toBeGreaterThanOrEqual(startMs + 12 * MIN);
    expect(startOf(bowls + 1)).toBeLessThan(startMs + 12 * MIN);
  });
  it('the later it is, the fewer bowls and dishes; in the end none', () => {
    const bowls = [5, 15, 25].map((late) => at(startMs + late * MIN).bowls);
    expect(bowls).toEqual([...bowls].sort((a, b) => b - a));
    expect(at(request.serviceAtMs - 2 * MIN)).toEqual({ bowls: 0, dishes: [] });
  });
  it('dishes it names can be planned for the same bowls in the same pot, lit from now on, nothing begun before', () => {
    const nowMs = startMs + 10 * MIN;
    const { dishes } = at(nowMs);
    expect(dishes.length).toBeGreaterThan(0);
    for (const { recipeId, startAtMs } of dishes) {
      const recipe = BOOK.find((one) => one.id === recipeId)!;
      expect(recipe.base).toBeUndefined();
      const other = planInputOf(
        { ...request, recipeId, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand },
        kitchen,
        recipe,
        BOOK,
      ) as PlanInput;
      const plan = planBatch(other);
      expect([plan.startAtMs, plan.batches, plan.portions]).toEqual([startAtMs, 1, 90]);
      expect(startAtMs).toBeGreaterThanOrEqual(nowMs);
    }
  });
});
