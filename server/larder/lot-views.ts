import { keepingRules } from '../../contract';
import { isCooling, type Lot, lotAt, lotKey, standsHot, traceArrows } from '../../core/larder';
import { type LotView, lotView } from '../../core/views';
import { settingsOf } from '../kitchen/kitchen-view';
import {
  arrowsAround,
  type Db,
  finishedLots,
  type KitchenRow,
  keptLot,
  keptLotsOf,
  ledgerStore,
  numbersOf,
  shelfLots,
  type Tx,
} from '../storage';

const DAY_MS = 86_400_000;

/** Lots as every screen shows them. */
export function lotViewsOf(
  db: Db,
  lots: readonly Lot[],
  nowMs: number,
  kitchen: Pick<KitchenRow, 'zone' | 'limits'> = settingsOf(db),
): LotView[] {
  const rules = keepingRules(kitchen);
  const numbers = numbersOf(
    db,
    lots.map((lot) => lot.lotId),
  );
  const tagDays = kitchen.limits.shellfishTagDays;
  return lots.map((lot) =>
    lotView(lot, {
      number: numbers.get(lot.lotId) ?? 0,
      rules,
      tagDays,
      nowMs,
      tagged: lot.tags.length > 0 ? lotsAround(db, lot.lotId) : [],
    }),
  );
}

/** Lots on the way from or to one, the nearest first. */
function lotsAround(db: Db, lotId: string): Lot[] {
  const { into, from } = traceArrows(arrowsAround(db, lotKey(lotId)), lotKey(lotId));
  const ids = [...into, ...from].flatMap((step) => (step.kind === 'lot' ? [step.id] : []));
  return keptLotsOf(db, ids);
}

/** One lot; null where there is none. */
export function lotViewOf(db: Db, lotId: string, nowMs: number): LotView | null {
  const lot = keptLot(db, lotId);
  return lot ? lotViewsOf(db, [lot], nowMs)[0]! : null;
}

/** One lot as it was at a moment; null before it came into being. */
export function lotViewAt(tx: Tx, lotId: string, atMs: number): LotView | null {
  const lot = lotAt(ledgerStore(tx), lotId, atMs);
  return lot ? lotViewsOf(tx, [lot], atMs)[0]! : null;
}

/** The shelf: what is left of anything, what was drawn beyond, and tags that have still to be kept. */
export function shelfView(db: Db, nowMs: number): LotView[] {
  const kitchen = settingsOf(db);
  const tagsFromMs = nowMs - kitchen.limits.shellfishTagDays * DAY_MS;
  return lotViewsOf(db, shelfLots(db, tagsFromMs), nowMs, kitchen);
}

/** What is being cooled, and what was stored hot and nobody has said how it is cooled. */
export function coolingsView(db: Db, nowMs: number): LotView[] {
  const lots = shelfLots(db, Number.POSITIVE_INFINITY).filter(
    (lot) => isCooling(lot.cooling) || standsHot(lot, nowMs),
  );
  return lotViewsOf(db, lots, nowMs);
}

/** A page of lots that are finished, the newest first. */
export function finishedView(
  db: Db,
  before: { bornAtMs: number; lotId: string } | null,
  limit: number,
  nowMs: number,
): LotView[] {
  return lotViewsOf(db, finishedLots(db, before, limit), nowMs);
}
