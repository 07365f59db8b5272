import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, massesOf, massKg, NO_MASSES } from '../matter';
import { saltToAddG } from '../salt';
import { STOCKPOT } from '../testing/stockpot';
import { flourEquivalentOfBand } from '../thickness';
import { depthAtLitres } from '../vessel';
import {
  addToPot,
  advancePot,
  arrivingAt,
  changeVessel,
  coverPot,
  drawFromPot,
  type FallTarget,
  fallTo,
  forecastPot,
  fractionToHold,
  kitchenAir,
  measuredMass,
  openPot,
  type PotSetup,
  type PotState,
  potLitres,
  potWays,
  readPot,
  setHeat,
} from './';
import { changeBurner, takeFatOff } from './change-pot';
import { coldLoad } from './cold-load';
import { variance } from './covariance';
import { WANDER } from './data/estimator';
import { leaveFoodOut, putFoodIn } from './put-food-in';

const minute = 60_000;
const setup = STOCKPOT;
function pot(change: Partial<PotState> = {}, kg = 20): PotState {
  const empty = openPot({ atMs: 0, tempC: 99, heatFactor: { mean: 1, sd: 0.2 } });
  const masses = { ...NO_MASSES, water: kg * 0.93, sugars: kg * 0.06, salt: kg * 0.005, fat: kg * 0.005 };
  return { ...setHeat(addToPot(empty, { masses, share: 'liquid', tempC: 99.9 }), 1), ...change };
}
const width = (of: PotState, target: Parameters<typeof forecastPot>[2]) => {
  const when = forecastPot(setup, of, target);
  return (when.p90Ms! - when.p10Ms!) / minute;
};

describe('instruments', () => {
  it('each reading of what is there changes next to nothing but the doubt', () => {
    const here = pot();
    const cm = depthAtLitres(setup.vessel, potLitres(here));
    for (const reading of [
      { kind: 'depth', value: cm },
      { kind: 'litres', value: potLitres(here) },
      { kind: 'weight', value: 20 },
      { kind: 'brix', value: (100 * 1.3) / 19.9 },
      { kind: 'eye', value: 0 },
    ] as const) {
      const { pot: after, surprise } = readPot(setup, here, reading, false, potLitres(here));
      expect(surprise).toBeNull();
      expect(massKg(after.mixture)).toBeCloseTo(20, 2);
      expect(variance(after.covariance, 'mass')).toBeLessThan(variance(here.covariance, 'mass'));
    }
  });
  it('is worth what it is: scale over still dip over rolling dip over °Brix over the eye', () => {
    const here = pot({ covariance: advancePot(setup, pot(), 60 * minute).covariance });
    const left = (kind: 'weight' | 'depth' | 'brix' | 'eye', still = false) => {
      const { by, leverKg, noiseKg } = measuredMass(
        setup,
        here,
        { kind, value: kind === 'brix' ? 6.5 : 18, still },
        26,
      );
      return Math.hypot(noiseKg, leverKg * Math.sqrt(variance(here.covariance, by)));
    };
    expect(left('weight')).toBeLessThan(left('depth', true));
    expect(left('depth', true)).toBeLessThan(left('depth'));
    expect(left('depth')).toBeLessThan(left('brix'));
    expect(left('brix')).toBeLessThan(left('eye'));
  });
  it('a stick that reads high is found out by the scale, and corrected for after', () => {
    let here = pot();
    for (const m of [10, 20, 30]) {
      here = advancePot(setup, here, m * minute);
      const truth = massKg(here.mixture);
      here = readPot(setup, here, { kind: 'weight', value: truth }).pot;
      const high = depthAtLitres(setup.vessel, potLitres(here)) * 1.03;
      here = readPot(setup, here, { kind: 'depth', value: high, still: true }).pot;
    }
    expect(here.bias.dip).toBeGreaterThan(0.012);
    expect(here.bias.dip).toBeLessThan(0.031);
  });
  it('a mark on the wall read by the same stick is surer than litres that are really so', () => {
    const long = advancePot(setup, pot(), 30 * minute);
    const read = readPot(setup, long, {
      kind: 'depth',
      value: depthAtLitres(setup.vessel, potLitres(long)),
      still: true,
    }).pot;
    const kg = massKg(read.mixture) - 0.6;
    expect(width(read, { kind: 'mass', kg, readBy: 'dip' })).toBeLessThan(width(read, { kind: 'mass', kg }));
  });
  it('a reading that lies out counts for less than one that lies near', () => {
    const here = advancePot(setup, pot(), 30 * minute);
    const sd = Math.sqrt(variance(here.covariance, 'mass'));
    const pulled = (z: number) => {
      const after = readPot(setup, here, { kind: 'weight', value: massKg(here.mixture) - z * sd });
      return (massKg(here.mixture) - massKg(after.pot.mixture)) / (z * sd);
    };
    expect(pulled(3.5)).toBeLessThan(0.8 * pulled(1));
    expect(pulled(1)).toBeGreaterThan(0.95);
  });
});

