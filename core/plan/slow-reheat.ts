import { CODE_HOT_LIMITS } from '../safety';
import { orElse } from './cannot-cook';
import { cookThrough, type Load } from './cook-through';
import type { PlanInput, SlowReheat } from './plan';
import { setupOf } from './setup-of';

/**
 * Where a reheated dish takes longer from the cold to its temperature than the kitchen allows; null where it does not,
 * and for what is no reheating.
 *
 * @param load kg of each line
 * @source published: FDA Food Code 2022 § 3-403.11(D), 74 °C within two hours, where a kitchen has no limits of its own
 */
export function slowReheat(input: PlanInput, load: Load): SlowReheat | null {
  if (!input.recipe.reheats) return null;
  const mostMinutes = 60 * (input.limits ?? CODE_HOT_LIMITS).reheatWithinH;
  const minutes = minutesToHot(input, load);
  if (minutes <= mostMinutes) return null;
  const half = Object.fromEntries(Object.entries(load).map(([id, kg]) => [id, kg / 2]));
  const halfMinutes = orElse<number | null>(null, () => minutesToHot(input, half));
  return {
    minutes,
    mostMinutes,
    halfMinutes: halfMinutes !== null && halfMinutes <= mostMinutes ? halfMinutes : null,
  };
}

function minutesToHot(input: PlanInput, load: Load): number {
  const { stages } = cookThrough(input, setupOf(input), load, input.burner.heatFactor.mean);
  const last = stages.findIndex(({ stage }) => stage.ends.rule === 'warm');
  return stages.slice(0, last + 1).reduce((sum, one) => sum + one.minutes, 0);
}
