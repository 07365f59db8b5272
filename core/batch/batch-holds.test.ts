import { describe, expect, it } from 'vitest';
import {
  drawnLotOf,
  drawsOfBatch,
  lotsOfBatch,
  mixContents,
  planHolds,
  planWithLots,
  type ShelfLot,
} from '../larder';
import { type Allergen, INGREDIENT_BY_ID, massKg, saltPercent } from '../matter';
import { potInput } from '../plan';
import { commandOf } from '../rules';
import { orderOf, SERVICE_AT_MS, snapshotOf } from '../testing/broth';
import { contentsFor } from '../testing/larder';
import {
  type BatchEvent,
  type BatchEventBody,
  type BatchSnapshot,
  batchHolds,
  foldBatch,
  type Slip,
} from './';

/** A vegetable stock as it is made, and one that a fumet was poured into: both answer to the same line. */
const stock = contentsFor('vegetable-stock');
const withFumet = mixContents('Stock with fumet', [
  { contents: stock, kg: 6 },
  { contents: contentsFor('fish-fumet', { allergens: ['fish', 'sulphites'] }), kg: 3 },
]);
const lot = (
  id: string,
  number: number,
  contents: ShelfLot['contents'],
  change: Partial<ShelfLot> = {},
): ShelfLot => ({
  id,
  number,
  contents,
  leftKg: 40,
  madeAtMs: 0,
  bornAtMs: 0,
  storage: 'chilled',
  useByMs: SERVICE_AT_MS + number,
  mayBePast: false,
  origin: { kind: 'batch', batchId: 'b' },
  centsPerKg: 100,
  ...change,
});
const plain = lot('plain', 31, stock);
const fishy = lot('fishy', 7, withFumet, { origin: { kind: 'blend', lotIds: [] }, centsPerKg: 400 });

function started(
  lots: readonly ShelfLot[],
  taken?: string[],
): { snapshot: BatchSnapshot; planned: ReturnType<typeof planWithLots> } {
  const planned = planWithLots(orderOf(), lots, taken);
  const { input, plan, draws, holds } = planned;
  return { snapshot: { input: potInput(input, plan), plan, draws, holds }, planned };
}
let seq = 0;
const event = (minute: number, body: BatchEventBody): BatchEvent => {
  seq += 1;
  return { ...body, id: `h${seq}`, seq, actedAtMs: SERVICE_AT_MS - 7_200_000 + minute * 60_000 };
};
const stockIn = (kg: number, from: ShelfLot | null, minute = 0) =>
  event(minute, {
    type: 'added',
    payload: {
      items: [
        {
          ingredientId: 'vegetable-stock',
          kg,
          tempC: 5,
          lineId: 'stock',
          ...(from ? { lotId: from.id, drawn: drawnLotOf(from) } : {}),
        },
      ],
    },
  });
const at = (snapshot: BatchSnapshot, log: BatchEvent[], minute = 30) =>
  foldBatch(snapshot, log, SERVICE_AT_MS - 7_200_000 + minute * 60_000);
const allergens = (of: { allergens: readonly Allergen[] }) => [...of.allergens].sort();

