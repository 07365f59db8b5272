import { evaporate, massKg } from '../matter';
import type { PotSetup, PotState } from './pot';
import { AS_EXPECTED, startRun, stepRun } from './pot-run';

/** What is held changes slowly: steps of the balance, s. */
const STEP_S = 300;

/**
 * The likeliest pot some time on, its heat and lid left as they are; without what is known of its doubts, which a picture of
 * the hours ahead does not need, and so by long steps. What lies in it gives nothing more.
 *
 * @param toMs the moment wanted, ms; earlier than the pot changes nothing
 * @returns the pot then; its covariance is still that of now
 */
export function driftPot(setup: PotSetup, pot: PotState, toMs: number): PotState {
  const seconds = (toMs - pot.atMs) / 1000;
  if (!(seconds > 0)) return pot;
  if (massKg(pot.mixture) <= 0) return { ...pot, atMs: toMs };
  const run = startRun(setup, pot, AS_EXPECTED);
  while (run.elapsedS < seconds) stepRun(run, Math.min(STEP_S, seconds - run.elapsedS));
  return {
    ...pot,
    atMs: toMs,
    tempC: run.tempC,
    mixture: evaporate(pot.mixture, run.steamedKg),
    evaporatedKg: pot.evaporatedKg + run.steamedKg,
  };
}
