import { typedNumber } from '../../../contract';
import type { Recipe } from '../../../core/recipe';
import { reducedSaltPercent } from '../../../core/salt';
import { Button } from '../../components/button';
import { Soft } from '../../components/text';
import { percent, planWords } from '../../words';
import type { Order } from './use-order';

/** Under this no dish is salted worth speaking of, percent. */
const LEAST_PERCENT = 0.1;

/** The order at a quarter less salt than its recipe, in one press. */
export function LessSalt({ order, recipe }: { order: Order; recipe: Recipe }) {
  const reduced = reducedSaltPercent(recipe.targetSaltPercent);
  const asked = typedNumber(order.draft.saltPercent);
  if (recipe.base || reduced < LEAST_PERCENT || asked === null || asked <= reduced) return null;
  return (
    <Button kind="quiet" onPress={() => order.change({ saltPercent: String(reduced) })}>
      {planWords.aQuarterLessSalt(percent(reduced))}
    </Button>
  );
}

/** What can be said for a dish with less salt. */
export function SaltReduced({ order, recipe }: { order: Order; recipe: Recipe }) {
  const asked = typedNumber(order.draft.saltPercent);
  const isReduced = !recipe.base && asked === reducedSaltPercent(recipe.targetSaltPercent) && asked > 0;
  return isReduced ? <Soft>{planWords.saltReduced}</Soft> : null;
}
