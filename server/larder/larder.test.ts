import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  type BatchView,
  type KitchenView,
  type LotDetail,
  type OrderView,
  zonedTimeMs,
} from '../../contract';
import type { LotView } from '../../core/views';
import { seed } from '../../demo/seed';
import { chowderOrder, lotsOf, said, saidOfShelf } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;

const shelf = (type: string, payload: unknown) => ask('POST', '/larder/events', saidOfShelf(type, payload));
const lots = () => lotsOf(ask);
const lotOf = async (base: string): Promise<LotView> =>
  (await lots())
    .filter((lot) => lot.contents.base === base && lot.storage === 'chilled')
    .sort((a, b) => b.leftKg - a.leftKg)[0]!;
const reload = async (lot: LotView) => (await lots()).find((one) => one.id === lot.id)!;

let kitchen: KitchenView;
const at = (time: string, daysOn: number) =>
  zonedTimeMs(time, kitchen.zone, kitchen.clock.kitchenFromMs, daysOn);
const order = (change: object = {}) => chowderOrder(kitchen, 1, change);
const put = (batch: BatchView, items: object[]) =>
  ask('POST', `/batches/${batch.id}/events`, said('added', { items }));

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
});
afterAll(kitchenServer.remove);

describe('the shelf', () => {
  it('a lot says what it is: litres, dates, salt, strength, set, allergens, cost', async () => {
    const stock = await lotOf('brown-poultry-stock');
    expect(stock.strength).toBeGreaterThan(0.9);
    expect(stock).toMatchObject({ isBrixRead: true, sets: { value: true, isSeen: true }, countIt: false });
    expect(stock.contents.allergens).toEqual(['celery']);
    expect(stock.contents.diet).toBe('meat');
    expect(stock.centsPerLitre).toBeGreaterThan(50);
    // made on the 8th, the first day of seven: used by the 14th
    expect(new Date(stock.useByMs!).toISOString()).toBe('2026-03-14T23:59:59.999Z');
  });
  it('a delivery is a lot; its story says who brought it and how warm', async () => {
    const lotId = uuid();
    const answer = await shelf('delivered', {
      lotId,
      ingredientId: 'carrot',
      kg: 10,
      supplier: 'Nether Corrie Growers',
      arrivedC: 9,
      place: 'walk-in',
      storage: 'chilled',
    });
    expect(answer.status).toBe(201);
    const detail: LotDetail = (await ask('GET', `/lots/${lotId}`)).json;
    expect(detail.lot).toMatchObject({ leftKg: 10, origin: { kind: 'delivery', arrivedC: 9 } });
    expect(detail.story[0]).toMatchObject({
      kind: 'shelf',
      event: { type: 'delivered', payload: { kg: 10, supplier: 'Nether Corrie Growers', arrivedC: 9 } },
      mayUndo: true,
    });
    const numbers = (await lots()).map((lot) => lot.number);
    expect(new Set(numbers).size).toBe(numbers.length);
  });
  it('the same event counts once; the same id with another content is a conflict', async () => {
    const stock = await lotOf('brown-poultry-stock');
    const event = saidOfShelf('moved', { lotId: stock.id, place: 'shelf 9' });
    expect((await ask('POST', '/larder/events', event)).status).toBe(201);
    expect((await ask('POST', '/larder/events', event)).status).toBe(200);
    expect(
      (await ask('POST', '/larder/events', { ...event, payload: { lotId: stock.id, place: 'x' } })).status,
    ).toBe(409);
    expect((await reload(stock)).place).toBe('shelf 9');
  });
  it('split, frozen, thawed, counted, thrown away, undone', async () => {
    const stock = await lotOf('brown-poultry-stock');
    const toLotId = uuid();
    expect(
      (await shelf('split', { lotId: stock.id, toLotId, kg: 1, place: 'freezer', storage: 'frozen' })).status,
    ).toBe(201);
    const part = (await lots()).find((lot) => lot.id === toLotId)!;
    expect(part).toMatchObject({ leftKg: 1, storage: 'frozen', useByMs: null });
    expect(part.number).toBeGreaterThan(stock.number);
    await shelf('thawed', { lotId: toLotId, place: 'walk-in' });
    expect((await reload(part)).useByMs).toBe(stock.useByMs);
    await shelf('counted', { lotId: toLotId, kg: 0.8, note: 'spilt' });
    const toss = saidOfShelf('discarded', { lotId: toLotId, kg: 0.8, reason: 'smells' });
    await ask('POST', '/larder/events', toss);
    expect((await reload(part)).leftKg).toBe(0);
    await shelf('undone', { eventId: toss.id });
    expect((await reload(part)).leftKg).toBeCloseTo(0.8, 9);
  });
  const wrong: [string, (lot: LotView) => object, number, RegExp][] = [
    [
      'a lot that is not there',
      () => saidOfShelf('moved', { lotId: 'moon', place: 'x' }),
      422,
      /no lot “moon”/,
    ],
    [
      'more than there is',
      (lot) => saidOfShelf('discarded', { lotId: lot.id, kg: 900, reason: 'x' }),
      422,
      /has .* kg left, not 900.*count it first/,
    ],
    [
      'a weight that is no number',
      (lot) => saidOfShelf('counted', { lotId: lot.id, kg: 'lots', note: 'x' }),
      400,
      /What is there must be a number of kg, not “lots”/,
    ],
    [
      'thrown away without a reason',
      (lot) => saidOfShelf('discarded', { lotId: lot.id, kg: 0.1, reason: '' }),
      400,
      /The reason is missing/,
    ],
    [
      'thawed though not frozen',
      (lot) => saidOfShelf('thawed', { lotId: lot.id, place: 'x' }),
      422,
      /is not frozen/,
    ],
    [
      'a food that is not known',
      () =>
        saidOfShelf('delivered', {
          lotId: uuid(),
          ingredientId: 'moon',
          kg: 1,
          supplier: 'x',
          place: 'x',
          storage: 'dry',
        }),
      422,
      /no food “moon”/,
    ],
    [
      'shellfish without its tag',
      () =>
        saidOfShelf('delivered', {
          lotId: uuid(),
          ingredientId: 'mussel',
          kg: 1,
          supplier: 'x',
          place: 'x',
          storage: 'chilled',
        }),
      422,
      /comes with a tag/,
    ],
    [
      'past its date at the door',
      () =>
        saidOfShelf('delivered', {
          lotId: uuid(),
          ingredientId: 'carrot',
          kg: 1,
          supplier: 'x',
          place: 'x',
          storage: 'chilled',
          useByMs: 1,
        }),
      422,
      /use-by date is past/,
    ],
    [
      'the same lot twice in a blend',
      (lot) =>
        saidOfShelf('blended', {
          toLotId: uuid(),
          name: 'x',
          parts: [
            { lotId: lot.id, kg: 0.1 },
            { lotId: lot.id, kg: 0.1 },
          ],
          waterKg: 0,
          place: 'x',
          storage: 'chilled',
        }),
      422,
      /named twice/,
    ],
    [
      'an event of another age',
      (lot) => ({ ...saidOfShelf('moved', { lotId: lot.id, place: 'x' }), v: 9 }),
      400,
      /“moved”, version 9, is not known here/,
    ],
    [
      'a word nobody knows',
      () => saidOfShelf('teleported', {}),
      400,
      /“teleported” is not an event Slow Pot knows/,
    ],
    ['taking back what never was', () => saidOfShelf('undone', { eventId: 'no' }), 422, /no event “no”/],
    [
      'made tomorrow',
      () =>
        saidOfShelf('found', {
          lotId: uuid(),
          ingredientId: 'carrot',
          kg: 1,
          madeAtMs: 7e12,
          place: 'x',
          storage: 'dry',
          note: 'x',
        }),
      422,
      /time to come/,
    ],
  ];
  it.each(wrong)('%s: a sentence, and nothing changed', async (_name, make, status, sentence) => {
    const before = await lots();
    const lot = await lotOf('brown-poultry-stock');
    const answer = await ask('POST', '/larder/events', make(lot));
    expect(answer.status).toBe(status);
    expect(answer.json.detail).toMatch(sentence);
    expect(await lots()).toEqual(before);
  });
  it('there is no lot to open that was never born', async () => {
    expect((await ask('GET', '/lots/moon')).status).toBe(404);
  });
});

