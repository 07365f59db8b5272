import { describe, expect, it } from 'vitest';
import { prepareRecipe } from '../book';
import { INGREDIENT_BY_ID } from '../matter';
import { planBatch } from '../plan';
import type { Recipe } from '../recipe';
import { LEEK_SOUP, libraryOf, recipeFrom } from '../testing/book';
import { orderOf } from '../testing/broth';
import { miseList, pullList } from './';

function listed(recipe: Recipe, portions: number) {
  const prepared = prepareRecipe(recipe, libraryOf([recipe]));
  return {
    name: recipe.name,
    recipe: prepared.recipe,
    ingredients: prepared.ingredients,
    plan: planBatch(orderOf({ ...prepared, portions, band: 2 })),
  };
}
const leek = listed(recipeFrom(LEEK_SOUP), 60);
const bean = listed(
  recipeFrom(
    'Bean soup\nServes 6\n300 g dried white beans\n1 kg mussels\n500 g salmon\n300 g squid\n2 carrots, sliced 2 mm\n1 onion, chopped\n200 g kale, shredded\n1.5 L vegetable stock\n2 tsp cumin\n1 kg celeriac, 2 cm dice\n500 g chicken thighs, 3 cm dice',
  ),
  60,
);

describe('what to pull', () => {
  const items = pullList([leek, bean], { onion: 'Moss & Daughter', carrot: 'Moss & Daughter' });
  const of = (id: string) => items.find((item) => item.ingredientId === id)!;
  it('is as purchased, added up over the dishes, each dish named', () => {
    const bought = (one: typeof leek) =>
      one.plan.lines
        .filter((line) => line.ingredientId === 'onion')
        .reduce((sum, line) => sum + line.purchasedKg, 0);
    expect(of('onion').purchasedKg).toBeCloseTo(bought(leek) + bought(bean), 9);
    expect(of('onion').dishes.map((dish) => dish.name)).toEqual(['Leek and potato soup', 'Bean soup']);
    expect(of('onion').supplier).toBe('Moss & Daughter');
  });
  it('goes by place, cold last, and inside a place by supplier', () => {
    const places = items.map((item) => item.store);
    expect(places).toEqual(
      [...places].sort(
        (a, b) =>
          ['dry store', 'cellar', 'walk-in', 'freezer'].indexOf(a) -
          ['dry store', 'cellar', 'walk-in', 'freezer'].indexOf(b),
      ),
    );
    expect(items.filter((item) => item.store === 'walk-in')[0]!.supplier).toBe('Moss & Daughter');
  });
  it('stock is poured, salt weighed; what is kept back for the palate is fetched too', () => {
    expect(of('chicken-stock').litres).toBeGreaterThan(1);
    expect(of('salt').litres).toBeNull();
    const cumin = bean.plan.lines.find((line) => line.ingredientId === 'cumin')!;
    expect(of('cumin').purchasedKg).toBeCloseTo(cumin.plainMultipleKg, 9);
  });
});

describe('what to make ready', () => {
  const items = miseList(bean);
  const of = (name: string) => items.find((item) => item.name.startsWith(name))!;
  it('goes by board, raw meat last, and carries its trim', () => {
    const boards = items.map((item) => item.board);
    expect(boards.at(-1)).toBe('rawMeat');
    expect(boards.indexOf('vegetables')).toBeLessThan(boards.indexOf('rawFish'));
    const carrot = of('Carrot');
    expect(carrot.trimKg).toBeCloseTo(carrot.purchasedKg * (1 - INGREDIENT_BY_ID.carrot!.yield), 9);
  });
  it('one pair of hands cuts one thing after the other, each in time for its stage', () => {
    const byTime = [...items].sort((a, b) => a.beginByMs - b.beginByMs);
    for (const [i, item] of byTime.entries()) {
      expect(item.beginByMs + item.minutes * 60_000).toBeLessThanOrEqual(item.neededAtMs + 1);
      const next = byTime[i + 1];
      if (next) expect(item.beginByMs + item.minutes * 60_000).toBeLessThanOrEqual(next.beginByMs + 1);
    }
    const minutes = items.reduce((sum, item) => sum + item.minutes, 0);
    const last = Math.max(...items.map((item) => item.neededAtMs));
    expect(last - byTime[0]!.beginByMs).toBeGreaterThanOrEqual(minutes * 60_000 - 1);
  });
  it('a dice of 12 mm is no work for a mandoline, nor as slow as 2 mm', () => {
    const cut = (how: string) => {
      const soup = recipeFrom(`Soup\nServes 4\n1 kg carrots, ${how}\n1 L vegetable stock`);
      return miseList(listed(soup, 40)).find((one) => one.name === 'Carrot')!;
    };
    expect(cut('12 mm dice').notes).not.toContainEqual({ code: 'mandoline' });
    expect(cut('2 mm slices').notes).toContainEqual({ code: 'mandoline' });
    expect(cut('12 mm dice').minutes).toBeLessThan(cut('2 mm slices').minutes);
  });
  it('soak, rinse, mandoline, blanch, pin bones, shells, spoon and board: where the act is', () => {
    expect(of('White beans').notes).toContainEqual({ code: 'soak', hours: 10 });
    expect(of('White beans').beginByMs).toBeLessThan(of('White beans').neededAtMs - 10 * 3_600_000 + 1);
    expect(of('Carrot').notes).toContainEqual({ code: 'mandoline' });
    expect(of('Kale').notes).toContainEqual({ code: 'blanch' });
    expect(of('Salmon').notes).toEqual([{ code: 'check', check: 'pinBones' }, { code: 'washBoard' }]);
    expect(of('Mussel').notes).toContainEqual({ code: 'check', check: 'shell' });
    expect(of('Celeriac').notes).toContainEqual({ code: 'tooBig', mostCm: 1.5 });
    expect(of('Celeriac').notes).toContainEqual({ code: 'browns' });
  });
  it('counts back from the stage it goes in at, more knife work earlier', () => {
    for (const item of items) expect(item.beginByMs).toBeLessThan(item.neededAtMs);
    const more = miseList(listed(recipeFrom(LEEK_SOUP), 120));
    const less = miseList(listed(recipeFrom(LEEK_SOUP), 30));
    const minutes = (list: typeof more) => list.reduce((sum, item) => sum + item.minutes, 0);
    expect(minutes(more)).toBeGreaterThan(3 * minutes(less));
  });
});
