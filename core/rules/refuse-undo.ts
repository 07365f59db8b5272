import type { BatchState } from '../batch';
import type { KitchenFacts } from './kitchen-facts';
import type { Refusal } from './refusal';
import { refuseInUse } from './refuse-lot';

/** Why what an entry takes away, or brings back, has to stay as it is: others have built on it meanwhile. */
export function refuseUndo(kitchen: KitchenFacts, before: BatchState, after: BatchState): Refusal | null {
  return (
    refuseLotsInUse(kitchen, before, after) ??
    refusePartsInUse(kitchen, before, after) ??
    refusePartsBack(kitchen, before, after) ??
    refuseDrawsBack(kitchen, before, after)
  );
}

/** A lot that has been drawn from or parted since does not vanish with an undo: nothing drawn leaves the ledger. */
function refuseLotsInUse(kitchen: KitchenFacts, before: BatchState, after: BatchState): Refusal | null {
  const gone = before.stored.filter((lot) => !after.stored.some((one) => one.lotId === lot.lotId));
  for (const { lotId } of gone) {
    const refusal = refuseInUse('payload.eventId', kitchen.lot(lotId), kitchen.usesOf(lotId));
    if (refusal) return refusal;
  }
  return null;
}

/** Nor does a part that has gone on as a pot of its own: what was done with it would hang in the air. */
function refusePartsInUse(kitchen: KitchenFacts, before: BatchState, after: BatchState): Refusal | null {
  const gone = before.parts.filter((part) => !after.parts.some((one) => one.eventId === part.eventId));
  for (const { childId } of gone) {
    const name = kitchen.partInUse?.(childId);
    if (name) return { field: 'payload.eventId', code: 'partInUse', name };
  }
  return null;
}

/** A part that stands again stands where it stood: not where another batch does by now. */
function refusePartsBack(kitchen: KitchenFacts, before: BatchState, after: BatchState): Refusal | null {
  const back = after.parts.filter((part) => !before.parts.some((one) => one.eventId === part.eventId));
  for (const { childId } of back) {
    const place = kitchen.partPlace?.(childId);
    const by = place && kitchen.busyPots.get(place.potId);
    if (place && by !== undefined)
      return { field: 'payload.eventId', code: 'potBusy', potName: place.potName, by };
    const onBurner = place && kitchen.busyBurners.get(place.burnerId);
    if (place && onBurner !== undefined)
      return { field: 'payload.eventId', code: 'burnerBusy', burnerName: place.burnerName, by: onBurner };
  }
  return null;
}

/** A draw does not come back out of a lot whose making was undone meanwhile. */
function refuseDrawsBack(kitchen: KitchenFacts, before: BatchState, after: BatchState): Refusal | null {
  const had = new Set(before.wentIn.map((one) => one.lotId));
  const gone = after.wentIn.find(
    ({ lotId }) => lotId !== null && !had.has(lotId) && kitchen.lot(lotId) === null,
  );
  return gone?.lotId ? { field: 'payload.eventId', code: 'unknownLot', lotId: gone.lotId } : null;
}
