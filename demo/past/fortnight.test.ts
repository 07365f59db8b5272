import { describe, expect, it } from 'vitest';
import { keepingRules } from '../../contract';
import { foldBatch, toComeOut } from '../../core/batch';
import {
  atItsBest,
  drawsOfBatch,
  foldLarder,
  lotKey,
  lotsOfBatch,
  traceArrows,
  useBy,
} from '../../core/larder';
import { massKg } from '../../core/matter';
import { TROUT_CHOWDER } from '../dishes/trout-chowder';
import { DEMO_OPENS_AT, ITEMS } from '../kitchen';
import { kitchenView } from '../kitchen-view';
import { seededRandom } from '../seeded-random';
import { cookFortnight } from './fortnight';
import { lotId } from './steps';

const fortnight = cookFortnight();
const past = fortnight.batches;
const chowders = past.filter((batch) => batch.request.recipeId === TROUT_CHOWDER.id);
const logOf = (batch: (typeof past)[number]) => batch.events.map((event, i) => ({ ...event, seq: i + 1 }));
const larder = foldLarder({
  made: past.flatMap((batch) =>
    lotsOfBatch(batch.id, batch.snapshot, foldBatch(batch.snapshot, logOf(batch), batch.closedAtMs)),
  ),
  draws: past.flatMap((batch) => drawsOfBatch(batch.id, batch.snapshot.input.ingredients, logOf(batch))),
  events: fortnight.larderEvents,
});
const lot = (n: number) => larder.lots.get(lotId(n))!;

describe('the past fortnight', () => {
  it('is five chowders among what they stood on, in the order they were cooked, the same each time', () => {
    expect(chowders).toHaveLength(5);
    const again = cookFortnight();
    expect(again.batches.map((batch) => batch.result)).toEqual(past.map((batch) => batch.result));
    const ids = past.flatMap((batch) => batch.events.map((event) => event.id));
    expect(new Set([...ids, ...fortnight.larderEvents.map((event) => event.id)]).size).toBe(
      ids.length + fortnight.larderEvents.length,
    );
  });
  it.each(
    past.map((batch, i) => [i + 1, batch] as const),
  )('batch %d is a log that folds and balances', (_, batch) => {
    const events = batch.events.map((event, i) => ({ ...event, seq: i + 1 }));
    const state = foldBatch(batch.snapshot, events, batch.closedAtMs);
    const { pot, closed, questions } = state;
    expect(massKg(pot.mixture) + pot.evaporatedKg + pot.takenOutKg + pot.drawnKg).toBeCloseTo(pot.addedKg, 6);
    expect(closed).not.toBeNull();
    expect(questions).toEqual([]);
    expect(toComeOut(state)).toEqual([]);
  });
  it('the hidden burner gives less than its plate, and the kitchen finds that out', () => {
    const priors = chowders.map((batch) => batch.snapshot.input.burner.heatFactor.mean);
    expect(priors[0]).toBe(1);
    expect(priors.at(-1)!).toBeLessThan(0.93);
    for (const batch of chowders) {
      expect(batch.result.heatFactor.mean).toBeGreaterThan(0.7);
      expect(batch.result.heatFactor.mean).toBeLessThan(1);
      expect(batch.result.heatFactor.sd).toBeLessThan(0.14);
    }
  });
  it('next time the forecast is better: the time at the stove is missed by less than the first time', () => {
    const missed = chowders.map((batch) =>
      Math.abs(batch.result.actual.cookingMinutes - batch.result.predicted.cookingMinutes),
    );
    const later = missed.slice(1).reduce((sum, minutes) => sum + minutes, 0) / (missed.length - 1);
    expect(later).toBeLessThan(missed[0]!);
  });
  it('yields come out short, as in a real kitchen, and the reason is named', () => {
    for (const { result } of chowders) {
      expect(result.yieldGapLitres).toBeLessThan(0);
      expect(result.yieldGapLitres).toBeGreaterThan(-1.5);
      expect(result.reasons.length).toBeGreaterThan(0);
      expect(result.served).toBeLessThanOrEqual(60);
    }
  });
});

