import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { bandNow, floorMargin, isFriedIn, mostHeat, openPot, type PotSetup, putFoodIn, setHeat } from './';
import { kitchenAir } from './kitchen-air';

const setup = (powerW: number): PotSetup => ({
  vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39 },
  emptyMassKg: 7.5,
  burner: { powerW, efficiency: 0.4 },
  air: kitchenAir({ altitudeM: 0, airTempC: 22 }),
});
const gas = setup(7000);
const potOf = (...foods: [string, number][]) =>
  foods.reduce(
    (pot, [id, kg]) => putFoodIn(pot, { ingredient: INGREDIENT_BY_ID[id]!, kg, tempC: 60 }),
    setHeat(openPot({ atMs: 0, tempC: 60, heatFactor: { mean: 1, sd: 0.1 } }), 1),
  );

describe('the floor of a pot', () => {
  it('what is fried in has no margin: butter, butter and flour, onions in oil; a soup has one', () => {
    const fried = [
      potOf(['butter', 0.3]),
      potOf(['butter', 0.3], ['flour', 0.3]),
      potOf(['olive-oil', 0.2], ['onion', 2]),
    ];
    for (const pot of fried) {
      expect(isFriedIn(pot)).toBe(true);
      expect(floorMargin(gas, pot, 5)).toBeNull();
      expect(mostHeat(gas, pot, 5)).toBe(1);
    }
    const wet = potOf(['butter', 0.3], ['white-wine', 0.75]);
    expect(isFriedIn(wet)).toBe(false);
    expect(floorMargin(gas, potOf(['chicken-stock', 12]), 5)).toBeGreaterThan(2);
  });
  it('no pot is brought up on more than its floor bears: thin all of it, a thick purée part, however strong the ring', () => {
    const thin = potOf(['chicken-stock', 12]);
    const thick = potOf(['chicken-stock', 12], ['flour', 1.1]);
    expect(bandNow(thick)).toBeGreaterThan(4);
    expect(mostHeat(gas, thin, 5)).toBe(1);
    for (const powerW of [7000, 12_000, 40_000]) {
      const most = mostHeat(setup(powerW), thick, 10);
      expect(most).toBeLessThan(1);
      const margin = floorMargin(setup(powerW), setHeat(thick, most), 10)!;
      if (most > 0.2) expect(margin).toBeGreaterThanOrEqual(1.1);
    }
    expect(mostHeat(setup(900), thick, 10)).toBe(1);
  });
  it('a floor that has shown that it bears half, is given half', () => {
    const thick = potOf(['chicken-stock', 12], ['flour', 0.8]);
    const weak = { ...gas, floorBears: 0.5 };
    expect(floorMargin(weak, thick, 5)! / floorMargin(gas, thick, 5)!).toBeCloseTo(0.5, 12);
    expect(mostHeat(weak, thick, 5)).toBeLessThan(mostHeat(gas, thick, 5));
  });
  it('stirred less often, or shallow, it bears less', () => {
    const deep = potOf(['chicken-stock', 12], ['flour', 0.4]);
    const shallow = potOf(['chicken-stock', 2], ['flour', 0.0666]);
    expect(floorMargin(gas, deep, 10)!).toBeLessThan(floorMargin(gas, deep, 5)!);
    expect(floorMargin(gas, shallow, 5)!).toBeLessThan(floorMargin(gas, deep, 5)!);
    expect(floorMargin(gas, setHeat(deep, 0), 5)).toBe(Number.POSITIVE_INFINITY);
  });
});
