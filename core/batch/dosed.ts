import type { BatchState } from './batch-state';

/**
 * Grams of flour that doses put in to thicken will come to and have not yet: a starch swells at once, flour within ten
 * minutes or more. Steadily, as nothing better is known.
 */
export function yetToSwellG({ dosed }: Pick<BatchState, 'dosed'>, atMs: number): number {
  return dosed.reduce((sum, { bodyG, swellsMin, atMs: sinceMs }) => {
    const share = swellsMin > 0 ? Math.min(1, Math.max(0, (atMs - sinceMs) / (swellsMin * 60_000))) : 1;
    return sum + bodyG * (1 - share);
  }, 0);
}

/** When the last dose can be judged, ms; null where nothing waits. */
export function judgedAtMs({ dosed }: Pick<BatchState, 'dosed'>, atMs: number): number | null {
  const ready = dosed.map((dose) => dose.atMs + dose.swellsMin * 60_000).filter((ms) => ms > atMs);
  return ready.length > 0 ? Math.max(...ready) : null;
}
