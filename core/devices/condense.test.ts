import { describe, expect, it } from 'vitest';
import type { BatchEvent, BatchEventBody } from '../batch';
import { condense, type Sample } from './condense';
import { lastDisturbedMs } from './last-disturbed-ms';

const every = (seconds: number, values: readonly number[]): Sample[] =>
  values.map((value, i) => ({ atMs: i * seconds * 1000, value }));

describe('one reading out of a stream', () => {
  it('on the way up it is where the line stands now, not where it was (4 °C a minute, one look amiss)', () => {
    const rising = every(60, [60, 64, 68, 40, 76, 80, 84]);
    expect(condense('probe', rising, null)).toEqual({ atMs: 360_000, value: 84 });
  });
  it('is the middle of what is steady, once there is enough of it', () => {
    expect(condense('probe', every(1, [90, 90.2, 90.1, 90.1]), null)).toBeNull();
    // one sample in seven from a lid that was lifted does not move it
    expect(condense('probe', every(1, [90, 90.2, 90.1, 42, 90.1, 90.3, 90]), null)).toEqual({
      atMs: 6000,
      value: 90.1,
    });
    expect(condense('scale', every(1, [12.011, 12.006, 12.01, 12.0, 12.02]), null)!.value).toBeCloseTo(
      12.01,
      9,
    );
  });
  it('comes again when the last is old, or when it is far off', () => {
    const now = every(1, [95, 95, 95.1, 95, 95.2]);
    const last = (minutesAgo: number, value: number) => ({ atMs: 4000 - minutesAgo * 60_000, value });
    expect(condense('probe', now, last(1, 94.5))).toBeNull();
    expect(condense('probe', now, last(5, 94.5))).not.toBeNull();
    expect(condense('probe', now, last(1, 80))).not.toBeNull();
  });
  it('waits while it jumps about, and forgets what is long past', () => {
    expect(condense('probe', every(1, [60, 90, 40, 95, 20, 80, 99]), null)).toBeNull();
    expect(condense('probe', every(700, [90, 90, 90, 90, 90]), null)).toBeNull();
    expect(condense('probe', [], null)).toBeNull();
  });
});

describe('when a pot was last disturbed', () => {
  const say = (i: number, of: BatchEventBody): BatchEvent => ({ ...of, id: `e${i}`, seq: i, actedAtMs: i });
  const added = say(3, { type: 'added', payload: { items: [] } });
  const heat = (i: number) => say(i, { type: 'heatSet', payload: { fraction: 0.4 } });
  const note = say(9, { type: 'note', payload: { text: 'steams' } });
  it('never, while nothing has gone in', () => {
    expect(lastDisturbedMs([])).toBeNull();
    expect(lastDisturbedMs([heat(1), note])).toBeNull();
    expect(lastDisturbedMs([added, say(4, { type: 'undone', payload: { eventId: 'e3' } })])).toBeNull();
  });
  it('at the last load, change of heat or lid, in any order of arrival; a note or a look disturbs nothing', () => {
    expect(lastDisturbedMs([added, note])).toBe(3);
    expect(lastDisturbedMs([heat(7), added, note, heat(5)])).toBe(7);
  });
});
