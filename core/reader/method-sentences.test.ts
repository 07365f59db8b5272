import { describe, expect, it } from 'vitest';
import { blendedIn, goneIn, lidIn, minutesIn } from './method-sentences';

describe('how long a sentence says (written before the code that reads them)', () => {
  it.each([
    ['Simmer for 20 minutes.', 20],
    ['Simmer 1 hour 45 covered, skimming.', 105],
    ['Cook for 1 hour and 45 minutes', 105],
    ['Cook for 1hr 30mins', 90],
    ['Simmer for 1 h 15 min', 75],
    ['Simmer for 1¾ hours.', 105],
    ['Simmer for 1 3/4 hours.', 105],
    ['Simmer for 1½ hours', 90],
    ['Leave for an hour and a half.', 90],
    ['Simmer for an hour and three quarters.', 105],
    ['Cook an hour and a quarter', 75],
    ['Simmer for two hours', 120],
    ['Simmer for 2 to 3 hours', 150],
    ['Simmer for 1½–2 hours', 105],
    ['Cook 45–50 min', 47.5],
    ['Fry for 5 or 6 minutes', 5.5],
    ['Until soft, about 20 minutes', 20],
    ['Simmer for half an hour', 30],
    ['Simmer for three quarters of an hour', 45],
    ['Stand a quarter of an hour', 15],
    ['Simmer for an hour', 60],
    ['Roast at 200 °C for 1 hour', 60],
    ['Roast for 1 hour 200 °C', 60],
    ['Simmer 1 hour, 2 litres should be left', 60],
    ['Bring to the boil', null],
    ['Add 45 g of flour', null],
  ] as const)('%s', (sentence, minutes) => {
    if (minutes === null) expect(minutesIn(sentence)).toBeNull();
    else expect(minutesIn(sentence)).toBeCloseTo(minutes, 6);
  });
});

describe('how much is gone, blended, and under which lid', () => {
  it.each([
    ['Reduce by a third', 1 / 3],
    ['Reduce by one third.', 1 / 3],
    ['Boil until reduced by half', 0.5],
    ['Reduce by half', 0.5],
    ['until a quarter has gone', 0.25],
    ['Reduce by two thirds', 2 / 3],
    ['Reduce by 20 %', 0.2],
    ['Boil down to a third', 2 / 3],
    ['Reduce until thick', null],
    ['Boil down to about 2 litres', null],
  ] as const)('%s', (sentence, gone) => {
    if (gone === null) expect(goneIn(sentence)).toBeNull();
    else expect(goneIn(sentence)).toBeCloseTo(gone, 6);
  });
  it.each([
    ['Blend a third, return the meat, season.', 1 / 3],
    ['Blend half of the soup', 0.5],
    ['Purée two thirds of it', 2 / 3],
    ['Blend until smooth', null],
    ['Blend the soup with half the cream', null],
  ] as const)('%s', (sentence, share) => {
    if (share === null) expect(blendedIn(sentence)).toBeNull();
    else expect(blendedIn(sentence)).toBeCloseTo(share, 6);
  });
  it.each([
    ['Simmer covered for an hour', 'on'],
    ['Cover and simmer', 'on'],
    ['Simmer uncovered', 'off'],
    ['Simmer with the lid ajar', 'ajar'],
    ['Simmer partly covered', 'ajar'],
    ['Pour over water to cover by 2 cm', null],
    ['Simmer gently', null],
  ] as const)('%s', (sentence, lid) => expect(lidIn(sentence)).toBe(lid));
});
