import { describe, expect, it } from 'vitest';
import { boilingPointC } from '../heat';
import { boilOffKgPerHour, surfaceLossKgPerHour } from './';
import { surfaceSteam } from './surface-loss-kg-per-hour';

describe('boiling off', () => {
  it('3 kW net drives off 4.79 kg/h; 4 kg take 50.1 min (by hand from the steam table)', () => {
    const rate = boilOffKgPerHour({ netPowerW: 3000, tempC: 100 });
    expect(rate).toBeCloseTo(4.79, 2);
    expect((4 / rate) * 60).toBeCloseTo(50.1, 1);
  });
  it('common practice: wine and tomato in a shallow pan halve in 5 to 7 min on a full gas ring', () => {
    const wattsFor = (minutes: number) => ((0.325 / (minutes / 60)) * 2256.4) / 3.6;
    expect(wattsFor(7)).toBeGreaterThan(1650);
    expect(wattsFor(5)).toBeLessThan(2500);
    const ringKW = { weak: 5.5 * 0.3, strong: 5.5 * 0.45 };
    expect(wattsFor(7) / 1000).toBeGreaterThan(ringKW.weak);
    expect(wattsFor(5) / 1000).toBeLessThan(ringKW.strong);
  });
  it('refuses negative power', () => {
    expect(() => boilOffKgPerHour({ netPowerW: -1, tempC: 100 })).toThrow(/netPowerW.*-1/);
  });
});

describe('surface loss below the boil', () => {
  const square = { areaM2: 1, lid: 'off' } as const;
  it('the pool form alone gives 9.6 kg/(h·m²) at 90 °C; the outflow makes it 1.72 times, at 95 °C 2.18', () => {
    const pool = (tempC: number, saturationKPa: number, latent: number) =>
      (3600 * 0.089 * (saturationKPa - 0.5 * 3.1699)) / latent + 0 * tempC;
    // Source: ASHRAE pool form with steam-table pressures 70.182 and 84.609 kPa, worked by hand.
    expect(pool(90, 70.182, 2282.5)).toBeCloseTo(9.6, 1);
    expect(surfaceLossKgPerHour({ ...square, tempC: 90 }) / pool(90, 70.182, 2282.5)).toBeCloseTo(1.72, 2);
    expect(surfaceLossKgPerHour({ ...square, tempC: 95 }) / pool(95, 84.609, 2269.6)).toBeCloseTo(2.18, 2);
  });
  it('a lid leaves 0.45 ajar and 0.1 on (common practice)', () => {
    const off = surfaceLossKgPerHour({ ...square, tempC: 85 });
    expect(surfaceLossKgPerHour({ ...square, lid: 'ajar', tempC: 85 })).toBeCloseTo(0.45 * off, 9);
    expect(surfaceLossKgPerHour({ ...square, lid: 'on', tempC: 85 })).toBeCloseTo(0.1 * off, 9);
  });
  it('grows with warmth and with height, and is nothing below the dew point', () => {
    const at = (tempC: number, altitudeM = 0) => surfaceLossKgPerHour({ ...square, tempC, altitudeM });
    expect(at(80)).toBeGreaterThan(at(60));
    expect(at(90, 1240)).toBeGreaterThan(at(90, 0));
    expect(at(5)).toBe(0);
    expect(at(99.9)).toBeGreaterThan(3 * at(95));
  });
  it('its slope is its own difference quotient', () => {
    const law = (tempC: number) => surfaceSteam({ tempC, pressureKPa: 87.28, airVapourKPa: 1.5 });
    for (const tempC of [40, 70, 90, 95]) {
      const quotient = (law(tempC + 1e-3).kWPerM2 - law(tempC - 1e-3).kWPerM2) / 2e-3;
      expect(law(tempC).kWPerM2K / quotient).toBeCloseTo(1, 5);
    }
  });
  it('refuses the boil and a strange lid', () => {
    const boiling = boilingPointC({ altitudeM: 1240 });
    expect(() => surfaceLossKgPerHour({ ...square, tempC: boiling, altitudeM: 1240 })).toThrow(/tempC/);
    expect(() => surfaceLossKgPerHour({ areaM2: 1, tempC: 50, lid: 'open' as 'off' })).toThrow(/lid.*open/);
    expect(() => surfaceLossKgPerHour({ ...square, areaM2: -2, tempC: 50 })).toThrow(/areaM2.*-2/);
  });
});
