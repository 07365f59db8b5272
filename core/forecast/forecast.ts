import { atLeast, finite } from '../check';
import { Z } from './normal';

export interface MassReading {
  minute: number;
  massKg: number;
  /** one standard deviation, kg, 0 or more */
  sdKg: number;
}

export interface Forecast {
  rateKgPerMin: number;
  massNowKg: number;
  minute: { p10: number | null; p50: number | null; p90: number | null };
}

/** An exact reading is taken as good to a milligram, an exact rate to a microgram a minute. */
const LEAST_SD_KG = 1e-6;
const LEAST_SD_RATE = 1e-9;

/**
 * When a pot that loses mass along a straight line will be down to a target, and how sure that is.
 *
 * Least squares with known variances: mass = level − rate · minute, each reading weighted by 1/sd², the prior on the
 * rate (if any) as one more observation of it. A quantile p is the first minute at which the chance that the line is
 * at or under the target reaches p; so the uncertainty of the level, of the rate, and of both together is in it.
 *
 * @param readings minute, kg and one standard deviation in kg each
 * @param prior loss in kg/min and its standard deviation; without one, two readings at different minutes are needed
 * @param start what was in the pot at a minute, counted like a reading
 * @param targetKg mass to get down to
 * @param nowMinute default: the last reading's minute, else 0
 * @returns loss rate (positive when mass leaves), mass now, and the 10, 50 and 90 % minutes; null for one never
 *   reached; all three `nowMinute` when the target is already met
 * @throws RangeError naming a bad argument, or when there is nothing to go on
 * @example forecast({ readings: [{ minute: 0, massKg: 10, sdKg: 0.1 }, { minute: 10, massKg: 9, sdKg: 0.1 }], targetKg: 8 }).minute.p50 // => 20
 * @source published: weighted least squares, any statistics text; crossing of a line with correlated coefficients, Fieller 1954
 */
export function forecast(input: {
  readings: readonly MassReading[];
  prior?: { rateKgPerMin: number; sd: number };
  start?: MassReading;
  targetKg: number;
  nowMinute?: number;
}): Forecast {
  const target = finite('targetKg', input.targetKg);
  const points = input.start ? [input.start, ...input.readings] : [...input.readings];
  const line = fitLine(points, input.prior);
  const lastReading = input.readings.length ? Math.max(...input.readings.map((r) => r.minute)) : 0;
  const now = finite('nowMinute', input.nowMinute ?? lastReading);
  const massNowKg = line.meanKg - line.rate * (now - line.meanMinute);
  if (massNowKg <= target) {
    return { rateKgPerMin: line.rate, massNowKg, minute: { p10: now, p50: now, p90: now } };
  }
  const crossing = (z: number) => crossingMinute(line, target, now, z);
  return {
    rateKgPerMin: line.rate,
    massNowKg,
    minute: { p10: crossing(Z.p10), p50: crossing(Z.p50), p90: crossing(Z.p90) },
  };
}

/** A line through its own weighted centre: there level and rate are uncorrelated unless a prior pulls the rate. */
interface Line {
  meanMinute: number;
  meanKg: number;
  rate: number;
  varMean: number;
  varRate: number;
}

function fitLine(points: readonly MassReading[], prior?: { rateKgPerMin: number; sd: number }): Line {
  if (points.length === 0)
    throw new RangeError(`readings: nothing to go on, got ${points.length} and no start`);
  let weight = 0;
  let minuteSum = 0;
  let kgSum = 0;
  points.forEach((point, i) => {
    const w = weightOf(atLeast(`readings[${i}].sdKg`, point.sdKg, 0), LEAST_SD_KG);
    weight += w;
    minuteSum += w * finite(`readings[${i}].minute`, point.minute);
    kgSum += w * finite(`readings[${i}].massKg`, point.massKg);
  });
  const meanMinute = minuteSum / weight;
  const meanKg = kgSum / weight;
  let spread = 0;
  let slope = 0;
  for (const point of points) {
    const w = weightOf(point.sdKg, LEAST_SD_KG);
    spread += w * (point.minute - meanMinute) ** 2;
    slope += w * (point.minute - meanMinute) * (point.massKg - meanKg);
  }
  let priorWeight = 0;
  let priorRate = 0;
  if (prior) {
    priorRate = finite('prior.rateKgPerMin', prior.rateKgPerMin);
    priorWeight = weightOf(atLeast('prior.sd', prior.sd, 0), LEAST_SD_RATE);
  } else if (points.every((point) => point.minute === points[0]!.minute)) {
    throw new RangeError(
      `readings: without a prior two readings at different minutes are needed, got ${points.length} at one`,
    );
  }
  const varRate = 1 / (spread + priorWeight);
  return {
    meanMinute,
    meanKg,
    rate: (priorWeight * priorRate - slope) * varRate,
    varMean: 1 / weight,
    varRate,
  };
}

function weightOf(sd: number, least: number): number {
  return 1 / Math.max(sd, least) ** 2;
}

/** First minute at or after `now` where target − line stands z standard deviations above zero; null if never. */
function crossingMinute(line: Line, target: number, now: number, z: number): number | null {
  const gap = line.meanKg - target;
  if (z === 0) return line.rate > 0 ? line.meanMinute + gap / line.rate : null;
  const standing = (minute: number) => {
    const u = minute - line.meanMinute;
    return (line.rate * u - gap) / Math.sqrt(line.varMean + line.varRate * u * u);
  };
  if (standing(now) >= z) return now;
  const a = line.rate ** 2 - z * z * line.varRate;
  const b = -2 * line.rate * gap;
  const c = gap * gap - z * z * line.varMean;
  const roots = quadraticRoots(a, b, c).map((u) => u + line.meanMinute);
  const later = roots.filter((minute) => minute > now && standing(minute) * z >= 0);
  return later.length ? Math.min(...later) : null;
}

function quadraticRoots(a: number, b: number, c: number): number[] {
  if (a === 0) return b === 0 ? [] : [-c / b];
  const discriminant = b * b - 4 * a * c;
  if (discriminant < 0) return [];
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(discriminant));
  return q === 0 ? [0] : [q / a, c / q];
}
