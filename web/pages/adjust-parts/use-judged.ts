import { useMemo } from 'react';
import type { BatchHere } from '../batch-frame';

/** A pot is judged anew when something is said of it, and else so often, ms: a mouth is no faster. */
const ANEW_MS = 15_000;

/** What is worked out of a batch, kept while nothing has been said and little time has gone by. */
export function useJudged<Judged>(here: BatchHere, judge: () => Judged, asked: readonly unknown[]): Judged {
  const { events, nowMs } = here.pot;
  // the pot stands for its entries and the time, by design
  return useMemo(judge, [here.batch.id, events.length, Math.floor(nowMs / ANEW_MS), ...asked]);
}
