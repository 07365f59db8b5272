import { advancePot } from '../pot';
import type { BatchState } from './batch-state';
import { copyBatch } from './copy-batch';

/** Runs a batch forward to a moment; a closed one stands still. */
export function advanceBatch(state: BatchState, toMs: number): BatchState {
  if (state.closed || toMs <= state.pot.atMs) return state;
  const after = copyBatch(state);
  after.pot = advancePot(state.setup, state.pot, toMs);
  return after;
}
