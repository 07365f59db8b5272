import { COLD_C, coolingForecast, coolingKnown } from '../cooling';
import {
  isCooling,
  isPastUse,
  type LarderEventBody,
  lotsBornBy,
  lotsNamed,
  type ReceivedFood,
  readingFarOff,
  SCALE_KG,
  type ShelfLot,
  saidOfCooling,
} from '../larder';
import { type Decision, refused } from './decision';
import type { LotUse, Refusal } from './refusal';
import { nameOf, refuseBeforeLot, refuseInUse } from './refuse-lot';
import { refuseNobody } from './refuse-signed';
import { refuseTime, type SaidAt } from './times';

/** What the rules ask of the larder. */
export interface LarderFacts {
  /** a lot by its id; null where there is none, undefined where it is not known here */
  lot: (id: string) => ShelfLot | null | undefined;
  /** the larder's log has an entry of that id; undefined where that is not known here */
  hasEvent: (id: string) => boolean | undefined;
  /** lots that would never have been, were an entry undone; undefined where that is not known here */
  lotsGoneWith: (eventId: string) => readonly string[] | undefined;
  /** what an undo would bring back, where it undoes an undo; null where none, undefined where it is not known here */
  broughtBack: (eventId: string) => LarderEventBody | null | undefined;
  /** what has been done with a lot since it came into being; undefined where that is not known here */
  usesOf: (lotId: string) => readonly LotUse[] | undefined;
  /** what the table and the prices say of a food as it comes in; null where there is none, undefined where not known */
  food: (ingredientId: string) => ReceivedFood | null | undefined;
  /** days the tag of shellfish is kept */
  tagDays: number;
  /** what is reheated is brought to this all through, °C; undefined where it is not known here */
  reheatC?: number;
  /** who works in the kitchen, by name; undefined where that is not known here */
  people?: readonly string[];
}

export interface LarderDecision {
  /** what was known of the food that comes in, to be stored with the entry */
  received: ReceivedFood | null;
  /** the lot it brings into being */
  bornLotId: string | null;
}

/**
 * Whether something may be said of the larder, and what is stored with it.
 *
 * @param larder as it is
 * @param said the entry
 * @param at when it happened and when it arrived
 * @source docs/architecture.md, "Rules"
 */
export function decideLarder(
  larder: LarderFacts,
  said: LarderEventBody,
  at: SaidAt,
): Decision<LarderDecision> {
  const refusal =
    refuseTime(at, null) ??
    refuseOnShelf(larder, said, at) ??
    refuseSignature(larder, said) ??
    refuseBeforeLots(larder, said, at);
  if (refusal) return refused(refusal);
  if (said.type !== 'delivered' && said.type !== 'found')
    return { ok: true, received: null, bornLotId: lotsBornBy(said)[0] ?? null };
  const { ingredientId } = said.payload;
  const food = larder.food(ingredientId);
  if (food === undefined) return { ok: true, received: null, bornLotId: lotsBornBy(said)[0] ?? null };
  if (!food) return refused({ field: 'payload.ingredientId', code: 'unknownLarderFood', ingredientId });
  const wrong = refuseArrival(said, food, larder, at.nowMs);
  if (wrong) return refused(wrong);
  return {
    ok: true,
    received: said.type === 'found' ? asFound(food, said.payload.saltPercent) : food,
    bornLotId: lotsBornBy(said)[0] ?? null,
  };
}

function refuseArrival(
  said: Extract<LarderEventBody, { type: 'delivered' | 'found' }>,
  food: ReceivedFood,
  { tagDays }: LarderFacts,
  nowMs: number,
): Refusal | null {
  if (said.type === 'found')
    return said.payload.madeAtMs > nowMs ? { field: 'payload.madeAtMs', code: 'madeInTheFuture' } : null;
  const { useByMs, tag } = said.payload;
  if (useByMs !== undefined && useByMs < nowMs) return { field: 'payload.useByMs', code: 'useByInThePast' };
  const { allergens, name } = food.contents;
  return allergens.includes('molluscs') && !tag
    ? { field: 'payload.tag', code: 'tagMissing', name, keptDays: tagDays }
    : null;
}

/** What was found has the salt that was read of it. */
function asFound(food: ReceivedFood, saltPercent: number | undefined): ReceivedFood {
  if (saltPercent === undefined) return food;
  const { perKg } = food.contents;
  const salt = saltPercent / 100;
  const water = Math.max(0, perKg.water + perKg.salt - salt);
  return { ...food, contents: { ...food.contents, perKg: { ...perKg, salt, water } } };
}