describe('heat', () => {
  it('never falls below something, whatever the readings say', () => {
    let here = pot();
    for (const m of [15, 30, 45, 60]) {
      here = advancePot(setup, here, m * minute);
      here = readPot(setup, here, { kind: 'weight', value: 20 }).pot;
    }
    expect(arrivingAt(here)).toBeGreaterThan(0);
    expect(here.heatFactor).toBeGreaterThan(0);
  });
  it('a lower setting is less sure than full, one the kitchen knows surer again', () => {
    const at = (fraction: number, known?: { mean: number; sd: number }) =>
      setHeat(pot({ heatFraction: 0 }), fraction, known);
    expect(variance(at(1).covariance, 'setting')).toBe(0);
    expect(Math.sqrt(variance(at(0.5).covariance, 'setting'))).toBeCloseTo(0.15, 9);
    const known = at(0.5, { mean: 0.8, sd: 0.06 });
    expect(arrivingAt(known)).toBeCloseTo(0.8, 9);
    expect(Math.sqrt(variance(known.covariance, 'setting'))).toBeCloseTo(0.06, 9);
    expect(() => at(1.2)).toThrow(/fraction.*1\.2/);
  });
  it('its wandering is forgotten within hours, and the doubt about it comes back', () => {
    const off = pot({ wander: 0.3 });
    const later = advancePot(setup, off, 120 * minute);
    expect(later.wander).toBeCloseTo(0.3 * Math.exp(-3), 3);
    expect(Math.sqrt(variance(later.covariance, 'wander'))).toBeCloseTo(WANDER.sd, 3);
  });
  it('another burner starts from what is known of it, the same one from what it has shown', () => {
    const shown = pot({ heatFactor: 0.7 });
    const other = changeBurner(shown, { mean: 1.1, sd: 0.2 });
    expect([other.heatFactor, other.heatFraction]).toEqual([1.1, 0]);
    expect(Math.sqrt(variance(other.covariance, 'burner'))).toBeCloseTo(0.2, 12);
    expect(changeBurner(shown, null).heatFactor).toBe(0.7);
  });
});

