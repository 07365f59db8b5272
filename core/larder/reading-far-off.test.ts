import { expect, it } from 'vitest';
import { brixOf, INGREDIENT_BY_ID } from '../matter';
import { contentsOfRow } from './contents-of-row';
import { readingFarOff } from './reading-far-off';

const stock = contentsOfRow(INGREDIENT_BY_ID['chicken-stock']!);
const brix = brixOf(stock.perKg);
const salt = 100 * stock.perKg.salt;

it('a reading is asked about from three times what was computed, or a third of it, some slack either way', () => {
  expect(brix).toBeGreaterThan(2);
  expect(readingFarOff(stock, 'brix', brix)).toBeNull();
  expect(readingFarOff(stock, 'brix', 3 * brix + 1.4)).toBeNull();
  expect(readingFarOff(stock, 'brix', 3 * brix + 1.6)).toBe(brix);
  expect(readingFarOff(stock, 'salt', 3 * salt + 0.25)).toBeNull();
  expect(readingFarOff(stock, 'salt', 3 * salt + 0.35)).toBe(salt);
  const strong = { ...stock, perKg: { ...stock.perKg, protein: 0.3 } };
  const strongBrix = brixOf(strong.perKg);
  expect(readingFarOff(strong, 'brix', strongBrix / 3 - 1.4)).toBeNull();
  expect(readingFarOff(strong, 'brix', strongBrix / 3 - 1.6)).toBe(strongBrix);
});

it('salt alone is never more than all that is dissolved', () => {
  const briny = { ...stock, perKg: { ...stock.perKg, salt: 0.05 } };
  expect(readingFarOff(briny, 'brix', 4.9)).toBeNull();
  expect(readingFarOff(briny, 'brix', 3.4)).toBe(brixOf(briny.perKg));
});
