import { describe, expect, it } from 'vitest';
import { type OrderView, zonedTimeMs } from '../../contract';
import { BOOK } from '../../demo/dishes/dishes';
import { kitchenView } from '../../demo/kitchen-view';
import { contentsOfRow, type ShelfLot } from '../larder';
import { INGREDIENT_BY_ID } from '../matter';
import { type Recipe, recipeRowId } from '../recipe';
import { type BasesAsked, basesAhead } from './bases-ahead';
import { heapsOfOrders } from './trim-heaps';

const kitchen = kitchenView();
const NOW = Date.UTC(2026, 2, 10, 7, 15);
const HOUR = 3_600_000;
const SATURDAY = Date.UTC(2026, 2, 14, 13, 10);

const order = (
  recipeId: string,
  portions: number,
  serviceAtMs = SATURDAY,
  potId = 'stockpot-40',
): OrderView => {
  const recipe = BOOK.find((one) => one.id === recipeId)!;
  return {
    id: `${recipeId} ${portions}`,
    createdAtMs: NOW,
    request: {
      recipeId,
      portions,
      portionMl: recipe.portionMl,
      saltPercent: recipe.targetSaltPercent,
      band: recipe.targetBand,
      serviceAtMs,
      potId,
      burnerId: potId === 'kettle-60' ? 'jacket' : 'gas-1',
    },
  };
};
const lot = (rowId: string, leftKg: number, useByMs = SATURDAY + HOUR): ShelfLot => ({
  id: `${rowId} lot`,
  number: 1,
  leftKg,
  madeAtMs: 0,
  bornAtMs: 0,
  storage: 'chilled',
  useByMs,
  mayBePast: false,
  origin: { kind: 'batch', batchId: 'b' },
  contents: contentsOfRow(INGREDIENT_BY_ID[rowId]!),
  centsPerKg: 100,
});
const COOLING = {
  places: [{ id: 'w', name: 'walk-in', air: 'fan' as const, airC: 3, kg: null }],
  emptyPans: null,
};
const ahead = (
  orders: OrderView[],
  lots: ShelfLot[] = [],
  nowMs = NOW,
  book: readonly Recipe[] = BOOK,
  cooling: BasesAsked['cooling'] = COOLING,
) =>
  basesAhead({
    cooling,
    orders,
    kitchen,
    book,
    lots,
    nowMs,
    dayBeforeMs: (time, atMs) => zonedTimeMs(time, kitchen.zone, atMs, -1),
  });

