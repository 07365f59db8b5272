/** One value of a device, in its own unit: °C or kg. */
export interface Sample {
  atMs: number;
  value: number;
}

export const DEVICE_KINDS = ['probe', 'scale'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** When a stream of values is worth a reading in the pot's log. source: from memory, ours */
const RULES: Readonly<Record<DeviceKind, { everyMin: number; jump: number; unsteady: number }>> = {
  /** °C */
  probe: { everyMin: 5, jump: 4, unsteady: 3 },
  /** kg */
  scale: { everyMin: 4, jump: 0.6, unsteady: 0.4 },
};

/** So many of the last samples make one reading, and no fewer. */
const NEEDED = 5;
const MOST = 15;
/** Samples older than this against the last say nothing of now, min. */
const FRESH_MIN = 10;
/** From a normal spread's median absolute deviation to its standard deviation. source: published: 1 / Φ⁻¹(3/4) */
const MAD_TO_SD = 1.4826;

/**
 * One reading out of a stream of samples: where a straight line through them stands now, where they lie near it, and
 * where the last reading is old enough or far enough off. The line is the median of all slopes between two of them, so
 * that a lid lifted or a ladle dipped does not bend it. Samples are not events: a probe at one a second would drown the log.
 *
 * @param kind what the device measures
 * @param samples oldest first; only the last fifteen within ten minutes count
 * @param last the last reading made of this stream, or null
 * @returns the reading's moment and value, rounded to a tenth of a degree or ten grams; null while none is due
 * @source published: Theil 1950 and Sen 1968 for the line; which spread is steady from memory
 */
export function condense(kind: DeviceKind, samples: readonly Sample[], last: Sample | null): Sample | null {
  const newest = samples.at(-1);
  if (!newest) return null;
  const fresh = samples.slice(-MOST).filter((one) => newest.atMs - one.atMs <= FRESH_MIN * 60_000);
  if (fresh.length < NEEDED) return null;
  const rule = RULES[kind];
  const slope = slopeOf(fresh);
  const levelled = fresh.map((one) => one.value + slope * (newest.atMs - one.atMs));
  const value = medianOf(levelled);
  const spread = MAD_TO_SD * medianOf(levelled.map((one) => Math.abs(one - value)));
  if (spread > rule.unsteady) return null;
  const isOld = last === null || newest.atMs - last.atMs >= rule.everyMin * 60_000;
  const isFarOff = last !== null && Math.abs(value - last.value) >= rule.jump;
  if (!isOld && !isFarOff) return null;
  const step = kind === 'probe' ? 10 : 100;
  return { atMs: newest.atMs, value: Math.round(value * step) / step };
}

/** A unit a millisecond: the median of the slopes between each two. source: published: Theil 1950, Sen 1968 */
function slopeOf(samples: readonly Sample[]): number {
  const slopes = samples.flatMap((a, i) =>
    samples.slice(i + 1).flatMap((b) => (b.atMs > a.atMs ? [(b.value - a.value) / (b.atMs - a.atMs)] : [])),
  );
  return slopes.length > 0 ? medianOf(slopes) : 0;
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}
