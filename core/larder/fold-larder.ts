import { activeEvents } from '../batch/active-events';
import { totalKg } from '../matter/masses';
import { asRead } from './as-read';
import type { LarderEvent } from './larder-event';
import type { Lot, LotBirth } from './lot';
import { mixContents } from './mix-contents';

/** Kilograms a batch took out of a lot: read off the batch's own log. */
export interface LotDraw {
  eventId: string;
  lotId: string;
  batchId: string;
  kg: number;
  atMs: number;
  seq: number;
}

/** A lot that a batch put by: read off the batch's own log. */
export interface LotMade {
  eventId: string;
  birth: LotBirth;
  atMs: number;
  seq: number;
}

/** One lot poured or parted into another. */
export interface LotPour {
  fromLotId: string;
  toLotId: string;
  kg: number;
  atMs: number;
}

/** A row of the ledger's sums: kilograms and hundredths of the kitchen's money. */
export interface Tally {
  kg: number;
  cents: number;
}

/** The larder at a moment. */
export interface Larder {
  lots: ReadonlyMap<string, Lot>;
  draws: readonly LotDraw[];
  pours: readonly LotPour[];
  /** what came in, and where it went; with what is left they balance */
  sums: Readonly<Record<'in' | 'drawn' | 'discarded' | 'lifted' | 'countedOff', Tally>>;
  /** events that name a lot that is not there (its birth was taken back): kept, for a person to settle */
  strayEventIds: readonly string[];
}

type Sums = Record<keyof Larder['sums'], Tally>;

interface Desk {
  lots: Map<string, Lot>;
  draws: LotDraw[];
  pours: LotPour[];
  sums: Sums;
  strays: string[];
}

type Entry = { atMs: number; seq: number; order: number; put: (desk: Desk) => void };

/**
 * The larder as its logs make it: what batches put by and drew, deliveries, and what was done on the shelf, in the
 * order it happened. Nothing is refused: a draw from an empty lot makes its count negative, and it is to be counted.
 *
 * @param of lots that batches made, their draws, the larder's own events; any order
 * @param untilMs the moment wanted; later entries are left out
 * @returns every lot that ever was, and the sums
 * @source docs/model.md § 13
 */
export function foldLarder(
  of: { made: readonly LotMade[]; draws: readonly LotDraw[]; events: readonly LarderEvent[] },
  untilMs = Number.POSITIVE_INFINITY,
): Larder {
  const desk: Desk = {
    lots: new Map(),
    draws: [],
    pours: [],
    sums: { in: none(), drawn: none(), discarded: none(), lifted: none(), countedOff: none() },
    strays: [],
  };
  const entries: Entry[] = [
    ...of.made.map((made): Entry => ({ ...when(made), order: 0, put: (on) => putBorn(on, made) })),
    ...of.draws.map((draw): Entry => ({ ...when(draw), order: 1, put: (on) => putDraw(on, draw) })),
    ...activeEvents(of.events).map(
      (event): Entry => ({
        atMs: event.actedAtMs,
        seq: event.seq,
        order: 2,
        put: (on) => putEvent(on, event),
      }),
    ),
  ];
  entries.sort((a, b) => a.atMs - b.atMs || a.order - b.order || a.seq - b.seq);
  for (const entry of entries) if (entry.atMs <= untilMs) entry.put(desk);
  return {
    lots: desk.lots,
    draws: desk.draws,
    pours: desk.pours,
    sums: desk.sums,
    strayEventIds: desk.strays,
  };
}

const none = (): Tally => ({ kg: 0, cents: 0 });
const when = ({ atMs, seq }: { atMs: number; seq: number }) => ({ atMs, seq });

function tally(desk: Desk, name: keyof Sums, kg: number, centsPerKg: number): void {
  const sum = desk.sums[name];
  desk.sums[name] = { kg: sum.kg + kg, cents: sum.cents + kg * centsPerKg };
}

function bear(desk: Desk, birth: LotBirth, atMs: number, eventId: string): void {
  const { kg, ...rest } = birth;
  desk.lots.set(birth.lotId, {
    ...rest,
    bornKg: kg,
    bornAtMs: atMs,
    leftKg: kg,
    frozenSinceMs: birth.storage === 'frozen' ? atMs : null,
    brix: null,
    saltPercent: null,
    sets: null,
    tempC: null,
    fatLiftedKg: 0,
    usePast: null,
    history: [eventId],
  });
}

/** A batch's lot is as old as the oldest made thing that went into it. */
function putBorn(desk: Desk, { birth, eventId, atMs }: LotMade): void {
  const { origin } = birth;
  const dates = desk.draws
    .filter((draw) => origin.kind === 'batch' && draw.batchId === origin.batchId)
    .flatMap((draw) => datedAt(desk.lots.get(draw.lotId), atMs));
  bear(desk, { ...birth, madeAtMs: Math.min(birth.madeAtMs, ...dates) }, atMs, eventId);
  tally(desk, 'in', birth.kg, birth.centsPerKg);
}

