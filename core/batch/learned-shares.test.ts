import { describe, expect, it } from 'vitest';
import { NOTHING_KNOWN, potFor } from '../order';
import { type PlanInput, setupOf, unlearned } from '../plan';
import { FIRST_GUESS_FLOOR, FIRST_GUESS_SURFACE, floorMargin, potLitres, variance } from '../pot';
import { cookedLog, logOf, orderOf, snapshotOf } from '../testing/broth';
import {
  type BatchEvent,
  type BatchEventBody,
  batchResult,
  evidenceOf,
  foldBatch,
  type LearnedShare,
  levers,
  NO_STRETCHES,
  type ShareKey,
  shareOf,
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
      pot: { ...pot, surfaces, floor: { mean: 0.4, sd: 0.1 } },
    });
    const real = unlearned(input, 0.8);
    expect(real.pot).toEqual(pot);
    expect(real.eye).toBeUndefined();
    expect(real.burner.heatFactor.mean).toBe(0.8);
  });
});
