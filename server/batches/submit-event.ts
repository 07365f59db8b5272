import { batchCommandSchema, envelopeSchema, type LoggedEvent } from '../../contract';
import { type AskedOrder, EVENT_VERSIONS, type FoldedLog } from '../../core/batch';
import { libraryOf, rowsOf } from '../../core/book';
import { own } from '../../core/own';
import {
  type BatchCommand,
  commandOf,
  decideBatch,
  decideMending,
  type KitchenFacts,
  type Mark,
  upcastCommand,
} from '../../core/rules';
import type { CommandContext } from '../command-context';
import { inTodaysWords } from '../in-todays-words';
import { burnerViews, foodsView, learnedView, saidIn, settingsOf } from '../kitchen/kitchen-view';
import { usesOfLot } from '../larder/lot-uses';
import { lotViewAt, lotViewOf } from '../larder/lot-views';
import { checked, refusedBy, whole } from '../problem';
import { inItsOrder, saidAt } from '../said-at';
import { isSaidAgain } from '../said-before';
import {
  type BatchKept,
  eventOf,
  headRow,
  insertEvent,
  itemRows,
  keepBatch,
  keepHead,
  keepLots,
  keepParts,
  latestRecipes,
  nextSeq,
  openPlaces,
  setBroken,
  type Tx,
  writtenEvent,
  writtenEvents,
} from '../storage';
import { type AsideBatch, eventsWithout, isAside } from './batch-logs';

/** What was said, and what came of it. */
interface Submitted {
  event: LoggedEvent;
  isNew: boolean;
}

/**
 * Takes an event into a batch's log, with all that follows from it, in one transaction: told apart from what is there,
 * held against the rules, given its place in time, stored; then every browser is told. The same event again gets the
 * first answer again.
 *
 * @throws ProblemError with nothing changed
 */
export function submitEvent(context: CommandContext, batchId: string, body: unknown): Submitted {
  const envelope = checked(envelopeSchema, body);
  const command = inTodaysWords(body, upcastCommand, batchCommandSchema);
  const done = context.storage.transact((tx) => {
    const before = writtenEvent(tx, envelope.id);
    if (before) {
      const stands = { batchId: before.batchId, ...commandOf(eventOf(before)) };
      isSaidAgain('An event', envelope.id, stands, { batchId, ...command });
      return { event: eventOf(before), isNew: false as const };
    }
    const cameAt = saidAt(context.clock, envelope, nextSeq(tx));
    const said = { id: envelope.id, command };
    const batch = context.logs.of(batchId);
    const at = inItsOrder(
      cameAt,
      envelope.device ?? null,
      isAside(batch) ? undefined : lastOf(tx, batch.log),
    );
    const shared = {
      receivedAtMs: at.nowMs,
      by: envelope.by ?? null,
      device: envelope.device ?? null,
      v: EVENT_VERSIONS.get(command.type)!,
    };
    if (isAside(batch)) return mend(tx, batch, said, at, shared);
    const { row, log } = batch;
    const facts = { snapshot: row.snapshot, log, startedAtMs: row.createdAtMs };
    const decision = decideBatch(facts, kitchenAround(context, tx, batchId), said, at);
    if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
    const event: LoggedEvent = { ...decision.event, ...shared, flag: decision.mark };
    insertEvent(tx, { ...event, batchId, clientAtMs: at.clientAtMs });
    const kept = whole(
      event,
      () => saidIn(tx),
      () => keepBatch(tx, batch, decision.log, event, decision.result),
    );
    const grown = { row: kept.row, log: decision.log };
    context.logs.checkpoint(tx, grown);
    return { event, isNew: true as const, grown, kept };
  });
  if (done.isNew) {
    if (done.grown) context.logs.grow(done.grown, done.event);
    else context.logs.forget(batchId);
    for (const id of done.kept?.partIds ?? []) context.logs.forget(id);
    tell(context, batchId, done.event, done.kept);
  }
  return { event: done.event, isNew: done.isNew };
}

/** The entry that happened last, with the device that said it. */
function lastOf(tx: Tx, { events }: FoldedLog): { actedAtMs: number; device: string | null } | undefined {
  const last = events.at(-1);
  const written = last && writtenEvent(tx, last.id);
  return written && { actedAtMs: last.actedAtMs, device: eventOf(written).device };
}

