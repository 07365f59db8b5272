import { advancePot, type PotState } from '../pot';
import type { BatchState } from './batch-state';
import { copyBatch } from './copy-batch';
import { cookedOn } from './dosed';

/** So long after it was last touched a pot is still run on; then it is taken to stand as it stood, ms. */
const RUN_ON_MS = 72 * 3_600_000;

/** The pot of a batch at a moment, with its heat and lid as they are. Nobody having touched it for days, it stands still. */
function potAt(state: BatchState, toMs: number): PotState {
  if (toMs <= state.pot.atMs) return state.pot;
  const run = advancePot(state.setup, state.pot, Math.min(toMs, state.touchedMs + RUN_ON_MS));
  return run.atMs < toMs ? { ...run, atMs: toMs } : run;
}

/** The pot at a moment, and what was put in to thicken it as far as it has cooked out. */
export const runTo = (state: BatchState, toMs: number): Pick<BatchState, 'pot' | 'dosed'> =>
  cookedOn(state, potAt(state, toMs));

/** Runs a batch forward to a moment; a closed one stands still. */
export function advanceBatch(state: BatchState, toMs: number): BatchState {
  if (state.closed || toMs <= state.pot.atMs) return state;
  const after = copyBatch(state);
  return Object.assign(after, runTo(state, toMs));
}
