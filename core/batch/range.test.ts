import { describe, expect, it } from 'vitest';
import { lookEveryMin } from '../plan';
import { advancePot, coverPot, setHeat } from '../pot';
import { cookedLog, orderOf, snapshotOf } from '../testing/broth';
import {
  callOf,
  dueSinceMs,
  evidenceOf,
  foldBatch,
  honesty,
  keptForecasts,
  learnedRates,
  levers,
  lookFromMs,
  type NextAction,
  rangeWalk,
  saves,
} from './';

const minute = 60_000;
const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const at = (m: number) => log[0]!.actedAtMs + m * minute;
const stage = snapshot.input.recipe.stages[1]!;
const look = (dueMs: number, everyMin = 5): NextAction => ({ kind: 'lookIn', stage, dueMs, everyMin });
const pot = (batchId: string, next: NextAction, snoozedUntilMs: number | null = null) => ({
  batchId,
  next,
  snoozedUntilMs,
});

describe('calls', () => {
  it('are silent until due, then louder the longer nobody comes', () => {
    const calls = [-1, 0, 1, 2, 4.9, 5, 30].map((m) => callOf(pot('a', look(0)), m * minute, 0));
    expect(calls).toEqual(['none', 'due', 'due', 'late', 'late', 'urgent', 'urgent']);
  });
  it('what spoils fast gets loud fast: a pot over its top temperature', () => {
    const cool: NextAction = {
      kind: 'cool',
      stage,
      dueMs: null,
      top: { tempC: 82, why: '', because: '', least: null, collides: false },
    };
    expect([0, 0.6, 2].map((m) => callOf(pot('a', cool), m * minute, 0))).toEqual(['due', 'late', 'urgent']);
  });
  it('put off, they wait so long and begin softly again', () => {
    const snoozed = pot('a', look(0), 10 * minute);
    expect([9, 10, 11, 12].map((m) => callOf(snoozed, m * minute, 0))).toEqual([
      'none',
      'due',
      'due',
      'late',
    ]);
  });
  it('what needs nothing never calls', () => {
    for (const next of [
      { kind: 'closed' },
      { kind: 'leave', stage, dueMs: null },
      { kind: 'handsOn', stage, dueMs: null },
      { kind: 'serve', stage, dueMs: 0 },
    ] as const)
      expect(dueSinceMs(next, 99, 0)).toBeNull();
    expect(dueSinceMs({ kind: 'begin', stage, lines: [], later: [], dueMs: 500 }, 400, 0)).toBeNull();
    expect(dueSinceMs({ kind: 'begin', stage, lines: [], later: [], dueMs: 300 }, 400, 0)).toBe(300);
  });
});

describe('one walk of the range', () => {
  it('takes along what may be pulled forward, and leaves what may not', () => {
    const walk = rangeWalk([
      pot('a', look(10 * minute)),
      pot('b', look(11 * minute)),
      pot('c', look(14 * minute)),
      pot('d', { kind: 'leave', stage, dueMs: null }),
      pot('e', look(14 * minute, 15)),
    ]);
    expect(walk).toEqual({ atMs: 10 * minute, batchIds: ['a', 'b', 'e'] });
    expect(rangeWalk([pot('d', { kind: 'closed' })])).toBeNull();
  });
  it('saves walks: three pots at 5, 6 and 7 min over two hours, against each by its own timer', () => {
    const every = [5, 6, 7];
    const due = every.map((m) => m * minute);
    let walks = 0;
    for (;;) {
      const walk = rangeWalk(every.map((m, i) => pot(String(i), look(due[i]!, m))))!;
      if (walk.atMs > 120 * minute) break;
      walks += 1;
      for (const id of walk.batchIds) due[Number(id)] = walk.atMs + every[Number(id)]! * minute;
    }
    const alone = every.reduce((sum, m) => sum + Math.floor(120 / m), 0);
    expect(alone).toBe(61);
    expect(walks).toBeLessThan(30);
    expect(walks).toBeGreaterThanOrEqual(24);
  });
});

describe('how often it is stirred', () => {
  const bound = (flourEquivalentG: number) => {
    const state = foldBatch(snapshot, log, at(80));
    return { ...state, pot: { ...state.pot, mixture: { ...state.pot.mixture, flourEquivalentG } } };
  };
  it('as written while it is thin, more often as it thickens, never under half a minute', () => {
    expect(lookEveryMin(8, bound(0).pot)).toBe(8);
    // about 14 L: 50 g/L coats the spoon (band 3), 100 mounds (band 5)
    expect(lookEveryMin(8, bound(700).pot)).toBeLessThan(6);
    expect(lookEveryMin(8, bound(1400).pot)).toBeLessThan(2);
    expect(lookEveryMin(8, bound(20_000).pot)).toBe(0.5);
  });
  it('it may be answered a little early: three quarters of a minute, or a third of a short interval', () => {
    expect(lookFromMs({ dueMs: at(10), everyMin: 8 })).toBe(at(10) - 45_000);
    expect(lookFromMs({ dueMs: at(10), everyMin: 1 })).toBe(at(10) - 21_000);
  });
});

