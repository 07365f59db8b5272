import { useCallback } from 'react';
import { type BatchView, type KitchenView, span } from '../../contract';
import {
  advanceBatch,
  type BatchEvent,
  type BatchEventBody,
  type BatchState,
  type FoldedLog,
  foldOn,
  type NextAction,
  nextAction,
  type StageClock,
  stageClock,
  wantedSinceMs,
} from '../../core/batch';
import { NOTHING_KNOWN } from '../../core/order';
import { potLitres } from '../../core/pot';
import { type BatchCommand, eventOfCommand, type KitchenFacts, upcastCommand } from '../../core/rules';
import { kitchenAt, useTicking } from './clock';

import { useWaiting, type Waiting } from './outbox';

export interface LivePot {
  state: BatchState;
  clock: StageClock | null;
  events: readonly BatchEvent[];
  nowMs: number;
  next: NextAction;
  /** since when it has wanted that, kitchen time */
  nextSinceMs: number;
}

/** A forecast holds for a minute of kitchen time before it is made anew; an event makes it anew at once. */
const FORECAST_HOLDS_MS = 60_000;
/** The pot is run up to whole minutes and kept there, so that a second costs one step and not an evening. */
const KEPT_EVERY_MS = 60_000;

/** One batch being run along: folded as its log grows, then moved on as the clock goes. */
interface Running {
  /** the server's log as it was folded last; what waits to be sent is put on top of it */
  log: FoldedLog;
  waiting: readonly Waiting[];
  clockView: KitchenView['clock'];
  /** since when it has wanted what it wants, by what it is */
  since: { key: string; sinceMs: number } | null;
  events: readonly BatchEvent[];
  folded: BatchState;
  kept: BatchState;
  clock: StageClock | null;
  clockAtMs: number;
  live: LivePot | null;
}
const running = new Map<string, Running>();

/** A pot's own screen shows minutes, tenths of a litre and whole degrees: it is drawn so often, unless it has news. */
const DRAWN_EVERY_MS = 5000;
const SEEN = { litres: 0.05, tempC: 0.5 } as const;

/** A batch as it is now: its log, what is still on its way to the server, and the model run to this moment. */
export function useLivePot(batch: BatchView, kitchen: KitchenView): LivePot {
  const waiting = useWaiting();
  const read = useCallback(
    (nowMs: number) => livePot(batch, waiting, kitchen, nowMs),
    [batch, waiting, kitchen],
  );
  return useTicking(kitchen.clock, read, newsOf);
}

/** The pot before, for as long as the one now would look the same. */
export function newsOf(before: LivePot, now: LivePot): LivePot {
  const isOld =
    Math.abs(now.nowMs - before.nowMs) >= DRAWN_EVERY_MS ||
    now.events !== before.events ||
    now.clock !== before.clock ||
    keyOf(now.next) !== keyOf(before.next) ||
    minutesTo(now) !== minutesTo(before) ||
    Math.abs(now.state.pot.tempC - before.state.pot.tempC) >= SEEN.tempC ||
    Math.abs(potLitres(now.state.pot) - potLitres(before.state.pot)) >= SEEN.litres;
  return isOld ? now : before;
}

/** Minutes to what is wanted, as they are shown: the range and the pot’s own screen turn them at the same moment. */
function minutesTo({ next, nowMs }: LivePot): string | null {
  return 'dueMs' in next && next.dueMs !== null ? span(next.dueMs - nowMs) : null;
}

/** What is known here of lots and foods, for what waits to be sent: the server says it once more when it takes it in. */
let house: Pick<KitchenFacts, 'lot' | 'food'> = { lot: () => undefined, food: () => undefined };

export function lookUpIn(known: typeof house): void {
  house = known;
}

/** What of the kitchen a pot asks for. */
export type PotKitchen = Pick<KitchenView, 'clock' | 'pots' | 'burners' | 'equipment'>;

/** The same outside a component: every part of the page that asks in one second gets one answer. */
export function livePot(
  batch: BatchView,
  waiting: readonly Waiting[],
  kitchen: PotKitchen,
  nowMs: number,
): LivePot {
  const clockView = kitchen.clock;
  const before = running.get(batch.id);
  const mine = waitingOf(batch.id, waiting, before?.waiting);
  const isSame =
    before !== undefined &&
    isSameLog(before.log.events, batch.events) &&
    before.waiting === mine &&
    before.clockView === clockView;
  if (isSame && before.live?.nowMs === nowMs) return before.live;
  const run = isSame ? before : foldAnew(before ?? null, batch, mine, kitchen);
  if (nowMs < run.kept.pot.atMs) run.kept = run.folded;
  const wholeMs = Math.floor(nowMs / KEPT_EVERY_MS) * KEPT_EVERY_MS;
  run.kept = advanceBatch(run.kept, wholeMs);
  const state = advanceBatch(run.kept, nowMs);
  // a forecast is made anew on a grid of its own for each pot, the same on every tablet, and at each event
  const clockAtMs = gridded(nowMs, batch.id);
  if (!isSame || clockAtMs !== run.clockAtMs) {
    run.clock = stageClock(batch.snapshot, state);
    run.clockAtMs = clockAtMs;
  }
  const next = nextAction(batch.snapshot, state, run.clock, nowMs);
  const key = keyOf(next);
  if (run.since?.key !== key)
    run.since = { key, sinceMs: wantedSinceMs(batch.snapshot, run.events, state, next, nowMs) };
  const nextSinceMs = run.since.sinceMs;
  const live = { state, clock: run.clock, events: run.events, nowMs, next, nextSinceMs };
  run.live = live;
  running.set(batch.id, run);
  return live;
}

