import { holdsOf } from '../matter';
import { asRead } from './as-read';
import type { LarderEvent } from './larder-event';
import type { LotEntry, Position } from './ledger';
import type { Lot, LotBirth, LotDate } from './lot';
import { lotWarmMs } from './lot-warm';
import { mixContents } from './mix-contents';

/** What folding one lot asks of the others. */
export interface OtherLots {
  /** another lot as it stands just before a position; null where it has not come into being */
  lotAt: (lotId: string, at: Position) => Lot | null;
  /** what a batch drew before a position */
  drawsOf: (batchId: string, at: Position) => readonly Extract<LotEntry, { kind: 'drawn' }>[];
}

/** Water poured in with a blend, kg. */
export function waterIn(entry: LotEntry): number {
  return entry.kind === 'shelf' && entry.event.type === 'blended' ? entry.event.payload.waterKg : 0;
}

/** The lot an entry brings into being; null where it brings none. */
export function bornBy(lotId: string, entry: LotEntry, others: OtherLots): Lot | null {
  const { atMs, eventId } = entry;
  if (entry.kind === 'made') return inherited(entry, others);
  if (entry.kind !== 'shelf') return null;
  const { event } = entry;
  switch (event.type) {
    case 'delivered':
    case 'found': {
      const birth = arrival(event);
      return birth && bornLot(birth, atMs, eventId);
    }
    case 'split':
      return event.payload.toLotId === lotId ? partedFrom(event, entry, others) : null;
    case 'blended': {
      return event.payload.toLotId === lotId ? blendedFrom(event, entry, others) : null;
    }
    default:
      return null;
  }
}

/**
 * A batch's lot is as old as the oldest made thing that went into it, and holds whatever is known today of the lots it was
 * drawn from.
 */
function inherited(entry: Extract<LotEntry, { kind: 'made' }>, others: OtherLots): Lot {
  const { birth, atMs, eventId } = entry;
  const { origin } = birth;
  const drawn =
    origin.kind !== 'batch'
      ? []
      : others.drawsOf(origin.batchId, entry).flatMap((draw) => {
          const lot = others.lotAt(draw.lotId, draw);
          return lot ? [{ lot, atMs: draw.atMs }] : [];
        });
  const dates = drawn.flatMap(({ lot, atMs: drawnMs }) => datesCooked(lot, drawnMs));
  const lot = bornLot(withWarm(birth, drawn), atMs, eventId, dates);
  const holds = holdsOf([birth.contents, ...drawn.map((one) => one.lot.contents)]);
  return { ...lot, contents: { ...lot.contents, ...holds } };
}

/** It has been warm as long as the longest of what went into it, and as long as it was in its pot. */
function withWarm(birth: LotBirth, drawn: readonly { lot: Lot; atMs: number }[]): LotBirth {
  const { warmMs } = birth;
  return warmMs === undefined ? birth : { ...birth, warmMs: warmMs + longestWarm(drawn) };
}

const longestWarm = (of: readonly { lot: Lot; atMs: number }[]): number =>
  Math.max(0, ...of.map(({ lot, atMs }) => lotWarmMs(lot, atMs) ?? 0));

function arrival(event: Extract<LarderEvent, { type: 'delivered' | 'found' }>): LotBirth | null {
  if (!event.received) return null;
  const { lotId, kg, place, storage } = event.payload;
  const shared = { ...event.received, lotId, kg, place, storage };
  if (event.type === 'found') {
    const { madeAtMs, note } = event.payload;
    return { ...shared, madeAtMs, origin: { kind: 'found', note } };
  }
  const { supplier, arrivedC, tag, useByMs, centsPerKg } = event.payload;
  return {
    ...shared,
    centsPerKg: centsPerKg ?? event.received.centsPerKg,
    madeAtMs: event.actedAtMs,
    life: useByMs === undefined ? event.received.life : { rule: 'given', useByMs },
    origin: {
      kind: 'delivery',
      supplier,
      ...(arrivedC === undefined ? {} : { arrivedC }),
      ...(tag === undefined ? {} : { tag }),
    },
  };
}

/** Split off, it is all that the other lot was, but for its place and how it is kept. */
function partedFrom(
  event: Extract<LarderEvent, { type: 'split' }>,
  at: Position,
  others: OtherLots,
): Lot | null {
  const { lotId, toLotId, kg, place, storage } = event.payload;
  const parent = others.lotAt(lotId, at);
  if (!parent) return null;
  const isFrozen = storage === 'frozen';
  return {
    ...parent,
    ...(isFrozen ? {} : thawed(parent, event.actedAtMs)),
    lotId: toLotId,
    place,
    storage,
    bornKg: kg,
    bornAtMs: event.actedAtMs,
    leftKg: kg,
    lastDrawnMs: null,
    frozenSinceMs: isFrozen ? (parent.frozenSinceMs ?? event.actedAtMs) : null,
    origin: { kind: 'split', lotId },
    fatLiftedKg: 0,
    history: [event.id],
  };
}

