import { useMemo } from 'react';
import type { BatchView, KitchenView } from '../../contract';
import {
  type BatchEvent,
  type BatchEventBody,
  type BatchState,
  foldBatch,
  type StageClock,
  stageClock,
} from '../../core';
import { kitchenAt, useNowMs } from './clock';
import { useWaiting, type Waiting } from './outbox';

export interface LivePot {
  state: BatchState;
  clock: StageClock | null;
  events: BatchEvent[];
  nowMs: number;
}

/** A batch as it is now: its log, what is still on its way to the server, and the model run to this second. */
export function useLivePot(batch: BatchView, kitchen: KitchenView): LivePot {
  const nowMs = useNowMs();
  const waiting = useWaiting();
  const events = useMemo(() => withWaiting(batch, waiting, kitchen), [batch, waiting, kitchen]);
  return useMemo(() => {
    const [state, taken] = foldWhatCanBe(batch, events, nowMs);
    return { state, clock: stageClock(batch.snapshot, state), events: taken, nowMs };
  }, [batch, events, nowMs]);
}

/** What is on its way may turn out impossible; until the server has said so, the pot goes by what is in its log. */
function foldWhatCanBe(batch: BatchView, events: BatchEvent[], nowMs: number): [BatchState, BatchEvent[]] {
  try {
    return [foldBatch(batch.snapshot, events, nowMs), events];
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return [foldBatch(batch.snapshot, batch.events, nowMs), batch.events];
  }
}

function withWaiting(batch: BatchView, waiting: readonly Waiting[], kitchen: KitchenView): BatchEvent[] {
  const known = new Set(batch.events.map((event) => event.id));
  const lastSeq = batch.events.at(-1)?.seq ?? 0;
  const mine = waiting.filter((item) => item.batchId === batch.id && !item.refused && !known.has(item.id));
  return [
    ...batch.events,
    ...mine.map((item, i) => ({
      ...(item.body as BatchEventBody),
      id: item.id,
      seq: lastSeq + 1 + i,
      actedAtMs: kitchenAt(kitchen.clock, item.actedBrowserMs),
    })),
  ];
}