describe('levers, before any is moved', () => {
  const wide = {
    id: 'wide',
    name: 'wide pan',
    vessel: { shape: 'cylinder' as const, diameterCm: 60, heightCm: 30 },
    emptyMassKg: 9,
  };
  const strong = {
    ...orderOf().burner,
    id: 'strong',
    name: 'strong burner',
    powerW: 12_000,
    potIds: ['wide', 'second'],
  };
  const second = {
    ...wide,
    id: 'second',
    name: 'second pot',
    vessel: { shape: 'cylinder' as const, diameterCm: 36, heightCm: 30 },
  };
  // under half heat, so that a lever has something to give
  const gentle = [
    ...log,
    {
      id: 'g',
      seq: 900,
      actedAtMs: at(76),
      type: 'heatSet' as const,
      payload: { fraction: 0.4 },
    },
  ];
  const state = foldBatch(snapshot, gentle, at(80));
  const found = levers(snapshot, state, { pots: [wide, second], burners: [strong] });
  const by = (id: RegExp) => found.find((one) => id.test(one.id))!;
  it('more heat is sooner, less is later, a lid is later below the boil', () => {
    expect(by(/^heat-1/).gainsMin!).toBeGreaterThan(by(/^heat-0.75/).gainsMin!);
    expect(by(/^heat-0.75/).gainsMin!).toBeGreaterThan(0);
    expect(by(/^heat-0.25/).gainsMin ?? -1).toBeLessThan(0);
    expect(by(/^as-it-is/).gainsMin).toBe(0);
    expect(by(/^lid-on/).when.p50Ms ?? Number.POSITIVE_INFINITY).toBeGreaterThanOrEqual(
      by(/^as-it-is/).when.p50Ms!,
    );
  });
  it('a wider pan on a stronger burner saves time, and so do two pots', () => {
    expect(by(/^pot-wide-strong/).gainsMin!).toBeGreaterThan(2);
    expect(by(/^split-/).gainsMin!).toBeGreaterThan(2);
  });
  it('more heat has less margin; what would catch saves nothing', () => {
    expect(by(/^heat-1/).margin!).toBeLessThan(by(/^heat-0.75/).margin!);
    const service = by(/^as-it-is/).when.p50Ms! - 5 * minute;
    const saving = saves(found, service);
    expect(saving.length).toBeGreaterThan(0);
    expect(saving.every((one) => one.margin! >= 1 && one.when.p50Ms! <= service)).toBe(true);
    expect(saves([{ ...saving[0]!, margin: 0.5 }], service)).toEqual([]);
  });
  it('a lid hardly changes a full boil and says so; turned down it saves most of the burner', () => {
    const hard = { id: 'h', seq: 902, actedAtMs: at(76), type: 'heatSet' as const, payload: { fraction: 1 } };
    const boil = levers(snapshot, foldBatch(snapshot, [...log, hard], at(78)), { pots: [], burners: [] });
    const lid = (way: string) => boil.find((one) => one.id === `lid-${way}`)!;
    const { covered, gainsMin, lid: under } = lid('on');
    expect(under).toBe('on');
    expect(covered!.isBoiling).toBe(true);
    const leftMin = (boil[0]!.when.p50Ms! - at(78)) / minute;
    expect(Math.abs(gainsMin!)).toBeLessThan(0.1 * leftMin);
    expect(covered!.holds).toBeLessThan(0.6 * covered!.holdsNow);
    expect(covered!.savesKW).toBeCloseTo(
      ((covered!.holdsNow - covered!.holds) * snapshot.input.burner.powerW) / 1000,
      9,
    );
    // held at that share under the lid, it comes to the same simmer by itself
    const held = coverPot(setHeat(state.pot, covered!.holds), 'on');
    const later = advancePot(state.setup, held, held.atMs + 300 * minute);
    expect(Math.abs(later.tempC - (state.setup.air.boilingC - 1.5))).toBeLessThan(1.5);
    for (const other of boil.filter((one) => one.kind !== 'lid')) expect(other.covered).toBeNull();
  });
  it('a stage that goes by the clock has none', () => {
    const clockStage = [
      ...log,
      {
        id: 's',
        seq: 901,
        actedAtMs: at(90),
        type: 'stageBegun' as const,
        payload: { stageId: 'season' },
      },
    ];
    expect(levers(snapshot, foldBatch(snapshot, clockStage, at(91)), { pots: [], burners: [] })).toEqual([]);
  });
});

