import { atLeast, positive, within } from '../check';
import type { Lid } from '../evaporation';
import { STEEL_SPECIFIC_HEAT_KJ } from '../heat';
import { waterDensityKgPerL } from '../matter';
import { exits, heatStep, kitchenAir, waysOut } from '../pot';
import { litresAtDepth, type Vessel } from '../vessel';

/** Water heated by the clock in a pot of the kitchen: what the heat under it is worth. */
export interface HeatTest {
  litres: number;
  fromC: number;
  toC: number;
  minutes: number;
  /** share of full that it stood at, 0..1 */
  fraction: number;
  lid: Lid;
}

export interface HeatTestResult {
  /** into the water, kW: what it gained over the time it took */
  waterKW: number;
  /** into the pot itself, kW */
  potKW: number;
  /** lost on the way to the air, kW */
  lostKW: number;
  /** what arrived, as a share of what is expected of the burner at that setting */
  heatFactor: { mean: number; sd: number };
}

/** kJ/kg·K of water between cold and hot. source: published: 4.18 to 4.20, steam tables */
const WATER_KJ = 4.19;

/** What a test is read with, one standard deviation each: °C, seconds, a share of the litres. source: common practice */
const READ = { tempC: 0.5, seconds: 5, litresShare: 0.01 } as const;

/** Walls and steam below the boil follow a law that is itself in doubt: one standard deviation, as a share. From memory. */
const LOSSES_SD = 0.3;

/** A test shorter or colder than this says nothing. Common practice. */
export const LEAST_HEAT_TEST = { minutes: 1, warmerC: 10 } as const;

/**
 * What a five-minute test shows: so many litres of water from one temperature to another in so many minutes.
 *
 * @param test litres above 0 and under the brim, °C below the boil, at least 10 apart, minutes at least 1, fraction above 0
 * @param of the pot, the burner's rating, the kitchen's air
 * @returns where the heat went, kW, and the burner's heat factor with one standard deviation
 * @throws RangeError naming what cannot be
 * @source published: heat balance, C·dT/dt = P − U·A·(T − air) − steam, solved for P
 */
export function heatTestResult(
  test: HeatTest,
  of: {
    vessel: Vessel;
    emptyMassKg: number;
    burner: { powerW: number; efficiency: number };
    kitchen: { altitudeM: number; airTempC: number; relativeHumidity: number };
  },
): HeatTestResult {
  const { litres, fromC, toC, minutes, fraction, lid } = test;
  const air = kitchenAir(of.kitchen);
  within('litres', positive('litres', litres), 0, litresAtDepth(of.vessel, of.vessel.heightCm));
  within('fromC', fromC, 0, 100);
  within('toC', toC, fromC + LEAST_HEAT_TEST.warmerC, air.boilingC - 1);
  atLeast('minutes', minutes, LEAST_HEAT_TEST.minutes);
  within('fraction', positive('fraction', fraction), 0, 1);
  const seconds = minutes * 60;
  const waterKJ = litres * waterDensityKgPerL({ tempC: fromC }) * WATER_KJ;
  const potKJ = of.emptyMassKg * STEEL_SPECIFIC_HEAT_KJ;
  const setup = { vessel: of.vessel, emptyMassKg: of.emptyMassKg, burner: of.burner, air };
  const out = waysOut(exits(setup, litres), { lid, surface: 1, passes: 0, wall: 1 });
  const warmedTo = (inputKW: number) => {
    const steps = Math.ceil(seconds / 5);
    const step = { inputKW, capacityKJPerK: waterKJ + potKJ, seconds: seconds / steps };
    let tempC = fromC;
    for (let i = 0; i < steps; i++) tempC = heatStep(air, out, { ...step, startC: tempC }).tempC;
    return tempC;
  };
  const waterKW = (waterKJ * (toC - fromC)) / seconds;
  const potKW = (potKJ * (toC - fromC)) / seconds;
  const arrivedKW = solved(warmedTo, toC, waterKW + potKW);
  const lostKW = arrivedKW - waterKW - potKW;
  const expectedKW = (of.burner.powerW * of.burner.efficiency * fraction) / 1000;
  const mean = arrivedKW / expectedKW;
  const kept = (waterKW + potKW) / arrivedKW;
  const shares = [
    (Math.SQRT2 * READ.tempC * kept) / (toC - fromC),
    READ.seconds / seconds,
    READ.litresShare,
    LOSSES_SD * (1 - kept),
  ];
  return { waterKW, potKW, lostKW, heatFactor: { mean, sd: mean * Math.hypot(...shares) } };
}

/** The heat that warms it just so far: warmth rises with heat, so halving finds it. */
function solved(warmedTo: (kW: number) => number, toC: number, withoutLossesKW: number): number {
  let low = withoutLossesKW;
  let high = 2 * withoutLossesKW + 1;
  while (warmedTo(high) < toC) high *= 2;
  while (high - low > 1e-7 * high) {
    const middle = (low + high) / 2;
    if (warmedTo(middle) < toC) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
