import { describe, expect, it } from 'vitest';
import { cookedLog, itemsFor, snapshotOf } from '../testing/broth';
import { type BatchEvent, type BatchEventBody, foldBatch, nextAction, stageClock, stillToAdd } from './';

const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const at = (minute: number) => log[0]!.actedAtMs + minute * 60_000;
const wantAt = (events: readonly BatchEvent[], minute: number) => {
  const state = foldBatch(snapshot, events, at(minute));
  return nextAction(snapshot, state, stageClock(snapshot, state), at(minute));
};
const event = (minute: number, body: BatchEventBody): BatchEvent => ({
  ...body,
  id: `x${minute}`,
  seq: 500 + Math.round(minute * 10),
  actedAtMs: at(minute),
});

describe('the one next thing', () => {
  it('is to light the first stage at its hour, with what goes in', () => {
    const want = wantAt([], 0);
    expect(want.kind).toBe('begin');
    if (want.kind !== 'begin') return;
    expect(want.stage.id).toBe('boil');
    expect(want.dueMs).toBe(snapshot.plan.startAtMs);
    expect(want.lines.map((line) => line.lineId)).toEqual(['stock', 'flour', 'butter', 'bay']);
  });
  it('is to leave a pot that needs nothing, until it is done', () => {
    const want = wantAt(log.slice(0, 4), 5);
    expect(want.kind).toBe('leave');
    if (want.kind !== 'leave') return;
    expect(want.dueMs).toBeGreaterThan(at(20));
    expect(want.dueMs).toBeLessThan(at(60));
  });
  it('is to finish a stage that has met its end', () => {
    expect(wantAt(log.slice(0, 4), 50).kind).toBe('finish');
  });
  it('is the burner, when the stage wants another heat', () => {
    const low = [...log.slice(0, 4), event(4, { type: 'heatSet', payload: { fraction: 0.1 } })];
    const want = wantAt(low, 6);
    expect(want).toMatchObject({ kind: 'heat', fraction: 1 });
  });
  it('is the next stage once one is done, and its lines are only those not yet in', () => {
    const done = log.slice(0, 6);
    const want = wantAt(done, 46);
    expect(want).toMatchObject({ kind: 'begin', dueMs: null });
    const roots = [
      ...log,
      event(95, { type: 'stageBegun', payload: { stageId: 'roots' } }),
      event(95.1, { type: 'added', payload: { items: itemsFor(snapshot, 'roots') } }),
    ];
    const state = foldBatch(snapshot, roots, at(96));
    expect(stillToAdd(snapshot, state, 'roots')).toEqual([]);
    expect(stillToAdd(snapshot, state, 'season').map((line) => line.lineId)).toEqual(['salt']);
  });
  it('is a reading to settle before anything else, the serving when it has come to that, nothing when closed', () => {
    const odd = event(80, { type: 'reading', payload: { kind: 'depth', value: 33 } });
    expect(wantAt([...log, odd], 80).kind).toBe('answer');
    const serving = event(96, { type: 'stageBegun', payload: { stageId: 'serve' } });
    expect(wantAt([...log, serving], 97).kind).toBe('losing');
    const held = event(96.5, { type: 'heatSet', payload: { fraction: 0.1 } });
    expect(wantAt([...log, serving, held], 97)).toMatchObject({
      kind: 'serve',
      dueMs: snapshot.plan.serviceAtMs,
    });
    const closed = event(98, { type: 'closed', payload: { leftLitres: 1 } });
    expect(wantAt([...log, closed], 99).kind).toBe('closed');
  });
});
