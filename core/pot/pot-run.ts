import { STEEL_SPECIFIC_HEAT_KJ } from '../heat/data/heat-constants';
import { latentHeatKJPerKg } from '../heat/latent-heat-kj-per-kg';
import { softeningFactor } from '../heat/minutes-to-cook-dice';
import { massKg } from '../matter/mixture';
import { whole } from '../matter/operations';
import { specificHeatKJ } from '../matter/specific-heat-kj';
import { volumeLitres } from '../matter/volume-litres';
import { waterDensityKgPerL } from '../matter/water-density-kg-per-l';
import { carry, type Jacobian } from './covariance';
import { exits, fullKW, type HeatStep, heatStep } from './heat-balance';
import type { Covariance, PotSetup, PotState } from './pot';
import { steepingFactor } from './steep';

/** Variances an hour adds. source: from memory: a gas flame wanders some 4 %, a bulk temperature some 1 °C */
const WANDER_PER_HOUR = { massKg2: 0.0004, tempC2: 1, gain2: 0.0016 };

/** Below this, vegetables hold. source: common practice: they soften from about 80 °C */
const SOFTENING_FROM_C = 75;

/** A pot never boils past this share of its water: what is left by then scorches, which is another matter. */
const MOST_OF_THE_WATER = 0.98;

/** Surface and wall are taken afresh when the level has moved by this share. */
const LEVEL_MOVED = 0.002;

/** A pot being run forward: only what moves. */
export interface PotRun {
  elapsedS: number;
  massKg: number;
  steamedKg: number;
  litres: number;
  tempC: number;
  softenedMin: number;
  /** minutes at 100 °C that what lies in the pot has had to give, by way */
  steepedMin: { diffuses: number; dissolves: number };
  covariance: Covariance;
}

/**
 * Starts a run from a state; each call of the function it gives takes the run one step further. Heat and lid stay as
 * the state has them. The state must hold something.
 */
export function startRun(setup: PotSetup, state: PotState): { run: PotRun; step: (seconds: number) => void } {
  const contents = whole(state.mixture);
  const specificHeat = specificHeatKJ(contents);
  const potKJPerK = setup.emptyMassKg * STEEL_SPECIFIC_HEAT_KJ;
  const burnerKW = fullKW(setup) * state.heatFraction;
  const mostSteamKg = contents.water * MOST_OF_THE_WATER;
  const run: PotRun = {
    elapsedS: 0,
    massKg: massKg(state.mixture),
    steamedKg: 0,
    litres: volumeLitres(contents, state.tempC),
    tempC: state.tempC,
    softenedMin: state.softenedMin,
    steepedMin: { diffuses: 0, dissolves: 0 },
    covariance: state.covariance,
  };

  const steeps = (state.steeping?.length ?? 0) > 0;
  let out = exits(setup, run.litres);
  let litresThen = run.litres;

  function step(seconds: number): void {
    if (Math.abs(run.litres - litresThen) > LEVEL_MOVED * litresThen) {
      out = exits(setup, run.litres);
      litresThen = run.litres;
    }
    const capacityKJPerK = run.massKg * specificHeat + potKJPerK;
    const heat = heatStep(setup.air, out, state.lid, {
      startC: run.tempC,
      inputKW: burnerKW * state.gain,
      capacityKJPerK,
      seconds,
    });
    const latentKJ = latentHeatKJPerKg({ tempC: heat.tempC });
    const kg = Math.min((heat.steamKW * seconds) / latentKJ, Math.max(0, mostSteamKg - run.steamedKg));
    const leaning = { heat, seconds, latentKJ, burnerKW, specificHeat, capacityKJPerK, startC: run.tempC };
    run.covariance = carry(run.covariance, jacobian(leaning, out.wallKWPerK), {
      mass: (WANDER_PER_HOUR.massKg2 * seconds) / 3600,
      temp: (WANDER_PER_HOUR.tempC2 * seconds) / 3600,
      gain: (WANDER_PER_HOUR.gain2 * seconds) / 3600,
    });
    run.elapsedS += seconds;
    run.massKg -= kg;
    run.steamedKg += kg;
    run.litres -= kg / waterDensityKgPerL({ tempC: heat.tempC });
    run.tempC = heat.tempC;
    if (run.tempC > SOFTENING_FROM_C)
      run.softenedMin += seconds / 60 / softeningFactor({ liquidC: run.tempC });
    if (steeps) {
      run.steepedMin.diffuses += (seconds / 60) * steepingFactor('diffuses', run.tempC);
      run.steepedMin.dissolves += (seconds / 60) * steepingFactor('dissolves', run.tempC);
    }
  }

  return { run, step };
}

/** Mass, temperature, gain after a step by each of the three before it: what carries doubt forward. */
function jacobian(
  of: {
    heat: HeatStep;
    seconds: number;
    latentKJ: number;
    burnerKW: number;
    specificHeat: number;
    capacityKJPerK: number;
    startC: number;
  },
  wallKWPerK: number,
): Jacobian {
  const { heat, seconds, burnerKW, specificHeat } = of;
  const inertia = of.capacityKJPerK / seconds;
  const stiffness = wallKWPerK + inertia;
  const tempByGain = heat.tempPerKW * burnerKW;
  const tempByMass = heat.tempPerCapacity * specificHeat;
  const steamByGain = burnerKW - stiffness * tempByGain;
  const steamByTemp = inertia - stiffness * heat.tempPerStartTemp;
  const steamByMass = (-specificHeat * (heat.tempC - of.startC)) / seconds - stiffness * tempByMass;
  const massPerKW = heat.steamKW > 0 ? -seconds / of.latentKJ : 0;
  return {
    massByMass: 1 + massPerKW * steamByMass,
    massByTemp: massPerKW * steamByTemp,
    massByGain: massPerKW * steamByGain,
    tempByMass,
    tempByTemp: heat.tempPerStartTemp,
    tempByGain,
  };
}
