import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bandAt, measuredBody, spreadCm, TEST_RANGES, type ThicknessTest, viscosityOfSpread } from './';

describe('tests of thickness', () => {
  it.each([
    // source: Huppert, Journal of Fluid Mechanics 121, 1982, worked by hand for 50 mL and 30 s
    [8, 2982],
    [10, 500],
    [12, 116],
  ])('50 mL spread to %d cm in 30 s is of %d mm²/s, and back', (cm, mm2PerS) => {
    expect(viscosityOfSpread({ cm, mL: 50, seconds: 30 }) / mm2PerS).toBeCloseTo(1, 2);
    expect(spreadCm({ mm2PerS, mL: 50, seconds: 30 })).toBeCloseTo(cm, 2);
  });
  it.each([
    // edges of the published flow test (IDDSI framework, 2019): thin, slightly, mildly, moderately thick
    [0.5, 0, 1],
    [2, 1, 2.2],
    [6, 2.2, 3.4],
    [9, 3.4, 5],
  ])('%d mL left in the syringe lies between our bands %d and %d', (value, from, to) => {
    const { band } = measuredBody({ test: 'flow', value, tempC: 90 });
    expect(band).toBeGreaterThanOrEqual(from);
    expect(band).toBeLessThanOrEqual(to);
  });
  it('a drawn line on the spoon is band 4, a coat band 3', () => {
    expect(measuredBody({ test: 'spoon', value: 3, tempC: 90 }).band).toBe(4);
    expect(measuredBody({ test: 'spoon', value: 2, tempC: 90 }).gPerL).toBeCloseTo(50, 6);
  });
  it('at 60 °C it is half a band thicker than at 90 (common practice), both ways; water is water', () => {
    expect(bandAt(3, 90, 60)).toBeCloseTo(3.5, 9);
    expect(bandAt(3.5, 60, 90)).toBeCloseTo(3, 9);
    expect(measuredBody({ test: 'spoon', value: 3, tempC: 60 }).band).toBeCloseTo(3.5, 9);
    expect(bandAt(0, 90, 5)).toBe(0);
  });
  it('the thicker a test, the more flour it stands for; no test is sure (seed 18)', () => {
    const tests = Object.keys(TEST_RANGES) as ThicknessTest['test'][];
    fc.assert(
      fc.property(
        fc.constantFrom(...tests),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 5, max: 100 }),
        (test, a, b, tempC) => {
          const { least, most } = TEST_RANGES[test];
          const at = (share: number) => {
            const value = least + share * (most - least);
            return measuredBody({
              test,
              value: test === 'spoon' || test === 'ladle' ? Math.round(value) : value,
              tempC,
            });
          };
          const [low, high] = a < b ? [at(a), at(b)] : [at(b), at(a)];
          const thicker = test === 'lineSpread' ? low.gPerL - high.gPerL : high.gPerL - low.gPerL;
          expect(thicker).toBeGreaterThanOrEqual(-1e-9);
          expect(low.logSd).toBeGreaterThanOrEqual(0.1);
        },
      ),
      { seed: 18 },
    );
  });
  it('what no test can show is refused', () => {
    expect(() => measuredBody({ test: 'flow', value: 14, tempC: 80 })).toThrow(/value.*14/);
    expect(() => measuredBody({ test: 'lineSpread', value: 2, tempC: 80 })).toThrow(/value/);
    expect(() => measuredBody({ test: 'spoon', value: 2, tempC: 140 })).toThrow(/tempC/);
  });
});
