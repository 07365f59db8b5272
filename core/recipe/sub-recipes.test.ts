import { describe, expect, it } from 'vitest';
import { prepareRecipe, priceMoves, recipeAsIngredient, recipeCostPerPortionCents } from '../book';
import { INGREDIENT_BY_ID, totalKg } from '../matter';
import { libraryOf, recipeFrom } from '../testing/book';
import { advisoriesOf, brokenClaims, curedSaltPercent, type Recipe, recipeRowId, whatItHolds } from './';

describe('recipes in recipes', () => {
  const stock = recipeFrom(
    'Vegetable stock\n2 L water\n200 g carrots (lift out)\n200 g celery (lift out)\n200 g onions (lift out)',
    { id: 'veg', stocksAs: 'vegetable-stock', litres: 1.8 },
  );
  const part = (id: string, of: string, more: string) => {
    const recipe = recipeFrom(`${id}\n${more}`, { id });
    const line = {
      id: 'sub',
      ingredientId: recipeRowId(of),
      stageId: recipe.stages[0]!.id,
      kg: 0.5,
      scaling: 'straight' as const,
      tempC: 5,
    };
    return { ...recipe, lines: [...recipe.lines, line] };
  };
  const mother = part('mother', 'veg', '1 tin tomatoes\n20 g butter\n5 g salt');
  const sauce = part('sauce', 'mother', '1 kg venison\n1 tbsp fermented table sauce');
  const library = libraryOf([stock, mother, sauce], {
    venison: 1500,
    carrot: 90,
    celery: 200,
    onion: 100,
    'tomato-tinned': 200,
    butter: 800,
    salt: 60,
    'table-sauce': 900,
  });

  it('rolls three levels up into rows that add up to a kilogram a kilogram', () => {
    const prepared = prepareRecipe(sauce, library);
    const row = prepared.ingredients['recipe:mother']!;
    expect(totalKg(row.perKg)).toBeCloseTo(1, 9);
    expect(row.allergens).toEqual(['milk', 'celery']);
    expect(row.diet).toBe('vegetarian');
    expect(row.perKg.salt).toBeGreaterThan(0.004);
  });
  it('a stock is its row of the table, with what went into it', () => {
    const { ingredient, centsPerKg } = recipeAsIngredient(stock, library);
    expect(ingredient.perKg).toEqual(INGREDIENT_BY_ID['vegetable-stock']!.perKg);
    expect(ingredient.allergens).toEqual(['celery']);
    const trim = (id: string) => 0.2 / INGREDIENT_BY_ID[id]!.yield;
    const cents = 0.2 * 90 + 0.2 * 200 + 0.2 * 100;
    expect(centsPerKg * 1.8 * 1.003).toBeCloseTo(cents, 6);
    expect(trim('carrot')).toBeGreaterThan(0.2);
  });
  it('a bought stock holds what the kitchen’s own recipe for it holds, however deep, and a circle of them ends', () => {
    const soup = recipeFrom('Leek soup\n1 L vegetable stock\n2 leeks', { id: 'leek-soup' });
    const wine = recipeFrom('Wine stock\n1 L fish fumet\n100 ml dry white wine', {
      id: 'wine',
      stocksAs: 'vegetable-stock',
    });
    const fumet = recipeFrom('Fumet of the house\n1 L vegetable stock\n500 g fish bones', {
      id: 'fumet',
      stocksAs: 'fish-fumet',
    });
    const bought = whatItHolds(soup, libraryOf([soup]));
    expect(bought.allergens.map((one) => one.allergen)).not.toContain('fish');
    const house = libraryOf([soup, wine, fumet]);
    const holds = whatItHolds(soup, house);
    expect(holds.allergens.map((one) => one.allergen)).toEqual(expect.arrayContaining(['fish', 'sulphites']));
    expect(holds.allergens.find((one) => one.allergen === 'sulphites')!.from[0]!.path[0]).toBe(
      'Vegetable stock',
    );
    expect(holds.diet).toBe('fish');
    const row = prepareRecipe(soup, house).ingredients['vegetable-stock']!;
    expect(row.allergens).toEqual(expect.arrayContaining(['fish', 'sulphites']));
  });
  it('names an allergen with the way it comes', () => {
    const celery = whatItHolds(sauce, library).allergens.find((one) => one.allergen === 'celery')!;
    expect(celery.from[0]!.path).toEqual(['mother', 'Vegetable stock', 'Celery stalk']);
    expect(celery.from[0]!.lineId).toBe('sub');
  });
  it('a sauce salted to a percent carries that percent into the dish, whatever was written for its salt', () => {
    const sauce = recipeFrom(
      'Sauce\n2 kg tinned tomatoes\n400 g sauerkraut\n100 g onions\n60 g salt\n\nSimmer for 20 minutes. Season.',
      {
        targetSaltPercent: 0.5,
      },
    );
    const { perKg } = recipeAsIngredient(sauce, libraryOf([sauce])).ingredient;
    expect(100 * perKg.salt).toBeCloseTo(0.5, 6);
    // what the food brings by itself stays, whatever was wished
    const briny = { ...sauce, targetSaltPercent: 0.05 };
    const brought = 100 * recipeAsIngredient(briny, libraryOf([briny])).ingredient.perKg.salt;
    expect(brought).toBeGreaterThan(0.2);
    expect(brought).toBeLessThan(0.4);
  });
  it('a circle is refused by name', () => {
    const loop = {
      ...stock,
      lines: [
        ...stock.lines,
        {
          id: 'x',
          ingredientId: 'recipe:sauce',
          stageId: stock.stages[0]!.id,
          kg: 1,
          scaling: 'straight' as const,
          tempC: 5,
        },
      ],
    };
    expect(() => prepareRecipe(sauce, libraryOf([loop, mother, sauce]))).toThrow(
      /sauce in mother in Vegetable stock in sauce/,
    );
    expect(() => prepareRecipe(sauce, libraryOf([mother, sauce]))).toThrow(/recipe:veg/);
  });
  it('a price moves every dish it is in, through the stock', () => {
    const moves = priceMoves(library, { celery: 400 });
    expect(moves.map((move) => move.recipeId).sort()).toEqual(['mother', 'sauce', 'veg']);
    for (const move of moves) expect(move.afterCents).toBeGreaterThan(move.beforeCents);
    expect(priceMoves(library, { venison: 3000 }).map((move) => move.recipeId)).toEqual(['sauce']);
    expect(priceMoves(library, { saffron: 1 })).toEqual([]);
  });
  it('a portion costs what its lines cost as bought', () => {
    const plain = recipeFrom('Soup\n1 kg carrots\n1 L water', { id: 'plain', litres: 2, portionMl: 250 });
    expect(recipeCostPerPortionCents(plain, libraryOf([plain], { carrot: 90 }))).toBeCloseTo(90 / 8, 9);
  });
});

