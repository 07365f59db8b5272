import type { LotContents, LotStorage } from '../matter';
import type { Recipe } from '../recipe';
import type { LotCooling } from './lot-cooling';

/**
 * How long it may be kept, cold: by the house's date mark, a number of days of its own (roux), hours (garlic oil), the
 * date its supplier gave, or no limit.
 */
export type LotLife =
  | { rule: 'dateMark' }
  | { rule: 'days'; days: number }
  | { rule: 'hours'; hours: number; advisory: string }
  | { rule: 'given'; useByMs: number }
  | { rule: 'none' };

export type LotOrigin =
  | { kind: 'batch'; batchId: string }
  | { kind: 'delivery'; supplier: string; arrivedC?: number; tag?: string }
  | { kind: 'split'; lotId: string }
  | { kind: 'blend'; lotIds: readonly string[] }
  | { kind: 'found'; note: string };

/** A lot as it comes into being. */
export interface LotBirth {
  lotId: string;
  kg: number;
  contents: LotContents;
  /** hundredths of the kitchen's money a kg */
  centsPerKg: number;
  place: string;
  storage: LotStorage;
  origin: LotOrigin;
  /** when it was made, ms: the first day of its date mark */
  madeAtMs: number;
  life: LotLife;
  /** its quality life, apart from how long it may be kept */
  best?: Recipe['best'];
  /** months its taste holds when frozen; 0 for what does not freeze well */
  frozenMonths: number;
  /** °C as it left its pot; absent for what came in, and of lots of before */
  tempC?: number;
  /** how long it had been between 5 and 57 °C by then, ms; absent of lots of before */
  warmMs?: number;
}

/** Something a person measured of a lot, and when. */
export interface LotReading<T> {
  value: T;
  atMs: number;
}

/** A date that a lot carries: its own, or that of something that is in it. */
export interface LotDate {
  life: LotLife;
  /** when that was made: the first day of its date mark, ms */
  madeAtMs: number;
  /** when it lay frozen and no day counted, the first time first, ms */
  frozen: readonly { fromMs: number; toMs: number }[];
}

/** A lot at a moment. */
export interface Lot extends Omit<LotBirth, 'kg' | 'life' | 'tempC'> {
  /** every date it goes by; the earliest binds */
  dates: readonly LotDate[];
  /** tags of the shellfish that is in it, uncooked */
  tags: readonly string[];
  bornKg: number;
  bornAtMs: number;
  /** what is left; below 0 when more was drawn than there was */
  leftKg: number;
  /** when a batch last drew from it, ms */
  lastDrawnMs: number | null;
  frozenSinceMs: number | null;
  brix: LotReading<number> | null;
  saltPercent: LotReading<number> | null;
  sets: LotReading<boolean> | null;
  tempC: LotReading<number> | null;
  /** °C as it left its pot; null where nobody knows */
  bornC: number | null;
  /** how long it had been between 5 and 57 °C as it came into being, ms; absent where nobody knows */
  warmMs?: number;
  /** how it is cooled, or was; null for what nobody cooled */
  cooling: LotCooling | null;
  fatLiftedKg: number;
  /** said by the person in charge: used past its date, and why */
  usePast: { reason: string; by: string; atMs: number } | null;
  /** ids of the events that touched it, in order */
  history: readonly string[];
}
