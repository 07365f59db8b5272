import { describe, expect, it } from 'vitest';
import { bowlMl, bowlsFor, ladling, portions } from './';

describe('portions and bowls', () => {
  it('common practice: a litre serves four to five at 200 to 250 mL', () => {
    expect(portions({ litres: 1, portionMl: 250, clingPercent: 0 })).toBe(4);
    expect(portions({ litres: 1, portionMl: 200, clingPercent: 0 })).toBe(5);
    expect(portions({ litres: 15.3, portionMl: 250 })).toBeCloseTo(60.588, 9);
    expect(() => portions({ litres: 1, portionMl: 0 })).toThrow(/portionMl.*0/);
  });
  it('a bowl is a frustum up to its headspace (by hand)', () => {
    const bowl = { topDiameterCm: 14, bottomDiameterCm: 8, heightCm: 6 };
    expect(bowlMl({ ...bowl, headspaceCm: 0 })).toBeCloseTo((Math.PI * 6 * (49 + 28 + 16)) / 3, 9);
    expect(bowlMl({ ...bowl, headspaceCm: 1 })).toBeCloseTo((Math.PI * 5 * (6.5 ** 2 + 26 + 16)) / 3, 9);
    expect(() => bowlMl({ ...bowl, headspaceCm: 7 })).toThrow(/headspaceCm.*7/);
  });
  it('a portion by the kitchen’s own ladles: fewest fills that come near, to the half; the nearest where none does', () => {
    const of = (ml: number, ...ladles: number[]) => {
      const way = ladling(
        ml,
        ladles.map((holds) => ({ ml: holds })),
      );
      return way && [way.ladle.ml, way.fills];
    };
    expect(of(250, 120, 250)).toEqual([250, 1]);
    // two of 120 are 240 mL, near enough; one of 180 is not
    expect(of(250, 120, 180)).toEqual([120, 2]);
    expect(of(300, 250)).toEqual([250, 1]);
    expect(of(350, 250, 60)).toEqual([60, 6]);
    // a thimble of a portion still takes half a ladle
    expect(of(20, 250)).toEqual([250, 0.5]);
    expect(of(250)).toBeNull();
    expect(() => of(250, 0)).toThrow(/ml.*0/);
    // never farther off than the best single ladle can be
    for (let ml = 100; ml <= 600; ml += 7) {
      const way = ladling(ml, [{ ml: 60 }, { ml: 125 }])!;
      expect(Math.abs(way.ml - ml)).toBeLessThanOrEqual(Math.max(15, 0.05 * ml));
    }
    expect(bowlsFor(300, [{ ml: 400 }, { ml: 340, headspaceMl: 60 }, { ml: 310 }])).toEqual([
      { ml: 310 },
      { ml: 400 },
    ]);
  });
});
