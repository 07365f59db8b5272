/** Moments (ms) by which something happens with 10, 50 and 90 % likelihood; null where it is not within the horizon. */
export interface ForecastInterval {
  p10Ms: number | null;
  p50Ms: number | null;
  p90Ms: number | null;
}
