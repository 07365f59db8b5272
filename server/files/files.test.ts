import pino from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FileReading, FoodsView } from '../../contract';
import { libraryOf, rowsOf, withParts } from '../../core/book';
import { INGREDIENT_BY_ID } from '../../core/matter';
import { linesOf, readingTable, readLine } from '../../core/reader';
import { type Recipe, recipeIdOf, recipeRowId } from '../../core/recipe';
import { seed } from '../../demo/seed';
import type { BookHere } from '../recipes/sound-recipe';
import { bookOf, fieldOf, sentences, someSoup as soup } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { readBook } from './book-json';
import { createFileReader } from './file-reader';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
const book = () => bookOf(ask);

beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

describe('taken out and brought in again', () => {
  const read = (name: string, text: string) => ask('POST', '/files/read', { name, text });
  const table = async () => {
    const foods: FoodsView = (await ask('GET', '/foods')).json;
    return readingTable(rowsOf(libraryOf(foods, await book())));
  };

  it('our own JSON is the same, recipe by recipe, and taking it in again changes nothing', async () => {
    const whole = await ask('GET', '/book.json');
    expect(readBook(whole.text).recipes).toEqual(await book());
    const again = (await read('book.json', whole.text)).json as Extract<FileReading, { kind: 'book' }>;
    expect(again.difference.recipes.map((one) => one.change)).toEqual((await book()).map(() => 'same'));
    const taken = (await ask('POST', '/files/book', { name: 'book.json', text: whole.text })).json;
    expect([taken.added, taken.newVersions]).toEqual([[], []]);
    expect(taken.same.length).toBe(again.difference.recipes.length);
  });
  it('one recipe takes along what it is made of, and the foods of this kitchen in any of them', async () => {
    const whole = await book();
    const glaze = whole.find((one) => one.lines.some((line) => recipeIdOf(line.ingredientId)))!;
    const out = readBook((await ask('GET', `/recipes/${glaze.id}/export/book`)).text);
    const ids = out.recipes.map((one) => one.id);
    expect(ids.length).toBeGreaterThan(1);
    expect(ids.at(-1)).toBe(glaze.id);
    for (const one of out.recipes)
      for (const { ingredientId } of one.lines)
        if (recipeIdOf(ingredientId)) expect(ids).toContain(recipeIdOf(ingredientId));
    expect(withParts({ ...glaze, lines: [] }, whole).map((one) => one.id)).toEqual([glaze.id]);
    // two that name each other end somewhere
    const part = whole.find((one) => one.id === ids[0])!;
    const round = { ...part, lines: [{ ...part.lines[0]!, ingredientId: recipeRowId(glaze.id) }] };
    expect(withParts(glaze, [round, ...whole.filter((one) => one.id !== part.id)])).toHaveLength(ids.length);
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
  const listed = (name: string, more: object = {}) => ({
    '@type': 'https://schema.org/Recipe',
    name,
    recipeYield: '6 to 8',
    recipeIngredient: ['500 g frozen peas', '1 L vegetable stock'],
    recipeInstructions:
      'Pour in the stock and bring to the boil. Add the peas and simmer for 5 minutes. Blend.',
    ...more,
  });
  it('JSON-LD as pages have it: a mark at its head, a charset, CDATA, a broken block, several recipes under other things', async () => {
    const script = (text: string, type = 'application/ld+json; charset=utf-8') =>
      `<script type="${type}">${text}</script>`;
    const page = [
      script('{ "broken": '),
      script(
        `//<![CDATA[\n${JSON.stringify({ '@type': 'WebPage', hasPart: [listed('One'), listed('Two')] })}\n//]]>`,
      ),
      script(
        JSON.stringify({ '@graph': [{ '@type': 'ItemList', itemListElement: [{ item: listed('Three') }] }] }),
      ),
    ].join('');
    const { drafts } = (await read('page.html', `\ufeff<html><head>${page}</head></html>`)).json;
    expect(drafts.map((one: { name: string }) => one.name)).toEqual(['One', 'Two', 'Three']);
    expect(drafts[0].portions).toBe(7);
    const bare = await read('soup.json', `\ufeff${JSON.stringify(listed('Bare'))}`);
    expect(bare.json.drafts[0].name).toBe('Bare');
    const broken = await read('page.html', `<html>${script('{ "broken": ')}</html>`);
    expect(broken.status).toBe(422);
    expect(JSON.stringify(broken.json)).toMatch(/Line 1 is not JSON/);
  });
  it('a yield is bowls, a range, a quantity; litres and nonsense are none', async () => {
    const portions = async (recipeYield: unknown) =>
      (await read('soup.json', JSON.stringify(listed('Soup', { recipeYield })))).json.drafts[0].portions;
    expect(await portions('8 servings')).toBe(8);
    expect(await portions(['4-6', '4 to 6 people'])).toBe(5);
    expect(await portions({ '@type': 'QuantitativeValue', value: 12, unitText: 'portions' })).toBe(12);
    for (const none of ['2 litres', '1.5 L', 'a big pot', '999999', { value: 'x' }])
      expect(await portions(none)).toBeNull();
  });
  it('marks, lids, shares blended and what goes back in come back the same', async () => {
    const paper = [
      'Hock soup\nServes 8\n1 ham hock about 1.2 kg\n500 g green split peas\n3 litres water\n',
      'Add the hock, peas and water and bring to the boil. Simmer for 90 minutes, lid ajar. Lift out the hock and pick the meat.',
      'Blend a third. Reduce by a quarter. Return the meat. Season and serve.',
    ].join('\n');
    const [draft] = (await read('soup.txt', paper)).json.drafts;
    const lines = linesOf(
      { litres: 3, portionMl: 375, stages: draft.stages },
      draft.written,
      await table(),
    ).lines;
    const id = 'hock-soup';
    const recipe = {
      id,
      version: 1,
      name: draft.name,
      litres: 3,
      portionMl: 375,
      bowl: { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 },
      targetBand: 3,
    };
    const whole = { ...recipe, targetSaltPercent: 0.9, colour: 'broth', stages: draft.stages, lines };
    const kept = await ask('POST', '/recipes', { recipe: { ...whole, written: draft.written } });
    expect(kept.status).toBe(201);
    const out = await ask('GET', `/recipes/${id}/export/jsonld`);
    const [back] = (await read('soup.json', out.text)).json.drafts;
    const said = (stages: Recipe['stages']) =>
      stages.map(({ kind, lid, ends, does }) => ({ kind, lid, ends, does: does ?? null }));
    expect(said(back.stages)).toEqual(said(draft.stages));
    const backAt = (of: typeof draft) =>
      of.written.map((line: { backStageId?: string }) =>
        of.stages.findIndex((stage: { id: string }) => stage.id === line.backStageId),
      );
    expect(backAt(back)).toEqual(backAt(draft));
    expect(Math.max(...backAt(draft))).toBeGreaterThan(0);
  });
  it('a saved page without data of its own, and the rows of a sheet, are read as they stand', async () => {
    const page = `<html><body><nav>Home</nav><h1>Leek soup</h1><p>Serves 4</p><ul><li>3 leeks, sliced</li><li>50&nbsp;g butter</li>
      <li>1 L chicken stock</li></ul><ol><li>Sweat the leeks in the butter for 10 minutes.</li><li>Pour in the stock and simmer for 20 minutes.</li></ol>
      <script>var x = '9 onions';</script></body></html>`;
    const [soupOf] = (await read('page.html', page)).json.drafts;
    expect([soupOf.name, soupOf.portions, soupOf.written.length]).toEqual(['Leek soup', 4, 3]);
    const [rows] = (await read('rows.txt', 'Soup\nonions\t2\tkg\ncarrots;500;g\n1\tL\twater')).json.drafts;
    expect(rows.written.map((line: { text: string }) => line.text)).toEqual([
      '2 kg onions',
      '500 g carrots',
      '1 L water',
    ]);
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
  it('a price is figures and one comma: what can be read in two ways, and what only a machine reads, is a sentence', async () => {
    const csv = (price: string) => `id,price_per_kg\nonion,"${price}"\n`;
    expect((await read('p.csv', csv('1,25'))).json.difference.prices[0].centsPerKg).toBe(125);
    for (const [price, says] of [
      ['1,234', /1\.234 or 1234/],
      ['0x1f', /not a price/],
      ['1e3', /not a price/],
      ['-2', /not a price/],
    ] as const) {
      const answer = await read('p.csv', csv(price));
      expect(answer.status).toBe(422);
      expect(JSON.stringify(answer.json)).toMatch(says);
    }
  });
  it('prices as CSV are the same; what differs is shown before it is taken in', async () => {
    const out = await ask('GET', '/prices.csv');
    const foods: FoodsView = (await ask('GET', '/foods')).json;
    const same = (await read('prices.csv', out.text)).json.difference;
    expect(same).toEqual({ prices: [], same: Object.keys(foods.pricesCentsPerKg).length });
    const dearer = out.text.replace(/(onion,Onion[^,]*,)[\d.]+/, '$19.99');
    const { difference } = (await read('prices.csv', dearer)).json;
    expect(difference.prices).toEqual([
      {
        ingredientId: 'onion',
        name: INGREDIENT_BY_ID.onion!.name,
        centsPerKg: 999,
        beforeCentsPerKg: foods.pricesCentsPerKg.onion,
        beforeSupplier: foods.suppliers.onion ?? null,
        ...(foods.suppliers.onion ? { supplier: foods.suppliers.onion } : {}),
      },
    ]);
    expect((await ask('GET', '/foods')).json).toEqual(foods);
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
    ['prices said twice', 'a.csv', 'id,price_per_kg\nonion,1\nonion,2', 'line 3', /is in line 2 too/],
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
    const own = { ...INGREDIENT_BY_ID.onion!, id: 'house-onion', name: 'House onion', aliases: [] };
    const bad = { ...soup('Bad'), lines: [{ ...good.lines[0]!, ingredientId: 'moon' }], written: undefined };
    const text = JSON.stringify({
      format: 'slow-pot-book',
      version: 1,
      recipes: [good, bad],
      ingredients: [own],
    });
    const answer = await ask('POST', '/files/book', {
      name: 'b.json',
      text,
      checkedFoodIds: ['house-onion'],
    });
    expect(answer.status).toBe(422);
    expect(sentences(answer.json)).toMatch(/moon/);
    expect(await book()).toEqual(before);
    expect(((await ask('GET', '/foods')).json as FoodsView).ownIngredients).toEqual([]);
  });

  const bookOfFoods = (ingredients: object[], recipes: object[] = []) =>
    JSON.stringify({ format: 'slow-pot-book', version: 1, recipes, ingredients });
  const bare = ['milk', 'cream', 'butter'].map((id) => ({ ...INGREDIENT_BY_ID[id]!, allergens: [] }));
  it('rows of the table that a book would change are named, and a label is taken in only as a person has checked it', async () => {
    const text = bookOfFoods(bare);
    const { difference } = (await read('b.json', text)).json;
    expect(difference.foods).toEqual(
      bare.map(({ id, name }) =>
        expect.objectContaining({
          id,
          name,
          change: 'table',
          needsPerson: true,
          fields: [{ field: 'allergens', before: 'milk', after: '' }],
        }),
      ),
    );
    const half = { name: 'b.json', text, checkedFoodIds: ['milk', 'cream'] };
    const refused = await ask('POST', '/files/book', half);
    expect([refused.status, fieldOf(refused.json)]).toEqual([422, 'foods.butter']);
    expect(((await ask('GET', '/foods')).json as FoodsView).ownIngredients).toEqual([]);
  });
  it('a new food and its recipe go in together, once, however often it is pressed', async () => {
    const own = { ...INGREDIENT_BY_ID.onion!, id: 'house-onion', name: 'House onion', aliases: [] };
    const recipe = soup('Soup of the house onion');
    const wanted = {
      id: '018f0000-0000-7000-8000-00000000b00c',
      name: 'b.json',
      text: bookOfFoods([own], [recipe]),
      checkedFoodIds: ['house-onion'],
    };
    const [first, again] = await Promise.all([
      ask('POST', '/files/book', wanted),
      ask('POST', '/files/book', wanted),
    ]);
    expect([first.status, again.status]).toEqual([200, 200]);
    expect(first.json).toEqual({ added: [recipe.name], newVersions: [], same: [], foods: ['House onion'] });
    expect(again.json).toEqual(first.json);
    const versions = (await ask('GET', `/recipes/${recipe.id}/versions`)).json;
    expect(versions).toHaveLength(1);
    expect(((await ask('GET', '/foods')).json as FoodsView).ownIngredients.map((row) => row.id)).toEqual([
      'house-onion',
    ]);
  });
  it.each([
    ['yield 0', { yield: 0 }, /yield: What is left after trim must be from 0.01/],
    ['a word for a number', { densityKgPerL: 'heavy' }, /must be a number/],
    ['a food with no id', { id: undefined }, /missing|must be text/],
    ['a food that is a list', [], /./],
  ])('%s is refused, naming the food', async (_name, change, sentence) => {
    const food = Array.isArray(change) ? change : { ...INGREDIENT_BY_ID.onion!, ...change };
    const answer = await read('b.json', bookOfFoods([food]));
    expect(answer.status).toBe(422);
    expect(fieldOf(answer.json)).toMatch(/^ingredients\.0/);
    expect(sentences(answer.json)).toMatch(sentence);
  });
});

describe('files that would stop a server', () => {
  const read = (name: string, text: string) => ask('POST', '/files/read', { name, text });
  const open = (tag: string, times: number) =>
    `${tag.repeat(times)}<script type="application/ld+json">{"@type":"Recipe","name":"Deep","recipeIngredient":["1 leek"]}</script>`;
  it('a page of open tags, however deep, is read in the time its length takes', async () => {
    for (const tag of ['<div>', '<svg>', '<table><tr>', '<a href="']) {
      const text = open(tag, Math.floor(1_500_000 / tag.length));
      const before = performance.now();
      const answer = await read('page.html', text);
      expect(performance.now() - before).toBeLessThan(5000);
      expect([200, 422]).toContain(answer.status);
    }
    expect((await read('page.html', open('<div>', 16_000))).json.drafts[0].name).toBe('Deep');
  });
  it('data nested without end, and text without end, are refused in words while the kitchen goes on', async () => {
    const deep = `{"@graph":${'['.repeat(5000)}${']'.repeat(5000)}}`;
    expect(sentences((await read('a.json', deep)).json)).toMatch(/nested too deep/);
    const slow = read('a.txt', `Soup\n${'1 of the or and '.repeat(200_000)}`);
    expect((await ask('GET', '/health')).status).toBe(200);
    expect([200, 422]).toContain((await slow).status);
    expect((await ask('GET', '/recipes')).status).toBe(200);
  });
  it('one that takes longer than it may is stopped and told so, those behind it have their turn, and none hangs', async () => {
    const impatient = createFileReader(pino({ level: 'silent' }), 1);
    const here: BookHere = { units: 'metric', foods: (await ask('GET', '/foods')).json, book: await book() };
    const text = `Soup\n${'200 g leeks, sliced\n'.repeat(20_000)}`;
    const all = await Promise.allSettled([1, 2, 3].map(() => impatient.read({ name: 'a.txt', text }, here)));
    for (const one of all) {
      expect(one.status).toBe('rejected');
      expect(String((one as PromiseRejectedResult).reason)).toMatch(/takes too long to read/);
    }
    await impatient.close();
    const patient = createFileReader(pino({ level: 'silent' }));
    expect((await patient.read({ name: 'a.txt', text: 'Soup\n200 g leeks' }, here)).kind).toBe('drafts');
    await patient.close();
  });
});
