import type { Lid } from '../evaporation';
import type { HeatSegment } from './batch-state';
import { evidenceOf } from './evidence-of';

/** A pot on a burner at a setting (share of full to the nearest tenth) under a lid. */
export interface RateKey {
  potId: string;
  burnerId: string;
  fraction: number;
  lid: Lid;
}

/** What the kitchen has learned of a pot on a burner at a setting under a lid. */
export interface LearnedRate extends RateKey {
  /** share of the expected heat that arrives, mean and one standard deviation of what the next batch will show */
  arriving: { mean: number; sd: number };
  /** stretches it was seen in, and minutes in all */
  segments: number;
  minutes: number;
  /** the last ones against those before: share that it has moved by, where that is more than doubt; else null */
  drifted: number | null;
}

/** Stretches of one key added up, the last ones apart: what a rate is made of, whatever came before. */
export interface RateSums {
  weight: number;
  sum: number;
  segments: number;
  minutes: number;
  /** the newest last */
  last: readonly { mean: number; sd: number }[];
}

/** From batch to batch the same setting differs by so much, one standard deviation. From memory. */
const BETWEEN_SD = 0.08;
/** This many standard deviations apart, the last ones are no chance. source: common practice, two in a row at two */
const DRIFT_Z = 2.5;
/** The last so many are held against the rest. */
const LAST = 2;

export const NO_STRETCHES: RateSums = { weight: 0, sum: 0, segments: 0, minutes: 0, last: [] };

export function rateKey({ potId, burnerId, fraction, lid }: HeatSegment): RateKey {
  return { potId, burnerId, fraction: Math.round(fraction * 10) / 10, lid };
}

/** What one stretch has shown, and for how long. */
export interface Stretch {
  mean: number;
  sd: number;
  minutes: number;
}

/**
 * The sums with one stretch more, newer than all before it.
 *
 * @param betweenSd how far one batch's may be from another's, one standard deviation
 */
export function withStretch(sums: RateSums, stretch: Stretch, betweenSd = BETWEEN_SD): RateSums {
  const { mean, sd } = stretch;
  const weight = weightOf(sd, betweenSd);
  return {
    weight: sums.weight + weight,
    sum: sums.sum + weight * mean,
    segments: sums.segments + 1,
    minutes: sums.minutes + stretch.minutes,
    last: [...sums.last, { mean, sd }].slice(-LAST),
  };
}

/** What the sums say of the next batch. */
export function rateOf(key: RateKey, sums: RateSums): LearnedRate {
  return {
    ...key,
    arriving: { mean: sums.sum / sums.weight, sd: Math.hypot(Math.sqrt(1 / sums.weight), BETWEEN_SD) },
    segments: sums.segments,
    minutes: sums.minutes,
    drifted: driftOf(sums),
  };
}

/** The best known first. */
export function bestKnownFirst(rates: readonly LearnedRate[]): LearnedRate[] {
  return [...rates].sort((a, b) => a.arriving.sd / a.arriving.mean - b.arriving.sd / b.arriving.mean);
}

/**
 * Heat by pot, burner, setting and lid, from the stretches of steady heat of closed batches.
 *
 * @param segments of closed batches, oldest first
 * @returns one row for each combination, the best known first
 * @source published: precision-weighted mean of normals; drift by the difference of two such means
 */
export function learnedRates(segments: readonly HeatSegment[]): LearnedRate[] {
  const groups = new Map<string, { key: RateKey; sums: RateSums }>();
  for (const one of segments) {
    const seen = evidenceOf(one.arriving, one.knew);
    if (!seen) continue;
    const key = rateKey(one);
    const name = JSON.stringify(key);
    const stretch = { ...seen, minutes: one.minutes };
    groups.set(name, { key, sums: withStretch(groups.get(name)?.sums ?? NO_STRETCHES, stretch) });
  }
  return bestKnownFirst([...groups.values()].map(({ key, sums }) => rateOf(key, sums)));
}

function driftOf({ weight, sum, segments, last }: RateSums): number | null {
  if (segments < LAST + 2) return null;
  const lastWeight = last.reduce((all, one) => all + weightOf(one.sd), 0);
  const lastSum = last.reduce((all, one) => all + weightOf(one.sd) * one.mean, 0);
  const before = { mean: (sum - lastSum) / (weight - lastWeight), sd: Math.sqrt(1 / (weight - lastWeight)) };
  const now = { mean: lastSum / lastWeight, sd: Math.sqrt(1 / lastWeight) };
  const moved = now.mean - before.mean;
  return Math.abs(moved) > DRIFT_Z * Math.hypot(before.sd, now.sd) ? moved / before.mean : null;
}

function weightOf(sd: number, betweenSd = BETWEEN_SD): number {
  return 1 / (sd ** 2 + betweenSd ** 2);
}
