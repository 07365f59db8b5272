import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandName, flourEquivalentGPerL, flourEquivalentOfBand, THICKENERS, thicknessBand } from './';

describe('thickness', () => {
  it('white sauce of home economics: 1, 2, 3 tbsp flour to the US cup are 33, 66 and 99 g/L', () => {
    // Source: standard home-economics white sauce; flour 7.8 g a level tablespoon.
    const perCup = (tbsp: number) =>
      flourEquivalentGPerL({ thickeners: [{ kind: 'flour', grams: tbsp * 7.8 }], litres: 0.2365882365 });
    expect(perCup(1)).toBeCloseTo(33, 0);
    expect(perCup(2)).toBeCloseTo(66, 0);
    expect(perCup(3)).toBeCloseTo(99, 0);
    expect(bandName(thicknessBand({ flourEquivalentGPerL: perCup(1) }))).toBe('lightly coats');
    expect(bandName(thicknessBand({ flourEquivalentGPerL: perCup(3) }))).toBe('mounds slowly');
  });
  it('common practice: 50 g of flour in white roux per litre coats the spoon', () => {
    const f = flourEquivalentGPerL({ thickeners: [{ kind: 'rouxWhite', grams: 50 }], litres: 1 });
    expect(bandName(thicknessBand({ flourEquivalentGPerL: f }))).toBe('coats the spoon');
  });
  it('the darker the roux, the less it thickens; starches are stronger than flour', () => {
    const strengths = ['rouxWhite', 'rouxBlond', 'rouxBrown', 'rouxDark'].map(
      (kind) => THICKENERS[kind as keyof typeof THICKENERS].strength,
    );
    expect(strengths).toEqual([...strengths].sort((a, b) => b - a));
    for (const kind of ['cornstarch', 'arrowroot', 'riceFlour', 'tapioca', 'potatoStarch'] as const) {
      expect(THICKENERS[kind].strength).toBeGreaterThan(1);
      expect(THICKENERS[kind].low).toBeLessThanOrEqual(THICKENERS[kind].strength);
      expect(THICKENERS[kind].high).toBeGreaterThanOrEqual(THICKENERS[kind].strength);
    }
  });
  it.each([
    [0, 0],
    [6, 0.5],
    [12, 1],
    [30, 2],
    [50, 3],
    [61, 3.5],
    [72, 4],
    [100, 5],
    [135, 6],
    [400, 6],
    [-3, 0],
  ])('%d g/L is band %d', (f, band) => {
    expect(thicknessBand({ flourEquivalentGPerL: f })).toBeCloseTo(band, 12);
  });
  it('a band and its flour equivalent come back to each other (seed 7)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6, noNaN: true }), (band) => {
        const f = flourEquivalentOfBand({ band });
        expect(thicknessBand({ flourEquivalentGPerL: f })).toBeCloseTo(band, 9);
      }),
      { seed: 7 },
    );
  });
  it('refuses no liquid and an unknown thickener', () => {
    expect(() => flourEquivalentGPerL({ thickeners: [], litres: 0 })).toThrow(/litres.*0/);
    expect(() =>
      flourEquivalentGPerL({ thickeners: [{ kind: 'glue' as 'flour', grams: 1 }], litres: 1 }),
    ).toThrow(/glue/);
  });
});
