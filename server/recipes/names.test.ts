import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BookDifference, FoodsView } from '../../contract';
import { libraryOf } from '../../core/book';
import { INGREDIENT_BY_ID } from '../../core/matter';
import { type Recipe, whatItHolds } from '../../core/recipe';
import { seed } from '../../demo/seed';
import { bookOf, sentences, someSoup } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
const foods = async (): Promise<FoodsView> => (await ask('GET', '/foods')).json;
const heldBy = async (id: string): Promise<string[]> => {
  const book = await bookOf(ask);
  const recipe = book.find((one) => one.id === id)!;
  return whatItHolds(recipe, libraryOf(await foods(), book)).allergens.map((one) => one.allergen);
};

beforeAll(() => kitchenServer.start());
afterAll(kitchenServer.remove);

describe('a name is no identity', () => {
  it.each([
    'Milk',
    'milk',
    'whole milks',
    'Butter',
    'Trout-chowder, smoked trout and sweetcorn',
  ])('an own food “%s” takes no other’s place, and nothing changes', async (name) => {
    const before = await foods();
    const taken = name.startsWith('Trout') ? 'Smoked trout and sweetcorn chowder' : name;
    const answer = await ask('POST', '/ingredients', {
      id: uuid(),
      name: taken,
      like: 'water',
      allergens: [],
      diet: 'vegan',
    });
    expect(answer.status, taken).toBe(422);
    expect(sentences(answer.json)).toMatch(/is called so already: give this another name/);
    expect(await foods()).toEqual(before);
    expect(await heldBy('trout-chowder')).toContain('milk');
  });
  it('an id that is there is a conflict, not a label: only what says that it is one goes over a row', async () => {
    const food = { id: 'milk', name: 'Oat something', like: 'water', allergens: [], diet: 'vegan' };
    expect((await ask('POST', '/ingredients', food)).status).toBe(409);
    expect((await ask('POST', '/ingredients', { ...food, id: 'no-such', isLabel: true })).status).toBe(422);
    expect(await heldBy('trout-chowder')).toContain('milk');
  });
  it('a label goes over a row, and may not give it another food’s name', async () => {
    const label = {
      id: 'single-cream',
      name: 'Single cream',
      like: 'single-cream',
      isLabel: true,
      fatPercent: 18,
    };
    expect((await ask('POST', '/ingredients', label)).status).toBe(201);
    expect((await ask('POST', '/ingredients', { ...label, name: 'Butter' })).status).toBe(422);
  });
  it('the same new food said twice is one', async () => {
    const food = { id: uuid(), name: 'Hill cream', like: 'cream', fatPercent: 40 };
    expect((await ask('POST', '/ingredients', food)).status).toBe(201);
    expect((await ask('POST', '/ingredients', food)).status).toBe(200);
    expect((await ask('POST', '/ingredients', { ...food, fatPercent: 20 })).status).toBe(409);
  });
  it('a recipe called as a food, or as another recipe, is refused; a base may be called as the food it is made for', async () => {
    const save = (name: string, change: Partial<Recipe> = {}) =>
      ask('POST', '/recipes', { recipe: { ...someSoup('Some soup'), id: uuid(), name, ...change } });
    expect(sentences((await save('Butter')).json)).toMatch(/There is a food “Butter/);
    expect(sentences((await save('Celeriac Velouté')).json)).toMatch(/There is a recipe “Celeriac velouté”/);
    expect((await save('Lobster stock', { stocksAs: 'chicken-stock' })).status).toBe(201);
    expect((await save('Chicken stock', { stocksAs: 'chicken-stock' })).status).toBe(201);
    const renamed = (await bookOf(ask)).find((one) => one.name === 'Lobster stock')!;
    const again = await ask('POST', '/recipes', { basedOn: 1, recipe: { ...renamed, name: 'Cream' } });
    expect(sentences(again.json)).toMatch(/There is a food/);
  });
  it('a saved line keeps its food when a closer name comes, through a change of amount; another food is another', async () => {
    const soup = someSoup('Soup with top milk', { id: uuid() });
    const text = soup.written!.find((line) => /double cream/.test(line.text))!;
    const written = soup.written!.map((line) =>
      line === text ? { ...line, text: '150 ml hedge cream' } : line,
    );
    const first: Recipe = (await ask('POST', '/recipes', { recipe: { ...soup, written } })).json;
    const creamOf = (recipe: Recipe) => recipe.lines.find((line) => line.writtenId === text.id)!;
    expect(creamOf(first).ingredientId).toBe('cream');
    // a vegan spread that calls itself so
    const own = { id: uuid(), name: 'Hedge cream', like: 'oat-drink', allergens: [], diet: 'vegan' };
    expect((await ask('POST', '/ingredients', own)).status).toBe(201);
    const save = async (basedOn: number, line: string): Promise<Recipe> => {
      const recipe = {
        ...first,
        written: written.map((one) => (one.id === text.id ? { ...one, text: line } : one)),
      };
      return (await ask('POST', '/recipes', { basedOn, recipe })).json;
    };
    const noted: Recipe = (
      await ask('POST', '/recipes', { basedOn: 1, recipe: { ...first, note: 'a shade thick' } })
    ).json;
    expect(creamOf(noted)).toEqual(creamOf(first));
    const more = await save(2, '300 ml hedge cream');
    expect(creamOf(more).ingredientId).toBe('cream');
    expect(creamOf(more).kg).toBeCloseTo(2 * creamOf(first).kg, 6);
    expect(await heldBy(first.id)).toContain('milk');
    const other = await save(3, '300 ml oat drink');
    expect(creamOf(other).ingredientId).toBe('oat-drink');
    // written anew it is what it is called
    expect(creamOf(await save(4, '300 ml hedge cream')).ingredientId).toBe(own.id);
  });
});