describe('what the days ahead want of the larder', () => {
  it('a soup on Saturday wants its stock made on Friday, cold by the night, or hot at the latest', () => {
    const [base] = ahead([order('celeriac-veloute', 60)]).bases;
    const { demand, making } = base!;
    expect(demand.rowId).toBe('chicken-stock');
    expect(making).toMatchObject({ recipeId: 'roast-chicken-stock', batches: 1 });
    const needL = demand.toMakeKg / demand.densityKgPerL;
    expect(making!.litres).toBeGreaterThanOrEqual(needL * 1.05);
    expect(making!.litres).toBeLessThan(needL * 1.05 + 0.5);
    expect(making!.litres % 0.5).toBe(0);
    // ready by 16:00 the day before, in a kitchen on Greenwich time
    expect(making!.readyAtMs).toBeLessThanOrEqual(Date.UTC(2026, 2, 13, 16, 0));
    expect(making!.readyAtMs).toBeGreaterThan(Date.UTC(2026, 2, 13, 14, 30));
    expect(making!.startAtMs).toBeLessThan(making!.readyAtMs - 4 * HOUR);
    // in the kitchen’s own pans and places, as many as make it in time: six hours of the code from 57 °C, and the warm part
    const { how, coldAtMs, isInTime } = making!.cooled!;
    expect([how.place, isInTime]).toEqual(['walk-in', true]);
    expect(how.pans * how.areaM2 * how.depthCm * 10).toBeCloseTo(making!.litres, 3);
    expect(coldAtMs - making!.readyAtMs).toBeGreaterThan(2 * HOUR);
    expect(coldAtMs - making!.readyAtMs).toBeLessThan(6.5 * HOUR);
    // with one pan it is not, and the cook is told; without a cold place nothing is said of it
    const few = ahead([order('celeriac-veloute', 60)], [], NOW, BOOK, { ...COOLING, emptyPans: 1 });
    expect(few.bases[0]!.making!.cooled).toMatchObject({ isInTime: false });
    const none = ahead([order('celeriac-veloute', 60)], [], NOW, BOOK, { places: [], emptyPans: 4 });
    expect(none.bases[0]!.making!.cooled).toBeNull();
    expect(making!.latestStartMs).toBe(demand.byMs! - (making!.readyAtMs - making!.startAtMs));
  });
  it('what is on the shelf and good by then is taken off; enough is made by nobody', () => {
    const without = ahead([order('celeriac-veloute', 60)]).bases[0]!.demand.toMakeKg;
    const some = ahead([order('celeriac-veloute', 60)], [lot('chicken-stock', 4)]).bases[0]!;
    expect(some.demand.toMakeKg).toBeCloseTo(without - 4, 1);
    const plenty = ahead([order('celeriac-veloute', 60)], [lot('chicken-stock', 40)]).bases[0]!;
    expect(plenty).toMatchObject({ making: null, demand: { toMakeKg: 0 } });
    const old = ahead([order('celeriac-veloute', 60)], [lot('chicken-stock', 40, SATURDAY - 48 * HOUR)])
      .bases[0]!;
    expect(old.demand.toMakeKg).toBeCloseTo(without, 6);
    expect(old.demand.passedOver).toEqual([{ lotId: 'chicken-stock lot', why: 'past' }]);
  });
  it('for today it is made in time, not yesterday', () => {
    const today = Date.UTC(2026, 2, 10, 18, 5);
    const { making, demand } = ahead([order('beetroot-barley-broth', 40, today)]).bases[0]!;
    expect(making!.readyAtMs).toBeLessThanOrEqual(demand.byMs!);
    expect(making!.startAtMs).toBeGreaterThan(NOW);
  });
  it('a base that stands on a base asks for that too', () => {
    const rows = ahead([order('venison-juniper-sauce', 30)]).bases.map((one) => one.demand.rowId);
    expect(rows).toContain(recipeRowId('tomato-thyme-mother'));
    expect(rows).toContain(recipeRowId('leek-top-stock'));
  });
  it('a circle of bases is said by name, and the rest is weighed all the same', () => {
    const mother = BOOK.find((one) => one.id === 'tomato-thyme-mother')!;
    const stock = BOOK.find((one) => one.id === 'leek-top-stock')!;
    const loop: Recipe = {
      ...stock,
      lines: [...stock.lines, { ...stock.lines[0]!, id: 'loop', ingredientId: recipeRowId(mother.id) }],
    };
    const book = BOOK.map((one) => (one.id === stock.id ? loop : one));
    const found = ahead([order('venison-juniper-sauce', 30), order('celeriac-veloute', 40)], [], NOW, book);
    expect(found.refused).toHaveLength(1);
    expect(found.refused[0]!.refusals[0]).toMatchObject({
      code: 'cannotBeCooked',
      why: expect.stringMatching(/cannot hold itself, got .*mother sauce.* in .*leek-top stock/),
    });
    expect(found.bases.map((one) => one.demand.rowId)).toEqual(['chicken-stock']);
  });
  it('a base that no recipe makes says so', () => {
    const book = BOOK.filter((one) => one.stocksAs !== 'chicken-stock');
    const [base] = ahead([order('celeriac-veloute', 20)], [], NOW, book).bases;
    expect(base).toMatchObject({
      making: null,
      refusal: { code: 'noRecipe' },
    });
  });
  it('nothing kept, nothing to make', () => {
    expect(ahead([])).toEqual({ bases: [], refused: [] });
  });
  it('and the boards of what is kept leave their heaps', () => {
    const heaps = heapsOfOrders([order('leek-perry-broth', 40)], kitchen, BOOK);
    const leek = heaps
      .filter((heap) => heap.ingredientId === 'leek')
      .reduce((sum, heap) => sum + heap.trimKg, 0);
    const edible = (1.8 * INGREDIENT_BY_ID.leek!.yield * (40 * 0.24)) / 10;
    expect(leek).toBeCloseTo(edible / INGREDIENT_BY_ID.leek!.yield - edible, 6);
  });
});

