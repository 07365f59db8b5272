import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Blend,
  type BlendPart,
  type BlendWanted,
  blendLots,
  concentrate,
  letDown,
  outcomeOf,
} from '../larder';
import { brixOf, INGREDIENT_BY_ID, type LotContents, NO_SAVOUR, totalKg } from '../matter';
import { contentsFor } from '../testing/larder';

/** A liquid of so much salt, other solids and savour, the rest water. */
function liquid(
  saltPercent: number,
  solidsPercent: number,
  savour: Partial<LotContents['savourPerKg']> = {},
): LotContents {
  const { perKg } = INGREDIENT_BY_ID.water!;
  const [salt, protein] = [saltPercent / 100, solidsPercent / 100];
  return contentsFor('chicken-stock', {
    perKg: { ...perKg, salt, protein, water: 1 - salt - protein },
    savourPerKg: { ...NO_SAVOUR, ...savour },
  });
}
const part = (id: string, contents: LotContents, leftKg = 100, centsPerKg = 100): BlendPart => ({
  id,
  contents,
  leftKg,
  centsPerKg,
});
const found = (blend: Blend) => {
  if (blend.kind !== 'blend') throw new Error(JSON.stringify(blend));
  return blend;
};
const loosened = (blend: Blend) => {
  if (blend.kind !== 'none') throw new Error('it has a solution');
  return [...blend.either, ...blend.together];
};

