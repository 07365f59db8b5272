import type { Lot } from './lot';
import { standsHot, warmWhileCooling } from './lot-cooling';

/**
 * How long a lot has been between 5 and 57 °C over its life, ms: in the pots it was cooked in, and while it was cooled.
 *
 * @param atMs the moment wanted, ms
 * @returns null where nobody knows: stored hot and never said how it was cooled, or from before this was counted
 * @source published: FDA Food Code 2022 § 3-501.16 for the two temperatures
 */
export function lotWarmMs(
  lot: Pick<Lot, 'warmMs' | 'cooling' | 'bornAtMs' | 'bornC' | 'leftKg' | 'storage' | 'tempC'>,
  atMs: number,
): number | null {
  if (lot.warmMs === undefined) return null;
  if (lot.cooling) return lot.warmMs + warmWhileCooling(lot.cooling, atMs);
  return standsHot({ ...lot, leftKg: 1, tempC: null }, lot.bornAtMs) ? null : lot.warmMs;
}
