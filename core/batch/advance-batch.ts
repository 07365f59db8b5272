import { advancePot } from '../pot/advance-pot';
import type { BatchState } from './batch-state';
import { withPot } from './with-pot';

/** Runs a batch forward to a moment; a closed one stands still. */
export function advanceBatch(state: BatchState, toMs: number): BatchState {
  if (state.closed || toMs <= state.pot.atMs) return state;
  return withPot(state, advancePot(state.setup, state.pot, toMs));
}
