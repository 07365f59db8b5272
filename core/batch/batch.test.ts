import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adjustments } from '../adjust';
import { activeEvents } from '../log';
import { massKg, operations } from '../matter';
import { potLitres } from '../pot';
import { cookedLog, itemsFor, logOf, snapshotOf } from '../testing/broth';
import {
  advanceBatch,
  applyEvent,
  type BatchEvent,
  type BatchEventBody,
  batchResult,
  foldBatch,
  foldContext,
  forecastBand,
  learnedHeatFactor,
  levelTrace,
  openBatch,
  stageClock,
} from './';
import { toComeOut } from './pot-items';

const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const lastMs = log.at(-1)!.actedAtMs;
const at = (minute: number) => log[0]!.actedAtMs + minute * 60_000;
const event = (id: string, minute: number, body: BatchEventBody): BatchEvent => ({
  ...body,
  id,
  seq: 100 + minute,
  actedAtMs: at(minute),
});

describe('the fold', () => {
  it('puts in what was added, loses what was steamed, and the books balance', () => {
    const { pot } = foldBatch(snapshot, log, lastMs);
    expect(pot.addedKg).toBeCloseTo(
      itemsFor(snapshot, 'boil').reduce((sum, item) => sum + item.kg, 0),
      9,
    );
    expect(massKg(pot.mixture) + pot.evaporatedKg).toBeCloseTo(pot.addedKg, 9);
    expect(pot.evaporatedKg).toBeGreaterThan(0.5);
  });
  it('of a log is the fold of a prefix and then the rest', () => {
    const whole = foldBatch(snapshot, log, lastMs);
    for (let cut = 1; cut < log.length; cut++) {
      const context = foldContext(snapshot, log);
      let state = foldBatch(snapshot, log.slice(0, cut), 0);
      for (const one of log.slice(cut)) state = applyEvent(context, state, one);
      expect(state).toEqual(whole);
    }
    expect(openBatch(snapshot, { actedAtMs: at(0) }).pot.addedKg).toBe(0);
  });
  it('does not care in which order events arrive and are numbered (seed 41)', () => {
    const whole = foldBatch(snapshot, log, lastMs);
    fc.assert(
      fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (shuffled) => {
        const arrived = shuffled.map((one, i) => ({ ...one, seq: i + 1 }));
        expect(foldBatch(snapshot, arrived, lastMs)).toEqual(whole);
      }),
      { seed: 41, numRuns: 40 },
    );
  });
  it('runs forward from the last event to now, and never back', () => {
    const now = foldBatch(snapshot, log, lastMs);
    expect(massKg(foldBatch(snapshot, log, lastMs + 600_000).pot.mixture)).toBeLessThan(
      massKg(now.pot.mixture),
    );
    expect(advanceBatch(now, lastMs - 1)).toBe(now);
  });
});

describe('undo', () => {
  const undo = (id: string, target: string, minute = 80) =>
    event(id, minute, { type: 'undone', payload: { eventId: target } });
  it('takes one event back, and undoing the undo restores it', () => {
    const without = foldBatch(snapshot, log.slice(0, -1), at(90));
    const undone = foldBatch(snapshot, [...log, undo('u1', log.at(-1)!.id)], at(90));
    expect(undone).toEqual(without);
    const restored = foldBatch(snapshot, [...log, undo('u1', log.at(-1)!.id), undo('u2', 'u1', 81)], at(90));
    expect(restored).toEqual(foldBatch(snapshot, log, at(90)));
  });
  it('twice is once', () => {
    const id = log[3]!.id;
    const once = foldBatch(snapshot, [...log, undo('u1', id)], at(90));
    expect(foldBatch(snapshot, [...log, undo('u1', id), undo('u2', id, 81)], at(90))).toEqual(once);
  });
  it('of any event, in any log, then undone, is the log itself (seed 8)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...log), (target) => {
        const both = [...log, undo('u1', target.id), undo('u2', 'u1', 81)];
        expect(activeEvents(both)).toEqual(activeEvents(log));
      }),
      { seed: 8 },
    );
  });
});

