import type { AddedItem } from '../batch';
import type { Holds } from '../matter';
import { drawLots } from './draw-lots';
import { lotsFor, lotsThatFit, type ShelfLot } from './plan-with-lots';

/**
 * What goes in beside the plan, drawn from the shelf where the shelf has it: the oldest lot first; what no lot has goes
 * in without one.
 *
 * @param items without lots, kg edible
 * @param lots the shelf
 * @param atMs now
 * @param mayHold what the dish holds once the food itself is in it: a lot that brings more is left where it is
 */
export function itemsFromLots(
  items: readonly AddedItem[],
  lots: readonly ShelfLot[],
  atMs: number,
  mayHold: (ingredientId: string) => Holds,
): AddedItem[] {
  return items.flatMap((item): AddedItem[] => {
    const { fit } = lotsThatFit(lotsFor(item.ingredientId, lots), mayHold(item.ingredientId));
    const { draws, shortKg } = drawLots(item.kg, fit, atMs);
    const drawn = draws.map((draw) => ({ ...item, kg: draw.kg, lotId: draw.lotId }));
    return shortKg > 0 || drawn.length === 0 ? [...drawn, { ...item, kg: shortKg || item.kg }] : drawn;
  });
}
