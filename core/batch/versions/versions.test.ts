import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { UnknownVersion, type Written } from '../../log';
import type { BatchEventBody } from '../batch-event';
import { EVENT_VERSIONS, upcastBatchEvent } from './upcast-batch-event';
import { upcastResult, upcastSnapshot } from './upcast-snapshot';

const read = (name: string) =>
  JSON.parse(readFileSync(new URL(`../golden/${name}.json`, import.meta.url), 'utf8'));

/** Every type of event as its version 1 wrote it, with what it says today. Written once, never changed. */
const FIRST: { written: Written; today: BatchEventBody }[] = read('events-v1');

describe('events of older versions', () => {
  it.each(FIRST)('$written.type, version 1: $written.payload', ({ written, today }) => {
    const before = JSON.stringify(written);
    expect(upcastBatchEvent(written)).toEqual(today);
    expect(JSON.stringify(written)).toBe(before);
  });
  it('each type of today has one among them', () => {
    const reached = new Set(FIRST.map((one) => one.today.type));
    expect([...EVENT_VERSIONS.keys()].filter((type) => !reached.has(type as never))).toEqual([]);
  });
  it('what is of today stays as it is', () => {
    for (const [type, v] of EVENT_VERSIONS) {
      const payload = { stageId: 'a', overrideReason: 'b' };
      expect(upcastBatchEvent({ type, v, payload })).toEqual({ type, payload });
    }
  });
  it.each([
    ['lidSet', 2],
    ['stored', 3],
    ['putBy', 2],
    ['stirred', 1],
    ['constructor', 1],
    ['__proto__', 1],
    ['lidSet', 0],
  ])('%s, version %d, is not skipped: it is said', (type, v) => {
    expect(() => upcastBatchEvent({ type, v, payload: {} })).toThrow(UnknownVersion);
  });
});

describe('snapshots and results of older versions', () => {
  const golden = read('chowder-v3');
  it('a burner has its heat factor, and the workings are as they were said', () => {
    const snapshot = upcastSnapshot(1, golden.snapshot);
    expect(snapshot.input.burner.heatFactor).toEqual(golden.snapshot.input.burner.gain);
    expect(snapshot.input.burner).not.toHaveProperty('gain');
    const [line] = golden.snapshot.plan.workings.salt.lines;
    expect(snapshot.plan.workings.salt.lines[0]).toEqual({ code: 'asSaid', text: line });
    expect(golden.snapshot.input.burner).toHaveProperty('gain');
  });
  it('a result keeps its sentences, its litres and its heat', () => {
    const written = {
      gain: { mean: 0.9, sd: 0.05 },
      putByLitres: 4,
      reasons: ['0.4 L short of cling'],
      served: 12,
    };
    expect(upcastResult(1, written)).toEqual({
      heatFactor: { mean: 0.9, sd: 0.05 },
      storedLitres: 4,
      reasons: [{ code: 'asSaid', text: '0.4 L short of cling' }],
      served: 12,
    });
  });
  it('a newer one is refused by name', () => {
    expect(() => upcastSnapshot(4, {})).toThrow(/snapshot 4/);
    expect(() => upcastResult(3, {})).toThrow(/result 3/);
  });
});