describe('a book of foods empties nothing', () => {
  const bookWith = (...ingredients: object[]) => ({
    name: 'foods.json',
    text: JSON.stringify({ format: 'slow-pot-book', version: 1, recipes: [], ingredients }),
  });
  const milk = INGREDIENT_BY_ID.milk!;
  it('says what it would take off which dish, and is not taken until a person has checked each food', async () => {
    const barley = INGREDIENT_BY_ID['pearl-barley']!;
    const file = bookWith({ ...barley, allergens: [] });
    const { difference }: { difference: BookDifference } = (await ask('POST', '/files/read', file)).json;
    expect(difference.foods[0]).toMatchObject({ id: 'pearl-barley', needsPerson: true });
    const broth = difference.dishes.find((one) => one.recipeId === 'beetroot-barley-broth')!;
    expect(broth).toMatchObject({ loses: ['otherGluten'], gains: [], diet: null });
    const refused = await ask('POST', '/files/book', { ...file, checkedFoodIds: [] });
    expect([refused.status, refused.json.errors[0].field]).toEqual([422, 'foods.pearl-barley']);
    expect(await heldBy('beetroot-barley-broth')).toContain('otherGluten');
  });
  it.each<[string, object]>([
    ['kind', { kind: 'water' }],
    ['yield', { yield: 0.5 }],
    ['other names', { aliases: ['white gold'] }],
    ['name', { name: 'White gold' }],
  ])('another %s needs a person too', async (_name, change) => {
    const file = bookWith({ ...milk, ...change });
    expect((await ask('POST', '/files/book', { ...file, checkedFoodIds: [] })).status).toBe(422);
  });
  it.each<[string, object, RegExp]>([
    ['a name that is another’s', { id: 'own-one', name: 'Butter', aliases: [] }, /There is a food “Butter/],
    [
      'an alias that is another’s',
      { id: 'own-one', name: 'Moon water', aliases: ['butter'] },
      /There is a food “Butter/,
    ],
    ['an alias that is no text', { id: 'own-one', name: 'Moon water', aliases: [7] }, /Food 1, aliases.0/],
    [
      'an unknown allergen',
      { id: 'own-one', name: 'Moon water', aliases: [], allergens: ['gravity'] },
      /Food 1, allergens.0/,
    ],
    [
      'more in it than it weighs',
      {
        id: 'own-one',
        name: 'Moon water',
        aliases: [],
        perKg: { ...milk.perKg, fat: milk.perKg.fat + 0.02 },
      },
      /comes to 1.0\d\d kg/,
    ],
  ])('%s is refused with its place', async (_name, change, sentence) => {
    const before = await foods();
    const answer = await ask('POST', '/files/book', {
      ...bookWith({ ...milk, ...change }),
      checkedFoodIds: ['own-one'],
    });
    expect(answer.status).toBe(422);
    expect(sentences(answer.json)).toMatch(sentence);
    expect(await foods()).toEqual(before);
  });
  it('checked by a person it is taken, and says so', async () => {
    const file = bookWith({ ...milk, id: 'hill-milk', name: 'Hill milk', aliases: [] });
    const answer = await ask('POST', '/files/book', { ...file, checkedFoodIds: ['hill-milk'] });
    expect(answer.json).toMatchObject({ added: [], foods: ['Hill milk'] });
  });
});