describe('a pot held under the boil, with a scale and a probe that are right', () => {
  const START_MIN = 80;
  /** The pot as it is: what leaves its surface is so much of the law. */
  const truth = (surface: number) => {
    const open = openPot({
      atMs: 0,
      tempC: 92,
      heatFactor: { mean: 1, sd: 1e-9 },
      surface: { mean: surface, sd: 1e-9 },
    });
    const filled = addToPot(open, { masses: { ...NO_MASSES, water: 20 }, share: 'liquid', tempC: 92 });
    return setHeat(filled, fractionToHold(setup, potWays(setup, filled), 92, 1), { mean: 1, sd: 1e-9 });
  };
  it.each([
    0.75, 1.25,
  ])('loses %d of the law: after 80 min the truth lies inside and the middle is near', (surface) => {
    let real = truth(surface);
    const target = { kind: 'mass', kg: 20 * 0.75 } as const;
    const open = openPot({ atMs: 0, tempC: 92, heatFactor: { mean: 1, sd: 0.22 } });
    let ours = addToPot(open, { masses: { ...NO_MASSES, water: 20 }, share: 'liquid', tempC: 92 });
    // the setting is what the cook turned it to: nobody knows what arrives there
    ours = setHeat(ours, real.heatFraction);
    for (let m = 5; m <= START_MIN; m += 5) {
      real = advancePot(setup, real, m * minute);
      ours = advancePot(setup, ours, m * minute);
      ours = readPot(setup, ours, { kind: 'temperature', value: real.tempC }).pot;
      if (m % 20 === 0) ours = readPot(setup, ours, { kind: 'weight', value: massKg(real.mixture) }).pot;
    }
    const endMs = forecastPot(setup, real, target).p50Ms!;
    const { p10Ms, p50Ms, p90Ms } = forecastPot(setup, ours, target);
    expect(endMs).toBeGreaterThan(p10Ms!);
    expect(endMs).toBeLessThan(p90Ms!);
    expect(Math.abs((p50Ms! - real.atMs) / (endMs - real.atMs) - 1)).toBeLessThan(0.08);
    expect(Math.abs(ours.surface - surface)).toBeLessThan(Math.abs(1 - surface));
  });
  it('a lid is as unsure as its kind, and taken off again it is surely off', () => {
    const on = coverPot(pot(), 'on');
    expect(Math.sqrt(variance(on.covariance, 'lid'))).toBeCloseTo(0.8, 9);
    expect(variance(coverPot(on, 'off').covariance, 'lid')).toBe(0);
    expect(
      width(coverPot(pot({ tempC: 92, heatFraction: 0.2 }), 'ajar'), { kind: 'mass', kg: 19 }),
    ).toBeGreaterThan(width(pot({ tempC: 92, heatFraction: 0.2 }), { kind: 'mass', kg: 19 }));
  });
  it('another pot has a surface of its own', () => {
    const learned = pot({ surface: 1.4 });
    expect(changeVessel(learned).surface).toBe(1);
    expect(changeVessel(learned, { mean: 0.8, sd: 0.1 }).surface).toBe(0.8);
  });
});

describe('forecasts', () => {
  it('at the mark by the middle there is still a late day and an early one', () => {
    const here = advancePot(setup, pot(), 40 * minute);
    const when = forecastPot(setup, here, { kind: 'mass', kg: massKg(here.mixture) + 0.01 });
    expect(when.p10Ms).toBe(here.atMs);
    expect(when.p50Ms).toBe(here.atMs);
    expect(when.p90Ms!).toBeGreaterThan(here.atMs + minute);
  });
  it('on a long way the wandering evens out: the interval grows slower than the way', () => {
    const sure = { covariance: startSure() };
    const near = width(pot(sure), { kind: 'mass', kg: 19 });
    const far = width(pot(sure), { kind: 'mass', kg: 12 });
    expect(far / near).toBeLessThan(6);
    expect(far).toBeGreaterThan(near);
  });
  it('quantiles stand as a log-normal burner would have them: early and late by the same factor', () => {
    const boiling = advancePot(setup, pot(), minute);
    const { p10Ms, p50Ms, p90Ms } = forecastPot(setup, boiling, { kind: 'mass', kg: 14 });
    const left = (ms: number | null) => ms! - boiling.atMs;
    expect(left(p90Ms) / left(p50Ms) / (left(p50Ms) / left(p10Ms))).toBeGreaterThan(0.9);
    expect(left(p90Ms) / left(p50Ms) / (left(p50Ms) / left(p10Ms))).toBeLessThan(1.15);
  });
  it('a horizon that is none is refused', () => {
    expect(() => forecastPot(setup, pot(), { kind: 'mass', kg: 12 }, 0)).toThrow(/horizonMin.*0/);
  });
});

