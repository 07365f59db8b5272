import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  advisoriesOf,
  asWritten,
  brokenClaims,
  chooseMethod,
  compareRecipes,
  curedSaltPercent,
  fromPattern,
  INGREDIENT_BY_ID,
  INGREDIENTS,
  linesOf,
  METHODS,
  methodsFor,
  newStage,
  prepareRecipe,
  priceMoves,
  type Recipe,
  ratioParts,
  ratiosOf,
  readLine,
  recipeAsIngredient,
  recipeCostPerPortionCents,
  recipeRowId,
  rewritten,
  STAGE_KINDS,
  setRatioKg,
  setRatioPart,
  tooBigForSpoon,
  totalKg,
  whatItHolds,
  writeLine,
  writtenOf,
} from '../index';
import { LEEK_SOUP, libraryOf, recipeFrom, TABLE } from '../testing/book';

const leek = recipeFrom(LEEK_SOUP);
const kgOf = (recipe: Recipe, ingredientId: string) =>
  recipe.lines.filter((line) => line.ingredientId === ingredientId).reduce((sum, line) => sum + line.kg, 0);

describe('a recipe off paper', () => {
  it('is named, serves as many, and its sentences become stages in order', () => {
    expect(leek.name).toBe('Leek and potato soup');
    expect(leek.stages.map((stage) => stage.kind)).toEqual([
      'start',
      'liquid',
      'simmer',
      'puree',
      'finish',
      'season',
      'serve',
    ]);
    expect(leek.stages[0]!.ends).toEqual({ rule: 'minutes', minutes: 10 });
    expect(leek.stages[2]!.ends).toEqual({ rule: 'soft', edgeCm: 1.5, softenMin: 8 });
  });
  it('puts each thing in where the method names it first', () => {
    const stageOf = (id: string) =>
      leek.stages.find((stage) => stage.id === leek.lines.find((line) => line.ingredientId === id)!.stageId)!
        .kind;
    expect(['leek', 'onion', 'butter'].map(stageOf)).toEqual(['start', 'start', 'start']);
    expect(['chicken-stock', 'potato', 'bay-leaf'].map(stageOf)).toEqual(['liquid', 'liquid', 'liquid']);
    expect([stageOf('cream'), stageOf('salt')]).toEqual(['finish', 'season']);
  });
  it('tells each line how it scales', () => {
    const law = (id: string) => leek.lines.find((line) => line.ingredientId === id)!.scaling;
    expect([law('leek'), law('butter'), law('chicken-stock'), law('salt')]).toEqual([
      'straight',
      'bySurface',
      'toYield',
      'toSalt',
    ]);
    const spiced = recipeFrom(
      'Soup\nServes 4\n1 L chicken stock\n2 cloves garlic, crushed\n1 tsp cumin\n1 chilli\n2 tbsp brandy\n60 g butter\n60 g plain flour\n10 g chives, to serve',
    );
    const of = (id: string) => spiced.lines.find((line) => line.ingredientId === id)!.scaling;
    expect([of('garlic'), of('cumin'), of('chilli'), of('brandy')]).toEqual([
      'byTaste',
      'byTaste',
      'startLow',
      'startLow',
    ]);
    expect(of('flour')).toBe('toThickness');
    expect(of('butter')).toEqual({ sameAs: spiced.lines.find((line) => line.ingredientId === 'flour')!.id });
    expect(of('chives')).toBe('perBowl');
  });
  it('splits “half the bacon … the rest” in two, and the parts are the whole', () => {
    const split = recipeFrom(
      'Bean soup\nServes 4\n200 g smoked bacon\n1 L chicken stock\n\nFry half the bacon. Pour in the stock and simmer for 20 minutes. Serve with the rest of the bacon.',
    );
    const bacon = split.lines.filter((line) => line.ingredientId === 'bacon');
    expect(bacon).toHaveLength(2);
    const portions = (split.litres * 1000) / split.portionMl;
    const sum = bacon.reduce(
      (kg, line) => kg + (line.scaling === 'perBowl' ? line.kg * portions : line.kg),
      0,
    );
    expect(sum).toBeCloseTo(0.2 * 0.95, 9);
  });
  it('without a method has the stages its ingredients ask for', () => {
    const bare = recipeFrom(
      'Plain soup\nServes 4\n50 g butter\n2 onions, sliced\n1 L vegetable stock\n100 ml cream\nsalt to taste',
    );
    expect(bare.stages.map((stage) => stage.kind)).toEqual([
      'start',
      'liquid',
      'simmer',
      'finish',
      'season',
      'serve',
    ]);
    expect(bare.stages.at(-1)!.ends.rule).toBe('served');
  });
  it('allotted shares of a split line always add up (seed 140)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 1, maxLength: 5 }),
        fc.double({ min: 10, max: 5000, noNaN: true }),
        (raw, grams) => {
          const sum = raw.reduce((a, b) => a + b, 0);
          const parts = raw.map((share, i) => ({ stageId: leek.stages[i % 5]!.id, share: share / sum }));
          const { lines } = linesOf(
            leek,
            [{ id: 'w1', text: `${grams.toFixed(2)} g carrots`, parts }],
            TABLE,
          );
          const whole = readLine(`${grams.toFixed(2)} g carrots`, TABLE).edibleG! / 1000;
          expect(lines.reduce((kg, line) => kg + line.kg, 0)).toBeCloseTo(whole, 9);
        },
      ),
      { seed: 140, numRuns: 100 },
    );
  });
  it('a correction stands over the reading: another food keeps the grams bought, other grams keep the food', () => {
    const written = [{ id: 'w1', text: '1 kg swede', parts: [{ stageId: 's1', share: 1 }] }];
    const turnip = linesOf(leek, [{ ...written[0]!, ingredientId: 'turnip' }], TABLE).lines[0]!;
    expect(turnip.ingredientId).toBe('turnip');
    expect(turnip.kg).toBeCloseTo(INGREDIENT_BY_ID.turnip!.yield, 9);
    expect(linesOf(leek, [{ ...written[0]!, edibleG: 500 }], TABLE).lines[0]!.kg).toBe(0.5);
    expect(
      linesOf(leek, [{ id: 'w1', text: '2 dragons', parts: [{ stageId: 's1', share: 1 }] }], TABLE)
        .notUnderstood,
    ).toHaveLength(1);
  });
  it('every food of the table is written so that it is read back', () => {
    for (const ingredient of INGREDIENTS) {
      const text = writeLine({ ingredient, edibleKg: 0.35 }, TABLE);
      const read = readLine(text, TABLE);
      expect([read.ingredientId, read.doubts], text).toEqual([ingredient.id, []]);
      expect(read.edibleG, text).toBeCloseTo(350, 1);
    }
  });
  it('lines written out and read again are the same lines', () => {
    const again = linesOf(leek, writtenOf({ ...leek, written: undefined }, TABLE), TABLE).lines;
    expect(again.map((line) => [line.ingredientId, line.stageId, line.scaling, line.cut])).toEqual(
      leek.lines.map((line) => [line.ingredientId, line.stageId, line.scaling, line.cut]),
    );
    for (const [i, line] of again.entries()) expect(line.kg).toBeCloseTo(leek.lines[i]!.kg, 4);
  });
  it('as written it comes to what its lines weigh, less a little steam', () => {
    const { litres, saltPercent, band } = asWritten(leek, INGREDIENT_BY_ID);
    const put = leek.lines.filter((line) => !line.comesOut).reduce((sum, line) => sum + line.kg, 0);
    expect(litres / put).toBeGreaterThan(0.9);
    expect(litres / put).toBeLessThan(0.97);
    expect(saltPercent).toBeGreaterThan(0.4);
    expect(band).toBeGreaterThan(2);
  });
  it('pieces that do not fit the spoon are named; a chowder takes 2 cm', () => {
    const big = recipeFrom('Soup\nServes 4\n1 L chicken stock\n500 g potatoes, 2 cm dice');
    expect(tooBigForSpoon(big)).toMatchObject([{ edgeCm: 2, spoonCm: 1.5 }]);
    expect(tooBigForSpoon({ ...big, spoonCm: 2 })).toEqual([]);
  });
});