function blendedFrom(
  event: Extract<LarderEvent, { type: 'blended' }>,
  at: Position,
  others: OtherLots,
): Lot | null {
  const { toLotId, name, parts, waterKg, place, storage } = event.payload;
  const atMs = event.actedAtMs;
  const poured = parts.flatMap(({ lotId, kg }) => {
    const lot = others.lotAt(lotId, at);
    return lot ? [{ lot, kg }] : [];
  });
  if (poured.length < parts.length) return null;
  const kg = poured.reduce((sum, part) => sum + part.kg, waterKg);
  const cents = poured.reduce((sum, part) => sum + part.kg * part.lot.centsPerKg, 0);
  const heaviest = [...poured].sort((a, b) => b.kg - a.kg)[0]!.lot;
  const dates = poured.flatMap(({ lot }) => datesAt(lot, atMs)).filter((date) => date.life.rule !== 'none');
  const birth: LotBirth = {
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
    madeAtMs: atMs,
    // of what has no date each, together they have the house's
    life: dates.length > 0 ? { rule: 'none' } : { rule: 'dateMark' },
    ...(heaviest.best ? { best: heaviest.best } : {}),
    frozenMonths: Math.min(...poured.map(({ lot }) => lot.frozenMonths)),
    warmMs: longestWarm(poured.map(({ lot }) => ({ lot, atMs }))),
  };
  const tags = [...new Set(poured.flatMap(({ lot }) => lot.tags))];
  return { ...bornLot(birth, atMs, event.id, dates), tags };
}

/** @param inheritedDates of what is in it, beside its own */
function bornLot(
  birth: LotBirth,
  atMs: number,
  eventId: string,
  inheritedDates: readonly LotDate[] = [],
): Lot {
  const { kg, life, tempC: bornC = null, ...rest } = birth;
  const ownDates: LotDate[] = life.rule === 'none' ? [] : [{ life, madeAtMs: birth.madeAtMs, frozen: [] }];
  const dates = distinct([...ownDates, ...inheritedDates]);
  const { origin } = birth;
  return {
    ...rest,
    dates,
    madeAtMs: Math.min(birth.madeAtMs, ...dates.flatMap((date) => (isOwnMaking(date) ? date.madeAtMs : []))),
    tags: origin.kind === 'delivery' && origin.tag ? [origin.tag] : [],
    bornKg: kg,
    bornAtMs: atMs,
    leftKg: kg,
    lastDrawnMs: null,
    frozenSinceMs: birth.storage === 'frozen' ? atMs : null,
    brix: null,
    saltPercent: null,
    sets: null,
    tempC: null,
    bornC,
    cooling: null,
    fatLiftedKg: 0,
    usePast: null,
    history: [eventId],
  };
}

/** A supplier's date and the days of what is dry say nothing of when a mixture was made. */
const isOwnMaking = ({ life }: LotDate): boolean => life.rule === 'dateMark' || life.rule === 'hours';

function distinct(dates: readonly LotDate[]): LotDate[] {
  return [...new Map(dates.map((date) => [JSON.stringify(date), date])).values()];
}

/** The dates of a lot as they are at a moment: lying frozen ends with it. */
function datesAt({ dates, frozenSinceMs }: Lot, atMs: number): LotDate[] {
  if (frozenSinceMs === null) return [...dates];
  const span = { fromMs: frozenSinceMs, toMs: Math.max(frozenSinceMs, atMs) };
  return dates.map((date) => ({ ...date, frozen: [...date.frozen, span] }));
}

/** The dates a dish inherits from a lot that is cooked in it: none of raw goods, nor of what is dry. */
function datesCooked(lot: Lot, atMs: number): LotDate[] {
  if (lot.origin.kind === 'delivery') return [];
  return datesAt(lot, atMs)
    .filter(isOwnMaking)
    .map((date) => ({ ...date, life: { rule: 'dateMark' } }));
}

/** Frozen time is no time: the days of a date stand still for as long as it was frozen. */
export function thawed(lot: Lot, atMs: number): Partial<Lot> {
  if (lot.frozenSinceMs === null) return {};
  return { storage: 'chilled', dates: datesAt(lot, atMs), frozenSinceMs: null };
}
