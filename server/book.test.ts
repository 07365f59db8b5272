import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type FileReading, type KitchenView, libraryOf, nextServiceAtMs, rowsOf } from '../contract';
import { INGREDIENT_BY_ID, linesOf, type Recipe, readingTable, readLine } from '../core';
import { recipeFrom } from '../core/testing/book';
import { seedCorrieHalt } from '../demo/seed-corrie-halt';
import { startServer } from './start-server';

const folder = mkdtempSync(join(tmpdir(), 'slow-pot-book-'));
let server: Awaited<ReturnType<typeof startServer>>;

async function ask(method: string, path: string, body?: unknown) {
  const response = await fetch(`${server.address}/api${path}`, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
  });
  const text = await response.text();
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    text,
    json: /json/.test(response.headers.get('content-type') ?? '') ? JSON.parse(text) : null,
  };
}
const sentences = (problem: { errors: { sentence: string }[] }) =>
  problem.errors.map((one) => one.sentence).join(' ');
const fieldOf = (problem: { errors: { field: string }[] }) => problem.errors[0]!.field;
const book = async (): Promise<Recipe[]> => (await ask('GET', '/recipes')).json;
const soup = (name: string, change: Partial<Recipe> = {}): Recipe =>
  recipeFrom(
    `${name}\nServes 6\n50 g butter\n2 leeks, sliced\n500 g potatoes, 1.5 cm dice\n1.2 L chicken stock\n2 bay leaves\n150 ml double cream\nsalt to taste\n\nSweat the leeks in the butter for 10 minutes. Add the stock, potatoes and bay, bring to the boil and simmer until tender. Blend, stir in the cream, season and serve.`,
    change,
  );

beforeAll(async () => {
  server = await startServer({
    host: '127.0.0.1',
    port: 0,
    dataFolder: folder,
    migrationsFolder: join(process.cwd(), 'server/db/migrations'),
    buildId: 'test',
    seed: seedCorrieHalt,
    logLevel: 'silent',
  });
});
afterAll(async () => {
  await server.close();
  rmSync(folder, { recursive: true });
});

describe('recipes are saved, never overwritten', () => {
  it('a new one is version 1, its lines made here from what is written', async () => {
    const sent = soup('Saved soup');
    const { status, json } = await ask('POST', '/recipes', { recipe: { ...sent, lines: [] } });
    expect(status).toBe(201);
    expect(json.version).toBe(1);
    expect(json.lines).toEqual(sent.lines);
    expect((await book()).some((one) => one.id === 'saved-soup')).toBe(true);
  });
  it('the next is version 2; both are kept, in order', async () => {
    const after = { ...soup('Saved soup'), targetSaltPercent: 0.8 };
    expect((await ask('POST', '/recipes', { basedOn: 1, recipe: after })).json.version).toBe(2);
    const versions = (await ask('GET', '/recipes/saved-soup/versions')).json;
    expect(
      versions.map((one: { version: number; recipe: Recipe }) => [one.version, one.recipe.targetSaltPercent]),
    ).toEqual([
      [1, 0.9],
      [2, 0.8],
    ]);
  });
  it('two cooks at once: the second is told, and nothing is swallowed', async () => {
    const late = await ask('POST', '/recipes', { basedOn: 1, recipe: soup('Saved soup') });
    expect([late.status, fieldOf(late.json)]).toEqual([409, 'basedOn']);
    expect(sentences(late.json)).toMatch(/Version 2 has been saved meanwhile/);
    const twin = await ask('POST', '/recipes', { recipe: soup('Saved soup') });
    expect(sentences(twin.json)).toMatch(/already: give this one another name/);
    expect((await ask('GET', '/recipes/saved-soup/versions')).json).toHaveLength(2);
  });
  it('a batch knows which version it cooked', async () => {
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const start = await ask('POST', '/batches', {
      id: uuid(),
      recipeId: 'saved-soup',
      portions: 40,
      portionMl: 250,
      saltPercent: 0.8,
      band: 3,
      potId: 'stockpot-40',
      burnerId: 'gas-1',
      serviceAtMs: nextServiceAtMs('18:05', kitchen.zone, kitchen.clock.kitchenFromMs),
      changes: [{ kind: 'swap', lineId: 'w4', byIngredientId: 'water', share: 0.5, keep: 'weight' }],
    });
    expect(start.status).toBe(201);
    expect(start.json.snapshot.input.recipe.version).toBe(2);
    expect(
      start.json.snapshot.plan.lines.map((line: { ingredientId: string }) => line.ingredientId),
    ).toContain('water');
  });

  const wrong: [string, () => unknown, number, string, RegExp][] = [
    [
      'a line that names nothing',
      () => {
        const one = soup('Bad soup');
        return {
          recipe: {
            ...one,
            written: one.written!.map((line, i) => (i === 1 ? { ...line, text: '2 dragons' } : line)),
          },
        };
      },
      422,
      'recipe.written.1',
      /dragons.*not in the table/,
    ],
    [
      'a line without a weight',
      () => {
        const one = soup('Bad soup');
        return {
          recipe: {
            ...one,
            written: one.written!.map((line, i) => (i === 1 ? { ...line, text: 'leeks' } : line)),
          },
        };
      },
      422,
      'recipe.written.1',
      /No amount: how much leek/,
    ],
    [
      'parts that do not add up',
      () => {
        const one = soup('Bad soup');
        return {
          recipe: {
            ...one,
            written: one.written!.map((line) => ({
              ...line,
              parts: [{ stageId: one.stages[0]!.id, share: 0.5 }],
            })),
          },
        };
      },
      400,
      'recipe.written.0.parts',
      /must add up/,
    ],
    [
      'no serving at the end',
      () => {
        const one = soup('Bad soup');
        return { recipe: { ...one, stages: one.stages.slice(0, -1) } };
      },
      400,
      'recipe.stages.5',
      /last stage must be the serving/,
    ],
    [
      'a stage that is not there',
      () => {
        const one = soup('Bad soup');
        return {
          recipe: {
            ...one,
            written: one.written!.map((line) => ({ ...line, parts: [{ stageId: 'nowhere', share: 1 }] })),
          },
        };
      },
      400,
      'recipe.written.0',
      /goes in at a stage that is not there/,
    ],
    [
      'salt past the sea',
      () => ({ recipe: { ...soup('Bad soup'), targetSaltPercent: 9 } }),
      400,
      'recipe.targetSaltPercent',
      /from 0 to 5 %/,
    ],
    [
      'a name without letters',
      () => ({ recipe: { ...soup('Bad soup'), name: '' } }),
      400,
      'recipe.name',
      /missing/,
    ],
    ['nothing at all', () => ({}), 400, 'recipe', /missing/],
    [
      'over a recipe that is not there',
      () => ({ basedOn: 3, recipe: soup('Never soup') }),
      409,
      'basedOn',
      /no recipe/,
    ],
  ];
  it.each(
    wrong,
  )('%s is refused with a sentence and changes nothing', async (_name, body, status, field, sentence) => {
    const before = (await book()).length;
    const answer = await ask('POST', '/recipes', body());
    expect([answer.status, fieldOf(answer.json)]).toEqual([status, field]);
    expect(sentences(answer.json)).toMatch(sentence);
    expect(await book()).toHaveLength(before);
  });
  it('a circle is refused by name', async () => {
    const line = (id: string) => ({
      id: 'w9',
      text: `300 g ${id}`,
      ingredientId: `recipe:${id}`,
      parts: [{ stageId: 's1', share: 1 }],
    });
    const one = soup('Ring one');
    expect((await ask('POST', '/recipes', { recipe: one })).status).toBe(201);
    const two = soup('Ring two');
    expect(
      (await ask('POST', '/recipes', { recipe: { ...two, written: [...two.written!, line('ring-one')] } }))
        .status,
    ).toBe(201);
    const back = await ask('POST', '/recipes', {
      basedOn: 1,
      recipe: { ...one, written: [...one.written!, line('ring-two')] },
    });
    expect(back.status).toBe(422);
    expect(sentences(back.json)).toMatch(/Ring one in Ring two in Ring one|ring-two/i);
  });
});

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

