import { totalKg } from '../matter';
import type { LarderEvent } from './larder-event';
import { alter, type LedgerBuilder, take, tally, thawed } from './ledger';
import type { Lot } from './lot';

type OnLot = Exclude<LarderEvent, { type: 'delivered' | 'found' | 'blended' | 'undone' }>;

/** What was done to one lot. */
export function onLot(ledger: LedgerBuilder, lot: Lot, event: OnLot): void {
  const { actedAtMs: atMs, id } = event;
  switch (event.type) {
    case 'split':
      split(ledger, lot, event);
      break;
    case 'fatLifted':
      liftFat(ledger, lot, event.payload.kg, id);
      break;
    case 'discarded':
      take(ledger, lot, event.payload.kg, 'discarded', id);
      break;
    case 'counted':
      take(ledger, lot, lot.leftKg - event.payload.kg, 'countedOff', id);
      break;
    default:
      alter(ledger, lot, changed(lot, event, atMs), id);
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

function split(ledger: LedgerBuilder, lot: Lot, event: Extract<LarderEvent, { type: 'split' }>): void {
  const { toLotId, kg, place, storage } = event.payload;
  const { actedAtMs: atMs, id } = event;
  const warm = storage === 'frozen' ? {} : thawed(lot, atMs);
  ledger.lots.set(toLotId, {
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
  alter(ledger, lot, { leftKg: lot.leftKg - kg }, id);
  ledger.pours.push({ fromLotId: lot.lotId, toLotId, kg, atMs });
}

/** Set fat comes off and takes its weight along; what it cost stays with the rest. */
function liftFat(ledger: LedgerBuilder, lot: Lot, kg: number, eventId: string): void {
  const left = lot.leftKg - kg;
  const { perKg } = lot.contents;
  const fatKg = Math.max(0, perKg.fat * lot.leftKg - kg);
  const rest = (totalKg(perKg) - perKg.fat) * lot.leftKg;
  const scale = fatKg + rest > 0 ? 1 / (fatKg + rest) : 0;
  const lean = Object.fromEntries(
    Object.entries(perKg).map(([name, share]) => [name, share * lot.leftKg * scale]),
  ) as typeof perKg;
  const isSome = left > 0;
  tally(ledger, 'lifted', kg, isSome ? 0 : lot.centsPerKg);
  alter(
    ledger,
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
