import { eq, inArray } from 'drizzle-orm';
import type { LarderStray, LotDetail, LotStory, LotView, TracedBatch, TracedStep } from '../../contract';
import { type BatchEvent, foldBatch } from '../../core/batch';
import { type Larder, type LarderEvent, type TraceStep, traceLot } from '../../core/larder';
import { activeEvents } from '../../core/log';
import { notFound } from '../problem';
import { eventsOf, loggedEvent } from '../routes/batch-store';
import { kitchenView } from '../routes/kitchen-store';
import type { ServerContext } from '../server-context';
import { batches, events } from '../storage/schema';
import { type LarderEventRow, larderEvent, larderNow } from './larder-store';
import { lotView } from './lot-view';
import { shelfSentence } from './shelf-sentence';

/** A lot with its story, everything it went into down to the bowls, and everything it came from. */
export async function lotDetail(context: ServerContext, lotId: string): Promise<LotDetail> {
  const [{ larder, numbers, events: rows }, kitchen] = await Promise.all([
    larderNow(context),
    kitchenView(context),
  ]);
  const lot = larder.lots.get(lotId);
  if (!lot) throw notFound('lot', lotId);
  const nowMs = context.clock.nowMs();
  const viewOf = (id: string) =>
    lotView(larder.lots.get(id)!, { larder, number: numbers.get(id) ?? 0, kitchen, nowMs });
  const trace = traceLot(larder, lotId);
  const ids = [...trace.into, ...trace.from].filter((step) => step.kind === 'batch').map((step) => step.id);
  const traced = await tracedBatches(context, ids, nowMs);
  const withNames = (step: TraceStep): TracedStep => ({
    ...step,
    ...(step.kind === 'lot' ? { lot: viewOf(step.id) } : {}),
    ...(traced.has(step.id) ? { batch: traced.get(step.id)! } : {}),
  });
  const into = trace.into.map(withNames);
  return {
    lot: viewOf(lotId),
    story: await storyOf(context, larder, lot.history, rows, viewOf),
    into,
    from: trace.from.map(withNames),
    bowls: into.reduce((sum, step) => sum + (step.batch?.served ?? 0), 0),
  };
}

/** Entries that name a lot whose making was taken back: kept, for a person to settle. */
export async function strays({ db }: Pick<ServerContext, 'db'>): Promise<LarderStray[]> {
  const { larder, events: rows } = await larderNow({ db });
  if (larder.strayEventIds.length === 0) return [];
  const batchRows = await db
    .select()
    .from(events)
    .where(inArray(events.id, [...larder.strayEventIds]));
  return larder.strayEventIds.map((id) => {
    const drawn = batchRows.find((row) => row.id === id);
    const own = rows.find((row) => row.id === id);
    return {
      eventId: id,
      atMs: drawn?.actedAtMs ?? own?.actedAtMs ?? 0,
      batchId: drawn?.batchId ?? null,
      sentence: drawn
        ? 'A batch drew from a lot whose making was taken back.'
        : 'Something was done to a lot whose making was taken back.',
    };
  });
}

async function tracedBatches(
  { db }: ServerContext,
  ids: readonly string[],
  nowMs: number,
): Promise<Map<string, TracedBatch>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select()
    .from(batches)
    .where(inArray(batches.id, [...ids]));
  const each = await Promise.all(
    rows.map(async (row): Promise<TracedBatch> => {
      const { plan, input } = row.snapshot;
      const shared = {
        batchId: row.id,
        name: input.recipe.name,
        atMs: row.createdAtMs,
        serviceAtMs: plan.serviceAtMs,
      };
      if (row.result) {
        const { served, discarded, leftLitres } = row.result;
        return { ...shared, isOpen: false, served, discarded, leftLitres };
      }
      const state = foldBatch(row.snapshot, await eventsOf(db, row.id), nowMs);
      return { ...shared, isOpen: true, served: state.served, discarded: state.discarded, leftLitres: null };
    }),
  );
  return new Map(each.map((one) => [one.batchId, one]));
}

/** What was done to a lot, in words, whoever's log it stands in. */
async function storyOf(
  { db }: ServerContext,
  larder: Larder,
  history: readonly string[],
  rows: readonly LarderEventRow[],
  viewOf: (id: string) => LotView,
): Promise<LotStory[]> {
  const byId = new Map(rows.map((row) => [row.id, row]));
  const ofBatches = history.filter((id) => !byId.has(id));
  const batchRows =
    ofBatches.length === 0 ? [] : await db.select().from(events).where(inArray(events.id, ofBatches));
  const names = new Map(
    await Promise.all(
      [...new Set(batchRows.map((row) => row.batchId))].map(async (id) => {
        const [row] = await db.select().from(batches).where(eq(batches.id, id));
        return [id, row?.snapshot.input.recipe.name ?? id] as const;
      }),
    ),
  );
  const active = new Set(
    activeEvents<LarderEvent | BatchEvent>(rows.map(larderEvent)).map((event) => event.id),
  );
  return history.map((id): LotStory => {
    const own = byId.get(id);
    if (own) {
      const sentence = shelfSentence(larderEvent(own), larder, viewOf);
      return { eventId: id, atMs: own.actedAtMs, by: own.by, sentence, mayUndo: active.has(id) };
    }
    const row = batchRows.find((one) => one.id === id);
    if (!row)
      return {
        eventId: id,
        atMs: 0,
        by: null,
        sentence: 'Something that is not in any log.',
        mayUndo: false,
      };
    const event = loggedEvent(row);
    const drawn = larder.draws.filter((draw) => draw.eventId === id).reduce((sum, draw) => sum + draw.kg, 0);
    const name = names.get(row.batchId)!;
    const sentence =
      event.type === 'stored'
        ? `Put by from ${name}`
        : `${drawn.toFixed(2)} kg drawn for ${name.toLowerCase()}`;
    return { eventId: id, atMs: row.actedAtMs, by: row.by, sentence, mayUndo: false };
  });
}