describe('foods of the kitchen’s own, and prices', () => {
  it('a label goes over the table, the rest marked as a guess', async () => {
    const { status, json } = await ask('POST', '/ingredients', {
      id: 'house-bacon',
      name: 'Dry-cured bacon',
      like: 'bacon',
      saltPercent: 4,
      fatPercent: 30,
      allergens: ['sulphites'],
    });
    expect(status).toBe(201);
    expect([json.perKg.salt, json.perKg.fat, json.guessedFrom, json.label]).toEqual([
      0.04,
      0.3,
      'bacon',
      'salt 4 %, fat 30 %, allergens',
    ]);
    const sum = Object.values(json.perKg as Record<string, number>).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo(1, 9);
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const table = readingTable(rowsOf(libraryOf(kitchen, [])));
    expect(readLine('200 g dry-cured bacon', table).ingredientId).toBe('house-bacon');
  });
  it.each([
    ['like nothing', { id: 'x', name: 'X', like: 'moon' }, 422, 'like'],
    [
      'more than all of it',
      { id: 'x', name: 'X', like: 'bacon', saltPercent: 60, fatPercent: 60 },
      422,
      'saltPercent',
    ],
    [
      'an unknown allergen',
      { id: 'x', name: 'X', like: 'bacon', allergens: ['gravity'] },
      400,
      'allergens.0',
    ],
    ['a strange id', { id: 'X Y', name: 'X', like: 'bacon' }, 400, 'id'],
  ])('%s is refused', async (_name, body, status, field) => {
    const answer = await ask('POST', '/ingredients', body);
    expect([answer.status, fieldOf(answer.json)]).toEqual([status, field]);
  });
  it('a price changes alone, and a stranger changes none', async () => {
    const before: KitchenView = (await ask('GET', '/kitchen')).json;
    const refused = await ask('PATCH', '/prices', {
      prices: [
        { ingredientId: 'onion', centsPerKg: 999 },
        { ingredientId: 'moon', centsPerKg: 1 },
      ],
    });
    expect([refused.status, fieldOf(refused.json)]).toEqual([422, 'prices.1.ingredientId']);
    expect(((await ask('GET', '/kitchen')).json as KitchenView).pricesCentsPerKg).toEqual(
      before.pricesCentsPerKg,
    );
    const after: KitchenView = (
      await ask('PATCH', '/prices', { prices: [{ ingredientId: 'onion', centsPerKg: 120 }] })
    ).json;
    expect(after.pricesCentsPerKg).toEqual({ ...before.pricesCentsPerKg, onion: 120 });
    expect(after.suppliers.onion).toBe(before.suppliers.onion);
  });
  it('the kitchen’s units are its own to set', async () => {
    expect((await ask('PATCH', '/kitchen', { units: 'us' })).json.units).toBe('us');
    expect((await ask('PATCH', '/kitchen', { units: 'cubits' })).status).toBe(400);
    await ask('PATCH', '/kitchen', { units: 'metric' });
  });
});