/** The kitchen around a batch, read as far as it is asked for. */
export function kitchenAround(context: CommandContext, db: Tx, batchId: string): KitchenFacts {
  const { clock } = context;
  const places = once(() => openPlaces(db, batchId));
  return {
    get pots() {
      return itemRows(db, 'pot');
    },
    get burners() {
      return burnerViews(db);
    },
    get learned() {
      return learnedView(db);
    },
    get equipment() {
      return settingsOf(db).equipment;
    },
    get people() {
      return itemRows(db, 'person').map(({ name }) => name);
    },
    get busyPots() {
      return new Map(places().map((one) => [one.potId, one.name]));
    },
    get busyBurners() {
      return new Map(places().map((one) => [one.burnerId, one.name]));
    },
    lot: (id) => lotViewOf(db, id, clock.nowMs()),
    lotAt: (id, atMs) => lotViewAt(db, id, atMs),
    usesOf: (id) => usesOfLot(db, id),
    partInUse: (id) => {
      const head = headRow(db, id);
      return head && writtenEvents(db, id, 0, 1).length > 0 ? head.name : null;
    },
    partPlace: (id) => headRow(db, id),
    asked: (orderId) => askedOf(context, db, orderId),
    food: (id) => own(rowsOf(libraryOf(foodsView(db), latestRecipes(db))), id) ?? null,
  };
}

/** An order as the batch whose log took it in has it now; null where none did, or it was undone. */
function askedOf({ logs }: CommandContext, db: Tx, orderId: string): AskedOrder | null {
  const asked = writtenEvent(db, orderId);
  const batch = asked?.type === 'asked' ? logs.of(asked.batchId) : null;
  if (!batch || isAside(batch)) return null;
  return batch.log.state.service.asked.find((one) => one.orderId === orderId) ?? null;
}

function once<T>(read: () => T): () => T {
  let value: { is: T } | null = null;
  return () => {
    value ??= { is: read() };
    return value.is;
  };
}

/** A batch that is set aside takes an undo; where its log folds with it, it is back. */
function mend(
  tx: Tx,
  batch: AsideBatch,
  said: { id: string; command: BatchCommand },
  at: ReturnType<typeof saidAt>,
  shared: { receivedAtMs: number; by: string | null; device: string | null; v: number },
) {
  const { id, row, createdAtMs, broken } = batch;
  const decision = decideMending(
    {
      snapshot: row?.snapshot ?? null,
      hasEvent: (eventId) => writtenEvent(tx, eventId)?.batchId === id,
      eventsWithout: (eventId) => eventsWithout(tx, id, eventId),
      startedAtMs: createdAtMs,
    },
    said,
    at,
  );
  if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
  const flag: Mark | null = null;
  const event: LoggedEvent = { ...decision.event, ...shared, flag };
  insertEvent(tx, { ...event, batchId: id, clientAtMs: at.clientAtMs });
  if (!decision.log || !row) {
    setBroken(tx, id, { ...broken, eventId: decision.stopsAt ?? broken.eventId });
    return { event, isNew: true as const, grown: null, kept: null };
  }
  setBroken(tx, id, null);
  keepHead(tx, row, decision.log.state);
  const lotIds = keepLots(tx, row, decision.log.events, decision.log.state);
  const partIds = keepParts(tx, id, decision.log.state);
  return {
    event,
    isNew: true as const,
    grown: null,
    kept: { row, lotIds, partIds, change: 'mended' as const },
  };
}

/** Every browser is told what changed, and no more. */
function tell(
  { live }: CommandContext,
  batchId: string,
  event: LoggedEvent,
  kept: (Omit<BatchKept, 'change'> & { change: BatchKept['change'] | 'mended' }) | null,
): void {
  live.publish({ kind: 'event', batchId, event });
  if (!kept) return;
  if (kept.change) live.publish({ kind: 'batch', batchId, change: kept.change });
  for (const id of kept.partIds) live.publish({ kind: 'batch', batchId: id, change: 'mended' });
  if (kept.lotIds.length > 0) live.publish({ kind: 'lots', lotIds: kept.lotIds });
  if (kept.change === 'closed' || kept.change === 'reopened')
    live.publish({ kind: 'kitchen', part: 'learned' });
}
