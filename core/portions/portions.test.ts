import { describe, expect, it } from 'vitest';
import { bowlMl, portions } from './';

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
});
