import { eq } from 'drizzle-orm';
import { batchEventBodySchema, envelopeSchema, type LoggedEvent } from '../../contract';
import { type BatchEventBody, batchResult, foldBatch } from '../../core/batch';
import { activeEvents } from '../../core/log';
import { numberLot } from '../larder/larder-store';
import { lotViews } from '../larder/lot-views';
import { drawnBeyond, refuseImpossibleDraw } from '../larder/possible-draw';
import { checked, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { batches, events } from '../storage/schema';
import { batchRow, eventsOf, loggedEvent } from './batch-store';
import { moveOver, putBack, refuseTaken } from './move-pot';
import { refuseImpossible } from './possible';

/** An event older than this is believed, but marked for a person to look at. */
const OLD_MS = 24 * 3_600_000;

/**
 * Takes an event into a batch's log, in one turn of the write queue: checked, told apart from what is already there,
 * given its place in time, stored, and told to every browser. The same event again gets the first answer again.
 */
export async function appendEvent(
  context: ServerContext,
  batchId: string,
  body: unknown,
): Promise<{ event: LoggedEvent; isNew: boolean }> {
  const envelope = checked(envelopeSchema, body);
  const said = checked(batchEventBodySchema, body);
  const taken = await context.write(async () => {
    const batch = await batchRow(context.db, batchId);
    const [same] = await context.db.select().from(events).where(eq(events.id, envelope.id));
    if (same) {
      const alike =
        same.batchId === batchId &&
        same.type === said.type &&
        JSON.stringify(same.payload) === JSON.stringify(said.payload);
      if (alike) return { event: loggedEvent(same), isNew: false };
      throw new ProblemError(409, 'Said before, otherwise', [
        { field: 'id', sentence: `An event “${envelope.id}” with another content is already in the log.` },
      ]);
    }
    const log = await eventsOf(context.db, batchId);
    const receivedAtMs = context.clock.nowMs();
    const actedAtMs = Math.min(receivedAtMs, context.clock.agoMs(Math.max(0, envelope.ageMs)));
    refuseImpossible(batch.snapshot, log, foldBatch(batch.snapshot, upTo(log, actedAtMs), actedAtMs), said);
    if (said.type === 'moved') await refuseTaken(context, batchId, said.payload);
    const lots = touchesLots(said) ? await lotViews(context) : [];
    refuseImpossibleDraw(said, lots, actedAtMs);
    const [row] = await context.db
      .insert(events)
      .values({
        id: envelope.id,
        batchId,
        type: said.type,
        v: said.v,
        payload: said.payload,
        actedAtMs,
        receivedAtMs,
        clientAtMs: context.clock.agoMs(envelope.ageMs),
        by: envelope.by ?? null,
        device: envelope.device ?? null,
        flag:
          flagOf(envelope.ageMs, batch.closedAtMs !== null && said.type !== 'undone') ??
          drawnBeyond(said, batch.snapshot.input.ingredients, lots),
      })
      .returning();
    const event = loggedEvent(row!);
    if (said.type === 'moved') await moveOver(context, batchId, said.payload);
    if (said.type === 'stored') await numberLot(context, said.payload.lotId);
    if (said.type === 'undone') await putBack(context, batchId, batch.snapshot, [...log, event]);
    await settleClosing(context, batchId, [...log, event], batch.closedAtMs !== null);
    return { event, isNew: true };
  });
  if (taken.isNew) {
    context.live.publish({ kind: 'event', batchId, event: taken.event });
    if (touchesLots(taken.event) || taken.event.type === 'undone') context.live.publish({ kind: 'larder' });
    if (['closed', 'undone', 'moved'].includes(taken.event.type)) {
      context.live.publish({ kind: 'batch', batchId });
    }
  }
  return taken;
}

/** Closing freezes predicted beside actual; undoing the closing opens the batch again. Nothing else touches the result. */
async function settleClosing(
  context: ServerContext,
  batchId: string,
  log: readonly LoggedEvent[],
  wasClosed: boolean,
): Promise<void> {
  const closing = activeEvents(log).find((event) => event.type === 'closed');
  if ((closing !== undefined) === wasClosed) return;
  const { snapshot } = await batchRow(context.db, batchId);
  const frozen = closing
    ? {
        closedAtMs: closing.actedAtMs,
        result: batchResult(snapshot, foldBatch(snapshot, log, closing.actedAtMs), log),
      }
    : { closedAtMs: null, result: null };
  await context.db.update(batches).set(frozen).where(eq(batches.id, batchId));
}

function touchesLots(said: BatchEventBody): boolean {
  return said.type === 'stored' || (said.type === 'added' && said.payload.items.some((item) => item.lotId));
}

function upTo(log: readonly LoggedEvent[], atMs: number): LoggedEvent[] {
  return log.filter(
    (event) => event.actedAtMs <= atMs || event.type === 'undone' || event.type === 'answered',
  );
}

function flagOf(ageMs: number, isLate: boolean): string | null {
  if (isLate) return 'arrived for a batch already closed';
  if (ageMs < 0) return 'the device’s clock was ahead';
  return ageMs > OLD_MS ? 'more than a day old when it arrived' : null;
}
