import { eq } from 'drizzle-orm';
import { FoldError, foldBatch, foldOn, placeAfter } from '../../core/batch';
import { lotsOfBatch, settleLots, shelfEntries } from '../../core/larder';
import { activeEvents } from '../../core/log';
import { allBatchIds, type BatchRow, batchRow, eventRows } from './batch-rows';
import { bringOverLots } from './bring-over-lots';
import { clearHeads, setBroken } from './head-rows';
import { entriesOf, keepHead } from './keep-lots';
import { heatTests } from './kitchen-items';
import { allLarderEvents, numberLot } from './larder-rows';
import { clearLearned, learnFrom, learnTest } from './learned-rows';
import {
  clearLedger,
  freezeBirth,
  frozenBirths,
  ledgerStore,
  setBatchEntries,
  setEntries,
} from './ledger-rows';
import { keepParts, rebuildPartArrows } from './part-rows';
import { projections } from './projection-schema';
import { rebuildRecipeHeads } from './recipe-rows';
import type { Db, Storage, Tx } from './storage';

/**
 * The version of each projection: raised where what it keeps, or how it is made, changes. A file whose projections are
 * of another version has them made anew as it is opened.
 */
export const PROJECTIONS: Readonly<Record<string, number>> = {
  recipes: 1,
  batches: 4,
  larder: 4,
  learned: 7,
};

/** True where anything that is kept is of another version, or was never made. */
export function isOutOfDate(db: Db): boolean {
  const kept = new Map(
    db
      .select()
      .from(projections)
      .all()
      .map((row) => [row.name, row.v]),
  );
  return Object.entries(PROJECTIONS).some(([name, v]) => kept.get(name) !== v);
}

/** What was made anew. */
export interface Rebuilt {
  batches: number;
  /** set aside: their log does not fold */
  broken: number;
  lots: number;
}

/** Makes anew all that is kept of the log, in one transaction: throws nothing away that is written down. */
export function rebuild(storage: Pick<Storage, 'transact'>): Rebuilt {
  return storage.transact((tx) => {
    clearHeads(tx);
    clearLedger(tx);
    clearLearned(tx);
    rebuildRecipeHeads(tx);
    bringOverLots(tx);
    const lotIds: string[] = [];
    const closed: { id: string; closedAtMs: number }[] = [];
    let broken = 0;
    const ids = allBatchIds(tx);
    for (const id of ids) {
      const done = remade(tx, id);
      lotIds.push(...done.lotIds);
      if (done.isBroken) broken += 1;
      if (done.closedAtMs !== null) closed.push({ id, closedAtMs: done.closedAtMs });
    }
    for (const event of activeEvents(allLarderEvents(tx)))
      lotIds.push(...setEntries(tx, event.id, shelfEntries(event)));
    settleLots(ledgerStore(tx), new Set(lotIds));
    rebuildPartArrows(tx);
    closed.sort((a, b) => a.closedAtMs - b.closedAtMs || (a.id < b.id ? -1 : 1));
    for (const { id } of closed) relearn(tx, id);
    for (const test of heatTests(tx)) learnTest(tx, test);
    for (const [name, v] of Object.entries(PROJECTIONS)) {
      tx.delete(projections).where(eq(projections.name, name)).run();
      tx.insert(projections).values({ name, v }).run();
    }
    return { batches: ids.length, broken, lots: new Set(lotIds).size };
  });
}

interface Remade {
  lotIds: string[];
  closedAtMs: number | null;
  isBroken: boolean;
}

/** One batch's line in lists and entries of lots. A closed one is not folded again: what it came to is frozen. */
function remade(tx: Tx, id: string): Remade {
  try {
    const row = batchRow(tx, id)!;
    const events = eventRows(tx, id);
    const { inPot, onBurner, births, parts } = standing(tx, row, events);
    keepHead(tx, row, { inPot, onBurner });
    // what was drawn off a closed one stands as it was frozen
    if (parts) keepParts(tx, id, { parts });
    const lotIds = setBatchEntries(tx, id, entriesOf(row, events, births));
    for (const { birth } of births) numberLot(tx, birth.lotId);
    return { lotIds, closedAtMs: row.closedAtMs, isBroken: false };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const eventId = error instanceof FoldError ? error.eventId : null;
    setBroken(tx, id, { eventId, why: error.message });
    return { lotIds: [], closedAtMs: null, isBroken: true };
  }
}

function standing(tx: Tx, row: BatchRow, events: ReturnType<typeof eventRows>) {
  const frozen = frozenBirths(tx, row.id);
  const active = activeEvents(events);
  const stored = active.filter((event) => event.type === 'stored');
  const isFrozen =
    row.closedAtMs !== null && stored.every((one) => frozen.some((two) => two.eventId === one.id));
  if (isFrozen) {
    // what came after closing is kept, and changes nothing
    const closing = active.findIndex((event) => event.type === 'closed');
    const { pot, burner } = placeAfter(active.slice(0, Math.max(0, closing)), row.snapshot);
    return { inPot: pot, onBurner: burner, births: frozen, parts: null };
  }
  const state =
    row.closedAtMs === null
      ? foldOn(row.snapshot, null, events).state
      : foldBatch(row.snapshot, events, row.closedAtMs);
  const births = lotsOfBatch(row.id, row.snapshot, state);
  if (row.closedAtMs !== null) for (const birth of births) freezeBirth(tx, row.id, birth);
  const { inPot, onBurner } = state;
  return { inPot, onBurner, births, parts: row.closedAtMs === null ? state.parts : null };
}

function relearn(tx: Tx, id: string): void {
  const row = batchRow(tx, id)!;
  if (row.result && row.closedAtMs !== null)
    learnFrom(tx, { id, burnerId: row.burnerId, closedAtMs: row.closedAtMs }, row.result);
}