describe('stages', () => {
  it('a fall counts from when its stage began, and its clock narrows with readings', () => {
    const begun = foldBatch(snapshot, log.slice(0, 8), at(46));
    const clock = stageClock(snapshot, begun)!;
    expect(clock.stage.id).toBe('fall');
    const progress = begun.stages.find((stage) => stage.stageId === 'fall')!;
    expect(clock.markLitres! / progress.fromLitres!).toBeCloseTo(0.8, 1);
    const later = stageClock(snapshot, foldBatch(snapshot, log, lastMs))!;
    expect(later.ends.p90Ms! - later.ends.p10Ms!).toBeLessThan(clock.ends.p90Ms! - clock.ends.p10Ms!);
    expect(later.markLitres).toBeCloseTo(clock.markLitres!, 1);
  });
  it('beginning the next one ends the one before', () => {
    const state = foldBatch(
      snapshot,
      [...log, event('n', 95, { type: 'stageBegun', payload: { stageId: 'roots' } })],
      at(96),
    );
    expect(state.currentStageId).toBe('roots');
    expect(state.stages.find((stage) => stage.stageId === 'fall')!.doneMs).toBe(at(95));
  });
  it('roots soften by their own clock, slower in a cool pot', () => {
    const roots = [
      ...log,
      event('r1', 95, { type: 'stageBegun', payload: { stageId: 'roots' } }),
      event('r2', 95.1, { type: 'added', payload: { items: itemsFor(snapshot, 'roots') } }),
    ];
    const hot = stageClock(snapshot, foldBatch(snapshot, roots, at(96)))!;
    const low = [...roots, event('r3', 95.2, { type: 'heatSet', payload: { fraction: 0.15 } })];
    const cool = stageClock(snapshot, foldBatch(snapshot, low, at(96)))!;
    expect(hot.ends.p50Ms! - at(95)).toBeGreaterThan(12 * 60_000);
    expect(cool.ends.p50Ms ?? Number.POSITIVE_INFINITY).toBeGreaterThan(hot.ends.p50Ms!);
  });
});

describe('readings that surprise', () => {
  const odd = event('odd', 80, { type: 'reading', payload: { kind: 'depth', value: 30 } });
  it('are kept and asked about, and change nothing until answered', () => {
    const state = foldBatch(snapshot, [...log, odd], at(80));
    expect(state.questions).toHaveLength(1);
    expect(state.questions[0]!.why).toBe('gained');
    expect(state.readings.at(-1)!.status).toBe('asked');
    expect(state.pot).toEqual(foldBatch(snapshot, log, at(80)).pot);
  });
  it('stood by, the pot is what was read; set aside, it is as before', () => {
    const answer = (believed: boolean) =>
      event('a', 81, { type: 'answered', payload: { eventId: 'odd', believed } });
    const yes = foldBatch(snapshot, [...log, odd, answer(true)], at(81));
    expect(yes.questions).toHaveLength(0);
    expect(potLitres(yes.pot)).toBeGreaterThan(28);
    const no = foldBatch(snapshot, [...log, odd, answer(false)], at(81));
    expect(no.questions).toHaveLength(0);
    expect(no.readings.at(-1)!.status).toBe('set aside');
    expect(massKg(no.pot.mixture)).toBeCloseTo(massKg(foldBatch(snapshot, log, at(81)).pot.mixture), 3);
  });
});

