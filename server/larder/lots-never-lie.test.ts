import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, LotDetail, LotLabel } from '../../contract';
import { foldBatch } from '../../core/batch';
import { saltPercent } from '../../core/matter';
import type { LotView } from '../../core/views';
import { seed } from '../../demo/seed';
import { chowderOrder, lotsOf, said, saidOfShelf } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let kitchen: KitchenView;
const tell = (type: string, payload: object) => ask('POST', '/larder/events', saidOfShelf(type, payload));
const lotWith = async (id: string): Promise<LotView> => (await ask('GET', `/lots/${id}`)).json.lot;
const found = async (ingredientId: string, kg: number, more: object = {}) => {
  const lotId = uuid();
  const madeAtMs = kitchen.clock.kitchenFromMs - 3_600_000;
  const answer = await tell('found', {
    lotId,
    ingredientId,
    kg,
    madeAtMs,
    place: 'walk-in',
    storage: 'chilled',
    note: 'counted',
    ...more,
  });
  expect(answer.status, answer.json.detail).toBe(201);
  return lotId;
};

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
});
afterAll(kitchenServer.remove);

describe('another lot than planned', () => {
  let blendId: string;
  let batch: BatchView;
  it('a blend with fumet is offered for a stock and not drawn by itself: the soup is short of it', async () => {
    const stockId = await found('vegetable-stock', 8);
    const fumetId = await found('fish-fumet', 3);
    blendId = uuid();
    const parts = [
      { lotId: stockId, kg: 8 },
      { lotId: fumetId, kg: 3 },
    ];
    expect(
      (
        await tell('blended', {
          toLotId: blendId,
          name: 'House stock',
          parts,
          waterKg: 0,
          place: 'walk-in',
          storage: 'chilled',
        })
      ).status,
    ).toBe(201);
    const blend = await lotWith(blendId);
    expect(blend.contents.satisfies).toContain('vegetable-stock');
    expect(blend.contents.allergens).toContain('fish');
    const order = chowderOrder(kitchen, 1, { recipeId: 'pepper-lentil-puree', portions: 12, band: 4 });
    const refused = await ask('POST', '/batches', order);
    expect(refused.json.detail).toMatch(/none in the larder/);
    batch = (await ask('POST', '/batches', { ...order, overrideReason: 'as a test' })).json;
    expect(batch.snapshot.draws!.filter((draw) => draw.lotId === blendId)).toEqual([]);
    expect(batch.snapshot.holds!.allergens).not.toContain('fish');
  });
  it('taken all the same, the entry says what it held, the pot holds it, and so does what is stored of it', async () => {
    const line = batch.snapshot.plan.lines.find((one) => one.ingredientId === 'vegetable-stock')!;
    const entry = said('added', {
      items: [{ ingredientId: 'vegetable-stock', kg: 3, tempC: 5, lineId: line.lineId, lotId: blendId }],
    });
    const before = await lotWith(blendId);
    expect((await ask('POST', `/batches/${batch.id}/events`, entry)).status).toBe(201);
    // said again it is the same entry, although the lot is another since
    expect((await ask('POST', `/batches/${batch.id}/events`, entry)).status).toBe(200);
    const { events, snapshot }: BatchView = (await ask('GET', `/batches/${batch.id}`)).json;
    const state = foldBatch(snapshot, events, kitchen.clock.kitchenFromMs + 60_000);
    expect(saltPercent(state.pot.mixture, 'all')).toBeCloseTo(before.saltPercent, 9);
    expect(state.costCents).toBeCloseTo(3 * before.centsPerKg, 6);
    const lotId = uuid();
    await ask(
      'POST',
      `/batches/${batch.id}/events`,
      said('stored', { lotId, litres: 1, place: 'walk-in', storage: 'chilled' }),
    );
    const stored = await lotWith(lotId);
    expect(stored.contents.allergens).toContain('fish');
    expect(stored.contents.diet).toBe('fish');
    const labels: LotLabel[] = (await ask('GET', `/batches/${batch.id}/lots`)).json;
    expect(labels.find((one) => one.id === blendId)!.allergens).toContain('fish');
  });
  it('what a cook said has no word of what a lot held: a client cannot make it hold nothing', async () => {
    const item = {
      ingredientId: 'vegetable-stock',
      kg: 0.1,
      tempC: 5,
      lotId: blendId,
      drawn: { contents: {}, centsPerKg: 0 },
    };
    const refused = await ask('POST', `/batches/${batch.id}/events`, said('added', { items: [item] }));
    expect([400, 422]).toContain(refused.status);
  });
  it('fish out of another pot, in a soup that has none of it among its foods, is in it', async () => {
    const slip = said('slip', { kind: 'wrongPot', ingredientId: 'white-fish', kg: 0.3, tempC: 20 });
    expect((await ask('POST', `/batches/${batch.id}/events`, slip)).status).toBe(201);
    const { events }: BatchView = (await ask('GET', `/batches/${batch.id}`)).json;
    const last = events.at(-1)!;
    expect(last.type === 'slip' && 'row' in last.payload && last.payload.row!.allergens).toEqual(['fish']);
  });
  it('too much of a base leaves its lot', async () => {
    const before = await lotWith(blendId);
    const slip = said('slip', {
      kind: 'tooMuch',
      ingredientId: 'vegetable-stock',
      kg: 2,
      tempC: 5,
      lotId: blendId,
    });
    expect((await ask('POST', `/batches/${batch.id}/events`, slip)).status).toBe(201);
    expect((await lotWith(blendId)).leftKg).toBeCloseTo(before.leftKg - 2, 9);
    await ask('POST', `/batches/${batch.id}/events`, said('undone', { eventId: slip.id }));
    expect((await lotWith(blendId)).leftKg).toBeCloseTo(before.leftKg, 9);
  });
});

