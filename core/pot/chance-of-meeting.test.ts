import { describe, expect, it } from 'vitest';
import { normalShare } from '../forecast';
import { NO_MASSES } from '../matter';
import { STOCKPOT } from '../testing/stockpot';
import { addToPot, coverPot, fractionToHold, mayNever, openPot, potWays, setHeat } from './';

describe('a share of a standard normal', () => {
  // source: published: normal tables
  it.each([
    [0, 0.5],
    [1, 0.841345],
    [-1.959964, 0.025],
    [1.281552, 0.9],
    [-3, 0.00135],
  ])('below %d is %d', (z, share) => expect(normalShare(z)).toBeCloseTo(share, 5));
});

describe('a pot that may never get there', () => {
  const empty = openPot({ atMs: 0, tempC: 85, heatFactor: { mean: 1, sd: 0.15 } });
  const open = addToPot(empty, { masses: { ...NO_MASSES, water: 20 }, share: 'liquid', tempC: 85 });
  const filled = coverPot(open, 'ajar');
  const held = (tempC: number) =>
    setHeat(filled, fractionToHold(STOCKPOT, potWays(STOCKPOT, filled), tempC, 1), { mean: 1, sd: 0.1 });
  const up = (tempC: number) => ({ kind: 'temperature', tempC }) as const;
  it('is as likely as not held at just the heat it is asked for, hardly far under it, surely far over', () => {
    const even = mayNever(STOCKPOT, held(92), up(92))!;
    expect(even.chance).toBeGreaterThan(0.3);
    expect(even.chance).toBeLessThan(0.7);
    expect(mayNever(STOCKPOT, held(87), up(95))!.chance).toBeGreaterThan(even.chance);
    expect(mayNever(STOCKPOT, setHeat(filled, 1), up(92))).toBeNull();
  });
  it('is told the least heat at which it does, and there it does', () => {
    const { turnUpTo } = mayNever(STOCKPOT, held(90), up(95))!;
    expect(turnUpTo).toBeGreaterThan(held(90).heatFraction);
    expect(mayNever(STOCKPOT, setHeat(held(90), turnUpTo!), up(95))).toBeNull();
  });
  it('is never told a heat that it cannot take, and nothing while it is left to cool', () => {
    const { turnUpTo } = mayNever(STOCKPOT, held(90), up(95))!;
    const gentle = mayNever(STOCKPOT, held(90), up(95), (heated) => heated.heatFraction < turnUpTo!)!;
    expect(gentle.turnUpTo).toBeNull();
    expect(mayNever(STOCKPOT, held(90), { kind: 'cooled', tempC: 20 })).toBeNull();
  });
  it('with the heat off nothing is said of heat', () => {
    expect(mayNever(STOCKPOT, filled, up(92))).toBeNull();
  });
});
