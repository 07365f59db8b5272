import type { LotStorage } from '../matter';

/** What choosing lots needs to know of one. */
export interface Drawable {
  id: string;
  leftKg: number;
  madeAtMs: number;
  storage: LotStorage;
  /** ms; null for none */
  useByMs: number | null;
  /** the person in charge has said that it is used past its date */
  mayBePast: boolean;
}

export interface Draw {
  lotId: string;
  kg: number;
}

/** Why a lot with something in it is left where it is. */
export interface PassedOver {
  lotId: string;
  why: 'frozen' | 'past';
}

/** Less than this is none, kg. */
const NOTHING_KG = 1e-6;

/**
 * Which lots so many kilograms come from: the one that must be used first, then the next. What is frozen or past its
 * date is passed over, and said; what is not there is short, never promised.
 *
 * @param kg wanted, 0 or more
 * @param lots any order
 * @param atMs when it is used
 */
export function drawLots(
  kg: number,
  lots: readonly Drawable[],
  atMs: number,
): { draws: Draw[]; shortKg: number; passedOver: PassedOver[] } {
  const draws: Draw[] = [];
  const passedOver: PassedOver[] = [];
  let wanted = kg;
  for (const lot of oldestFirst(lots)) {
    if (lot.leftKg <= NOTHING_KG) continue;
    if (lot.storage === 'frozen') passedOver.push({ lotId: lot.id, why: 'frozen' });
    else if (lot.useByMs !== null && lot.useByMs < atMs && !lot.mayBePast)
      passedOver.push({ lotId: lot.id, why: 'past' });
    else if (wanted > NOTHING_KG) {
      const taken = Math.min(wanted, lot.leftKg);
      draws.push({ lotId: lot.id, kg: taken });
      wanted -= taken;
    }
  }
  return { draws, shortKg: wanted > NOTHING_KG ? wanted : 0, passedOver };
}

/** By the date it must be used by, then by when it was made. */
export function oldestFirst<T extends Pick<Drawable, 'useByMs' | 'madeAtMs' | 'id'>>(
  lots: readonly T[],
): T[] {
  const date = (lot: T) => lot.useByMs ?? Number.POSITIVE_INFINITY;
  return [...lots].sort(
    (a, b) =>
      (date(a) < date(b) ? -1 : date(a) > date(b) ? 1 : 0) ||
      a.madeAtMs - b.madeAtMs ||
      a.id.localeCompare(b.id),
  );
}
