import { positive } from '../check';
import { recordOf } from '../own';
import { type Plan, type PlanInput, planBatch } from '../plan';
import { CLING_PERCENT } from '../portions';

/** How much is wanted, in whichever words the order is given. */
export type OrderAmount =
  | { by: 'portions'; portions: number }
  | { by: 'litres'; litres: number }
  | { by: 'multiple'; times: number }
  | { by: 'fill' }
  | { by: 'have'; haveKg: Readonly<Record<string, number>> };

/** What an amount comes to: whole portions, and for what there is, the line that sets the limit and what stays over. */
export interface AmountAnswer {
  portions: number;
  limitedBy: { ingredientId: string; name: string } | null;
  /** kg as purchased that stay, by ingredient */
  leftKg: Readonly<Record<string, number>>;
}

/** No order is larger. */
const MOST_PORTIONS = 1000;

/**
 * Turns an amount into whole portions of the order's size.
 *
 * By a pot's fill: the most that stays under the working fill, loose stuff in rounds. By what there is: the most that
 * no ingredient runs out of, each as purchased, the liquid by what this pot boils away.
 *
 * @param amount above 0 of whatever it counts; haveKg in kg as purchased
 * @param input the rest of the order; its `portions` is not looked at
 * @returns portions, 0 where there is not enough for one
 * @throws RangeError naming a bad amount, an ingredient the recipe does not hold, or a stage the burner cannot finish
 * @source docs/model.md § 12
 */
export function answerAmount(amount: OrderAmount, input: PlanInput): AmountAnswer {
  switch (amount.by) {
    case 'portions':
      return plain(positive('portions', amount.portions));
    case 'litres':
      return plain((positive('litres', amount.litres) * 1000 * (1 - CLING_PERCENT / 100)) / input.portionMl);
    case 'multiple':
      return plain(
        (positive('times', amount.times) * input.recipe.litres * 1000 * (1 - CLING_PERCENT / 100)) /
          input.portionMl,
      );
    case 'fill':
      return plain(mostThat(input, (plan) => plan.fullest.litres <= plan.workingFillLitres));
    case 'have':
      return byWhatThereIs(amount.haveKg, input);
  }
}

function plain(portions: number): AmountAnswer {
  return { portions: Math.max(0, Math.floor(portions + 1e-6)), limitedBy: null, leftKg: {} };
}

function byWhatThereIs(haveKg: Readonly<Record<string, number>>, input: PlanInput): AmountAnswer {
  const ids = Object.keys(haveKg);
  for (const id of ids) {
    positive(`haveKg.${id}`, haveKg[id]!);
    if (!input.recipe.lines.some((line) => line.ingredientId === id)) {
      throw new RangeError(`haveKg must name what the recipe holds, got ${id}`);
    }
  }
  if (ids.length === 0) throw new RangeError('haveKg must name something, got nothing');
  const enough = (plan: Plan) => ids.every((id) => neededKg(plan, id) <= haveKg[id]! + 1e-9);
  const portions = mostThat(input, enough);
  const name = (id: string) => input.ingredients[id]?.name ?? id;
  if (portions === 0) {
    const least = planBatch({ ...input, portions: 1 });
    const short = ids.find((id) => neededKg(least, id) > haveKg[id]!)!;
    return { portions: 0, limitedBy: { ingredientId: short, name: name(short) }, leftKg: { ...haveKg } };
  }
  const plan = planBatch({ ...input, portions });
  const left = recordOf(ids.map((id) => [id, haveKg[id]! - neededKg(plan, id)]));
  // what would run out first with one more is what sets the limit, even where a few grams of it stay
  const more = planBatch({ ...input, portions: portions + 1 });
  const tightest = ids.reduce((a, b) =>
    neededKg(more, b) / haveKg[b]! > neededKg(more, a) / haveKg[a]! ? b : a,
  );
  return { portions, limitedBy: { ingredientId: tightest, name: name(tightest) }, leftKg: left };
}

/** Kg as purchased of an ingredient that a plan calls for, over all its lines. */
function neededKg(plan: Plan, ingredientId: string): number {
  return plan.lines
    .filter((line) => line.ingredientId === ingredientId)
    .reduce((sum, line) => sum + line.purchasedKg, 0);
}

/** The most whole portions a plan stays good for; 0 where one is too many. Good for n is taken to be good for fewer. */
function mostThat(input: PlanInput, isGood: (plan: Plan) => boolean): number {
  const good = (portions: number) => isGood(planBatch({ ...input, portions }));
  if (!good(1)) return 0;
  let low = 1;
  let high = 2;
  while (high < MOST_PORTIONS && good(high)) {
    low = high;
    high *= 2;
  }
  high = Math.min(high, MOST_PORTIONS + 1);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (good(middle)) low = middle;
    else high = middle;
  }
  return low;
}
