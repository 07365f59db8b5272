import { describe, expect, it } from 'vitest';
import { learnedRates } from '../batch';
import { chanceOf } from '../testing/chance';
import { DIAL_KINDS, firstDial, learnedMarks, markNear } from './';

describe('settings as the cook knows them', () => {
  it.each(DIAL_KINDS.filter((kind) => kind !== 'percent'))('marks of %s rise to full', (kind) => {
    const dial = firstDial(kind)!;
    const shares = dial.map((mark) => mark.share);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(new Set(shares).size).toBe(shares.length);
    expect(shares.at(-1)).toBe(1);
  });
  it('a mark is as near as it can be, and off is no mark', () => {
    const dial = firstDial('words')!;
    expect([0.05, 0.39, 0.41, 0.9].map((share) => markNear(dial, share)?.word)).toEqual([
      'low',
      'low',
      'medium',
      'high',
    ]);
    expect(markNear(dial, 0)).toBeUndefined();
    expect(firstDial('percent')).toBeUndefined();
    expect(() => firstDial('marks', 40)).toThrow(/marks.*40/);
  });
  it('a tap of nine marks learned from five batches orders its marks, nearer the truth than the guess (seed 9)', () => {
    const { uniform } = chanceOf(9);
    const gauss = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const dial = firstDial('marks', 9)!;
    // a gas tap gives most of its flame in its first half
    const truth = (share: number) => 1 - (1 - share) ** 2.2;
    const heatFactor = 0.9;
    // five batches, at six of the marks each; two marks in turn are never used
    const segments = Array.from({ length: 5 }, (_, batch) =>
      dial
        .filter((_mark, i) => i !== 3 && (i + batch) % 3 !== 0)
        .map(({ share }) => ({
          potId: 'p',
          burnerId: 'b',
          fraction: share,
          lid: 'off' as const,
          minutes: 30,
          arriving: { mean: (heatFactor * truth(share) * (1 + 0.1 * gauss())) / share, sd: 0.1 },
        })),
    ).flat();
    const rates = learnedRates(segments);
    const raw = dial.map(({ share }) => {
      const own = rates.find((rate) => Math.abs(rate.fraction - share) < 0.06);
      return own ? (own.arriving.mean * share) / heatFactor : share;
    });
    // as they came they are out of order: that is what has to be mended
    expect(raw.some((one, i) => i > 0 && one < raw[i - 1]!)).toBe(true);
    const marks = learnedMarks(dial, rates, heatFactor);
    const gives = marks.map((mark) => mark.gives.mean);
    for (const [i, one] of gives.entries()) if (i > 0) expect(one).toBeGreaterThanOrEqual(gives[i - 1]!);
    const off = (list: readonly number[]) =>
      Math.sqrt(list.reduce((sum, one, i) => sum + (one - truth(dial[i]!.share)) ** 2, 0) / list.length);
    expect(off(gives)).toBeLessThan(0.5 * off(dial.map((mark) => mark.share)));
    expect(marks[3]!.seen).toBe(0);
    expect(marks[3]!.gives.sd).toBeGreaterThan(marks[4]!.gives.sd);
  });
  it('without a batch the guesses stand', () => {
    const dial = firstDial('flame')!;
    for (const mark of learnedMarks(dial, [], 1)) expect(mark.gives.mean).toBeCloseTo(mark.share, 9);
  });
});
