/** Standard normal quantiles of the three points every forecast is told by. source: published: normal tables */
export const Z = { p10: -1.2815515655446004, p50: 0, p90: 1.2815515655446004 } as const;