describe('allergens, diets and what must be looked for', () => {
  const holds = (text: string, change: Partial<Recipe> = {}) => {
    const recipe = recipeFrom(text, change);
    return { recipe, holds: whatItHolds(recipe, libraryOf([recipe])) };
  };
  it('a vegetarian claim with fish in a fermented sauce is told so', () => {
    const { recipe, holds: found } = holds('Soup\n1 L vegetable stock\n1 tbsp fermented table sauce', {
      claims: ['vegetarian'],
    });
    const [broken] = brokenClaims(recipe, found);
    expect(broken).toMatchObject({
      claim: 'vegetarian',
      from: [{ path: ['Fermented table sauce'], hides: 'anchovies ferment in it' }],
    });
    expect(found.allergens.find((one) => one.allergen === 'fish')!.from[0]!.hides).toBeDefined();
    expect(brokenClaims({ ...recipe, claims: [] }, found)).toEqual([]);
  });
  it('vegan is stricter than vegetarian, and honey and milk break only that', () => {
    const { recipe, holds: found } = holds('Soup\n1 L vegetable stock\n50 g butter\n1 tbsp honey', {
      claims: ['vegetarian', 'vegan'],
    });
    expect(brokenClaims(recipe, found).map((one) => one.claim)).toEqual(['vegan']);
    expect(found.notVegan).toHaveLength(2);
  });
  it('wheat in soy sauce and celery in bouillon are named, with the European and the American list', () => {
    const { holds: found } = holds('Soup\n1 L water\n2 tbsp soy sauce\n20 g bouillon powder');
    expect(found.allergens.map((one) => [one.name, one.us])).toEqual([
      ['wheat', true],
      ['soya', true],
      ['celery', false],
    ]);
  });
  it('shell, bones, splinters, raw egg, garlic oil and kidney beans are said', () => {
    const oil = recipeFrom('Garlic oil\n200 ml olive oil\n30 g garlic, crushed', {
      id: 'oil',
      keeps: { hours: 48, advisory: 'cold, and never on the shelf' },
    });
    const drawn = recipeFrom('Egg sauce\n4 egg yolks\n100 ml rapeseed oil', { id: 'egg' });
    // whisked cold, in a bowl
    const whisked = drawn.stages.filter((stage) => ['finish', 'serve'].includes(stage.kind ?? ''));
    const egg = {
      ...drawn,
      stages: whisked,
      lines: drawn.lines.map((line) => ({ ...line, stageId: whisked[0]!.id })),
    };
    const soup = recipeFrom('Soup\n1 kg mussels\n500 g trout\n500 g kidney beans\n1 L water');
    const garnish = (id: string) => ({
      id,
      ingredientId: `recipe:${id}`,
      stageId: soup.stages.at(-1)!.id,
      kg: 0.005,
      scaling: 'perBowl' as const,
      tempC: 5,
    });
    const whole = { ...soup, lines: [...soup.lines, garnish('oil'), garnish('egg')] };
    const kinds = advisoriesOf(whole, libraryOf([oil, egg, whole])).map((one) => one.kind);
    expect(new Set(kinds)).toEqual(new Set(['pinBones', 'shell', 'caution', 'garlicOil', 'rawEgg']));
  });
});

