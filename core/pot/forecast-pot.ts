import { finite, positive } from '../check';
import { type ForecastInterval, Z } from '../forecast';
import { massKg } from '../matter';

import { STEP_S } from './advance-pot';
import { leaningsOf, noSlopes, ROW, variance } from './covariance';
import { surfaceShare, wallShare } from './heat-balance';
import { arrivingAt, type Instrument, type PotSetup, type PotState } from './pot';
import { AS_EXPECTED, type Day, type PotRun, startRun, stepRun } from './pot-run';

export type PotTarget =
  /** `readBy`: the target is what that instrument will show, so that its own error cancels */
  | { kind: 'mass'; kg: number; readBy?: Instrument }
  | { kind: 'temperature'; tempC: number }
  /** down to it, the heat off or low */
  | { kind: 'cooled'; tempC: number }
  | { kind: 'softened'; minutesAt100C: number };

/** Vegetables of one name soften at their own pace, one standard deviation. source: from memory */
const SOFTENING_SPREAD = 0.15;

/** How far a forecast looks unless told otherwise: 12 hours. */
const HORIZON_MIN = 720;

/**
 * When a pot, left with its heat and lid as they are, will be down to a mass, up to a temperature, or its roots soft.
 *
 * The middle is the model run forward. Each quantile is the model run again on the likeliest of the days that are so
 * early or so late: heat, surface, wall, mass and temperature each off by their share of the doubt (the design point of a
 * first-order reliability method). How the end leans on each of them is carried along the middle run, and so is what the
 * burner's wandering adds on the way.
 *
 * @param setup vessel, burner, air
 * @param pot the pot now
 * @param target kg to get down to, °C to get up to, or minutes of softening at 100 °C
 * @param horizonMin how far to look, above 0, default 12 hours
 * @returns the three moments, ms; now for what is already met
 * @throws RangeError for a horizon not above 0
 * @source docs/model.md § 5; agrees with `forecast` where the rate is steady
 */
export function forecastPot(
  setup: PotSetup,
  pot: PotState,
  target: PotTarget,
  horizonMin = HORIZON_MIN,
): ForecastInterval {
  const [p10Ms, p50Ms, p90Ms] = quantilesMs(setup, pot, target, [Z.p10, Z.p50, Z.p90], horizonMin);
  return { p10Ms: p10Ms!, p50Ms: p50Ms!, p90Ms: p90Ms! };
}

/**
 * The moments by which a target is met with given likelihoods, as `forecastPot` has three of them.
 *
 * @param z standard normal quantiles, below 0 for early
 * @returns ms, null where it is not within the horizon
 */
export function quantilesMs(
  setup: PotSetup,
  pot: PotState,
  target: PotTarget,
  z: readonly number[],
  horizonMin = HORIZON_MIN,
): (number | null)[] {
  positive('horizonMin', horizonMin);
  if (massKg(pot.mixture) <= 0) return z.map(() => null);
  const way = middleWay(setup, pot, target, horizonMin);
  return z.map((one) =>
    one === 0 ? way.ms : crossingMs(setup, pot, target, horizonMin, dayOf(pot, target, way, -one)),
  );
}

/** The middle of a forecast: its moment, and how what is held against the target leans there on what is known now. */
interface MiddleWay {
  ms: number | null;
  /** by row, of the mass or the temperature that the target is about */
  slopes: Float64Array;
  /** variance that the way itself adds: a burner that wanders, splashes */
  wayVariance: number;
}

function middleWay(setup: PotSetup, pot: PotState, target: PotTarget, horizonMin: number): MiddleWay {
  const run = startRun(setup, pot);
  const slopes = noSlopes();
  run.slopes = slopes;
  const of = target.kind === 'mass' ? 'mass' : 'temp';
  const before = new Float64Array(slopes[of]);
  let varianceBefore = variance(pot.covariance, of);
  const met = meet(pot, run, target, horizonMin, MIDDLE_DAY.shift, STEP_S, () => {
    before.set(slopes[of]);
    varianceBefore = variance(run.covariance!, of);
  });
  const share = met.share;
  const here = before.map((was, i) => was + share * (slopes[of][i]! - was));
  const own = varianceBefore + share * (variance(run.covariance!, of) - varianceBefore);
  const known = leaningsOf(pot.covariance, here).variance;
  return { ms: met.ms, slopes: here, wayVariance: Math.max(0, own - known) };
}

/** How far the target itself is shifted on a day: kg or K nearer, or a share of softness. */
interface Shifted extends Day {
  shift: number;
}

export const MIDDLE_DAY: Shifted = { ...AS_EXPECTED, shift: 0 };