describe('planned from the shelf', () => {
  it('planning never promises what is not there; with a word where it comes from, it is cooked', async () => {
    const wanted = order({
      recipeId: 'celeriac-veloute',
      portions: 100,
      band: 3,
      potId: 'stockpot-40',
      burnerId: 'gas-2',
    });
    const refused = await ask('POST', '/batches', wanted);
    expect(refused.status).toBe(422);
    expect(refused.json.errors[0].field).toBe('overrideReason');
    expect(refused.json.detail).toMatch(/Chicken stock: .* L are wanted, .* L in the larder/);
    const cooked = await ask('POST', '/batches', { ...wanted, overrideReason: 'fetched from the hotel' });
    expect(cooked.status).toBe(201);
    await ask('POST', `/batches/${cooked.json.id}/events`, said('closed', { leftLitres: 0 }));
  });
  it('a lot past its date is not drawn, and not put in the pot without a reason and a name', async () => {
    const past = await lotOf('light-vegetable-stock');
    expect(past.useByMs).toBeLessThan(kitchen.clock.kitchenFromMs);
    const wanted = order({ recipeId: 'pepper-lentil-puree', portions: 8, band: 4, burnerId: 'gas-3' });
    expect((await ask('POST', '/batches', wanted)).json.detail).toMatch(/none in the larder/);
    const batch: BatchView = (await ask('POST', '/batches', { ...wanted, overrideReason: 'as a test' })).json;
    const item = { ingredientId: 'vegetable-stock', kg: 1, tempC: 5, lotId: past.id };
    const refused = await put(batch, [item]);
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/past its date/);
    expect((await shelf('usePast', { lotId: past.id, reason: 'boiled ten minutes', by: '' })).status).toBe(
      400,
    );
    expect(
      (await shelf('usePast', { lotId: past.id, reason: 'boiled ten minutes', by: 'Isla' })).status,
    ).toBe(201);
    expect((await put(batch, [item])).status).toBe(201);
    expect((await reload(past)).usePast).toMatchObject({ by: 'Isla' });
    await ask('POST', `/batches/${batch.id}/events`, said('closed', { leftLitres: 0 }));
  });
  it('two draws of the last litre at once: both kept, the second flagged, the lot to be counted', async () => {
    const kelp = await lotOf('kelp-mushroom-stock');
    const start = async (burnerId: string, potId: string): Promise<BatchView> =>
      (
        await ask(
          'POST',
          '/batches',
          order({
            burnerId,
            potId,
            portions: 6,
            overrideReason: 'as a test',
            changes: [
              { kind: 'swap', lineId: 'fumet', byIngredientId: 'kelp-stock', share: 1, keep: 'weight' },
            ],
          }),
        )
      ).json;
    const one = await start('gas-1', 'rondeau-24');
    const two = await start('gas-2', 'stockpot-40');
    const whole = [{ ingredientId: 'kelp-stock', kg: kelp.leftKg - 0.2, tempC: 5, lotId: kelp.id }];
    const answers = await Promise.all([put(one, whole), put(two, whole)]);
    expect(answers.map((answer) => answer.status)).toEqual([201, 201]);
    expect(answers.map((answer) => answer.json.flag).filter(Boolean)).toEqual([
      { code: 'drewBeyond', lotNumbers: [kelp.number] },
    ]);
    const after = await reload(kelp);
    expect(after).toMatchObject({ countIt: true, leftKg: 0 });
    await shelf('counted', { lotId: kelp.id, kg: 0.3, note: 'a tub behind the milk' });
    expect(await reload(kelp)).toMatchObject({ countIt: false, leftKg: expect.closeTo(0.3, 9) });
    for (const batch of [one, two])
      await ask('POST', `/batches/${batch.id}/events`, said('closed', { leftLitres: 0 }));
  });
  it('an order kept for a day to come is listed until it is cooked or deleted', async () => {
    const kept = order({ serviceAtMs: at('13:10', 4) });
    expect((await ask('POST', '/orders', kept)).status).toBe(201);
    expect((await ask('POST', '/orders', kept)).status).toBe(200);
    expect((await ask('POST', '/orders', { ...kept, portions: 21 })).status).toBe(409);
    expect((await ask('POST', '/orders', order({ serviceAtMs: 5 }))).json.detail).toMatch(/already past/);
    // a pot and a burner that are there, and go together
    const wrongPlaces = [
      [{ potId: 'thimble' }, /thimble/],
      [{ burnerId: 'campfire' }, /campfire/],
      [{ potId: 'kettle-60', burnerId: 'gas-1' }, /60 L kettle|burner 1/i],
    ] as const;
    for (const [place, says] of wrongPlaces) {
      const answer = await ask('POST', '/orders', order(place));
      expect(answer.status).toBe(422);
      expect(JSON.stringify(answer.json)).toMatch(says);
    }
    const listed = async () => ((await ask('GET', '/orders')).json as OrderView[]).map((one) => one.id);
    expect(await listed()).toContain(kept.id);
    const { id: _id, ...request } = kept;
    const batch = (await ask('POST', '/batches', { ...request, id: uuid(), orderId: kept.id })).json;
    expect(await listed()).not.toContain(kept.id);
    await ask('POST', `/batches/${batch.id}/events`, said('closed', { leftLitres: 0 }));
    const other = order({ serviceAtMs: at('18:05', 4) });
    await ask('POST', '/orders', other);
    await ask('POST', `/orders/${other.id}/cancel`);
    expect(await listed()).not.toContain(other.id);
  });
});