/** What is signed is signed by somebody who works here. */
function refuseSignature({ people }: LarderFacts, { payload }: LarderEventBody): Refusal | null {
  return 'by' in payload && payload.by !== undefined ? refuseNobody(people, 'payload.by', payload.by) : null;
}

/** Why something cannot have been done on this shelf; null where it can. */
function refuseOnShelf(
  larder: LarderFacts,
  said: LarderEventBody,
  at: Pick<SaidAt, 'nowMs' | 'actedAtMs'>,
): Refusal | null {
  const { nowMs } = at;
  switch (said.type) {
    case 'delivered':
    case 'found':
      return refuseTaken(larder, 'payload.lotId', said.payload.lotId);
    case 'moved':
    case 'usePast':
    case 'counted':
      return refuseUnknown(larder, 'payload.lotId', said.payload.lotId);
    case 'lotRead':
      return (
        refuseUnknown(larder, 'payload.lotId', said.payload.lotId) ??
        refuseReading(larder, said.payload, at.actedAtMs)
      );
    case 'coolingSet':
      return (
        refuseUnknown(larder, 'payload.lotId', said.payload.lotId) ?? refuseCooling(larder, said.payload)
      );
    case 'lotReheated':
      return (
        refuseUnknown(larder, 'payload.lotId', said.payload.lotId) ?? refuseReheated(larder, said.payload)
      );
    case 'frozen':
    case 'thawed': {
      const lot = larder.lot(said.payload.lotId);
      if (!lot) return refuseUnknown(larder, 'payload.lotId', said.payload.lotId);
      const isFrozen = lot.storage === 'frozen';
      if (isFrozen !== (said.type === 'frozen')) return null;
      return { field: 'payload.lotId', code: isFrozen ? 'alreadyFrozen' : 'notFrozen', lot: nameOf(lot) };
    }
    case 'split':
      return (
        refuseTaken(larder, 'payload.toLotId', said.payload.toLotId) ??
        refuseTooMuch(larder, 'payload', said.payload)
      );
    case 'discarded':
      return refuseTooMuch(larder, 'payload', said.payload);
    case 'fatLifted':
      return refuseTooMuch(larder, 'payload', said.payload) ?? refuseFat(larder, said.payload);
    case 'blended':
      return (
        refuseTaken(larder, 'payload.toLotId', said.payload.toLotId) ??
        refuseParts(larder, said.payload.parts, nowMs)
      );
    case 'undone': {
      const { eventId } = said.payload;
      if (larder.hasEvent(eventId) === false)
        return { field: 'payload.eventId', code: 'unknownLarderEvent', eventId };
      for (const lotId of larder.lotsGoneWith(eventId) ?? []) {
        const refusal = refuseInUse('payload.eventId', larder.lot(lotId), larder.usesOf(lotId));
        if (refusal) return refusal;
      }
      // what is undone is said once more: there must still be enough for it
      const back = larder.broughtBack(eventId);
      return back ? refuseOnShelf(larder, back, at) : null;
    }
  }
}

/** Nothing is done with a lot before it was there. */
function refuseBeforeLots(larder: LarderFacts, said: LarderEventBody, at: SaidAt): Refusal | null {
  for (const lotId of lotsNamed(said)) {
    const refusal = refuseBeforeLot('ageMs', larder.lot(lotId), at.actedAtMs);
    if (refusal) return refusal;
  }
  return null;
}

function refuseParts(
  larder: LarderFacts,
  parts: readonly { lotId: string; kg: number }[],
  nowMs: number,
): Refusal | null {
  for (const [i, part] of parts.entries()) {
    const field = `payload.parts.${i}.lotId`;
    if (parts.findIndex((one) => one.lotId === part.lotId) !== i) return { field, code: 'lotNamedTwice' };
    const lot = larder.lot(part.lotId);
    if (lot?.storage === 'frozen') return { field, code: 'lotFrozen', lot: nameOf(lot) };
    if (lot && isPastUse(lot, nowMs)) return { field, code: 'lotPastDate', lot: nameOf(lot), act: 'blend' };
    const refusal = refuseTooMuch(larder, `payload.parts.${i}`, part);
    if (refusal) return refusal;
  }
  return null;
}

function refuseTaken(larder: LarderFacts, field: string, lotId: string): Refusal | null {
  return larder.lot(lotId) ? { field, code: 'lotExists', lotId } : null;
}

function refuseUnknown(larder: LarderFacts, field: string, lotId: string): Refusal | null {
  return larder.lot(lotId) === null ? { field, code: 'unknownLot', lotId } : null;
}

