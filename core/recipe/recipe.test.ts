import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, INGREDIENTS } from '../matter';
import { linesOf, readLine, tooBigForSpoon, writeLine, writtenOf } from '../reader';
import { LEEK_SOUP, recipeFrom, TABLE } from '../testing/book';
import { asWritten, chooseMethod, METHODS, methodsFor, newStage, STAGE_KINDS } from './';

const leek = recipeFrom(LEEK_SOUP);

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
    expect([stageOf('double-cream'), stageOf('salt')]).toEqual(['finish', 'season']);
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
      expect([read.ingredientId, read.warnings], text).toEqual([ingredient.id, []]);
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
      const { fractionGone } = method.ends as { fractionGone: number };
      expect(1 - fractionGone).toBeGreaterThanOrEqual(0.25);
      expect(1 - fractionGone).toBeLessThanOrEqual(0.35);
    }
  });
});