describe('a device that says what the pot cannot explain', () => {
  const reads = (id: string, minute: number, value: number) =>
    event(id, minute, { type: 'reading', payload: { kind: 'temperature', value, from: 'device' } });
  const says = (minute: number, eventId: string, believed: boolean) =>
    event(`a-${eventId}`, minute, { type: 'answered', payload: { eventId, believed } });
  const beside = [reads('p1', 80, 24), reads('p2', 82, 24.2), reads('p3', 84, 23.9)];
  const fold = (...more: BatchEvent[]) => foldBatch(snapshot, [...log, ...beside, ...more], at(90));
  it('is asked about once, however often it says it', () => {
    const state = fold();
    expect(state.questions.map((one) => one.eventId)).toEqual(['p1']);
    expect(state.readings.slice(-3).map((one) => one.status)).toEqual(['asked', 'set aside', 'set aside']);
  });
  it('called wrong, the like of it is set aside by itself for twenty minutes, then asked about again', () => {
    expect(fold(says(85, 'p1', false)).questions).toEqual([]);
    const later = fold(says(85, 'p1', false), reads('p4', 99, 24), reads('p5', 105, 24));
    expect(later.questions.map((one) => one.eventId)).toEqual(['p5']);
  });
  it('stood by, what it said after is believed with it', () => {
    const rising = [reads('p1', 80, 60), reads('p2', 82, 64.4), reads('p3', 84, 68.8)];
    const state = foldBatch(snapshot, [...log, ...rising, says(85, 'p1', true)], at(90));
    expect(state.questions).toEqual([]);
    expect(state.readings.slice(-3).every((one) => one.status === 'accepted')).toBe(true);
  });
  it('a cook’s own is always asked about', () => {
    const own = (id: string, minute: number) =>
      event(id, minute, { type: 'reading', payload: { kind: 'temperature', value: 24 } });
    expect(fold(own('c1', 86), own('c2', 87)).questions.map((one) => one.eventId)).toEqual([
      'p1',
      'c1',
      'c2',
    ]);
  });
});

describe('what must come out', () => {
  it('hangs there until it is lifted, piece by piece', () => {
    expect(toComeOut(foldBatch(snapshot, log, lastMs))).toMatchObject([{ word: 'bay', count: 3 }]);
    const two = event('o1', 80, { type: 'removed', payload: { word: 'bay', count: 2 } });
    const after = foldBatch(snapshot, [...log, two], at(80));
    expect(toComeOut(after)).toMatchObject([{ word: 'bay', count: 1 }]);
    expect(after.pot.takenOutKg).toBeGreaterThan(0);
    const rest = event('o2', 81, { type: 'removed', payload: { word: 'bay', count: 1 } });
    expect(toComeOut(foldBatch(snapshot, [...log, two, rest], at(81)))).toEqual([]);
  });
});

describe('serving and closing', () => {
  const serve = (id: string, minute: number, portions: number, fate: 'served' | 'discarded' = 'served') =>
    event(id, minute, { type: 'portioned', payload: { portions, fate } });
  const close = event('c', 100, { type: 'closed', payload: { leftLitres: 0.5 } });
  const served = [...log, serve('s1', 90, 40), serve('s2', 95, 2, 'discarded'), close];

  it('ladles leave the pot by the portion', () => {
    const before = foldBatch(snapshot, log, at(90));
    const after = foldBatch(snapshot, [...log, serve('s1', 90, 20)], at(90));
    expect(potLitres(before.pot) - potLitres(after.pot)).toBeCloseTo(5, 6);
    expect(after.served).toBe(20);
    expect(after.atService!.litres).toBeCloseTo(potLitres(before.pot), 9);
  });
  it('a closed batch is predicted beside actual, with the loss named', () => {
    const state = foldBatch(snapshot, served, at(101));
    const result = batchResult(snapshot, state, served);
    expect(result.actual.yieldLitres).toBeCloseTo(42 * 0.25 + 0.5, 9);
    expect(result.leftPortions).toBe(2);
    expect(result.predicted.yieldLitres).toBe(snapshot.plan.yieldLitres);
    expect(result.yieldGapLitres).toBeCloseTo(11 - snapshot.plan.yieldLitres, 9);
    const amounts = result.reasons.find((one) => one.code === 'amounts');
    expect(amounts).toMatchObject({ litres: expect.any(Number) });
    expect((amounts as { litres: number }).litres).toBeLessThan(0);
    expect(() => batchResult(snapshot, foldBatch(snapshot, log, lastMs), log)).toThrow(RangeError);
  });
  it('what arrives for a closed batch is kept and marked, and the result stands', () => {
    const closed = foldBatch(snapshot, served, at(101));
    const late = event('late', 110, { type: 'reading', payload: { kind: 'depth', value: 5 } });
    const state = foldBatch(snapshot, [...served, late], at(120));
    expect(state.lateEventIds).toEqual(['late']);
    expect(batchResult(snapshot, state, served)).toEqual(batchResult(snapshot, closed, served));
  });
});

