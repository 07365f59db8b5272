import { and, asc, eq, gt, isNull, ne, sql } from 'drizzle-orm';
import type { LoggedEvent } from '../../contract';
import {
  type BatchResult,
  type BatchSnapshot,
  EVENT_VERSIONS,
  type PartOrigin,
  RESULT_VERSION,
  SNAPSHOT_VERSION,
  upcastBatchEvent,
  upcastResult,
  upcastSnapshot,
} from '../../core/batch';
import type { Mark } from '../../core/rules';
import { chainEntry } from './chain-rows';
import { prepared } from './prepared';
import { batchHeads } from './projection-schema';
import { batches, drawnParts, events } from './schema';
import type { Db, Tx } from './storage';

type EventRow = typeof events.$inferSelect;
type StoredBatch = typeof batches.$inferSelect;

/** A batch as it was started and as it stands, in the words of today. */
export interface BatchRow extends Omit<StoredBatch, 'snapshot' | 'snapshotV' | 'result' | 'resultV'> {
  snapshot: BatchSnapshot;
  result: BatchResult | null;
}

function batchOf(db: Db, { snapshotV, resultV, ...row }: StoredBatch): BatchRow {
  const snapshot = upcastSnapshot(snapshotV, row.snapshot);
  return {
    ...row,
    snapshot: snapshot.origin ? { ...snapshot, origin: originNow(db, row.id, snapshot.origin) } : snapshot,
    result: row.result === null ? null : upcastResult(resultV, row.result),
  };
}

/** Where a part comes from, with what was drawn by the other batch's log as it stands. */
function originNow(db: Db, childId: string, origin: PartOrigin): PartOrigin {
  const row = db
    .select({ drawn: drawnParts.drawn })
    .from(drawnParts)
    .where(eq(drawnParts.childId, childId))
    .get();
  return { ...origin, drawn: row?.drawn ?? null };
}

export function batchRow(db: Db, id: string): BatchRow | undefined {
  const row = prepared(db, 'batch', () =>
    db
      .select()
      .from(batches)
      .where(eq(batches.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id });
  return row && batchOf(db, row);
}

/** Batches not closed yet, by id, in the order they were started. */
export function openBatchIds(db: Db): string[] {
  return db
    .select({ id: batches.id })
    .from(batches)
    .where(isNull(batches.closedAtMs))
    .orderBy(asc(batches.createdAtMs), asc(batches.id))
    .all()
    .map((row) => row.id);
}

/** Where other open batches stand, by name. */
export function openPlaces(
  db: Db,
  exceptId: string,
): { potId: string; burnerId: string; name: string | null }[] {
  return db
    .select({ potId: batches.potId, burnerId: batches.burnerId, head: batchHeads.head })
    .from(batches)
    .leftJoin(batchHeads, eq(batchHeads.batchId, batches.id))
    .where(and(isNull(batches.closedAtMs), ne(batches.id, exceptId)))
    .all()
    .map(({ head, ...place }) => ({ ...place, name: head?.name ?? null }));
}

/** Every batch there ever was, by its id alone, in the order they were started. */
export function allBatchIds(db: Db): string[] {
  return db
    .select({ id: batches.id })
    .from(batches)
    .orderBy(asc(batches.createdAtMs), asc(batches.id))
    .all()
    .map((row) => row.id);
}

export function insertBatch(
  tx: Tx,
  batch: Pick<BatchRow, 'id' | 'recipeId' | 'potId' | 'burnerId' | 'createdAtMs' | 'request' | 'snapshot'> &
    Partial<Pick<BatchRow, 'closedAtMs' | 'result'>>,
): void {
  tx.insert(batches)
    .values({ ...batch, snapshotV: SNAPSHOT_VERSION, resultV: RESULT_VERSION })
    .run();
}

export function placeBatch(
  tx: Tx,
  id: string,
  { potId, burnerId }: { potId: string; burnerId: string },
): void {
  tx.update(batches).set({ potId, burnerId }).where(eq(batches.id, id)).run();
}

/** Freezes a closed batch's result, or takes it away from one that is open again. */
export function settleBatch(tx: Tx, id: string, closedAtMs: number | null, result: BatchResult | null): void {
  tx.update(batches).set({ closedAtMs, result, resultV: RESULT_VERSION }).where(eq(batches.id, id)).run();
}

/**
 * A row of the log in the words of today.
 *
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
export function eventOf(row: EventRow): LoggedEvent {
  const { seq, id, actedAtMs, receivedAtMs, by, device, flag } = row;
  const body = upcastBatchEvent(row);
  const v = EVENT_VERSIONS.get(body.type)!;
  return { seq, id, ...body, v, actedAtMs, receivedAtMs, by, device, flag: markOf(flag) };
}

/** What a person should look at; older rows said it in a sentence. */
function markOf(flag: string | null): Mark | null {
  if (flag === null) return null;
  return flag.startsWith('{')
    ? (JSON.parse(flag) as Mark)
    : (OLD_MARKS.get(flag) ?? { code: 'asSaid', text: flag });
}

const OLD_MARKS: ReadonlyMap<string, Mark> = new Map([
  ['arrived for a batch already closed', { code: 'afterClose' }],
  ['the device’s clock was ahead', { code: 'clockAhead' }],
  ['more than a day old when it arrived', { code: 'dayOld' }],
]);

/** A batch's log in the words of today, oldest first. */
export function eventRows(db: Db, batchId: string): LoggedEvent[] {
  return writtenEvents(db, batchId).map(eventOf);
}

/** A batch's log as it was written, also where it cannot be understood: all of it, or a page. */
export function writtenEvents(db: Db, batchId: string, afterSeq = 0, limit = ALL): EventRow[] {
  return prepared(db, 'events', () =>
    db
      .select()
      .from(events)
      .where(and(eq(events.batchId, sql.placeholder('batchId')), gt(events.seq, sql.placeholder('afterSeq'))))
      .orderBy(asc(events.seq))
      .limit(sql.placeholder('limit'))
      .prepare(),
  ).all({ batchId, afterSeq, limit });
}

/** SQLite's word for no limit. */
const ALL = -1;

/** An event by its id, as it was written. */
export function writtenEvent(db: Db, id: string): EventRow | undefined {
  return prepared(db, 'event', () =>
    db
      .select()
      .from(events)
      .where(eq(events.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id });
}

/** The number the next event will have. */
export function nextSeq(db: Db): number {
  const row = prepared(db, 'next seq', () =>
    db
      .select({ seq: sql<number>`coalesce(max(${events.seq}), 0)` })
      .from(events)
      .prepare(),
  ).get();
  return (row?.seq ?? 0) + 1;
}

/** An event as it is written: rows are only ever added. */
export function insertEvent(tx: Tx, event: LoggedEvent & { batchId: string; clientAtMs: number }): void {
  prepared(tx, 'insert event', () =>
    tx
      .insert(events)
      .values({
        seq: sql.placeholder('seq'),
        id: sql.placeholder('id'),
        batchId: sql.placeholder('batchId'),
        type: sql.placeholder('type'),
        v: sql.placeholder('v'),
        payload: sql.placeholder('payload'),
        actedAtMs: sql.placeholder('actedAtMs'),
        receivedAtMs: sql.placeholder('receivedAtMs'),
        clientAtMs: sql.placeholder('clientAtMs'),
        by: sql.placeholder('by'),
        device: sql.placeholder('device'),
        flag: sql.placeholder('flag'),
      })
      .prepare(),
  ).run({ ...event, flag: event.flag === null ? null : JSON.stringify(event.flag) });
  chainEntry(tx, 'batch', event);
}
