import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { planBatch } from '../plan';
import { orderOf, SERVICE_AT_MS } from '../testing/broth';
import { contentsFor } from '../testing/larder';
import { isBaseRow, itemsFromLots, planWithLots, type ShelfLot } from './';

const stock = INGREDIENT_BY_ID['vegetable-stock']!;
const lot = (id: string, leftKg: number, change: Partial<ShelfLot> = {}): ShelfLot => ({
  id,
  number: 1,
  leftKg,
  madeAtMs: 0,
  bornAtMs: 0,
  storage: 'chilled',
  useByMs: SERVICE_AT_MS + 1000 + leftKg,
  mayBePast: false,
  origin: { kind: 'batch', batchId: 'b' },
  contents: contentsFor('vegetable-stock'),
  centsPerKg: 100,
  ...change,
});
const salty = (percent: number) => {
  const salt = percent / 100;
  return contentsFor('vegetable-stock', {
    perKg: { ...stock.perKg, salt, water: stock.perKg.water + stock.perKg.salt - salt },
  });
};
const mayHold = () => ({ allergens: stock.allergens, diet: stock.diet });
const stockKg = (planned: ReturnType<typeof planWithLots>) =>
  planned.plan.lines.find((line) => line.lineId === 'stock')!.edibleKg;

describe('planning from the shelf', () => {
  it('draws what the plan needs from the lot that is there, and is short of nothing', () => {
    const planned = planWithLots(orderOf(), [lot('A', 40)]);
    expect(planned.draws).toEqual([{ lineId: 'stock', lotId: 'A', kg: expect.closeTo(stockKg(planned), 9) }]);
    expect(planned.shorts).toEqual([]);
    expect(planned.plan.saltPercent).toBeCloseTo(planBatch(orderOf()).saltPercent, 6);
  });
  it('a salty lot is paid for at the salt line: the bowl keeps its percent', () => {
    const mild = planWithLots(orderOf(), [lot('A', 40)]).plan;
    const found = planWithLots(orderOf(), [lot('A', 40, { contents: salty(0.6) })]).plan;
    expect(found.saltPercent).toBeCloseTo(mild.saltPercent, 2);
    const kg = found.lines.find((line) => line.lineId === 'stock')!.edibleKg;
    expect(mild.saltToAddG - found.saltToAddG).toBeCloseTo(kg * (6 - 1), -1);
  });
  it('two lots: the first to go is emptied, and the plan goes by what they are poured together', () => {
    const planned = planWithLots(orderOf(), [
      lot('new', 40, { contents: salty(0.1), centsPerKg: 300 }),
      lot('old', 3, { contents: salty(0.9), centsPerKg: 50, useByMs: SERVICE_AT_MS + 1 }),
    ]);
    expect(planned.draws.map((draw) => draw.lotId)).toEqual(['old', 'new']);
    expect(planned.draws[0]!.kg).toBeCloseTo(3, 9);
    const kg = stockKg(planned);
    const row = planned.input.ingredients['vegetable-stock']!;
    expect(100 * row.perKg.salt).toBeCloseTo((3 * 0.9 + (kg - 3) * 0.1) / kg, 2);
    expect(planned.input.pricesCentsPerKg['vegetable-stock']).toBeCloseTo((3 * 50 + (kg - 3) * 300) / kg, 0);
  });
  it('what is not there is short, and said; frozen and past lots are named with it', () => {
    const planned = planWithLots(orderOf(), [
      lot('A', 4),
      lot('ice', 40, { storage: 'frozen', useByMs: null }),
      lot('past', 40, { useByMs: SERVICE_AT_MS - 1 }),
    ]);
    expect(planned.shorts).toHaveLength(1);
    expect(planned.shorts[0]).toMatchObject({
      rowId: 'vegetable-stock',
      shortKg: expect.closeTo(stockKg(planned) - 4, 6),
    });
    expect(planned.shorts[0]!.passedOver).toEqual([
      { lotId: 'past', why: 'past' },
      { lotId: 'ice', why: 'frozen' },
    ]);
    expect(planWithLots(orderOf(), []).shorts[0]!.shortKg).toBeGreaterThan(8);
  });
  it('a crate of raw goods is drawn by weight as bought, changes the price and not the food; without one nothing is short', () => {
    const crate = lot('crate', 20, {
      contents: contentsFor('carrot'),
      origin: { kind: 'delivery', supplier: 'x' },
      centsPerKg: 200,
    });
    const planned = planWithLots(orderOf(), [lot('A', 40), crate]);
    const carrot = planned.plan.lines.find((line) => line.ingredientId === 'carrot')!;
    expect(planned.draws.find((draw) => draw.lotId === 'crate')!.kg).toBeCloseTo(carrot.edibleKg, 9);
    expect(carrot.costCents).toBeCloseTo(carrot.purchasedKg * 200, 6);
    const { perKg, yield: edible } = INGREDIENT_BY_ID.carrot!;
    expect(planned.input.ingredients.carrot).toMatchObject({ perKg, yield: edible });
    const little = planWithLots(orderOf(), [lot('A', 40), { ...crate, leftKg: 1 }]);
    expect(little.draws.find((draw) => draw.lotId === 'crate')!.kg).toBeCloseTo(
      INGREDIENT_BY_ID.carrot!.yield,
      9,
    );
    expect(little.shorts).toEqual([]);
  });
  it('stocks are bases, bouillon powder and carrots are not', () => {
    expect(
      ['vegetable-stock', 'fish-fumet', 'kelp-stock'].every((id) => isBaseRow(INGREDIENT_BY_ID[id]!)),
    ).toBe(true);
    expect(
      ['bouillon-powder', 'carrot', 'water', 'salt'].some((id) => isBaseRow(INGREDIENT_BY_ID[id]!)),
    ).toBe(false);
  });
  it('what is put in beside the plan is drawn too: the oldest first, the rest without a lot', () => {
    const item = { ingredientId: 'vegetable-stock', kg: 5, tempC: 5 };
    const shelf = [lot('new', 9), lot('old', 2, { useByMs: SERVICE_AT_MS + 1 })];
    expect(itemsFromLots([item], shelf, SERVICE_AT_MS, mayHold)).toEqual([
      { ...item, kg: 2, lotId: 'old' },
      { ...item, kg: 3, lotId: 'new' },
    ]);
    expect(itemsFromLots([item], [lot('old', 2)], SERVICE_AT_MS, mayHold)).toEqual([
      { ...item, kg: 2, lotId: 'old' },
      { ...item, kg: 3 },
    ]);
    expect(itemsFromLots([{ ...item, ingredientId: 'salt' }], shelf, 0, mayHold)).toEqual([
      { ...item, ingredientId: 'salt' },
    ]);
  });
});
