import { describe, expect, it } from 'vitest';
import { filledPot } from '../../demo/filled-pot';
import { NOTHING_KNOWN, potFor } from '../order';
import { type PlanInput, planBatch, setupOf, unlearned } from '../plan';
import {
  FIRST_GUESS_BODY,
  FIRST_GUESS_FLOOR,
  FIRST_GUESS_SURFACE,
  floorMargin,
  openPot,
  potLitres,
  readBody,
  variance,
} from '../pot';
import { cookedLog, logOf, orderOf, snapshotOf } from '../testing/broth';
import { chanceOf } from '../testing/chance';
import {
  type BatchEvent,
  type BatchEventBody,
  batchResult,
  betweenSdOf,
  evidenceOf,
  foldBatch,
  type LearnedShare,
  levers,
  NO_STRETCHES,
  type ShareKey,
  shareOf,
  TESTED_BELOW,
  withStretch,
} from './';

const with_ = (change: Partial<PlanInput>) => snapshotOf(orderOf(change));
const { pot } = orderOf();

/** The dish cooked on, turned down under the boil, weighed as often as the level says so, and closed. */
function closedLog(snapshot = snapshotOf(), ...last: BatchEventBody[]): BatchEvent[] {
  const start = cookedLog(snapshot);
  const more = logOf([
    [76, { type: 'heatSet', payload: { fraction: 0.3 } }],
    [90, { type: 'reading', payload: { kind: 'temperature', value: 90 } }],
    [100, { type: 'reading', payload: { kind: 'weight', value: 11.2 } }],
    [120, { type: 'reading', payload: { kind: 'temperature', value: 90.2 } }],
    [140, { type: 'reading', payload: { kind: 'weight', value: 10.6 } }],
    ...last.map((body, i) => [141 + i, body] as [number, BatchEventBody]),
  ]);
  return [...start, ...more.map((one, i) => ({ ...one, id: `m${i}`, seq: start.length + i + 1 }))];
}
const resultOf = (snapshot: ReturnType<typeof snapshotOf>, log: BatchEvent[]) =>
  batchResult(snapshot, foldBatch(snapshot, log, 0), log);

describe('what leaves a surface, from batch to batch', () => {
  const snapshot = snapshotOf();
  const result = resultOf(snapshot, closedLog(snapshot, { type: 'closed', payload: { leftLitres: 0 } }));
  const below = result.segments!.find((one) => one.fraction === 0.3)!;

  it('a stretch under the boil that was read says what left under its lid, and what was known before', () => {
    expect(below.leaving!.knew.sd).toBeLessThanOrEqual(FIRST_GUESS_SURFACE.off.sd + 0.1);
    expect(below.leaving!.sd).toBeLessThan(below.leaving!.knew.sd);
    expect(evidenceOf(below.leaving!, below.leaving!.knew)).not.toBeNull();
  });
  it('the next batch in that pot starts from it, and another pot does not', () => {
    const key: ShareKey = { surfaceOf: pot.id, lid: 'off' };
    const seen = evidenceOf(below.leaving!, below.leaving!.knew)!;
    const learned: LearnedShare = shareOf(
      key,
      withStretch(NO_STRETCHES, { ...seen, minutes: below.minutes }),
    );
    const kitchen = { learned: { ...NOTHING_KNOWN, shares: [learned] } };
    const known = potFor(kitchen, pot, 'broth');
    expect(known.surfaces).toEqual([{ lid: 'off', share: learned.share }]);
    expect(potFor(kitchen, { ...pot, id: 'another' }, 'broth').surfaces).toBeUndefined();
    const next = foldBatch(with_({ pot: known }), [], 0).pot;
    expect(next.surface).toBe(learned.share.mean);
    expect(variance(next.covariance, 'surface')).toBeCloseTo(learned.share.sd ** 2, 12);
    expect(learned.share.sd).toBeLessThan(FIRST_GUESS_SURFACE.off.sd);
  });
  it('a lid that is known is put on as it is known', () => {
    const surfaces = [{ lid: 'on' as const, share: { mean: 0.6, sd: 0.3 } }];
    const covered = foldBatch(with_({ pot: { ...pot, surfaces } }), cookedLog(snapshot).slice(0, 3), 0).pot;
    expect(covered.lid).toBe('on');
    expect(covered.surface + covered.passes).toBeCloseTo(0.6, 12);
  });
  it('readings that make less than nothing of it leave a batch that can be opened', () => {
    const below = withStretch(NO_STRETCHES, { mean: -0.4, sd: 0.02, minutes: 60 });
    const { share } = shareOf({ surfaceOf: pot.id, lid: 'off' }, below);
    expect(share.mean).toBeGreaterThan(0);
    const surfaces = [{ lid: 'off' as const, share }];
    expect(foldBatch(with_({ pot: { ...pot, surfaces } }), [], 0).pot.surface).toBe(share.mean);
  });
  it('nothing seen is the first guess', () => {
    expect(shareOf({ surfaceOf: 'p', lid: 'ajar' }, NO_STRETCHES).share.mean).toBe(1);
    expect(shareOf({ floorOf: 'p', recipeId: 'r' }, NO_STRETCHES).share.mean).toBe(1);
  });
});

