import { positive } from '../check';
import { recordOf } from '../own';
import { CannotCook, type Plan, type PlanInput, planBatch, pulledKg } from '../plan';
import { CLING_PERCENT } from '../portions';

/** How much is wanted, in whichever words the order is given. */
export type OrderAmount =
  | { by: 'portions'; portions: number }
  | { by: 'litres'; litres: number }
  | { by: 'multiple'; times: number }
  | { by: 'fill' }
  | { by: 'have'; haveKg: Readonly<Record<string, number>> };

/** What an amount comes to: portions, whole ones where a pot or a shelf sets the limit, and for what there is, the line that sets the limit and what stays over. */
export interface AmountAnswer {
  portions: number;
  limitedBy: { ingredientId: string; name: string } | null;
  /** kg as purchased that stay, by ingredient */
  leftKg: Readonly<Record<string, number>>;
}

/** No order is larger. */
const MOST_PORTIONS = 2000;

/**
 * Turns an amount into portions of the order's size. Litres and multiples are kept as they are, to a hundredth of a
 * portion: ten litres are ten litres in the pot, and once the recipe is the recipe as it is written.
 *
 * By a pot's fill: the most that stays under the working fill, loose stuff in rounds. From what I have: the most that
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
      return ofLitres(positive('litres', amount.litres), input);
    case 'multiple':
      return ofLitres(positive('times', amount.times) * input.recipe.litres, input);
    case 'fill':
      return plain(mostThat(input, (plan) => plan.batches === 1));
    case 'have':
      return byWhatThereIs(amount.haveKg, input);
  }
}

function plain(portions: number): AmountAnswer {
  return { portions: Math.max(0, Math.floor(portions + 1e-6)), limitedBy: null, leftKg: {} };
}

/** Litres in the pot at the end, as portions out of it. */
function ofLitres(litres: number, input: PlanInput): AmountAnswer {
  const portions = (litres * 1000 * (1 - CLING_PERCENT / 100)) / input.portionMl;
  return { portions: Math.round(portions * 1e6) / 1e6, limitedBy: null, leftKg: {} };
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
  const needed = (plan: Plan, id: string) => fetchedKg(plan, input, id);
  const enough = (plan: Plan) => ids.every((id) => needed(plan, id) <= haveKg[id]! + 1e-9);
  const portions = mostThat(input, enough);
  const name = (id: string) => input.ingredients[id]?.name ?? id;
  if (portions === 0) {
    const least = planBatch({ ...input, portions: 1 });
    const short = ids.find((id) => needed(least, id) > haveKg[id]!)!;
    return { portions: 0, limitedBy: { ingredientId: short, name: name(short) }, leftKg: { ...haveKg } };
  }
  const plan = planBatch({ ...input, portions });
  const left = recordOf(ids.map((id) => [id, haveKg[id]! - needed(plan, id)]));
  // what would run out first with one more is what sets the limit, even where a few grams of it stay
  const more = planBatch({ ...input, portions: portions + 1 });
  const tightest = ids.reduce((a, b) =>
    needed(more, b) / haveKg[b]! > needed(more, a) / haveKg[a]! ? b : a,
  );
  return { portions, limitedBy: { ingredientId: tightest, name: name(tightest) }, leftKg: left };
}

/** Kg as purchased of an ingredient that a plan has fetched, over all its lines: what is kept back for the palate too. */
function fetchedKg(plan: Plan, input: PlanInput, ingredientId: string): number {
  return plan.lines
    .filter((line) => line.ingredientId === ingredientId)
    .reduce((sum, line) => sum + pulledKg(line, input.ingredients[ingredientId]!), 0);
}

/**
 * The most whole portions a plan stays good for; 0 where there is none. Good for n is taken to be good for fewer, but
 * for so few that the pot boils dry.
 */
function mostThat(input: PlanInput, isGood: (plan: Plan) => boolean): number {
  const tooMany = (portions: number) => {
    try {
      return !isGood(planBatch({ ...input, portions }));
    } catch (error) {
      if (!(error instanceof CannotCook)) throw error;
      return error.trouble.code !== 'boilsDry';
    }
  };
  if (tooMany(1)) return 0;
  let low = 1;
  let high = 2;
  while (high < MOST_PORTIONS && !tooMany(high)) {
    low = high;
    high *= 2;
  }
  high = Math.min(high, MOST_PORTIONS + 1);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (tooMany(middle)) high = middle;
    else low = middle;
  }
  // names the stage where even the most of it boils dry
  planBatch({ ...input, portions: low });
  return low;
}
