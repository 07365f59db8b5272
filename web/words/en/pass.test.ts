import { expect, it } from 'vitest';
import { METRIC, measuresOf } from '../../../core/units';
import { writeFiguresAs } from '../amounts';
import { bowlWords, ladleWords } from './pass';

const ladles = [
  { id: 'a', name: 'Long ladle', ml: 250 },
  { id: 'b', name: 'Short ladle', ml: 120 },
];
const bowls = [
  { id: 'x', name: 'Blue bowl', ml: 410, headspaceMl: 60, isOvenProof: false },
  { id: 'y', name: 'Cup', ml: 240, headspaceMl: 20, isOvenProof: false },
];

it.each([
  [250, '1 × the long ladle, for 250 mL.'],
  [350, '3 × the short ladle: 360 mL, for 350 mL.'],
  [375, '1½ × the long ladle, for 375 mL.'],
  [60, '½ × the short ladle, for 60 mL.'],
])('%d mL by the kitchen’s own ladles: %s', (ml, words) => {
  expect(ladleWords(ml, { ladles })).toBe(words);
});

it('bowls by what they take under their headspace; nothing is said of what the kitchen has not', () => {
  const say = (ml: number, of = bowls) => bowlWords(ml, { bowls: of });
  expect(say(220)).toBe('It goes into the cup.');
  expect(say(350)).toBe('It goes into the blue bowl.');
  expect(say(360)).toBe('No bowl takes 360 mL: the blue bowl takes 350 mL.');
  expect([say(250, []), ladleWords(250, { ladles: [] })]).toEqual([null, null]);
  writeFiguresAs({ measures: measuresOf('us'), locale: 'en-US' });
  expect(ladleWords(236.6, { ladles: [{ id: 'c', name: 'Cup ladle', ml: 118.3 }] })).toBe(
    '2 × the cup ladle, for 8 fl oz.',
  );
  writeFiguresAs({ measures: METRIC, locale: 'en-GB' });
});