describe('blending lots', () => {
  it('two lots to a salt: the lever rule, 0.2 and 1.0 % to 0.5 % are 5 parts to 3 (by hand)', () => {
    const parts = [part('mild', liquid(0.2, 2)), part('salty', liquid(1, 2))];
    const { kgById, outcome } = found(
      blendLots(parts, { kg: 8, saltMin: 0.5, saltMax: 0.5, mayHaveWater: false }),
    );
    expect(kgById.mild).toBeCloseTo(5, 6);
    expect(kgById.salty).toBeCloseTo(3, 6);
    expect(outcome.saltPercent).toBeCloseTo(0.5, 6);
  });
  it('a strong stock and water to a strength: 6 °Brix to 3 is half and half (by hand)', () => {
    const { kgById, waterKg } = found(
      blendLots([part('strong', liquid(0, 6))], { kg: 10, brixMin: 3, mayHaveWater: true }),
    );
    expect(kgById.strong).toBeCloseTo(5, 6);
    expect(waterKg).toBeCloseTo(5, 6);
  });
  it('the cheapest corner: as much of the cheap as its salt allows (by hand)', () => {
    // cheap and salty 1.2 %, dear and mild 0.1 %, at most 0.5 %: (0.5 − 0.1) / (1.2 − 0.1) of the cheap
    const parts = [part('dear', liquid(0.1, 3), 100, 300), part('cheap', liquid(1.2, 3), 100, 80)];
    const { kgById, outcome } = found(blendLots(parts, { kg: 11, saltMax: 0.5, mayHaveWater: false }));
    expect(kgById.cheap).toBeCloseTo(4, 6);
    expect(outcome.centsPerKg).toBeCloseTo((4 * 80 + 7 * 300) / 11, 5);
  });
  it('savour multiplies: glutamate and nucleotide apart are little, together enough; the least of the dear one', () => {
    const parts = [
      part('kelp', liquid(0.1, 0.3, { glutamate: 0.0004 }), 100, 50),
      part('flakes', liquid(0.1, 0.3, { imp: 0.0002 }), 100, 200),
    ];
    const { kgById, outcome } = found(blendLots(parts, { kg: 10, umamiMin: 0.2, mayHaveWater: false }));
    expect(outcome.umami).toBeGreaterThan(0.2 - 1e-5);
    // by hand: x of flakes gives 0.04(1−x) + 1218 · 0.04(1−x) · 0.02x = 0.2, the smaller root
    const [a, b, c] = [-0.9744, 0.9344, -0.16];
    const x = (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a);
    expect(kgById.flakes! / 10).toBeCloseTo(x, 4);
  });
  it('whatever a hand poured together, it keeps that blend’s limits and is no dearer (seed 61)', () => {
    const tenths = (max: number) => fc.integer({ min: 0, max: 1000 }).map((n) => (n * max) / 1000);
    const shelf = fc.array(
      fc.record({
        salt: tenths(1.5),
        solids: tenths(12),
        glutamate: tenths(0.002),
        imp: tenths(0.0006),
        left: tenths(12),
        cents: tenths(900),
        poured: tenths(1),
      }),
      { minLength: 2, maxLength: 5 },
    );
    fc.assert(
      fc.property(shelf, tenths(5), (lots, waterKg) => {
        const parts = lots.map((one, i) =>
          part(
            `L${i}`,
            liquid(one.salt, one.solids, { glutamate: one.glutamate, imp: one.imp }),
            one.left,
            one.cents,
          ),
        );
        const byHand = Object.fromEntries(lots.map((one, i) => [`L${i}`, one.left * one.poured]));
        const kg = Object.values(byHand).reduce((sum, one) => sum + one, waterKg);
        if (kg < 0.5 || kg === waterKg) return;
        const hand = outcomeOf(parts, byHand, waterKg);
        const wanted: BlendWanted = {
          kg,
          saltMax: hand.saltPercent,
          brixMin: hand.brix,
          umamiMin: hand.umami,
          mayHaveWater: true,
        };
        const blend = found(blendLots(parts, wanted));
        for (const one of parts) expect(blend.kgById[one.id] ?? 0).toBeLessThanOrEqual(one.leftKg + 1e-6);
        expect(Object.values(blend.kgById).reduce((sum, one) => sum + one, blend.waterKg)).toBeCloseTo(kg, 4);
        expect(blend.outcome.saltPercent).toBeLessThanOrEqual(hand.saltPercent + 1e-4);
        expect(blend.outcome.brix).toBeGreaterThanOrEqual(hand.brix - 1e-3);
        expect(blend.outcome.umami).toBeGreaterThanOrEqual(hand.umami * (1 - 1e-3) - 1e-9);
        expect(blend.outcome.centsPerKg).toBeLessThanOrEqual(hand.centsPerKg * (1 + 1e-3) + 0.05);
      }),
      { seed: 61, numRuns: 300, endOnFailure: true },
    );
  });
  it('no random blend of two lots that keeps the limits is cheaper (seed 62)', () => {
    const parts = [
      part('A', liquid(0.3, 4, { glutamate: 0.0008 }), 100, 240),
      part('B', liquid(0.8, 1, { imp: 0.0003 }), 100, 60),
    ];
    const wanted = { kg: 10, saltMax: 0.6, brixMin: 1.5, umamiMin: 0.1, mayHaveWater: true };
    const best = found(blendLots(parts, wanted)).outcome.centsPerKg;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (kgA, share) => {
          const kgB = (10 - kgA) * share;
          const outcome = outcomeOf(parts, { A: kgA, B: kgB }, 10 - kgA - kgB);
          const keeps = outcome.saltPercent <= 0.6 && outcome.brix >= 1.5 && outcome.umami >= 0.1;
          if (keeps) expect(outcome.centsPerKg).toBeGreaterThanOrEqual(best - 1e-4);
        },
      ),
      { seed: 62, numRuns: 2000, endOnFailure: true },
    );
  });
});

/** The cheapest that is poured of each lot and water by twentieths of the whole; null where none keeps the limits. */
function bruteForce(
  parts: readonly BlendPart[],
  { kg, mayHaveWater }: BlendWanted,
  keeps: (outcome: ReturnType<typeof outcomeOf>) => boolean,
): number | null {
  const STEPS = 20;
  let cheapest: number | null = null;
  const pour = (i: number, left: number, kgById: Record<string, number>) => {
    if (i === parts.length) {
      if (left > 0 && !mayHaveWater) return;
      if (left === STEPS) return;
      const outcome = outcomeOf(parts, kgById, (left * kg) / STEPS);
      if (keeps(outcome) && (cheapest === null || outcome.centsPerKg < cheapest))
        cheapest = outcome.centsPerKg;
      return;
    }
    for (let n = 0; n <= left && (n * kg) / STEPS <= parts[i]!.leftKg; n++)
      pour(i + 1, left - n, { ...kgById, [parts[i]!.id]: (n * kg) / STEPS });
  };
  pour(0, STEPS, {});
  return cheapest;
}

