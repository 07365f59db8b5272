import { totalKg } from '../matter';
import { bornBy, type OtherLots, thawed, waterIn } from './born-lot';
import type { LarderEvent } from './larder-event';
import {
  type BornLot,
  batchKey,
  before,
  byPosition,
  type FoldedLot,
  type LotEntry,
  lotKey,
  type Position,
  type TallyName,
} from './ledger';
import type { Lot } from './lot';
import { cooledBy } from './lot-cooling';

/**
 * One lot as its entries make it, in the order they happened. Nothing is refused: a draw from an empty lot makes its
 * count negative, and it is to be counted; what names a lot that is not there is kept as a stray.
 *
 * @param lotId the lot
 * @param entries every entry that names it and stands, any order
 * @param others the rest of the larder
 * @param until entries from this position on are left out
 * @source docs/model.md § 13
 */
export function foldLot(
  lotId: string,
  entries: readonly LotEntry[],
  others: OtherLots,
  until?: Position,
): FoldedLot {
  const folded = nothing();
  for (const entry of [...entries].sort(byPosition)) {
    if (until && !before(entry, until)) break;
    if (folded.lot === null) bear(folded, lotId, entry, others);
    else put(folded, folded.lot, entry, others);
  }
  return folded;
}

/**
 * A lot as it stands just before a position, from its birth as that was settled; null before it came into being.
 *
 * @param entries every entry that names the lot and stands, any order
 */
export function lotBefore(
  born: BornLot,
  entries: readonly LotEntry[],
  at: Position,
  others: OtherLots,
): Lot | null {
  if (!before(born.at, at)) return null;
  const folded = { ...nothing(), lot: born.lot };
  for (const entry of [...entries].sort(byPosition)) {
    if (!before(entry, at)) break;
    if (before(born.at, entry)) put(folded, folded.lot, entry, others);
  }
  return folded.lot;
}

const nothing = (): FoldedLot => ({ lot: null, born: null, arrows: [], moves: [], strayEventIds: [] });

/** The first entry that can bring the lot into being does; what was said of it before that is stray. */
function bear(folded: FoldedLot, lotId: string, entry: LotEntry, others: OtherLots): void {
  const lot = bornBy(lotId, entry, others);
  if (!lot) {
    folded.strayEventIds.push(entry.eventId);
    return;
  }
  const { atMs, order, seq } = entry;
  folded.lot = lot;
  folded.born = { lot, at: { atMs, order, seq } };
  const { origin, bornKg, centsPerKg } = lot;
  if (origin.kind === 'batch')
    folded.arrows.push({ from: batchKey(origin.batchId), to: lotKey(lotId), kg: bornKg, atMs });
  // what was parted off or poured together was in the larder before, but for the water
  if (origin.kind === 'blend') folded.moves.push({ name: 'in', kg: waterIn(entry), cents: 0 });
  else if (origin.kind !== 'split') folded.moves.push({ name: 'in', kg: bornKg, cents: bornKg * centsPerKg });
}

/** One entry more of a lot that is there. */
function put(folded: FoldedLot, lot: Lot, entry: LotEntry, others: OtherLots): void {
  const { atMs, eventId } = entry;
  const told = (change: Partial<Lot>): void => {
    folded.lot = { ...lot, ...change, history: [...lot.history, eventId] };
  };
  const gone = (name: TallyName, kg: number, change: Partial<Lot> = {}): void => {
    folded.moves.push({ name, kg, cents: kg * lot.centsPerKg });
    told({ ...change, leftKg: lot.leftKg - kg });
  };
  const cooling = (event: LarderEvent) =>
    cooledBy(lot.cooling, event, lot.bornC === null ? {} : { tempC: lot.bornC });
  if (entry.kind === 'made') {
    folded.strayEventIds.push(eventId);
    return;
  }
  if (entry.kind === 'drawn') {
    folded.arrows.push({ from: lotKey(lot.lotId), to: batchKey(entry.batchId), kg: entry.kg, atMs });
    gone('drawn', entry.kg, { lastDrawnMs: atMs });
    return;
  }
  const { event } = entry;
  switch (event.type) {
    case 'delivered':
    case 'found':
      folded.strayEventIds.push(eventId);
      return;
    case 'split': {
      const { kg, toLotId } = event.payload;
      if (toLotId === lot.lotId) folded.strayEventIds.push(eventId);
      else {
        folded.arrows.push({ from: lotKey(lot.lotId), to: lotKey(toLotId), kg, atMs });
        told({ leftKg: lot.leftKg - kg });
      }
      return;
    }
    case 'blended': {
      const { parts, toLotId } = event.payload;
      const isWhole = parts.every(
        (part) => part.lotId === lot.lotId || others.lotAt(part.lotId, entry) !== null,
      );
      if (toLotId === lot.lotId || !isWhole) {
        folded.strayEventIds.push(eventId);
        return;
      }
      const kg = parts.reduce((sum, part) => sum + (part.lotId === lot.lotId ? part.kg : 0), 0);
      folded.arrows.push({ from: lotKey(lot.lotId), to: lotKey(toLotId), kg, atMs });
      told({ leftKg: lot.leftKg - kg });
      return;
    }
    case 'fatLifted': {
      const { kg } = event.payload;
      folded.moves.push({ name: 'lifted', kg, cents: lot.leftKg - kg > 0 ? 0 : kg * lot.centsPerKg });
      told(leaner(lot, kg));
      return;
    }
    case 'discarded':
      gone('discarded', event.payload.kg);
      return;
    case 'counted':
      gone('countedOff', lot.leftKg - event.payload.kg);
      return;
    case 'moved':
      told({ place: event.payload.place });
      return;
    case 'frozen':
      told({ storage: 'frozen', place: event.payload.place, frozenSinceMs: lot.frozenSinceMs ?? atMs });
      return;
    case 'thawed':
      told({ ...thawed(lot, atMs), place: event.payload.place });
      return;
    case 'usePast':
      told({ usePast: { reason: event.payload.reason, by: event.payload.by, atMs } });
      return;
    case 'lotRead':
      told({ ...reading(event.payload, atMs), cooling: cooling(event) });
      return;
    case 'coolingSet':
      told({ cooling: cooling(event) });
      return;
    case 'lotReheated':
      told({ tempC: { value: event.payload.tempC, atMs }, cooling: cooling(event) });
      return;
    case 'undone':
      return;
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

/** Set fat comes off and takes its weight along; what it cost stays with the rest. */
function leaner(lot: Lot, kg: number): Partial<Lot> {
  const left = lot.leftKg - kg;
  const { perKg } = lot.contents;
  const fatKg = Math.max(0, perKg.fat * lot.leftKg - kg);
  const rest = (totalKg(perKg) - perKg.fat) * lot.leftKg;
  const scale = fatKg + rest > 0 ? 1 / (fatKg + rest) : 0;
  const lean = Object.fromEntries(
    Object.entries(perKg).map(([name, share]) => [name, share * lot.leftKg * scale]),
  ) as typeof perKg;
  return {
    leftKg: left,
    centsPerKg: left > 0 ? (lot.centsPerKg * lot.leftKg) / left : lot.centsPerKg,
    fatLiftedKg: lot.fatLiftedKg + kg,
    // what was read of the whole is so much more of what is left without its fat
    saltPercent:
      lot.saltPercent && left > 0
        ? { ...lot.saltPercent, value: (lot.saltPercent.value * lot.leftKg) / left }
        : lot.saltPercent,
    contents: scale > 0 ? { ...lot.contents, perKg: { ...lean, fat: fatKg * scale } } : lot.contents,
  };
}