describe('what the kitchen has learned', () => {
  const segment = (mean: number, change: object = {}) => ({
    potId: 'a',
    burnerId: 'b',
    fraction: 0.5,
    lid: 'off' as const,
    minutes: 30,
    arriving: { mean, sd: 0.05 },
    knew: { mean: 1, sd: 1e6 },
    ...change,
  });
  it('by pot, burner, setting and lid, the mean between what was seen, surer with more', () => {
    const one = learnedRates([segment(0.8)])[0]!;
    const rates = learnedRates([segment(0.8), segment(0.9), segment(0.7, { lid: 'on' })]);
    expect(rates).toHaveLength(2);
    const off = rates.find((rate) => rate.lid === 'off')!;
    expect(off.arriving.mean).toBeCloseTo(0.85, 9);
    expect(off.arriving.sd).toBeLessThan(one.arriving.sd);
    expect([off.segments, off.minutes]).toEqual([2, 60]);
  });
  it('a kettle that was never read teaches nothing, however often it was cooked in', () => {
    const unread = Array.from({ length: 6 }, () =>
      segment(0.6, { arriving: { mean: 0.6, sd: 0.25 }, knew: { mean: 0.6, sd: 0.25 } }),
    );
    expect(learnedRates(unread)).toEqual([]);
    expect(evidenceOf({ mean: 1, sd: 0.22 })).toBeNull();
    // the doubt grows as the burner wanders
    expect(evidenceOf({ mean: 0.6, sd: 0.27 }, { mean: 0.6, sd: 0.25 })).toBeNull();
  });
  it('what was known before is counted once: five batches that each began where the last ended come to their readings', () => {
    // by hand: a normal prior and five normal readings, precisions add (any text on Bayesian statistics)
    const read = [0.8, 0.85, 0.75, 0.82, 0.78];
    const sd = 0.08;
    let known = { mean: 1, sd: 0.22 };
    const seen = read.map((value) => {
      const precision = 1 / known.sd ** 2 + 1 / sd ** 2;
      const after = {
        mean: (known.mean / known.sd ** 2 + value / sd ** 2) / precision,
        sd: precision ** -0.5,
      };
      const shown = evidenceOf(after, known)!;
      known = after;
      return shown;
    });
    seen.forEach((one, i) => {
      expect(one.mean).toBeCloseTo(read[i]!, 9);
      expect(one.sd).toBeCloseTo(sd, 9);
    });
  });
  it('a burner that has drifted is noticed, one that only wobbles is not', () => {
    const steady = [0.85, 0.8, 0.83, 0.81, 0.84].map((mean) => segment(mean));
    expect(learnedRates(steady)[0]!.drifted).toBeNull();
    const drifted = learnedRates([...steady, segment(0.55), segment(0.57)])[0]!.drifted!;
    expect(drifted).toBeLessThan(-0.25);
  });
});

describe('forecasts that were shown, beside what came true', () => {
  const done = [
    ...log,
    {
      id: 'd',
      seq: 902,
      actedAtMs: at(92),
      type: 'stageDone' as const,
      payload: { stageId: 'fall' },
    },
  ];
  const kept = keptForecasts(snapshot, done);
  it('each that a reading or a change made is kept, and nothing that came after', () => {
    const fall = kept.filter((one) => one.stageId === 'fall');
    expect(fall.map((one) => one.saidMs)).toEqual([at(45.2), at(60), at(75)]);
    expect(
      fall.every((one) => one.cameMs === at(92) && one.p10Ms <= one.p50Ms && one.p50Ms <= one.p90Ms),
    ).toBe(true);
    const alone = keptForecasts(
      snapshot,
      done.filter((one) => one.actedAtMs < at(70) || one.type === 'stageDone'),
    );
    expect(alone.find((one) => one.saidMs === at(60))).toEqual(fall[1]);
  });
  it('honesty is counted by hand: inside, how far off, which way', () => {
    const of = (p50: number, came: number) => ({
      stageId: 'x',
      saidMs: 0,
      p10Ms: p50 * 0.9,
      p50Ms: p50,
      p90Ms: p50 * 1.1,
      cameMs: came,
    });
    const told = honesty([of(100, 105), of(100, 130), of(100, 80)])!;
    expect(told.inside).toBeCloseTo(1 / 3, 9);
    expect(told.late).toBeCloseTo(2 / 3, 9);
    expect(told.medianOff).toBeCloseTo(30 / 130, 9);
    expect(honesty([])).toBeNull();
  });
});
