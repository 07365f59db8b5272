import { describe, expect, it } from 'vitest';
import { purees } from '../recipe';
import { cookedLog, orderOf, snapshotOf } from '../testing/broth';
import { type BatchEvent, blenderFills, foldBatch, renderedFat } from './';

const equipment = {
  blenderJarLitres: 4,
  hasStickBlender: true,
  ovenTrays: 2,
  trayAreaM2: 0.17,
  fryingPanCm: 28,
};
const snapshot = snapshotOf(orderOf({ equipment }));
const log = cookedLog(snapshot);
const nowMs = log.at(-1)!.actedAtMs;
const state = foldBatch(snapshot, log, nowMs);
const [stage] = snapshot.input.recipe.stages;

describe('what is said where the hand is', () => {
  it('a 4 L jar takes 1.6 L hot (common practice): fills of what is in the pot now, by the share that is blended', () => {
    const half = { ...stage!, does: { kind: 'puree' as const, share: 0.5, sieve: 'none' as const } };
    const jar = blenderFills(snapshot, state, half)!;
    expect(jar.eachLitres).toBeCloseTo(1.6, 9);
    expect(jar.fills).toBe(Math.ceil(jar.litres / 1.6));
    expect(
      blenderFills(snapshot, state, { ...half, does: { ...half.does, share: 1 } })!.fills,
    ).toBeGreaterThan(jar.fills);
    expect(blenderFills(snapshot, state, stage!)).toBeNull();
    expect(blenderFills(snapshotOf(), state, half)).toBeNull();
    expect([purees(half), purees(stage!)]).toEqual([true, false]);
  });
  it('rendered fat: what the flour to come wants is kept, weight for weight; the rest is poured off', () => {
    const flourKg = snapshot.plan.lines.find((line) => line.lineId === 'flour')!.edibleKg;
    const start = log[0]!.actedAtMs;
    const bacon = (kg: number): BatchEvent[] => [
      {
        id: 'fat',
        seq: 1,
        actedAtMs: start,
        type: 'added',
        payload: { items: [{ ingredientId: 'dripping', kg, tempC: 90 }] },
      },
    ];
    // the butter that is still to come goes towards it: 82 % of its weight is fat
    const wants = flourKg * (1 - 0.82);
    const rich = renderedFat(snapshot, foldBatch(snapshot, bacon(1), start));
    expect(rich.keepKg).toBeCloseTo(wants, 2);
    expect(rich.pourOffKg).toBeCloseTo(rich.floatsKg - rich.keepKg, 12);
    const lean = renderedFat(snapshot, foldBatch(snapshot, bacon(0.01), start));
    expect(lean.pourOffKg).toBe(0);
    // once the flour is in, nothing is kept for it
    expect(renderedFat(snapshot, state).keepKg).toBe(0);
  });
});
