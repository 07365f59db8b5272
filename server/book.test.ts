import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type FoodsView, type KitchenView, nextServiceAtMs } from '../contract';
import { libraryOf, rowsOf } from '../core/book';
import { readingTable, readLine } from '../core/reader';
import type { Recipe } from '../core/recipe';
import { seed } from '../demo/seed';
import { bookOf, fieldOf, sentences, someSoup as soup } from './testing/say';
import { testKitchen } from './testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
const book = () => bookOf(ask);

beforeAll(kitchenServer.start);
afterAll(kitchenServer.remove);

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
      serviceAtMs: nextServiceAtMs({ time: '18:05' }, kitchen.zone, kitchen.clock.kitchenFromMs),
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
    const foods: FoodsView = (await ask('GET', '/foods')).json;
    const table = readingTable(rowsOf(libraryOf(foods, [])));
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
    const before: FoodsView = (await ask('GET', '/foods')).json;
    const refused = await ask('PATCH', '/prices', {
      prices: [
        { ingredientId: 'onion', centsPerKg: 999 },
        { ingredientId: 'moon', centsPerKg: 1 },
      ],
    });
    expect([refused.status, fieldOf(refused.json)]).toEqual([422, 'prices.1.ingredientId']);
    expect(((await ask('GET', '/foods')).json as FoodsView).pricesCentsPerKg).toEqual(
      before.pricesCentsPerKg,
    );
    const after: FoodsView = (
      await ask('PATCH', '/prices', { prices: [{ ingredientId: 'onion', centsPerKg: 120 }] })
    ).json;
    expect(after.pricesCentsPerKg).toEqual({ ...before.pricesCentsPerKg, onion: 120 });
    expect(after.suppliers.onion).toBe(before.suppliers.onion);
  });
});
