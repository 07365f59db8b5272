import { createHash } from 'node:crypto';
import { and, asc, eq, gt, gte, lt, sql } from 'drizzle-orm';
import { prepared } from './prepared';
import { events, kitchenLog, type LOGS, larderEvents, recordChain } from './schema';
import type { Db, Tx } from './storage';

export type LogName = (typeof LOGS)[number];

type EventRow = typeof events.$inferSelect;
type LarderRow = typeof larderEvents.$inferSelect;
type KitchenRow = typeof kitchenLog.$inferSelect;

/** An entry of any log as it is written. */
export type ChainedRow =
  | { log: 'batch'; row: EventRow }
  | { log: 'larder'; row: LarderRow }
  | { log: 'kitchen'; row: KitchenRow };

/** What of an entry is sealed: all that was said, and when; not the flag that a later look at it may raise. */
type Sealed = Partial<Omit<EventRow & LarderRow & KitchenRow, 'id' | 'seq' | 'flag'>> & {
  id: string;
  seq: number;
};

const START = '0'.repeat(64);

/** The hash of a link: of the one before it and of its entry. */
function hashOf(before: string, log: LogName, one: Sealed): string {
  const text = JSON.stringify([
    before,
    log,
    one.seq,
    one.id,
    one.batchId ?? null,
    one.type,
    one.v,
    one.payload,
    one.received ?? null,
    one.before ?? null,
    one.actedAtMs,
    one.receivedAtMs ?? null,
    one.clientAtMs ?? null,
    one.by ?? null,
    one.device ?? null,
  ]);
  return createHash('sha256').update(text).digest('hex');
}

/** Adds a link for an entry that was just written: in the same transaction, so that there is never one without. */
export function chainEntry(tx: Tx, log: LogName, one: Sealed & { actedAtMs: number }): void {
  const hash = hashOf(chainHead(tx).hash, log, one);
  prepared(tx, 'chain entry', () =>
    tx
      .insert(recordChain)
      .values({
        log: sql.placeholder('log'),
        entrySeq: sql.placeholder('entrySeq'),
        actedAtMs: sql.placeholder('actedAtMs'),
        hash: sql.placeholder('hash'),
      })
      .prepare(),
  ).run({ log, entrySeq: one.seq, actedAtMs: one.actedAtMs, hash });
}

/** The last link; before the first there is 0. */
export function chainHead(db: Db): { seq: number; hash: string } {
  const last = prepared(db, 'chain head', () =>
    db
      .select({ seq: recordChain.seq, hash: recordChain.hash })
      .from(recordChain)
      .orderBy(sql`${recordChain.seq} DESC`)
      .limit(1)
      .prepare(),
  ).get();
  return last ?? { seq: 0, hash: START };
}

/** The hash of a link by its number; null where there is none. */
export function chainHash(db: Db, seq: number): string | null {
  if (seq === 0) return START;
  const link = prepared(db, 'chain hash', () =>
    db
      .select({ hash: recordChain.hash })
      .from(recordChain)
      .where(eq(recordChain.seq, sql.placeholder('seq')))
      .prepare(),
  ).get({ seq });
  return link?.hash ?? null;
}

/** So many entries are read in one go. */
const AT_ONCE = 1000;

/** Entries of a file from before there was a chain get their links, once: as they stand when it is opened. */
export function chainOldEntries(tx: Tx): void {
  if (chainHead(tx).seq > 0) return;
  const all = <T extends { seq: number }>(page: (afterSeq: number) => T[], put: (row: T) => void) => {
    for (let rows = page(0); rows.length > 0; rows = page(rows.at(-1)!.seq)) for (const row of rows) put(row);
  };
  all(
    (after) =>
      tx.select().from(events).where(gt(events.seq, after)).orderBy(asc(events.seq)).limit(AT_ONCE).all(),
    (row) => chainEntry(tx, 'batch', row),
  );
  all(
    (after) =>
      tx
        .select()
        .from(larderEvents)
        .where(gt(larderEvents.seq, after))
        .orderBy(asc(larderEvents.seq))
        .limit(AT_ONCE)
        .all(),
    (row) => chainEntry(tx, 'larder', row),
  );
  all(
    (after) =>
      tx
        .select()
        .from(kitchenLog)
        .where(gt(kitchenLog.seq, after))
        .orderBy(asc(kitchenLog.seq))
        .limit(AT_ONCE)
        .all(),
    (row) => chainEntry(tx, 'kitchen', row),
  );
}

/** An entry as the chain has it: `isIntact` where it is still what it was when it was written. */
export interface ChainedEntry {
  seq: number;
  log: LogName;
  entrySeq: number;
  atMs: number;
  hash: string;
  /** null where the entry is gone from its log */
  entry: ChainedRow | null;
  isIntact: boolean;
}

/** Entries of a stretch of time, in the order they came in, each held against its link. */
export function chainedBetween(db: Db, fromMs: number, toMs: number): ChainedEntry[] {
  const links = db
    .select()
    .from(recordChain)
    .where(and(gte(recordChain.actedAtMs, fromMs), lt(recordChain.actedAtMs, toMs)))
    .orderBy(asc(recordChain.seq))
    .all();
  return links.map((link) => heldAgainst(db, link));
}

/** One entry held against its link; null where it has none: it was not written by this program. */
export function chainedEntry(db: Db, log: LogName, entrySeq: number): ChainedEntry | null {
  const link = db
    .select()
    .from(recordChain)
    .where(and(eq(recordChain.log, log), eq(recordChain.entrySeq, entrySeq)))
    .get();
  return link ? heldAgainst(db, link) : null;
}

function heldAgainst(db: Db, link: typeof recordChain.$inferSelect): ChainedEntry {
  const { seq, log, entrySeq, actedAtMs, hash } = link;
  const entry = entryOf(db, log, entrySeq);
  const before = chainHash(db, seq - 1);
  const isIntact =
    entry !== null &&
    before !== null &&
    entry.row.actedAtMs === actedAtMs &&
    hashOf(before, log, entry.row as Sealed) === hash;
  return { seq, log, entrySeq, atMs: actedAtMs, hash, entry, isIntact };
}

function entryOf(db: Db, log: LogName, seq: number): ChainedRow | null {
  if (log === 'batch') {
    const row = prepared(db, 'event by seq', () =>
      db
        .select()
        .from(events)
        .where(eq(events.seq, sql.placeholder('seq')))
        .prepare(),
    ).get({ seq });
    return row ? { log, row } : null;
  }
  if (log === 'larder') {
    const row = prepared(db, 'larder event by seq', () =>
      db
        .select()
        .from(larderEvents)
        .where(eq(larderEvents.seq, sql.placeholder('seq')))
        .prepare(),
    ).get({ seq });
    return row ? { log, row } : null;
  }
  const row = prepared(db, 'kitchen entry by seq', () =>
    db
      .select()
      .from(kitchenLog)
      .where(eq(kitchenLog.seq, sql.placeholder('seq')))
      .prepare(),
  ).get({ seq });
  return row ? { log, row } : null;
}
