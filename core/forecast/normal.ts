/** Standard normal quantiles of the three points every forecast is told by. source: published: normal tables */
export const Z = { p10: -1.2815515655446004, p50: 0, p90: 1.2815515655446004 } as const;

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