describe('what a pot holds is what went into it', () => {
  it('another lot than planned: its fish, its salt, its price; the label of what is stored says so', () => {
    const { snapshot } = started([plain]);
    const log = [
      stockIn(9, fishy),
      event(20, { type: 'stored', payload: { lotId: 'L', litres: 4, place: 'walk-in', storage: 'chilled' } }),
    ];
    const state = at(snapshot, log);
    const holds = batchHolds(snapshot, state);
    expect(holds.allergens).toEqual(expect.arrayContaining(['fish', 'sulphites']));
    expect(holds.diet).toBe('fish');
    expect(holds.more).toEqual([
      { name: 'Stock with fumet', lotNumber: 7, brings: { allergens: ['fish', 'sulphites'], diet: 'fish' } },
    ]);
    expect(saltPercent(state.pot.mixture, 'all') / 100).toBeCloseTo(withFumet.perKg.salt, 9);
    expect(state.costCents).toBeCloseTo(9 * 400, 6);
    const [stored] = lotsOfBatch('b', snapshot, state);
    expect(allergens(stored!.birth.contents)).toEqual(allergens(withFumet));
    expect(stored!.birth.contents.diet).toBe('fish');
  });
  it('what is added after something was stored is not in what was stored', () => {
    const { snapshot } = started([plain]);
    const state = at(snapshot, [
      stockIn(9, plain),
      event(5, { type: 'stored', payload: { lotId: 'L', litres: 4, place: 'walk-in', storage: 'chilled' } }),
      event(9, {
        type: 'added',
        payload: { items: [{ ingredientId: 'butter', kg: 0.2, tempC: 18, lineId: 'butter' }] },
      }),
    ]);
    expect(allergens(lotsOfBatch('b', snapshot, state)[0]!.birth.contents)).toEqual(allergens(stock));
  });
  it('such a lot is offered and never drawn by itself; taken, the plan, its salt and the batch say so', () => {
    const first = started([fishy]);
    expect(first.planned.draws).toEqual([]);
    expect(first.planned.shorts.map((one) => one.lineId)).toEqual(['stock']);
    expect(first.planned.offers).toEqual([
      { lineId: 'stock', lotId: 'fishy', brings: { allergens: ['fish', 'sulphites'], diet: 'fish' } },
    ]);
    expect(planHolds(first.planned, [fishy]).more).toEqual([]);
    // older, so it would have been the first to go
    expect(started([fishy, plain]).planned.draws.map((draw) => draw.lotId)).toEqual(['plain']);
    const taken = started([fishy, plain], ['fishy']);
    expect(taken.planned.draws.map((draw) => draw.lotId)).toEqual(['fishy']);
    expect(planHolds(taken.planned, [fishy, plain]).allergens).toContain('fish');
    expect(batchHolds(taken.snapshot, at(taken.snapshot, [stockIn(9, fishy)])).more).toHaveLength(1);
  });
  it('a claim that a lot breaks is named', () => {
    const input = orderOf();
    const vegetarian = { ...input, recipe: { ...input.recipe, claims: ['vegetarian' as const] } };
    const { plan, draws, holds } = planWithLots(vegetarian, [plain]);
    const snapshot = { input: potInput(vegetarian, plan), plan, draws, holds };
    expect(batchHolds(snapshot, at(snapshot, [stockIn(9, plain)])).brokenClaims).toEqual([]);
    expect(batchHolds(snapshot, at(snapshot, [stockIn(9, fishy)])).brokenClaims).toEqual(['vegetarian']);
  });
  it('a food of another pot, which this dish never knew, is in it: its allergen, weight, and it can be lifted out', () => {
    const snapshot = snapshotOf();
    const clam = { ...INGREDIENT_BY_ID.mussel!, id: 'razor-clam', name: 'Razor clam' };
    const slip: Slip = { kind: 'wrongPot', ingredientId: 'razor-clam', kg: 0.5, tempC: 20, row: clam };
    const wet = stockIn(8, null);
    const before = at(snapshot, [wet], 5);
    const state = at(snapshot, [wet, event(5, { type: 'slip', payload: slip })], 5);
    expect(batchHolds(snapshot, state).more.map((one) => one.name)).toEqual([clam.name]);
    expect(batchHolds(snapshot, state).allergens).toContain('molluscs');
    expect(massKg(state.pot.mixture) - massKg(before.pot.mixture)).toBeCloseTo(0.5, 6);
    const lifted = event(6, {
      type: 'lifted',
      payload: { ingredientId: 'razor-clam', kg: 2, fate: 'thrown' },
    });
    const after = at(snapshot, [wet, event(5, { type: 'slip', payload: slip }), lifted], 6);
    expect(after.items.filter((item) => item.ingredientId === 'razor-clam')).toEqual([]);
    expect(batchHolds(snapshot, after).allergens).toContain('molluscs');
  });
  it('forgotten, it was never there: allergen, money and lot are as before', () => {
    const { snapshot } = started([plain]);
    const log = [stockIn(3, plain), stockIn(6, fishy, 1)];
    const state = at(snapshot, [
      ...log,
      event(2, { type: 'slip', payload: { kind: 'forgot', lineId: 'stock' } }),
    ]);
    expect(batchHolds(snapshot, state).more).toEqual([]);
    expect(state.costCents).toBeCloseTo(0, 9);
    expect(drawsOfBatch('b', snapshot.input.ingredients, log)).toHaveLength(2);
  });
  it('too much of a base leaves its lot', () => {
    const { snapshot } = started([plain]);
    const slip: Slip = {
      kind: 'tooMuch',
      ingredientId: 'vegetable-stock',
      kg: 3,
      tempC: 20,
      lotId: 'plain',
      drawn: drawnLotOf(plain),
    };
    const draws = drawsOfBatch('b', snapshot.input.ingredients, [
      stockIn(9, plain),
      event(3, { type: 'slip', payload: slip }),
    ]);
    expect(draws.map((draw) => [draw.lotId, draw.kg])).toEqual([
      ['plain', 9],
      ['plain', 3],
    ]);
  });
  it('what the kitchen said of a lot is no part of what the cook said', () => {
    expect(commandOf(stockIn(9, fishy))).toEqual({
      type: 'added',
      payload: {
        items: [{ ingredientId: 'vegetable-stock', kg: 9, tempC: 5, lineId: 'stock', lotId: 'fishy' }],
      },
    });
  });
  it('what is known of a lot today counts too, where it is more than was known as it was drawn', () => {
    const { snapshot } = started([plain]);
    const holds = batchHolds(snapshot, at(snapshot, [stockIn(9, plain)]), {
      plain: { allergens: ['sesame'], diet: 'vegan' },
    });
    expect(holds.allergens).toContain('sesame');
    expect(holds.more[0]!.brings).toEqual({ allergens: ['sesame'], diet: null });
  });
});
