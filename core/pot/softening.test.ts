import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMPONENTS, INGREDIENT_BY_ID, massKg } from '../matter';
import { softBody } from '../thickness';
import { leaveFoodOut, liftFoodOut, openPot, type PotState, putFoodIn } from './';
import { finishStage } from './finish-stage';
import { liquidLitres } from './pot-litres';
import { steep } from './steep';

const of = (id: string) => INGREDIENT_BY_ID[id]!;
const potOf = (...foods: [string, number][]): PotState =>
  foods.reduce(
    (pot, [id, kg]) => putFoodIn(pot, { ingredient: of(id), kg, tempC: 20 }),
    openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.1 } }),
  );
/** So many minutes at 100 °C. */
const cooked = (pot: PotState, minutes: number): PotState => {
  const after = steep(pot.mixture, pot.steeping ?? [], {
    diffuses: minutes,
    dissolves: minutes,
    softens: minutes,
  });
  return { ...pot, ...after };
};
const blendedPot = (pot: PotState, share = 1) => finishStage(pot, { kind: 'puree', share, sieve: 'none' });
const bodyGPerL = (pot: PotState) => pot.mixture.flourEquivalentG / liquidLitres(pot);

describe('body comes as a food softens, and as it is blended', () => {
  it('a split pea soup: thin at first, coats the spoon as the peas are soft, sets by itself after', () => {
    // common practice: 200 g of split peas to the litre, soft in 50 min, a thick soup in an hour and a half unblended
    const soup = potOf(['water', 10], ['split-pea', 2]);
    expect(bodyGPerL(soup)).toBe(0);
    expect(bodyGPerL(cooked(soup, 10))).toBeLessThan(10);
    expect(bodyGPerL(cooked(soup, 50))).toBeGreaterThan(30);
    expect(bodyGPerL(cooked(soup, 50))).toBeLessThan(62);
    expect(bodyGPerL(cooked(soup, 90))).toBeGreaterThan(60);
    expect(cooked(soup, 90).mixture.flourEquivalentG / 2).toBeGreaterThan(350);
  });
  it('red lentils fall apart within half an hour; barley and rice keep to themselves', () => {
    const perKg = (id: string, minutes: number) =>
      cooked(potOf(['water', 10], [id, 1]), minutes).mixture.flourEquivalentG;
    expect(perKg('red-lentil', 30)).toBeGreaterThan(250);
    expect(perKg('pearl-barley', 40)).toBeLessThan(100);
    expect(perKg('rice', 15)).toBeLessThan(100);
  });
  it('porridge, 140 g of oats to the litre, holds a drawn line after ten minutes (common practice)', () => {
    expect(bodyGPerL(cooked(potOf(['water', 1], ['oats', 0.14]), 10))).toBeGreaterThan(70);
  });
  it('what fell apart lies in the liquid with the water it drank, and none is lost', () => {
    const soup = potOf(['water', 10], ['split-pea', 2]);
    const after = cooked(soup, 240);
    expect(massKg(after.mixture)).toBeCloseTo(massKg(soup.mixture), 9);
    const { comesG, blendedG } = softBody(of('split-pea'), 2);
    const apart = (comesG / blendedG) * (1 - 2 ** (-240 / 30)) ** 2;
    expect(after.mixture.liquid.starch).toBeCloseTo(apart * 2 * of('split-pea').perKg.starch, 9);
    expect(soup.mixture.pieces.water - after.mixture.pieces.water).toBeCloseTo(
      apart * 2 * (of('split-pea').perKg.water + of('split-pea').drinks!),
      9,
    );
  });
  it.each([
    'split-pea',
    'red-lentil',
    'white-bean',
    'pearl-barley',
    'potato',
    'bread',
  ])('%s blended when it is soft thickens like all its pulp, whatever had fallen apart before (nothing twice)', (id) => {
    const pulpG = softBody(of(id), 1).blendedG;
    for (const minutes of [400, 800]) {
      const smooth = blendedPot(cooked(potOf(['water', 10], [id, 1]), minutes));
      expect(smooth.mixture.flourEquivalentG / pulpG).toBeCloseTo(1, 1);
    }
  });
  it('blended hard it hardly thickens, and does as it cooks on; strained off, it goes with its liquid', () => {
    const raw = blendedPot(potOf(['water', 10], ['split-pea', 2]));
    const pulpG = softBody(of('split-pea'), 2).blendedG;
    expect(raw.mixture.flourEquivalentG).toBeCloseTo(0, 9);
    expect(cooked(raw, 800).mixture.flourEquivalentG / pulpG).toBeCloseTo(1, 3);
    const half = blendedPot(cooked(potOf(['water', 10], ['split-pea', 2]), 20), 0.5);
    expect(cooked(blendedPot(half), 900).mixture.flourEquivalentG / pulpG).toBeCloseTo(1, 2);
    expect(cooked(finishStage(raw, { kind: 'strain' }), 800).mixture.flourEquivalentG / pulpG).toBeCloseTo(
      1,
      3,
    );
  });
  it('any cooking and blending in any order ends between what falls apart and all of it (seed 4711)', () => {
    const step = fc.oneof(
      fc.record({ cook: fc.double({ min: 0, max: 60, noNaN: true }) }),
      fc.record({ blend: fc.double({ min: 0, max: 1, noNaN: true }) }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const start = potOf(['water', 12], ['red-lentil', 1], ['potato', 1], ['bread', 0.3]);
        const most = ['red-lentil', 'potato'].reduce((sum, id) => sum + softBody(of(id), 1).blendedG, 0);
        const all = most + softBody(of('bread'), 0.3).blendedG;
        let before = 0;
        let pot = start;
        for (const one of steps) {
          pot = 'cook' in one ? cooked(pot, one.cook) : blendedPot(pot, one.blend);
          expect(pot.mixture.flourEquivalentG).toBeGreaterThanOrEqual(before - 1e-9);
          before = pot.mixture.flourEquivalentG;
          expect(massKg(pot.mixture)).toBeCloseTo(massKg(start.mixture), 9);
          for (const component of COMPONENTS)
            expect(pot.mixture.pieces[component]).toBeGreaterThanOrEqual(-1e-12);
        }
        expect(cooked(blendedPot(pot), 2000).mixture.flourEquivalentG / all).toBeCloseTo(1, 1);
      }),
      { seed: 4711, numRuns: 100 },
    );
  });
  it('lifted out it leaves what it gave; struck from the log it gave nothing', () => {
    const soup = cooked(potOf(['water', 10], ['split-pea', 2]), 60);
    expect(liftFoodOut(soup, of('split-pea'), 2).mixture.flourEquivalentG).toBe(
      soup.mixture.flourEquivalentG,
    );
    const never = leaveFoodOut(soup, of('split-pea'), 2);
    expect(never.mixture.flourEquivalentG).toBeCloseTo(0, 9);
    expect(never.mixture.liquid.starch).toBeCloseTo(0, 9);
    const half = leaveFoodOut(soup, of('split-pea'), 1);
    expect(half.mixture.flourEquivalentG).toBeCloseTo(soup.mixture.flourEquivalentG / 2, 9);
  });
});