function startSure() {
  const sure = openPot({ atMs: 0, tempC: 99, heatFactor: { mean: 1, sd: 1e-6 } });
  return addToPot(sure, { masses: { ...NO_MASSES, water: 20 }, share: 'liquid', tempC: 99.9 }).covariance;
}

describe('marks of every kind, by mass balance', () => {
  const here = pot();
  const from = potLitres(here);
  const kgOf = (target: FallTarget, of = here) => {
    const mark = fallTo(setup, of, target, from);
    return mark.kind === 'mass' ? mark.kg : Number.NaN;
  };
  it('half gone, the litres of it, the depth of it and the weight of it are one mark', () => {
    const half = kgOf({ kind: 'gone', fraction: 0.5 });
    expect(kgOf({ kind: 'litres', litres: from / 2 })).toBeCloseTo(half, 9);
    expect(kgOf({ kind: 'depth', cm: depthAtLitres(setup.vessel, from / 2) })).toBeCloseTo(half, 9);
    expect(kgOf({ kind: 'weight', kg: half })).toBe(half);
  });
  it('°Brix doubles when the water it is dissolved in is halved: 6.53 to 13.07 leaves half the solution', () => {
    const solution = 20 - 0.1;
    expect(kgOf({ kind: 'brix', brix: (2 * 100 * 1.3) / solution })).toBeCloseTo(solution / 2 + 0.1, 9);
  });
  it('0.5 % of salt is 1 % in half the weight', () => {
    expect(kgOf({ kind: 'salt', percent: 1 })).toBeCloseTo(10, 9);
    expect(saltToAddG({ massKg: 10, nowPercent: 1, targetPercent: 1 })).toBe(0);
  });
  it('a band is reached when the same flour stands in so much less liquid', () => {
    const bound = { ...here, mixture: { ...here.mixture, flourEquivalentG: 400 } };
    const kg = kgOf({ kind: 'band', band: 3 }, bound);
    const litresLeft = 400 / flourEquivalentOfBand({ band: 3 });
    // at 20 °C a litre of this liquid weighs about 1.02 kg; water that leaves weighs 0.998
    expect(20 - kg).toBeGreaterThan(20 / 1.03 - litresLeft - 0.5);
    expect(20 - kg).toBeLessThan(20 / 1.0 - litresLeft + 0.5);
  });
  it('what water cannot bring about is refused', () => {
    const plain = { ...here, mixture: { ...here.mixture, flourEquivalentG: 0 } };
    expect(() => kgOf({ kind: 'band', band: 3 }, plain)).toThrow(/body/);
    expect(() => kgOf({ kind: 'gone', fraction: 1 })).toThrow(/fraction.*1/);
    expect(() => kgOf({ kind: 'depth', cm: 40 })).toThrow(/cm.*40/);
    const fresh = { ...here, mixture: { ...here.mixture, liquid: { ...NO_MASSES, water: 20 } } };
    expect(() => kgOf({ kind: 'salt', percent: 1 }, fresh)).toThrow(/salt/);
    expect(() => kgOf({ kind: 'brix', brix: 10 }, fresh)).toThrow(/dissolved/);
  });
});