describe('an undo under what stands on it', () => {
  it('a parting whose child was drawn stays; the parent’s recall still reaches the bowl, and no kilogram appears', async () => {
    const lotId = await found('vegetable-stock', 9);
    const toLotId = uuid();
    const parting = saidOfShelf('split', { lotId, toLotId, kg: 5, place: 'shelf 2', storage: 'chilled' });
    await ask('POST', '/larder/events', parting);
    const open: BatchView[] = (await ask('GET', '/batches/open')).json;
    const soup = open.find((one) => one.snapshot.input.recipe.id === 'pepper-lentil-puree')!;
    await ask(
      'POST',
      `/batches/${soup.id}/events`,
      said('added', { items: [{ ingredientId: 'vegetable-stock', kg: 1, tempC: 5, lotId: toLotId }] }),
    );
    const undo = await tell('undone', { eventId: parting.id });
    expect(undo.status).toBe(422);
    expect(undo.json.detail).toMatch(
      /1.00 kg into Red pepper and lentil purée. Undo that first, or count the lot/,
    );
    expect((await lotWith(lotId)).leftKg).toBeCloseTo(4, 9);
    const detail: LotDetail = (await ask('GET', `/lots/${lotId}`)).json;
    expect(detail.into.map((step) => step.id).slice(0, 2)).toEqual([toLotId, soup.id]);
  });
  it.each([
    ['discarded', { kg: 1, reason: 'spilt' }],
    ['counted', { kg: 2, note: 'less' }],
  ])('nor one whose child was %s', async (type, payload) => {
    const lotId = await found('vegetable-stock', 9);
    const toLotId = uuid();
    const parting = saidOfShelf('split', { lotId, toLotId, kg: 5, place: 'shelf 2', storage: 'chilled' });
    await ask('POST', '/larder/events', parting);
    expect((await tell(type, { lotId: toLotId, ...payload })).status).toBe(201);
    expect((await tell('undone', { eventId: parting.id })).status).toBe(422);
  });
  it('one whose child only lay there is undone', async () => {
    const lotId = await found('vegetable-stock', 9);
    const toLotId = uuid();
    const parting = saidOfShelf('split', { lotId, toLotId, kg: 5, place: 'shelf 2', storage: 'chilled' });
    await ask('POST', '/larder/events', parting);
    await tell('moved', { lotId: toLotId, place: 'shelf 4' });
    expect((await tell('undone', { eventId: parting.id })).status).toBe(201);
    expect((await lotWith(lotId)).leftKg).toBeCloseTo(9, 9);
    expect((await lotsOf(ask)).some((lot) => lot.id === toLotId)).toBe(false);
  });
});

