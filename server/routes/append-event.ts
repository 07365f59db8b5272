import { eq } from 'drizzle-orm';
import { batchEventBodySchema, envelopeSchema, type LoggedEvent } from '../../contract';
import { activeEvents, type BatchEventBody, batchResult, foldBatch } from '../../core';
import { batches, events } from '../db/schema';
import type { House } from '../house';
import { numberLot } from '../larder/larder-store';
import { lotViews } from '../larder/lot-views';
import { drawnBeyond, refuseImpossibleDraw } from '../larder/possible-draw';
import { checked, ProblemError } from '../problem';
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
  house: House,
  batchId: string,
  body: unknown,
): Promise<{ event: LoggedEvent; isNew: boolean }> {
  const envelope = checked(envelopeSchema, body);
  const said = checked(batchEventBodySchema, body);
  const taken = await house.write(async () => {
    const batch = await batchRow(house.db, batchId);
    const [same] = await house.db.select().from(events).where(eq(events.id, envelope.id));
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
    const log = await eventsOf(house.db, batchId);
    const receivedAtMs = house.clock.nowMs();
    const actedAtMs = Math.min(receivedAtMs, house.clock.agoMs(Math.max(0, envelope.ageMs)));
    refuseImpossible(batch.snapshot, log, foldBatch(batch.snapshot, upTo(log, actedAtMs), actedAtMs), said);
    if (said.type === 'moved') await refuseTaken(house, batchId, said.payload);
    const lots = touchesLots(said) ? await lotViews(house) : [];
    refuseImpossibleDraw(said, lots, actedAtMs);
    const [row] = await house.db
      .insert(events)
      .values({
        id: envelope.id,
        batchId,
        type: said.type,
        v: said.v,
        payload: said.payload,
        actedAtMs,
        receivedAtMs,
        clientAtMs: house.clock.agoMs(envelope.ageMs),
        by: envelope.by ?? null,
        device: envelope.device ?? null,
        flag:
          flagOf(envelope.ageMs, batch.closedAtMs !== null && said.type !== 'undone') ??
          drawnBeyond(said, batch.snapshot.input.ingredients, lots),
      })
      .returning();
    const event = loggedEvent(row!);
    if (said.type === 'moved') await moveOver(house, batchId, said.payload);
    if (said.type === 'putBy') await numberLot(house, said.payload.lotId);
    if (said.type === 'undone') await putBack(house, batchId, batch.snapshot, [...log, event]);
    await settleClosing(house, batchId, [...log, event], batch.closedAtMs !== null);
    return { event, isNew: true };
  });
  if (taken.isNew) {
    house.live.publish({ kind: 'event', batchId, event: taken.event });
    if (touchesLots(taken.event) || taken.event.type === 'undone') house.live.publish({ kind: 'larder' });
    if (['closed', 'undone', 'moved'].includes(taken.event.type)) {
      house.live.publish({ kind: 'batch', batchId });
    }
  }
  return taken;
}

/** Closing freezes predicted beside actual; undoing the closing opens the batch again. Nothing else touches the result. */
async function settleClosing(
  house: House,
  batchId: string,
  log: readonly LoggedEvent[],
  wasClosed: boolean,
): Promise<void> {
  const closing = activeEvents(log).find((event) => event.type === 'closed');
  if ((closing !== undefined) === wasClosed) return;
  const { snapshot } = await batchRow(house.db, batchId);
  const frozen = closing
    ? {
        closedAtMs: closing.actedAtMs,
        result: batchResult(snapshot, foldBatch(snapshot, log, closing.actedAtMs), log),
      }
    : { closedAtMs: null, result: null };
  await house.db.update(batches).set(frozen).where(eq(batches.id, batchId));
}

function touchesLots(said: BatchEventBody): boolean {
  return said.type === 'putBy' || (said.type === 'added' && said.payload.items.some((item) => item.lotId));
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
