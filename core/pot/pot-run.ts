import type { Lid } from '../evaporation';
import { latentHeatKJPerKg, STEEL_SPECIFIC_HEAT_KJ, softeningFactor } from '../heat';
import { massKg, specificHeatKJ, waterDensityKgPerL, whole } from '../matter';
import { type Covariance, carrySlopes, type Jacobian, predict, type Slopes } from './covariance';
import { KEPT_LOOSE_PER_HOUR_C2, LOOSE_PER_HOUR, SURFACE, WANDER } from './data/estimator';
import {
  exits,
  fullKW,
  type HeatStep,
  heatStep,
  heatToKeep,
  steamHeat,
  surfaceShare,
  type Ways,
  wallShare,
  waysOut,
} from './heat-balance';
import { arriving, type PotSetup, type PotState } from './pot';
import { potLitres } from './pot-litres';
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
  steepedMin: { diffuses: number; dissolves: number; softens: number };
  /** what the burner gives beside its average just now, a share */
  wander: number;
  /** carried along, or null in a run that is only asked where it gets to */
  covariance: Covariance | null;
  /** how what it comes to leans on what it began with; null where nobody asks */
  slopes: Slopes | null;
  /** where the heat leaves by, and the level that belongs to */
  out: Ways;
  outAtLitres: number;

  readonly setup: PotSetup;
  readonly lid: Lid;
  /** what leaves surface and wall over the law, as shares that stay as they are */
  readonly surface: number;
  readonly passes: number;
  readonly wall: number;
  readonly heatFactor: number;
  readonly setting: number;
  readonly hotter: number;
  readonly plateKW: number;
  /** what a thermostat keeps it at, °C; null under none */
  readonly keptC: number | null;
  readonly specificHeat: number;
  readonly mostSteamKg: number;
  readonly isSteeping: boolean;
}

/** How a day differs from the middle one: heat, surface and wall times so much, more in the pot, hotter by so much. */
export interface Day {
  hotter: number;
  opener: number;
  thinner: number;
  moreKg: number;
  warmerK: number;
}

export const AS_EXPECTED: Day = { hotter: 1, opener: 1, thinner: 1, moreKg: 0, warmerK: 0 };

/**
 * Starts a run from a state; `stepRun` takes it further. Heat and lid stay as the state has them, the wandering dies
 * away. The state must hold something.
 *
 * @param day a run on a day of its own, good or bad; such a run carries no doubt
 */
export function startRun(setup: PotSetup, state: PotState, day?: Day): PotRun {
  const contents = whole(state.mixture);
  const { hotter, opener, thinner, moreKg, warmerK } = day ?? AS_EXPECTED;
  const litres = Math.max(0, potLitres(state) + moreKg);
  const leaves = {
    lid: state.lid,
    // as one share: a day is so many times more open, whatever made it so
    surface: surfaceShare(state.surface, state.passes) * opener,
    passes: 0,
    wall: wallShare(state.wall) * thinner,
  };
  return {
    elapsedS: 0,
    massKg: Math.max(0, massKg(state.mixture) + moreKg),
    steamedKg: 0,
    litres,
    tempC: state.tempC + warmerK,
    softenedMin: state.softenedMin,
    steepedMin: { diffuses: 0, dissolves: 0, softens: 0 },
    wander: state.wander,
    covariance: day ? null : state.covariance.slice(),
    slopes: null,
    out: waysOut(exits(setup, litres), leaves),
    outAtLitres: litres,
    setup,
    ...leaves,
    heatFactor: state.heatFactor,
    setting: state.setting,
    hotter,
    plateKW: state.keptC === undefined ? fullKW(setup) * state.heatFraction : 0,
    keptC: state.keptC ?? null,
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
    run.out = waysOut(exits(setup, run.litres), run);
    run.outAtLitres = run.litres;
  }
  const capacityKJPerK = run.massKg * specificHeat + setup.emptyMassKg * STEEL_SPECIFIC_HEAT_KJ;
  const startC = run.tempC;
  const kept = keptBy(run, { startC, capacityKJPerK, seconds });
  const inputKW = kept?.inputKW ?? plateKW * run.hotter * arriving(heatFactor, run.wander, run.setting);
  const heat = heatStep(setup.air, run.out, { startC, inputKW, capacityKJPerK, seconds });
  const latentKJ = latentHeatKJPerKg({ tempC: heat.tempC });
  const leftKg = Math.max(0, run.mostSteamKg - run.steamedKg);
  const kg = Math.min((heat.steamKW * seconds) / latentKJ, leftKg);
  const keeps = Math.exp(-seconds / 60 / WANDER.forgetMin);
  if (run.covariance || run.slopes) {
    const leaning = { heat, seconds, latentKJ, plateKW, specificHeat, capacityKJPerK, startC };
    const j = kept?.isHeld ? heldJacobian(leaning, run) : jacobian(leaning, run, kg < leftKg);
    if (run.slopes) carrySlopes(run.slopes, j, keeps);
    if (run.covariance)
      predict(run.covariance, j, keeps, {
        mass: (LOOSE_PER_HOUR.massKg2 * seconds) / 3600,
        temp: ((kept ? KEPT_LOOSE_PER_HOUR_C2 : LOOSE_PER_HOUR.tempC2) * seconds) / 3600,
        wander: (WANDER.sd * heatFactor) ** 2 * (1 - keeps * keeps),
        surface: (SURFACE.perHour ** 2 * seconds) / 3600,
      });
  }
  run.wander *= keeps;
  run.elapsedS += seconds;
  run.massKg -= kg;
  run.steamedKg += kg;
  run.litres -= kg / waterDensityKgPerL({ tempC: heat.tempC });
  run.tempC = heat.tempC;
  const softens = run.tempC > SOFTENING_FROM_C ? seconds / 60 / softeningFactor({ liquidC: run.tempC }) : 0;
  run.softenedMin += softens;
  if (run.isSteeping) {
    run.steepedMin.softens += softens;
    run.steepedMin.diffuses += (seconds / 60) * steepingFactor('diffuses', run.tempC);
    run.steepedMin.dissolves += (seconds / 60) * steepingFactor('dissolves', run.tempC);
  }
}

