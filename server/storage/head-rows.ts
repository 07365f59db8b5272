import { and, desc, eq, isNotNull, lt, or, sql } from 'drizzle-orm';
import type { BatchState } from '../../core/batch';
import { MODEL_VERSION } from '../../core/plan';
import type { BatchHead } from '../../core/views';
import { batchHeads, brokenBatches, openBatches } from './projection-schema';
import type { Db, Tx } from './storage';

export function setHead(tx: Tx, head: BatchHead): void {
  const row = {
    recipeId: head.recipeId,
    createdAtMs: head.createdAtMs,
    serviceAtMs: head.serviceAtMs,
    closedAtMs: head.closedAtMs,
    served: head.outcome?.served ?? 0,
    head,
  };
  tx.insert(batchHeads)
    .values({ batchId: head.id, ...row })
    .onConflictDoUpdate({ target: batchHeads.batchId, set: row })
    .run();
}

export function clearHeads(tx: Tx): void {
  for (const table of [batchHeads, openBatches, brokenBatches]) tx.delete(table).run();
}

export function headRow(db: Db, batchId: string): BatchHead | undefined {
  return db.select({ head: batchHeads.head }).from(batchHeads).where(eq(batchHeads.batchId, batchId)).get()
    ?.head;
}

/** A page of closed batches, the newest first. */
export function closedHeads(
  db: Db,
  before: { closedAtMs: number; batchId: string } | null,
  limit: number,
): BatchHead[] {
  const older = before
    ? or(
        lt(batchHeads.closedAtMs, before.closedAtMs),
        and(eq(batchHeads.closedAtMs, before.closedAtMs), lt(batchHeads.batchId, before.batchId)),
      )
    : undefined;
  return db
    .select({ head: batchHeads.head })
    .from(batchHeads)
    .where(and(isNotNull(batchHeads.closedAtMs), older))
    .orderBy(desc(batchHeads.closedAtMs), desc(batchHeads.batchId))
    .limit(limit)
    .all()
    .map((row) => row.head);
}

/** The last batch that was served, of any recipe or of one. */
export function lastServed(db: Db, recipeId?: string): BatchHead | undefined {
  const own = recipeId === undefined ? undefined : eq(batchHeads.recipeId, recipeId);
  return db
    .select({ head: batchHeads.head })
    .from(batchHeads)
    .where(and(isNotNull(batchHeads.closedAtMs), sql`${batchHeads.served} > 0`, own))
    .orderBy(desc(batchHeads.closedAtMs))
    .limit(1)
    .get()?.head;
}

/** What is usual here is what the last so many batches were. */
const LATELY = 200;

/** The recipe that most of the last batches cooked; null where nothing has been cooked. */
export function mostCooked(db: Db): string | null {
  const lately = db
    .select({ recipeId: batchHeads.recipeId })
    .from(batchHeads)
    .where(isNotNull(batchHeads.closedAtMs))
    .orderBy(desc(batchHeads.closedAtMs))
    .limit(LATELY)
    .all();
  const times = new Map<string, number>();
  for (const { recipeId } of lately) times.set(recipeId, (times.get(recipeId) ?? 0) + 1);
  const [most] = [...times].sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1));
  return most?.[0] ?? null;
}

/** A folded state to go on from: how far it was folded, and of how many events. */
export interface Checkpoint {
  seq: number;
  events: number;
  state: BatchState;
}

/** Null where there is none, or an older model made it. */
export function checkpointOf(db: Db, batchId: string): Checkpoint | null {
  const row = db.select().from(openBatches).where(eq(openBatches.batchId, batchId)).get();
  return row && row.modelVersion === MODEL_VERSION ? row : null;
}

export function setCheckpoint(tx: Tx, batchId: string, checkpoint: Checkpoint): void {
  const row = { modelVersion: MODEL_VERSION, ...checkpoint };
  tx.insert(openBatches)
    .values({ batchId, ...row })
    .onConflictDoUpdate({ target: openBatches.batchId, set: row })
    .run();
}

export function dropCheckpoint(tx: Tx, batchId: string): void {
  tx.delete(openBatches).where(eq(openBatches.batchId, batchId)).run();
}

/** Why a batch is set aside: the entry at which its log stops, where that is known. */
export interface BrokenBatch {
  eventId: string | null;
  why: string;
}

export function setBroken(tx: Tx, batchId: string, broken: BrokenBatch | null): void {
  tx.delete(brokenBatches).where(eq(brokenBatches.batchId, batchId)).run();
  if (broken)
    tx.insert(brokenBatches)
      .values({ batchId, modelVersion: MODEL_VERSION, ...broken })
      .run();
}

/** Batches that are set aside, by id. */
export function brokenRows(db: Db): Map<string, BrokenBatch> {
  const rows = db.select().from(brokenBatches).all();
  return new Map(rows.map(({ batchId, eventId, why }) => [batchId, { eventId, why }]));
}
