import { eq } from 'drizzle-orm';
import { envelopeSchema, larderEventBodySchema, receivedFoodOf } from '../../contract';
import type { LarderEvent, LarderEventBody, ReceivedFood } from '../../core/larder';
import { checked, impossible, ProblemError } from '../problem';
import { kitchenView, latestRecipes } from '../routes/kitchen-store';
import type { ServerContext } from '../server-context';
import { larderEvents } from '../storage/schema';
import { larderEvent, larderNow, numberLot } from './larder-store';
import { lotViews } from './lot-views';
import { refuseImpossibleOnShelf } from './possible-on-the-shelf';

/**
 * Takes an event into the larder's log, in one turn of the write queue: checked, told apart from what is there, its
 * food described as the table has it now, stored, and told to every browser.
 */
export async function appendLarderEvent(
  context: ServerContext,
  body: unknown,
): Promise<{ event: LarderEvent; isNew: boolean }> {
  const envelope = checked(envelopeSchema, body);
  const said = checked(larderEventBodySchema, body);
  const answer = await context.write(async () => {
    const [same] = await context.db.select().from(larderEvents).where(eq(larderEvents.id, envelope.id));
    if (same) {
      if (same.type === said.type && JSON.stringify(same.payload) === JSON.stringify(said.payload))
        return { event: larderEvent(same), isNew: false };
      throw new ProblemError(409, 'Said before, otherwise', [
        { field: 'id', sentence: `An event “${envelope.id}” with another content is already in the log.` },
      ]);
    }
    const [{ events }, views] = await Promise.all([larderNow(context), lotViews(context)]);
    refuseImpossibleOnShelf(
      said,
      new Map(views.map((lot) => [lot.id, lot])),
      events.map(larderEvent),
      context.clock.nowMs(),
    );
    const taken = await takenIn(context, said);
    const receivedAtMs = context.clock.nowMs();
    const [row] = await context.db
      .insert(larderEvents)
      .values({
        id: envelope.id,
        type: said.type,
        v: said.v,
        payload: said.payload,
        taken,
        actedAtMs: Math.min(receivedAtMs, context.clock.agoMs(Math.max(0, envelope.ageMs))),
        receivedAtMs,
        clientAtMs: context.clock.agoMs(envelope.ageMs),
        by: envelope.by ?? null,
        device: envelope.device ?? null,
      })
      .returning();
    const lotId = bornBy(said);
    if (lotId) await numberLot(context, lotId);
    return { event: larderEvent(row!), isNew: true };
  });
  if (answer.isNew) context.live.publish({ kind: 'larder' });
  return answer;
}

/** The lot an event brings into being, if it does. */
function bornBy(said: LarderEventBody): string | null {
  if (said.type === 'delivered' || said.type === 'found') return said.payload.lotId;
  return said.type === 'split' || said.type === 'blended' ? said.payload.toLotId : null;
}

/** Food that comes in is described by the table of this moment; shellfish comes with its tag. */
async function takenIn(context: ServerContext, said: LarderEventBody): Promise<ReceivedFood | null> {
  if (said.type !== 'delivered' && said.type !== 'found') return null;
  const { ingredientId } = said.payload;
  const [kitchen, book] = await Promise.all([kitchenView(context), latestRecipes(context)]);
  const taken = receivedFoodOf(ingredientId, kitchen, book);
  if (!taken) throw impossible('payload.ingredientId', `There is no food “${ingredientId}” in the table.`);
  if (said.type === 'found') {
    if (said.payload.madeAtMs > context.clock.nowMs())
      throw impossible('payload.madeAtMs', 'It cannot have been made in time to come.');
    const { saltPercent } = said.payload;
    if (saltPercent === undefined) return taken;
    const { perKg } = taken.contents;
    const salt = saltPercent / 100;
    const water = Math.max(0, perKg.water + perKg.salt - salt);
    return { ...taken, contents: { ...taken.contents, perKg: { ...perKg, salt, water } } };
  }
  if (said.payload.useByMs !== undefined && said.payload.useByMs < context.clock.nowMs())
    throw impossible('payload.useByMs', 'Its use-by date is past already: send it back, or throw it away.');
  const { allergens } = taken.contents;
  const isShellfish = allergens.includes('molluscs');
  if (isShellfish && !said.payload.tag)
    throw impossible(
      'payload.tag',
      `${taken.contents.name} comes with a tag: put down its number, it is kept 90 days.`,
    );
  return taken;
}
