import { asc, eq, inArray, max } from 'drizzle-orm';
import { type BatchEvent, foldBatch } from '../../core/batch';
import {
  drawsOfBatch,
  foldLarder,
  type Larder,
  type LarderEvent,
  type LotDraw,
  type LotMade,
  lotsOfBatch,
} from '../../core/larder';
import { eventsOf } from '../routes/batch-store';
import type { ServerContext } from '../server-context';
import { batches, events, larderEvents, lotNumbers } from '../storage/schema';

/** The types of batch events that touch the larder. */
const TOUCHES = ['added', 'stored'];

interface BatchShare {
  lastSeq: number;
  made: LotMade[];
  draws: LotDraw[];
}

/** What batches said of lots, kept by how far their logs were read: a closed batch is folded once. */
const sharesByHouse = new WeakMap<ServerContext['db'], Map<string, BatchShare>>();

/** The larder now, with the number on each lot's label. */
export async function larderNow(
  context: Pick<ServerContext, 'db'>,
): Promise<{ larder: Larder; numbers: ReadonlyMap<string, number>; events: LarderEventRow[] }> {
  const [shares, rows, numberRows] = await Promise.all([
    batchShares(context),
    context.db.select().from(larderEvents).orderBy(asc(larderEvents.seq)),
    context.db.select().from(lotNumbers),
  ]);
  const larder = foldLarder({
    made: shares.flatMap((share) => share.made),
    draws: shares.flatMap((share) => share.draws),
    events: rows.map(larderEvent),
  });
  return { larder, numbers: new Map(numberRows.map((row) => [row.lotId, row.number])), events: rows };
}

export type LarderEventRow = typeof larderEvents.$inferSelect;

/** A row of the larder's log as the model sees it. */
export function larderEvent(row: LarderEventRow): LarderEvent {
  const { id, seq, type, v, payload, actedAtMs, taken } = row;
  return { id, seq, type, v, payload, actedAtMs, ...(taken ? { taken } : {}) } as LarderEvent;
}

async function batchShares({ db }: Pick<ServerContext, 'db'>): Promise<BatchShare[]> {
  const known = sharesByHouse.get(db) ?? new Map<string, BatchShare>();
  sharesByHouse.set(db, known);
  const touching = await db
    .selectDistinct({ batchId: events.batchId })
    .from(events)
    .where(inArray(events.type, TOUCHES));
  const heads = await db
    .select({ batchId: events.batchId, lastSeq: max(events.seq) })
    .from(events)
    .groupBy(events.batchId);
  const lastSeq = new Map(heads.map((head) => [head.batchId, head.lastSeq ?? 0]));
  const shares: BatchShare[] = [];
  for (const { batchId } of touching) {
    const head = lastSeq.get(batchId) ?? 0;
    const before = known.get(batchId);
    const share = before && before.lastSeq === head ? before : await shareOf(db, batchId, head);
    known.set(batchId, share);
    shares.push(share);
  }
  return shares;
}

async function shareOf(db: ServerContext['db'], batchId: string, lastSeq: number): Promise<BatchShare> {
  const [row] = await db.select().from(batches).where(eq(batches.id, batchId));
  if (!row) return { lastSeq, made: [], draws: [] };
  const log: BatchEvent[] = await eventsOf(db, batchId);
  const putsBy = log.some((event) => event.type === 'stored');
  const untilMs = Math.max(...log.map((event) => event.actedAtMs));
  return {
    lastSeq,
    draws: drawsOfBatch(batchId, row.snapshot.input.ingredients, log),
    made: putsBy ? lotsOfBatch(batchId, row.snapshot, foldBatch(row.snapshot, log, untilMs)) : [],
  };
}

/** Gives a new lot its number, in the turn of the write queue that makes it. */
export async function numberLot({ db }: Pick<ServerContext, 'db'>, lotId: string): Promise<void> {
  await db.insert(lotNumbers).values({ lotId }).onConflictDoNothing();
}