/**
 * The moment a run forward meets its target; null if not within the horizon.
 *
 * @param off a day that differs from the middle one
 * @param stepS seconds of one step; its end is taken on a straight line
 */
export function crossingMs(
  setup: PotSetup,
  pot: PotState,
  target: PotTarget,
  horizonMin = HORIZON_MIN,
  off: Shifted = MIDDLE_DAY,
  stepS: number = STEP_S,
): number | null {
  finite(
    'target',
    target.kind === 'mass' ? target.kg : target.kind === 'softened' ? target.minutesAt100C : target.tempC,
  );
  if (massKg(pot.mixture) <= 0) return null;
  return meet(pot, startRun(setup, pot, off), target, horizonMin, off.shift, stepS).ms;
}

/** Runs on until the target is met: when, and at which share of the last step; null where it is not. */
function meet(
  pot: PotState,
  run: PotRun,
  target: PotTarget,
  horizonMin: number,
  shift: number,
  stepS: number,
  beforeStep?: () => void,
): { ms: number | null; share: number } {
  let left = stillToGo(pot, run, target, shift);
  if (left <= 0) return { ms: pot.atMs, share: 0 };
  while (run.elapsedS < horizonMin * 60) {
    const fromS = run.elapsedS;
    const wasC = run.tempC;
    beforeStep?.();
    stepRun(run, stepS);
    const next = stillToGo(pot, run, target, shift);
    if (next <= 0) {
      const share = left / (left - next);
      return { ms: pot.atMs + 1000 * (fromS + stepS * share), share };
    }
    if (next === left && Math.abs(run.tempC - wasC) < 1e-6 && Math.abs(run.wander) < 1e-3) break;
    left = next;
  }
  return { ms: null, share: 1 };
}

/** What is still missing to the target; nothing or less when it is met. */
function stillToGo(pot: PotState, run: PotRun, target: PotTarget, shift: number): number {
  switch (target.kind) {
    case 'mass':
      return run.massKg + shift - markKg(pot, target);
    case 'temperature':
      return target.tempC - run.tempC - shift;
    case 'cooled':
      return run.tempC + shift - target.tempC;
    case 'softened':
      return target.minutesAt100C * (1 + shift) - run.softenedMin;
  }
}

/** What an instrument shows as the target is really so much, by what is thought of its error. */
function markKg(pot: PotState, target: Extract<PotTarget, { kind: 'mass' }>): number {
  return target.readBy ? target.kg / (1 + pot.bias[target.readBy]) : target.kg;
}

/** Further than this from the middle no day is looked for, as a logarithm. */
const FURTHEST = 2.5;
const times = (share: number): number => Math.exp(Math.min(FURTHEST, Math.max(-FURTHEST, share)));

/**
 * The likeliest of the days on which the target is met `q` standard deviations early (above 0) or late (below): what is
 * known now is off along its own doubt, and the way's own noise counts as heat. source: published: the first-order
 * reliability method's design point (Hasofer and Lind 1974), from memory
 */
function dayOf(pot: PotState, target: PotTarget, way: MiddleWay, q: number): Shifted {
  if (target.kind === 'softened') return { ...MIDDLE_DAY, shift: -q * SOFTENING_SPREAD };
  const by = new Float64Array(way.slopes);
  const lever = target.kind === 'mass' && target.readBy ? markKg(pot, target) : 0;
  if (target.kind === 'mass' && target.readBy) by[ROW[target.readBy]] = by[ROW[target.readBy]]! + lever;
  const { each, variance: known } = leaningsOf(pot.covariance, by);
  const sd = Math.sqrt(known + way.wayVariance);
  if (!(sd > 0)) return MIDDLE_DAY;
  // less mass or a lower temperature is nearer, except to what is warmed up to
  const off = ((target.kind === 'temperature' ? 1 : -1) * q) / sd;
  const byHeat = by[ROW.burner]!;
  const ofHeat = (share: number) => (Math.abs(byHeat) > 1e-9 ? share / byHeat : 0);
  const heat =
    each[ROW.burner]! +
    each[ROW.setting]! +
    ofHeat(each[ROW.wander]! * by[ROW.wander]!) +
    ofHeat(way.wayVariance);
  return {
    hotter: times((off * heat) / arrivingAt(pot)),
    opener: times((off * (each[ROW.surface]! + each[ROW.lid]!)) / surfaceShare(pot.surface, pot.passes)),
    thinner: times((off * each[ROW.wall]!) / wallShare(pot.wall)),
    moreKg: off * each[ROW.mass]!,
    warmerK: off * each[ROW.temp]!,
    shift: target.kind === 'mass' && target.readBy ? off * each[ROW[target.readBy]]! * lever : 0,
  };
}
