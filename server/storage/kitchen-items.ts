import { and, asc, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import type { HeatTestSaid, ItemKind, ItemOf, RetiredItem } from '../../contract';
import type { HeatTestResult } from '../../core/kitchen';
import { chainEntry } from './chain-rows';
import { prepared } from './prepared';
import { kitchenItems, kitchenLog } from './schema';
import type { Db, Tx } from './storage';

/** What a kitchen has of one kind, in its order; what is retired left out. */
export function itemRows<K extends ItemKind>(db: Db, kind: K): ItemOf<K>[] {
  return prepared(db, 'kitchen items', () =>
    db
      .select({ doc: kitchenItems.doc })
      .from(kitchenItems)
      .where(and(eq(kitchenItems.kind, sql.placeholder('kind')), isNull(kitchenItems.retiredAtMs)))
      .orderBy(asc(kitchenItems.position), asc(kitchenItems.id))
      .prepare(),
  )
    .all({ kind })
    .map((row) => row.doc as ItemOf<K>);
}

export type ItemRow = typeof kitchenItems.$inferSelect;

/** What a kitchen has and had of one kind, retired or not. */
export function allItemRows(db: Db, kind: ItemKind): ItemRow[] {
  return db
    .select()
    .from(kitchenItems)
    .where(eq(kitchenItems.kind, kind))
    .orderBy(asc(kitchenItems.position))
    .all();
}

/** One thing, retired or not, as its row. */
export function itemRow(db: Db, kind: ItemKind, id: string): ItemRow | undefined {
  return db
    .select()
    .from(kitchenItems)
    .where(and(eq(kitchenItems.kind, kind), eq(kitchenItems.id, id)))
    .get();
}

/** Of each kind what is retired, by name. */
export function retiredItems(db: Db): RetiredItem[] {
  return db
    .select()
    .from(kitchenItems)
    .where(isNotNull(kitchenItems.retiredAtMs))
    .orderBy(asc(kitchenItems.retiredAtMs))
    .all()
    .map(({ kind, id, doc, mergedInto }) => ({ kind: kind as ItemKind, id, name: doc.name, mergedInto }));
}

/** Puts a thing where one of its id stands, or behind all others of its kind. */
export function putItem<K extends ItemKind>(tx: Tx, kind: K, item: ItemOf<K>): void {
  const last = tx
    .select({ position: sql<number | null>`max(${kitchenItems.position})` })
    .from(kitchenItems)
    .where(eq(kitchenItems.kind, kind))
    .get();
  tx.insert(kitchenItems)
    .values({ kind, id: item.id, position: (last?.position ?? -1) + 1, doc: item })
    .onConflictDoUpdate({ target: [kitchenItems.kind, kitchenItems.id], set: { doc: item } })
    .run();
}

export function setItem(
  tx: Tx,
  kind: ItemKind,
  id: string,
  set: Partial<Pick<ItemRow, 'position' | 'retiredAtMs' | 'mergedInto' | 'learnsFromMs'>>,
): void {
  tx.update(kitchenItems)
    .set(set)
    .where(and(eq(kitchenItems.kind, kind), eq(kitchenItems.id, id)))
    .run();
}

/** The pot or burner a thing is counted as today: the last one of those it was merged into. */
export function mergedId(db: Db, kind: ItemKind, id: string): string {
  const into = itemRow(db, kind, id)?.mergedInto;
  return into ? mergedId(db, kind, into) : id;
}

export type KitchenLogRow = typeof kitchenLog.$inferSelect;

export function insertKitchenLog(tx: Tx, row: Omit<typeof kitchenLog.$inferInsert, 'seq'>): void {
  chainEntry(tx, 'kitchen', tx.insert(kitchenLog).values(row).returning().get());
}

export function kitchenLogRow(db: Db, id: string): KitchenLogRow | undefined {
  return db.select().from(kitchenLog).where(eq(kitchenLog.id, id)).get();
}

/** Entries of one type, the oldest first. */
export function kitchenLogOf(db: Db, type: string): KitchenLogRow[] {
  return db.select().from(kitchenLog).where(eq(kitchenLog.type, type)).orderBy(asc(kitchenLog.seq)).all();
}

/** The newest so many entries. */
export function newestKitchenLog(db: Db, limit: number): KitchenLogRow[] {
  return db.select().from(kitchenLog).orderBy(sql`${kitchenLog.seq} DESC`).limit(limit).all();
}

/** A test with water as the log keeps it: what was read, and what it came to then. */
export type HeatTestEntry = { change: 'heatTest'; test: HeatTestSaid; result: HeatTestResult };

/** Tests with water that stand, the oldest first: what each has shown of its burner. */
export function heatTests(db: Db): {
  id: string;
  burnerId: string;
  atMs: number;
  waterKW: number;
  heatFactor: { mean: number; sd: number };
}[] {
  const forgotten = new Set(
    kitchenLogOf(db, 'forgetHeatTest').map((row) => (row.payload as { testId: string }).testId),
  );
  return kitchenLogOf(db, 'heatTest').flatMap(({ id, payload, actedAtMs }) => {
    if (forgotten.has(id)) return [];
    const { test, result } = payload as HeatTestEntry;
    const { waterKW, heatFactor } = result;
    return [{ id, burnerId: test.burnerId, atMs: actedAtMs, waterKW, heatFactor }];
  });
}
