import type { Lot } from './lot';

const HOUR_MS = 3_600_000;

/** The kitchen's limits on keeping, and the end of a day in its own zone, so many days on from a moment. */
export interface KeepingRules {
  /** days at 5 °C or below, the day it was made counting as the first */
  dateMarkDays: number;
  endOfDayMs: (atMs: number, daysOn: number) => number;
}

/**
 * The last moment a lot may be used, ms; null while it is frozen and for what has no limit. The day of making counts as
 * day 1, and time frozen does not count.
 *
 * @source published: FDA Food Code 2022 § 3-501.17(A), (C) and § 3-501.18(A)(1); the kitchen's own limit where it is set
 */
export function useByMs(
  lot: Pick<Lot, 'life' | 'madeAtMs' | 'storage' | 'frozenSinceMs'>,
  rules: KeepingRules,
): number | null {
  if (lot.frozenSinceMs !== null) return null;
  switch (lot.life.rule) {
    case 'none':
      return null;
    case 'given':
      return lot.life.useByMs;
    case 'hours':
      return lot.madeAtMs + lot.life.hours * HOUR_MS;
    case 'days':
      return rules.endOfDayMs(lot.madeAtMs, lot.life.days - 1);
    case 'dateMark':
      return rules.endOfDayMs(lot.madeAtMs, rules.dateMarkDays - 1);
  }
}

/** How a lot stands against its quality life; null where nothing was said of it. Apart from whether it may be used. */
export function atItsBest(
  lot: Pick<Lot, 'best' | 'madeAtMs'>,
  atMs: number,
): { stands: 'not yet' | 'best' | 'past its best'; fromMs: number; untilMs: number; words: string } | null {
  if (!lot.best) return null;
  const fromMs = lot.madeAtMs + (lot.best.fromH ?? 0) * HOUR_MS;
  const untilMs = lot.madeAtMs + lot.best.untilH * HOUR_MS;
  const stands = atMs < fromMs ? 'not yet' : atMs <= untilMs ? 'best' : 'past its best';
  return { stands, fromMs, untilMs, words: lot.best.words };
}
