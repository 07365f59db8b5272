import { unit as mathUnit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../testing/chance';
import { FIELD_UNITS, METRIC, type Measures, measuresOf, readQuantity, writeQuantity } from './';

const US = measuresOf('us');
const IMPERIAL = measuresOf('imperial');

describe('a quantity as a cook types it', () => {
  it.each([
    ['2 lb 3', 'kg', '2 lb', '3 oz'],
    ['2lb3oz', 'kg', '2 lb', '3 oz'],
    ['1½ qt', 'L', '1.5 quart'],
    ['1 1/2 quarts', 'L', '1.5 quart'],
    ['3 gal', 'L', '3 gallon'],
    ['8 fl. oz.', 'mL', '8 floz'],
    ['6 ¼ in', 'cm', '6.25 in'],
    ['2 pounds and 3 ounces', 'kg', '2 lb', '3 oz'],
    ['3/4 lb', 'g', '0.75 lb'],
    ['8.3', 'kg', '8.3 lb'],
    ['0,85 l', 'L', '0.85 liter'],
  ] as const)('“%s” as the general unit library has it', (typed, field, ...parts) => {
    const unit = field === 'L' ? 'liter' : field === 'mL' ? 'ml' : field;
    const wanted = parts.reduce((sum, part) => sum + mathUnit(part).toNumber(unit), 0);
    // its volumes are printed to four figures
    expect(readQuantity(typed, field, US)! / wanted).toBeCloseTo(1, 4);
  });
  it.each([
    ['195F', METRIC, 90.5556],
    ['195 °f', METRIC, 90.5556],
    ['90', METRIC, 90],
    ['195', US, 90.5556],
    ['90c', US, 90],
    ['-18', IMPERIAL, -18],
  ])('“%s” is a temperature', (typed, measures, tempC) =>
    expect(readQuantity(typed, '°C', measures)).toBeCloseTo(tempC, 3));
  it('a pint is the kitchen’s own; a pint of nobody’s is the US one', () => {
    // source: NIST Handbook 44, Appendix C
    expect(readQuantity('1 pt', 'mL', IMPERIAL)).toBeCloseTo(568.26125, 6);
    expect(readQuantity('1 pt', 'mL', US)).toBeCloseTo(473.176473, 6);
    expect(readQuantity('1 pt', 'mL', METRIC)).toBeCloseTo(473.176473, 6);
  });
  it.each([
    ['lots', 'kg'],
    ['', 'kg'],
    ['2 qt', 'kg'],
    ['195F', 'cm'],
    ['1,250', 'g'],
    ['10-12', 'kg'],
    ['3 bowls', 'L'],
    ['3/0', 'L'],
    ['90 C 20', '°C'],
    ['constructor', 'L'],
    ['5 lb -3', 'kg'],
  ] as const)('“%s” is no %s', (typed, field) => expect(readQuantity(typed, field, US)).toBeNull());
  it('what is shown and typed again is the same quantity, in any mixture of measures', () => {
    const { pick, uniform } = chanceOf(15);
    for (let i = 0; i < 3000; i++) {
      const measures: Measures = {
        weight: pick(['metric', 'pounds'] as const),
        volume: pick(['metric', 'us', 'imperial'] as const),
        temperature: pick(['C', 'F'] as const),
      };
      const field = pick(FIELD_UNITS);
      const value = field === '°C' ? uniform() * 130 - 20 : 10 ** (uniform() * 5 - 2);
      const shown = writeQuantity(value, field, measures);
      const again = readQuantity(shown, field, measures)!;
      if (field === '°C') expect(Math.abs(again - value)).toBeLessThanOrEqual(0.051);
      else {
        const half = Number(shown) < 1 ? 0.0005 : Math.max(0.0005, 0.0055 / Number(shown));
        expect(Math.abs(again / value - 1), `${shown} for ${value} ${field}`).toBeLessThanOrEqual(half);
      }
      expect(writeQuantity(again, field, measures)).toBe(shown);
    }
  });
});
