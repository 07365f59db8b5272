import { describe, expect, it } from 'vitest';
import {
  batchCommandSchema,
  check,
  kitchenTimeMs,
  nextServiceAtMs,
  planRequestSchema,
  writtenSchema,
  zonedTimeMs,
} from './index';

describe('kitchen time', () => {
  it('runs from where it was set, as fast as it was set', () => {
    const clock = { kitchenFromMs: 1000, realFromMs: 500, speed: 60 };
    expect(kitchenTimeMs(clock, 700)).toBe(1000 + 200 * 60);
  });
  it('a service is today while it is ahead, else tomorrow', () => {
    const morning = Date.UTC(2026, 2, 10, 7, 15);
    expect(nextServiceAtMs({ time: '13:10' }, 'Europe/London', morning)).toBe(Date.UTC(2026, 2, 10, 13, 10));
    const evening = Date.UTC(2026, 2, 10, 19, 0);
    expect(nextServiceAtMs({ time: '13:10' }, 'Europe/London', evening)).toBe(Date.UTC(2026, 2, 11, 13, 10));
  });
  it('a night the clocks change: ten past one is an hour earlier by UTC, and the day has 23 hours', () => {
    const saturday = Date.UTC(2026, 2, 28, 20, 0);
    const sunday = nextServiceAtMs({ time: '13:10' }, 'Europe/London', saturday);
    expect(sunday).toBe(Date.UTC(2026, 2, 29, 12, 10));
    const before = zonedTimeMs('13:10', 'Europe/London', saturday);
    expect((sunday - before) / 3_600_000).toBe(23);
    expect(zonedTimeMs('13:10', 'Europe/London', Date.UTC(2026, 9, 24, 12), 1)).toBe(
      Date.UTC(2026, 9, 25, 13, 10),
    );
  });
});

describe('what crosses the wire', () => {
  it('names every bad field of an order at once', () => {
    const result = check(planRequestSchema, { recipeId: '', portions: 'many', portionMl: 9999 });
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.errors.map((error) => error.field)).toEqual(
      expect.arrayContaining(['recipeId', 'portions', 'portionMl', 'saltPercent', 'potId']),
    );
    expect(result.errors.every((error) => error.sentence.endsWith('.'))).toBe(true);
  });
  it('knows each kind of event and no other', () => {
    expect(check(batchCommandSchema, { type: 'lidSet', payload: { lid: 'ajar' } }).ok).toBe(true);
    expect(check(batchCommandSchema, { type: 'lidSet', payload: { lid: 'half' } }).ok).toBe(false);
    expect(check(writtenSchema, { type: 'lidSet', payload: {} }).ok).toBe(false);
    expect(check(batchCommandSchema, null).ok).toBe(false);
    expect(check(batchCommandSchema, { type: 'toString', payload: {} }).ok).toBe(false);
  });
});
