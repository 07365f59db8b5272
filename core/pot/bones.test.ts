import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, massKg } from '../matter';
import { STOCKPOT } from '../testing/stockpot';
import {
  advancePot,
  bonesOf,
  drawFromPot,
  finishStage,
  foodLitres,
  liftFoodOut,
  openPot,
  potLitres,
  putFoodIn,
  readPot,
} from './';

const HOCK = INGREDIENT_BY_ID['ham-hock']!;
const WATER = INGREDIENT_BY_ID.water!;
const pot = (hockKg: number) => {
  const open = openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.1 } });
  const water = putFoodIn(open, { ingredient: WATER, kg: 20, tempC: 20 });
  return hockKg > 0 ? putFoodIn(water, { ingredient: HOCK, kg: hockKg, tempC: 20 }) : water;
};

describe('bone, shell and skin', () => {
  const full = pot(5.5);
  it('stand in the level: a hock as it is bought raises it by about its weight, of which 45 % is no food', () => {
    // whole hocks sink and are a little heavier than water: 10 kg take the room of 8 to 10 L (common practice)
    const rise = potLitres(full) - potLitres(pot(0));
    expect(rise).toBeGreaterThan(8);
    expect(rise).toBeLessThan(10);
    expect(bonesOf(HOCK, 5.5)).toBeCloseTo(4.5, 9);
    expect(potLitres(full) - foodLitres(full)).toBeCloseTo(4.5 / 1.3, 9);
    expect(massKg(full.mixture)).toBeCloseTo(25.5, 9);
  });
  it('stay where they are while time goes by and the pot is read', () => {
    const later = advancePot(STOCKPOT, { ...full, heatFraction: 0.5 }, 20 * 60_000);
    expect(later.bonesKg).toBe(full.bonesKg);
    const read = readPot(STOCKPOT, later, { kind: 'litres', value: potLitres(later), still: true });
    expect(read.pot.bonesKg).toBe(full.bonesKg);
    expect(potLitres(read.pot) - foodLitres(read.pot)).toBeCloseTo(4.5 / 1.3, 9);
  });
  it('a dip reads past them, and a scale under them: what is in the pot stays what it was', () => {
    for (const reading of [
      { kind: 'litres' as const, value: potLitres(full), still: true },
      { kind: 'weight' as const, value: massKg(full.mixture) + 4.5 },
    ]) {
      const read = readPot(STOCKPOT, full, reading);
      expect(read.surprise).toBeNull();
      expect(massKg(read.pot.mixture)).toBeCloseTo(massKg(full.mixture), 6);
    }
  });
  it('go with what is lifted, are never blended, and are strained away', () => {
    expect(liftFoodOut(full, HOCK, 5.5).bonesKg).toBeCloseTo(0, 9);
    const blended = finishStage(full, { kind: 'puree', share: 1, sieve: 'none' });
    expect(blended.bonesKg).toBeCloseTo(4.5, 9);
    expect(finishStage(full, { kind: 'strain' }).bonesKg).toBe(0);
  });
  it('leave with the bowls, in step with the food', () => {
    const half = drawFromPot(full, massKg(full.mixture) / 2).pot;
    expect(half.bonesKg).toBeCloseTo(2.25, 9);
  });
});
