import { describe, expect, it } from 'vitest';
import { touchedWords } from './kitchen';

describe('what a change of a thing touches, said before it is made', () => {
  it.each([
    ['pot', [], 0, null],
    ['pot', ['leek soup'], 0, 'Leek soup goes on as it began.'],
    [
      'burner',
      ['leek soup', 'broth'],
      1,
      /^Leek soup and broth go on as they began; 1 planned order names it/,
    ],
    ['service', [], 1, '1 planned order is for it and keeps its hour.'],
    ['service', [], 3, '3 planned orders are for it and keep their hour.'],
  ] as const)('%s with %j and %d planned', (kind, cooking, planned, said) => {
    const words = touchedWords(kind, { cooking, planned });
    if (said instanceof RegExp) expect(words).toMatch(said);
    else expect(words).toBe(said);
  });
});
