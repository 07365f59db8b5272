import type { Refusal } from './refusal';

/** Longer ago than this is not believed without a word. */
export const MOST_HOURS_AGO = 48;
/** Older than this is accepted, and marked for a person to look at. */
export const DAY_OLD_MS = 24 * 3_600_000;
/** A device's clock and the server's differ by so much and nobody minds, ms. */
const CLOCKS_DIFFER_MS = 120_000;

/** When something is said to have happened, and what is known of that. */
export interface SaidAt {
  /** the server's number for it, after every other */
  seq: number;
  /** kitchen time it happened, never in the future, ms */
  actedAtMs: number;
  /** kitchen time now, ms */
  nowMs: number;
  /** a person has confirmed that it was so long ago */
  isConfirmed: boolean;
  /** the device said that it happened in the time to come */
  isAhead: boolean;
}

/** Refuses what is said of too long ago, or of before there was anything to say. */
export function refuseTime(at: SaidAt, startedAtMs: number | null): Refusal | null {
  const hours = (at.nowMs - at.actedAtMs) / 3_600_000;
  if (startedAtMs !== null && at.actedAtMs < startedAtMs - CLOCKS_DIFFER_MS)
    return { field: 'ageMs', code: 'beforeStart', startedAtMs };
  if (hours > MOST_HOURS_AGO && !at.isConfirmed)
    return { field: 'ageMs', code: 'longAgo', hours, mostHours: MOST_HOURS_AGO };
  return null;
}
