import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, massesOf, massKg, totalKg } from '../matter';
import { addToPot, openPot, type PotState } from './';
import { finishStage } from './finish-stage';

const empty = openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.1 } });
const put = (pot: PotState, id: string, kg: number, tempC = 20) => {
  const row = INGREDIENT_BY_ID[id]!;
  return addToPot(pot, {
    masses: massesOf(row, kg),
    share: row.share,
    tempC,
    thirstKg: kg * (row.drinks ?? 0),
  });
};
const soup = () => put(put(put(empty, 'vegetable-stock', 8), 'celeriac', 4), 'potato', 1);

describe('what is done to the whole pot as a stage ends', () => {
  it('all puréed: no pieces are left, nothing is lost, and the pulp thickens', () => {
    const smooth = finishStage(soup(), { kind: 'puree', share: 1, sieve: 'none' });
    expect(totalKg(smooth.mixture.pieces)).toBeCloseTo(0, 12);
    expect(massKg(smooth.mixture)).toBeCloseTo(13, 9);
    expect(smooth.mixture.flourEquivalentG).toBeGreaterThan(300);
  });
  it('half puréed leaves half the pieces; twice half a quarter', () => {
    const half = finishStage(soup(), { kind: 'puree', share: 0.5, sieve: 'none' });
    expect(totalKg(half.mixture.pieces)).toBeCloseTo(2.5, 9);
    expect(
      totalKg(finishStage(half, { kind: 'puree', share: 0.5, sieve: 'none' }).mixture.pieces),
    ).toBeCloseTo(1.25, 9);
  });
  it('a fine sieve keeps 4 % of the pulp, a coarse one 1 %, and what it keeps is counted', () => {
    const through = (sieve: 'fine' | 'coarse') => finishStage(soup(), { kind: 'puree', share: 1, sieve });
    expect(13 - massKg(through('fine').mixture)).toBeCloseTo(0.04 * 5, 9);
    expect(13 - massKg(through('coarse').mixture)).toBeCloseTo(0.01 * 5, 9);
    expect(through('fine').takenOutKg).toBeCloseTo(0.2, 9);
  });
  it('strained: the pieces leave with 15 % of their weight in liquid', () => {
    const strained = finishStage(soup(), { kind: 'strain' });
    expect(totalKg(strained.mixture.pieces)).toBe(0);
    expect(totalKg(strained.mixture.liquid)).toBeCloseTo(8 - 0.75, 9);
    expect(strained.takenOutKg).toBeCloseTo(5 + 0.75, 9);
  });
  it('skimmed: so much of the floating fat, and only that', () => {
    const fatty = put(soup(), 'dripping', 0.5);
    const lean = finishStage(fatty, { kind: 'skim', share: 0.6 });
    expect(lean.mixture.liquid.fat).toBeCloseTo(fatty.mixture.liquid.fat * 0.4, 12);
    expect(massKg(lean.mixture) + lean.takenOutKg).toBeCloseTo(massKg(fatty.mixture), 9);
  });
  it('nothing to do, or nothing to do it to, changes nothing', () => {
    const pot = soup();
    expect(finishStage(pot, undefined)).toBe(pot);
    const plain = put(empty, 'vegetable-stock', 5);
    expect(finishStage(plain, { kind: 'puree', share: 1, sieve: 'fine' })).toBe(plain);
  });
  it('mass is kept through any of them in any order (seed 77)', () => {
    const deed = fc.oneof(
      fc.record({
        kind: fc.constant('puree' as const),
        share: fc.double({ min: 0, max: 1, noNaN: true }),
        sieve: fc.constantFrom('none' as const, 'coarse' as const, 'fine' as const),
      }),
      fc.constant({ kind: 'strain' as const }),
      fc.record({ kind: fc.constant('skim' as const), share: fc.double({ min: 0, max: 1, noNaN: true }) }),
    );
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 6 }), (deeds) => {
        const end = deeds.reduce((pot, one) => finishStage(pot, one), put(soup(), 'butter', 0.3));
        expect(massKg(end.mixture) + end.takenOutKg).toBeCloseTo(13.3, 9);
        for (const kg of Object.values({ ...end.mixture.liquid })) expect(kg).toBeGreaterThanOrEqual(-1e-12);
      }),
      { seed: 77, numRuns: 200 },
    );
  });
});

describe('dry pieces drink', () => {
  it('barley takes two and a half times its weight, out of the liquid into itself', () => {
    const pot = put(put(empty, 'vegetable-stock', 8), 'pearl-barley', 0.4);
    expect(pot.mixture.pieces.water).toBeCloseTo(0.4 * 0.101 + 1, 6);
    expect(massKg(pot.mixture)).toBeCloseTo(8.4, 9);
    expect(pot.thirstKg).toBeCloseTo(0, 12);
  });
  it('in dry fat it waits for the liquid, and then drinks', () => {
    const dry = put(put(empty, 'butter', 0.1), 'red-lentil', 0.5);
    expect(dry.thirstKg).toBeGreaterThan(1);
    const wet = put(dry, 'vegetable-stock', 5);
    expect(wet.thirstKg).toBeCloseTo(0, 12);
    expect(wet.mixture.pieces.water).toBeGreaterThan(1.1);
  });
  it('never drinks the pot dry', () => {
    const pot = put(put(empty, 'vegetable-stock', 1), 'pearl-barley', 2);
    expect(pot.mixture.liquid.water).toBeGreaterThan(0.19);
    expect(pot.thirstKg).toBeGreaterThan(4);
  });
  it('frozen peas cool the pot by what they take to melt: heat balance by hand', () => {
    const hot = put(empty, 'water', 10, 90);
    const cold = put(hot, 'peas', 2, -18);
    // 10 kg · 4.19 · (90 − t) = 2 kg · (18 · 2.1 + 0.789 · 334 + t · 3.6); t ≈ 69
    expect(cold.tempC).toBeGreaterThan(64);
    expect(cold.tempC).toBeLessThan(72);
    expect(put(hot, 'peas', 2, 5).tempC).toBeGreaterThan(cold.tempC + 8);
  });
});
