import { stirEveryMin } from '../plan';
import { CATCHES_UNDER, floorMargin, type MayNever, mayNever, type PotState } from '../pot';

import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import type { StageClock } from './stage-clock';
import { topTemperature } from './top-temperature';

/**
 * The chance that a running stage never ends at the heat it has, and a higher one that would end it: never one at which
 * it would catch, nor any while something in it sets a top.
 */
export function mayNeverFinish(
  snapshot: BatchSnapshot,
  state: BatchState,
  { target, stage }: StageClock,
): MayNever | null {
  if (!target) return null;
  const hasTop = topTemperature(snapshot, state) !== null;
  const bears = (heated: PotState) => {
    const margin = floorMargin(state.setup, heated, stirEveryMin(stage, heated));
    return margin === null || margin >= CATCHES_UNDER;
  };
  return mayNever(state.setup, state.pot, target, (heated) => !hasTop && bears(heated));
}
