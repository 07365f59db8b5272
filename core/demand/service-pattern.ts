import { type Arrival, type ArrivalCurve, CURVE_PARTS, curveSaid, learnedCurve } from './arrival-curve';
import type { Expected } from './demand';
import { expectedOf } from './expected-of';

/** What earlier services of the same hour and weekday have shown. */
export interface ServicesSeen {
  /** portions asked for in each part of the service, added up */
  counts: readonly number[];
  /** what each service asked for over what had been planned for it, the newest first */
  shares: readonly number[];
}

/** A service as a batch takes it along: how long it lasts, how guests are said to come, what was seen. */
export interface ServicePattern {
  serviceId: string;
  /** 1 for Monday to 7 for Sunday */
  weekday: number;
  lastsMin: number;
  arrival: Arrival;
  seen: ServicesSeen;
}

export const NOTHING_SEEN: ServicesSeen = {
  counts: Array.from({ length: CURVE_PARTS }, () => 0),
  shares: [],
};

/** When bowls are asked for, by what is said and what was seen. */
export function curveOf({ arrival, seen }: Pick<ServicePattern, 'arrival' | 'seen'>): ArrivalCurve {
  return learnedCurve(seen.counts, curveSaid(arrival));
}

/** How many are expected of so many covers: earlier services asked for more or less than they were planned for. */
export function expectedFor(covers: number, { shares }: ServicesSeen): Expected {
  return expectedOf(
    covers,
    shares.map((share) => share * covers),
  );
}

/** What one service asked for, to be learned from. */
export interface ServiceAsked {
  /** covers as they were known at its end */
  planned: number;
  /** portions asked for, served or turned away */
  total: number;
  /** of those, in each part of its time */
  counts: number[];
}

/**
 * Counts what a service asked for by the parts of its time; what came before or after it counts with the first or last.
 *
 * @param asked when and how many, any order
 * @param turnedAway portions nobody knows the time of: they came when it had run out, at the end
 */
export function askedInService(of: {
  planned: number;
  startsMs: number;
  lastsMin: number;
  asked: readonly { atMs: number; portions: number }[];
  turnedAway: number;
}): ServiceAsked {
  const counts = Array.from({ length: CURVE_PARTS }, () => 0);
  const lastMs = of.asked.reduce((last, one) => Math.max(last, one.atMs), of.startsMs);
  const partOf = (atMs: number) => {
    const part = Math.floor(((atMs - of.startsMs) / (of.lastsMin * 60_000)) * CURVE_PARTS);
    return Math.min(CURVE_PARTS - 1, Math.max(0, part));
  };
  for (const { atMs, portions } of of.asked) counts[partOf(atMs)]! += portions;
  // they came after the last bowl: to each part from there on its share
  const from = partOf(lastMs);
  for (let i = from; i < CURVE_PARTS; i++) counts[i]! += of.turnedAway / (CURVE_PARTS - from);
  const total = of.asked.reduce((sum, one) => sum + one.portions, of.turnedAway);
  return { planned: of.planned, total, counts };
}
