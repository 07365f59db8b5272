import type { BatchView } from '../../contract';
import { type BatchHolds, type BatchState, batchHolds, type WentIn } from '../../core/batch';
import type { Holds } from '../../core/matter';

const known = new WeakMap<
  readonly WentIn[],
  { lotsNow: Readonly<Record<string, Holds>>; holds: BatchHolds }
>();

const NO_LOTS: Readonly<Record<string, Holds>> = {};

/**
 * What a batch holds, worked out once for as long as nothing more goes in: the list of what went in is a new one then.
 *
 * @param lotsNow what the lots it drew from hold as they are known today
 */
export function holdsHere(
  { snapshot }: Pick<BatchView, 'snapshot'>,
  state: BatchState,
  lotsNow: Readonly<Record<string, Holds>> = NO_LOTS,
): BatchHolds {
  const before = known.get(state.wentIn);
  if (before && before.lotsNow === lotsNow) return before.holds;
  const holds = batchHolds(snapshot, state, lotsNow);
  known.set(state.wentIn, { lotsNow, holds });
  return holds;
}
