import fc from 'fast-check';
import { expect, it } from 'vitest';
import { prepareRecipe, recipeCostPerPortionCents } from '../book';
import { INGREDIENTS, totalKg } from '../matter';
import { LEEK_SOUP, libraryOf, recipeFrom } from '../testing/book';
import { type Recipe, recipeRowId, whatItHolds } from './';

/** Whole books of recipes in recipes, at random: each stands on some of those before it. */
const base = recipeFrom(LEEK_SOUP);
const foods = INGREDIENTS.filter((row) => row.perKg.water > 0.2 || row.kind === 'fat');
const line = fc.record({
  food: fc.nat({ max: foods.length - 1 }),
  kg: fc.double({ min: 0.01, max: 3, noNaN: true }),
});
const sub = fc.record({ of: fc.nat({ max: 7 }), kg: fc.double({ min: 0.01, max: 1, noNaN: true }) });
const book = fc.array(
  fc.record({ lines: fc.array(line, { minLength: 1, maxLength: 6 }), subs: fc.array(sub, { maxLength: 2 }) }),
  { minLength: 1, maxLength: 8 },
);

function recipesOf(
  shape: { lines: { food: number; kg: number }[]; subs: { of: number; kg: number }[] }[],
): Recipe[] {
  const stageId = base.stages[0]!.id;
  const plain = { stageId, scaling: 'straight' as const, tempC: 5 };
  return shape.map((one, i) => ({
    ...base,
    id: `r${i}`,
    name: `Recipe ${i}`,
    litres: 3,
    written: undefined as never,
    lines: [
      ...one.lines.map((each, n) => ({
        id: `l${n}`,
        ingredientId: foods[each.food]!.id,
        kg: each.kg,
        ...plain,
      })),
      ...(i > 0
        ? one.subs.map((each, n) => ({
            id: `s${n}`,
            ingredientId: recipeRowId(`r${each.of % i}`),
            kg: each.kg,
            ...plain,
          }))
        : []),
    ],
  }));
}
const prices = Object.fromEntries(INGREDIENTS.map((row, i) => [row.id, 50 + ((i * 37) % 900)]));

it('rolled-up rows are whole kilograms, hold all that is below them, and cost what it costs (seed 33)', () => {
  fc.assert(
    fc.property(book, (shape) => {
      const recipes = recipesOf(shape);
      const library = libraryOf(recipes, prices);
      for (const recipe of recipes) {
        const prepared = prepareRecipe(recipe, library);
        for (const row of Object.values(prepared.ingredients)) {
          expect(totalKg(row.perKg)).toBeCloseTo(1, 6);
          for (const share of Object.values(row.perKg)) expect(share).toBeGreaterThanOrEqual(-1e-12);
        }
        const holds = new Set(whatItHolds(recipe, library).allergens.map((one) => one.allergen));
        for (const each of recipe.lines) {
          for (const allergen of prepared.ingredients[each.ingredientId]!.allergens)
            expect(holds).toContain(allergen);
        }
      }
    }),
    { seed: 33, numRuns: 60 },
  );
});

it('dearer food never makes a cheaper dish, and twice every price is twice the cost (seed 34)', () => {
  fc.assert(
    fc.property(book, fc.nat({ max: foods.length - 1 }), (shape, dearer) => {
      const recipes = recipesOf(shape);
      const last = recipes.at(-1)!;
      const cents = (some: Record<string, number>) =>
        recipeCostPerPortionCents(last, libraryOf(recipes, some));
      const id = foods[dearer]!.id;
      expect(cents({ ...prices, [id]: prices[id]! * 3 })).toBeGreaterThanOrEqual(cents(prices) - 1e-9);
      const doubled = Object.fromEntries(Object.entries(prices).map(([key, value]) => [key, value * 2]));
      expect(cents(doubled)).toBeCloseTo(2 * cents(prices), 6);
    }),
    { seed: 34, numRuns: 60 },
  );
});