/** Of a small lot a scale is off by no more than this share of it. Common practice. */
const SCALE_SHARE = 0.05;
/** What fat is in a lot is a guess: so many times as much can be lifted, and a spoonful, kg. From memory. */
const FAT_TIMES = 2;
const FAT_SPOON_KG = 0.02;

/** More fat than can be in it is a slip of the pen. */
function refuseFat(larder: LarderFacts, { lotId, kg }: { lotId: string; kg: number }): Refusal | null {
  const lot = larder.lot(lotId);
  if (!lot) return null;
  const thereKg = lot.contents.perKg.fat * lot.leftKg;
  return kg > FAT_TIMES * thereKg + FAT_SPOON_KG
    ? { field: 'payload.kg', code: 'moreLotFatThanThere', lot: nameOf(lot), kg, thereKg }
    : null;
}

/** A reading far from what was computed is asked about, and believed when it is said once more. */
function refuseReading(
  larder: LarderFacts,
  said: Extract<LarderEventBody, { type: 'lotRead' }>['payload'],
  atMs: number,
): Refusal | null {
  if (said.kind === 'set' || said.sure) return null;
  const lot = larder.lot(said.lotId);
  if (said.kind === 'temperature') {
    const expectedC = lot ? temperatureFarOff(lot, said.value, atMs) : null;
    return expectedC === null
      ? null
      : {
          field: 'payload.value',
          code: 'lotReadingFarOff',
          kind: 'temperature',
          value: said.value,
          expected: expectedC,
        };
  }
  const { kind, value } = said;
  const expected = lot ? readingFarOff(lot.contents, kind, value) : null;
  return expected === null
    ? null
    : { field: 'payload.value', code: 'lotReadingFarOff', kind, value, expected };
}

/** So far from the forecast a thermometer is asked about once, and what is not cooled is no warmer than this, °C. Ours. */
const FAR_C = 15;
const WARM_SHELF_C = 25;

/** What a thermometer was expected to show, where it is far from it; null where it may be, or nobody knows. */
function temperatureFarOff({ cooling, storage }: ShelfLot, valueC: number, atMs: number): number | null {
  if (cooling && isCooling(cooling) && atMs >= cooling.steps[0]!.atMs) {
    const { centreC } = coolingForecast(coolingKnown(saidOfCooling(cooling)), atMs);
    // what cools is never warmer than it was poured
    const mostC = Math.min(centreC.p90 + FAR_C, cooling.startC + 2 * cooling.startSdC);
    const isFar = valueC > mostC || valueC < centreC.p10 - FAR_C;
    return isFar ? centreC.p50 : null;
  }
  const isShelved = storage !== 'dry' && cooling != null;
  return isShelved && valueC > WARM_SHELF_C ? COLD_C : null;
}

/** Cold food is not cooled in what is warmer than it may get. */
function refuseCooling(
  larder: LarderFacts,
  { lotId, how, fromC }: Extract<LarderEventBody, { type: 'coolingSet' }>['payload'],
): Refusal | null {
  const lot = larder.lot(lotId);
  if (!lot) return null;
  if (lot.storage === 'frozen') return { field: 'payload.lotId', code: 'lotFrozen', lot: nameOf(lot) };
  return fromC !== undefined && fromC <= how.airC
    ? { field: 'payload.fromC', code: 'colderThanItsPlace', tempC: fromC, airC: how.airC, place: how.place }
    : null;
}

/** Reheated is reheated all through; and only what was to be cooled is. */
function refuseReheated(
  larder: LarderFacts,
  { lotId, tempC }: Extract<LarderEventBody, { type: 'lotReheated' }>['payload'],
): Refusal | null {
  const lot = larder.lot(lotId);
  if (lot && !lot.cooling) return { field: 'payload.lotId', code: 'notCooled', lot: nameOf(lot) };
  return larder.reheatC !== undefined && tempC < larder.reheatC
    ? { field: 'payload.tempC', code: 'notHotEnough', tempC, leastC: larder.reheatC }
    : null;
}

/** More than is left is counted first, and then said. */
function refuseTooMuch(
  larder: LarderFacts,
  field: string,
  { lotId, kg }: { lotId: string; kg: number },
): Refusal | null {
  const lot = larder.lot(lotId);
  if (!lot) return refuseUnknown(larder, `${field}.lotId`, lotId);
  return kg > lot.leftKg + Math.min(SCALE_KG, SCALE_SHARE * lot.leftKg)
    ? { field: `${field}.kg`, code: 'notEnoughLeft', lot: nameOf(lot), leftKg: lot.leftKg, kg }
    : null;
}
