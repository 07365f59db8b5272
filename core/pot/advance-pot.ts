import { finite } from '../check';
import { evaporate, exchangeSalt, massKg } from '../matter';

import { copyPot, type PotSetup, type PotState } from './pot';
import { startRun, stepRun } from './pot-run';
import { steep } from './steep';

/** Longest step of the balance, s. Short against an hour's change of level, long against what a phone can do. */
export const STEP_S = 60;

/** Minutes for salt to even out between liquid and centimetre pieces in hot soup. source: from memory, 15 to 30 */
const SALT_EXCHANGE_MIN = 20;

/**
 * Runs a pot forward with its heat and lid as they are: it warms, steams, boils, cools; what lies in it gives to
 * the water; salt evens out between liquid and pieces; doubt grows.
 *
 * @param setup vessel, burner, air
 * @param state the pot at `state.atMs`
 * @param toMs the moment wanted, ms; earlier than the state changes nothing
 * @returns the pot at that moment
 * @throws RangeError unless toMs is finite
 * @source docs/model.md § 4 and § 5
 */
export function advancePot(setup: PotSetup, state: PotState, toMs: number): PotState {
  const seconds = (finite('toMs', toMs) - state.atMs) / 1000;
  if (seconds <= 0) return state;
  if (massKg(state.mixture) <= 0) return { ...state, atMs: toMs };
  const run = startRun(setup, state);
  const whole = Math.floor(seconds / STEP_S);
  for (let i = 0; i < whole; i++) stepRun(run, STEP_S);
  const rest = seconds - whole * STEP_S;
  if (rest > 0) stepRun(run, rest);
  const steamed = evaporate(state.mixture, run.steamedKg);
  const given = state.steeping?.length
    ? steep(steamed, state.steeping, run.steepedMin)
    : { mixture: steamed, steeping: undefined };
  const after = copyPot(state);
  after.atMs = toMs;
  after.tempC = run.tempC;
  after.wander = run.wander;
  after.covariance = run.covariance!;
  after.softenedMin = run.softenedMin;
  after.mixture = exchangeSalt(given.mixture, 1 - Math.exp(-seconds / 60 / SALT_EXCHANGE_MIN));
  after.evaporatedKg = state.evaporatedKg + run.steamedKg;
  if (given.steeping) after.steeping = given.steeping;
  return after;
}
