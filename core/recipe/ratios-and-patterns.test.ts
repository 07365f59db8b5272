import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { fromPattern, rewritten } from '../reader';
import { LEEK_SOUP, recipeFrom, TABLE } from '../testing/book';
import {
  chooseMethod,
  compareRecipes,
  type Recipe,
  ratioParts,
  ratiosOf,
  setRatioKg,
  setRatioPart,
} from './';

const leek = recipeFrom(LEEK_SOUP);
const kgOf = (recipe: Recipe, ingredientId: string) =>
  recipe.lines.filter((line) => line.ingredientId === ingredientId).reduce((sum, line) => sum + line.kg, 0);

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
    expect(notes.map((note) => note.code)).toEqual(expect.arrayContaining(['trim', 'colours', 'softens']));
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
    // whatever a version may change is said
    const stage = (change: object) => ({
      ...leek,
      stages: leek.stages.map((one, i) => (i === 1 ? { ...one, ...change } : one)),
    });
    const line = (change: object) => ({
      ...leek,
      lines: leek.lines.map((one, i) => (i === 1 ? { ...one, ...change } : one)),
    });
    const changes: Recipe[] = [
      stage({ heat: { kind: 'burner', fraction: 0.77 } }),
      stage({ heat: { kind: 'hold', simmer: 'justUnder' } }),
      stage({ lid: 'ajar' }),
      stage({ topTempC: 82 }),
      stage({ does: { kind: 'puree', share: 0.3, sieve: 'fine' } }),
      line({ scaling: 'startLow' }),
      line({ scaling: { sameAs: 'w1', times: 2 } }),
      line({ thickener: 'rouxDark' }),
      line({ soakH: 8 }),
      line({ cure: { brinePercent: 5, hours: 12, liquidPerKg: 1, thicknessCm: 3 } }),
      line({ comesOut: { word: 'leek', eachG: 100, backStageId: leek.stages[2]!.id } }),
      { ...leek, note: 'more pepper' },
      { ...leek, keeps: { hours: 24, advisory: 'eat it soon' } },
      { ...leek, spoonCm: 2 },
      { ...leek, bowl: { ...leek.bowl, headspaceCm: 2 } },
    ];
    for (const after of changes)
      expect(compareRecipes(leek, after, INGREDIENT_BY_ID), JSON.stringify(after).slice(0, 80)).toHaveLength(
        1,
      );
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
