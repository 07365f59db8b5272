import type { BatchEvent, BatchResult, BatchSnapshot, BatchState, FoldedLog } from '../../core/batch';
import {
  drawnEntry,
  drawnItems,
  drawsOfBatch,
  type LotMade,
  lotsOfBatch,
  madeEntry,
  settleLots,
} from '../../core/larder';
import { batchHead } from '../../core/views';
import { type BatchRow, placeBatch, settleBatch } from './batch-rows';
import { dropCheckpoint, setBroken, setHead } from './head-rows';
import { numberLot } from './larder-rows';
import { learnFrom, unlearn } from './learned-rows';
import { freezeBirth, frozenBirths, ledgerStore, setBatchEntries, unfreezeBirths } from './ledger-rows';
import type { Tx } from './storage';

/** What an entry changed besides the log. */
export interface BatchKept {
  /** the batch's row as it is now */
  row: BatchRow;
  /** lots of which something else is said than before, and what came of them */
  lotIds: string[];
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
  const settled = row.closedAtMs === null ? 'reopened' : 'closed';
  return { row, lotIds, change: isSettledAnew ? settled : isMoved ? 'moved' : null };
}

/** The line of a batch in lists. */
export function keepHead(
  tx: Tx,
  row: BatchRow,
  { inPot, onBurner }: Pick<BatchState, 'inPot' | 'onBurner'>,
): void {
  const { id, recipeId, potId, burnerId, createdAtMs, closedAtMs } = row;
  const names = { potName: inPot.name, burnerName: onBurner.name };
  setHead(
    tx,
    batchHead({ id, recipeId, potId, burnerId, createdAtMs, closedAtMs }, row.snapshot, names, row.result),
  );
}

/** An entry after which the batch may have drawn something else from lots. */
function movesDraws(event: BatchEvent): boolean {
  return event.type === 'undone' || event.type === 'slip' || drawnItems(event).length > 0;
}

/** Whether other lots are stored, or with other contents: what was folded anew says so by being another object. */
function movesBirths(was: BatchState, is: BatchState): boolean {
  return was.stored.length !== is.stored.length || was.stored.some((lot, i) => lot !== is.stored[i]);
}

/** What the batch drew and stored, as entries of its lots; those that changed are folded anew. */
export function keepLots(
  tx: Tx,
  row: Pick<BatchRow, 'id' | 'closedAtMs' | 'snapshot'>,
  events: readonly BatchEvent[],
  state: BatchState,
): string[] {
  const births = birthsOf(tx, row, state);
  const touched = setBatchEntries(tx, row.id, entriesOf(row, events, births));
  for (const { birth } of births) if (touched.includes(birth.lotId)) numberLot(tx, birth.lotId);
  return touched.length > 0 ? settleLots(ledgerStore(tx), touched) : [];
}

export function entriesOf(
  { id, snapshot }: { id: string; snapshot: BatchSnapshot },
  events: readonly BatchEvent[],
  births: readonly LotMade[],
) {
  const draws = drawsOfBatch(id, snapshot.input.ingredients, events);
  return [...draws.map(drawnEntry), ...births.map(madeEntry)];
}

/**
 * The lots a batch stored. Those of a closed batch are frozen as they were when it closed; what comes late is frozen as
 * it comes, what is undone goes, and all of them are open again with the batch.
 */
function birthsOf(
  tx: Tx,
  row: Pick<BatchRow, 'id' | 'closedAtMs' | 'snapshot'>,
  state: BatchState,
): LotMade[] {
  const now = lotsOfBatch(row.id, row.snapshot, state);
  const frozen = new Map(frozenBirths(tx, row.id).map((one) => [one.birth.lotId, one]));
  const stands = new Set(row.closedAtMs === null ? [] : now.map((one) => one.birth.lotId));
  unfreezeBirths(
    tx,
    [...frozen.keys()].filter((lotId) => !stands.has(lotId)),
  );
  if (row.closedAtMs === null) return now;
  return now.map((one) => {
    const known = frozen.get(one.birth.lotId);
    if (!known) freezeBirth(tx, row.id, one);
    return known ?? one;
  });
}

/** A batch whose log does not fold is set aside, by itself. */
export function setAside(tx: Tx, batchId: string, broken: { eventId: string | null; why: string }): void {
  setBroken(tx, batchId, broken);
  dropCheckpoint(tx, batchId);
}
