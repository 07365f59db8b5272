import { envelopeSchema, larderEventBodySchema } from '../../contract';
import {
  type LarderEvent,
  receivedFoodOf,
  settleLots,
  shelfEntries,
  upcastLarderEvent,
} from '../../core/larder';
import { activeEvents } from '../../core/log';
import { decideLarder } from '../../core/rules';
import type { CommandContext } from '../command-context';
import { inTodaysWords } from '../in-todays-words';
import { foodsView, saidIn, settingsOf } from '../kitchen/kitchen-view';
import { checked, refusedBy, whole } from '../problem';
import { saidAt } from '../said-at';
import { isSaidAgain } from '../said-before';
import {
  insertLarderEvent,
  itemRows,
  larderEventRow,
  latestRecipes,
  ledgerStore,
  nextLarderSeq,
  numberLot,
  setEntries,
  type Tx,
  undosOf,
} from '../storage';
import { broughtBack, lotsGoneWith, rootOf, usesOfLot } from './lot-uses';
import { lotViewOf } from './lot-views';

/**
 * Takes an event into the larder's log, with all that follows from it, in one transaction: told apart from what is there,
 * held against the rules, its food described as the table has it now, stored; then every browser is told which lots
 * changed.
 *
 * @throws ProblemError with nothing changed
 */
export function submitLarderEvent(
  context: CommandContext,
  body: unknown,
): { event: LarderEvent; isNew: boolean } {
  const envelope = checked(envelopeSchema, body);
  const said = inTodaysWords(body, upcastLarderEvent, larderEventBodySchema);
  const { id } = envelope;
  const done = context.storage.transact((tx) => {
    const before = larderEventRow(tx, id);
    const stands = before && { type: before.type, payload: before.payload };
    if (before && isSaidAgain('An event', id, stands, said))
      return { event: before, lotIds: null, hasTaught: false };
    const at = saidAt(context.clock, envelope, nextLarderSeq(tx));
    const decision = decideLarder(
      {
        lot: (lotId) => lotViewOf(tx, lotId, at.nowMs),
        hasEvent: (eventId) => larderEventRow(tx, eventId) !== undefined,
        lotsGoneWith: (eventId) => lotsGoneWith(tx, eventId),
        broughtBack: (eventId) => broughtBack(tx, eventId),
        usesOf: (lotId) => usesOfLot(tx, lotId),
        food: (ingredientId) => receivedFoodOf(ingredientId, foodsView(tx), latestRecipes(tx)),
        tagDays: settingsOf(tx).limits.shellfishTagDays,
        reheatC: settingsOf(tx).limits.reheatC,
        people: itemRows(tx, 'person').map(({ name }) => name),
      },
      said,
      at,
    );
    if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
    const event = insertLarderEvent(tx, {
      ...said,
      id,
      received: decision.received,
      actedAtMs: at.actedAtMs,
      receivedAtMs: at.nowMs,
      clientAtMs: at.clientAtMs,
      by: envelope.by ?? null,
      device: envelope.device ?? null,
    });
    if (decision.bornLotId) numberLot(tx, decision.bornLotId);
    const lotIds = whole(
      event,
      () => saidIn(tx),
      () => settleLots(ledgerStore(tx), entriesMoved(tx, event)),
    );
    return { event, lotIds, hasTaught: said.type === 'lotRead' && said.payload.kind === 'temperature' };
  });
  if (done.lotIds) context.live.publish({ kind: 'lots', lotIds: done.lotIds });
  if (done.hasTaught) context.live.publish({ kind: 'kitchen', part: 'learned' });
  return { event: done.event, isNew: done.lotIds !== null };
}

/** Sets what the event says of lots; of an undo, what the event at the end of it says now. */
function entriesMoved(tx: Tx, event: LarderEvent): string[] {
  if (event.type !== 'undone') return setEntries(tx, event.id, shelfEntries(event));
  const root = rootOf(tx, event);
  if (!root) return [];
  const [stands] = activeEvents([root, ...undosOf(tx, root.id)]);
  return setEntries(tx, root.id, stands ? shelfEntries(root) : []);
}
