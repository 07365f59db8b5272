import { describe, expect, it } from 'vitest';
import { check, recipeSchema } from '../../contract';
import { libraryOf, rowsOf } from '../../core/book';
import { planInputOf } from '../../core/order';
import { planBatch } from '../../core/plan';
import { linesOf, readingTable } from '../../core/reader';
import { brokenClaims, ratioParts, ratiosOf, recipeIdOf, whatItHolds } from '../../core/recipe';
import { PRICES_CENTS_PER_KG } from '../kitchen';
import { kitchenView } from '../kitchen-view';
import { BOOK, DISHES } from './dishes';

const kitchen = kitchenView();
const library = libraryOf(kitchen, BOOK);

describe('the bases keep the trade’s proportions', () => {
  const ratio = (id: string, which: string) => ratiosOf(library.recipes[id]!, library.ingredients).find((one) => one.id === which)!;
  it('white stock: about 8 parts bones, 10 to 12 water, 1 vegetables (handbooks, from memory)', () => {
    const [bones, water, vegetables] = ratioParts(ratio('roast-chicken-stock', 'bones')) as [number, number, number];
    expect((8 * water) / bones).toBeGreaterThan(9.9);
    expect((8 * water) / bones).toBeLessThan(12.1);
    expect((8 * vegetables) / bones).toBeCloseTo(1, 0);
  });
  it('kelp at about 10 g to the litre (common practice)', () => {
    expect(ratioParts(ratio('kelp-and-mushroom-stock', 'kelp'))[0]).toBeGreaterThan(8);
    expect(ratioParts(ratio('kelp-and-mushroom-stock', 'kelp'))[0]).toBeLessThan(12);
  });
});

describe('the dishes of the house', () => {
  it('are eight, with the bases they stand on, three deep', () => {
    expect(DISHES).toHaveLength(8);
    const depth = (id: string): number => 1 + Math.max(0, ...library.recipes[id]!.lines.map((line) => recipeIdOf(line.ingredientId)).flatMap((sub) => (sub ? [depth(sub)] : [])));
    expect(depth('venison-juniper-sauce')).toBe(3);
  });
  it.each(BOOK.map((recipe) => [recipe.name, recipe] as const))('%s passes the schema, keeps its claims, prices every line', (_name, recipe) => {
    const checked = check(recipeSchema, recipe);
    expect(checked.ok ? [] : checked.errors).toEqual([]);
    expect(brokenClaims(recipe, whatItHolds(recipe, library))).toEqual([]);
    for (const line of recipe.lines) {
      const id = line.ingredientId;
      if (!recipeIdOf(id)) expect(PRICES_CENTS_PER_KG[id], id).toBeDefined();
    }
  });
  it.each(DISHES.map((recipe) => [recipe.name, recipe] as const))('%s is planned for 40: bowls, salt, a cost, allergens', (_name, recipe) => {
    const input = planInputOf({ recipeId: recipe.id, portions: 40, portionMl: recipe.portionMl, saltPercent: recipe.targetSaltPercent, band: recipe.targetBand, serviceAtMs: Date.UTC(2026, 2, 10, 18, 5), potId: 'stockpot-40', burnerId: 'gas-2' }, kitchen, recipe, BOOK);
    if (Array.isArray(input)) throw new Error(input[0]!.code);
    const plan = planBatch(input);
    expect(plan.yieldPortions).toBeCloseTo(40, 0);
    expect(plan.saltPercent).toBeCloseTo(recipe.targetSaltPercent, 1);
    expect(plan.costPerPortionCents).toBeGreaterThan(10);
    expect(plan.costPerPortionCents).toBeLessThan(600);
    expect(plan.batches).toBe(1);
  });
  it.each(BOOK.filter((one) => one.written).map((recipe) => [recipe.name, recipe] as const))('%s reads off its paper without a doubt', (_name, recipe) => {
    const table = readingTable(rowsOf(library, recipe.id));
    const again = linesOf(recipe, recipe.written!, table);
    expect(again.notUnderstood).toEqual([]);
    expect(again.lines).toEqual(recipe.lines);
  });
});
