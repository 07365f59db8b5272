import type { TrimHeap } from '../bases';
import type { Recipe } from '../recipe';
import type { KeptOrder } from './bases-ahead';
import type { PlanningKitchen } from './order-request';
import { planInputOf } from './plan-input';

/** What the boards of kept orders will leave, by straight multiples: enough to know what a stock could be made of. */
export function heapsOfOrders(
  orders: readonly KeptOrder[],
  kitchen: PlanningKitchen,
  book: readonly Recipe[],
): TrimHeap[] {
  return orders.flatMap(({ request }) => {
    const recipe = book.find((one) => one.id === request.recipeId);
    const input = recipe && planInputOf(request, kitchen, recipe, book);
    if (!input || Array.isArray(input)) return [];
    const times = (request.portions * request.portionMl) / 1000 / input.recipe.litres;
    return input.recipe.lines.flatMap((line): TrimHeap[] => {
      const row = input.ingredients[line.ingredientId]!;
      const kg = line.scaling === 'perBowl' ? line.kg * request.portions : line.kg * times;
      return row.yield < 1 ? [{ ingredientId: row.id, trimKg: kg / row.yield - kg }] : [];
    });
  });
}
