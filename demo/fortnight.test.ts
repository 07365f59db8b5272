import { describe, expect, it } from 'vitest';
import { foldBatch, massKg } from '../core';
import { TROUT_CHOWDER } from './dishes/trout-chowder';
import { cookFortnight } from './fortnight';
import { KITCHEN } from './kitchen';
import { seededRandom } from './seeded-random';

const past = cookFortnight();

describe('the past fortnight', () => {
  it('is five batches, oldest first, the same each time', () => {
    expect(past).toHaveLength(5);
    const starts = past.map((batch) => batch.createdAtMs);
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
    expect(cookFortnight()[2]!.result).toEqual(past[2]!.result);
    expect(new Set(past.flatMap((batch) => batch.events.map((event) => event.id))).size).toBe(
      past.reduce((sum, batch) => sum + batch.events.length, 0),
    );
  });
  it.each(
    past.map((batch, i) => [i + 1, batch] as const),
  )('batch %d is a log that folds and balances', (_, batch) => {
    const events = batch.events.map((event, i) => ({ ...event, seq: i + 1 }));
    const { pot, closed, questions, toComeOut } = foldBatch(batch.snapshot, events, batch.closedAtMs);
    expect(massKg(pot.mixture) + pot.evaporatedKg + pot.takenOutKg + pot.drawnKg).toBeCloseTo(pot.addedKg, 6);
    expect(closed).not.toBeNull();
    expect(questions).toEqual([]);
    expect(toComeOut).toEqual([]);
  });
  it('the hidden burner gives less than its plate, and the kitchen finds that out', () => {
    const priors = past.map((batch) => batch.snapshot.input.burner.gain.mean);
    expect(priors[0]).toBe(1);
    expect(priors.at(-1)!).toBeLessThan(0.93);
    for (const batch of past) {
      expect(batch.result.gain.mean).toBeGreaterThan(0.7);
      expect(batch.result.gain.mean).toBeLessThan(1);
      expect(batch.result.gain.sd).toBeLessThan(0.1);
    }
  });
  it('next time the forecast is better: the time at the stove is missed by less than the first time', () => {
    const missed = past.map((batch) =>
      Math.abs(batch.result.actual.cookingMinutes - batch.result.predicted.cookingMinutes),
    );
    const later = missed.slice(1).reduce((sum, minutes) => sum + minutes, 0) / (missed.length - 1);
    expect(later).toBeLessThan(missed[0]!);
  });
  it('yields come out short, as in a real kitchen, and the reason is named', () => {
    for (const { result } of past) {
      expect(result.yieldGapLitres).toBeLessThan(0);
      expect(result.yieldGapLitres).toBeGreaterThan(-1.5);
      expect(result.reasons.length).toBeGreaterThan(0);
      expect(result.served).toBeLessThanOrEqual(60);
    }
  });
});

describe('the demo’s own data', () => {
  it('the recipe hangs together: every line in a stage, every “same as” a line, one to salt, one to thickness', () => {
    const stages = new Set(TROUT_CHOWDER.stages.map((stage) => stage.id));
    for (const line of TROUT_CHOWDER.lines) expect(stages.has(line.stageId), line.id).toBe(true);
    for (const scaling of ['toSalt', 'toThickness', 'toYield']) {
      expect(TROUT_CHOWDER.lines.filter((line) => line.scaling === scaling)).toHaveLength(1);
    }
    expect(TROUT_CHOWDER.stages.at(-1)!.ends.rule).toBe('served');
  });
  it('three trains a day, in order', () => {
    expect(KITCHEN.services.map((service) => service.time)).toEqual(['11:40', '13:10', '18:05']);
  });
  it('seeded numbers come the same each time, evenly and normally', () => {
    const a = seededRandom(7);
    const b = seededRandom(7);
    const drawn = Array.from({ length: 4000 }, () => a.uniform());
    expect(drawn.slice(0, 5)).toEqual(Array.from({ length: 5 }, () => b.uniform()));
    const mean = drawn.reduce((sum, x) => sum + x, 0) / drawn.length;
    expect(mean).toBeCloseTo(0.5, 1);
    const normals = Array.from({ length: 4000 }, () => a.normal(2));
    const sd = Math.sqrt(normals.reduce((sum, x) => sum + x * x, 0) / normals.length);
    expect(sd).toBeCloseTo(2, 0);
  });
});
