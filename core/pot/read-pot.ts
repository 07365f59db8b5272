import { within } from '../check';
import { type Mixture, massKg } from '../matter/mixture';
import { evaporate, whole } from '../matter/operations';
import { volumeLitres } from '../matter/volume-litres';
import { litresAtDepth } from '../vessel/litres-at-depth';
import { surfaceM2 } from '../vessel/surface-m2';
import { learn } from './covariance';
import type { Covariance, PotSetup, PotState } from './pot';

/** One look at the pot: a dip (cm), litres off the wall marks, the scale (kg, pot tared), a thermometer (°C). */
export interface PotReading {
  kind: 'depth' | 'litres' | 'weight' | 'temperature';
  value: number;
}

/** One standard deviation of each instrument. source: common practice, docs/model.md § 5 */
export const READING_SD = {
  depthStillCm: 0.2,
  depthRollingCm: 0.5,
  stickGain: 0.01,
  weightGain: 0.002,
  weightKg: 0.05,
  temperatureC: 1,
} as const;

/** A roll starts this close to the boil, °C. */
const ROLLING_WITHIN_C = 3;

/** A reading further off than this many standard deviations is asked about, not believed. */
export const SURPRISE_Z = 4;

/** How well the sum of all that was weighed in is known, as a share. source: common practice */
const WEIGHED_IN_SD = 0.01;

export interface ReadResult {
  pot: PotState;
  /** how far the reading lay from what was expected, in standard deviations of both */
  z: number;
  /** why it was not believed, or null */
  surprise: 'gained' | 'far off' | null;
}

/**
 * Takes a reading in. Mass, temperature and gain all move, each as far as the reading is worth against what was
 * known. One that lies absurdly far off, or more mass than has gone in, is set aside as a surprise unless `believed`,
 * when the pot is taken to be what was read.
 *
 * @param setup vessel, burner, air
 * @param pot the pot at the moment of the reading
 * @param reading depth 0..heightCm in cm; litres 0..brim; weight in kg, 0 or more; temperature in °C, -30..130
 * @param believed true when the cook has said that it is right
 * @returns the pot after it, and how surprising it was
 * @throws RangeError for a reading no pot can give
 * @source published: the Kalman filter's measurement step; instruments' noise common practice
 */
export function readPot(setup: PotSetup, pot: PotState, reading: PotReading, believed = false): ReadResult {
  if (reading.kind === 'temperature') {
    const value = within('value', reading.value, -30, 130);
    return settle(pot, 'temp', value, pot.tempC, READING_SD.temperatureC ** 2, believed);
  }
  const measured = measuredMass(setup, pot, reading);
  const result = settle(pot, 'mass', measured.kg, massKg(pot.mixture), measured.sdKg ** 2, believed);
  const everInKg = pot.addedKg - pot.takenOutKg - pot.drawnKg;
  const gained = measured.kg - everInKg > 3 * Math.hypot(measured.sdKg, WEIGHED_IN_SD * everInKg);
  if (gained && !believed) return { pot, z: result.z, surprise: 'gained' };
  return result;
}

/** Kilograms a level or a weight stands for, with one standard deviation. */
export function measuredMass(
  setup: PotSetup,
  pot: PotState,
  reading: PotReading,
): { kg: number; sdKg: number; litres: number } {
  const contents = whole(pot.mixture);
  const kgNow = massKg(pot.mixture);
  const densityKgPerL = kgNow > 0 ? kgNow / volumeLitres(contents, pot.tempC) : 1;
  if (reading.kind === 'weight') {
    const kg = within('value', reading.value, 0, 2000);
    return {
      kg,
      sdKg: Math.hypot(READING_SD.weightKg, READING_SD.weightGain * kg),
      litres: kg / densityKgPerL,
    };
  }
  const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
  const litres =
    reading.kind === 'depth'
      ? litresAtDepth(setup.vessel, within('value', reading.value, 0, setup.vessel.heightCm))
      : within('value', reading.value, 0, brim);
  const rolling = pot.tempC > setup.air.boilingC - ROLLING_WITHIN_C;
  const dipCm = rolling ? READING_SD.depthRollingCm : READING_SD.depthStillCm;
  const litresPerCm = surfaceM2(setup.vessel, setup.vessel.heightCm / 2) * 10;
  const sdLitres = Math.hypot(dipCm * litresPerCm, READING_SD.stickGain * litres);
  return { kg: litres * densityKgPerL, sdKg: sdLitres * densityKgPerL, litres };
}

function settle(
  pot: PotState,
  what: 'mass' | 'temp',
  measured: number,
  expected: number,
  variance: number,
  believed: boolean,
): ReadResult {
  const innovation = measured - expected;
  const z = Math.abs(innovation) / Math.sqrt(pot.covariance[what] + variance);
  if (z > SURPRISE_Z && !believed) return { pot, z, surprise: 'far off' };
  const doubt = z > SURPRISE_Z ? letGo(pot.covariance, what, innovation) : pot.covariance;
  const { pull, covariance } = learn(doubt, what, innovation, variance);
  return {
    z,
    surprise: null,
    pot: {
      ...withMassChange(pot, pull.mass),
      tempC: pot.tempC + pull.temp,
      gain: Math.min(3, Math.max(0.2, pot.gain + pull.gain)),
      covariance,
    },
  };
}

/** A surprise that was confirmed: what was thought of it is let go, and what is known of the rest kept apart from it. */
function letGo(p: Covariance, what: 'mass' | 'temp', innovation: number): Covariance {
  const apart = what === 'mass' ? { massTemp: 0, massGain: 0 } : { massTemp: 0, tempGain: 0 };
  return { ...p, ...apart, [what]: innovation * innovation * 100 };
}

/** Mass found or missed is water that did or did not leave as steam. */
function withMassChange(pot: PotState, kg: number): PotState {
  const water = pot.mixture.liquid.water + pot.mixture.pieces.water;
  const lost = Math.min(-kg, water * 0.98);
  const mixture: Mixture =
    lost >= 0
      ? evaporate(pot.mixture, lost)
      : { ...pot.mixture, liquid: { ...pot.mixture.liquid, water: pot.mixture.liquid.water - lost } };
  return { ...pot, mixture, evaporatedKg: pot.evaporatedKg + lost };
}
