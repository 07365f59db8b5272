import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY, INGREDIENT_BY_ID, massesOf, NO_MASSES, operations } from '../matter';
import { dilutionKg, reducedSaltPercent, saltToAddG } from './';

describe('salt', () => {
  it('10 kg at 1.6 % to 1.0 % needs 6.0 kg (by hand)', () => {
    expect(dilutionKg({ massKg: 10, nowPercent: 1.6, targetPercent: 1 })).toBeCloseTo(6, 12);
    expect(dilutionKg({ massKg: 10, nowPercent: 0.8, targetPercent: 1 })).toBe(0);
    expect(() => dilutionKg({ massKg: 10, nowPercent: 1, targetPercent: 0 })).toThrow(/targetPercent.*0/);
  });
  it('reduced is a quarter less, and never a hundredth too much (by hand)', () => {
    expect(reducedSaltPercent(0.8)).toBe(0.6);
    // 0.675 is not yet 0.68
    expect(reducedSaltPercent(0.9)).toBe(0.67);
    expect(reducedSaltPercent(0)).toBe(0);
    expect(() => reducedSaltPercent(7)).toThrow(/percent.*7/);
  });
  it('what is added brings exactly the target, the salt’s own mass counted (seed 9)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (massKg, nowPercent, targetPercent) => {
          const kg = saltToAddG({ massKg, nowPercent, targetPercent }) / 1000;
          const after = (100 * ((massKg * nowPercent) / 100 + kg)) / (massKg + kg);
          expect(after).toBeCloseTo(targetPercent, 9);
        },
      ),
      { seed: 9 },
    );
    expect(saltToAddG({ massKg: 5, nowPercent: 1, targetPercent: 0.9 })).toBe(0);
    expect(() => saltToAddG({ massKg: -1, nowPercent: 0, targetPercent: 1 })).toThrow(/massKg.*-1/);
  });
  it('30 % unsalted pieces turn 1.29 % in the liquid into 0.9 % overall (by hand)', () => {
    const liquid = { ...NO_MASSES, water: 0.7 * (1 - 0.0129), salt: 0.7 * 0.0129 };
    const pieces = { ...NO_MASSES, water: 0.3 * 0.85, starch: 0.3 * 0.15 };
    const pot = { ...EMPTY, liquid, pieces };
    expect(operations.saltPercent(pot, 'liquid')).toBeCloseTo(1.29, 9);
    expect(operations.saltPercent(pot, 'all')).toBeCloseTo(0.9, 2);
    expect(operations.saltPercent(operations.exchangeSalt(pot, 1), 'all')).toBeCloseTo(0.9, 2);
  });
  it('common practice: 72 g of miso at 12.5 % salt in a litre of stock gives about 0.84 % salt', () => {
    const litre = operations.add(EMPTY, { ...NO_MASSES, water: 1 }, 'liquid');
    const soup = operations.add(litre, massesOf(INGREDIENT_BY_ID.miso!, 0.072), 'liquid');
    expect(operations.saltPercent(soup, 'all')).toBeCloseTo(0.84, 2);
  });
});
