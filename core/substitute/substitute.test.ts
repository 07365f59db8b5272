import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { INGREDIENT_BY_ID } from '../matter';
import { planBatch } from '../plan';
import type { Recipe } from '../recipe';
import { LEEK_SOUP, libraryOf, recipeFrom } from '../testing/book';
import { orderOf } from '../testing/broth';
import { comparePlans, type Substitution, substitute, suggestSubstitutions } from './';

const leek = recipeFrom(LEEK_SOUP);
const idOf = (recipe: Recipe, ingredientId: string) =>
  recipe.lines.find((line) => line.ingredientId === ingredientId)!.id;
const kg = (recipe: Recipe, ingredientId: string) =>
  recipe.lines.filter((line) => line.ingredientId === ingredientId).reduce((sum, line) => sum + line.kg, 0);
function planned(recipe: Recipe, saltPercent = 0.9) {
  const prepared = prepareRecipe(
    recipe,
    libraryOf([recipe], { 'chicken-stock': 150, 'bouillon-powder': 900 }),
  );
  return {
    plan: planBatch(orderOf({ ...prepared, portions: 60, band: recipe.targetBand, saltPercent })),
    ingredients: prepared.ingredients,
  };
}
const changed = (recipe: Recipe, change: Substitution) => substitute(recipe, change, INGREDIENT_BY_ID);
const effect = (recipe: Recipe, change: Substitution) =>
  comparePlans(planned(recipe), planned(changed(recipe, change).recipe));

describe('half of a stock', () => {
  const change: Substitution = {
    kind: 'swap',
    lineId: idOf(leek, 'chicken-stock'),
    byIngredientId: 'vegetable-stock',
    share: 0.5,
    keep: 'weight',
  };
  it('is two lines that keep their proportion through the plan', () => {
    const { recipe } = changed(leek, change);
    expect(kg(recipe, 'vegetable-stock')).toBeCloseTo(kg(leek, 'chicken-stock') / 2, 12);
    const { plan } = planned(recipe);
    const of = (id: string) => plan.lines.find((line) => line.ingredientId === id)!.edibleKg;
    expect(of('vegetable-stock')).toBeCloseTo(of('chicken-stock'), 6);
    expect(plan.yieldPortions).toBeCloseTo(60, 1);
  });
  it('made twice it is three quarters, still two lines that add up', () => {
    const twice = changed(changed(leek, change).recipe, change).recipe;
    expect(new Set(twice.lines.map((line) => line.id)).size).toBe(twice.lines.length);
    expect(kg(twice, 'vegetable-stock')).toBeCloseTo(0.75 * kg(leek, 'chicken-stock'), 12);
    expect(kg(twice, 'chicken-stock')).toBeCloseTo(0.25 * kg(leek, 'chicken-stock'), 12);
  });
  it('costs less, tastes of less, and stays meat', () => {
    const found = effect(leek, change);
    expect(found.costPerPortionCents).toBeLessThan(0);
    expect(found.umamiShare).toBeLessThan(1);
    expect([found.dietBefore, found.dietAfter]).toEqual(['meat', 'meat']);
    expect(effect(leek, { ...change, share: 1 }).dietAfter).toBe('vegetarian');
  });
});

describe('bouillon for stock', () => {
  const lineId = idOf(leek, 'chicken-stock');
  it('the salt line pays for the salt it brings', () => {
    const { recipe } = changed(leek, { kind: 'bouillon', lineId, share: 0.5, gPerL: 20 });
    const saltInG = kg(recipe, 'bouillon-powder') * 0.48 * 1000;
    const [before, after] = [planned(leek).plan, planned(recipe).plan];
    expect(after.saltPercent).toBeCloseTo(0.9, 2);
    const scale = after.yieldLitres / recipe.litres;
    expect(before.saltToAddG - after.saltToAddG).toBeGreaterThan(0.8 * saltInG * scale);
    expect(before.saltToAddG - after.saltToAddG).toBeLessThan(1.2 * saltInG * scale);
  });
  it('to nothing if it must, and then the bouillon itself is held to the target', () => {
    const { recipe, notes } = changed(
      { ...leek, targetSaltPercent: 0.4 },
      { kind: 'bouillon', lineId, share: 1, gPerL: 40 },
    );
    const { plan } = planned(recipe, 0.4);
    expect(plan.saltToAddG).toBeLessThan(3);
    expect(plan.saltPercent).toBeLessThan(0.45);
    expect(notes).toContainEqual(expect.objectContaining({ code: 'bouillonCapped', saltPercent: 0.4 }));
  });
});

describe('milk and cream to a fat percent', () => {
  const chowder = recipeFrom('Chowder\n1 L milk\n1 L whipping cream\n1 L fish fumet');
  const lines = { milkLineId: idOf(chowder, 'milk'), creamLineId: idOf(chowder, 'cream') };
  it('by the square of mixing: 12 % from 3.5 and 36', () => {
    const { recipe } = changed(chowder, { kind: 'dairyFat', ...lines, fatPercent: 12 });
    const [milk, cream] = [kg(recipe, 'milk'), kg(recipe, 'cream')];
    expect((milk * 3.5 + cream * 36) / (milk + cream)).toBeCloseTo(12, 9);
    expect(milk + cream).toBeCloseTo(kg(chowder, 'milk') + kg(chowder, 'cream'), 12);
    // the mixing square by hand: (36 − 12) parts of milk to (12 − 3.5) of cream
    expect(milk / cream).toBeCloseTo(24 / 8.5, 9);
  });
  it('out of reach is refused', () => {
    expect(() => changed(chowder, { kind: 'dairyFat', ...lines, fatPercent: 40 })).toThrow(/fatPercent.*40/);
  });
});