describe('a blend with no solution says which limit to loosen', () => {
  it('salt that no lot is under', () => {
    expect(
      loosened(
        blendLots([part('A', liquid(0.6, 2)), part('B', liquid(0.9, 2))], {
          kg: 5,
          saltMax: 0.3,
          mayHaveWater: false,
        }),
      ),
    ).toEqual([{ limit: 'saltMax', wanted: 0.3, reachable: expect.closeTo(0.6, 3) }]);
  });
  it('more than there is', () => {
    expect(loosened(blendLots([part('A', liquid(0.1, 2), 3)], { kg: 5, mayHaveWater: false }))).toEqual([
      { limit: 'kg', wanted: 5, reachable: expect.closeTo(3, 3) },
    ]);
  });
  it('savour that cannot be had, and a price that cannot: any one of them is enough', () => {
    const parts = [part('A', liquid(0.1, 2, { glutamate: 0.0002 }), 100, 200)];
    expect(loosened(blendLots(parts, { kg: 5, umamiMin: 0.5, mayHaveWater: true }))).toEqual([
      { limit: 'umamiMin', wanted: 0.5, reachable: expect.closeTo(0.02, 4) },
    ]);
    // by hand: 2.1 °Brix at 200; 2 °Brix want 0.9524 of it, 190.5; at 50 it is a quarter of it, 0.525
    expect(loosened(blendLots(parts, { kg: 5, centsPerKgMax: 50, brixMin: 2, mayHaveWater: true }))).toEqual([
      { limit: 'brixMin', wanted: 2, reachable: expect.closeTo(0.525, 3) },
      { limit: 'centsPerKgMax', wanted: 50, reachable: expect.closeTo(190.5, 1) },
    ]);
  });
  it('too little of the strong one: less of it, or weaker, by hand', () => {
    const parts = [part('strong', liquid(0, 6), 2)];
    expect(loosened(blendLots(parts, { kg: 10, brixMin: 3, mayHaveWater: true }))).toEqual([
      { limit: 'kg', wanted: 10, reachable: expect.closeTo(4, 2) },
      { limit: 'brixMin', wanted: 3, reachable: expect.closeTo(1.2, 3) },
    ]);
  });
  it('water that would do alone is no blend, and a least over the most is a sentence', () => {
    const parts = [part('A', liquid(0.6, 2))];
    expect(blendLots(parts, { kg: 5, saltMax: 0.3, mayHaveWater: true })).toEqual({ kind: 'onlyWater' });
    expect(blendLots(parts, { kg: 5, saltMin: 0.9, saltMax: 0.3, mayHaveWater: true })).toEqual({
      kind: 'contradiction',
      least: 'saltMin',
      most: 'saltMax',
      leastValue: 0.9,
      mostValue: 0.3,
    });
  });
  it('against brute force on 300 problems: none that is poured by the tenth is cheaper, what is refused cannot be, and loosened as told it can (seed 64)', () => {
    const tenths = (max: number) => fc.integer({ min: 0, max: 1000 }).map((n) => (n * max) / 1000);
    const lots = fc.array(
      fc.record({
        salt: tenths(1.5),
        solids: tenths(12),
        glutamate: tenths(0.002),
        imp: tenths(0.0006),
        left: tenths(12),
        cents: tenths(900),
      }),
      { minLength: 1, maxLength: 3 },
    );
    const some = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
    const limits = fc.record({
      saltMin: some(tenths(1)),
      saltMax: some(tenths(1.2)),
      brixMin: some(tenths(8)),
      brixMax: some(tenths(10)),
      umamiMin: some(tenths(0.4)),
      centsPerKgMax: some(tenths(600)),
    });
    let refused = 0;
    fc.assert(
      fc.property(
        lots,
        limits,
        fc.integer({ min: 1, max: 20 }),
        fc.boolean(),
        (of, limit, kg, mayHaveWater) => {
          const parts = of.map((one, i) =>
            part(
              `L${i}`,
              liquid(one.salt, one.solids, { glutamate: one.glutamate, imp: one.imp }),
              one.left,
              one.cents,
            ),
          );
          const wanted = JSON.parse(JSON.stringify({ kg, mayHaveWater, ...limit })) as BlendWanted;
          const keeps = (outcome: ReturnType<typeof outcomeOf>, within: number, w: BlendWanted = wanted) =>
            outcome.saltPercent >= (w.saltMin ?? 0) - within &&
            outcome.saltPercent <= (w.saltMax ?? 100) + within &&
            outcome.brix >= (w.brixMin ?? 0) - within &&
            outcome.brix <= (w.brixMax ?? 100) + within &&
            outcome.umami >= (w.umamiMin ?? 0) - within &&
            outcome.centsPerKg <= (w.centsPerKgMax ?? 1e9) + within;
          const cheapest = bruteForce(parts, wanted, (outcome) => keeps(outcome, 0));
          const blend = blendLots(parts, wanted);
          if (blend.kind === 'blend') {
            expect(keeps(blend.outcome, 2e-3)).toBe(true);
            if (cheapest !== null) expect(blend.outcome.centsPerKg).toBeLessThanOrEqual(cheapest + 0.05);
            return;
          }
          if (blend.kind === 'onlyWater') {
            expect(mayHaveWater).toBe(true);
            return;
          }
          expect(cheapest).toBeNull();
          if (blend.kind === 'contradiction') return;
          refused += 1;
          const able = (limits: readonly { limit: string; reachable: number }[], times = 0) => {
            const loosened = Object.fromEntries(
              limits.map((one) => {
                const was = wanted[one.limit as keyof BlendWanted] as number;
                // a hair over the figure, as it is shown; or short of it by a share of the way
                return [
                  one.limit,
                  one.reachable + (was - one.reachable) * times + Math.sign(one.reachable - was) * 1e-6,
                ];
              }),
            );
            return ['blend', 'onlyWater'].includes(blendLots(parts, { ...wanted, ...loosened }).kind);
          };
          for (const one of blend.either) {
            expect(able([one]), `${one.limit} at ${one.reachable}`).toBe(true);
            const way = Math.abs(one.wanted - one.reachable);
            const tenthOfAPercent = (0.001 * Math.abs(one.reachable)) / Math.max(way, 1e-9);
            if (way > 0.01 && one.reachable > 0.02 && tenthOfAPercent < 1)
              expect(able([one], tenthOfAPercent), `${one.limit} a hair short`).toBe(false);
          }
          if (blend.either.length === 0 && blend.together.length > 0) expect(able(blend.together)).toBe(true);
        },
      ),
      { seed: 64, numRuns: 300, endOnFailure: true },
    );
    expect(refused).toBeGreaterThan(60);
  });
  it('nonsense is refused by name', () => {
    expect(() => blendLots([], { kg: 1, mayHaveWater: true })).toThrow(/parts/);
    expect(() => blendLots([part('A', liquid(0, 1))], { kg: 0, mayHaveWater: true })).toThrow(
      /wanted\.kg.*0/,
    );
  });
});

