import { unit as mathUnit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { convert, roundGrams, roundMillilitres, type Unit } from './';

describe('convert', () => {
  // Source: mathjs, a general unit library; its factors are printed to four figures. Its spoons are the metric 5 and
  // 15 mL, not the US ones, so they are left to NIST below.
  const theirs: [Unit, string][] = [
    ['floz', 'floz'],
    ['cup', 'cup'],
    ['pint', 'pint'],
    ['quart', 'quart'],
    ['gallon', 'gallon'],
  ];
  it.each(theirs)('%s in mL as in the general unit library, to the figures it prints', (ours, name) => {
    const reference = mathUnit(1, name).toNumber('ml');
    expect(convert({ value: 1, from: ours, to: 'mL' }) / reference).toBeCloseTo(1, 4);
  });
  it.each([
    ['oz', 'g', 'ounce', 'gram'],
    ['lb', 'kg', 'lb', 'kg'],
    ['in', 'cm', 'inch', 'cm'],
  ] as const)('%s to %s as in the general unit library', (from, to, a, b) => {
    expect(convert({ value: 3.7, from, to })).toBeCloseTo(mathUnit(3.7, a).toNumber(b), 10);
  });
  it('degrees as in the general unit library', () => {
    expect(convert({ value: 203, from: 'degF', to: 'degC' })).toBeCloseTo(
      mathUnit(203, 'degF').toNumber('degC'),
      9,
    );
    expect(convert({ value: -40, from: 'degC', to: 'degF' })).toBeCloseTo(-40, 12);
  });
  // Source: NIST Handbook 44, Appendix C, exact factors.
  it.each([
    ['cup', 236.5882365],
    ['tbsp', 14.78676478125],
    ['tsp', 4.92892159375],
    ['floz', 29.5735295625],
    ['pint', 473.176473],
    ['quart', 946.352946],
    ['gallon', 3785.411784],
    ['imp-pint', 568.26125],
    ['imp-gallon', 4546.09],
    ['metric-cup', 250],
    ['metric-tbsp', 15],
  ] as const)('%s is %d mL (NIST Handbook 44)', (from, ml) => {
    expect(convert({ value: 1, from, to: 'mL' })).toBe(ml);
  });
  it('lb and oz are exact (NIST Handbook 44)', () => {
    expect(convert({ value: 1, from: 'lb', to: 'g' })).toBe(453.59237);
    expect(convert({ value: 1, from: 'oz', to: 'g' })).toBe(28.349523125);
  });
  it('mass and volume go through the density, both ways', () => {
    expect(convert({ value: 1, from: 'cup', to: 'g', densityGPerMl: 0.53 })).toBeCloseTo(125.39, 2);
    const grams = convert({ value: 2, from: 'L', to: 'kg', densityGPerMl: 1.03 });
    expect(convert({ value: grams, from: 'kg', to: 'L', densityGPerMl: 1.03 })).toBeCloseTo(2, 12);
  });
  it('says what it cannot do', () => {
    expect(() => convert({ value: 1, from: 'cup', to: 'g' })).toThrow(/densityGPerMl/);
    expect(() => convert({ value: 1, from: 'cup', to: 'cm' })).toThrow(RangeError);
    expect(() => convert({ value: Number.NaN, from: 'cup', to: 'mL' })).toThrow(/value.*NaN/);
    expect(() => convert({ value: 1, from: 'bucket' as Unit, to: 'mL' })).toThrow(/bucket/);
    expect(() => convert({ value: 1, from: 'toString' as Unit, to: 'mL' })).toThrow(RangeError);
  });
});

describe('rounding at the edge', () => {
  it.each([
    [3.1277, 3.1],
    [47.6, 48],
    [843, 845],
    [4187, 4190],
    [14_230, 14_250],
  ])('%d g shows as %d g', (from, to) => expect(roundGrams(from)).toBe(to));
  it.each([
    [63, 65],
    [780, 800],
    [6_234, 6_200],
  ])('%d mL shows as %d mL', (from, to) => expect(roundMillilitres(from)).toBe(to));
});
