import { finite, positive } from '../check';
import { Z } from '../forecast';
import { massKg } from '../matter';

import { STEP_S } from './advance-pot';
import { type Blend, covarianceOf } from './covariance';
import { WANDER } from './data/estimator';
import { arrivingAt, type Instrument, type PotSetup, type PotState } from './pot';
import { type PotRun, startRun, stepRun } from './pot-run';

/** Moments (ms) by which a target is met with 10, 50 and 90 % likelihood; null where it is not within the horizon. */
export interface ForecastInterval {
  p10Ms: number | null;
  p50Ms: number | null;
  p90Ms: number | null;
}

export type PotTarget =
  /** `readBy`: the target is what that instrument will show, so that its own error cancels */
  | { kind: 'mass'; kg: number; readBy?: Instrument }
  | { kind: 'temperature'; tempC: number }
  /** down to it, the heat off or low */
  | { kind: 'cooled'; tempC: number }
  | { kind: 'softened'; minutesAt100C: number };

/** Vegetables of one name soften at their own pace, one standard deviation. source: from memory */
const SOFTENING_SPREAD = 0.15;

/** Nearer to the target than this share of the doubt about it, the way left no longer counts. */
const NEAR = 0.1;

/** How far a forecast looks unless told otherwise: 12 hours. */
const HORIZON_MIN = 720;

/**
 * When a pot, left with its heat and lid as they are, will be down to a mass, up to a temperature, or its roots soft.
 *
 * The middle is the model run forward. Each quantile is the model run again on the likeliest of the days that are so
 * early or so late: heat, mass and temperature each off by their share of the doubt (the design point of a first-order
 * reliability method). The heat is its average over the way, so that its wandering evens out on a long one.
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
  positive('horizonMin', horizonMin);
  const p50Ms = crossingMs(setup, pot, target, horizonMin);
  const at = (q: number) => {
    const off = dayOf(pot, target, q, p50Ms === null ? horizonMin : (p50Ms - pot.atMs) / 60_000);
    return crossingMs(setup, pot, target, horizonMin, off);
  };
  return { p10Ms: at(Z.p90), p50Ms, p90Ms: at(Z.p10) };
}

/** How a day differs from the middle one: heat times so much, the target nearer or further by so much. */
interface Day {
  hotter: number;
  /** added to what the pot is held against: kg, K, or minutes' share */
  shift: number;
}

export const MIDDLE_DAY: Day = { hotter: 1, shift: 0 };

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
  off: Day = MIDDLE_DAY,
  stepS: number = STEP_S,
): number | null {
  finite(
    'target',
    target.kind === 'mass' ? target.kg : target.kind === 'softened' ? target.minutesAt100C : target.tempC,
  );
  if (massKg(pot.mixture) <= 0) return null;
  const run = startRun(setup, pot, off.hotter);
  const toGo = (r: PotRun) => stillToGo(pot, r, target, off.shift);
  let left = toGo(run);
  if (left <= 0) return pot.atMs;
  while (run.elapsedS < horizonMin * 60) {
    const fromS = run.elapsedS;
    const wasC = run.tempC;
    stepRun(run, stepS);
    const next = toGo(run);
    if (next <= 0) return pot.atMs + 1000 * (fromS + stepS * (left / (left - next)));
    if (next === left && Math.abs(run.tempC - wasC) < 1e-6 && Math.abs(run.wander) < 1e-3) return null;
    left = next;
  }
  return null;
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

/** The likeliest of the days on which the target is met `q` standard deviations early (above 0) or late (below). */
function dayOf(pot: PotState, target: PotTarget, q: number, minutes: number): Day {
  if (target.kind === 'softened') return { hotter: 1, shift: -q * SOFTENING_SPREAD };
  const x = Math.max(minutes / WANDER.forgetMin, 1e-6);
  // mean over the way of what is left of the wandering of now, and variance of what is yet to come
  const keeps = (1 - Math.exp(-x)) / x;
  // all of it as shares of the heat that arrives, so that a day is so many times hotter
  const here = arrivingAt(pot);
  const yetToCome =
    ((WANDER.sd * pot.heatFactor) / here) ** 2 * Math.max(0, (2 * (1 - keeps)) / x - keeps * keeps);
  const heat: Blend = { burner: 1 / here, wander: keeps / here, setting: 1 / here };
  const kgNow = massKg(pot.mixture);
  const offTarget: Blend =
    target.kind === 'mass'
      ? { mass: 1, ...(target.readBy ? { [target.readBy]: markKg(pot, target) } : {}) }
      : { temp: 1 };
  const gap = target.kind === 'mass' ? kgNow - markKg(pot, target) : Math.abs(target.tempC - pot.tempC);
  // at the mark, or thought past it, only the doubt about where it stands is left
  const needed = Math.max(gap, NEAR * Math.sqrt(covarianceOf(pot.covariance, offTarget, offTarget)), 1e-9);
  const sign = target.kind === 'temperature' ? 1 : -1;
  const early: Blend = { ...heat };
  for (const [name, much] of Object.entries(offTarget) as [keyof Blend, number][])
    early[name] = (early[name] ?? 0) + (sign * much) / needed;
  const sd = Math.sqrt(covarianceOf(pot.covariance, early, early) + yetToCome);
  if (sd === 0) return MIDDLE_DAY;
  return {
    hotter: Math.exp((q * (covarianceOf(pot.covariance, heat, early) + yetToCome)) / sd),
    shift: (q * covarianceOf(pot.covariance, offTarget, early)) / sd,
  };
}
