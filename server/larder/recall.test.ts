import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, LotDetail } from '../../contract';
import type { LotView } from '../../core/views';
import { seed } from '../../demo/seed';
import { chowderOrder, lotsOf, said } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;

const lots = () => lotsOf(ask);

let kitchen: KitchenView;
const order = (change: object = {}) => chowderOrder(kitchen, 1, change);
const put = (batch: BatchView, items: object[]) =>
  ask('POST', `/batches/${batch.id}/events`, said('added', { items }));

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
});
afterAll(kitchenServer.remove);

describe('a base is made, drawn, recalled', () => {
  let stock: LotView;
  const soups: string[] = [];
  it('a batch puts a lot by: what hangs in the pot is asked for first, then it is on the shelf with what went in', async () => {
    const batch: BatchView = (
      await ask(
        'POST',
        '/batches',
        order({ recipeId: 'light-vegetable-stock', portions: 8, portionMl: 1000, saltPercent: 0, band: 0 }),
      )
    ).json;
    const lines = batch.snapshot.plan.lines.filter((line) => line.stageId === 'water');
    await put(
      batch,
      lines.map((line) => ({
        ingredientId: line.ingredientId,
        kg: line.edibleKg,
        tempC: line.tempC,
        lineId: line.lineId,
        ...(line.comesOut ? { comesOut: line.comesOut } : {}),
      })),
    );
    const lotId = uuid();
    const storeIt = (change: object = {}) =>
      ask(
        'POST',
        `/batches/${batch.id}/events`,
        said('stored', { lotId, litres: 7, place: 'walk-in, shelf 3', storage: 'chilled', ...change }),
      );
    expect((await storeIt()).json.detail).toMatch(/Still in the pot: .*onion/);
    expect((await storeIt({ litres: 90 })).json.detail).toMatch(/90.0 L cannot be stored/);
    await ask('POST', `/batches/${batch.id}/events`, said('stageBegun', { stageId: 'strain' }));
    await ask('POST', `/batches/${batch.id}/events`, said('stageDone', { stageId: 'strain' }));
    expect((await storeIt()).status).toBe(201);
    stock = (await lots()).find((lot) => lot.id === lotId)!;
    expect(stock).toMatchObject({
      name: 'Light vegetable stock',
      origin: { kind: 'batch', batchId: batch.id },
    });
    expect(stock.contents.satisfies).toContain('vegetable-stock');
    expect(stock.contents.allergens).toEqual(['celery']);
    expect(stock.litres).toBeCloseTo(7, 1);
    expect((await storeIt({ litres: 0.1 })).json.detail).toMatch(/lot “.*” already/);
    const closed = await ask('POST', `/batches/${batch.id}/events`, said('closed', { leftLitres: 0 }));
    expect(closed.status).toBe(201);
    const view: BatchView = (await ask('GET', `/batches/${batch.id}`)).json;
    expect(view.result).toMatchObject({ storedLitres: 7, served: 0 });
  });
  it('recalled, it names both soups and every bowl; undone, the draw is none', async () => {
    for (const portions of [6, 8]) {
      const batch: BatchView = (
        await ask(
          'POST',
          '/batches',
          order({ recipeId: 'pepper-lentil-puree', portions, band: 4, overrideReason: 'as a test' }),
        )
      ).json;
      soups.push(batch.id);
      await put(batch, [{ ingredientId: 'vegetable-stock', kg: 2, tempC: 5, lotId: stock.id }]);
      await ask('POST', `/batches/${batch.id}/events`, said('portioned', { portions, fate: 'served' }));
      await ask('POST', `/batches/${batch.id}/events`, said('closed', { leftLitres: 0 }));
    }
    const detail: LotDetail = (await ask('GET', `/lots/${stock.id}`)).json;
    expect(detail.into.map((step) => step.batch!.batchId)).toEqual(soups);
    expect(detail.bowls).toBe(14);
    expect(detail.lot.leftKg).toBeCloseTo(stock.leftKg - 4, 6);
    expect(detail.from.map((step) => step.kind)).toEqual([
      'batch',
      ...detail.from.slice(1).map((step) => step.kind),
    ]);
    const batch: BatchView = (await ask('GET', `/batches/${soups[1]}`)).json;
    await ask('POST', `/batches/${soups[1]}/events`, said('undone', { eventId: batch.events[0]!.id }));
    const after: LotDetail = (await ask('GET', `/lots/${stock.id}`)).json;
    expect(after.into.map((step) => step.batch!.batchId)).toEqual(soups.slice(0, 1));
    expect(after.lot.leftKg).toBeCloseTo(stock.leftKg - 2, 6);
  });
  it('its making is not undone while a soup holds some of it; when none does any more, it is, and the undo undone too', async () => {
    const maker = stock.origin.kind === 'batch' ? stock.origin.batchId : '';
    const batch: BatchView = (await ask('GET', `/batches/${maker}`)).json;
    const storeIt = batch.events.find((event) => event.type === 'stored')!;
    const undo = () => said('undone', { eventId: storeIt.id });
    const refused = await ask('POST', `/batches/${maker}/events`, undo());
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/2.0\d? kg into Red pepper and lentil purée. Undo that first/);
    const detail: LotDetail = (await ask('GET', `/lots/${stock.id}`)).json;
    expect(detail.into.map((step) => step.batch!.batchId)).toEqual(soups.slice(0, 1));
    expect((await ask('GET', '/larder/strays')).json).toEqual([]);
    // the first soup never had any of it either
    const first: BatchView = (await ask('GET', `/batches/${soups[0]}`)).json;
    const unsaid = said('undone', { eventId: first.events[0]!.id });
    await ask('POST', `/batches/${soups[0]}/events`, unsaid);
    const undone = undo();
    expect((await ask('POST', `/batches/${maker}/events`, undone)).status).toBe(201);
    expect((await lots()).some((lot) => lot.id === stock.id)).toBe(false);
    await ask('POST', `/batches/${maker}/events`, said('undone', { eventId: undone.id }));
    await ask('POST', `/batches/${soups[0]}/events`, said('undone', { eventId: unsaid.id }));
    const again = (await lots()).find((lot) => lot.id === stock.id)!;
    expect([again.number, again.leftKg]).toEqual([stock.number, expect.closeTo(stock.leftKg - 2, 6)]);
  });
  it('all of it is there after a restart', async () => {
    const before = await lots();
    await kitchenServer.restart();
    expect(await lots()).toEqual(before);
  });
});

