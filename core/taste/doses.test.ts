import { describe, expect, it } from 'vitest';
import { chanceOf } from '../testing/chance';
import { type DoseTried, neutralised, nextDose, tastersDiffer, type Verdict } from './';

describe('bicarbonate against acid', () => {
  it('84.0 g takes 64.0 g of anhydrous citric acid; 5 g of acid takes 6.56 g and gives 1.9 L of gas', () => {
    // worked by hand from atomic weights: 5/64.0 mol × 84.0 g; × 24.47 L
    expect(neutralised(64).bicarbonateG).toBeCloseTo(84, 6);
    expect(neutralised(5).bicarbonateG).toBeCloseTo(6.56, 2);
    expect(neutralised(5).gasL).toBeCloseTo(1.91, 2);
  });
  it('keeps its sodium apart: a gram of it tastes of two and a half grams of salt', () => {
    const { sodiumG, asSaltG } = neutralised(64);
    expect(sodiumG).toBeCloseTo(22.99, 2);
    // salt is 39.3 % sodium (atomic weights)
    expect(asSaltG * 0.3934).toBeCloseTo(sodiumG, 1);
  });
});

describe('doses by verdict', () => {
  it('first half of the usual, a quarter for a bit more; then as much again, or half as much', () => {
    expect(nextDose(40, 'more', [])).toBe(20);
    expect(nextDose(40, 'bitMore', [])).toBe(10);
    const tried: DoseTried[] = [{ amount: 20, verdict: 'more' }];
    expect(nextDose(20, 'more', tried)).toBe(20);
    expect(nextDose(20, 'bitMore', tried)).toBe(10);
    for (const verdict of ['right', 'tooMuch', 'farTooMuch'] as const)
      expect(nextDose(20, verdict, tried)).toBe(0);
  });
  it('once it was too much and is not any more, half of the last', () => {
    const tried: DoseTried[] = [
      { amount: 20, verdict: 'more' },
      { amount: 8, verdict: 'tooMuch' },
    ];
    expect(nextDose(20, 'more', tried)).toBe(4);
  });
  it('ends at a hidden palate within four spoons, in 95 of 100 of a thousand (seed 1804)', () => {
    const draw = chanceOf(1804);
    let ended = 0;
    for (let palate = 0; palate < 1000; palate++) {
      // what this mouth wants in all, of a usual first dose: half to three times as much, more often near it
      const wanted = Math.exp(draw.between(-0.7, 0.7) + draw.between(-0.35, 0.35) + 0.25);
      let sum = 0;
      const tried: DoseTried[] = [];
      for (let spoon = 1; spoon <= 4; spoon++) {
        const verdict = says(sum / wanted, draw.between(-0.05, 0.05));
        if (verdict === 'right') break;
        const dose = nextDose(1, verdict, tried);
        if (dose === 0) break;
        sum += dose;
        tried.push({ amount: dose, verdict: null });
      }
      if (says(sum / wanted, 0) === 'right') ended++;
    }
    expect(ended / 1000).toBeGreaterThanOrEqual(0.95);
  });
});

describe('two cooks at one pot', () => {
  const spoon = (
    atMs: number,
    by: string | null,
    says: Parameters<typeof tastersDiffer>[0][number]['says'],
  ) => ({
    atMs,
    by,
    says,
  });
  it('what they call differently, the furthest apart first; nothing of what one of them did not taste', () => {
    const differ = tastersDiffer(
      [
        spoon(1, 'Ada', { salt: 'right', acid: 'more', heat: 'right' }),
        spoon(2, 'Ben', { salt: 'bitMore', acid: 'tooMuch', sweet: 'more', heat: 'right' }),
      ],
      0,
    )!;
    expect(differ).toMatchObject({ first: 'Ada', second: 'Ben' });
    expect(differ.on.map((one) => one.scale)).toEqual(['acid', 'salt']);
  });
  it('not across a dose, not of one cook twice, not of nobody', () => {
    const two = [spoon(1, 'Ada', { salt: 'right' }), spoon(3, 'Ben', { salt: 'more' })];
    expect(tastersDiffer(two, 2)).toBeNull();
    expect(tastersDiffer([two[0]!, spoon(2, 'Ada', { salt: 'more' })], 0)).toBeNull();
    expect(tastersDiffer([two[0]!, spoon(2, null, { salt: 'more' })], 0)).toBeNull();
    expect(tastersDiffer(two, 0)!.on).toHaveLength(1);
  });
});

/** A mouth tells a quarter too little, and two fifths too much; from memory, rough thresholds of taste. */
function says(share: number, noise: number): Verdict {
  const felt = share + noise;
  if (felt < 0.5) return 'more';
  if (felt < 0.75) return 'bitMore';
  return felt < 1.4 ? 'right' : 'tooMuch';
}
