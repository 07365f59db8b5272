import type { AddedItem } from '../batch';
import { drawLots } from './draw-lots';
import { lotsFor, type ShelfLot } from './plan-with-lots';

/**
 * What goes in beside the plan, drawn from the shelf where the shelf has it: the oldest lot first; what no lot has goes
 * in without one.
 *
 * @param items without lots, kg edible
 * @param lots the shelf
 * @param atMs now
 */
export function itemsFromLots(
  items: readonly AddedItem[],
  lots: readonly ShelfLot[],
  atMs: number,
): AddedItem[] {
  return items.flatMap((item): AddedItem[] => {
    const { draws, shortKg } = drawLots(item.kg, lotsFor(item.ingredientId, lots), atMs);
    const drawn = draws.map((draw) => ({ ...item, kg: draw.kg, lotId: draw.lotId }));
    return shortKg > 0 || drawn.length === 0 ? [...drawn, { ...item, kg: shortKg || item.kg }] : drawn;
  });
}
