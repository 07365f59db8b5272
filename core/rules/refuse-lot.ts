import type { ShelfLot } from '../larder';
import type { LotUse, NamedLot, Refusal } from './refusal';

export const nameOf = (lot: Pick<ShelfLot, 'contents' | 'number'>): NamedLot => ({
  name: lot.contents.name,
  number: lot.number,
});

/** Why a lot cannot be made not to have been; null where it can. */
export function refuseInUse(
  field: string,
  lot: ShelfLot | null | undefined,
  uses: readonly LotUse[] | undefined,
): Refusal | null {
  return lot && uses && uses.length > 0 ? { field, code: 'lotInUse', lot: nameOf(lot), uses } : null;
}

/** Why nothing can have been done with a lot at a moment: it was not there yet. */
export function refuseBeforeLot(
  field: string,
  lot: ShelfLot | null | undefined,
  atMs: number,
): Refusal | null {
  return lot && atMs < lot.bornAtMs
    ? { field, code: 'beforeLot', lot: nameOf(lot), cameAtMs: lot.bornAtMs }
    : null;
}
