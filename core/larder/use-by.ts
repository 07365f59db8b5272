import type { Lot, LotDate } from './lot';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** The kitchen's limits on keeping, and the end of a day in its own zone, so many days on from a moment. */
export interface KeepingRules {
  /** days at 5 °C or below, the day it was made counting as the first */
  dateMarkDays: number;
  endOfDayMs: (atMs: number, daysOn: number) => number;
}

/** The date a lot goes by: the earliest of all that are in it. */
export interface UseBy {
  /** last moment it may be used, ms */
  atMs: number;
  /** of what that is the date */
  of: LotDate;
}

/**
 * The last moment a lot may be used, and by which of its dates; null for what has no limit, and while it is frozen for
 * what was good as it went in. What was past its date as it was frozen stays so, and a supplier's date runs on.
 *
 * The day of making counts as day 1, and so does each day on which it stands unfrozen for a while: the day it is frozen
 * and the day it is thawed both count.
 *
 * @source published: FDA Food Code 2022 § 3-501.17(A), (C), (D) and § 3-501.18(A)(1); the kitchen's own limit where it
 *   is set; that a day begun is a day: common practice
 */
export function useBy(lot: Pick<Lot, 'dates' | 'frozenSinceMs'>, rules: KeepingRules): UseBy | null {
  const { frozenSinceMs } = lot;
  const found = lot.dates.flatMap((date): UseBy[] => {
    const atMs = dateMs(date, rules);
    if (atMs === null) return [];
    const standsStill = frozenSinceMs !== null && date.life.rule !== 'given' && atMs >= frozenSinceMs;
    return standsStill ? [] : [{ atMs, of: date }];
  });
  return found.sort((a, b) => a.atMs - b.atMs)[0] ?? null;
}

function dateMs(date: LotDate, rules: KeepingRules): number | null {
  const { life } = date;
  switch (life.rule) {
    case 'none':
      return null;
    case 'given':
      return life.useByMs;
    case 'hours':
      return hoursOn(date, life.hours);
    case 'days':
      return daysOn(date, life.days, rules);
    case 'dateMark':
      return daysOn(date, rules.dateMarkDays, rules);
  }
}

/** So many hours out of the freezer, ms. */
function hoursOn({ madeAtMs, frozen }: LotDate, hours: number): number {
  let leftMs = hours * HOUR_MS;
  let fromMs = madeAtMs;
  for (const span of frozen) {
    const outMs = Math.max(0, span.fromMs - fromMs);
    if (outMs >= leftMs) break;
    leftMs -= outMs;
    fromMs = span.toMs;
  }
  return fromMs + leftMs;
}

/** The end of the last of so many days on which it stood out of the freezer, ms. */
function daysOn({ madeAtMs, frozen }: LotDate, days: number, { endOfDayMs }: KeepingRules): number {
  const dayOf = (atMs: number) => endOfDayMs(atMs, 0);
  const between = (a: number, b: number) => Math.round((dayOf(b) - dayOf(a)) / DAY_MS);
  let left = days;
  let fromMs = madeAtMs;
  for (const span of frozen) {
    const used = between(fromMs, span.fromMs) + 1;
    if (used >= left && between(span.fromMs, span.toMs) > 0) break;
    if (used > left) break;
    // thawed the day it was frozen, that day is one
    left -= used - (between(span.fromMs, span.toMs) === 0 ? 1 : 0);
    fromMs = span.toMs;
  }
  return endOfDayMs(fromMs, left - 1);
}

/** How a lot stands against its quality life; null where nothing was said of it. Apart from whether it may be used. */
export function atItsBest(
  lot: Pick<Lot, 'best' | 'madeAtMs' | 'dates' | 'frozenSinceMs'>,
  atMs: number,
): { stands: 'not yet' | 'best' | 'past its best'; fromMs: number; untilMs: number; words: string } | null {
  if (!lot.best) return null;
  const own = lot.dates.find((date) => date.madeAtMs === lot.madeAtMs);
  const frozenMs = (own?.frozen ?? []).reduce((sum, span) => sum + span.toMs - span.fromMs, 0);
  const fromMs = lot.madeAtMs + frozenMs + (lot.best.fromH ?? 0) * HOUR_MS;
  const untilMs = lot.madeAtMs + frozenMs + lot.best.untilH * HOUR_MS;
  // lying frozen it stands where it stood when it went in
  const seenMs = Math.min(atMs, lot.frozenSinceMs ?? atMs);
  const stands = seenMs < fromMs ? 'not yet' : seenMs <= untilMs ? 'best' : 'past its best';
  return { stands, fromMs, untilMs, words: lot.best.words };
}
