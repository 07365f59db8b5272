import { positive } from '../check';
import { Z } from '../forecast/normal';
import { massKg } from '../matter/mixture';
import { STEP_S } from './advance-pot';
import type { PotSetup, PotState } from './pot';
import { type PotRun, startRun } from './pot-run';

/** Moments (ms) by which a target is met with 10, 50 and 90 % likelihood; null where it is not within the horizon. */
export interface When {
  p10Ms: number | null;
  p50Ms: number | null;
  p90Ms: number | null;
}

export type PotTarget =
  | { kind: 'mass'; kg: number }
  | { kind: 'temperature'; tempC: number }
  | { kind: 'softened'; minutesAt100C: number };

/** Vegetables of one name soften at their own pace, one standard deviation. source: from memory */
const SOFTENING_SPREAD = 0.15;

/**
 * When a pot, left with its heat and lid as they are, will be down to a mass, up to a temperature, or its roots soft: the model run
 * forward with its doubt, each quantile where the target stands that many standard deviations off.
 *
 * @param setup vessel, burner, air
 * @param pot the pot now
 * @param target kg to get down to, °C to get up to, or minutes of softening at 100 °C
 * @param horizonMin how far to look, above 0, default 12 hours
 * @returns the three moments, ms; now for what is already met
 * @throws RangeError for a horizon not above 0
 * @source docs/model.md § 5; agrees with `forecast` where the rate is steady
 */
export function forecastPot(setup: PotSetup, pot: PotState, target: PotTarget, horizonMin = 720): When {
  const horizonS = positive('horizonMin', horizonMin) * 60;
  const crossed: Record<keyof typeof Z, number | null> = { p10: null, p50: null, p90: null };
  if (massKg(pot.mixture) <= 0) return { p10Ms: null, p50Ms: null, p90Ms: null };
  const { run, step } = startRun(setup, pot);
  let standing = standingOf(run, target);
  for (const key of KEYS) if (standing >= Z[key]) crossed[key] = pot.atMs;
  while (crossed.p90 === null && run.elapsedS < horizonS) {
    const before = { ...run };
    step(STEP_S);
    const next = standingOf(run, target);
    for (const key of KEYS) {
      if (crossed[key] !== null || next < Z[key]) continue;
      const along = (Z[key] - standing) / (next - standing);
      crossed[key] = pot.atMs + 1000 * (before.elapsedS + STEP_S * Math.min(1, Math.max(0, along)));
    }
    if (settled(before, run)) break;
    standing = next;
  }
  return { p10Ms: crossed.p10, p50Ms: crossed.p50, p90Ms: crossed.p90 };
}

const KEYS = ['p10', 'p50', 'p90'] as const;

/** How many standard deviations the pot stands past its target. */
function standingOf(run: PotRun, target: PotTarget): number {
  switch (target.kind) {
    case 'mass':
      return (target.kg - run.massKg) / spread(Math.sqrt(run.covariance.mass));
    case 'temperature':
      return (run.tempC - target.tempC) / spread(Math.sqrt(run.covariance.temp));
    case 'softened':
      return (run.softenedMin - target.minutesAt100C) / spread(SOFTENING_SPREAD * target.minutesAt100C);
  }
}

function spread(sd: number): number {
  return Math.max(sd, 1e-6);
}

/** Nothing moves any more: looking further would find the same. */
function settled(a: PotRun, b: PotRun): boolean {
  return Math.abs(a.tempC - b.tempC) < 1e-6 && b.massKg === a.massKg && b.softenedMin === a.softenedMin;
}