describe('a stored dish is reheated for another train', () => {
  const back = (change: object = {}) =>
    order({
      recipeId: 'reheat:celeriac-veloute',
      portions: 10,
      potId: 'saucepan-4',
      burnerId: 'induction',
      ...change,
    });
  let first: BatchView;
  it('not out of an empty larder, nor a dish that no book has', async () => {
    const none = await ask('POST', '/batches', back());
    expect(none.status).toBe(422);
    expect(none.json.detail).toMatch(/Celeriac velouté: .* are wanted, none in the larder/);
    for (const door of ['/batches', '/orders']) {
      const refused = await ask('POST', door, back({ recipeId: 'reheat:nothing' }));
      expect([refused.status, refused.json.errors[0].code]).toEqual([422, 'unknownRecipe']);
    }
  });
  it('out of its lot: what it holds, its date and its top come along, and a recall finds every bowl', async () => {
    first = (
      await ask(
        'POST',
        '/batches',
        order({ recipeId: 'celeriac-veloute', portions: 30, overrideReason: 'test' }),
      )
    ).json;
    const lines = first.snapshot.plan.lines.filter((line) => !line.perBowl && !line.comesOut);
    await put(
      first,
      lines.map(({ ingredientId, edibleKg, tempC, lineId }) => ({
        ingredientId,
        kg: edibleKg,
        tempC,
        lineId,
      })),
    );
    const lotId = uuid();
    const storeIt = await ask(
      'POST',
      `/batches/${first.id}/events`,
      said('stored', { lotId, litres: 5, place: 'walk-in', storage: 'chilled' }),
    );
    expect(storeIt.status).toBe(201);
    const answer = await ask('POST', '/batches', back({ potId: 'stockpot-40', burnerId: 'gas-2' }));
    expect(answer.status).toBe(201);
    const { snapshot, id }: BatchView = answer.json;
    expect(snapshot.input.recipe).toMatchObject({ name: 'Celeriac velouté, reheated' });
    expect(snapshot.input.recipe.stages[0]).toMatchObject({ topTempC: 82, ends: { tempC: 74 } });
    expect(snapshot.draws).toMatchObject([{ lineId: 'dish', lotId }]);
    const dish = snapshot.plan.lines.find((line) => line.lineId === 'dish')!;
    await ask(
      'POST',
      `/batches/${id}/events`,
      said('added', {
        items: [{ ingredientId: dish.ingredientId, kg: dish.edibleKg, tempC: 5, lineId: 'dish', lotId }],
      }),
    );
    await ask('POST', `/batches/${id}/events`, said('portioned', { portions: 9, fate: 'served' }));
    const detail: LotDetail = (await ask('GET', `/lots/${lotId}`)).json;
    expect(detail.bowls).toBe(9);
    expect(detail.lot.contents.allergens).toEqual(expect.arrayContaining(['eggs', 'milk', 'celery']));
  });
});
