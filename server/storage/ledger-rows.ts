import { and, desc, eq, gt, inArray, lt, or, sql } from 'drizzle-orm';
import {
  type Arrow,
  type FoldedLot,
  isEmptyTub,
  isOverdrawn,
  type LedgerStore,
  type Lot,
  type LotEntry,
  type LotMade,
  type TraceKey,
} from '../../core/larder';
import { MODEL_VERSION } from '../../core/plan';
import { learnFilm } from './learned-rows';
import { prepared } from './prepared';
import { arrows, keptLots, lotEntries, strayEntries } from './projection-schema';
import { lotBirths } from './schema';
import type { Db, Tx } from './storage';

/** The ledger as it is kept: what the model folds lots from and puts them down in. */
export function ledgerStore(tx: Tx): LedgerStore {
  return {
    entriesOf: (lotId) => entriesOfLot(tx, lotId),
    drawsOf: (batchId) =>
      tx
        .select({ entry: lotEntries.entry })
        .from(lotEntries)
        .where(eq(lotEntries.batchId, batchId))
        .all()
        .flatMap(({ entry }) => (entry.kind === 'drawn' ? [entry] : [])),
    madeBy: (batchId) =>
      tx
        .select({ lotId: keptLots.lotId })
        .from(keptLots)
        .where(eq(keptLots.madeByBatchId, batchId))
        .all()
        .map((row) => row.lotId),
    born: (lotId) =>
      tx.select({ born: keptLots.born }).from(keptLots).where(eq(keptLots.lotId, lotId)).get()?.born ?? null,
    keep: (lotId, folded) => keepLot(tx, lotId, folded),
  };
}

function entriesOfLot(db: Db, lotId: string): LotEntry[] {
  return prepared(db, 'entries of lot', () =>
    db
      .select({ entry: lotEntries.entry })
      .from(lotEntries)
      .where(eq(lotEntries.lotId, sql.placeholder('lotId')))
      .prepare(),
  )
    .all({ lotId })
    .map((row) => row.entry);
}

function keepLot(tx: Tx, lotId: string, { lot, born, arrows: own, strayEventIds }: FoldedLot): void {
  learnFilm(tx, lotId, lot);
  tx.delete(strayEntries).where(eq(strayEntries.lotId, lotId)).run();
  tx.delete(arrows).where(eq(arrows.lotId, lotId)).run();
  for (const eventId of new Set(strayEventIds)) tx.insert(strayEntries).values({ lotId, eventId }).run();
  if (own.length > 0)
    tx.insert(arrows)
      .values(own.map((arrow) => ({ ...arrow, lotId })))
      .run();
  if (!lot || !born) {
    tx.delete(keptLots).where(eq(keptLots.lotId, lotId)).run();
    return;
  }
  const { origin } = lot;
  const row = {
    madeByBatchId: origin.kind === 'batch' ? origin.batchId : null,
    bornAtMs: lot.bornAtMs,
    leftKg: lot.leftKg,
    isOnShelf: !isEmptyTub(lot.leftKg) || isOverdrawn(lot.leftKg),
    tagFromMs: lot.tags.length > 0 ? Math.max(lot.bornAtMs, lot.lastDrawnMs ?? 0) : null,
    born,
    lot,
  };
  tx.insert(keptLots)
    .values({ lotId, ...row })
    .onConflictDoUpdate({ target: keptLots.lotId, set: row })
    .run();
}

/** Sets what one event says of lots: what it said before goes. Gives back every lot that is touched. */
export function setEntries(tx: Tx, eventId: string, entries: readonly LotEntry[]): string[] {
  const was = tx
    .select({ lotId: lotEntries.lotId })
    .from(lotEntries)
    .where(eq(lotEntries.eventId, eventId))
    .all()
    .map((row) => row.lotId);
  if (was.length > 0) tx.delete(lotEntries).where(eq(lotEntries.eventId, eventId)).run();
  insertEntries(tx, entries);
  return [...new Set([...was, ...entries.map((entry) => entry.lotId)])];
}

/** Sets what a batch says of lots, all of it; only lots of which it says something else than before are touched. */
export function setBatchEntries(tx: Tx, batchId: string, entries: readonly LotEntry[]): string[] {
  const was = tx
    .select({ entry: lotEntries.entry })
    .from(lotEntries)
    .where(eq(lotEntries.batchId, batchId))
    .all()
    .map((row) => row.entry);
  const saidOf = (list: readonly LotEntry[], lotId: string) =>
    JSON.stringify(list.filter((entry) => entry.lotId === lotId));
  const lotIds = [...new Set([...was, ...entries].map((entry) => entry.lotId))];
  const touched = lotIds.filter((lotId) => saidOf(was, lotId) !== saidOf(entries, lotId));
  if (touched.length === 0) return [];
  tx.delete(lotEntries)
    .where(and(eq(lotEntries.batchId, batchId), inArray(lotEntries.lotId, touched)))
    .run();
  insertEntries(
    tx,
    entries.filter((entry) => touched.includes(entry.lotId)),
    batchId,
  );
  return touched;
}

function insertEntries(tx: Tx, entries: readonly LotEntry[], batchId: string | null = null): void {
  const seen = new Map<string, number>();
  for (const entry of entries) {
    const key = `${entry.lotId} ${entry.eventId}`;
    const n = seen.get(key) ?? 0;
    seen.set(key, n + 1);
    tx.insert(lotEntries).values({ lotId: entry.lotId, eventId: entry.eventId, n, batchId, entry }).run();
  }
}

