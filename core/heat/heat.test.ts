import { Solver } from 'odex';
import psychrolib from 'psychrolib';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  airPressureKPa,
  boilingPointC,
  latentHeatKJPerKg,
  minutesToCookDice,
  minutesToHeat,
  mixTempC,
  saturationPressureKPa,
  softeningFactor,
} from './';
import { saturation } from './saturation-pressure-kpa';

describe('the air and the boil', () => {
  beforeAll(() => psychrolib.SetUnitSystem(psychrolib.SI));

  // Source: psychrolib, a psychrometrics library after the ASHRAE Fundamentals handbook.
  it.each([1, 20, 45, 70, 90, 95.85, 100, 120])('saturation pressure at %d °C as in the library', (tempC) => {
    expect((saturationPressureKPa({ tempC }) * 1000) / psychrolib.GetSatVapPres(tempC)).toBeCloseTo(1, 3);
  });
  it.each([0, 500, 1240, 3000])('standard air at %d m as in the library', (altitudeM) => {
    const reference = psychrolib.GetStandardAtmPressure(altitudeM);
    expect((airPressureKPa({ altitudeM }) * 1000) / reference).toBeCloseTo(1, 5);
  });
  it.each([0, 1240, 2000, 3000])('boiling at %d m is where the library’s two lines meet', (altitudeM) => {
    const boiling = boilingPointC({ altitudeM });
    const gap = psychrolib.GetSatVapPres(boiling) / psychrolib.GetStandardAtmPressure(altitudeM);
    expect(gap).toBeCloseTo(1, 3);
  });
  // Source: standard atmosphere and saturation line, worked to two decimals.
  it.each([
    [0, 99.97],
    [1240, 95.85],
    [3000, 89.97],
  ])('at %d m water boils at %d °C', (altitudeM, tempC) => {
    expect(boilingPointC({ altitudeM })).toBeCloseTo(tempC, 1);
    expect(Math.abs(boilingPointC({ altitudeM }) - tempC)).toBeLessThan(0.011);
  });
  // Source: saturated-water steam tables; 45, 75, 95 and 105 °C are not rows of ours.
  it.each([
    [40, 2406.0],
    [45, 2394.0],
    [75, 2320.6],
    [80, 2308],
    [90, 2282.5],
    [95, 2269.6],
    [100, 2256.4],
    [105, 2243.1],
    [110, 2229.7],
  ])('latent heat at %d °C is %d kJ/kg within 0.1 %%', (tempC, kJ) => {
    expect(Math.abs(latentHeatKJPerKg({ tempC }) / kJ - 1)).toBeLessThan(0.001);
  });
  it('the slope of the saturation line is its own difference quotient', () => {
    for (const tempC of [30, 60, 92, 99]) {
      const quotient =
        (saturationPressureKPa({ tempC: tempC + 0.01 }) - saturationPressureKPa({ tempC: tempC - 0.01 })) /
        0.02;
      expect(saturation(tempC).kPaPerK / quotient).toBeCloseTo(1, 5);
    }
  });
  it('says what is out of range', () => {
    expect(() => boilingPointC({ altitudeM: 20_000 })).toThrow(/altitudeM.*20000/);
    expect(() => latentHeatKJPerKg({ tempC: 500 })).toThrow(/tempC.*500/);
    expect(() => saturationPressureKPa({ tempC: Number.POSITIVE_INFINITY })).toThrow(RangeError);
  });
});

describe('heating up', () => {
  it('20 kg of water from 15 to 100 °C at 2.4 kW net takes 49.5 min (by hand)', () => {
    const parts = [{ massKg: 20, specificHeatKJ: 4.19, tempC: 15 }];
    expect(minutesToHeat({ parts, toC: 100, netPowerW: 2400 })).toBeCloseTo(49.465, 2);
    expect(minutesToHeat({ parts, toC: 15, netPowerW: 2400 })).toBe(0);
  });
  it('is the time an ODE solver finds for the same balance (odex)', () => {
    const parts = [
      { massKg: 12, specificHeatKJ: 3.9, tempC: 60 },
      { massKg: 3, specificHeatKJ: 3.5, tempC: 5 },
    ];
    const capacity = 12 * 3.9 + 3 * 3.5;
    const minutes = minutesToHeat({ parts, toC: 95, netPowerW: 2000 });
    const solver = new Solver(1);
    const start = mixTempC({ parts });
    const { y } = solver.solve(() => [2000 / 1000 / capacity], 0, [start], minutes * 60);
    expect(y[0]).toBeCloseTo(95, 6);
  });
  it('refuses no power and no mass', () => {
    expect(() => minutesToHeat({ parts: [], toC: 50, netPowerW: 100 })).toThrow(/parts/);
    expect(() =>
      minutesToHeat({ parts: [{ massKg: 1, specificHeatKJ: 4, tempC: 5 }], toC: 50, netPowerW: 0 }),
    ).toThrow(/netPowerW.*0/);
  });
});

