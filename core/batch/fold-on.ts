import { activeEvents } from '../log';
import { advanceBatch } from './advance-batch';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { applied, foldBatch, openBatch } from './fold-batch';
import { type FoldContext, foldContext } from './fold-context';

/** A log folded to its last event, to be taken up again when more is said. */
export interface FoldedLog {
  readonly events: readonly BatchEvent[];
  readonly state: BatchState;
  readonly context: FoldContext;
  /** states on the way, the newest last, to go on from when something is said a little late */
  readonly marks: readonly Mark[];
}

/** The state when everything up to an event had happened. */
interface Mark {
  after: Moment;
  /** how many events that was */
  count: number;
  state: BatchState;
}

type Moment = Pick<BatchEvent, 'actedAtMs' | 'seq'>;

/** A mark stays after so many events, and so many of them are kept beside the last. */
const MARK_EVERY = 25;
const MARKS = 4;

/**
 * Folds a log that has grown: where it only goes on, the new events are put on top; where something was said a little
 * late, it is folded on from the last mark before; where it changed by an undo or an answer, or further back, it is
 * folded whole.
 *
 * @param snapshot what was decided when the batch started
 * @param before the log as it was folded last, or null
 * @param events the log as it is now, any order; an event of the same id, seq and time is the same
 * @returns the same state as `foldBatch` of those events
 * @throws FoldError as `foldBatch` does
 * @source docs/architecture.md, "A batch is its log"
 */
export function foldOn(
  snapshot: BatchSnapshot,
  before: FoldedLog | null,
  events: readonly BatchEvent[],
): FoldedLog {
  const news = before && newsIn(before.events, events);
  return before && news ? foldMore(snapshot, before, events, news) : foldWhole(snapshot, events);
}

/** A log with one event more; as `foldOn`. */
export function foldWith(snapshot: BatchSnapshot, log: FoldedLog, event: BatchEvent): FoldedLog {
  return foldMore(snapshot, log, [...log.events, event], [event]);
}

function foldMore(
  snapshot: BatchSnapshot,
  before: FoldedLog,
  events: readonly BatchEvent[],
  news: readonly BatchEvent[],
): FoldedLog {
  if (!news.every(isOnlyMore)) return foldWhole(snapshot, events);
  const first = news.reduce<BatchEvent | null>((a, b) => (a && !isLater(a, b) ? a : b), null);
  if (first === null) return { ...before, events };
  const last = before.marks.at(-1);
  if (last && isLater(first, last.after)) return grown(before, events, [...news].sort(later));
  const marks = before.marks.filter((mark) => isLater(first, mark.after));
  const from = marks.at(-1);
  if (!from) return foldWhole(snapshot, events);
  const rest = activeEvents(events).filter((event) => isLater(event, from.after));
  return grown({ ...before, marks, state: from.state }, events, rest);
}

/**
 * A batch at a moment that may lie before its last events.
 *
 * @param atMs the moment wanted
 * @returns the state with what had happened by then, run forward to it
 */
export function foldedAt(snapshot: BatchSnapshot, log: FoldedLog, atMs: number): BatchState {
  const last = log.marks.at(-1);
  if (last && last.after.actedAtMs <= atMs) return advanceBatch(last.state, atMs);
  const from = log.marks.findLast((mark) => mark.after.actedAtMs <= atMs);
  const until = activeEvents(log.events).filter((event) => event.actedAtMs <= atMs);
  const rest = from ? until.filter((event) => isLater(event, from.after)) : until;
  const [first] = until;
  if (!first) return foldBatch(snapshot, [], atMs);
  const start = from?.state ?? openBatch(snapshot, first);
  return advanceBatch(
    rest.reduce((state, event) => applied(log.context, state, event), start),
    atMs,
  );
}

/** A state that was kept, taken for the log it was kept of: nothing is folded. */
export function resumeFold(
  snapshot: BatchSnapshot,
  events: readonly BatchEvent[],
  state: BatchState,
): FoldedLog {
  const active = activeEvents(events);
  const last = active.at(-1);
  return {
    events,
    state,
    context: foldContext(snapshot, active),
    marks: last ? [{ after: last, count: active.length, state }] : [],
  };
}

/** All of it: the long past on one state of its own, the last stretch with a mark here and there. */
function foldWhole(snapshot: BatchSnapshot, events: readonly BatchEvent[]): FoldedLog {
  const active = activeEvents(events);
  const context = foldContext(snapshot, active);
  const cut = Math.max(0, Math.floor(active.length / MARK_EVERY) - MARKS) * MARK_EVERY;
  const past = active.slice(0, cut);
  const alone = foldContext(snapshot, active, true);
  const opened = openBatch(snapshot, active[0]);
  const state = past.reduce((so, event) => applied(alone, so, event), opened);
  const after = past.at(-1);
  const blank = { events, state, context };
  return grown({ ...blank, marks: after ? [{ after, count: cut, state }] : [] }, events, active.slice(cut));
}

/** Events put on top, in the order they happened; the last state is always a mark. */
function grown(before: FoldedLog, events: readonly BatchEvent[], more: readonly BatchEvent[]): FoldedLog {
  let { state } = before;
  let count = before.marks.at(-1)?.count ?? 0;
  const marks = [...before.marks];
  for (const event of more) {
    state = applied(before.context, state, event);
    count += 1;
    marks.push({ after: event, count, state });
  }
  return { ...before, events, state, marks: thinned(marks) };
}

/** The last, and of those before it one in so many. */
function thinned(marks: readonly Mark[]): Mark[] {
  const before = marks.slice(0, -1).filter((mark) => mark.count % MARK_EVERY === 0);
  return [...before.slice(-MARKS), ...marks.slice(-1)];
}

/** What a log has beyond another that it begins with; null where it does not begin with it. */
function newsIn(before: readonly BatchEvent[], events: readonly BatchEvent[]): BatchEvent[] | null {
  if (events.length < before.length) return null;
  for (let i = 0; i < before.length; i++) if (!isSame(events[i]!, before[i]!)) return null;
  return events.slice(before.length);
}

/** It says nothing about what was said before. */
function isOnlyMore(event: BatchEvent): boolean {
  return event.type !== 'undone' && event.type !== 'answered' && event.type !== 'takenBack';
}

function isSame(a: BatchEvent, b: BatchEvent): boolean {
  return a === b || (a.id === b.id && a.seq === b.seq && a.actedAtMs === b.actedAtMs);
}

function later(a: Moment, b: Moment): number {
  return a.actedAtMs - b.actedAtMs || a.seq - b.seq;
}

function isLater(event: Moment, than: Moment): boolean {
  return later(event, than) > 0;
}
