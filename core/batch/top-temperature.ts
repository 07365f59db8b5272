import { totalKg } from '../matter';
import { type AskedTop, lowestTop } from '../plan';
import { type LeastTemperature, leastTemperature } from '../safety';

import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { kgByFood, rowsInPot } from './went-in';

/** The hottest the pot may get from now on, and the least it must have where there is a legal minimum. */
export interface TopTemperature extends AskedTop {
  /** a minimum that holds at the same time, °C, with its section of the code; null where there is none */
  least: LeastTemperature | null;
  /** both cannot be kept with three kelvin to spare: the licensed person decides */
  collides: boolean;
}

/** A minimum and a top closer than this leave no room to hold between, K. */
const ROOM_K = 3;

/**
 * What the pot may not get hotter than, from what is in it and from the stages it has come to.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch now
 * @returns the lowest of them, or null where nothing in the pot minds
 * @source rules in `safety/data/top-temperatures.ts`; minima FDA Food Code 2022
 */
export function topTemperature(snapshot: BatchSnapshot, state: BatchState): TopTemperature | null {
  const { recipe } = snapshot.input;
  const ingredients = rowsInPot(snapshot, state);
  if (totalKg(state.pot.mixture.liquid) === 0) return null;
  const begun = state.stages.flatMap(({ stageId, begunMs }) => {
    const stage = recipe.stages.find((one) => one.id === stageId);
    return stage && begunMs !== null ? [stage] : [];
  });
  const lowest = lowestTop({ ingredients, pot: state.pot, kgById: kgByFood(state), begun });
  if (!lowest) return null;
  const least = leastOf(snapshot, state);
  return { ...lowest, least, collides: least !== null && lowest.tempC < least.tempC + ROOM_K };
}

/** It is over its top, and what heats it would keep it there. */
export function isHeatedOver(
  { tempC, heatFraction, keptC }: Pick<BatchState['pot'], 'tempC' | 'heatFraction' | 'keptC'>,
  top: Pick<TopTemperature, 'tempC'>,
): boolean {
  return tempC > top.tempC && (heatFraction > 0 || (keptC !== undefined && keptC > top.tempC));
}

/** The highest minimum that the food in the pot has to have reached, or to be held at while it is served. */
function leastOf(snapshot: BatchSnapshot, state: BatchState): TopTemperature['least'] {
  const { recipe, limits } = snapshot.input;
  const rows = rowsInPot(snapshot, state);
  const isServed = recipe.stages.find((stage) => stage.id === state.currentStageId)?.ends.rule === 'served';
  return leastTemperature({
    kinds: state.wentIn.flatMap(({ ingredientId, kg }) => (kg > 0 ? (rows[ingredientId]?.kind ?? []) : [])),
    isServed,
    isReheated: recipe.reheats !== undefined,
    ...(limits ? { limits } : {}),
  });
}
