import type { Shown } from './calibrate';

/** How far off a quantile is, minutes: the loss that the true quantile makes least. source: published: Koenker and Bassett 1978 */
export function pinball(quantile: number, said: number, came: number): number {
  return came >= said ? quantile * (came - said) : (1 - quantile) * (said - came);
}

/** What some forecasts were worth. */
export interface Honesty {
  forecasts: number;
  /** shares of truths inside the 80 % and the 50 % interval */
  in80: number;
  in50: number;
  pinball: number;
  linePinball: number;
  /** medians of |median forecast − truth| / truth: ours, and of the filter that knows */
  error: number;
  knowingError: number;
}

export function honestyOf(all: readonly Shown[]): Honesty {
  const share = (is: (one: Shown) => boolean) => all.filter(is).length / all.length;
  const withLine = all.filter((one) => one.line !== null);
  const off = (said: number, one: Shown) => Math.abs(said - one.true) / one.true;
  const knowing = all.filter((one) => one.knowing !== null);
  return {
    forecasts: all.length,
    in80: share((one) => one.true >= one.p10 && one.true <= one.p90),
    in50: share((one) => one.true >= one.p25 && one.true <= one.p75),
    pinball: lossOf(all, (one, q) => one[q]),
    linePinball: lossOf(withLine, (one) => one.line!),
    error: median(all.map((one) => off(one.p50, one))),
    knowingError: median(knowing.map((one) => off(one.knowing!, one))),
  };
}

/** Pinball loss as a share of the time left, so that a long way does not drown a short one. */
function lossOf(some: readonly Shown[], of: (one: Shown, q: 'p10' | 'p50' | 'p90') => number): number {
  const sum = some.reduce(
    (total, one) =>
      total +
      (pinball(0.1, of(one, 'p10'), one.true) +
        pinball(0.5, of(one, 'p50'), one.true) +
        pinball(0.9, of(one, 'p90'), one.true)) /
        one.true,
    0,
  );
  return sum / (3 * some.length);
}

/** Forecasts by what they have in common, the largest groups as they come. */
export function groupBy(all: readonly Shown[], key: (one: Shown) => string): Map<string, Shown[]> {
  const groups = new Map<string, Shown[]>();
  for (const one of all) {
    const group = groups.get(key(one));
    if (group) group.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}
