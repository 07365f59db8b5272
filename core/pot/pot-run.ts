import { STEEL_SPECIFIC_HEAT_KJ } from '../heat/data/heat-constants';
import { latentHeatKJPerKg } from '../heat/latent-heat-kj-per-kg';
import { softeningFactor } from '../heat/minutes-to-cook-dice';
import { massKg } from '../matter/mixture';
import { whole } from '../matter/operations';
import { specificHeatKJ } from '../matter/specific-heat-kj';
import { volumeLitres } from '../matter/volume-litres';
import { waterDensityKgPerL } from '../matter/water-density-kg-per-l';
import { LOOSE_PER_HOUR, WANDER } from './data/estimator';
import { carry, type Doubt, type Jacobian } from './doubt';
import { exits, fullKW, type HeatStep, heatStep } from './heat-balance';
import { arriving, type PotSetup, type PotState } from './pot';
import { steepingFactor } from './steep';

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
  /** what the burner gives beside its average just now, a share */
  wander: number;
  /** carried along, or null in a run that is only asked where it gets to */
  doubt: Doubt | null;
}

/**
 * Starts a run from a state; each call of the function it gives takes the run one step further. Heat and lid stay as
 * the state has them, the wandering dies away. The state must hold something.
 *
 * @param hotter what arrives times this: a run on the burner's good or bad day; such a run carries no doubt
 */
export function startRun(
  setup: PotSetup,
  state: PotState,
  hotter?: number,
): { run: PotRun; step: (seconds: number) => void } {
  const contents = whole(state.mixture);
  const specificHeat = specificHeatKJ(contents);
  const potKJPerK = setup.emptyMassKg * STEEL_SPECIFIC_HEAT_KJ;
  const plateKW = fullKW(setup) * state.heatFraction;
  const { gain, setting } = state;
  const mostSteamKg = contents.water * MOST_OF_THE_WATER;
  const run: PotRun = {
    elapsedS: 0,
    massKg: massKg(state.mixture),
    steamedKg: 0,
    litres: volumeLitres(contents, state.tempC),
    tempC: state.tempC,
    softenedMin: state.softenedMin,
    steepedMin: { diffuses: 0, dissolves: 0 },
    wander: state.wander,
    doubt: hotter === undefined ? state.doubt.slice() : null,
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
    const keeps = Math.exp(-seconds / 60 / WANDER.forgetMin);
    const inputKW = plateKW * (hotter ?? 1) * arriving(gain, run.wander, setting);
    const heat = heatStep(setup.air, out, state.lid, {
      startC: run.tempC,
      inputKW,
      capacityKJPerK,
      seconds,
    });
    const latentKJ = latentHeatKJPerKg({ tempC: heat.tempC });
    const kg = Math.min((heat.steamKW * seconds) / latentKJ, Math.max(0, mostSteamKg - run.steamedKg));
    if (run.doubt) {
      const leaning = { heat, seconds, latentKJ, plateKW, specificHeat, capacityKJPerK, startC: run.tempC };
      carry(run.doubt, jacobian(leaning, out.wallKWPerK), keeps, {
        mass: (LOOSE_PER_HOUR.massKg2 * seconds) / 3600,
        temp: (LOOSE_PER_HOUR.tempC2 * seconds) / 3600,
        wander: (WANDER.sd * gain) ** 2 * (1 - keeps * keeps),
      });
    }
    run.wander *= keeps;
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

/** Mass and temperature after a step by mass, temperature and the share of heat before it. */
function jacobian(
  of: {
    heat: HeatStep;
    seconds: number;
    latentKJ: number;
    plateKW: number;
    specificHeat: number;
    capacityKJPerK: number;
    startC: number;
  },
  wallKWPerK: number,
): Jacobian {
  const { heat, seconds, plateKW, specificHeat } = of;
  const inertia = of.capacityKJPerK / seconds;
  const stiffness = wallKWPerK + inertia;
  const tempByHeat = heat.tempPerKW * plateKW;
  const tempByMass = heat.tempPerCapacity * specificHeat;
  const steamByHeat = plateKW - stiffness * tempByHeat;
  const steamByTemp = inertia - stiffness * heat.tempPerStartTemp;
  const steamByMass = (-specificHeat * (heat.tempC - of.startC)) / seconds - stiffness * tempByMass;
  const massPerKW = heat.steamKW > 0 ? -seconds / of.latentKJ : 0;
  return {
    massByMass: 1 + massPerKW * steamByMass,
    massByTemp: massPerKW * steamByTemp,
    massByHeat: massPerKW * steamByHeat,
    tempByMass,
    tempByTemp: heat.tempPerStartTemp,
    tempByHeat,
  };
}