/** What a thermostat gives, or its bath takes, in a step: what holds its temperature, as far as it can; null under none. */
function keptBy(
  { keptC, out, setup }: PotRun,
  step: { startC: number; capacityKJPerK: number; seconds: number },
): { inputKW: number; isHeld: boolean } | null {
  if (keptC === null) return null;
  const needKW = heatToKeep(setup.air, out, step, keptC);
  const takesKW = (setup.insulation?.bathKWPerK ?? 0) * Math.max(0, step.startC - keptC);
  const inputKW = Math.min(fullKW(setup), Math.max(-takesKW, needKW));
  return { inputKW, isHeld: inputKW === needKW };
}

/** Under a thermostat the temperature stays as far off as it was, and what steams off leans on that and on the surface. */
function heldJacobian(
  { heat, seconds, latentKJ }: { heat: HeatStep; seconds: number; latentKJ: number },
  run: PotRun,
): Jacobian {
  const law = steamHeat(run.setup.air, heat.tempC, run.out.openM2);
  const kgPerKW = -seconds / latentKJ;
  return {
    massByMass: 1,
    massByTemp: kgPerKW * law.kWPerK,
    massByHeat: 0,
    massBySurface: (kgPerKW * law.kW) / run.surface,
    massByWall: 0,
    tempByMass: 0,
    tempByTemp: 1,
    tempByHeat: 0,
    tempBySurface: 0,
    tempByWall: 0,
  };
}

/** Mass and temperature after a step by mass, temperature and the shares of heat, surface and wall before it. */
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
  run: PotRun,
  isSteaming: boolean,
): Jacobian {
  const { heat, seconds, plateKW, specificHeat } = of;
  const inertia = of.capacityKJPerK / seconds;
  const stiffness = run.out.wallKWPerK + inertia;
  const tempByHeat = heat.tempPerKW * plateKW;
  const tempByMass = heat.tempPerCapacity * specificHeat;
  const steamByHeat = plateKW - stiffness * tempByHeat;
  const steamByTemp = inertia - stiffness * heat.tempPerStartTemp;
  const steamByMass = (-specificHeat * (heat.tempC - of.startC)) / seconds - stiffness * tempByMass;
  // a share more of surface cools it by what the law lets through, and steams what the cooling leaves
  const tempBySurface = (-heat.tempPerKW * heat.lawKW) / run.surface;
  const steamBySurface = -stiffness * tempBySurface;
  const wallKW = (run.out.wallKWPerK / run.wall) * (heat.tempC - run.setup.air.airTempC);
  const tempByWall = -heat.tempPerKW * wallKW;
  const steamByWall = -wallKW - stiffness * tempByWall;
  const massPerKW = isSteaming && heat.steamKW > 0 ? -seconds / of.latentKJ : 0;
  return {
    massByMass: 1 + massPerKW * steamByMass,
    massByTemp: massPerKW * steamByTemp,
    massByHeat: massPerKW * steamByHeat,
    massBySurface: massPerKW * steamBySurface,
    massByWall: massPerKW * steamByWall,
    tempByMass,
    tempByTemp: heat.tempPerStartTemp,
    tempByHeat,
    tempBySurface,
    tempByWall,
  };
}
