import { activeEvents } from '../log';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { applied, foldBatch } from './fold-batch';
import { type FoldContext, foldContext } from './fold-context';

/** A log folded to its last event, to be taken up again when more is said. */
export interface FoldedLog {
  readonly events: readonly BatchEvent[];
  /** nothing stands in it: the batch opens with whatever comes first */
  readonly isBlank: boolean;
  readonly state: BatchState;
  readonly context: FoldContext;
}

/**
 * Folds a log that has grown: where it only goes on, the new events are put on top; where it changed in the middle,
 * by an undo, an answer or something said late, it is folded whole.
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
  if (!before || before.isBlank || !goesOn(before.events, events)) {
    const active = activeEvents(events);
    return {
      events,
      isBlank: active.length === 0,
      state: foldBatch(snapshot, events, 0),
      context: foldContext(snapshot, active),
    };
  }
  const state = events
    .slice(before.events.length)
    .reduce((grown, event) => applied(before.context, grown, event), before.state);
  return { ...before, events, state };
}

/** True when a log is another and then some more, each after the one before it, none of it about what went before. */
function goesOn(before: readonly BatchEvent[], events: readonly BatchEvent[]): boolean {
  if (before.length === 0 || events.length < before.length) return false;
  return events.every((event, i) => {
    if (i < before.length) return isSame(event, before[i]!) && (i === 0 || isLater(event, events[i - 1]!));
    return event.type !== 'undone' && event.type !== 'answered' && isLater(event, events[i - 1]!);
  });
}

function isSame(a: BatchEvent, b: BatchEvent): boolean {
  return a === b || (a.id === b.id && a.seq === b.seq && a.actedAtMs === b.actedAtMs);
}

function isLater(event: BatchEvent, than: BatchEvent): boolean {
  return event.actedAtMs > than.actedAtMs || (event.actedAtMs === than.actedAtMs && event.seq > than.seq);
}
