import { useMemo } from 'react';
import type { BatchView, KitchenView } from '../../contract';
import { type Call, callOf, type RangeWalk, rangeWalk } from '../../core';
import { useNowMs } from './clock';
import { useWaiting } from './outbox';
import { useOpenBatches } from './queries';
import { type LivePot, livePot } from './use-pot';

/** A pot on the range with how loudly it calls. */
export interface CallingPot {
  batch: BatchView;
  pot: LivePot;
  call: Call;
}

/** Minutes a call is put off by one press. */
export const SNOOZE_MIN = 2;

const LOUDNESS: Readonly<Record<Call, number>> = { none: 0, due: 1, late: 2, urgent: 3 };

/** Every live pot with its call, the loudest first, and the next walk past the range. */
export function useRangePots(kitchen: KitchenView): { pots: CallingPot[]; walk: RangeWalk | null } {
  const { data: open = [] } = useOpenBatches();
  const nowMs = useNowMs();
  const waiting = useWaiting();
  return useMemo(() => {
    const pots = open.map((batch): CallingPot => {
      const pot = livePot(batch, waiting, kitchen.clock, nowMs);
      const { snoozedUntilMs } = pot.state;
      const call = callOf({ batchId: batch.id, want: pot.want, snoozedUntilMs }, nowMs, pot.wantSinceMs);
      return { batch, pot, call };
    });
    const walk = rangeWalk(
      pots.map(({ batch, pot }) => ({
        batchId: batch.id,
        want: pot.want,
        snoozedUntilMs: pot.state.snoozedUntilMs,
      })),
    );
    return { pots: pots.sort((a, b) => LOUDNESS[b.call] - LOUDNESS[a.call]), walk };
  }, [open, waiting, kitchen.clock, nowMs]);
}
