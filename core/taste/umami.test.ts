import { describe, expect, it } from 'vitest';
import { umamiGPer100g } from './';

describe('umami', () => {
  // Source: Yamaguchi, Journal of Food Science, 1971.
  it('0.03 glutamate with 0.01 inosinate tastes like 0.395', () => {
    expect(umamiGPer100g({ glutamate: 0.03, imp: 0.01 })).toBeCloseTo(0.395, 3);
  });
  it('guanylate is 2.3 times inosinate, adenylate 0.18, aspartate 0.077 of glutamate', () => {
    expect(umamiGPer100g({ glutamate: 0.03, gmp: 0.01 })).toBeCloseTo(0.03 + 1218 * 0.03 * 0.023, 12);
    expect(umamiGPer100g({ glutamate: 0.03, amp: 0.01 })).toBeCloseTo(0.03 + 1218 * 0.03 * 0.0018, 12);
    expect(umamiGPer100g({ glutamate: 0, aspartate: 1 })).toBeCloseTo(0.077, 12);
    expect(() => umamiGPer100g({ glutamate: -1 })).toThrow(/glutamate.*-1/);
  });
});
