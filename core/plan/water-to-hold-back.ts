import type { Recipe } from '../recipe';
import type { Plan } from './plan';

/**
 * Water of a plan that ends in the dish, kg: what is poured away again, after bones or greens were blanched in it, is none.
 *
 * @param recipe the stages in their order
 */
export function waterToHoldBack({ stages }: Pick<Recipe, 'stages'>, { lines }: Pick<Plan, 'lines'>): number {
  const drained = stages.findLastIndex((stage) => stage.does?.kind === 'drain');
  const kept = new Set(stages.slice(drained + 1).map((stage) => stage.id));
  return lines.reduce(
    (kg, line) =>
      line.ingredientId === 'water' && !line.perBowl && kept.has(line.stageId) ? kg + line.edibleKg : kg,
    0,
  );
}
