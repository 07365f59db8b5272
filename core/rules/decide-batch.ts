import {
  type AddedItem,
  advanceBatch,
  type BatchEvent,
  type BatchEventBody,
  type BatchResult,
  type BatchSnapshot,
  type BatchState,
  batchResult,
  FoldError,
  type FoldedLog,
  foldedAt,
  foldWith,
  kindNow,
} from '../batch';
import { holderOf } from '../hold';
import { drawnItems, drawnLotOf, isPastUse, kgOffTheShelf, SCALE_KG } from '../larder';
import { burnerFor, potFor } from '../order';
import { own } from '../own';
import { foodLitres } from '../pot';
import type { BatchCommand } from './batch-command';
import { type Decision, refused } from './decision';
import type { KitchenFacts } from './kitchen-facts';
import { outlook } from './outlook';
import type { Mark, Refusal } from './refusal';
import { refuseAtPot } from './refuse-at-pot';
import { refuseGuest } from './refuse-guest';
import { nameOf, refuseBeforeLot } from './refuse-lot';
import { refuseSigned } from './refuse-signed';
import { refuseUndo } from './refuse-undo';
import { DAY_OLD_MS, refuseTime, type SaidAt } from './times';

/** A batch with its log folded. */
export interface BatchFacts {
  snapshot: BatchSnapshot;
  log: FoldedLog;
  startedAtMs: number;
}

/** What follows from a command that may be. */
export interface BatchDecision {
  event: BatchEvent;
  /** the log with it, folded */
  log: FoldedLog;
  /** what the batch came to, where this closes it, or closes it at another time; else null */
  result: BatchResult | null;
  /** what a person should look at, if anything */
  mark: Mark | null;
}

/**
 * Whether something may be said of a batch, and what follows. The browser asks before it sends, also without a line; the
 * server asks again inside the transaction that stores it. The log is folded with the entry in its place and with all
 * that comes after it, and looked ahead from, before anything is kept: what would not go is refused, naming the entry it
 * would break.
 *
 * @param batch as it is
 * @param kitchen around it
 * @param said the entry, with the id it will have
 * @param at when it happened and when it arrived
 * @source docs/architecture.md, "Rules"
 */
export function decideBatch(
  batch: BatchFacts,
  kitchen: KitchenFacts,
  said: { id: string; command: BatchCommand },
  at: SaidAt,
): Decision<BatchDecision> {
  const { snapshot, log, startedAtMs } = batch;
  const wrongTime = refuseTime(at, startedAtMs);
  if (wrongTime) return refused(wrongTime);
  const placed = eventOfCommand(kitchen, snapshot, said.command, at.actedAtMs);
  if ('refusal' in placed) return refused(placed.refusal);
  const { body } = placed;
  const event: BatchEvent = { ...body, id: said.id, seq: at.seq, actedAtMs: at.actedAtMs };
  try {
    const before = foldedAt(snapshot, log, at.actedAtMs);
    const refusal =
      refuseAtPot(snapshot, log.events, before, body) ??
      refuseDraw(kitchen, body, at.actedAtMs) ??
      refuseSigned(kitchen.people, body) ??
      refuseGuest(kitchen, snapshot, before, body);
    if (refusal) return refused(refusal);
    const after = foldWith(snapshot, log, event);
    const taken =
      refuseUndo(kitchen, log.state, after.state) ?? refusePlace(kitchen, log.state, after.state, body);
    if (taken) return refused(taken);
    outlook(snapshot, advanceBatch(after.state, at.nowMs), at.nowMs);
    const { closed } = after.state;
    const isClosing = closed !== null && closed.atMs !== log.state.closed?.atMs;
    return {
      ok: true,
      event,
      log: after,
      result: isClosing ? batchResult(snapshot, after.state, after.events) : null,
      mark: markOf(kitchen, snapshot, before, body, at),
    };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return refused(breaks(error, log.events, event));
  }
}

/**
 * The event a command comes to: a move, or pans to hold it in, take their measures from the kitchen, and what goes in says what its lot held, or
 * what a food is that the batch did not start with.
 */
export function eventOfCommand(
  kitchen: Pick<KitchenFacts, 'pots' | 'burners' | 'learned' | 'equipment' | 'lot' | 'lotAt' | 'food'>,
  { input }: Pick<BatchSnapshot, 'input'>,
  command: BatchCommand,
  atMs: number,
): { body: BatchEventBody } | { refusal: Refusal } {
  const described = <T extends AddedItem>(item: T): T => {
    const lot = item.lotId ? (kitchen.lotAt?.(item.lotId, atMs) ?? kitchen.lot(item.lotId)) : null;
    const row = own(input.ingredients, item.ingredientId) ? null : kitchen.food(item.ingredientId);
    return { ...item, ...(lot ? { drawn: drawnLotOf(lot) } : {}), ...(row ? { row } : {}) };
  };
  if (command.type === 'added')
    return {
      body: { type: 'added', payload: { ...command.payload, items: command.payload.items.map(described) } },
    };
  if (command.type === 'slip' && 'ingredientId' in command.payload)
    return { body: { type: 'slip', payload: described(command.payload) } };
  if (command.type === 'heldHot') {
    const holder = holderOf(command.payload, kitchen.equipment);
    return { body: { type: 'heldHot', payload: { ...command.payload, ...(holder ? { holder } : {}) } } };
  }
  if (command.type !== 'moved') return { body: command };
  const { potId, burnerId } = command.payload;
  const pot = kitchen.pots.find((one) => one.id === potId);
  if (!pot) return { refusal: { field: 'payload.potId', code: 'unknownPot', potId } };
  const burner = kitchen.burners.find((one) => one.id === burnerId);
  if (!burner) return { refusal: { field: 'payload.burnerId', code: 'unknownBurner', burnerId } };
  const names = { potName: pot.name, burnerName: burner.name };
  if (!burner.potIds.includes(pot.id))
    return { refusal: { field: 'payload.burnerId', code: 'potNotOnBurner', ...names } };
  const measured = potFor(kitchen, pot, input.recipe.id);
  return { body: { type: 'moved', payload: { pot: measured, burner: burnerFor(kitchen, burner, pot.id) } } };
}