describe('concentrated and diluted', () => {
  it('ten litres of 3 °Brix to 30 is about one: nine tenths driven off, salt ten times (mass balance by hand)', () => {
    const stock = liquid(0.1, 2.9);
    const glaze = concentrate({ contents: stock, kg: 10, toBrix: 30 });
    expect(glaze.kg).toBeCloseTo(1, 9);
    expect(glaze.waterOffKg).toBeCloseTo(9, 9);
    expect(100 * glaze.contents.perKg.salt).toBeCloseTo(1, 9);
    expect(glaze.litres).toBeLessThan(1);
  });
  it('diluted again it is what it was (seed 63)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: 1.2, max: 8, noNaN: true }),
        (salt, solids, times) => {
          const contents = liquid(salt, solids, { glutamate: 0.0003 });
          const brix = brixOf(contents.perKg);
          const glaze = concentrate({ contents, kg: 7, toBrix: brix * times });
          const back = letDown({ contents: glaze.contents, kg: glaze.kg, toBrix: brix });
          expect(back.kg).toBeCloseTo(7, 6);
          expect(back.contents.perKg.salt).toBeCloseTo(contents.perKg.salt, 9);
          expect(back.contents.savourPerKg.glutamate).toBeCloseTo(0.0003, 9);
          expect(totalKg(glaze.contents.perKg)).toBeCloseTo(1, 9);
        },
      ),
      { seed: 63 },
    );
  });
  it('refused the wrong way round, and past where it scorches', () => {
    const contents = liquid(0.1, 2.9);
    expect(() => concentrate({ contents, kg: 1, toBrix: 2 })).toThrow(/toBrix.*2/);
    expect(() => letDown({ contents, kg: 1, toBrix: 9 })).toThrow(/toBrix.*9/);
    expect(() => concentrate({ contents, kg: 1, toBrix: 75 })).toThrow(/scorch/);
  });
});
