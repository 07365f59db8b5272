/** Standard normal quantiles of the three points every forecast is told by. source: published: normal tables */
export const Z = { p10: -1.2815515655446004, p50: 0, p90: 1.2815515655446004 } as const;

/** Beyond this many standard deviations a normal is not cut: what is seen there is one side of it, and no more. */
const FURTHEST_CUT_Z = 3.5;

/**
 * A normal of which only what lies below or above a value is possible, as the normal of the same mean and spread.
 *
 * @param of mean and one standard deviation, above 0
 * @param cut the value
 * @param keeps the side that is possible
 * @returns its mean and standard deviation
 * @example truncatedNormal({ mean: 0, sd: 1 }, 0, 'above').mean // => 0.7979
 * @source published: Johnson, Kotz and Balakrishnan, Continuous Univariate Distributions, the truncated normal
 */
export function truncatedNormal(
  { mean, sd }: { mean: number; sd: number },
  cut: number,
  keeps: 'below' | 'above',
): { mean: number; sd: number } {
  const side = keeps === 'above' ? 1 : -1;
  // mirrored, what lies above is kept
  const z = Math.min(FURTHEST_CUT_Z, (side * (cut - mean)) / sd);
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  const hazard = density / normalShare(-z);
  return {
    mean: mean + side * sd * hazard,
    sd: sd * Math.sqrt(Math.max(0, 1 + z * hazard - hazard * hazard)),
  };
}

/**
 * Share of a standard normal below z.
 *
 * @source published: Abramowitz and Stegun 1964, 26.2.17; within 7.5e-8
 */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}