describe('the bench', () => {
  const state = foldBatch(snapshot, log, lastMs);
  it('says the salt now, the salt it will come to, and the grams to the target', () => {
    const figures = adjustments(snapshot, state);
    expect(figures.saltPercentAll).toBeCloseTo(operations.saltPercent(state.pot.mixture, 'all'), 12);
    expect(figures.saltPercentAtEnd).not.toBeCloseTo(figures.saltPercentAll, 3);
    const kg = 15;
    expect(figures.saltToAddG).toBeGreaterThan(0.007 * kg * 1000);
    expect(figures.saltToAddG).toBeLessThan(0.012 * kg * 1000);
  });
  it('each way to thicken leads to the target it promises', () => {
    const { ways, bandAtEnd } = adjustments(snapshot, state, 3.5);
    expect(bandAtEnd).toBeGreaterThan(1.8);
    const ids = ways.map((way) => way.id);
    expect(ids).toEqual(
      expect.arrayContaining(['kneaded-butter', 'slurry-cornstarch', 'reduce', 'rouxBlond']),
    );
    // each gets there, or says how far it does
    for (const way of ways)
      if (way.warns.some((warn) => warn.code === 'fallsShort'))
        expect(way.after.band, way.id).toBeLessThan(3.45);
      else expect(way.after.band, way.id).toBeCloseTo(3.5, 1);
    const target = (id: string) => ways.find((way) => way.id === id)!.after;
    expect(target('reduce').saltPercent).toBeGreaterThan(target('slurry-cornstarch').saltPercent);
    expect(target('reduce').portions).toBeLessThan(target('slurry-cornstarch').portions);
    expect(target('kneaded-butter').costCents).toBeGreaterThan(target('reduce').costCents);
  });
  it('adding what a way says makes the pot what it said', () => {
    const thicker = { ...snapshot, input: { ...snapshot.input, band: 3.5 } };
    const slurry = adjustments(thicker, state).ways.find((way) => way.id === 'slurry-cornstarch')!;
    const ingredients = snapshot.input.ingredients;
    expect(ingredients.cornstarch).toBeDefined();
    const after = foldBatch(
      thicker,
      [...log, event('w', 75, { type: 'added', payload: { items: slurry.items } })],
      lastMs,
    );
    expect(adjustments(thicker, after).bandAtEnd).toBeCloseTo(slurry.after.band, 2);
    expect(adjustments(thicker, after).ways).toEqual([]);
  });
  it('too thick is loosened, at a price in taste and portions', () => {
    const looser = { ...snapshot, input: { ...snapshot.input, band: 1 } };
    const { ways } = adjustments(looser, state);
    expect(ways.map((way) => way.id)).toEqual(['loosen-vegetable-stock', 'loosen-milk', 'loosen-water']);
    for (const way of ways) expect(way.after.band).toBeCloseTo(1, 0);
    expect(ways[2]!.after.saltPercent).toBeLessThan(adjustments(looser, state).saltPercentAll);
  });
  it('has nothing to say of an empty pot', () => {
    expect(adjustments(snapshot, foldBatch(snapshot, [], at(0))).ways).toEqual([]);
  });
});

describe('what the kitchen learns', () => {
  it('closed batches draw the first guess in', () => {
    const known = learnedHeatFactor(Array.from({ length: 5 }, () => ({ mean: 0.8, sd: 0.05 })));
    expect(known.mean).toBeGreaterThan(0.8);
    expect(known.mean).toBeLessThan(0.83);
    expect(known.sd).toBeLessThan(learnedHeatFactor([]).sd);
    expect(known.batches).toBe(5);
  });
  it('the level is traced, and the first forecast kept to be held against it', () => {
    const trace = levelTrace(snapshot, log, lastMs);
    expect(trace.at(-1)!.litres).toBeCloseTo(potLitres(foldBatch(snapshot, log, lastMs).pot), 2);
    const band = forecastBand(snapshot, log)!;
    expect(band.points[0]!.atMs).toBeLessThan(at(46));
    expect(band.points.at(-1)!.highLitres).toBeLessThanOrEqual(band.markLitres);
    for (const point of band.points) expect(point.lowLitres).toBeLessThanOrEqual(point.highLitres);
    expect(forecastBand(snapshot, logOf([]))).toBeNull();
  });
});