/** The same where a pot may be set aside, or the model may have no answer for it: null, and the others go on. */
export function livePotOrNull(
  batch: BatchView,
  waiting: readonly Waiting[],
  kitchen: PotKitchen,
  nowMs: number,
): LivePot | null {
  if (batch.broken) return null;
  try {
    return livePot(batch, waiting, kitchen, nowMs);
  } catch (error) {
    if (!unworked.has(batch.id)) console.error(`batch ${batch.id} cannot be worked out`, error);
    unworked.add(batch.id);
    return null;
  }
}
const unworked = new Set<string>();

/** A batch's log as it is here: the server's, with what waits to be sent on top. */
export function logHere(batch: BatchView, waiting: readonly Waiting[], kitchen: PotKitchen): FoldedLog {
  const log = foldOn(batch.snapshot, running.get(batch.id)?.log ?? null, batch.events);
  return foldWhatCanBe(batch, log, withWaiting(batch, waitingOf(batch.id, waiting), kitchen));
}

function foldAnew(
  before: Running | null,
  batch: BatchView,
  waiting: readonly Waiting[],
  kitchen: PotKitchen,
): Running {
  const log = foldOn(batch.snapshot, before?.log ?? null, batch.events);
  const whole = foldWhatCanBe(batch, log, withWaiting(batch, waiting, kitchen));
  return {
    log,
    waiting,
    clockView: kitchen.clock,
    // what only goes on wants the same since the same; what changed further back may not
    since: before && isGrown(before.log.events, batch.events) ? before.since : null,
    events: whole.events,
    folded: whole.state,
    kept: whole.state,
    clock: null,
    clockAtMs: Number.NaN,
    live: null,
  };
}

/** The list of open batches and the batch itself come by two ways: the same log, not the same array. */
function isSameLog(a: readonly BatchEvent[], b: readonly BatchEvent[]): boolean {
  return a === b || (a.length === b.length && a.every((event, i) => event.id === b[i]!.id));
}

/** The last moment of a pot's own minute grid: twenty pots are not all computed in one second. */
function gridded(nowMs: number, id: string): number {
  let sum = 0;
  for (const char of id) sum = (sum * 31 + char.charCodeAt(0)) % 997;
  const offsetMs = Math.round((FORECAST_HOLDS_MS * sum) / 997);
  return Math.floor((nowMs - offsetMs) / FORECAST_HOLDS_MS) * FORECAST_HOLDS_MS + offsetMs;
}

/** Events were only added, each after those before, none of them an undo or an answer. */
function isGrown(before: readonly BatchEvent[], events: readonly BatchEvent[]): boolean {
  return (
    events.length >= before.length &&
    before.every((event, i) => event.id === events[i]!.id) &&
    events
      .slice(before.length)
      .every(
        (event) =>
          event.type !== 'undone' &&
          event.type !== 'answered' &&
          event.actedAtMs >= (before.at(-1)?.actedAtMs ?? 0),
      )
  );
}

/** What tells one want from the next: its kind and its stage, not its minute. */
function keyOf(next: NextAction): string {
  return 'stage' in next ? `${next.kind} ${next.stage.id}` : next.kind;
}

/** What is on its way may turn out impossible; until the server has said so, the pot goes by what is in its log. */
function foldWhatCanBe(batch: BatchView, log: FoldedLog, events: readonly BatchEvent[]): FoldedLog {
  try {
    return foldOn(batch.snapshot, log, events);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return log;
  }
}

/** What waits to be sent of one batch; the list before, where it is the same. */
function waitingOf(
  batchId: string,
  waiting: readonly Waiting[],
  before: readonly Waiting[] = [],
): readonly Waiting[] {
  const mine = waiting.filter((item) => item.batchId === batchId && !item.refused);
  return mine.length === before.length && mine.every((item, i) => item === before[i]) ? before : mine;
}

function withWaiting(
  batch: BatchView,
  waiting: readonly Waiting[],
  kitchen: PotKitchen,
): readonly BatchEvent[] {
  if (waiting.length === 0) return batch.events;
  const known = new Set(batch.events.map((event) => event.id));
  const lastSeq = batch.events.at(-1)?.seq ?? 0;
  const more = waiting
    .filter((item) => !known.has(item.id))
    .flatMap((item, i): BatchEvent[] => {
      const actedAtMs = kitchenAt(kitchen.clock, item.actedBrowserMs);
      const body = bodyOf(item, batch, kitchen, actedAtMs);
      return body ? [{ ...body, id: item.id, seq: lastSeq + 1 + i, actedAtMs }] : [];
    });
  return [...batch.events, ...more];
}

/** What waits as the event it will be; null for what is not known here. */
function bodyOf(
  item: Waiting,
  { snapshot }: BatchView,
  { pots, burners, equipment }: PotKitchen,
  actedAtMs: number,
): BatchEventBody | null {
  try {
    const command = upcastCommand(item) as BatchCommand;
    const placed = eventOfCommand(
      { pots, burners, equipment, learned: NOTHING_KNOWN, ...house },
      snapshot,
      command,
      actedAtMs,
    );
    return 'body' in placed ? placed.body : null;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
