import { kindsOf, litresOfKinds } from '../portions';
import type { Plan, PlanInput } from './plan';

/** What is eaten so much later than the rest is cooled and reheated, not held hot, ms. Common practice. */
const HELD_AT_MOST_MS = 4 * 3_600_000;

/**
 * What of a plan has to be cooled when it is ready, L: all of a base, and of a dish the portions that are eaten so much
 * later that they cannot be held hot till then. Of a base that takes the pot several times, one batch.
 *
 * @returns 0 where all of it is eaten hot
 */
export function litresToCool(
  input: Pick<PlanInput, 'recipe' | 'kinds' | 'portions' | 'portionMl' | 'serviceAtMs'>,
  plan: Pick<Plan, 'yieldLitres' | 'batches'>,
): number {
  if (input.recipe.base) return plan.yieldLitres / plan.batches;
  const later = kindsOf(input).filter(
    ({ laterMs }) => laterMs !== undefined && laterMs - input.serviceAtMs > HELD_AT_MOST_MS,
  );
  return litresOfKinds(later);
}
