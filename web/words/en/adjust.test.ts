import { describe, expect, it } from 'vitest';
import { saltSpoons } from './adjust';

describe('salt in level spoons', () => {
  it.each([
    [0.1, 'less than ¼ tsp'],
    [0.25, '¼ tsp'],
    [1.6, '1½ tsp'],
    [2.7, '2¾ tsp'],
    [3, '1 tbsp'],
    [7.3, '2 tbsp 1¼ tsp'],
  ])('%s teaspoons', (teaspoons, words) => {
    // three teaspoons are a tablespoon: NIST Handbook 44, appendix C
    expect(saltSpoons(teaspoons)).toBe(words);
  });
});
