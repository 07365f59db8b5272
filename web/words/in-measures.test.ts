import { unit as mathUnit } from 'mathjs';
import { afterEach, describe, expect, it } from 'vitest';
import { METHODS } from '../../core/recipe';
import { METRIC, measuresOf } from '../../core/units';
import {
  altitude,
  centsPerKgTyped,
  priceHere,
  pricePerVolume,
  pricePerWeight,
  readField,
  strength,
  writeFiguresAs,
} from './amounts';
import { inMeasures } from './in-measures';

const inUS = () => writeFiguresAs({ measures: measuresOf('us'), locale: 'en-US' });
afterEach(() => {
  writeFiguresAs({ measures: METRIC, locale: 'en-GB' });
});

describe('what a recipe says, in the kitchen’s measures', () => {
  it('stays as it was written in a metric kitchen', () => {
    const said = 'Dice of 1 to 1.5 cm; from 57 to 21 °C; 2 kg, 500 g, 6 to 8 mL.';
    expect(inMeasures(said)).toBe(said);
  });
  it('is in inches, °F, ounces in a US one; two figures share a unit', () => {
    inUS();
    expect(inMeasures('Dice of 1 to 1.5 cm.')).toBe('Dice of ⅜ to ⅝ in.');
    expect(inMeasures('From 57 to 21 °C within two hours and to 5 °C.')).toBe(
      'From 135 to 70 °F within two hours and to 41 °F.',
    );
    expect(inMeasures('a 12 mm dice of 500 g')).toBe('a ½ in dice of 1 lb 2 oz');
    expect(inMeasures('2 litres of stock')).toBe('2 qt of stock');
  });
  it('leaves minutes, shares and strengths alone', () => {
    inUS();
    for (const said of ['Simmer 20 min.', '1.2 % salt', '50 g/L', '30 g a litre', '10 gas marks'])
      expect(inMeasures(said)).toBe(said);
  });
  it('leaves no metric figure in what the methods say', () => {
    inUS();
    const said = METHODS.flatMap((one) => Object.values(one).filter((text) => typeof text === 'string'));
    expect(said.length).toBeGreaterThan(200);
    expect(said.map(inMeasures).filter((text) => /\d ?(°C|cm|mm|kg|mL|litres)\b/.test(text))).toEqual([]);
  });
});

describe('strengths and prices by the kitchen’s own measure', () => {
  it('is the general unit library’s, metric, US, imperial and mixed', () => {
    const perLitre = mathUnit('50 g/l');
    const cases = [
      { measures: METRIC, said: `${perLitre.toNumber('g/l').toFixed(0)} g/L` },
      { measures: measuresOf('us'), said: `${perLitre.toNumber('oz/qt').toFixed(2)} oz/qt` },
      // an imperial pint is 568.26125 mL. source: published: NIST Handbook 44, Appendix C
      {
        measures: measuresOf('imperial'),
        said: `${(perLitre.toNumber('oz/l') * 0.56826125).toFixed(2)} oz/pt`,
      },
      {
        measures: { ...METRIC, volume: 'us' as const },
        said: `${perLitre.toNumber('g/qt').toFixed(0)} g/qt`,
      },
    ];
    for (const { measures, said } of cases) {
      writeFiguresAs({ measures, locale: 'en-GB' });
      expect(strength(50)).toBe(said);
    }
  });
  it('a pound is priced at what 0.4536 kg cost, and what is typed for it comes back', () => {
    inUS();
    expect(pricePerWeight(1000, 'USD')).toBe('$4.54');
    expect(pricePerVolume(1000, 'USD')).toBe('$9.46');
    for (const price of [0.05, 1.25, 4.54, 99.99])
      expect(priceHere(centsPerKgTyped(price))).toBe(price.toFixed(2));
  });
  it('a height is in feet, and typed in metres it is as high', () => {
    inUS();
    expect(altitude(1240)).toBe(`${mathUnit('1240 m').toNumber('ft').toFixed(0)} ft`);
    expect(readField('1240 m', 'm')).toBeCloseTo(1240, 9);
    expect(readField('4068', 'm')).toBeCloseTo(1240, 0);
  });
});
