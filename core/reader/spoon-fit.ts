import type { Recipe } from '../recipe';
import { edgeOf } from './method-sentences';

/** Pieces larger than this do not go on a spoon with some soup, cm; common practice, 2 in a chowder. */
export const SPOON_CM = 1.5;

/** Lines whose cut does not fit the recipe's spoon: they stay in the bowl and were cut larger. */
export function tooBigForSpoon(recipe: Recipe): { lineId: string; edgeCm: number; spoonCm: number }[] {
  const spoonCm = recipe.spoonCm ?? SPOON_CM;
  return recipe.lines.flatMap((line) => {
    const edgeCm = line.cut && !line.comesOut && /dice|cube|chunk/i.test(line.cut) ? edgeOf(line.cut) : null;
    return edgeCm !== null && edgeCm > spoonCm + 1e-9 ? [{ lineId: line.id, edgeCm, spoonCm }] : [];
  });
}
