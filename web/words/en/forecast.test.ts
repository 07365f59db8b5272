import { describe, expect, it } from 'vitest';
import { heatShownWords, mayNeverWords, surfaceShownWords } from './forecast';

describe('a forecast in words', () => {
  it.each([
    [{ chance: 0.33, turnUpTo: 0.6 }, '1 in 3 that it won’t get there at this heat: turn up to 60 %.'],
    [{ chance: 0.5, turnUpTo: 1 }, 'Even odds that it won’t get there at this heat: turn up to 100 %.'],
    [{ chance: 0.7, turnUpTo: 0.4 }, '2 in 3 that it won’t get there at this heat: turn up to 40 %.'],
    [{ chance: 1, turnUpTo: 0.9 }, 'It won’t get there at this heat: turn up to 90 %.'],
  ])('%o', (never, said) => expect(mayNeverWords(never, true)).toBe(said));
  it('where it may not be turned up, a reduction wants the lid off and a heating pot wants it on', () => {
    const never = { chance: 0.99, turnUpTo: null };
    expect(mayNeverWords(never, true)).toBe('It won’t get there at this heat: lid off, or a wider pot.');
    expect(mayNeverWords(never, false)).toBe(
      'It won’t get there at this heat: put the lid on, or a stronger burner.',
    );
  });
  it('says what the readings have shown of heat and surface, and how sure that is', () => {
    expect(heatShownWords('Burner 2', { mean: 0.88, sd: 0.08 })).toBe(
      'Burner 2 gives 12 % less than it is rated at (± 8 %).',
    );
    expect(heatShownWords('Burner 2', { mean: 1.01, sd: 0.06 })).toBe(
      'Burner 2 gives just what it is rated at (± 6 %).',
    );
    expect(surfaceShownWords({ mean: 0.8, sd: 0.15 }, 'ajar')).toBe(
      'This pot loses 20 % less than usual under this lid (± 15 %).',
    );
    expect(surfaceShownWords({ mean: 1, sd: 0.55 }, 'off')).toBe(
      'What leaves the surface is a first guess (± 55 %).',
    );
  });
});