export function clearLedger(tx: Tx): void {
  for (const table of [lotEntries, keptLots, strayEntries, arrows]) tx.delete(table).run();
}

/** Births of lots that a closed batch stored, as they were frozen. */
export function frozenBirths(db: Db, batchId: string): LotMade[] {
  return db
    .select({ birth: lotBirths.birth })
    .from(lotBirths)
    .where(eq(lotBirths.batchId, batchId))
    .all()
    .map((row) => row.birth);
}

export function freezeBirth(tx: Tx, batchId: string, birth: LotMade): void {
  const row = { batchId, eventId: birth.eventId, modelVersion: MODEL_VERSION, birth };
  tx.insert(lotBirths)
    .values({ lotId: birth.birth.lotId, ...row })
    .onConflictDoNothing()
    .run();
}

export function unfreezeBirths(tx: Tx, lotIds: readonly string[]): void {
  if (lotIds.length > 0)
    tx.delete(lotBirths)
      .where(inArray(lotBirths.lotId, [...lotIds]))
      .run();
}

export function keptLot(db: Db, lotId: string): Lot | undefined {
  return prepared(db, 'kept lot', () =>
    db
      .select({ lot: keptLots.lot })
      .from(keptLots)
      .where(eq(keptLots.lotId, sql.placeholder('lotId')))
      .prepare(),
  ).get({ lotId })?.lot;
}

export function keptLotsOf(db: Db, lotIds: readonly string[]): Lot[] {
  if (lotIds.length === 0) return [];
  return db
    .select({ lot: keptLots.lot })
    .from(keptLots)
    .where(inArray(keptLots.lotId, [...lotIds]))
    .all()
    .map((row) => row.lot);
}

/** What stands on the shelf, the first born first; and crates whose tag has still to be kept. */
export function shelfLots(db: Db, tagsFromMs: number): Lot[] {
  // two questions, each along an index of its own: asked as one they would be answered by reading every lot there was
  const standing = db.select({ lot: keptLots.lot }).from(keptLots).where(eq(keptLots.isOnShelf, true)).all();
  const tagged = db
    .select({ lot: keptLots.lot })
    .from(keptLots)
    .where(and(sql`+${keptLots.isOnShelf} = 0`, gt(keptLots.tagFromMs, tagsFromMs)))
    .all();
  return [...standing, ...tagged]
    .map((row) => row.lot)
    .sort((a, b) => a.bornAtMs - b.bornAtMs || (a.lotId < b.lotId ? -1 : 1));
}

/** A page of lots that are finished, the newest first. */
export function finishedLots(
  db: Db,
  before: { bornAtMs: number; lotId: string } | null,
  limit: number,
): Lot[] {
  const older = before
    ? or(
        lt(keptLots.bornAtMs, before.bornAtMs),
        and(eq(keptLots.bornAtMs, before.bornAtMs), lt(keptLots.lotId, before.lotId)),
      )
    : undefined;
  return db
    .select({ lot: keptLots.lot })
    .from(keptLots)
    .where(and(eq(keptLots.isOnShelf, false), older))
    .orderBy(desc(keptLots.bornAtMs), desc(keptLots.lotId))
    .limit(limit)
    .all()
    .map((row) => row.lot);
}

/** Lots that a batch drew from or stored, as they are now. */
export function lotsNamedBy(db: Db, batchId: string): Lot[] {
  return db
    .selectDistinct({ lot: keptLots.lot })
    .from(lotEntries)
    .innerJoin(keptLots, eq(keptLots.lotId, lotEntries.lotId))
    .where(eq(lotEntries.batchId, batchId))
    .all()
    .map((row) => row.lot);
}

/** Kilograms that each event of a batch drew from a lot. */
export function drawsByEvent(db: Db, lotId: string): Map<string, number> {
  const drawn = new Map<string, number>();
  for (const entry of entriesOfLot(db, lotId))
    if (entry.kind === 'drawn') drawn.set(entry.eventId, (drawn.get(entry.eventId) ?? 0) + entry.kg);
  return drawn;
}

/** Events that name a lot which is not there. */
export function strayEventIds(db: Db): string[] {
  return db
    .selectDistinct({ eventId: strayEntries.eventId })
    .from(strayEntries)
    .all()
    .map((row) => row.eventId);
}

/** Every arrow that can be reached from a lot or a batch, both ways, in the order things happened. */
export function arrowsAround(db: Db, start: TraceKey): Arrow[] {
  const reached = (near: string, far: string) => sql`
    WITH RECURSIVE reached(key) AS (
      SELECT ${start} UNION SELECT ${sql.raw(`arrows.${far}`)} FROM arrows JOIN reached ON ${sql.raw(`arrows.${near}`)} = reached.key
    )
    SELECT arrows.fromKey AS "from", arrows.toKey AS "to", arrows.kg, arrows.atMs, arrows.id
    FROM reached JOIN arrows ON ${sql.raw(`arrows.${near}`)} = reached.key`;
  const found = new Map<number, Arrow & { id: number }>();
  for (const query of [reached('fromKey', 'toKey'), reached('toKey', 'fromKey')])
    for (const row of db.all<Arrow & { id: number }>(query)) found.set(row.id, row);
  return [...found.values()].sort((a, b) => a.atMs - b.atMs || a.id - b.id);
}