describe('brine and soak enter the ledger', () => {
  const cure = { brinePercent: 5, hours: 12, liquidPerKg: 1, thicknessCm: 3 };
  it('no time, no salt; a long time, what both waters share', () => {
    const of = (hours: number) =>
      curedSaltPercent({ saltPercent: 0.15, waterPercent: 74, cure: { ...cure, hours } });
    expect(of(0)).toBe(0.15);
    // by hand: (0.0015 + 0.05) · 0.74 / (0.74 + 1 − 0.05) = 2.255 %
    expect(of(2000)).toBeCloseTo(2.255, 2);
    expect(of(6)).toBeLessThan(of(12));
  });
  it('a short dip counts as one: uptake grows with the square root of time (Crank, The Mathematics of Diffusion)', () => {
    const fish = { saltPercent: 0.15, waterPercent: 80 };
    const brine = { brinePercent: 8, liquidPerKg: 1, thicknessCm: 3 };
    const of = (hours: number) => curedSaltPercent({ ...fish, cure: { ...brine, hours } });
    // by hand: of the way to (0.0015 + 0.08) · 0.8 / (0.8 + 1 − 0.08) = 3.79 % it has come 4 √(D t / π) / L
    const even = (100 * (0.0015 + 0.08) * 0.8) / 1.72;
    for (const hours of [0.01, 0.1, 0.5]) {
      const share = (4 * Math.sqrt((1.2e-9 * hours * 3600) / Math.PI)) / 0.03;
      expect(of(hours)).toBeCloseTo(0.15 + (even - 0.15) * share, 3);
    }
    expect(of(0.5)).toBeCloseTo(0.553, 3);
    expect(of(0.01)).toBeCloseTo(0.207, 3);
  });
  it('salt cod loses most of its salt in a day of water', () => {
    const after = curedSaltPercent({
      saltPercent: 18,
      waterPercent: 45,
      cure: { brinePercent: 0, hours: 24, liquidPerKg: 10, thicknessCm: 1.5 },
    });
    expect(after).toBeLessThan(3);
    expect(() =>
      curedSaltPercent({ saltPercent: 1, waterPercent: 70, cure: { ...cure, thicknessCm: 0 } }),
    ).toThrow(/thicknessCm/);
  });
  it('a brined line brings its salt to the plan’s rows', () => {
    const recipe = recipeFrom('Stew\n1 kg venison\n1 L water');
    const brined = {
      ...recipe,
      lines: recipe.lines.map((line) => (line.ingredientId === 'venison' ? { ...line, cure } : line)),
    };
    const prepared = prepareRecipe(brined, libraryOf([brined]));
    const line = prepared.recipe.lines[0]!;
    expect(prepared.ingredients[line.ingredientId]!.name).toBe('Venison shoulder, brined');
    expect(prepared.ingredients[line.ingredientId]!.perKg.salt).toBeCloseTo(0.0129, 3);
    expect(totalKg(prepared.ingredients[line.ingredientId]!.perKg)).toBeCloseTo(1, 9);
  });
});
