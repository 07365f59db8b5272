import { baseRecipe } from '../bases';
import { INGREDIENT_BY_ID } from '../matter';

import { cookOnPaper } from './cook-on-paper';

const known = new Map<string, number>();

/**
 * Minutes a kind of base takes as it ships, in a pot that suits it, straining included; cooling is another matter.
 *
 * @param kindId one of `BASE_KINDS`
 * @throws RangeError for an unknown kind
 *
 * @example baseMinutes('blond-roux') // => 6
 */
export function baseMinutes(kindId: string): number {
  const before = known.get(kindId);
  if (before !== undefined) return before;
  const { minutes } = cookOnPaper({ recipe: baseRecipe(kindId), ingredients: INGREDIENT_BY_ID });
  known.set(kindId, minutes);
  return minutes;
}