/** The date a mixture inherits from a lot: none from raw goods or what is under no date mark. */
function datedAt(lot: Lot | undefined, atMs: number): number[] {
  if (lot?.life.rule !== 'dateMark' || lot.origin.kind === 'delivery') return [];
  return [lot.madeAtMs + (lot.frozenSinceMs === null ? 0 : atMs - lot.frozenSinceMs)];
}

function putDraw(desk: Desk, draw: LotDraw): void {
  const lot = desk.lots.get(draw.lotId);
  if (!lot) {
    desk.strays.push(draw.eventId);
    return;
  }
  desk.draws.push(draw);
  take(desk, lot, draw.kg, 'drawn', draw.eventId);
}

function take(desk: Desk, lot: Lot, kg: number, name: keyof Sums, eventId: string): void {
  tally(desk, name, kg, lot.centsPerKg);
  alter(desk, lot, { leftKg: lot.leftKg - kg }, eventId);
}

function alter(desk: Desk, lot: Lot, change: Partial<Lot>, eventId: string): void {
  desk.lots.set(lot.lotId, { ...lot, ...change, history: [...lot.history, eventId] });
}

function putEvent(desk: Desk, event: LarderEvent): void {
  if (event.type === 'delivered' || event.type === 'found') arrive(desk, event);
  else if (event.type === 'blended') blend(desk, event);
  else if (event.type !== 'undone') {
    const lot = desk.lots.get(event.payload.lotId);
    if (lot) onLot(desk, lot, event);
    else desk.strays.push(event.id);
  }
}

type OnLot = Exclude<LarderEvent, { type: 'delivered' | 'found' | 'blended' | 'undone' }>;

/** What was done to one lot. */
function onLot(desk: Desk, lot: Lot, event: OnLot): void {
  const { actedAtMs: atMs, id } = event;
  switch (event.type) {
    case 'split':
      split(desk, lot, event);
      break;
    case 'fatLifted':
      liftFat(desk, lot, event.payload.kg, id);
      break;
    case 'discarded':
      take(desk, lot, event.payload.kg, 'discarded', id);
      break;
    case 'counted':
      take(desk, lot, lot.leftKg - event.payload.kg, 'countedOff', id);
      break;
    default:
      alter(desk, lot, changed(lot, event, atMs), id);
  }
}

/** What an event that moves no weight changes of a lot. */
function changed(
  lot: Lot,
  event: Exclude<OnLot, { type: 'split' | 'fatLifted' | 'discarded' | 'counted' }>,
  atMs: number,
): Partial<Lot> {
  switch (event.type) {
    case 'moved':
      return { place: event.payload.place };
    case 'frozen':
      return { storage: 'frozen', place: event.payload.place, frozenSinceMs: lot.frozenSinceMs ?? atMs };
    case 'thawed':
      return { ...thawed(lot, atMs), place: event.payload.place };
    case 'usePast':
      return { usePast: { reason: event.payload.reason, by: event.payload.by, atMs } };
    case 'lotRead':
      return reading(event.payload, atMs);
  }
}

function reading(payload: Extract<LarderEvent, { type: 'lotRead' }>['payload'], atMs: number): Partial<Lot> {
  switch (payload.kind) {
    case 'set':
      return { sets: { value: payload.sets, atMs } };
    case 'brix':
      return { brix: { value: payload.value, atMs } };
    case 'salt':
      return { saltPercent: { value: payload.value, atMs } };
    case 'temperature':
      return { tempC: { value: payload.value, atMs } };
  }
}

function arrive(desk: Desk, event: Extract<LarderEvent, { type: 'delivered' | 'found' }>): void {
  const birth = arrival(event);
  if (!birth) {
    desk.strays.push(event.id);
    return;
  }
  bear(desk, birth, event.actedAtMs, event.id);
  tally(desk, 'in', birth.kg, birth.centsPerKg);
}

/** Frozen time is no time: the date moves by as long as it was frozen. */
function thawed(lot: Lot, atMs: number): Partial<Lot> {
  if (lot.frozenSinceMs === null) return {};
  return { storage: 'chilled', madeAtMs: lot.madeAtMs + (atMs - lot.frozenSinceMs), frozenSinceMs: null };
}

