import { within } from '../check';
import {
  BAND_VISCOSITY_MM2_PER_S,
  BANDS_PER_K,
  FLOW_BANDS,
  HOT_C,
  LADLE_LOOKS,
  SPOON_LOOKS,
  TEST_DOUBT_BANDS,
} from './data/kitchen-tests';
import { flourEquivalentOfBand } from './thickness-band';

/**
 * A test of thickness as a cook makes it: a look at a spoon or a ladle (its place in the list, thin first), the radius of
 * 50 mL spread on a flat plate after 30 s (cm), what is left in a 10 mL syringe after 10 s (mL). `tempC` as tested.
 */
export interface ThicknessTest {
  test: keyof typeof TEST_DOUBT_BANDS;
  value: number;
  tempC: number;
}

/** What a test may read. */
export const TEST_RANGES: Readonly<Record<ThicknessTest['test'], { least: number; most: number }>> = {
  spoon: { least: 0, most: SPOON_LOOKS.length - 1 },
  ladle: { least: 0, most: LADLE_LOOKS.length - 1 },
  lineSpread: { least: 4, most: 25 },
  flow: { least: 0, most: 10 },
};

const SPREAD_ML = 50;
const SPREAD_S = 30;
/** m/s². source: definition of standard gravity, rounded */
const GRAVITY = 9.81;

/**
 * Radius of a puddle that spreads on a flat plate under its own weight.
 *
 * @param of kinematic viscosity in mm²/s, above 0; volume in mL; seconds since it was let go
 * @returns cm
 * @example spreadCm({ mm2PerS: 500, mL: 50, seconds: 30 }) // => 10.0
 * @source published: Huppert, Journal of Fluid Mechanics 121, 1982: R = 0.894 (g V³ t / 3ν)^(1/8)
 */
export function spreadCm(of: { mm2PerS: number; mL: number; seconds: number }): number {
  const volume = (of.mL * 1e-6) ** 3;
  return 100 * 0.894 * ((GRAVITY * volume * of.seconds) / (3 * of.mm2PerS * 1e-6)) ** (1 / 8);
}

/** The viscosity, mm²/s, that lets so much spread so far: the inverse of `spreadCm`. */
export function viscosityOfSpread(of: { cm: number; mL: number; seconds: number }): number {
  return (1e6 * GRAVITY * (of.mL * 1e-6) ** 3 * of.seconds) / (3 * (of.cm / 100 / 0.894) ** 8);
}

/** The band a test shows at the temperature it was made at, 0..6. */
function bandAsTested({ test, value }: ThicknessTest): number {
  switch (test) {
    case 'spoon':
      return SPOON_LOOKS[value]!.band;
    case 'ladle':
      return LADLE_LOOKS[value]!.band;
    case 'lineSpread': {
      const viscosity = viscosityOfSpread({ cm: value, mL: SPREAD_ML, seconds: SPREAD_S });
      const log = BAND_VISCOSITY_MM2_PER_S.map((mm2PerS, band): [number, number] => [
        Math.log(mm2PerS),
        band,
      ]);
      return between(log, Math.log(viscosity));
    }
    case 'flow':
      return between(FLOW_BANDS, value);
  }
}

/** Along straight lines between knots, kept to the first and the last. */
function between(knots: readonly (readonly [x: number, y: number])[], x: number): number {
  if (x <= knots[0]![0]) return knots[0]![1];
  for (let i = 1; i < knots.length; i++) {
    const [[x0, y0], [x1, y1]] = [knots[i - 1]!, knots[i]!];
    if (x <= x1) return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return knots.at(-1)![1];
}

/**
 * A band as it would be at another temperature: thicker the colder it is.
 *
 * @param band 0..6 at `fromC`
 * @returns 0..6 at `toC`
 */
export function bandAt(band: number, fromC: number, toC: number): number {
  // what is thin as water is so at any warmth: the first band fades in
  const share = Math.min(1, Math.max(0, band));
  return Math.min(6, Math.max(0, band + share * (fromC - toC) * BANDS_PER_K));
}

/** Under this nothing is told apart, g of flour or the like to a litre. */
const LEAST_G_PER_L = 4;

/**
 * What a test says of a pot: its band hot, and the flour equivalent that makes it.
 *
 * @param test value in its own range, temperature 0 to 105 °C
 * @returns band 0..6 at 90 °C; g/L; `logSd`, one standard deviation of the logarithm of g/L
 * @throws RangeError for a value no such test can show
 * @source data/kitchen-tests.ts
 */
export function measuredBody(test: ThicknessTest): { band: number; gPerL: number; logSd: number } {
  const { least, most } = TEST_RANGES[test.test];
  within('value', test.value, least, most);
  const tempC = within('tempC', test.tempC, 0, 105);
  const band = bandAt(bandAsTested(test), tempC, HOT_C);
  const doubt = TEST_DOUBT_BANDS[test.test];
  const grams = (at: number) =>
    Math.max(LEAST_G_PER_L, flourEquivalentOfBand({ band: Math.min(6, Math.max(0, at)) }));
  return {
    band,
    gPerL: grams(band),
    logSd: Math.max(LEAST_LOG_SD, Math.log(grams(band + doubt) / grams(band - doubt)) / 2),
  };
}

/** At the ends of the scale a test says “at least so much”: never surer than this. */
const LEAST_LOG_SD = 0.1;
