import { within } from '../check';
import { condense, dissolvedKg, evaporate, massKg, solutionKg, totalKg } from '../matter';
import { litresAtDepth, surfaceM2 } from '../vessel';
import { type Blend, project, ROW, setAfresh, update, variance } from './covariance';
import { INSTRUMENTS, SURPRISE } from './data/estimator';
import { copyPot, type Instrument, type PotSetup, type PotState } from './pot';
import { foodLitres, potLitres } from './pot-litres';

/**
 * One look at the pot: a dip (cm), litres off the wall marks, the scale (kg, pot tared), °Brix of a strained, cooled,
 * defatted sample, a share gone by eye (percent of where the fall began), a thermometer (°C).
 */
export interface PotReading {
  kind: 'depth' | 'litres' | 'weight' | 'brix' | 'eye' | 'temperature';
  value: number;
  /** of a level: the pot was taken off the boil for it; without a word it goes by the temperature */
  still?: boolean | undefined;
  /** the cook has been asked and stands by it: it is believed however far off it lies */
  sure?: true | undefined;
  /** a probe or a scale said it, and not a cook */
  from?: 'device' | undefined;
  /** of a temperature: who took it, and with which thermometer */
  by?: string | undefined;
  thermometerId?: string | undefined;
}

/** A roll starts this close to the boil, °C. */
const ROLLING_WITHIN_C = 3;

/** How well the sum of all that was weighed in is known, as a share. source: common practice */
const WEIGHED_IN_SD = 0.01;

/** No estimate leaves its range, as shares of what the burner is rated at and of what the laws say. */
const HEAT_RANGE = { least: 0.05, most: 5 } as const;
const SURFACE_RANGE = { least: 0.2, most: 4 } as const;
const WALL_RANGE = { least: 0.2, most: 4 } as const;

const kept = (value: number, { least, most }: { least: number; most: number }): number =>
  Math.min(most, Math.max(least, value));

export interface ReadResult {
  pot: PotState;
  /** how far the reading lay from what was expected, in standard deviations of both */
  z: number;
  /** why it was not believed, or null */
  surprise: 'gained' | 'far' | null;
  /** litres it stands for; null of a temperature */
  litres: number | null;
}

/** What a look at the level, the scale or the refractometer stands for. */
export interface MeasuredMass {
  kg: number;
  /** the instrument's noise, one standard deviation, kg */
  noiseKg: number;
  /**
   * whose shared error it carries, and kilograms that a whole share of that error makes: of what is thought to be there,
   * not of what was read, or every low reading would weigh more than a high one
   */
  by: Instrument;
  leverKg: number;
  litres: number;
}

/**
 * Takes a reading in. Mass, temperature, heat and the instrument's own error all move, each as far as the reading is
 * worth against what was known; one that lies far out counts for less. One that lies absurdly far off, or more mass than
 * has gone in, is set aside as a surprise unless `believed`, when the pot is taken to be what was read.
 *
 * @param setup vessel, burner, air
 * @param pot the pot at the moment of the reading
 * @param reading depth 0..heightCm in cm; litres 0..brim; weight in kg, 0 or more; °Brix above 0 to 80; percent gone
 *   0..100; temperature in °C, -30..130
 * @param believed true when the cook has said that it is right
 * @param fromLitres where the fall began that a reading by eye is a share of; the present level when absent
 * @returns the pot after it, and how surprising it was
 * @throws RangeError for a reading no pot can give
 * @source published: the Kalman filter's measurement step, damped after Huber; instruments' noise common practice
 */
export function readPot(
  setup: PotSetup,
  pot: PotState,
  reading: PotReading,
  believed = false,
  fromLitres?: number,
): ReadResult {
  if (reading.kind === 'temperature') {
    const value = within('value', reading.value, -30, 130);
    return settle(pot, {
      blend: { temp: 1, probe: 1 },
      innovation: value - pot.tempC - pot.probeBiasC,
      noise: INSTRUMENTS.probe.noiseC ** 2,
      believed,
      litres: null,
    });
  }
  const measured = measuredMass(setup, pot, reading, fromLitres);
  const { by, leverKg } = measured;
  const result = settle(pot, {
    blend: { mass: 1, [by]: leverKg },
    innovation: measured.kg - massKg(pot.mixture) - pot.bias[by] * leverKg,
    noise: measured.noiseKg ** 2,
    believed,
    litres: measured.litres,
  });
  const everInKg = pot.addedKg - pot.takenOutKg - pot.drawnKg;
  const sdKg = Math.hypot(measured.noiseKg, leverKg * Math.sqrt(variance(pot.covariance, by)));
  const gained = measured.kg - everInKg > 3 * Math.hypot(sdKg, WEIGHED_IN_SD * everInKg);
  if (gained && !believed) return { ...result, pot, surprise: 'gained' };
  return result;
}

/**
 * Kilograms a level, a weight, a °Brix or an eye's judgement stands for.
 *
 * @param fromLitres as for `readPot`
 */
