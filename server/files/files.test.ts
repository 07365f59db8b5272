import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type FileReading, type KitchenView, libraryOf, rowsOf } from '../../contract';
import { INGREDIENT_BY_ID } from '../../core/matter';
import { linesOf, readingTable, readLine } from '../../core/reader';
import type { Recipe } from '../../core/recipe';
import { seedCorrieHalt } from '../../demo/seed-corrie-halt';
import { bookOf, fieldOf, sentences, someSoup as soup } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seedCorrieHalt);
const { ask } = kitchenServer;
const book = () => bookOf(ask);

beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

describe('taken out and brought in again', () => {
  const read = (name: string, text: string) => ask('POST', '/files/read', { name, text });
  const table = async () => {
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    return readingTable(rowsOf(libraryOf(kitchen, await book())));
  };

  it('our own JSON is the same, recipe by recipe, and taking it in again changes nothing', async () => {
    const whole = await ask('GET', '/book.json');
    const again = (await read('book.json', whole.text)).json as Extract<FileReading, { kind: 'book' }>;
    expect(again.recipes).toEqual(await book());
    const taken = (await ask('POST', '/files/book', { name: 'book.json', text: whole.text })).json;
    expect([taken.added, taken.newVersions]).toEqual([[], []]);
    expect(taken.same.length).toBe(again.recipes.length);
  });
  it('schema.org JSON-LD is the same in name, portions, lines, places, titles, acts and minutes', async () => {
    for (const recipe of (await book()).filter((one) => one.written)) {
      const out = await ask('GET', `/recipes/${recipe.id}/export/jsonld`);
      expect(out.type).toMatch(/ld\+json/);
      const json = JSON.parse(out.text);
      expect([json['@context'], json['@type'], json.name]).toEqual([
        'https://schema.org',
        'Recipe',
        recipe.name,
      ]);
      const [draft] = ((await read('r.jsonld', out.text)).json as Extract<FileReading, { kind: 'drafts' }>)
        .drafts;
      expect(draft!.name).toBe(recipe.name);
      expect(draft!.portionMl).toBe(recipe.portionMl);
      expect(draft!.portions).toBe(Math.max(1, Math.round((recipe.litres * 1000) / recipe.portionMl)));
      expect(draft!.written.map((line) => line.text)).toEqual(recipe.written!.map((line) => line.text));
      expect(draft!.stages.map((stage) => [stage.title, stage.act])).toEqual(
        recipe.stages.map((stage) => [stage.title, stage.act]),
      );
      const places = (
        stages: Recipe['stages'],
        line: { parts: readonly { stageId: string; share: number }[] },
      ) =>
        line.parts.map((part) => [
          stages.findIndex((stage) => stage.id === part.stageId),
          Number(part.share.toFixed(4)),
        ]);
      expect(draft!.written.map((line) => places(draft!.stages, line))).toEqual(
        recipe.written!.map((line) => places(recipe.stages, line)),
      );
      const clock = (stages: Recipe['stages']) =>
        stages.map((stage) => (stage.ends.rule === 'minutes' ? stage.ends.minutes : null));
      for (const [i, minutes] of clock(recipe.stages).entries())
        if (minutes !== null) expect(clock(draft!.stages)[i]).toBe(minutes);
    }
  });
  it('JSON-LD inside a saved page, with the shapes other sites use', async () => {
    const ld = (recipe: unknown) =>
      `<!doctype html><html><head><title>x</title><script type="application/ld+json">${JSON.stringify(recipe)}</script></head><body><h1>Ads</h1></body></html>`;
    const recipe = {
      '@context': 'https://schema.org',
      '@graph': [
        { '@type': 'WebPage' },
        {
          '@type': ['Recipe', 'NewsArticle'],
          name: 'Pea &amp; mint soup',
          recipeYield: '4 servings',
          recipeIngredient: ['500 g frozen peas', '1 onion, chopped', '1 L vegetable stock', '20 g mint'],
          recipeInstructions: [
            { '@type': 'HowToStep', text: 'Soften the onion.' },
            { '@type': 'HowToStep', text: 'Pour in the stock and simmer for 10 minutes.' },
            { '@type': 'HowToStep', text: 'Add the peas, blend and serve.' },
          ],
        },
      ],
    };
    const { drafts } = (await read('page.html', ld(recipe))).json;
    expect(drafts[0].name).toBe('Pea & mint soup');
    expect(drafts[0].portions).toBe(4);
    expect(drafts[0].stages.map((stage: { kind: string }) => stage.kind)).toContain('puree');
    const lines = linesOf(
      { litres: 2, portionMl: 250, stages: drafts[0].stages },
      drafts[0].written,
      await table(),
    ).lines;
    expect(lines.map((line) => line.ingredientId)).toEqual(['peas', 'onion', 'vegetable-stock', 'mint']);
  });
  it('plain text is the same in name, portions and lines', async () => {
    const kept = await table();
    const grams = (lines: readonly { text: string }[]) =>
      lines.map((line) => readLine(line.text, kept).edibleG);
    for (const recipe of (await book()).filter((one) => one.written)) {
      const out = await ask('GET', `/recipes/${recipe.id}/export/text`);
      const [draft] = (await read('r.txt', out.text)).json.drafts;
      expect(draft.name).toBe(recipe.name);
      expect(draft.portions).toBe(Math.max(1, Math.round((recipe.litres * 1000) / recipe.portionMl)));
      expect(grams(draft.written)).toEqual(grams(recipe.written!));
    }
  });
  it('prices as CSV are the same', async () => {
    const out = await ask('GET', '/prices.csv');
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const { prices } = (await read('prices.csv', out.text)).json;
    expect(
      Object.fromEntries(
        prices.map((row: { ingredientId: string; centsPerKg: number }) => [
          row.ingredientId,
          Math.round(row.centsPerKg),
        ]),
      ),
    ).toEqual(kitchen.pricesCentsPerKg);
    expect(
      Object.fromEntries(
        prices.flatMap((row: { ingredientId: string; supplier?: string }) =>
          row.supplier ? [[row.ingredientId, row.supplier]] : [],
        ),
      ),
    ).toEqual(kitchen.suppliers);
    expect((await ask('PATCH', '/prices', { prices })).json.pricesCentsPerKg).toEqual(
      kitchen.pricesCentsPerKg,
    );
  });

  const wrong: [string, string, string, string, RegExp][] = [
    ['JSON cut short', 'a.json', '{"@type": "Recipe",\n"name": ', 'line 2', /Line 2 is not JSON/],
    ['JSON that is no recipe', 'a.json', '{"@type": "Person"}', 'file', /no recipe/],
    [
      'a recipe without a name',
      'a.json',
      '{"@type": "Recipe", "recipeIngredient": ["1 leek"]}',
      'recipes.0.name',
      /Recipe 1 has no name/,
    ],
    [
      'a recipe without ingredients',
      'a.json',
      '{"@type": "Recipe", "name": "Air"}',
      'recipes.0.recipeIngredient',
      /“Air” has no ingredients/,
    ],
    ['a page without one', 'a.html', '<html><body>Soup!</body></html>', 'file', /no recipe/],
    ['text without a line', 'a.txt', 'Hello there', 'file', /No ingredient line/],
    ['prices without their column', 'a.csv', 'id,cost\nonion,1', 'line 1', /must name the columns/],
    [
      'prices with a stranger',
      'a.csv',
      'id,price_per_kg\nonion,1\nmoon,2',
      'line 3',
      /Line 3: there is no ingredient “moon”/,
    ],
    ['prices with a word', 'a.csv', 'id,price_per_kg\nonion,cheap', 'line 2', /“cheap” is not a price/],
    ['prices said twice', 'a.csv', 'id,price_per_kg\nonion,1\nonion,2', 'line 3', /stands in line 2 too/],
    [
      'a book of another version',
      'a.json',
      '{"format": "slow-pot-book", "version": 9, "recipes": []}',
      'version',
      /version 9/,
    ],
    ['an empty file', 'a.txt', '', 'text', /empty/],
  ];
  it.each(wrong)('%s says where and why', async (_name, name, text, field, sentence) => {
    const answer = await read(name, text);
    expect([400, 422]).toContain(answer.status);
    expect(fieldOf(answer.json)).toBe(field);
    expect(sentences(answer.json)).toMatch(sentence);
  });
  it('a book with one bad recipe takes in none, and neither its foods', async () => {
    const before = await book();
    const good = soup('Good in bad company');
    const own = { ...INGREDIENT_BY_ID.onion!, id: 'house-onion', name: 'House onion' };
    const bad = { ...soup('Bad'), lines: [{ ...good.lines[0]!, ingredientId: 'moon' }], written: undefined };
    const text = JSON.stringify({
      format: 'slow-pot-book',
      version: 1,
      recipes: [good, bad],
      ingredients: [own],
    });
    const answer = await ask('POST', '/files/book', { name: 'b.json', text });
    expect(answer.status).toBe(422);
    expect(sentences(answer.json)).toMatch(/moon/);
    expect(await book()).toEqual(before);
    expect(((await ask('GET', '/kitchen')).json as KitchenView).ownIngredients).toEqual([]);
  });
});
