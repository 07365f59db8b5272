import { describe, expect, it } from 'vitest';
import {
  type BatchEvent,
  type BatchEventBody,
  type BatchSnapshot,
  foldBatch,
  nextAction,
  stageClock,
  toComeOut,
  topTemperature,
  wantedHeat,
} from '../core/batch';
import { operations } from '../core/matter';
import { planInputOf } from '../core/order';
import { planBatch, potInput } from '../core/plan';
import { potLitres } from '../core/pot';
import { depthAtLitres } from '../core/vessel';
import { BOOK } from './dishes/dishes';
import { kitchenView } from './kitchen-view';
import { seededRandom } from './seeded-random';

/**
 * Three pots to one service by a cook who does nothing but what the screen says is next: presses its largest button,
 * reads the stick every so often while a level falls, and looks before saying that a mark is reached. The burners are
 * not what the plan thinks they are.
 */
const SERVICE_MS = Date.UTC(2026, 2, 10, 17, 5);
const kitchen = kitchenView();
const STEP_MS = 30_000;
/** A cook looks in on a falling level so often. */
const READS_EVERY_MS = 8 * 60_000;

interface Pot {
  name: string;
  snapshot: BatchSnapshot;
  truth: BatchSnapshot;
  events: BatchEvent[];
  readMs: number;
  readyMs: number | null;
  tooHotMs: number;
}

function potOf(recipeId: string, portions: number, potId: string, burnerId: string, hidden: number): Pot {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  const asked = planInputOf(
    {
      recipeId,
      portions,
      portionMl: recipe.portionMl,
      saltPercent: recipe.targetSaltPercent,
      band: recipe.targetBand,
      serviceAtMs: SERVICE_MS,
      potId,
      burnerId,
    },
    kitchen,
    recipe,
    BOOK,
  );
  if (Array.isArray(asked)) throw new Error(asked.map((one) => one.code).join(' '));
  const plan = planBatch(asked);
  const input = potInput(asked, plan);
  const burner = { ...input.burner, heatFactor: { mean: hidden, sd: 1e-9, batches: 0 } };
  return {
    name: recipe.name,
    snapshot: { input, plan },
    truth: { input: { ...input, burner }, plan },
    events: [],
    readMs: 0,
    readyMs: null,
    tooHotMs: 0,
  };
}

function follow(pots: readonly Pot[]): void {
  const random = seededRandom(77);
  const startMs = Math.min(...pots.map((pot) => pot.snapshot.plan.startAtMs));
  let count = 0;
  for (let nowMs = startMs; nowMs < SERVICE_MS + 90 * 60_000; nowMs += STEP_MS) {
    for (const pot of pots) {
      if (pot.readyMs !== null) continue;
      const say = (...bodies: BatchEventBody[]) => {
        for (const body of bodies) {
          count += 1;
          pot.events.push({ ...body, id: `f${count}`, seq: count, actedAtMs: nowMs + (count % 1000) });
        }
      };
      const unread = pot.events.filter((event) => event.type !== 'reading');
      const real = foldBatch(pot.truth, unread, nowMs);
      const state = foldBatch(pot.snapshot, pot.events, nowMs);
      const clock = stageClock(pot.snapshot, state);
      const want = nextAction(pot.snapshot, state, clock, nowMs);
      const top = topTemperature(pot.truth, real);
      if (top && real.pot.tempC > top.tempC + 1) pot.tooHotMs += STEP_MS;
      const read = () => {
        pot.readMs = nowMs;
        const cm = depthAtLitres(real.inPot.vessel, potLitres(real.pot)) + random.normal(0.3);
        say({
          type: 'reading',
          payload: { kind: 'depth', value: Math.max(0.1, Number(cm.toFixed(1))) },
        });
      };
      const item = (line: (typeof pot.snapshot.plan.lines)[number]) => ({
        ingredientId: line.ingredientId,
        kg: line.edibleKg,
        tempC: line.tempC,
        lineId: line.lineId,
        ...(line.comesOut ? { comesOut: line.comesOut } : {}),
      });
      switch (want.kind) {
        case 'begin': {
          if (want.dueMs !== null && want.dueMs > nowMs) break;
          if (want.stage.asksOut)
            for (const one of toComeOut(state))
              say({ type: 'removed', payload: { word: one.word, count: one.count } });
          if (want.lines.length > 0) say({ type: 'added', payload: { items: want.lines.map(item) } });
          say({ type: 'stageBegun', payload: { stageId: want.stage.id } });
          say({ type: 'lidSet', payload: { lid: want.stage.lid } });
          const filled = foldBatch(pot.snapshot, pot.events, nowMs + 1000);
          const fraction = wantedHeat(
            filled.setup,
            want.stage,
            filled.pot,
            topTemperature(pot.snapshot, filled)?.tempC,
          );
          say({ type: 'heatSet', payload: { fraction } });
          break;
        }
        case 'add':
          say({ type: 'added', payload: { items: want.lines.map(item) } });
          break;
        case 'heat':
          say({ type: 'heatSet', payload: { fraction: want.fraction } });
          break;
        case 'cool':
          say({ type: 'heatSet', payload: { fraction: 0 } });
          break;
        case 'lookIn':
          if (want.dueMs <= nowMs) say({ type: 'looked', payload: { stageId: want.stage.id } });
          break;
        case 'answer':
          say({ type: 'answered', payload: { eventId: state.questions[0]!.eventId, believed: true } });
          break;
        case 'finish': {
          const mark = clock?.markLitres;
          // at the mark? the stick says, to half a centimetre
          if (mark != null && potLitres(real.pot) > mark * 1.03) {
            if (nowMs - pot.readMs > 60_000) read();
          } else say({ type: 'stageDone', payload: { stageId: want.stage.id } });
          break;
        }
        case 'serve':
          pot.readyMs = nowMs;
          break;
        default:
          break;
      }
      if (clock?.markLitres != null && nowMs - pot.readMs > READS_EVERY_MS) read();
    }
  }
}

describe('three pots to one train by a cook who follows only the screen', () => {
  const pots = [
    potOf('trout-chowder', 60, 'stockpot-40', 'gas-2', 0.82),
    potOf('celeriac-veloute', 30, 'rondeau-24', 'gas-3', 1.1),
    potOf('mutton-leek-pot', 80, 'kettle-60', 'jacket', 0.92),
  ];
  follow(pots);
  it.each(pots)('$name is ready, and not long after its train', (pot) => {
    expect(pot.readyMs).not.toBeNull();
    expect((pot.readyMs! - SERVICE_MS) / 60_000).toBeLessThan(20);
    expect((SERVICE_MS - pot.readyMs!) / 60_000).toBeLessThan(75);
  });
  it.each(pots)('$name comes out as ordered: litres, salt, nothing left hanging in it', (pot) => {
    const unread = pot.events.filter((event) => event.type !== 'reading');
    const real = foldBatch(pot.truth, unread, pot.readyMs!);
    const { plan, input } = pot.snapshot;
    expect(potLitres(real.pot) / plan.yieldLitres).toBeGreaterThan(0.9);
    expect(potLitres(real.pot) / plan.yieldLitres).toBeLessThan(1.1);
    const salt = operations.saltPercent(real.pot.mixture, 'all');
    expect(Math.abs(salt - input.saltPercent)).toBeLessThan(0.12);
    const asks = input.recipe.stages.some((stage) => stage.asksOut);
    if (asks) expect(toComeOut(real)).toEqual([]);
  });
  it('none is hotter than what is in it allows for more than a minute or two', () => {
    for (const pot of pots) expect(pot.tooHotMs / 60_000).toBeLessThanOrEqual(2);
  });
});
