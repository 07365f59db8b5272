import type { Lid } from '../evaporation';
import { latentHeatKJPerKg, STEEL_SPECIFIC_HEAT_KJ, softeningFactor } from '../heat';
import { massKg, specificHeatKJ, volumeLitres, waterDensityKgPerL, whole } from '../matter';
import { type Covariance, type Jacobian, predict } from './covariance';
import { LOOSE_PER_HOUR, WANDER } from './data/estimator';
import { type Exits, exits, fullKW, type HeatStep, heatStep } from './heat-balance';
import { arriving, type PotSetup, type PotState } from './pot';
import { steepingFactor } from './steep';

/** Below this, vegetables hold. source: common practice: they soften from about 80 °C */
const SOFTENING_FROM_C = 75;

/** A pot never boils past this share of its water: what is left by then scorches, which is another matter. */
const MOST_OF_THE_WATER = 0.98;

/** Surface and wall are taken afresh when the level has moved by this share. */
const LEVEL_MOVED = 0.002;

/** A pot being run forward: what moves, and what stays as it was when the run started. */
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
  covariance: Covariance | null;
  /** where the heat leaves by, and the level that belongs to */
  out: Exits;
  outAtLitres: number;

  readonly setup: PotSetup;
  readonly lid: Lid;
  readonly heatFactor: number;
  readonly setting: number;
  readonly hotter: number;
  readonly plateKW: number;
  readonly specificHeat: number;
  readonly mostSteamKg: number;
  readonly isSteeping: boolean;
}

/**
 * Starts a run from a state; `stepRun` takes it further. Heat and lid stay as the state has them, the wandering dies
 * away. The state must hold something.
 *
 * @param hotter what arrives times this: a run on the burner's good or bad day; such a run carries no doubt
 */
export function startRun(setup: PotSetup, state: PotState, hotter?: number): PotRun {
  const contents = whole(state.mixture);
  const litres = volumeLitres(contents, state.tempC);
  return {
    elapsedS: 0,
    massKg: massKg(state.mixture),
    steamedKg: 0,
    litres,
    tempC: state.tempC,
    softenedMin: state.softenedMin,
    steepedMin: { diffuses: 0, dissolves: 0 },
    wander: state.wander,
    covariance: hotter === undefined ? state.covariance.slice() : null,
    out: exits(setup, litres),
    outAtLitres: litres,
    setup,
    lid: state.lid,
    heatFactor: state.heatFactor,
    setting: state.setting,
    hotter: hotter ?? 1,
    plateKW: fullKW(setup) * state.heatFraction,
    specificHeat: specificHeatKJ(contents),
    mostSteamKg: mostSteamKg(state),
    isSteeping: state.steeping !== undefined && state.steeping.length > 0,
  };
}

/** What may leave as steam, kg: nearly all the water there is, or of the pieces only what their frying drives off. */
function mostSteamKg({ mixture, piecesGiveKg }: PotState): number {
  const { liquid, pieces } = mixture;
  const all = (liquid.water + pieces.water) * MOST_OF_THE_WATER;
  return piecesGiveKg === undefined ? all : Math.min(all, liquid.water + piecesGiveKg);
}

/** Takes a run further by some seconds, in one step of its balance. */
export function stepRun(run: PotRun, seconds: number): void {
  const { setup, plateKW, specificHeat, heatFactor } = run;
  if (Math.abs(run.litres - run.outAtLitres) > LEVEL_MOVED * run.outAtLitres) {
    run.out = exits(setup, run.litres);
    run.outAtLitres = run.litres;
  }
  const capacityKJPerK = run.massKg * specificHeat + setup.emptyMassKg * STEEL_SPECIFIC_HEAT_KJ;
  const inputKW = plateKW * run.hotter * arriving(heatFactor, run.wander, run.setting);
  const startC = run.tempC;
  const heat = heatStep(setup.air, run.out, run.lid, { startC, inputKW, capacityKJPerK, seconds });
  const latentKJ = latentHeatKJPerKg({ tempC: heat.tempC });
  const leftKg = Math.max(0, run.mostSteamKg - run.steamedKg);
  const kg = Math.min((heat.steamKW * seconds) / latentKJ, leftKg);
  const keeps = Math.exp(-seconds / 60 / WANDER.forgetMin);
  if (run.covariance) {
    const leaning = { heat, seconds, latentKJ, plateKW, specificHeat, capacityKJPerK, startC };
    predict(run.covariance, jacobian(leaning, run.out.wallKWPerK, kg < leftKg), keeps, {
      mass: (LOOSE_PER_HOUR.massKg2 * seconds) / 3600,
      temp: (LOOSE_PER_HOUR.tempC2 * seconds) / 3600,
      wander: (WANDER.sd * heatFactor) ** 2 * (1 - keeps * keeps),
    });
  }
  run.wander *= keeps;
  run.elapsedS += seconds;
  run.massKg -= kg;
  run.steamedKg += kg;
  run.litres -= kg / waterDensityKgPerL({ tempC: heat.tempC });
  run.tempC = heat.tempC;
  if (run.tempC > SOFTENING_FROM_C) run.softenedMin += seconds / 60 / softeningFactor({ liquidC: run.tempC });
  if (run.isSteeping) {
    run.steepedMin.diffuses += (seconds / 60) * steepingFactor('diffuses', run.tempC);
    run.steepedMin.dissolves += (seconds / 60) * steepingFactor('dissolves', run.tempC);
  }
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
  isSteaming: boolean,
): Jacobian {
  const { heat, seconds, plateKW, specificHeat } = of;
  const inertia = of.capacityKJPerK / seconds;
  const stiffness = wallKWPerK + inertia;
  const tempByHeat = heat.tempPerKW * plateKW;
  const tempByMass = heat.tempPerCapacity * specificHeat;
  const steamByHeat = plateKW - stiffness * tempByHeat;
  const steamByTemp = inertia - stiffness * heat.tempPerStartTemp;
  const steamByMass = (-specificHeat * (heat.tempC - of.startC)) / seconds - stiffness * tempByMass;
  const massPerKW = isSteaming && heat.steamKW > 0 ? -seconds / of.latentKJ : 0;
  return {
    massByMass: 1 + massPerKW * steamByMass,
    massByTemp: massPerKW * steamByTemp,
    massByHeat: massPerKW * steamByHeat,
    tempByMass,
    tempByTemp: heat.tempPerStartTemp,
    tempByHeat,
  };
}
