import { describe, expect, it } from 'vitest';
import { cookedLog, itemsFor, logOf, snapshotOf } from '../testing/broth';
import {
  advanceBatch,
  type BatchEvent,
  type BatchEventBody,
  foldBatch,
  nextAction,
  stageClock,
  wantedSinceMs,
} from './';

const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const at = (minute: number) => log[0]!.actedAtMs + minute * 60_000;

/** What a tablet that is switched on at a moment makes of the log. */
function seen(events: readonly BatchEvent[], nowMs: number) {
  const state = advanceBatch(foldBatch(snapshot, events, 0), nowMs);
  const next = nextAction(snapshot, state, stageClock(snapshot, state), nowMs);
  return {
    kind: next.kind,
    sinceMs: wantedSinceMs(snapshot, events, state, next, nowMs),
    tempC: state.pot.tempC,
  };
}

describe('since when a pot wants something', () => {
  /** From cold under full heat, in a stage that wants a steady simmer. */
  const heating = logOf([
    [0, { type: 'stageBegun', payload: { stageId: 'fall' } }],
    [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
    [0.2, { type: 'lidSet', payload: { lid: 'off' } }],
    [0.3, { type: 'heatSet', payload: { fraction: 1 } }],
  ]);
  const arrived = Array.from({ length: 200 }, (_, i) => i + 1).find(
    (i) => seen(heating, at(i)).kind === 'heat',
  )!;

  it('is the moment the pot got there, whenever a tablet is switched on', () => {
    expect(arrived).toBeGreaterThan(10);
    const asked = [0, 0.4, 1, 3, 7, 12].map((later) => seen(heating, at(arrived + later)));
    for (const one of asked) {
      expect(one.kind).toBe('heat');
      expect(Math.abs(one.sinceMs - asked[0]!.sinceMs)).toBeLessThanOrEqual(1000);
    }
    expect(asked[0]!.sinceMs).toBeGreaterThan(at(arrived - 1));
    expect(asked[0]!.sinceMs).toBeLessThanOrEqual(at(arrived));
  });
  it('a note or a probe’s reading after it does not make it younger; cold water does', () => {
    const nowMs = at(arrived + 6);
    const before = seen(heating, nowMs);
    const say = (minute: number, body: BatchEventBody, seq: number): BatchEvent => ({
      ...body,
      id: `x${seq}`,
      seq,
      actedAtMs: at(minute),
    });
    const tempC = Math.round(seen(heating, at(arrived + 4)).tempC * 10) / 10;
    const more = [
      ...heating,
      say(arrived + 3, { type: 'note', payload: { text: 'smells good' } }, 90),
      say(arrived + 4, { type: 'reading', payload: { kind: 'temperature', value: tempC } }, 91),
    ];
    const after = seen(more, nowMs);
    expect(after.kind).toBe('heat');
    expect(Math.abs(after.sinceMs - before.sinceMs)).toBeLessThanOrEqual(2000);
    const water = { ingredientId: 'water', kg: 3, tempC: 5 };
    const cooled = [...more, say(arrived + 6, { type: 'added', payload: { items: [water] } }, 92)];
    const again = Array.from({ length: 60 }, (_, i) => seen(cooled, at(arrived + 6.2 + i))).find(
      (one) => one.kind === 'heat',
    )!;
    expect(again.sinceMs).toBeGreaterThan(at(arrived + 7));
  });
  it('of a question it is the reading that raised it, of the next stage the one before it done', () => {
    const odd: BatchEvent = {
      id: 'odd',
      seq: 99,
      actedAtMs: at(76),
      type: 'reading',
      payload: { kind: 'litres', value: 2 },
    };
    const asked = seen([...log.filter((one) => one.actedAtMs <= at(75)), odd], at(79));
    expect([asked.kind, asked.sinceMs]).toEqual(['answer', at(76)]);
    const done = log.findIndex((event) => event.type === 'stageDone');
    const begun = seen(log.slice(0, done + 1), log[done]!.actedAtMs + 90_000);
    expect([begun.kind, begun.sinceMs]).toEqual(['begin', log[done]!.actedAtMs]);
  });
});
