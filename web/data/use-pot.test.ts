import { describe, expect, it } from 'vitest';
import type { BatchView, KitchenView } from '../../contract';
import { foldBatch, stageClock } from '../../core/batch';
import { massKg } from '../../core/matter';
import { cookedLog, snapshotOf } from '../../core/testing/broth';
import type { Waiting } from './outbox';
import { livePot, newsOf } from './use-pot';

const snapshot = snapshotOf();
const log = cookedLog(snapshot);
const clock = {
  mode: 'demo',
  speed: 1,
  kitchenFromMs: 0,
  realFromMs: 0,
  serverNowMs: Date.now(),
} as KitchenView['clock'];
const kitchen = {
  clock,
  pots: [],
  burners: [],
  equipment: { blenderJarLitres: 0, hasStickBlender: false, ovenTrays: 0, trayAreaM2: 0.17, fryingPanCm: 0 },
};
const none: readonly Waiting[] = [];
const stage = snapshot.input.recipe.stages[1]!;
const at = (minute: number) => log[0]!.actedAtMs + minute * 60_000;
const batchOf = (events: typeof log, id = 'b') => ({ id, snapshot, events }) as unknown as BatchView;

describe('a pot run along second by second', () => {
  it('is the pot folded whole, at any second', () => {
    const batch = batchOf(log);
    for (let second = 0; second < 900; second += 7) {
      const nowMs = at(76) + second * 1000;
      const live = livePot(batch, none, kitchen, nowMs);
      const whole = foldBatch(snapshot, log, nowMs);
      expect(Math.abs(massKg(live.state.pot.mixture) - massKg(whole.pot.mixture))).toBeLessThan(0.002);
      expect(live.state.pot.tempC).toBeCloseTo(whole.pot.tempC, 1);
    }
  });
  it('its forecast is never older than a minute, and new at each event', () => {
    const batch = batchOf(log, 'c');
    livePot(batch, none, kitchen, at(76));
    const live = livePot(batch, none, kitchen, at(77));
    const fresh = stageClock(snapshot, foldBatch(snapshot, log, at(77)))!;
    expect(Math.abs(live.clock!.ends.p50Ms! - fresh.ends.p50Ms!)).toBeLessThan(30_000);
    const more = [
      ...log,
      {
        id: 'h',
        seq: 99,
        actedAtMs: at(77),
        type: 'heatSet' as const,
        payload: { fraction: 0.3 },
      },
    ];
    expect(livePot(batchOf(more, 'c'), none, kitchen, at(77)).state.pot.heatFraction).toBe(0.3);
  });
  it('two that ask in one second get one answer; a clock set back is followed', () => {
    const batch = batchOf(log, 'd');
    const first = livePot(batch, none, kitchen, at(80));
    expect(livePot(batch, none, kitchen, at(80))).toBe(first);
    const back = livePot(batch, none, kitchen, at(77));
    expect(massKg(back.state.pot.mixture)).toBeGreaterThan(massKg(first.state.pot.mixture));
  });
  it('knows since when it has wanted what it wants', () => {
    const batch = batchOf(log, 'e');
    const first = livePot(batch, none, kitchen, at(76));
    const later = livePot(batch, none, kitchen, at(76.5));
    expect(later.next.kind).toBe(first.next.kind);
    // another tablet, switched on ten minutes later, rings at the same moment
    const elsewhere = livePot(batchOf(structuredClone(log), 'e on another tablet'), none, kitchen, at(78));
    expect(first.nextSinceMs).toBeLessThan(at(76));
    expect([later.nextSinceMs, elsewhere.nextSinceMs]).toEqual([first.nextSinceMs, first.nextSinceMs]);
  });
  it('a log that comes by two ways is one log, and a reading more is put on top of it', () => {
    const twice = () => batchOf(structuredClone(log), 'f');
    const first = livePot(twice(), none, kitchen, at(80));
    expect(livePot(twice(), none, kitchen, at(80))).toBe(first);
    const more = [
      ...structuredClone(log),
      {
        id: 'r',
        seq: 99,
        actedAtMs: at(81),
        type: 'reading' as const,
        payload: { kind: 'temperature' as const, value: 95 },
      },
    ];
    const grown = livePot(batchOf(more, 'f'), none, kitchen, at(82));
    expect(grown.state.readings).toHaveLength(first.state.readings.length + 1);
    const whole = foldBatch(snapshot, more, at(82));
    expect(massKg(grown.state.pot.mixture)).toBeCloseTo(massKg(whole.pot.mixture), 6);
  });
  it('is drawn anew for news alone: five seconds, an event, another want, a level or heat that shows', () => {
    const batch = batchOf(log, 'g');
    const first = livePot(batch, none, kitchen, at(80));
    const soon = livePot(batch, none, kitchen, at(80) + 2000);
    expect(soon).not.toBe(first);
    expect(newsOf(first, soon)).toBe(first);
    const later = livePot(batch, none, kitchen, at(80) + 5000);
    expect(newsOf(first, later)).toBe(later);
    const hotter = { ...soon, state: { ...soon.state, pot: { ...soon.state.pot, tempC: 40 } } };
    const wants = { ...soon, next: { kind: 'closed' as const } };
    const told = { ...soon, events: [...soon.events] };
    const looks = (leftMs: number, of = soon) => ({
      ...of,
      next: { kind: 'lookIn' as const, stage, dueMs: of.nowMs + leftMs, everyMin: 5 },
    });
    const turned = looks(88_000);
    expect(newsOf(looks(92_000, first), turned)).toBe(turned);
    for (const news of [hotter, wants, told]) expect(newsOf(first, news)).toBe(news);
  });
});
