import { finite } from '../check';
import { evaporate, exchangeSalt, massKg } from '../matter';

import { warmShare } from '../safety';
import { copyPot, type PotSetup, type PotState } from './pot';
import { startRun, stepRun } from './pot-run';
import { steep } from './steep';

/** Longest step of the balance, s. Short against an hour's change of level, long against what a phone can do. */
export const STEP_S = 60;

/** For so long after it was last touched a pot is followed by the minute; after that by longer steps, s. */
const WATCHED_S = 12 * 3600;
const LATER_STEP_S = 300;

/** This near to the kitchen's air, heat off, a pot is cold, K. */
const COLD_WITHIN_K = 0.5;

/** An open pot settles below the air by what steams off it: warming no faster than this it is as warm as it gets, K/h. */
const SETTLED_K_PER_HOUR = 0.1;

/** Minutes for salt to even out between liquid and centimetre pieces in hot soup. source: from memory, 15 to 30 */
const SALT_EXCHANGE_MIN = 20;

/**
 * Runs a pot forward with its heat and lid as they are: it warms, steams, boils, cools; what lies in it gives to
 * the water; salt evens out between liquid and pieces; doubt grows. Gone cold with the heat off, it stands still.
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
  const air = setup.air.airTempC;
  if (isCold(state, state.tempC, air)) {
    const warmS = (state.warmS ?? 0) + seconds * warmShare(state.tempC, state.tempC);
    return { ...state, atMs: toMs, warmS, coldSinceMs: state.coldSinceMs ?? state.atMs };
  }
  const run = startRun(setup, state);
  let isStill = false;
  let warmS = state.warmS ?? 0;
  while (run.elapsedS < seconds && !isStill) {
    const stepS = Math.min(run.elapsedS < WATCHED_S ? STEP_S : LATER_STEP_S, seconds - run.elapsedS);
    const wasC = run.tempC;
    stepRun(run, stepS);
    warmS += stepS * warmShare(wasC, run.tempC);
    const perHour = Math.abs(run.tempC - wasC) * (3600 / stepS);
    isStill =
      isCold(state, run.tempC, air) || (isUnheated(state) && run.tempC < air && perHour < SETTLED_K_PER_HOUR);
  }
  // gone still, it stays as warm as it is
  warmS += (seconds - run.elapsedS) * warmShare(run.tempC, run.tempC);
  const steamed = evaporate(state.mixture, run.steamedKg);
  const given = state.steeping?.length
    ? steep(steamed, state.steeping, run.steepedMin)
    : { mixture: steamed, steeping: undefined };
  const after = copyPot(state);
  after.atMs = toMs;
  after.tempC = run.tempC;
  after.warmS = warmS;
  after.wander = run.wander;
  after.covariance = run.covariance!;
  after.softenedMin = run.softenedMin;
  after.mixture = exchangeSalt(given.mixture, 1 - Math.exp(-seconds / 60 / SALT_EXCHANGE_MIN));
  after.evaporatedKg = state.evaporatedKg + run.steamedKg;
  const stillMs = state.atMs + run.elapsedS * 1000;
  const wasStill = run.elapsedS <= STEP_S ? state.coldSinceMs : null;
  after.coldSinceMs = isStill ? (wasStill ?? stillMs) : null;
  if (given.steeping) after.steeping = given.steeping;
  if (state.piecesGiveKg !== undefined) {
    const ofPiecesKg = Math.max(0, run.steamedKg - state.mixture.liquid.water);
    after.piecesGiveKg = Math.max(0, state.piecesGiveKg - ofPiecesKg);
  }
  return after;
}

/** Out of the oven: what the pieces were to give up there is gone, whatever the burner did. */
export function leaveOven(pot: PotState): PotState {
  const kg = Math.min(pot.piecesGiveKg ?? 0, pot.mixture.pieces.water);
  if (kg <= 0) return pot;
  const { pieces } = pot.mixture;
  const mixture = { ...pot.mixture, pieces: { ...pieces, water: pieces.water - kg } };
  return { ...pot, mixture, piecesGiveKg: 0, evaporatedKg: pot.evaporatedKg + kg };
}

/** With the heat off and as cold as the air nothing moves that a cook would ask of: such a pot is not run on. */
function isCold(pot: PotState, tempC: number, airTempC: number): boolean {
  return isUnheated(pot) && Math.abs(tempC - airTempC) < COLD_WITHIN_K;
}

const isUnheated = ({ heatFraction, keptC }: PotState): boolean => heatFraction === 0 && keptC === undefined;
