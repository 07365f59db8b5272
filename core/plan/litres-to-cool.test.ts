import { expect, it } from 'vitest';
import { filledPot } from '../../demo/filled-pot';
import { litresToCool } from './';

const HOUR = 3_600_000;

it('all of a base is cooled, one batch of it where the pot takes several; a soup that is eaten hot is not', () => {
  const stock = filledPot('leek-top-stock').snapshot;
  expect(litresToCool(stock.input, { yieldLitres: 24, batches: 1 })).toBe(24);
  expect(litresToCool(stock.input, { yieldLitres: 24, batches: 2 })).toBe(12);
  const soup = filledPot('trout-chowder').snapshot;
  expect(litresToCool(soup.input, soup.plan)).toBe(0);
});

it('what is eaten later than it can be held hot is; what is held for the next train is not', () => {
  const { input, plan } = filledPot('trout-chowder').snapshot;
  const kinds = [
    { id: 'now', word: 'bowl', ml: 250, count: 40 },
    { id: 'soon', word: 'bowl', ml: 250, count: 10, laterMs: input.serviceAtMs + 2 * HOUR },
    { id: 'evening', word: 'cup', ml: 150, count: 20, laterMs: input.serviceAtMs + 5 * HOUR },
  ] as const;
  expect(litresToCool({ ...input, kinds }, plan)).toBeCloseTo(3, 9);
});
