import {
  advanceBatch,
  type BatchEvent,
  type BatchSnapshot,
  FoldError,
  type FoldedLog,
  foldOn,
} from '../batch';
import type { BatchCommand } from './batch-command';
import { type Decision, refused } from './decision';
import { outlook } from './outlook';
import { refuseTime, type SaidAt } from './times';

/** A batch that is set aside: its log does not fold. */
export interface BrokenFacts {
  /** null where it cannot be read */
  snapshot: BatchSnapshot | null;
  /** an entry of that id is in its log, one that can be read or not */
  hasEvent: (eventId: string) => boolean;
  /** its log as it would stand with an entry undone, without what cannot be read; throws where it cannot be read */
  eventsWithout: (eventId: string) => readonly BatchEvent[];
  startedAtMs: number;
}

export interface MendingDecision {
  event: BatchEvent;
  /** the log folded, where it folds now; null where something in it still stops it */
  log: FoldedLog | null;
  /** the entry at which it still stops, where that is known */
  stopsAt: string | null;
}

/**
 * Whether something may be said of a batch that is set aside: one entry of it may be undone, until the log folds again.
 *
 * @param batch as it is
 * @param said the entry, with the id it will have
 * @param at when it happened and when it arrived
 */
export function decideMending(
  batch: BrokenFacts,
  said: { id: string; command: BatchCommand },
  at: SaidAt,
): Decision<MendingDecision> {
  const wrongTime = refuseTime(at, batch.startedAtMs);
  if (wrongTime) return refused(wrongTime);
  if (said.command.type !== 'undone') return refused({ field: 'type', code: 'batchBroken' });
  const { eventId } = said.command.payload;
  if (!batch.hasEvent(eventId)) return refused({ field: 'payload.eventId', code: 'unknownEvent', eventId });
  const event: BatchEvent = { ...said.command, id: said.id, seq: at.seq, actedAtMs: at.actedAtMs };
  const { snapshot } = batch;
  if (!snapshot) return { ok: true, event, log: null, stopsAt: null };
  try {
    const log = foldOn(snapshot, null, [...batch.eventsWithout(eventId), event]);
    outlook(snapshot, advanceBatch(log.state, at.nowMs), at.nowMs);
    return { ok: true, event, log, stopsAt: null };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: true, event, log: null, stopsAt: error instanceof FoldError ? error.eventId : null };
  }
}