describe('what goes in and comes off', () => {
  it('a cold load: 15 kg at 92 °C and 3 kg at 5 °C give 79 °C, back to a simmer in about 8 min at 2.4 kW (hand balance)', () => {
    const empty = openPot({ atMs: 0, tempC: 92, heatFactor: { mean: 1, sd: 0.1 } });
    // celeriac in stock: the pot at 3.9 kJ/kgK or so, the load at 3.7
    const hot = putFoodIn(empty, { ingredient: INGREDIENT_BY_ID['vegetable-stock']!, kg: 15, tempC: 92 });
    const load = coldLoad(
      setup,
      { ...hot, tempC: 92, heatFraction: 1, lid: 'on' },
      [{ ingredient: INGREDIENT_BY_ID.celeriac!, kg: 3, tempC: 5 }],
      92,
    );
    expect(load.dropsToC).toBeGreaterThan(77.5);
    expect(load.dropsToC).toBeLessThan(80.5);
    const minutes = load.back!.p50Ms! / minute;
    expect(minutes).toBeGreaterThan(6.5);
    expect(minutes).toBeLessThan(9);
  });
  it('grows with the load, and a hot splash is no drop', () => {
    const hot = pot({ lid: 'on' });
    const drop = (kg: number, tempC: number) =>
      coldLoad(setup, hot, [{ ingredient: INGREDIENT_BY_ID.potato!, kg, tempC }], 97);
    expect(drop(4, 5).dropsToC).toBeLessThan(drop(2, 5).dropsToC);
    expect(drop(2, -18).dropsToC).toBeLessThan(drop(2, 5).dropsToC);
    expect(drop(0.1, 98).back).toBeNull();
  });
  it('fat comes off as far as it floats, and what never went in is taken from the books', () => {
    const fatty = putFoodIn(pot(), { ingredient: INGREDIENT_BY_ID.dripping!, kg: 0.5, tempC: 90 });
    const lean = takeFatOff(fatty, 0.4);
    expect(massKg(fatty.mixture) - massKg(lean.mixture)).toBeCloseTo(0.4, 9);
    expect(massKg(takeFatOff(fatty, 9).mixture)).toBeLessThan(massKg(lean.mixture));
    const without = leaveFoodOut(fatty, INGREDIENT_BY_ID.dripping!, 0.5);
    expect(massKg(without.mixture)).toBeCloseTo(20, 9);
    expect(without.addedKg).toBeCloseTo(20, 9);
    const roots = putFoodIn(pot(), { ingredient: INGREDIENT_BY_ID.carrot!, kg: 2, tempC: 10 });
    const none = leaveFoodOut(roots, INGREDIENT_BY_ID.carrot!, 2);
    expect(none.addedKg).toBeCloseTo(20, 6);
    expect(none.takenOutKg).toBe(0);
    expect(massesOf(INGREDIENT_BY_ID.carrot!, 2).water).toBeGreaterThan(1.7);
    expect(massKg(drawFromPot(roots, 1).drawn)).toBeCloseTo(1, 9);
  });
});

describe('common practice, single-pan loads', () => {
  /** A rustic tomato sauce in a wide pan on a small gas ring at half heat, lid off. */
  const sauce = (kg: number) => {
    const pan: PotSetup = {
      vessel: { shape: 'cylinder', diameterCm: 30, heightCm: 8 },
      emptyMassKg: 2,
      burner: { powerW: 3500, efficiency: 0.4 },
      air: kitchenAir({ altitudeM: 0, airTempC: 24 }),
    };
    const empty = openPot({ atMs: 0, tempC: 95, heatFactor: { mean: 1, sd: 0.1 } });
    const filled = putFoodIn(empty, { ingredient: INGREDIENT_BY_ID.tomato!, kg, tempC: 95 });
    const half = setHeat({ ...filled, lid: 'off' }, 0.5);
    const kgGone = kg * 0.25;
    return forecastPot(pan, half, { kind: 'mass', kg: kg - kgGone }).p50Ms! / minute;
  };
  it('a quarter of a tomato sauce is gone in about 10 to 15 min at half heat in a wide pan', () => {
    expect(sauce(0.9)).toBeGreaterThan(10);
    expect(sauce(0.9)).toBeLessThan(16);
  });
  it('and it grows with the load: four times as much takes about four times as long', () => {
    expect(sauce(3.6) / sauce(0.9)).toBeGreaterThan(3.3);
    expect(sauce(3.6) / sauce(0.9)).toBeLessThan(4.7);
  });
});