describe('what a floor bears, from batch to batch', () => {
  const snapshot = snapshotOf();
  const closing = (floor?: 'clean' | 'caught') => ({
    type: 'closed' as const,
    payload: { leftLitres: 0, ...(floor ? { floor } : {}) },
  });
  const caught: BatchEventBody = { type: 'slip', payload: { kind: 'trouble', trouble: 'scorched' } };
  const floorOf = (log: BatchEvent[]) => resultOf(snapshot, log).floor;

  it('not looked at, it has shown nothing', () => {
    expect(floorOf(closedLog(snapshot, closing()))).toBeUndefined();
  });
  it('caught, it bears less than was thought; found clean, no less', () => {
    const after = floorOf(closedLog(snapshot, caught, closing()))!;
    expect(after).toMatchObject({ potId: pot.id, recipeId: 'broth', knew: FIRST_GUESS_FLOOR });
    expect(after.mean).toBeLessThan(FIRST_GUESS_FLOOR.mean);
    const atClosing = floorOf(closedLog(snapshot, closing('caught')))!;
    expect(atClosing.mean).toBeLessThan(FIRST_GUESS_FLOOR.mean);
    const clean = floorOf(closedLog(snapshot, closing('clean')))!;
    expect(clean.mean).toBeGreaterThanOrEqual(FIRST_GUESS_FLOOR.mean);
  });
  it('caught in three batches, the same heat has less margin and the pot is brought up more gently', () => {
    let sums = NO_STRETCHES;
    let known = orderOf().pot;
    const key: ShareKey = { floorOf: pot.id, recipeId: 'broth' };
    for (let batch = 0; batch < 3; batch++) {
      const here = with_({ pot: known });
      const { floor } = resultOf(here, closedLog(here, closing('caught')));
      const seen = evidenceOf({ mean: floor!.mean, sd: floor!.sd }, floor!.knew);
      if (seen) sums = withStretch(sums, { ...seen, minutes: 0 });
      known = potFor({ learned: { ...NOTHING_KNOWN, shares: [shareOf(key, sums)] } }, pot, 'broth');
    }
    expect(known.floor!.mean).toBeLessThan(0.75);
    expect(potFor({ learned: { ...NOTHING_KNOWN, shares: [shareOf(key, sums)] } }, pot, 'other').floor).toBe(
      undefined,
    );
    const state = (of: typeof known) => foldBatch(with_({ pot: of }), closedLog(with_({ pot: of })), 0);
    const [plain, learned] = [state(pot), state(known)];
    expect(floorMargin(learned.setup, learned.pot, 5)! / floorMargin(plain.setup, plain.pot, 5)!).toBeCloseTo(
      known.floor!.mean,
      2,
    );
    const margins = (of: typeof plain) =>
      levers(snapshot, of, { pots: [], burners: [] }).flatMap((one) => one.margin ?? []);
    margins(learned).forEach((margin, i) => {
      expect(margin).toBeLessThan(margins(plain)[i]!);
    });
    expect(setupOf(with_({ pot: known }).input).floorBears).toBe(known.floor!.mean);
  });
});

