import { describe, expect, it } from 'vitest';
import { baseMinutes, prepareRecipe } from '../book';
import { miseList } from '../lists';
import { INGREDIENT_BY_ID } from '../matter';
import { type BaseNeed, baseDemand, type StandingLot } from '../order';
import { planBatch } from '../plan';
import { substitute, suggestSubstitutions } from '../substitute';
import { LEEK_SOUP, libraryOf, recipeFrom } from '../testing/book';
import { orderOf } from '../testing/broth';
import { BASE_KINDS, useItUp } from './';
import { TRIMMINGS } from './data/trimmings';

const HOUR = 3_600_000;
const need = (forName: string, kg: number, hour: number, rowId = 'chicken-stock'): BaseNeed => ({
  orderId: forName,
  forName,
  rowId,
  name: rowId,
  densityKgPerL: 1,
  kg,
  atMs: hour * HOUR,
});
const lot = (
  id: string,
  leftKg: number,
  useByHour: number | null,
  change: Partial<StandingLot> = {},
): StandingLot => ({
  id,
  leftKg,
  madeAtMs: 0,
  storage: 'chilled',
  useByMs: useByHour === null ? null : useByHour * HOUR,
  mayBePast: false,
  satisfies: ['chicken-stock'],
  ...change,
});

describe('what has to be made', () => {
  it('three soups draw on two lots: the oldest first, no kilogram twice, the rest to make before the first that is short (by hand)', () => {
    const [demand] = baseDemand(
      [need('evening', 6, 18), need('lunch', 5, 12), need('midday', 4, 13)],
      [lot('new', 7, 200), lot('old', 3, 15)],
    );
    expect(demand).toMatchObject({ wantedKg: 15, thereKg: 10, toMakeKg: 5, byMs: 18 * HOUR });
    expect(demand!.parts.map((part) => [part.need.forName, part.draws, part.shortKg])).toEqual([
      [
        'lunch',
        [
          { lotId: 'old', kg: 3 },
          { lotId: 'new', kg: 2 },
        ],
        0,
      ],
      ['midday', [{ lotId: 'new', kg: 4 }], 0],
      ['evening', [{ lotId: 'new', kg: 1 }], 5],
    ]);
  });
  it('a lot that will be past its date by then, or is frozen, is no help, and is named', () => {
    const [demand] = baseDemand(
      [need('Saturday', 4, 100)],
      [lot('old', 9, 50), lot('ice', 9, null, { storage: 'frozen' })],
    );
    expect(demand).toMatchObject({
      toMakeKg: 4,
      thereKg: 0,
      passedOver: [
        { lotId: 'old', why: 'past' },
        { lotId: 'ice', why: 'frozen' },
      ],
    });
  });
  it('what is enough is to be made by nobody; the most pressing comes first', () => {
    const demands = baseDemand(
      [need('soup', 2, 12), need('late', 3, 20, 'fish-fumet'), need('early', 1, 9, 'kelp-stock')],
      [lot('new', 7, 200)],
    );
    expect(demands.map((one) => [one.rowId, one.byMs])).toEqual([
      ['kelp-stock', 9 * HOUR],
      ['fish-fumet', 20 * HOUR],
      ['chicken-stock', null],
    ]);
  });
});

describe('nothing thrown away that a stock wants', () => {
  it('a soup’s mise: leek tops and onion ends suit stocks, potato peel none, and why', () => {
    const recipe = recipeFrom(LEEK_SOUP);
    const prepared = prepareRecipe(recipe, libraryOf([recipe]));
    const input = orderOf({ ...prepared, portions: 60, band: recipe.targetBand });
    const plan = planBatch(input);
    const heaps = miseList({ recipe: prepared.recipe, plan, ingredients: prepared.ingredients }).map(
      (item) => ({
        ingredientId: plan.lines.find((line) => line.lineId === item.lineId)!.ingredientId,
        trimKg: item.trimKg,
      }),
    );
    const { uses, not } = useItUp(heaps, INGREDIENT_BY_ID);
    const light = uses.find((use) => use.kind.id === 'light-vegetable-stock')!;
    expect(light.trimmings.map((one) => one.ingredientId)).toEqual(['leek']);
    const dark = uses.find((use) => use.kind.id === 'dark-vegetable-stock')!;
    expect(uses[0]!.kg).toBe(dark.kg);
    expect(dark.kg).toBeCloseTo(
      heaps
        .filter((heap) => ['leek', 'onion'].includes(heap.ingredientId))
        .reduce((sum, heap) => sum + heap.trimKg, 0),
      9,
    );
    expect(not.map((one) => one.ingredientId)).toEqual(['potato']);
    expect(not[0]!.why).toMatch(/clouds/);
  });
  it('heaps of one food add up; crumbs are swept up; every suit is a kind there is', () => {
    expect(
      useItUp(
        [
          { ingredientId: 'leek', trimKg: 0.3 },
          { ingredientId: 'leek', trimKg: 0.2 },
          { ingredientId: 'carrot', trimKg: 0.001 },
        ],
        INGREDIENT_BY_ID,
      ).uses[0]!.kg,
    ).toBeCloseTo(0.5, 12);
    const kinds = BASE_KINDS.map((kind) => kind.id);
    for (const [id, row] of Object.entries(TRIMMINGS)) {
      expect(INGREDIENT_BY_ID[id], id).toBeDefined();
      for (const kind of row.suits) expect(kinds, id).toContain(kind);
      if (row.suits.length === 0) expect(row.why, id).not.toBe('');
    }
  });
  it('cabbages, beetroot, pepper hearts and potato peel spoil a stock; oily and smoked fish a fumet (common practice)', () => {
    for (const id of ['cabbage', 'kale', 'beetroot', 'red-pepper', 'potato', 'salmon', 'smoked-trout'])
      expect(TRIMMINGS[id]!.suits, id).toEqual([]);
  });
});

describe('when there is no stock', () => {
  const leek = recipeFrom(LEEK_SOUP);
  const stockLine = leek.lines.find((line) => line.ingredientId === 'chicken-stock')!;
  it('water with its aromatics in the pot, to be lifted out, and the litres kept', () => {
    const { recipe } = substitute(
      leek,
      { kind: 'aromatics', lineId: stockLine.id, share: 1 },
      INGREDIENT_BY_ID,
    );
    expect(recipe.lines.some((line) => line.ingredientId === 'chicken-stock')).toBe(false);
    expect(recipe.lines.filter((line) => line.id.includes('~pot~')).every((line) => line.comesOut)).toBe(
      true,
    );
    const prepared = prepareRecipe(recipe, libraryOf([recipe]));
    const plan = planBatch(orderOf({ ...prepared, portions: 40, band: recipe.targetBand }));
    expect(plan.yieldPortions).toBeCloseTo(40, 1);
  });
  it('is offered beside bouillon and kelp stock, that one with the minutes it takes to make first', () => {
    const offers = suggestSubstitutions(leek, INGREDIENT_BY_ID);
    expect(offers.map((one) => one.change.kind)).toContain('aromatics');
    expect(offers.map((one) => one.change.kind)).toContain('bouillon');
    const kelp = offers.find(
      (one) => one.change.kind === 'swap' && one.change.byIngredientId === 'kelp-stock',
    )!;
    expect(kelp.makeMin).toBe(Math.round(baseMinutes('kelp-mushroom-stock')));
    expect(kelp.makeMin).toBeGreaterThan(45);
    expect(kelp.makeMin).toBeLessThan(120);
  });
});
