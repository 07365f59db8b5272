import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { LID_FACTOR, surfaceSteam } from '../evaporation';
import { kitchenAir } from '../pot';
import { surfaceM2, type Vessel, wallM2 } from '../vessel';
import { heatTestResult } from './';

const pot: Vessel = { shape: 'cylinder', diameterCm: 28, heightCm: 20 };
const kitchen = { altitudeM: 0, airTempC: 22, relativeHumidity: 0.5 };
const of = { vessel: pot, emptyMassKg: 2.4, burner: { powerW: 7000, efficiency: 0.4 }, kitchen };
const test = { litres: 6, fromC: 15, toC: 75, minutes: 9 + 20 / 60, fraction: 1, lid: 'on' as const };

describe('five minutes of water on a burner', () => {
  it('6 L from 15 to 75 °C in 9 min 20 s is 2.69 kW into the water (worked by hand: 6 · 4.19 · 60 / 560)', () => {
    const found = heatTestResult(test, of);
    expect(found.waterKW).toBeCloseTo(2.69, 2);
    // 2.4 kg of steel, 60 K: 72 kJ in 560 s
    expect(found.potKW).toBeCloseTo(0.129, 3);
    expect(found.lostKW).toBeGreaterThan(0);
    expect(found.heatFactor.mean).toBeCloseTo((found.waterKW + found.potKW + found.lostKW) / 2.8, 9);
  });
  it.each(['off', 'on'] as const)('with the lid %s an ODE solver warms it as far in that time', (lid) => {
    const slow = { ...test, minutes: 25, lid };
    const found = heatTestResult(slow, of);
    const kW = found.waterKW + found.potKW + found.lostKW;
    const air = kitchenAir(kitchen);
    const depth = 6000 / (Math.PI * 14 ** 2);
    const capacity = 6 * 0.9991 * 4.19 + 2.4 * 0.5;
    const loss = (tempC: number) => {
      const steam = surfaceSteam({ tempC, pressureKPa: air.pressureKPa, airVapourKPa: air.vapourKPa });
      return (
        (wallM2(pot, depth) * 11 * (tempC - 22)) / 1000 +
        steam.kWPerM2 * surfaceM2(pot, depth) * LID_FACTOR[lid]
      );
    };
    const end = new Solver(1).solve((_, [tempC]) => [(kW - loss(tempC!)) / capacity], 0, [15], 25 * 60);
    expect(end.y[0]).toBeCloseTo(75, 0);
    expect(Math.abs(end.y[0]! - 75)).toBeLessThan(0.2);
  });
  it('an open pot loses more, and that is more in doubt', () => {
    const covered = heatTestResult({ ...test, minutes: 30 }, of);
    const open = heatTestResult({ ...test, minutes: 30, lid: 'off' }, of);
    expect(open.lostKW).toBeGreaterThan(2 * covered.lostKW);
    expect(open.heatFactor.sd).toBeGreaterThan(covered.heatFactor.sd);
    // under a lid, the thermometer, the clock and the jug: 1.2 %, 0.9 %, 1 %
    const quick = heatTestResult(test, of).heatFactor;
    expect(quick.sd / quick.mean).toBeCloseTo(Math.hypot(0.0117, 0.0089, 0.01), 2);
  });
  it('at half a tap the same minutes are twice the burner', () => {
    const half = heatTestResult({ ...test, fraction: 0.5 }, of).heatFactor.mean;
    expect(half).toBeCloseTo(2 * heatTestResult(test, of).heatFactor.mean, 6);
  });
  it.each([
    ['litres', { litres: 0 }],
    ['litres', { litres: 13 }],
    ['toC', { toC: 20 }],
    ['toC', { toC: 99.5 }],
    ['minutes', { minutes: 0.2 }],
    ['fraction', { fraction: 0 }],
    ['fromC', { fromC: Number.NaN }],
  ])('refuses a %s that cannot be', (name, wrong) => {
    expect(() => heatTestResult({ ...test, ...wrong }, of)).toThrow(new RegExp(`^${name}`));
  });
});
