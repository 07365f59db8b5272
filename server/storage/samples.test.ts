import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { startBatch } from '../batches/start-batch';
import { type CommandKitchen, commandKitchen } from '../testing/command-kitchen';
import { insertSamples, type SampleRow, samplesOf, spansOf, thinSamples } from './sample-rows';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const BATCH = '018f0000-0000-7000-8000-0000000005a1';
const ALL = 1_000_000;

let kitchen: CommandKitchen;
beforeEach(() => {
  kitchen = commandKitchen();
  startBatch(kitchen, {
    id: BATCH,
    recipeId: 'broth',
    portions: 10,
    portionMl: 250,
    saltPercent: 0.8,
    band: 2,
    serviceAtMs: kitchen.clock.nowMs() + 4 * HOUR,
    potId: 'pot',
    burnerId: 'ring',
    overrideReason: 'x',
  });
});
afterEach(() => kitchen.remove());

/** A probe and a scale that speak every ten seconds for so many hours. */
function spoken(fromMs: number, hours: number): SampleRow[] {
  return Array.from({ length: hours * 360 }, (_, i) => ({
    deviceId: i % 2 === 0 ? 'probe' : 'scale',
    batchId: BATCH,
    kind: i % 2 === 0 ? ('temperature' as const) : ('weight' as const),
    value: 20 + ((i * 7919) % 100) / 10,
    atMs: fromMs + i * 10_000,
  }));
}
const insert = (rows: readonly SampleRow[]) => kitchen.storage.transact((tx) => insertSamples(tx, rows));
/** Thinned a piece at a time until there is nothing left to thin, as the server's chores do. */
function thin(nowMs: number, most: number): number[] {
  const turns: number[] = [];
  for (;;) {
    const done = kitchen.storage.transact((tx) => thinSamples(tx, nowMs, most));
    if (done === 0) return turns;
    turns.push(done);
  }
}
const count = () => {
  const { db } = kitchen.storage;
  return samplesOf(db, BATCH, 0, ALL).length + spansOf(db, BATCH).reduce((sum, one) => sum + one.count, 0);
};

describe('samples', () => {
  it('are whole for 48 h, then a minute’s mean, least and greatest, then five; none is lost, whatever comes late', () => {
    const fromMs = Math.floor(kitchen.clock.nowMs() / DAY) * DAY;
    const rows = spoken(fromMs, 6);
    insert(rows);
    const nowMs = fromMs + 51 * HOUR;
    const turns = thin(nowMs, 500);
    expect(Math.max(...turns)).toBeLessThanOrEqual(500 + 6);
    const { db } = kitchen.storage;
    const whole = samplesOf(db, BATCH, 0, ALL);
    expect(whole).toHaveLength(rows.filter((row) => row.atMs >= nowMs - 48 * HOUR).length);
    expect(count()).toBe(rows.length);
    for (const span of spansOf(db, BATCH)) {
      expect([span.spanMs, span.fromMs % MINUTE]).toEqual([MINUTE, 0]);
      const own = rows
        .filter(
          (row) => row.deviceId === span.deviceId && Math.floor(row.atMs / MINUTE) === span.fromMs / MINUTE,
        )
        .map((row) => row.value);
      expect([span.count, span.least, span.greatest]).toEqual([
        own.length,
        Math.min(...own),
        Math.max(...own),
      ]);
      expect(span.mean).toBeCloseTo(own.reduce((sum, value) => sum + value, 0) / own.length, 9);
    }
    // one more of a minute that is thinned already
    insert([{ ...rows[0]!, value: 99 }]);
    thin(nowMs, 500);
    const first = spansOf(db, BATCH).find((one) => one.deviceId === 'probe')!;
    expect([first.count, first.greatest]).toEqual([4, 99]);
    expect(first.mean).toBeCloseTo((20 + rows[2]!.value + rows[4]!.value + 99) / 4, 9);

    thin(fromMs + 91 * DAY, 500);
    const fives = spansOf(db, BATCH);
    expect(new Set(fives.map((one) => one.spanMs))).toEqual(new Set([5 * MINUTE]));
    expect(fives).toHaveLength(2 * 6 * 12);
    expect(count()).toBe(rows.length + 1);
    const all = [...rows, { ...rows[0]!, value: 99 }].filter((row) => row.deviceId === 'probe');
    const mean = all.reduce((sum, row) => sum + row.value, 0) / all.length;
    const kept = fives.filter((one) => one.deviceId === 'probe');
    expect(kept.reduce((sum, one) => sum + one.mean * one.count, 0) / all.length).toBeCloseTo(mean, 9);
  });
  it('a minute that holds more than one turn takes is thinned whole all the same', () => {
    const atMs = Math.floor(kitchen.clock.nowMs() / MINUTE) * MINUTE;
    insert(Array.from({ length: 900 }, (_, i) => ({ ...spoken(atMs, 1)[0]!, atMs: atMs + i * 60 })));
    thin(atMs + 3 * DAY, 100);
    expect([samplesOf(kitchen.storage.db, BATCH, 0, ALL).length, count()]).toEqual([0, 900]);
  });
});
