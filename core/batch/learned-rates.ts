import type { Lid } from '../evaporation';
import type { HeatSegment } from './batch-state';

/** What the kitchen has learned of a pot on a burner at a setting under a lid. */
export interface LearnedRate {
  potId: string;
  burnerId: string;
  /** the setting, share of full to the nearest tenth */
  fraction: number;
  lid: Lid;
  /** share of the expected heat that arrives, mean and one standard deviation of what the next batch will show */
  arriving: { mean: number; sd: number };
  /** batches it was seen in, and minutes in all */
  segments: number;
  minutes: number;
  /** the last ones against those before: share that it has moved by, where that is more than doubt; else null */
  drifted: number | null;
}

/** From batch to batch the same setting differs by so much, one standard deviation. From memory. */
const BETWEEN_SD = 0.08;
/** This many standard deviations apart, the last ones are no chance. source: common practice, two in a row at two */
const DRIFT_Z = 2.5;
/** The last so many are held against the rest. */
const LAST = 2;

/**
 * Heat by pot, burner, setting and lid, from the stretches of steady heat of closed batches.
 *
 * @param segments of closed batches, oldest first
 * @returns one row for each combination, the best known first
 * @source published: precision-weighted mean of normals; drift by the difference of two such means
 */
export function learnedRates(segments: readonly HeatSegment[]): LearnedRate[] {
  const groups = new Map<string, HeatSegment[]>();
  for (const one of segments) {
    const key = [one.potId, one.burnerId, Math.round(one.fraction * 10), one.lid].join('|');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()]
    .map((own) => {
      const all = weighted(own);
      return {
        potId: own[0]!.potId,
        burnerId: own[0]!.burnerId,
        fraction: Math.round(own[0]!.fraction * 10) / 10,
        lid: own[0]!.lid,
        arriving: { mean: all.mean, sd: Math.hypot(all.sd, BETWEEN_SD) },
        segments: own.length,
        minutes: own.reduce((sum, one) => sum + one.minutes, 0),
        drifted: driftOf(own),
      };
    })
    .sort((a, b) => a.arriving.sd / a.arriving.mean - b.arriving.sd / b.arriving.mean);
}

function driftOf(own: readonly HeatSegment[]): number | null {
  if (own.length < LAST + 2) return null;
  const before = weighted(own.slice(0, -LAST));
  const last = weighted(own.slice(-LAST));
  const moved = last.mean - before.mean;
  return Math.abs(moved) > DRIFT_Z * Math.hypot(before.sd, last.sd) ? moved / before.mean : null;
}

function weighted(own: readonly HeatSegment[]): { mean: number; sd: number } {
  let weight = 0;
  let sum = 0;
  for (const one of own) {
    const w = 1 / (one.arriving.sd ** 2 + BETWEEN_SD ** 2);
    weight += w;
    sum += w * one.arriving.mean;
  }
  return { mean: sum / weight, sd: Math.sqrt(1 / weight) };
}