describe('bases of one day share pots, burners and hands', () => {
  const clash = (a: { fromMs: number; untilMs: number }, b: { fromMs: number; untilMs: number }) =>
    a.fromMs < b.untilMs && b.fromMs < a.untilMs;
  const makings = (orders: OrderView[], change: Partial<Parameters<typeof basesAhead>[0]> = {}) =>
    basesAhead({
      cooling: COOLING,
      orders,
      kitchen,
      book: BOOK,
      lots: [],
      nowMs: NOW,
      dayBeforeMs: (time, atMs) => zonedTimeMs(time, kitchen.zone, atMs, -1),
      ...change,
    }).bases.flatMap(({ making }) => (making ? [making] : []));
  const SOUPS = ['celeriac-veloute', 'trout-chowder', 'venison-juniper-sauce', 'beetroot-barley-broth'];

  it.each([
    ['for Saturday', SATURDAY, NOW],
    ['for this noon, five hours off', Date.UTC(2026, 2, 10, 13, 10), NOW],
  ])('%s: never two on one burner or in one pot at once, and none lit in the past', (_name, serviceAtMs, nowMs) => {
    const all = makings(
      SOUPS.map((id) => order(id, 25, serviceAtMs)),
      { nowMs },
    );
    expect(all.length).toBeGreaterThan(2);
    for (const one of all) {
      expect(one.startAtMs).toBeGreaterThanOrEqual(nowMs);
      expect(one.latestStartMs).toBeGreaterThanOrEqual(nowMs);
      for (const other of all) {
        if (one === other || (one.potId !== other.potId && one.burnerId !== other.burnerId)) continue;
        const span = (of: typeof one) => ({ fromMs: of.startAtMs, untilMs: of.readyAtMs });
        expect(clash(span(one), span(other)), `${one.name} and ${other.name}`).toBe(false);
      }
    }
  });
  it('a burner that something stands on is not counted on until it is free, and what cannot be in time says so', () => {
    const serviceAtMs = Date.UTC(2026, 2, 10, 18, 5);
    const untilMs = serviceAtMs + HOUR;
    const busy = kitchen.burners.flatMap(({ id: burnerId, potIds }) =>
      potIds.map((potId) => ({ potId, burnerId, untilMs })),
    );
    const [free] = makings([order('celeriac-veloute', 25, serviceAtMs)]);
    const [late] = makings([order('celeriac-veloute', 25, serviceAtMs)], { busy });
    expect(free!.isLate).toBe(false);
    expect(late!.isLate).toBe(true);
    expect(late!.startAtMs).toBeGreaterThanOrEqual(untilMs);
  });
  it('several batches in one pot have their own ends, the last when it is all there', () => {
    const small = { ...kitchen, pots: kitchen.pots.filter((pot) => pot.id === 'rondeau-24') };
    const [making] = makings([order('celeriac-veloute', 120, SATURDAY, 'rondeau-24')], { kitchen: small });
    expect(making!.batches).toBeGreaterThan(1);
    expect(making!.runs).toHaveLength(making!.batches);
    const ends = making!.runs.map((run) => run.readyAtMs);
    expect(ends).toEqual([...ends].sort((a, b) => a - b));
    expect(ends.at(-1)).toBe(making!.readyAtMs);
    expect(new Set(ends).size).toBe(ends.length);
  });
  it('a stock with fish in it is not counted on for a soup that has none', () => {
    const fishy = { ...lot('chicken-stock', 60) };
    const without = makings([order('celeriac-veloute', 40)], { lots: [fishy] });
    expect(without).toEqual([]);
    const contents = { ...fishy.contents, allergens: ['fish' as const], diet: 'fish' as const };
    expect(makings([order('celeriac-veloute', 40)], { lots: [{ ...fishy, contents }] })).toHaveLength(1);
  });
});