export function measuredMass(
  setup: PotSetup,
  pot: PotState,
  reading: PotReading,
  fromLitres = potLitres(pot),
): MeasuredMass {
  const kgNow = massKg(pot.mixture);
  const food = foodLitres(pot);
  const densityKgPerL = food > 0 ? kgNow / food : 1;
  // bones stand in the level and on the scale, and are no part of what boils
  const { bonesKg = 0 } = pot;
  const bonesL = potLitres(pot) - food;
  switch (reading.kind) {
    case 'weight': {
      const kg = Math.max(0, within('value', reading.value, 0, 2000) - bonesKg);
      return {
        kg,
        noiseKg: INSTRUMENTS.scale.noiseKg,
        by: 'scale',
        leverKg: kgNow,
        litres: kg / densityKgPerL + bonesL,
      };
    }
    case 'brix': {
      const brix = within('value', reading.value, 0.01, 80);
      const { liquid, pieces } = pot.mixture;
      const readKg = (100 * dissolvedKg(liquid)) / brix;
      const kg = readKg + liquid.fat + liquid.starch + totalKg(pieces);
      const noiseKg = (readKg * INSTRUMENTS.brix.noiseBrix) / brix;
      return { kg, noiseKg, by: 'brix', leverKg: solutionKg(liquid), litres: kg / densityKgPerL + bonesL };
    }
    case 'eye': {
      const gone = within('value', reading.value, 0, 100) / 100;
      const litres = fromLitres * (1 - gone);
      return {
        kg: Math.max(0, litres - bonesL) * densityKgPerL,
        noiseKg: INSTRUMENTS.eye.noiseShare * fromLitres * densityKgPerL,
        by: 'eye',
        leverKg: kgNow - Math.max(0, fromLitres - bonesL) * densityKgPerL,
        litres,
      };
    }
    case 'depth':
    case 'litres': {
      const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
      const litres =
        reading.kind === 'depth'
          ? litresAtDepth(setup.vessel, within('value', reading.value, 0, setup.vessel.heightCm))
          : within('value', reading.value, 0, brim);
      const isRolling = !reading.still && pot.tempC > setup.air.boilingC - ROLLING_WITHIN_C;
      const dipCm = isRolling ? INSTRUMENTS.dip.rollingCm : INSTRUMENTS.dip.stillCm;
      const litresPerCm = surfaceM2(setup.vessel, setup.vessel.heightCm / 2) * 10;
      const kg = Math.max(0, litres - bonesL) * densityKgPerL;
      return { kg, noiseKg: dipCm * litresPerCm * densityKgPerL, by: 'dip', leverKg: kgNow, litres };
    }
    default:
      throw new RangeError(`kind must be a kind of reading, got ${String(reading.kind)}`);
  }
}

function settle(
  pot: PotState,
  what: { blend: Blend; innovation: number; noise: number; believed: boolean; litres: number | null },
): ReadResult {
  const { blend, innovation, litres } = what;
  const on = project(pot.covariance, blend);
  const expected = on.variance + what.noise;
  const z = Math.abs(innovation) / Math.sqrt(expected);
  if (z <= SURPRISE.askedFromZ) {
    const damped = what.noise + expected * Math.max(0, z / SURPRISE.dampedFromZ - 1);
    return { z, surprise: null, litres, pot: moved(pot, update(pot.covariance, on, innovation, damped)) };
  }
  if (!what.believed) return { pot, z, surprise: 'far', litres };
  const afresh = setAfresh(pot.covariance, blend.mass ? 'mass' : 'temp', innovation * innovation * 100);
  const learnt = update(afresh, project(afresh, blend), innovation, what.noise);
  return { z, surprise: null, litres, pot: moved(pot, learnt) };
}

/** The pot with everything pulled where a measurement pulls it. */
function moved(pot: PotState, { pull, covariance }: ReturnType<typeof update>): PotState {
  const after = copyPot(pot);
  after.tempC = pot.tempC + pull[ROW.temp]!;
  after.heatFactor = kept(pot.heatFactor + pull[ROW.burner]!, HEAT_RANGE);
  after.wander = pot.wander + pull[ROW.wander]!;
  after.setting = pot.setting + pull[ROW.setting]!;
  after.surface = kept(pot.surface + pull[ROW.surface]!, SURFACE_RANGE);
  after.passes = pot.passes + pull[ROW.lid]!;
  after.wall = kept(pot.wall + pull[ROW.wall]!, WALL_RANGE);
  after.probeBiasC = pot.probeBiasC + pull[ROW.probe]!;
  after.bias = {
    dip: pot.bias.dip + pull[ROW.dip]!,
    scale: pot.bias.scale + pull[ROW.scale]!,
    brix: pot.bias.brix + pull[ROW.brix]!,
    eye: pot.bias.eye + pull[ROW.eye]!,
  };
  after.covariance = covariance;
  // mass found or missed is water that did or did not leave as steam
  const { liquid, pieces } = pot.mixture;
  const lost = Math.min(-pull[ROW.mass]!, (liquid.water + pieces.water) * 0.98);
  after.mixture = lost >= 0 ? evaporate(pot.mixture, lost) : condense(pot.mixture, -lost);
  after.evaporatedKg = pot.evaporatedKg + lost;
  return after;
}
