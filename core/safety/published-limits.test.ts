import { describe, expect, it } from 'vitest';
import { alcoholLeftByBoilOff, alcoholLeftByMinutes, INGREDIENT_BY_ID } from '../matter';
import { FOOD_CODE, mustComeCold } from './';

describe('published limits and tables', () => {
  it('what has to come in cold: fish, bones, milk, eggs; not leeks, kelp or flour (§ 3-202.11; kinds common practice)', () => {
    const cold = (id: string) => mustComeCold(INGREDIENT_BY_ID[id]!);
    for (const id of ['white-fish', 'fish-bones', 'chicken-bones', 'milk', 'egg', 'mussel', 'chicken-stock'])
      expect(cold(id), id).toBe(true);
    for (const id of ['leek', 'kelp', 'flour', 'bouillon-powder', 'fish-flakes', 'water'])
      expect(cold(id), id).toBe(false);
  });
  it('FDA Food Code 2022', () => {
    expect(FOOD_CODE.coolFirstToC.value).toBe(21);
    expect(FOOD_CODE.coolFirstWithinH.value).toBe(2);
    expect(FOOD_CODE.coolToC.value).toBe(5);
    expect(FOOD_CODE.coolWithinH.value).toBe(6);
    expect(FOOD_CODE.hotHoldingC.value).toBe(57);
    expect(FOOD_CODE.reheatC.value).toBe(74);
    expect(FOOD_CODE.fishC.value).toBe(63);
    expect(FOOD_CODE.groundMeatC.value).toBe(68);
    expect(FOOD_CODE.groundMeatHoldS.value).toBe(17);
    expect(FOOD_CODE.dateMarkDays.value).toBe(7);
    expect(FOOD_CODE.shellfishTagDays.value).toBe(90);
  });
  it.each([
    [0, 0.85],
    [15, 0.4],
    [30, 0.35],
    [60, 0.25],
    [90, 0.2],
    [120, 0.1],
    [150, 0.05],
    [400, 0.05],
  ])('USDA alcohol retention after %d min: %d', (minutes, left) => {
    expect(alcoholLeftByMinutes({ minutes })).toBeCloseTo(left, 12);
  });
  it('the distillation law leaves all, some, none, inside the published range of its exponent', () => {
    expect(alcoholLeftByBoilOff({ boiledOff: 0 })).toBe(1);
    expect(alcoholLeftByBoilOff({ boiledOff: 1 })).toBe(0);
    const tenth = alcoholLeftByBoilOff({ boiledOff: 0.1 });
    expect(tenth).toBeGreaterThanOrEqual(0.9 ** 11);
    expect(tenth).toBeLessThanOrEqual(0.9 ** 8);
  });
});
