import { describe, expect, it } from 'vitest';
import { type BatchEvent, type BatchEventBody, type BatchSnapshot, type BatchState, foldBatch, hasGoneIn, leftOut, nextAction, stageClock, stillToAdd, toComeOut } from '../../core/batch';
import { operations, totalKg } from '../../core/matter';
import { planInputOf } from '../../core/order';
import { type PlannedLine, planBatch, potInput } from '../../core/plan';
import { liquidLitres } from '../../core/pot';
import { thicknessBand } from '../../core/thickness';
import { kitchenView } from '../kitchen-view';
import { BOOK, DISHES } from './dishes';

/**
 * A cook who does what the screen says, with two slips, one dose of salt between times and one lift in each pot: what is
 * served is what was planned, and nothing was asked for twice.
 */

const kitchen = kitchenView();

function snapshotOf(recipeId: string): BatchSnapshot {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  const input = planInputOf({ recipeId, portions: 40, portionMl: recipe.portionMl, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand, serviceAtMs: Date.UTC(2026, 2, 10, 18, 5), potId: 'stockpot-40', burnerId: 'gas-2' }, kitchen, recipe, BOOK);
  if (Array.isArray(input)) throw new Error(input[0]!.code);
  const plan = planBatch(input);
  return { input: potInput(input, plan), plan };
}

/** The cook: the log, what was put in under each line, and the clock. */
class Cook {
  readonly log: BatchEvent[] = [];
  readonly putKg = new Map<string, number>();
  nowMs: number;
  slips = 0;
  lifts = 0;
  doses = 0;

  constructor(readonly snapshot: BatchSnapshot) {
    this.nowMs = snapshot.plan.startAtMs;
  }
  state(): BatchState {
    return foldBatch(this.snapshot, this.log, this.nowMs);
  }
  say(...bodies: BatchEventBody[]): void {
    for (const body of bodies) {
      const n = this.log.length;
      this.log.push({ ...body, id: `e${n}`, seq: n + 1, actedAtMs: this.nowMs });
    }
  }
  put(lines: readonly PlannedLine[]): void {
    if (lines.length === 0) return;
    const { recipe } = this.snapshot.input;
    const items = lines.map((line) => {
      const thickener = recipe.lines.find((one) => one.id === line.lineId)?.thickener;
      this.putKg.set(line.lineId, (this.putKg.get(line.lineId) ?? 0) + line.edibleKg);
      return { ingredientId: line.ingredientId, kg: line.edibleKg, tempC: line.tempC, lineId: line.lineId, ...(thickener ? { thickener } : {}), ...(line.comesOut ? { comesOut: line.comesOut } : {}) };
    });
    this.say({ type: 'added', payload: { items } });
  }
  /** What nobody planned: half a litre of water, a line that the log has as in and is not, salt by the way, a lift. */
  stumble(stageIndex: number): void {
    const state = this.state();
    if (stageIndex === 1 && this.slips === 0) {
      this.slips++;
      this.say({ type: 'slip', payload: { kind: 'tooMuch', ingredientId: 'water', kg: 0.3, tempC: 20 } });
    }
    const straight = this.snapshot.plan.lines.find((line) => !line.perBowl && hasGoneIn(state, line.lineId) && this.snapshot.input.recipe.lines.find((one) => one.id === line.lineId)?.scaling === 'straight');
    if (stageIndex === 2 && this.slips === 1 && straight) {
      this.slips++;
      this.say({ type: 'slip', payload: { kind: 'forgot', lineId: straight.lineId } });
      this.putKg.set(straight.lineId, 0);
      // it lies on the board: the screen still wants it, and in it goes
      expect(leftOut(this.snapshot, this.state()).map((line) => line.lineId)).toContain(straight.lineId);
      this.put(leftOut(this.snapshot, this.state()));
      expect(leftOut(this.snapshot, this.state())).toEqual([]);
    }
    if (stageIndex === 2 && this.doses === 0) {
      this.doses++;
      this.say({ type: 'added', payload: { items: [{ ingredientId: 'salt', kg: (0.3 * this.snapshot.plan.saltToAddG) / 1000, tempC: 18 }] } });
    }
    const item = state.items.find((one) => one.tag === null && one.kg > 0.2);
    if (stageIndex === 3 && this.lifts === 0 && item) {
      this.lifts++;
      this.say({ type: 'lifted', payload: { ingredientId: item.ingredientId, kg: item.kg / 2, share: 0.5, itemId: item.id, fate: 'parked', place: 'tray' } });
      this.nowMs += 2 * 60_000;
      const parked = this.state().parked[0]!;
      this.say({ type: 'returned', payload: { liftedId: parked.liftedId, kg: parked.kg, tempC: 40 } });
    }
  }
  /** One stage by what the screen wants, until it is done. */
  stage(index: number): void {
    for (let turn = 0; turn < 1500; turn++) {
      const state = this.state();
      const clock = stageClock(this.snapshot, state);
      const next = nextAction(this.snapshot, state, clock, this.nowMs);
      switch (next.kind) {
        case 'begin':
          if (next.stage.asksOut) for (const one of toComeOut(state)) this.say({ type: 'removed', payload: { word: one.word, count: one.count, itemId: one.itemId } });
          this.put(next.lines);
          this.say({ type: 'stageBegun', payload: { stageId: next.stage.id } }, { type: 'lidSet', payload: { lid: next.stage.lid } });
          break;
        case 'add':
          this.put(next.lines);
          break;
        case 'heat':
        case 'losing':
          this.say({ type: 'heatSet', payload: { fraction: next.fraction } });
          break;
        case 'cool':
          this.say({ type: 'heatSet', payload: { fraction: 0 } });
          break;
        case 'finish':
          this.stumble(index);
          this.say({ type: 'stageDone', payload: { stageId: next.stage.id } });
          this.nowMs += 90_000;
          return;
        case 'serve':
          return;
        default: {
          const wanted = clock?.wantedHeat ?? state.pot.heatFraction;
          if (Math.abs(wanted - state.pot.heatFraction) > 0.02) this.say({ type: 'heatSet', payload: { fraction: wanted } });
          if (next.kind === 'lookIn' && next.dueMs <= this.nowMs) this.say({ type: 'looked', payload: { stageId: next.stage.id } });
          this.nowMs += 60_000;
        }
      }
    }
    throw new Error(`stage ${index} never ended`);
  }
}

