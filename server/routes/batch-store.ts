import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import type { BatchSummary, BatchView, LoggedEvent } from '../../contract';
import type { BatchEvent } from '../../core/batch';
import { notFound } from '../problem';
import type { Database } from '../storage/open-database';
import { batches, events } from '../storage/schema';

type EventRow = typeof events.$inferSelect;
type BatchRow = typeof batches.$inferSelect;

/** A row of the log as the rest of the house sees it. */
export function loggedEvent(row: EventRow): LoggedEvent {
  const { seq, id, type, v, payload, actedAtMs, receivedAtMs, by, device, flag } = row;
  return { seq, id, type, v, payload, actedAtMs, receivedAtMs, by, device, flag } as BatchEvent &
    Omit<LoggedEvent, keyof BatchEvent>;
}

export async function eventsOf(db: Database, batchId: string): Promise<LoggedEvent[]> {
  const rows = await db.select().from(events).where(eq(events.batchId, batchId)).orderBy(asc(events.seq));
  return rows.map(loggedEvent);
}

/** Events of all batches after a global seq, for a browser that was away. */
export async function eventsAfter(db: Database, seq: number) {
  const rows = await db.select().from(events).where(gt(events.seq, seq)).orderBy(asc(events.seq)).limit(2000);
  return rows.map((row) => ({ batchId: row.batchId, event: loggedEvent(row) }));
}

export async function batchRow(db: Database, id: string): Promise<BatchRow> {
  const [row] = await db.select().from(batches).where(eq(batches.id, id));
  if (!row) throw notFound('batch', id);
  return row;
}

export async function batchView(db: Database, id: string): Promise<BatchView> {
  return viewOf(await batchRow(db, id), await eventsOf(db, id));
}

export async function openBatches(db: Database): Promise<BatchView[]> {
  const rows = await db
    .select()
    .from(batches)
    .where(isNull(batches.closedAtMs))
    .orderBy(asc(batches.createdAtMs));
  return Promise.all(rows.map(async (row) => viewOf(row, await eventsOf(db, row.id))));
}

/** An open batch on a burner or in a pot, if there is one. */
export async function openBatchAt(db: Database, where: { potId: string } | { burnerId: string }) {
  const place = 'potId' in where ? eq(batches.potId, where.potId) : eq(batches.burnerId, where.burnerId);
  const [row] = await db
    .select()
    .from(batches)
    .where(and(isNull(batches.closedAtMs), place))
    .limit(1);
  return row;
}

export async function batchSummaries(db: Database): Promise<BatchSummary[]> {
  const rows = await db.select().from(batches).orderBy(asc(batches.createdAtMs));
  return rows.map((row) => ({
    id: row.id,
    recipeId: row.recipeId,
    name: row.snapshot.input.recipe.name,
    potName: row.snapshot.input.pot.name,
    burnerName: row.snapshot.input.burner.name,
    createdAtMs: row.createdAtMs,
    serviceAtMs: row.snapshot.plan.serviceAtMs,
    portions: row.snapshot.plan.portions,
    closedAtMs: row.closedAtMs,
    result: row.result,
  }));
}

function viewOf(row: BatchRow, log: LoggedEvent[]): BatchView {
  const { id, recipeId, potId, burnerId, createdAtMs, snapshot, closedAtMs, result } = row;
  return { id, recipeId, potId, burnerId, createdAtMs, snapshot, events: log, closedAtMs, result };
}
