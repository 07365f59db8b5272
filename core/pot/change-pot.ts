import { finite, positive, within } from '../check';
import type { Lid } from '../evaporation';
import { type MixPart, mixTempC } from '../heat';
import {
  absorb,
  add,
  drawOff,
  EMPTY,
  type Masses,
  type Mixture,
  massKg,
  type Savour,
  skimFat,
  specificHeatKJ,
  takeOut,
  totalKg,
  whole,
} from '../matter';
import { initialCovariance, setAfresh, variance, withAddition } from './covariance';
import { INSTRUMENTS, LID_SD, SETTING_SD, SURFACE, WALL_SD, WANDER } from './data/estimator';
import type { PotState } from './pot';
import { lessSteeping } from './steep';

/** A weighed addition is off by this share, one standard deviation. source: common practice */
const WEIGHING_SD = 0.005;

/** An empty pot at kitchen temperature, heat off, lid off. */
export function openPot(input: {
  atMs: number;
  tempC: number;
  heatFactor: { mean: number; sd: number };
  /** what is known of its surface, where the kitchen knows */
  surface?: { mean: number; sd: number } | undefined;
  /** what the cook's eye takes too much for gone, a share, where rehearsals have shown it */
  eye?: { mean: number; sd: number } | undefined;
  /** what its thickening does over what the table says: mean and standard deviation of the logarithm */
  body?: { mean: number; sd: number } | undefined;
}): PotState {
  const surface = input.surface ?? SURFACE;
  return {
    atMs: finite('atMs', input.atMs),
    mixture: EMPTY,
    tempC: within('tempC', input.tempC, -40, 130),
    heatFactor: positive('heatFactor.mean', input.heatFactor.mean),
    wander: 0,
    setting: 0,
    surface: positive('surface.mean', surface.mean),
    passes: 0,
    wall: 1,
    bias: { dip: 0, scale: 0, brix: 0, eye: input.eye?.mean ?? 0 },
    probeBiasC: 0,
    covariance: initialCovariance(
      { mean: input.heatFactor.mean, sd: positive('heatFactor.sd', input.heatFactor.sd) },
      surface.sd,
      input.eye?.sd,
    ),
    heatFraction: 0,
    lid: 'off',
    softenedMin: 0,
    addedKg: 0,
    evaporatedKg: 0,
    takenOutKg: 0,
    drawnKg: 0,
    body: input.body && { factor: Math.exp(input.body.mean), sd: input.body.sd },
    thirstKg: 0,
    steeping: undefined,
    piecesGiveKg: undefined,
    coldSinceMs: null,
  };
}

/** Dry pieces leave this share of the water in the pot liquid, however thirsty. */
const LEAST_LEFT = 0.2;

/**
 * Puts something in: masses in kg at a temperature, among the liquid or the pieces. The pot's temperature follows;
 * below 0 °C it thaws first. `thirstKg` is water that dry pieces will drink, as far as there is liquid for it.
 */
export function addToPot(
  pot: PotState,
  what: {
    masses: Masses;
    share: 'liquid' | 'pieces';
    tempC: number;
    flourEquivalentG?: number;
    thirstKg?: number;
    savour?: Savour;
  },
): PotState {
  const kg = totalKg(what.masses);
  if (kg === 0) return pot;
  const parts: MixPart[] = [
    {
      massKg: kg,
      specificHeatKJ: specificHeatKJ(what.masses),
      tempC: what.tempC,
      ...(what.tempC < 0 ? { frozen: true, waterFraction: what.masses.water / kg } : {}),
    },
  ];
  const before = massKg(pot.mixture);
  if (before > 0) {
    parts.push({ massKg: before, specificHeatKJ: specificHeatKJ(whole(pot.mixture)), tempC: pot.tempC });
  }
  const share = before / (before + kg);
  const mixture = add(pot.mixture, what.masses, what.share, what.flourEquivalentG ?? 0, what.savour);
  const thirstKg = (pot.thirstKg ?? 0) + (what.thirstKg ?? 0);
  const drunkKg = Math.min(thirstKg, mixture.liquid.water * (1 - LEAST_LEFT));
  return {
    ...pot,
    mixture: drunkKg > 0 ? absorb(mixture, drunkKg) : mixture,
    thirstKg: thirstKg - drunkKg,
    tempC: Math.max(0, mixTempC({ parts })),
    covariance: withAddition(pot.covariance, share, (WEIGHING_SD * kg) ** 2),
    addedKg: pot.addedKg + kg,
  };
}

/** Takes pieces out as they are, kg of each component; more than there is: RangeError. */
export function takeOutOfPot(pot: PotState, pieces: Masses): PotState {
  return { ...pot, mixture: takeOut(pot.mixture, pieces), takenOutKg: pot.takenOutKg + totalKg(pieces) };
}

/** Ladles out kilograms of everything; more than there is empties the pot. */
export function drawFromPot(pot: PotState, kg: number): { pot: PotState; drawn: Mixture } {
  const there = massKg(pot.mixture);
  const share = there === 0 ? 0 : Math.min(1, within('kg', kg, 0, Number.MAX_VALUE) / there);
  const { left, drawn } = drawOff(pot.mixture, share);
  const lies = {
    ...(pot.steeping ? { steeping: lessSteeping(pot.steeping, share) } : {}),
    ...(pot.bonesKg ? { bonesKg: pot.bonesKg * (1 - share) } : {}),
  };
  return { pot: { ...pot, ...lies, mixture: left, drawnKg: pot.drawnKg + massKg(drawn) }, drawn };
}

