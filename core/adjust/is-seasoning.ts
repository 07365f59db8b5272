import { own } from '../own';
import type { Scale } from '../taste';
import { COLOUR_ROADS } from './data/colour-roads';
import { AGAINST, MORE_OF } from './data/taste-roads';

/** True for what is put in for a scale's own sake; what only thins it is no part of a recipe. */
export function isSeasoning(scale: Scale, ingredientId: string, dishColour: string): boolean {
  const colours = own(COLOUR_ROADS, dishColour);
  const roads =
    scale === 'salt'
      ? []
      : scale === 'colour'
        ? [...(colours?.deeper ?? []), ...(colours?.paler ?? [])]
        : [...MORE_OF[scale], ...AGAINST[scale]];
  return roads.some((road) => road.ingredientId === ingredientId);
}