describe('how a dish thickens, from batch to batch', () => {
  it('a factor learned from ten batches is within its interval in 80 of 100 recipes, and nobody learns from no test (seed 2209)', () => {
    const draw = chanceOf(2209);
    // of twelve numbers between nought and one the sum is as good as normal: Irwin and Hall 1927
    const normal = (sd: number) =>
      sd * (Array.from({ length: 12 }, draw.uniform).reduce((sum, one) => sum + one, 0) - 6);
    const key: ShareKey = { bodyOf: 'broth' };
    const recipes = 1500;
    let inside = 0;
    for (let n = 0; n < recipes; n++) {
      const recipe = normal(FIRST_GUESS_BODY.sd);
      let sums = NO_STRETCHES;
      let knew: { mean: number; sd: number } = FIRST_GUESS_BODY;
      for (let batch = 0; batch < 10; batch++) {
        const truth = recipe + normal(betweenSdOf(key));
        // one to three tests of a spoon, each with its doubt, as the pot takes them in
        let here = openPot({ atMs: 0, tempC: 90, heatFactor: { mean: 1, sd: 0.1 }, body: knew });
        const logSd = 0.25;
        for (let test = 0; test < 1 + draw.below(3); test++) {
          const gPerL = 40 * Math.exp(truth + normal(logSd));
          here = readBody(here, { gPerL, logSd }, 40 * here.body!.factor).pot;
        }
        const shown = { mean: Math.log(here.body!.factor), sd: here.body!.sd };
        const seen = evidenceOf(shown, knew, TESTED_BELOW);
        if (seen) sums = withStretch(sums, { ...seen, minutes: 0 }, betweenSdOf(key));
        knew = shareOf(key, sums).share;
      }
      const next = recipe + normal(betweenSdOf(key));
      if (Math.abs(next - knew.mean) < 1.2816 * knew.sd) inside++;
    }
    expect(inside / recipes).toBeGreaterThan(0.77);
    expect(inside / recipes).toBeLessThan(0.86);
    expect(shareOf(key, NO_STRETCHES).share.mean).toBe(0);
    expect(shareOf(key, NO_STRETCHES).share.sd).toBeGreaterThan(FIRST_GUESS_BODY.sd);
  });
  it('a pot found thin by a test has the next plan dose by it, and says so', () => {
    const { snapshot, filled, said, at } = filledPot('trout-chowder');
    const test = said(60, { type: 'tested', payload: { test: 'lineSpread', value: 12, tempC: 90 } });
    const closing = said(90, { type: 'closed', payload: { leftLitres: 1 } });
    const { body } = batchResult(snapshot, at(91, test, closing), [filled, test, closing]);
    expect(body).toMatchObject({ recipeId: 'trout-chowder', knew: FIRST_GUESS_BODY });
    expect(body!.mean).toBeLessThan(0);
    expect(batchResult(snapshot, at(91, closing), [filled, closing]).body).toBeUndefined();

    const flourKg = (known: { mean: number; sd: number; batches: number } | null) => {
      const input = known ? { ...snapshot.input, body: known } : snapshot.input;
      const plan = planBatch(input);
      const solved = input.recipe.lines
        .filter((line) => line.scaling === 'toThickness')
        .map((line) => line.id);
      const kg = plan.lines
        .filter((line) => solved.includes(line.lineId))
        .reduce((sum, line) => sum + line.edibleKg, 0);
      return { kg, told: plan.workings.body.lines.some((line) => line.code === 'bodyLearned') };
    };
    const [usual, thin] = [flourKg(null), flourKg({ mean: -0.2, sd: 0.1, batches: 3 })];
    expect(usual.told).toBe(false);
    expect(thin.told).toBe(true);
    expect(thin.kg).toBeGreaterThan(usual.kg * 1.15);
  });
});

describe('a cook’s eye, from rehearsals', () => {
  const gone = (eye?: PlanInput['eye']) => {
    const snapshot = with_(eye ? { eye } : {});
    const log = cookedLog(snapshot).filter((one) => one.type !== 'reading');
    const at = log.at(-1)!.actedAtMs;
    const call: BatchEvent = {
      type: 'reading',
      payload: { kind: 'eye', value: 15 },
      id: 'eye',
      seq: log.length + 1,
      actedAtMs: at + 20 * 60_000,
    };
    const before = potLitres(foldBatch(snapshot, log, at).pot);
    return 1 - potLitres(foldBatch(snapshot, [...log, call], call.actedAtMs).pot) / before;
  };
  it('what it calls too early is taken down by as much, and the surer eye counts for more', () => {
    expect(gone({ mean: 0.2, sd: 0.1 })).toBeLessThan(gone({ mean: 0, sd: 0.1 }));
    const expected = gone({ mean: 0, sd: 5 });
    const usual = gone();
    expect(Math.abs(gone({ mean: 0, sd: 0.02 }) - 0.15)).toBeLessThan(Math.abs(usual - 0.15) + 1e-9);
    expect(Math.abs(usual - 0.15)).toBeLessThan(Math.abs(expected - 0.15));
  });
  it('a pot that is really so knows none of it', () => {
    const surfaces = [{ lid: 'off' as const, share: { mean: 0.5, sd: 0.1 } }];
    const input = orderOf({
      eye: { mean: 0.2, sd: 0.1 },
      body: { mean: 0.3, sd: 0.1, batches: 4 },
      pot: { ...pot, surfaces, floor: { mean: 0.4, sd: 0.1 } },
    });
    const real = unlearned(input, 0.8);
    expect(real.pot).toEqual(pot);
    expect(real.eye).toBeUndefined();
    expect(real.body).toBeUndefined();
    expect(real.burner.heatFactor.mean).toBe(0.8);
  });
});
