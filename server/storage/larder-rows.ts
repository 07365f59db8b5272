import { asc, eq, inArray, sql } from 'drizzle-orm';
import {
  LARDER_EVENT_VERSIONS,
  type LarderEvent,
  type LarderEventBody,
  type ReceivedFood,
  upcastLarderEvent,
  upcastReceivedFood,
} from '../../core/larder';
import { chainEntry } from './chain-rows';
import { prepared } from './prepared';
import { larderEvents, lotNumbers, oldLots } from './schema';
import type { Db, Tx } from './storage';

type LarderRow = typeof larderEvents.$inferSelect;

/** An event of the larder's log with who said it. */
export type LoggedLarderEvent = LarderEvent & {
  receivedAtMs: number;
  by: string | null;
  device: string | null;
};

/**
 * A row of the larder's log in the words of today.
 *
 * @throws UnknownVersion for one written by a newer Slow Pot
 */
function larderEventOf(row: LarderRow): LoggedLarderEvent {
  const { id, seq, v, actedAtMs, receivedAtMs, by, device } = row;
  const received = row.received === null ? {} : { received: upcastReceivedFood(v, row.received as object) };
  return { ...upcastLarderEvent(row), ...received, id, seq, actedAtMs, receivedAtMs, by, device };
}

export function larderEventRow(db: Db, id: string): LoggedLarderEvent | undefined {
  const row = prepared(db, 'larder event', () =>
    db
      .select()
      .from(larderEvents)
      .where(eq(larderEvents.id, sql.placeholder('id')))
      .prepare(),
  ).get({ id });
  return row && larderEventOf(row);
}

/** The whole of the larder's log: to make anew what is kept of it. */
export function allLarderEvents(db: Db): LoggedLarderEvent[] {
  return db.select().from(larderEvents).orderBy(asc(larderEvents.seq)).all().map(larderEventOf);
}

/** Undos among the larder's events, of one event or of an undo of it, and so on. */
export function undosOf(db: Db, eventId: string): LoggedLarderEvent[] {
  const rows = db
    .select()
    .from(larderEvents)
    .where(eq(larderEvents.undoesId, eventId))
    .all()
    .map(larderEventOf);
  return [...rows, ...rows.flatMap((row) => undosOf(db, row.id))];
}

/** All that was said of a lot on the shelf, undone or not, with the undos; the oldest first. */
export function larderEventsOf(db: Db, lotId: string): LoggedLarderEvent[] {
  const said = db
    .select()
    .from(larderEvents)
    .where(sql`(${larderEvents.payload} ->> '$.lotId') = ${lotId}`)
    .all()
    .map(larderEventOf);
  return [...said, ...said.flatMap((event) => undosOf(db, event.id))].sort(
    (a, b) => a.actedAtMs - b.actedAtMs || a.seq - b.seq,
  );
}

export function insertLarderEvent(
  tx: Tx,
  event: LarderEventBody & {
    id: string;
    received: ReceivedFood | null;
    actedAtMs: number;
    receivedAtMs: number;
    clientAtMs: number;
    by: string | null;
    device: string | null;
  },
): LoggedLarderEvent {
  const row = tx
    .insert(larderEvents)
    .values({
      ...event,
      v: LARDER_EVENT_VERSIONS.get(event.type)!,
      undoesId: event.type === 'undone' ? event.payload.eventId : null,
    })
    .returning()
    .get();
  chainEntry(tx, 'larder', row);
  return larderEventOf(row);
}

/** The number the larder's next event will have. */
export function nextLarderSeq(db: Db): number {
  const row = prepared(db, 'next larder seq', () =>
    db
      .select({ seq: sql<number>`coalesce(max(${larderEvents.seq}), 0)` })
      .from(larderEvents)
      .prepare(),
  ).get();
  return (row?.seq ?? 0) + 1;
}

/** Gives a new lot its number, once. */
export function numberLot(tx: Tx, lotId: string, number?: number): void {
  tx.insert(lotNumbers)
    .values({ lotId, ...(number === undefined ? {} : { number }) })
    .onConflictDoNothing()
    .run();
}

/** The numbers on the labels of lots, by lot. */
export function numbersOf(db: Db, lotIds: readonly string[]): Map<string, number> {
  if (lotIds.length === 0) return new Map();
  const rows = db
    .select()
    .from(lotNumbers)
    .where(inArray(lotNumbers.lotId, [...lotIds]))
    .all();
  return new Map(rows.map((row) => [row.lotId, row.number]));
}

/** Lots of files older than the larder's log that were not brought over yet. */
export function lotsToBringOver(db: Db): (typeof oldLots.$inferSelect)[] {
  return db
    .select()
    .from(oldLots)
    .where(sql`${oldLots.id} NOT IN (SELECT ${lotNumbers.lotId} FROM ${lotNumbers})`)
    .all();
}
