import type { ForecastInterval } from '../forecast';
import { FOOD_CODE } from '../safety';
import { centreC, hoursUntil } from './cooling-body';
import type { CoolingKnown } from './cooling-run';

const HOUR_MS = 3_600_000;

/** What a kitchen cools by: the code's figures, or its own. */
export interface CoolingLimits {
  hotHoldingC: number;
  coolFirstWithinH: number;
  coolWithinH: number;
}

export const CODE_COOLING_LIMITS: CoolingLimits = {
  hotHoldingC: FOOD_CODE.hotHoldingC.value,
  coolFirstWithinH: FOOD_CODE.coolFirstWithinH.value,
  coolWithinH: FOOD_CODE.coolWithinH.value,
};

/** °C the first step ends at, and the second. source: published: FDA Food Code 2022 § 3-501.14 */
export const FIRST_STEP_C = FOOD_CODE.coolFirstToC.value;
export const COLD_C = FOOD_CODE.coolToC.value;

/** A cooling against its two limits. */
export interface CoolingForecast {
  /** °C in the middle now */
  centreC: { p10: number; p50: number; p90: number };
  /** when it left hot holding, ms: the clock runs from there */
  leftHotMs: number;
  /** when it is to be at 21 °C and at 5 °C, ms */
  firstDueMs: number;
  coldDueMs: number;
  /** when it will be; null where the place never gets it there */
  first: ForecastInterval;
  cold: ForecastInterval;
  /** the chance of missing either, 0..1 */
  missFirst: number;
  missCold: number;
  /** likely enough to be told: of two readings on as likely as not, before that only what is nearly sure */
  isWarned: boolean;
}

/** From such a chance of missing on a cook is warned, read or not yet. By simulated coolings. */
const WARNED_FROM = { read: 0.5, guessed: 0.95 } as const;
const READ_BY = 2;

/**
 * When a cooling reaches 21 °C and 5 °C, and the chance that either is too late.
 *
 * @param known the cooling as its readings show it
 * @param nowMs the moment, ms
 * @param limits the kitchen's; the code's where none are given
 * @param clockFromMs when it had left hot holding before it was poured, where it had, ms
 * @source published: FDA Food Code 2022 § 3-501.14 for the limits; the courses as `coolingKnown`
 */
export function coolingForecast(
  known: CoolingKnown,
  nowMs: number,
  limits: CoolingLimits = CODE_COOLING_LIMITS,
  clockFromMs: number | null = null,
): CoolingForecast {
  const { courses, sinceMs } = known;
  const passedMs = (tempC: number) => {
    const beforeMs = known.passedBefore(tempC);
    return courses.map(({ body, weight }) => {
      const hours = beforeMs === null ? hoursUntil(body, tempC) : null;
      return { weight, value: beforeMs ?? (hours === null ? null : sinceMs + hours * HOUR_MS) };
    });
  };
  const hot = passedMs(limits.hotHoldingC).map((one) => ({
    ...one,
    value: clockFromMs === null ? one.value : Math.min(clockFromMs, one.value ?? clockFromMs),
  }));
  const first = passedMs(FIRST_STEP_C);
  const cold = passedMs(COLD_C);
  const missed = (steps: typeof first, withinH: number) =>
    share(
      steps.map(({ weight, value }, i) => {
        const fromMs = hot[i]!.value ?? nowMs;
        return { weight, is: value === null || value - fromMs > withinH * HOUR_MS };
      }),
    );
  const leftHotMs = quantiles(hot).p50 ?? nowMs;
  // a clock that shows whole minutes may be a little behind what was just done
  const nowH = Math.max(0, nowMs - sinceMs) / HOUR_MS;
  const centres = courses.map(({ body, weight }) => ({ weight, value: centreC(body, nowH) }));
  const missFirst = missed(first, limits.coolFirstWithinH);
  const missCold = missed(cold, limits.coolWithinH);
  return {
    centreC: temperatures(centres),
    leftHotMs,
    firstDueMs: leftHotMs + limits.coolFirstWithinH * HOUR_MS,
    coldDueMs: leftHotMs + limits.coolWithinH * HOUR_MS,
    first: momentsOf(first),
    cold: momentsOf(cold),
    missFirst,
    missCold,
    isWarned:
      Math.max(missFirst, missCold) >= (known.readings < READ_BY ? WARNED_FROM.guessed : WARNED_FROM.read),
  };
}

/** How warm the middle is from a moment on: what is likely, and between what. */
export interface CoolingMoment {
  atMs: number;
  p10: number;
  p50: number;
  p90: number;
}

/**
 * The forecast as a line with its band.
 *
 * @param fromMs not before it stood as it stands now
 * @param steps 1 or more
 */
export function coolingCurve(
  { courses, sinceMs }: CoolingKnown,
  fromMs: number,
  toMs: number,
  steps: number,
): CoolingMoment[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const atMs = fromMs + ((toMs - fromMs) * i) / steps;
    const centres = courses.map(({ body, weight }) => ({
      weight,
      value: centreC(body, Math.max(0, atMs - sinceMs) / HOUR_MS),
    }));
    return { atMs, ...temperatures(centres) };
  });
}

interface Weighed {
  weight: number;
  value: number | null;
}

function share(of: readonly { weight: number; is: boolean }[]): number {
  const all = of.reduce((sum, one) => sum + one.weight, 0);
  return of.reduce((sum, one) => sum + (one.is ? one.weight : 0), 0) / all;
}

/** The values under which 10, 50 and 90 % of the weight lie, between the middles of their neighbours; null for what never comes. */
function quantiles(of: readonly Weighed[]): {
  p10: number | null;
  p50: number | null;
  p90: number | null;
} {
  const sorted = [...of].sort((a, b) => (a.value ?? Infinity) - (b.value ?? Infinity));
  const all = sorted.reduce((sum, one) => sum + one.weight, 0);
  const at = (wanted: number): number | null => {
    let below = 0;
    let last: { share: number; value: number | null } | null = null;
    for (const { weight, value } of sorted) {
      const middle = (below + weight / 2) / all;
      if (middle >= wanted) {
        if (value === null || last === null || last.value === null) return value;
        return last.value + ((value - last.value) * (wanted - last.share)) / (middle - last.share);
      }
      below += weight;
      last = { share: middle, value };
    }
    return last?.value ?? null;
  };
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}

/** The same of temperatures, which all come. */
function temperatures(of: readonly Weighed[]): { p10: number; p50: number; p90: number } {
  const { p10, p50, p90 } = quantiles(of);
  return { p10: p10!, p50: p50!, p90: p90! };
}

/** The same as a forecast of moments, ms. */
export function momentsOf(of: readonly Weighed[]): ForecastInterval {
  const { p10, p50, p90 } = quantiles(of);
  return { p10Ms: p10, p50Ms: p50, p90Ms: p90 };
}
