import type { BatchEvent, BatchResult, BatchState, FoldedLog } from '../../core/batch';
import { drawnItems } from '../../core/larder';
import { type BatchRow, placeBatch, settleBatch } from './batch-rows';
import { dropCheckpoint, setBroken } from './head-rows';
import { keepHead, keepLots } from './keep-lots';
import { learnFrom, unlearn } from './learned-rows';
import { keepParts } from './part-rows';
import type { Tx } from './storage';

/** What an entry changed besides the log. */
export interface BatchKept {
  /** the batch's row as it is now */
  row: BatchRow;
  /** lots of which something else is said than before, and what came of them */
  lotIds: string[];
  /** batches drawn off it, or off those, that begin otherwise than before */
  partIds: string[];
  change: 'moved' | 'closed' | 'reopened' | null;
}

/**
 * Moves everything that is kept beside a batch's log to where the log stands now: its place, its frozen result and lots,
 * its line in lists, what it has taught, the ledger of the larder.
 *
 * @param before the batch as it was before the entry
 * @param log with the entry, folded
 * @param event the entry
 * @param result what it came to, where the entry closes it
 */
export function keepBatch(
  tx: Tx,
  before: { row: BatchRow; log: FoldedLog },
  log: FoldedLog,
  event: BatchEvent,
  result: BatchResult | null,
): BatchKept {
  const { row: was } = before;
  const { state } = log;
  const row = { ...was, potId: state.inPot.id, burnerId: state.onBurner.id };
  const isMoved = row.potId !== was.potId || row.burnerId !== was.burnerId;
  if (isMoved) placeBatch(tx, was.id, row);
  const wasClosed = was.closedAtMs !== null;
  const isSettledAnew = (state.closed?.atMs ?? null) !== was.closedAtMs;
  if (isSettledAnew) {
    row.closedAtMs = state.closed?.atMs ?? null;
    row.result = result;
    settleBatch(tx, was.id, row.closedAtMs, result);
    if (wasClosed) unlearn(tx, was.id);
    if (row.closedAtMs !== null && result) {
      learnFrom(tx, { id: was.id, burnerId: row.burnerId, closedAtMs: row.closedAtMs }, result);
      dropCheckpoint(tx, was.id);
    }
  }
  if (isMoved || isSettledAnew) keepHead(tx, row, state);
  const isSaidOfLots = isSettledAnew || movesDraws(event) || movesBirths(before.log.state, state);
  const lotIds = isSaidOfLots ? keepLots(tx, row, log.events, state) : [];
  const { parts } = state;
  const partIds = parts === before.log.state.parts ? [] : keepParts(tx, was.id, state);
  const settled = row.closedAtMs === null ? 'reopened' : 'closed';
  return { row, lotIds, partIds, change: isSettledAnew ? settled : isMoved ? 'moved' : null };
}

/** An entry after which the batch may have drawn something else from lots. */
function movesDraws(event: BatchEvent): boolean {
  return event.type === 'undone' || event.type === 'slip' || drawnItems(event).length > 0;
}

/** Whether other lots are stored, or with other contents: what was folded anew says so by being another object. */
function movesBirths(was: BatchState, is: BatchState): boolean {
  return was.stored.length !== is.stored.length || was.stored.some((lot, i) => lot !== is.stored[i]);
}

/** A batch whose log does not fold is set aside, by itself. */
export function setAside(tx: Tx, batchId: string, broken: { eventId: string | null; why: string }): void {
  setBroken(tx, batchId, broken);
  dropCheckpoint(tx, batchId);
}