describe('an entry that cannot be so any more', () => {
  it.each([
    ['parted', 'split', { kg: 2, toLotId: uuid(), place: 'shelf 2', storage: 'chilled' }],
    ['thrown away', 'discarded', { kg: 2, reason: 'spilt' }],
  ])('nothing is %s of a lot before it was there', async (_word, type, payload) => {
    const lotId = await found('vegetable-stock', 9);
    const refused = await ask(
      'POST',
      '/larder/events',
      saidOfShelf(type, { lotId, ...payload }, { ageMs: 600_000 }),
    );
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/Vegetable stock.* came into the larder .* Say it with a later time/);
    expect((await lotWith(lotId)).leftKg).toBeCloseTo(9, 9);
  });
  it('nor does it go into a pot before', async () => {
    const lotId = await found('vegetable-stock', 9);
    const open: BatchView[] = (await ask('GET', '/batches/open')).json;
    const soup = open.find((one) => one.snapshot.input.recipe.id === 'pepper-lentil-puree')!;
    const items = [{ ingredientId: 'vegetable-stock', kg: 1, tempC: 5, lotId }];
    const entry = { ...said('added', { items }), ageMs: 1000 };
    const refused = await ask('POST', `/batches/${soup.id}/events`, entry);
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/came into the larder/);
  });
  it('what was thrown away, undone and used since is not thrown away again', async () => {
    const lotId = await found('vegetable-stock', 9);
    const away = saidOfShelf('discarded', { lotId, kg: 5, reason: 'spilt' });
    await ask('POST', '/larder/events', away);
    const back = saidOfShelf('undone', { eventId: away.id });
    await ask('POST', '/larder/events', back);
    expect((await tell('discarded', { lotId, kg: 6, reason: 'sour' })).status).toBe(201);
    const refused = await tell('undone', { eventId: back.id });
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/has 3.00 kg left, not 5.00 kg/);
    expect((await lotWith(lotId)).leftKg).toBeCloseTo(3, 9);
  });
});

describe('slips at the shelf', () => {
  it('a reading far from what was expected is asked about, and kept when it is confirmed', async () => {
    const lotId = await found('chicken-stock', 5);
    const { brix } = await lotWith(lotId);
    const wrong = { lotId, kind: 'brix', value: Math.round(10 * brix + 20) };
    const refused = await tell('lotRead', wrong);
    expect(refused.status).toBe(422);
    expect(refused.json.detail).toMatch(/far from the .* expected. Read it again; if it is right, keep it/);
    expect((await lotWith(lotId)).isBrixRead).toBe(false);
    expect((await tell('lotRead', { ...wrong, sure: true })).status).toBe(201);
    expect((await lotWith(lotId)).brix).toBeCloseTo(wrong.value, 6);
  });
  it('salt that would be more than all that is dissolved is asked about', async () => {
    const lotId = await found('chicken-stock', 5);
    expect((await tell('lotRead', { lotId, kind: 'salt', value: 9 })).status).toBe(422);
  });
  it('lifting fat keeps the salt, and no more fat comes off than is in it', async () => {
    const lotId = await found('chicken-stock', 10);
    await tell('lotRead', { lotId, kind: 'salt', value: 0.4 });
    const before = await lotWith(lotId);
    const fatKg = before.contents.perKg.fat * before.leftKg;
    expect((await tell('fatLifted', { lotId, kg: Math.min(9, 20 * fatKg + 1) })).json.detail).toMatch(
      /of fat cannot come off/,
    );
    expect((await tell('fatLifted', { lotId, kg: fatKg })).status).toBe(201);
    const after = await lotWith(lotId);
    expect((after.saltPercent * after.leftKg) / (before.saltPercent * before.leftKg)).toBeCloseTo(1, 9);
  });
  it('50 g of 40 is refused', async () => {
    const lotId = await found('chicken-stock', 0.04);
    expect((await tell('discarded', { lotId, kg: 0.05, reason: 'x' })).status).toBe(422);
    expect((await tell('discarded', { lotId, kg: 0.04, reason: 'x' })).status).toBe(201);
  });
});

it('a draw does not come back out of a lot whose making was undone meanwhile', async () => {
  const order = chowderOrder(kitchen, 3, { potId: 'stockpot-40', burnerId: 'gas-2', overrideReason: 'x' });
  const batch: BatchView = (await ask('POST', '/batches', order)).json;
  const inPot = async (type: string, payload: object) => {
    const event = said(type, payload);
    const answer = await ask('POST', `/batches/${batch.id}/events`, event);
    return { id: event.id, status: answer.status, json: answer.json };
  };
  const lotId = uuid();
  const madeAtMs = kitchen.clock.kitchenFromMs - 3_600_000;
  const making = saidOfShelf('found', {
    lotId,
    ingredientId: 'vegetable-stock',
    kg: 4,
    madeAtMs,
    place: 'x',
    storage: 'chilled',
    note: 'x',
  });
  expect((await ask('POST', '/larder/events', making)).status).toBe(201);
  const items = [{ ingredientId: 'vegetable-stock', kg: 1, tempC: 5, lotId }];
  const draw = await inPot('added', { items });
  const back = await inPot('undone', { eventId: draw.id });
  expect((await tell('undone', { eventId: making.id })).status).toBe(201);
  const again = await inPot('undone', { eventId: back.id });
  expect(again.status).toBe(422);
  const strays = (await ask('GET', '/larder/strays')).json as { eventId: string }[];
  expect(strays.map((one) => one.eventId)).not.toContain(draw.id);
});
