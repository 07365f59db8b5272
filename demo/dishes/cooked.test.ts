import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchEventBody, type BatchSnapshot, foldBatch, stageClock, toComeOut } from '../../core/batch';
import { massKg, operations, totalKg } from '../../core/matter';
import { planInputOf } from '../../core/order';
import { planBatch, potInput, stirEveryMin } from '../../core/plan';
import { CATCHES_UNDER, floorMargin, potLitres } from '../../core/pot';
import { kitchenView } from '../kitchen-view';
import { BOOK, DISHES } from './dishes';

const kitchen = kitchenView();
const serviceAtMs = Date.UTC(2026, 2, 10, 18, 5);

function snapshotOf(recipeId: string, more: { holdBackShare?: number; portions?: number } = {}): BatchSnapshot {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  const input = planInputOf({ recipeId, portions: 40, portionMl: recipe.portionMl, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand, serviceAtMs, potId: 'stockpot-40', burnerId: 'gas-2', ...more }, kitchen, recipe, BOOK);
  if (Array.isArray(input)) throw new Error(input[0]!.code);
  const plan = planBatch(input);
  return { input: potInput(input, plan), plan };
}

/** The least that a floor bore over what it got, by stage, as the cook followed the stage’s own heat. */
type Margins = Map<string, number>;

/** Cooks a snapshot by its log as a cook follows it: heat up, then held, each stage done when its own clock says so. */
function cook(snapshot: BatchSnapshot, margins: Margins = new Map()) {
  const log: BatchEvent[] = [];
  let nowMs = snapshot.plan.startAtMs;
  const say = (body: BatchEventBody) => log.push({ ...body, id: `e${log.length}`, seq: log.length + 1, actedAtMs: nowMs });
  const wait = (minutes: number) => {
    nowMs += minutes * 60_000;
  };
  for (const stage of snapshot.input.recipe.stages) {
    say({ type: 'stageBegun', payload: { stageId: stage.id } });
    const items = snapshot.plan.lines
      .filter((line) => line.stageId === stage.id && !line.perBowl && line.edibleKg > 0.00005)
      .map((line) => ({ ingredientId: line.ingredientId, kg: line.edibleKg, tempC: line.tempC, lineId: line.lineId, ...thickenerOf(snapshot, line.lineId), ...(line.comesOut ? { comesOut: line.comesOut } : {}) }));
    if (stage.asksOut) {
      for (const out of toComeOut(foldBatch(snapshot, log, nowMs))) say({ type: 'removed', payload: { word: out.word, count: out.count } });
    }
    if (items.length > 0) say({ type: 'added', payload: { items } });
    say({ type: 'lidSet', payload: { lid: stage.lid } });
    if (stage.ends.rule === 'served') break;
    for (let turn = 0; turn < 900; turn++) {
      const state = foldBatch(snapshot, log, nowMs);
      const clock = stageClock(snapshot, state);
      if (!clock) throw new Error(`${stage.title} is not running`);
      if (Math.abs(clock.wantedHeat - state.pot.heatFraction) > 0.02) say({ type: 'heatSet', payload: { fraction: clock.wantedHeat } });
      const heated = foldBatch(snapshot, log, nowMs);
      const margin = floorMargin(heated.setup, heated.pot, stirEveryMin(stage, heated.pot));
      if (margin !== null) margins.set(stage.title, Math.min(margin, margins.get(stage.title) ?? margin));
      if (clock.ends.p50Ms !== null && clock.ends.p50Ms <= nowMs) break;
      wait(1);
    }
    say({ type: 'stageDone', payload: { stageId: stage.id } });
    wait(1.5);
  }
  return foldBatch(snapshot, log, nowMs);
}

const thickenerOf = (snapshot: BatchSnapshot, lineId: string) => {
  const thickener = snapshot.input.recipe.lines.find((line) => line.id === lineId)?.thickener;
  return thickener ? { thickener } : {};
};

describe('a batch followed by its log comes out as planned', () => {
  it.each(DISHES.map((dish) => [dish.name, dish.id]))(
    '%s',
    (_name, id) => {
      const snapshot = snapshotOf(id);
      const { plan } = snapshot;
      const state = cook(snapshot);
      expect(potLitres(state.pot) / plan.yieldLitres).toBeGreaterThan(0.93);
      expect(potLitres(state.pot) / plan.yieldLitres).toBeLessThan(1.07);
      expect(Math.abs(operations.saltPercent(state.pot.mixture, 'all') - plan.saltPercent)).toBeLessThan(0.08);
      expect(toComeOut(state)).toEqual([]);
      const isPuree = snapshot.input.recipe.stages.some((stage) => stage.does?.kind === 'puree' && stage.does.share === 1);
      if (isPuree) expect(totalKg(state.pot.mixture.pieces) / massKg(state.pot.mixture)).toBeLessThan(0.02);
      const wanted = plan.flourEquivalentGPerL;
      const body = state.pot.mixture.flourEquivalentG / plan.yieldLitres;
      if (wanted > 5 && isPuree) expect(body / wanted).toBeGreaterThan(0.9);
    },
    60_000,
  );
  it('cooked concentrated, the pot is salter and thicker, and the bowl comes to the order', () => {
    const snapshot = snapshotOf('celeriac-veloute', { holdBackShare: 0.3, portions: 60 });
    const { plan, input } = snapshot;
    const state = cook(snapshot);
    const { letDown } = plan;
    expect(input.portionMl).toBeCloseTo(175, 9);
    expect(operations.saltPercent(state.pot.mixture, 'all')).toBeGreaterThan(1.02);
    expect(Math.floor((potLitres(state.pot) * 1000) / input.portionMl)).toBeGreaterThanOrEqual(56);
    const saltG = (state.pot.mixture.liquid.salt + state.pot.mixture.pieces.salt) * 1000;
    const stockG = letDown!.litres * 0.97 * 1.004 * 1000 * 0.001;
    expect((100 * (saltG + stockG)) / 1000 / (massKg(state.pot.mixture) + letDown!.litres * 0.97)).toBeCloseTo(0.85, 1);
  });
});

describe('the house’s own practice catches on no floor', () => {
  it.each(DISHES.map((dish) => [dish.name, dish.id]))('%s', (_name, id) => {
    const margins: Margins = new Map();
    cook(snapshotOf(id), margins);
    expect(margins.size).toBeGreaterThan(1);
    expect([...margins].filter(([, margin]) => margin < CATCHES_UNDER)).toEqual([]);
  });
});