/**
 * Turns the burner. What the new setting gives beside its share is known afresh: nothing at full, little about a low
 * flame; or what earlier batches have shown of it.
 *
 * @param fraction share of full power, 0..1
 * @param known what arrives at that setting, as a share of what the burner is rated at, where the kitchen knows
 */
export function setHeat(pot: PotState, fraction: number, known?: { mean: number; sd: number }): PotState {
  if (within('fraction', fraction, 0, 1) === pot.heatFraction && pot.keptC === undefined) return pot;
  const sd = known ? known.sd : SETTING_SD * (1 - fraction) * pot.heatFactor;
  const setting = known ? known.mean - pot.heatFactor : 0;
  return {
    ...pot,
    keptC: undefined,
    heatFraction: fraction,
    setting,
    covariance: setAfresh(pot.covariance, 'setting', sd * sd),
  };
}

/** A thermostat is marked so and holds another temperature by this, one standard deviation, K. source: from memory */
const THERMOSTAT_SD_C = 5;

/** Puts a pot under a thermostat: a bain-marie, a soup kettle, a hand that keeps the tap. What it really keeps is a guess. */
export function keepAt(pot: PotState, keptC: number): PotState {
  return {
    ...pot,
    keptC: within('keptC', keptC, 0, 130),
    covariance: setAfresh(pot.covariance, 'temp', variance(pot.covariance, 'temp') + THERMOSTAT_SD_C ** 2),
  };
}

/** Stirred and read, what is held hot is as warm as the thermometer says, within its own error: variance, K². */
const FOUND_C2 = INSTRUMENTS.probe.noiseC ** 2 + INSTRUMENTS.probe.sharedC ** 2;

/** Brought to a temperature all through, as a thermometer showed it; a thermostat goes on as it is set. */
export function broughtTo(pot: PotState, tempC: number): PotState {
  const covariance = setAfresh(pot.covariance, 'temp', FOUND_C2);
  return { ...pot, tempC: within('tempC', tempC, 0, 130), covariance };
}

/** This near to its thermostat's temperature a pot is being kept at it, and not on its way there, K. */
const KEPT_WITHIN_K = 0.5;

/** Held hot and found so warm: what the thermostat keeps is what is found in it, whatever it is set to. */
export function foundAt(pot: PotState, tempC: number): PotState {
  const isKept = pot.keptC !== undefined && Math.abs(pot.tempC - pot.keptC) < KEPT_WITHIN_K;
  return { ...broughtTo(pot, tempC), keptC: isKept ? tempC : pot.keptC };
}

/** However well it is known, a lid sits a little otherwise each time, a share. From memory. */
const LEAST_LID_SD = 0.05;

/**
 * Puts a lid on, takes it off, sets it ajar. What it lets through beside its usual share is known afresh: nothing to know
 * of no lid, little of a lid that is on; or what earlier batches have shown of this pot under it.
 *
 * @param known what leaves under that lid over what the law and its usual share say, where the kitchen knows
 */
export function coverPot(pot: PotState, lid: Lid, known?: { mean: number; sd: number }): PotState {
  if (lid === pot.lid) return pot;
  if (lid === 'off') return { ...pot, lid, passes: 0, covariance: setAfresh(pot.covariance, 'lid', 0) };
  // of what is known of both together, the lid's own is what the open surface does not account for
  const own = known
    ? Math.max(LEAST_LID_SD ** 2, known.sd ** 2 - variance(pot.covariance, 'surface'))
    : (LID_SD[lid] * pot.surface) ** 2;
  return {
    ...pot,
    lid,
    passes: known ? known.mean - pot.surface : 0,
    covariance: setAfresh(pot.covariance, 'lid', own),
  };
}

/**
 * Another burner under it, or another pot with the same one: full knowledge of a new burner starts from what is known
 * of it, and the heat is off until it is set.
 *
 * @param heatFactor what the kitchen knows of the new burner; null for the same one
 */
export function changeBurner(pot: PotState, heatFactor: { mean: number; sd: number } | null): PotState {
  const off = { ...setHeat(pot, 0), wander: 0 };
  if (!heatFactor) return off;
  const covariance = setAfresh(
    setAfresh(off.covariance, 'burner', heatFactor.sd ** 2),
    'wander',
    (WANDER.sd * heatFactor.mean) ** 2,
  );
  return { ...off, heatFactor: positive('heatFactor.mean', heatFactor.mean), covariance };
}

/** All of it into another pot: its surface and wall are its own. */
export function changeVessel(pot: PotState, surface?: { mean: number; sd: number }): PotState {
  const { mean, sd } = surface ?? SURFACE;
  const covariance = setAfresh(setAfresh(pot.covariance, 'surface', sd * sd), 'wall', WALL_SD ** 2);
  return { ...pot, surface: mean, wall: 1, covariance };
}

/** Takes fat off the top, kg; no more than floats. */
export function takeFatOff(pot: PotState, kg: number): PotState {
  const fatKg = Math.min(within('kg', kg, 0, Number.MAX_VALUE), pot.mixture.liquid.fat);
  return { ...pot, mixture: skimFat(pot.mixture, fatKg).left, takenOutKg: pot.takenOutKg + fatKg };
}