describe('methods', () => {
  it('every kind of stage has one to choose from, every question one default, every row its source and reason', () => {
    for (const kind of STAGE_KINDS) expect(methodsFor(kind).length, kind).toBeGreaterThan(0);
    const questions = new Set(METHODS.map((method) => method.question));
    for (const question of questions) {
      const some = METHODS.filter((method) => method.question === question);
      if (some.length > 1 && question !== 'Other thickeners')
        expect(
          some.filter((one) => one.isDefault),
          question,
        ).toHaveLength(1);
    }
    for (const method of METHODS) {
      expect(method.reason.length, method.id).toBeGreaterThan(20);
      expect(method.source, method.id).not.toBe('');
    }
  });
  it('another school changes heat, lid, clock and caution, and leaves title and act', () => {
    const stage = { ...newStage('s1', 'puree'), act: 'Blend.' };
    const part = chooseMethod(stage, 'puree-part');
    expect([part.title, part.act, part.does]).toEqual([
      'Purée',
      'Blend.',
      { kind: 'puree', share: 0.5, sieve: 'none' },
    ]);
    expect(chooseMethod(part, 'puree-smooth').does).toEqual({ kind: 'puree', share: 1, sieve: 'none' });
    expect(chooseMethod(newStage('s', 'simmer'), 'simmer-open').caution).toBeUndefined();
    expect(() => chooseMethod(stage, 'magic')).toThrow(/methodId.*magic/);
  });
  it('caramelised onions end at 25 to 35 % of their raw weight (common practice)', () => {
    for (const method of METHODS.filter((one) => one.question === 'Caramelising onions')) {
      expect(1 - method.waterOff!).toBeGreaterThanOrEqual(0.25);
      expect(1 - method.waterOff!).toBeLessThanOrEqual(0.35);
    }
  });
});

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
  it('names an allergen with the way it comes', () => {
    const celery = whatItHolds(sauce, library).allergens.find((one) => one.allergen === 'celery')!;
    expect(celery.from[0]!.path).toEqual(['mother', 'Vegetable stock', 'Celery stalk']);
    expect(celery.from[0]!.lineId).toBe('sub');
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
    expect(broken!.sentence).toBe(
      'Said to be vegetarian, and holds Fermented table sauce (anchovies ferment in it).',
    );
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
    const egg = recipeFrom('Egg sauce\n4 egg yolks\n100 ml rapeseed oil', { id: 'egg' });
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

describe('ratios', () => {
  const base = recipeFrom(
    'Base\nServes 4\n500 g onion, diced\n250 g carrot, diced\n250 g celery, diced\n50 g butter\n50 g plain flour\n1 L chicken stock\n\nSweat the onion, carrot and celery in the butter. Stir in the flour. Pour in the stock and simmer for 20 minutes. Serve.',
  );
  const ratio = (id: string, recipe = base) =>
    ratiosOf(recipe, INGREDIENT_BY_ID).find((one) => one.id === id)!;
  it('are read off the lines', () => {
    const parts = ratioParts(ratio('aromatics'));
    // as bought 500 : 250 : 250; edible by their trim
    const edible = [500 * 0.88, 250 * 0.82, 250 * 0.75];
    const sum = edible.reduce((a, b) => a + b, 0);
    for (const [i, part] of parts.entries()) expect(part).toBeCloseTo((100 * edible[i]!) / sum, 6);
    expect(ratioParts(ratio('roux'))).toEqual([50, 50]);
  });
  it('one side changed, the others follow and the total stays', () => {
    const changed = setRatioPart(base, ratio('aromatics'), 0, 50);
    const after = ratio('aromatics', changed);
    expect(ratioParts(after)[0]).toBeCloseTo(50, 9);
    const total = (one: typeof after) => one.sides.reduce((sum, side) => sum + side.kg, 0);
    expect(total(after)).toBeCloseTo(total(ratio('aromatics')), 12);
    expect(ratioParts(after)[1]! / ratioParts(after)[2]!).toBeCloseTo(
      ratioParts(ratio('aromatics'))[1]! / ratioParts(ratio('aromatics'))[2]!,
      9,
    );
  });
  it('one weight changed, the rest keep the ratio; the paper is written anew', () => {
    const changed = setRatioKg(base, ratio('roux'), 1, 0.1);
    expect([kgOf(changed, 'flour'), kgOf(changed, 'butter')]).toEqual([0.1, 0.1]);
    const written = rewritten(base, changed, base.written!, TABLE);
    expect(written.find((line) => /flour/.test(line.text))!.text).toBe('100 g plain flour');
    expect(written.find((line) => /onion/.test(line.text))!.text).toBe('500 g onion, diced');
  });
  it('kelp and flakes to the litre, bones to water, vegetables to the litre of purée', () => {
    const sea = recipeFrom('Kelp stock\n2 L water\n20 g dried kelp\n30 g dried fish flakes');
    expect(ratioParts(ratio('kelp', sea))[0]).toBeCloseTo(10, 1);
    expect(ratioParts(ratio('fish-flakes', sea))[0]).toBeCloseTo(15, 1);
    const stronger = setRatioPart(sea, ratio('kelp', sea), 0, 15);
    expect(kgOf(stronger, 'kelp')).toBeCloseTo(0.03, 3);
    const bones = recipeFrom('Stock\n8 kg chicken bones\n11 L water\n500 g carrots\n500 g onions');
    expect(ratio('bones', bones).sides.map((side) => side.name)).toEqual(['bones', 'water', 'vegetables']);
    expect(ratioParts(ratio('vegetables-per-litre', leek))[0]).toBeGreaterThan(300);
  });
  it('nonsense is refused', () => {
    expect(() => setRatioPart(base, ratio('aromatics'), 0, 100)).toThrow(/part.*100/);
    expect(() => setRatioPart(base, ratio('aromatics'), 7, 10)).toThrow(/index.*7/);
    expect(() => setRatioKg(base, ratio('roux'), 0, -1)).toThrow(/kg.*-1/);
  });
});

describe('patterns', () => {
  const written = leek.written!;
  const idOf = (word: string) => written.find((line) => line.text.includes(word))!.id;
  const pattern: Recipe = {
    ...leek,
    pattern: [
      { role: 'vegetable', writtenId: idOf('potato') },
      { role: 'liquid', writtenId: idOf('stock') },
    ],
  };
  it('another root follows with its trim, its time and its colour', () => {
    const { recipe, notes } = fromPattern(
      pattern,
      { [idOf('potato')]: 'beetroot', [idOf('stock')]: 'vegetable-stock' },
      TABLE,
      { id: 'beet', name: 'Cream of beetroot' },
    );
    expect(kgOf(recipe, 'beetroot')).toBeCloseTo(kgOf(leek, 'potato'), 4);
    expect(kgOf(recipe, 'vegetable-stock')).toBeGreaterThan(1);
    expect(recipe.stages[2]!.ends).toEqual({ rule: 'soft', edgeCm: 1.5, softenMin: 25 });
    expect(notes.join(' ')).toMatch(/as bought.*dyes everything red/);
    expect([recipe.id, recipe.name, recipe.pattern]).toEqual(['beet', 'Cream of beetroot', undefined]);
  });
  it('what does not fit the role is refused', () => {
    expect(() => fromPattern(pattern, { [idOf('potato')]: 'butter' }, TABLE, { id: 'x', name: 'x' })).toThrow(
      /must fit as vegetable/,
    );
    expect(() => fromPattern(pattern, { w99: 'swede' }, TABLE, { id: 'x', name: 'x' })).toThrow(/w99/);
    expect(() => fromPattern(leek, {}, TABLE, { id: 'x', name: 'x' })).toThrow(/slots/);
  });
});

describe('versions side by side', () => {
  it('names what changed and nothing else', () => {
    expect(compareRecipes(leek, leek, INGREDIENT_BY_ID)).toEqual([]);
    const after: Recipe = {
      ...leek,
      targetSaltPercent: 0.8,
      lines: leek.lines
        .filter((line) => line.ingredientId !== 'bay-leaf')
        .map((line) => (line.ingredientId === 'butter' ? { ...line, kg: 0.06 } : line)),
      stages: leek.stages.map((stage) =>
        stage.kind === 'simmer' ? chooseMethod(stage, 'simmer-open') : stage,
      ),
    };
    expect(compareRecipes(leek, after, INGREDIENT_BY_ID).map((one) => [one.where, one.what])).toEqual([
      ['recipe', 'salt'],
      ['line', 'Butter, unsalted'],
      ['line', 'Bay leaf, fresh'],
      ['stage', 'Simmer'],
    ]);
  });
});