/**
 * No two batches stand in one pot or on one burner: not after a move, nor after an undo of a move or of a closing.
 */
function refusePlace(
  kitchen: KitchenFacts,
  before: BatchState,
  after: BatchState,
  body: BatchEventBody,
): Refusal | null {
  // pans of the bain-marie and insulated boxes are many: they are nobody's place
  if (after.closed || (after.held && after.held.in !== 'pot')) return null;
  const isOpenAgain = before.closed !== null;
  const named = (field: string) => (body.type === 'moved' ? `payload.${field}` : 'payload.eventId');
  const { inPot, onBurner } = after;
  if (isOpenAgain || inPot.id !== before.inPot.id) {
    const by = kitchen.busyPots.get(inPot.id);
    if (by !== undefined) return { field: named('potId'), code: 'potBusy', potName: inPot.name, by };
  }
  if (isOpenAgain || onBurner.id !== before.onBurner.id) {
    const by = kitchen.busyBurners.get(onBurner.id);
    if (by !== undefined)
      return { field: named('burnerId'), code: 'burnerBusy', burnerName: onBurner.name, by };
  }
  return null;
}

/**
 * A draw from a lot that is not there, or was not yet, or is past its date without the person in charge having said why,
 * is refused; a draw from an empty one, or a frozen block tipped in, really happened, and is kept.
 */
function refuseDraw(kitchen: KitchenFacts, body: BatchEventBody, atMs: number): Refusal | null {
  if (body.type === 'stored') {
    const { lotId } = body.payload;
    return kitchen.lot(lotId) ? { field: 'payload.lotId', code: 'lotExists', lotId } : null;
  }
  for (const { item, field } of itemsIn(body)) {
    if (!item.lotId) continue;
    const lot = kitchen.lot(item.lotId);
    if (lot === null) return { field: `${field}.lotId`, code: 'unknownLot', lotId: item.lotId };
    const tooEarly = refuseBeforeLot('ageMs', lot, atMs);
    if (tooEarly) return tooEarly;
    if (lot && isPastUse(lot, atMs) && !item.overrideReason)
      return { field: `${field}.overrideReason`, code: 'lotPastDate', lot: nameOf(lot), act: 'draw' };
  }
  return null;
}

/** What an entry says goes in, each with the field it stands in. */
function itemsIn(body: BatchEventBody): { item: AddedItem; field: string }[] {
  if (body.type === 'added')
    return body.payload.items.map((item, i) => ({ item, field: `payload.items.${i}` }));
  return drawnItems(body).map((item) => ({ item, field: 'payload' }));
}

function markOf(
  kitchen: KitchenFacts,
  snapshot: BatchSnapshot,
  before: BatchState,
  body: BatchEventBody,
  at: SaidAt,
): Mark | null {
  if (before.closed && body.type !== 'undone') return { code: 'afterClose' };
  if (at.isAhead) return { code: 'clockAhead' };
  if (at.nowMs - at.actedAtMs > DAY_OLD_MS) return { code: 'dayOld' };
  const lotNumbers = overdrawn(kitchen, snapshot, body);
  if (lotNumbers.length > 0) return { code: 'drewBeyond', lotNumbers };
  return servedBeyond(snapshot, before, body);
}

/** The level is an estimate: a jug may find so much more, as a share. */
const JUG_SHARE = 1.05;

/** Portions that the pot did not hold, by more than a ladle is out: the level was wrong, or the number was. */
function servedBeyond({ input }: BatchSnapshot, before: BatchState, body: BatchEventBody): Mark | null {
  if (body.type === 'drawnOff') {
    const { litres } = body.payload;
    const thereLitres = foodLitres(before.pot);
    return litres > thereLitres * JUG_SHARE ? { code: 'drawnBeyond', litres, thereLitres } : null;
  }
  if (body.type !== 'portioned' || body.payload.isOut) return null;
  const { ml } = kindNow(input, before.service, body.payload.kindId);
  const litres = (body.payload.portions * ml) / 1000;
  const thereLitres = foodLitres(before.pot);
  return litres - ml / 1000 > thereLitres ? { code: 'servedBeyond', litres, thereLitres } : null;
}

/** Lots of which more is drawn than they hold, by their numbers. */
function overdrawn(kitchen: KitchenFacts, snapshot: BatchSnapshot, body: BatchEventBody): number[] {
  const wantedKg = new Map<string, number>();
  for (const item of drawnItems(body)) {
    const kg = kgOffTheShelf(snapshot.input.ingredients, item);
    wantedKg.set(item.lotId, (wantedKg.get(item.lotId) ?? 0) + kg);
  }
  return [...wantedKg].flatMap(([lotId, kg]) => {
    const lot = kitchen.lot(lotId);
    return lot && kg > lot.leftKg + SCALE_KG ? [lot.number] : [];
  });
}

/** Which entry would no longer go with this one in its place; itself, where the log went before. */
function breaks(error: RangeError, events: readonly BatchEvent[], event: BatchEvent): Refusal {
  const broken = error instanceof FoldError ? events.find((one) => one.id === error.eventId) : undefined;
  return {
    field: 'type',
    code: 'wouldBreak',
    eventId: broken?.id ?? event.id,
    type: broken?.type ?? event.type,
    atMs: broken?.actedAtMs ?? null,
    isItself: broken === undefined,
  };
}
