import type { BatchView, LotLabel } from '../../contract';
import { type BatchHolds, type BatchState, batchHolds, type WentIn } from '../../core/batch';
import { recordOf } from '../../core/own';

const known = new WeakMap<readonly WentIn[], { lots: readonly LotLabel[]; holds: BatchHolds }>();

const NO_LOTS: readonly LotLabel[] = [];

/**
 * What a batch holds, worked out once for as long as nothing more goes in and no lot of it changes: the lists are new ones
 * then.
 *
 * @param lots the lots it drew from, with what they hold as they are known today
 */
export function holdsHere(
  { snapshot }: Pick<BatchView, 'snapshot'>,
  state: BatchState,
  lots: readonly LotLabel[] = NO_LOTS,
): BatchHolds {
  const before = known.get(state.wentIn);
  if (before && before.lots === lots) return before.holds;
  const holds = batchHolds(snapshot, state, recordOf(lots.map((lot) => [lot.id, lot])));
  known.set(state.wentIn, { lots, holds });
  return holds;
}