describe('the week of lots on the shelf', () => {
  const now = [...larder.lots.values()].filter((one) => one.leftKg > 0.005);
  const rules = keepingRules(kitchenView());
  it('no draw is stray, nothing was drawn that was not there, and every pot fitted its pot', () => {
    expect(larder.strayEventIds).toEqual([]);
    for (const one of larder.lots.values()) expect(one.leftKg, one.contents.name).toBeGreaterThan(-0.02);
    for (const { snapshot } of past)
      expect(snapshot.plan.fullest.litres).toBeLessThanOrEqual(snapshot.plan.workingFillLitres + 0.01);
  });
  it('holds stocks, a fumet, purée, mother sauce, roux, oil, a frozen glaze, crates with a tag', () => {
    const names = now.map((one) => one.contents.name);
    for (const name of [
      'Roast chicken stock',
      'Lean white-fish fumet',
      'Dark leek-top stock',
      'Kelp and dried-mushroom stock',
      'Root vegetable purée',
      'Tomato and thyme mother sauce',
      'Blond roux',
      'Garlic and parsley oil',
      'Chicken glaze',
    ])
      expect(names).toContain(name);
    expect(now.filter((one) => one.storage === 'frozen').length).toBe(2);
    expect(now.some((one) => one.origin.kind === 'delivery' && one.origin.tag)).toBe(true);
  });
  it('one is past its date, one is past its best and may still be used, the rest are good', () => {
    const past = now.filter((one) => (useBy(one, rules)?.atMs ?? Number.POSITIVE_INFINITY) < DEMO_OPENS_AT);
    expect(past.map((one) => one.contents.name)).toEqual(['Light vegetable stock']);
    expect(atItsBest(lot(12), DEMO_OPENS_AT)!.stands).toBe('past its best');
    expect(useBy(lot(12), rules)!.atMs).toBeGreaterThan(DEMO_OPENS_AT);
  });
  it('a crate of bones can be followed to every bowl of two chowders', () => {
    const steps = traceArrows(larder.arrows, lotKey(lotId(5))).into;
    const served = steps
      .filter((step) => step.kind === 'batch')
      .map((step) => past.find((batch) => batch.id === step.id)!.result.served);
    expect(served).toEqual([0, 53, 34]);
  });
});

describe('the demo’s own data', () => {
  it('the recipe hangs together: every line in a stage, every “same as” a line, one to salt, one to thickness', () => {
    const stages = new Set(TROUT_CHOWDER.stages.map((stage) => stage.id));
    for (const line of TROUT_CHOWDER.lines) expect(stages.has(line.stageId), line.id).toBe(true);
    for (const scaling of ['toSalt', 'toThickness', 'toYield']) {
      expect(TROUT_CHOWDER.lines.filter((line) => line.scaling === scaling)).toHaveLength(1);
    }
    expect(TROUT_CHOWDER.stages.at(-1)!.ends.rule).toBe('served');
  });
  it('three trains a day, in order', () => {
    expect(ITEMS.service?.map((service) => service.time)).toEqual(['11:40', '13:10', '18:05']);
  });
  it('seeded numbers come the same each time, evenly and normally', () => {
    const a = seededRandom(7);
    const b = seededRandom(7);
    const drawn = Array.from({ length: 4000 }, () => a.uniform());
    expect(drawn.slice(0, 5)).toEqual(Array.from({ length: 5 }, () => b.uniform()));
    const mean = drawn.reduce((sum, x) => sum + x, 0) / drawn.length;
    expect(mean).toBeCloseTo(0.5, 1);
    const normals = Array.from({ length: 4000 }, () => a.normal(2));
    const sd = Math.sqrt(normals.reduce((sum, x) => sum + x * x, 0) / normals.length);
    expect(sd).toBeCloseTo(2, 0);
  });
});