describe('by strength, by solids, dried for fresh', () => {
  const veloute = recipeFrom(
    'Velouté\n1 L chicken stock\n50 g butter\n50 g plain flour\n\nMelt the butter and stir in the flour. Pour in the stock and simmer for 20 minutes. Serve.',
  );
  it('cornstarch for flour is half, and the roux’s fat goes with it; the band stays', () => {
    const change: Substitution = {
      kind: 'swap',
      lineId: idOf(veloute, 'flour'),
      byIngredientId: 'cornstarch',
      share: 1,
      keep: 'strength',
    };
    const { recipe, notes } = changed(veloute, change);
    expect(kg(recipe, 'cornstarch')).toBeCloseTo(0.025, 9);
    expect(kg(recipe, 'butter')).toBe(0);
    expect(notes).toContainEqual({ code: 'binds', name: 'Cornstarch', times: expect.closeTo(2, 9) });
    expect(Math.abs(effect(veloute, change).band)).toBeLessThan(0.1);
    expect(effect(veloute, change).allergensOut).toEqual(['wheat', 'milk']);
  });
  it('fresh tomatoes for tinned carry the same solids, and more water to boil off', () => {
    const sauce = recipeFrom('Sauce\n2 tins tomatoes\n1 L vegetable stock');
    const { recipe } = changed(sauce, {
      kind: 'swap',
      lineId: idOf(sauce, 'tomato-tinned'),
      byIngredientId: 'tomato',
      share: 1,
      keep: 'solids',
    });
    const solids = (id: string, of: Recipe) =>
      kg(of, id) * (1 - INGREDIENT_BY_ID[id]!.perKg.water - INGREDIENT_BY_ID[id]!.perKg.salt);
    expect(solids('tomato', recipe)).toBeCloseTo(solids('tomato-tinned', sauce), 9);
  });
  it('fresh for dried thyme is three to one, and back', () => {
    const soup = recipeFrom('Soup\n1 L chicken stock\n3 g dried thyme');
    const fresh = changed(soup, {
      kind: 'swap',
      lineId: idOf(soup, 'dried-thyme'),
      byIngredientId: 'thyme',
      share: 1,
      keep: 'dried',
    }).recipe;
    expect(kg(fresh, 'thyme')).toBeCloseTo(0.009, 9);
    const back = changed(fresh, {
      kind: 'swap',
      lineId: fresh.lines.find((line) => line.ingredientId === 'thyme')!.id,
      byIngredientId: 'dried-thyme',
      share: 1,
      keep: 'dried',
    }).recipe;
    expect(kg(back, 'dried-thyme')).toBeCloseTo(0.003, 9);
    expect(() =>
      changed(soup, {
        kind: 'swap',
        lineId: idOf(soup, 'dried-thyme'),
        byIngredientId: 'dill',
        share: 1,
        keep: 'dried',
      }),
    ).toThrow(/dill/);
  });
});

describe('a vegetarian swap keeps the umami', () => {
  const soup = recipeFrom(
    'Bean soup\nServes 6\n1.5 L vegetable stock\n500 g tinned white beans\n8 anchovy fillets\n2 tbsp fish sauce',
  );
  it('soy sauce for fish sauce brings as much, and the fish is gone', () => {
    const change: Substitution = {
      kind: 'swap',
      lineId: idOf(soup, 'fish-sauce'),
      byIngredientId: 'soy-sauce',
      share: 1,
      keep: 'umami',
    };
    const { recipe } = changed(soup, change);
    expect(kg(recipe, 'soy-sauce') / kg(soup, 'fish-sauce')).toBeCloseTo(1, 1);
    expect(effect(soup, change).allergensIn).toEqual(['wheat', 'soya']);
  });
  it('is offered for what no vegetarian eats, with its synergy weighed', () => {
    const offers = suggestSubstitutions(soup, INGREDIENT_BY_ID);
    const anchovy = offers.find(
      ({ change }) => 'lineId' in change && change.lineId === idOf(soup, 'anchovy'),
    )!;
    const { recipe } = changed(soup, anchovy.change);
    expect(kg(recipe, 'miso')).toBeGreaterThan(kg(soup, 'anchovy'));
  });
  it('every suggestion of every kind can be carried out and planned', () => {
    const all = recipeFrom(
      'All\nServes 6\n1 L chicken stock\n1 tin tomatoes\n50 g butter\n50 g plain flour\n200 ml milk\n100 ml double cream\n1 tsp dried thyme\n50 g smoked bacon\nsalt to taste',
    );
    const offers = suggestSubstitutions(all, INGREDIENT_BY_ID);
    expect(offers.length).toBeGreaterThanOrEqual(8);
    for (const offer of offers) {
      const found = effect(all, offer.change);
      for (const value of [
        found.saltToAddG,
        found.band,
        found.costPerPortionCents,
        found.minutes,
        found.umamiShare,
      ]) {
        expect(Number.isFinite(value), JSON.stringify(offer.change)).toBe(true);
      }
    }
  });
  it('nonsense is refused by name', () => {
    const lineId = idOf(leek, 'chicken-stock');
    expect(() =>
      changed(leek, { kind: 'swap', lineId: 'w99', byIngredientId: 'water', share: 1, keep: 'weight' }),
    ).toThrow(/lineId.*w99/);
    expect(() =>
      changed(leek, { kind: 'swap', lineId, byIngredientId: 'moon', share: 1, keep: 'weight' }),
    ).toThrow(/moon/);
    expect(() =>
      changed(leek, { kind: 'swap', lineId, byIngredientId: 'water', share: 2, keep: 'weight' }),
    ).toThrow(/share.*2/);
    expect(() =>
      changed(leek, { kind: 'swap', lineId, byIngredientId: 'water', share: 1, keep: 'strength' }),
    ).toThrow(/thicken/);
  });
});