describe('a whole pot by the screen, with slips, a dose and a lift', () => {
  it.each(DISHES.map((dish) => [dish.name, dish.id]))(
    '%s',
    (_name, id) => {
      const snapshot = snapshotOf(id);
      const { plan } = snapshot;
      const cook = new Cook(snapshot);
      snapshot.input.recipe.stages.forEach((_stage, i) => {
        cook.stage(i);
      });
      expect(cook.slips).toBe(2);
      expect(cook.doses).toBe(1);
      const state = cook.state();
      expect(Math.abs(operations.saltPercent(state.pot.mixture, 'all') - plan.saltPercent), 'salt').toBeLessThan(0.03);
      const band = thicknessBand({ flourEquivalentGPerL: state.pot.mixture.flourEquivalentG / liquidLitres(state.pot) });
      expect(Math.abs(band - plan.band), 'band').toBeLessThan(0.3);
      expect(toComeOut(state)).toEqual([]);
      expect(stillToAdd(snapshot, state)).toEqual([]);
      // nothing twice: of what is not solved, what went in is what was planned
      for (const line of plan.lines.filter((one) => !one.perBowl)) {
        const scaling = snapshot.input.recipe.lines.find((one) => one.id === line.lineId)?.scaling;
        if (scaling === 'toSalt' || scaling === 'toThickness' || scaling === 'toYield') continue;
        expect((cook.putKg.get(line.lineId) ?? 0) / Math.max(line.edibleKg, 1e-9), line.name).toBeCloseTo(1, 6);
      }
      expect(totalKg(state.pot.mixture.liquid)).toBeGreaterThan(1);
    },
    60_000,
  );
});
