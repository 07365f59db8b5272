/** A look-in may be pulled forward by this share of its interval. Common practice: stirring early does no harm. */
export const EARLY_SHARE = 0.35;
/** By itself, and not as one walk with another pot's, it is answered no earlier than this, ms. */
const EARLY_MS = 45_000;

/** From when on a look-in may be answered, ms. */
export function lookFromMs(next: { dueMs: number; everyMin: number }): number {
  return next.dueMs - Math.min(EARLY_MS, EARLY_SHARE * next.everyMin * 60_000);
}