describe('mixing', () => {
  const hot = { massKg: 15, specificHeatKJ: 3.9, tempC: 92 };
  it('15 kg at 92 °C and 3 kg at 5 °C come to 79.0 °C, and 8 min to be back (by hand)', () => {
    const cold = { massKg: 3, specificHeatKJ: 3.43, tempC: 5 };
    expect(mixTempC({ parts: [hot, cold] })).toBeCloseTo(79.0, 1);
    expect(minutesToHeat({ parts: [hot, cold], toC: 95.85, netPowerW: 2400 })).toBeCloseTo(8, 0);
  });
  it('frozen peas take their melting out of the pot (by hand)', () => {
    const peas = { massKg: 2, specificHeatKJ: 3.6, tempC: -18, frozen: true, waterFraction: 0.79 };
    const heat = 15 * 3.9 * 92 - 2 * 2.1 * 18 - 2 * 0.79 * 334;
    expect(mixTempC({ parts: [hot, peas] })).toBeCloseTo(heat / (15 * 3.9 + 2 * 3.6), 9);
  });
  it('5.5 kg of ice bring 10 kg (c 3.9) from 80 to 21 °C (by hand: M·c·ΔT/(334 + 4.18·T))', () => {
    expect((10 * 3.9 * 59) / (334 + 4.18 * 21)).toBeCloseTo(5.5, 1);
    const soup = { massKg: 10, specificHeatKJ: 3.9, tempC: 80 };
    const ice = { massKg: 5.455, specificHeatKJ: 4.18, tempC: 0, frozen: true };
    expect(mixTempC({ parts: [soup, ice] })).toBeCloseTo(21, 1);
  });
  it('stands at 0 °C where the heat runs out', () => {
    const ice = { massKg: 10, specificHeatKJ: 4.19, tempC: -18, frozen: true };
    expect(mixTempC({ parts: [{ massKg: 1, specificHeatKJ: 4.19, tempC: 20 }, ice] })).toBe(0);
  });
  it('names the bad part', () => {
    expect(() => mixTempC({ parts: [hot, { ...hot, massKg: -1 }] })).toThrow(/parts\[1\]\.massKg.*-1/);
    expect(() => mixTempC({ parts: [{ ...hot, frozen: true }] })).toThrow(/tempC/);
  });
});

describe('dice', () => {
  // Source: Carslaw and Jaeger's cube series, worked for the two sizes.
  it.each([
    [2, 4.35],
    [3, 9.8],
  ])('the centre of a %d cm cube, 20 °C into 100, is at 90 °C after %d min', (edgeCm, minutes) => {
    expect(minutesToCookDice({ edgeCm, startC: 20, liquidC: 100, centreC: 90 })).toBeCloseTo(minutes, 1);
  });
  it('a heat equation marched on a grid finds the same time (finite differences, independent of the series)', () => {
    const n = 40;
    const edgeM = 0.02;
    const dx = edgeM / n;
    const alpha = 1.45e-7;
    const dt = (0.4 * dx * dx) / alpha;
    let slab = new Array<number>(n + 1).fill(1);
    slab[0] = 0;
    slab[n] = 0;
    let seconds = 0;
    while (slab[n / 2]! ** 3 > 0.125) {
      const old: number[] = slab;
      slab = old.map((u, i) =>
        i === 0 || i === n ? 0 : u + ((alpha * dt) / (dx * dx)) * (old[i - 1]! - 2 * u + old[i + 1]!),
      );
      seconds += dt;
    }
    const ours = minutesToCookDice({ edgeCm: 2, startC: 20, liquidC: 100, centreC: 90 });
    expect(Math.abs(ours - seconds / 60)).toBeLessThan(0.03);
  });
  it('nothing to do, and never to be done', () => {
    expect(minutesToCookDice({ edgeCm: 2, startC: 95, liquidC: 100, centreC: 90 })).toBe(0);
    expect(() => minutesToCookDice({ edgeCm: 2, startC: 20, liquidC: 88, centreC: 90 })).toThrow(
      /centreC.*90/,
    );
  });
  it('softening at 95.85 °C takes half as long again (z 24 °C, from memory)', () => {
    expect(softeningFactor({ liquidC: 95.85 })).toBeCloseTo(1.5, 1);
    expect(softeningFactor({ liquidC: 76 })).toBeCloseTo(10, 9);
  });
});
