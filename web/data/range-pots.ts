import { useCallback } from 'react';
import { type BatchView, type KitchenView, span } from '../../contract';
import { type Call, callOf, rangeWalk } from '../../core/batch';
import type { BatchCommand } from '../../core/rules';
import { commonWords, nextActionWords } from '../words';
import { useTicking } from './clock';
import { useWaiting, type Waiting } from './outbox';
import { useOpenBatches } from './queries';
import { type LivePot, livePotOrNull } from './use-pot';

/** Minutes a call is put off by one press. */
export const SNOOZE_MIN = 2;

/** What one press says where the cook stands. */
export interface Press {
  text: string;
  said: { batchId: string; body: BatchCommand }[];
}

/** A pot that calls from out of sight. */
export interface Caller {
  batchId: string;
  name: string;
  words: string;
  call: Call;
  /** since when, and who else calls or is walked past with it */
  beside: string;
  /** null where the screen has to be seen first */
  answer: Press | null;
}

export interface RangeCalls {
  hasPots: boolean;
  /** the loudest of all pots, in sight or not: it is what sounds */
  loudest: { call: Call; words: string } | null;
  caller: Caller | null;
}

export const LOUDNESS: Readonly<Record<Call, number>> = { none: 0, due: 1, late: 2, urgent: 3 };
const NO_POTS: readonly BatchView[] = [];

/** Who calls now. The same answer for as long as it reads the same. */
export function useRangeCalls(kitchen: KitchenView, hereId: string | null): RangeCalls {
  const { data: open = NO_POTS } = useOpenBatches();
  const waiting = useWaiting();
  const read = useCallback(
    (nowMs: number) => rangeCalls({ open, waiting, kitchen, hereId, nowMs }),
    [open, waiting, kitchen, hereId],
  );
  return useTicking(kitchen.clock, read);
}

/** A pot with how loudly it calls. */
interface CallingPot {
  batch: BatchView;
  pot: LivePot;
  call: Call;
}

/** The calls of all pots at a moment: the loudest first, look-ins that can be one walk answered together. */
export function rangeCalls(of: {
  open: readonly BatchView[];
  waiting: readonly Waiting[];
  kitchen: KitchenView;
  hereId: string | null;
  nowMs: number;
}): RangeCalls {
  const { kitchen, nowMs } = of;
  const pots = of.open
    .flatMap((batch): CallingPot[] => {
      const pot = livePotOrNull(batch, of.waiting, kitchen, nowMs);
      return pot ? [callingPot(batch, pot, nowMs)] : [];
    })
    .sort((a, b) => LOUDNESS[b.call] - LOUDNESS[a.call]);
  const wordsOf = ({ pot }: CallingPot) => nextActionWords(pot.next, nowMs, kitchen.zone).text;
  const [loudest] = pots;
  const elsewhere = pots.filter((one) => one.batch.id !== of.hereId);
  const [first] = elsewhere;
  return {
    hasPots: pots.length > 0,
    loudest: loudest ? { call: loudest.call, words: `${nameOf(loudest)}: ${wordsOf(loudest)}` } : null,
    caller:
      first && first.call !== 'none'
        ? { ...callerOf(first, pots, elsewhere, nowMs), words: wordsOf(first) }
        : null,
  };
}

function callingPot(batch: BatchView, pot: LivePot, nowMs: number): CallingPot {
  return { batch, pot, call: callOf(asRangePot(batch, pot), nowMs, pot.nextSinceMs) };
}

function callerOf(
  first: CallingPot,
  pots: readonly CallingPot[],
  elsewhere: readonly CallingPot[],
  nowMs: number,
): Omit<Caller, 'words'> {
  const walk = rangeWalk(pots.map(({ batch, pot }) => asRangePot(batch, pot)));
  const isWalkedPast = (one: CallingPot) => walk?.batchIds.includes(one.batch.id) ?? false;
  const together = isWalkedPast(first) ? pots.filter((one) => one !== first && isWalkedPast(one)) : [];
  const others = elsewhere.filter((one) => one.call !== 'none').length - 1;
  const since = first.call === 'due' ? 'now' : commonWords.unansweredFor(span(nowMs - sinceOf(first)));
  const withIt =
    together.length > 0
      ? commonWords.oneWalkWith(together.map((one) => nameOf(one).toLowerCase()).join(' and '))
      : others > 0
        ? commonWords.andMorePotCalls(others)
        : '';
  return {
    batchId: first.batch.id,
    name: nameOf(first),
    call: first.call,
    beside: since + withIt,
    answer:
      together.length > 0
        ? {
            text: commonWords.lookedInOn(together.length + 1),
            said: [first, ...together].flatMap((one) => answerTo(one)?.said ?? []),
          }
        : answerTo(first),
  };
}

/** What answers a want where the cook stands, without going to its screen. */
function answerTo({ batch, pot }: CallingPot): Press | null {
  const { next } = pot;
  switch (next.kind) {
    case 'lookIn': {
      const body = { type: 'looked', payload: { stageId: next.stage.id } } as const;
      return { text: commonWords.lookedInStirred, said: [{ batchId: batch.id, body }] };
    }
    case 'heat': {
      const body = { type: 'heatSet', payload: { fraction: next.fraction } } as const;
      return { text: commonWords.heatIsSet, said: [{ batchId: batch.id, body }] };
    }
    default:
      return null;
  }
}

function asRangePot(batch: BatchView, { next, state }: LivePot) {
  return { batchId: batch.id, next, snoozedUntilMs: state.snoozedUntilMs };
}

function nameOf({ batch }: CallingPot): string {
  return batch.snapshot.input.recipe.name;
}

function sinceOf({ pot }: CallingPot): number {
  const { next } = pot;
  return 'dueMs' in next && next.dueMs !== null ? Math.min(next.dueMs, pot.nowMs) : pot.nextSinceMs;
}
