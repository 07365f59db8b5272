import { advancePot, type PotState } from '../pot';
import type { BatchState } from './batch-state';
import { copyBatch } from './copy-batch';

/** So long after it was last touched a pot is still run on; then it is taken to stand as it stood, ms. */
const RUN_ON_MS = 72 * 3_600_000;

/** The pot of a batch at a moment, with its heat and lid as they are. Nobody having touched it for days, it stands still. */
export function potAt(state: BatchState, toMs: number): PotState {
  if (toMs <= state.pot.atMs) return state.pot;
  const run = advancePot(state.setup, state.pot, Math.min(toMs, state.touchedMs + RUN_ON_MS));
  return run.atMs < toMs ? { ...run, atMs: toMs } : run;
}

/** Runs a batch forward to a moment; a closed one stands still. */
export function advanceBatch(state: BatchState, toMs: number): BatchState {
  if (state.closed || toMs <= state.pot.atMs) return state;
  const after = copyBatch(state);
  after.pot = potAt(state, toMs);
  return after;
}