function arrival(event: Extract<LarderEvent, { type: 'delivered' | 'found' }>): LotBirth | null {
  if (!event.taken) return null;
  const { lotId, kg, place, storage } = event.payload;
  const shared = { ...event.taken, lotId, kg, place, storage };
  if (event.type === 'found') {
    const { madeAtMs, note } = event.payload;
    return { ...shared, madeAtMs, origin: { kind: 'found', note } };
  }
  const { supplier, arrivedC, tag, useByMs, centsPerKg } = event.payload;
  return {
    ...shared,
    centsPerKg: centsPerKg ?? event.taken.centsPerKg,
    madeAtMs: event.actedAtMs,
    life: useByMs === undefined ? event.taken.life : { rule: 'given', useByMs },
    origin: {
      kind: 'delivery',
      supplier,
      ...(arrivedC === undefined ? {} : { arrivedC }),
      ...(tag === undefined ? {} : { tag }),
    },
  };
}

function split(desk: Desk, lot: Lot, event: Extract<LarderEvent, { type: 'split' }>): void {
  const { toLotId, kg, place, storage } = event.payload;
  const { actedAtMs: atMs, id } = event;
  const warm = storage === 'frozen' ? {} : thawed(lot, atMs);
  desk.lots.set(toLotId, {
    ...lot,
    ...warm,
    lotId: toLotId,
    place,
    storage,
    bornKg: kg,
    bornAtMs: atMs,
    leftKg: kg,
    frozenSinceMs: storage === 'frozen' ? (lot.frozenSinceMs ?? atMs) : null,
    origin: { kind: 'split', lotId: lot.lotId },
    fatLiftedKg: 0,
    history: [id],
  });
  alter(desk, lot, { leftKg: lot.leftKg - kg }, id);
  desk.pours.push({ fromLotId: lot.lotId, toLotId, kg, atMs });
}

function blend(desk: Desk, event: Extract<LarderEvent, { type: 'blended' }>): void {
  const { toLotId, name, parts, waterKg, place, storage } = event.payload;
  const { actedAtMs: atMs, id } = event;
  const poured = parts.flatMap(({ lotId, kg }) => {
    const lot = desk.lots.get(lotId);
    return lot ? [{ lot, kg }] : [];
  });
  if (poured.length < parts.length) {
    desk.strays.push(id);
    return;
  }
  const kg = poured.reduce((sum, part) => sum + part.kg, waterKg);
  const cents = poured.reduce((sum, part) => sum + part.kg * part.lot.centsPerKg, 0);
  const heaviest = [...poured].sort((a, b) => b.kg - a.kg)[0]!.lot;
  for (const part of poured) {
    alter(desk, part.lot, { leftKg: part.lot.leftKg - part.kg }, id);
    desk.pours.push({ fromLotId: part.lot.lotId, toLotId, kg: part.kg, atMs });
  }
  tally(desk, 'in', waterKg, 0);
  bear(
    desk,
    {
      lotId: toLotId,
      kg,
      contents: mixContents(
        name,
        poured.map(({ lot, kg: partKg }) => ({ contents: asRead(lot), kg: partKg })),
        waterKg,
      ),
      centsPerKg: cents / kg,
      place,
      storage,
      origin: { kind: 'blend', lotIds: poured.map(({ lot }) => lot.lotId) },
      madeAtMs: Math.min(atMs, ...poured.flatMap(({ lot }) => datedAt(lot, atMs))),
      life: poured.find(({ lot }) => lot.life.rule !== 'none')?.lot.life ?? { rule: 'dateMark' },
      ...(heaviest.best ? { best: heaviest.best } : {}),
      frozenMonths: Math.min(...poured.map(({ lot }) => lot.frozenMonths)),
    },
    atMs,
    id,
  );
}

/** Set fat comes off and takes its weight along; what it cost stays with the rest. */
function liftFat(desk: Desk, lot: Lot, kg: number, eventId: string): void {
  const left = lot.leftKg - kg;
  const { perKg } = lot.contents;
  const fatKg = Math.max(0, perKg.fat * lot.leftKg - kg);
  const rest = (totalKg(perKg) - perKg.fat) * lot.leftKg;
  const scale = fatKg + rest > 0 ? 1 / (fatKg + rest) : 0;
  const lean = Object.fromEntries(
    Object.entries(perKg).map(([name, share]) => [name, share * lot.leftKg * scale]),
  ) as typeof perKg;
  const isSome = left > 0;
  tally(desk, 'lifted', kg, isSome ? 0 : lot.centsPerKg);
  alter(
    desk,
    lot,
    {
      leftKg: left,
      centsPerKg: isSome ? (lot.centsPerKg * lot.leftKg) / left : lot.centsPerKg,
      fatLiftedKg: lot.fatLiftedKg + kg,
      contents: scale > 0 ? { ...lot.contents, perKg: { ...lean, fat: fatKg * scale } } : lot.contents,
    },
    eventId,
  );
}
