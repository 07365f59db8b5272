import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, GuestOrderOpen, KitchenView } from '../../contract';
import type { PortionKind } from '../../core/portions';
import { seed } from '../../demo/seed';
import { chowderOrder, said } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const server = testKitchen(seed);
const { ask } = server;
let kitchen: KitchenView;
beforeAll(async () => {
  await server.start();
  kitchen = (await ask('GET', '/kitchen')).json;
});
afterAll(server.remove);

const KINDS: PortionKind[] = [
  { id: 'bowl', word: 'bowl', ml: 250, count: 40 },
  { id: 'k1', word: 'cup', ml: 150, count: 10 },
  { id: 'k2', word: 'bowl', ml: 250, count: 3, freeOf: ['celery'] },
];

async function started(change: object = {}): Promise<BatchView> {
  const order = chowderOrder(kitchen, 1, {
    overrideReason: 'as a test',
    portions: 1,
    kinds: KINDS,
    ...change,
  });
  const answer = await ask('POST', '/batches', order);
  expect(answer.status, answer.text).toBe(201);
  return answer.json;
}
const say = (batchId: string, type: string, payload: object) =>
  ask('POST', `/batches/${batchId}/events`, said(type, payload));

describe('orders through the local door', () => {
  let batch: BatchView;
  const order = (change: object = {}) => ({
    id: uuid(),
    dish: 'Smoked trout and sweetcorn chowder',
    items: [
      { portion: 'bowl', count: 2 },
      { portion: 'cup', ml: 150, count: 1 },
    ],
    words: 'Table 4',
    ...change,
  });
  beforeAll(async () => {
    batch = await started();
    const items = batch.snapshot.plan.lines
      .filter((line) => !line.perBowl)
      .map(({ ingredientId, lineId, edibleKg: kg }) => ({ ingredientId, lineId, kg, tempC: 60 }));
    expect((await say(batch.id, 'added', { items })).status).toBe(201);
  });
  afterAll(async () => {
    await say(batch.id, 'closed', { leftLitres: 0 });
  });
  it('go to the pot of their dish, once, and wait there until they are served', async () => {
    const first = order();
    const taken = await ask('POST', '/pass/orders', first);
    expect(taken.status, taken.text).toBe(201);
    expect(taken.json).toMatchObject({ orderId: first.id, batchId: batch.id, holds: [] });
    expect((await ask('POST', '/pass/orders', first)).status).toBe(200);
    expect((await ask('POST', '/pass/orders', { ...first, words: 'Table 5' })).status).toBe(409);
    const waits: GuestOrderOpen[] = (await ask('GET', '/pass/orders')).json;
    expect(waits).toMatchObject([
      {
        orderId: first.id,
        words: 'Table 4',
        items: [
          { portion: 'bowl', count: 2 },
          { portion: 'cup', ml: 150, count: 1 },
        ],
      },
    ]);
    const serve = (kindId: string, portions: number) =>
      say(batch.id, 'portioned', {
        kindId,
        portions,
        fate: 'served',
        orderId: first.id,
        overrideReason: 'bay',
      });
    await serve('bowl', 2);
    await serve('k1', 1);
    expect((await ask('GET', '/pass/orders')).json).toEqual([]);
  });
  it('of a guest who may not eat it: taken in, said at once, and served by nobody', async () => {
    const guest = order({ freeOf: ['celery', 'sesame'] });
    expect((await ask('POST', '/pass/orders', guest)).json.holds).toEqual(['celery']);
    const serve = (more: object) =>
      say(batch.id, 'portioned', { portions: 1, fate: 'served', overrideReason: 'they insist', ...more });
    expect((await serve({ orderId: guest.id })).json.detail).toMatch(
      /Not for this guest: celery in it \(.*celery/,
    );
    expect((await serve({ kindId: 'k2' })).json.detail).toMatch(/Not for this guest: celery/);
    expect((await serve({ orderId: uuid() })).json.detail).toMatch(/no such order/);
    // the guest changes it: that is another order of the same
    const items = [{ kindId: 'bowl', count: 1 }];
    expect((await say(batch.id, 'askedAnew', { orderId: guest.id, items, freeOf: ['sesame'] })).status).toBe(
      201,
    );
    expect((await serve({ orderId: guest.id })).status).toBe(201);
  });
  it('what a part drawn off serves of them is served, also when that is closed', async () => {
    const guest = order({ items: [{ portion: 'bowl', count: 1 }], words: 'Seat 9' });
    await ask('POST', '/pass/orders', guest);
    const id = uuid();
    const place = { potId: 'saucepan-4', burnerId: 'gas-3' };
    const part = { id, eventId: uuid(), litres: 0.6, name: 'A part', kinds: [], leaveOut: [], ...place };
    expect((await ask('POST', `/batches/${batch.id}/parts`, part)).status).toBe(201);
    // what the pot drew stands on the part's own page too
    const lotsOf = async (of: string) => (await ask('GET', `/batches/${of}/lots`)).json;
    expect(await lotsOf(id)).toEqual(await lotsOf(batch.id));
    expect((await say(id, 'portioned', { portions: 1, fate: 'served', orderId: guest.id })).status).toBe(201);
    expect((await ask('GET', '/pass/orders')).json).toEqual([]);
    await say(id, 'closed', { leftLitres: 0 });
    expect((await ask('GET', '/pass/orders')).json).toEqual([]);
  });
  it.each([
    [{ dish: 'Pea soup' }, /No pot of “Pea soup” is on/],
    [{ items: [{ portion: 'tub', count: 1 }] }, /has no tub/],
    [{ items: [{ portion: 'cup', ml: 400, count: 1 }] }, /has no cup of 400 mL/],
    [{ items: [] }, /Nothing is asked for/],
    [{ items: [{ portion: 'bowl', count: 0 }] }, /How many must be from 1/],
    [{ freeOf: ['gluten'] }, /allergen is not known/],
    [{ words: 'x'.repeat(61) }, /at most 60/],
    [{ id: 'constructor' }, /id/],
  ])('%j is refused, and changes nothing', async (change, message) => {
    const before = (await ask('GET', '/pass/orders')).json;
    const answer = await ask('POST', '/pass/orders', order(change));
    expect([400, 422]).toContain(answer.status);
    expect(JSON.stringify(answer.json)).toMatch(message);
    expect((await ask('GET', '/pass/orders')).json).toEqual(before);
  });
  it('out of a file: read with each line’s words, nothing taken in by that; a wrong line is named', async () => {
    const read = (text: string) => ask('POST', `/batches/${batch.id}/read-orders`, { text });
    const file = 'count,portion,without,for\n2,,,Table 4\n1,cup,"milk; tree nuts",Seat 3\n';
    expect((await read(file)).json.orders).toEqual([
      { items: [{ kindId: 'bowl', count: 2 }], words: 'Table 4' },
      { items: [{ kindId: 'k1', count: 1 }], freeOf: ['milk', 'nuts'], words: 'Seat 3' },
    ]);
    for (const [text, message] of [
      ['portion\nbowl', /must name the column count/],
      ['count\nlots', /Line 2: count must be a whole number.*“lots”/],
      ['count,portion\n1,mug', /Line 2: portion is bowl, cup.*“mug”/],
      ['count,without\n1,shellfish', /Line 2: “shellfish” is none of the allergens/],
      ['count,ml\n1,900', /Line 2: this order has no bowl of 900 mL/],
    ] as const)
      expect(JSON.stringify((await read(text)).json)).toMatch(message);
  });
  it('the simulated till speaks through the same door', async () => {
    const toggle = async () => (await ask('POST', '/simulated-till', { batchId: batch.id })).json.isRunning;
    expect(await toggle()).toBe(true);
    expect((await ask('GET', `/simulated-till/${batch.id}`)).json).toEqual({ isRunning: true });
    expect(await toggle()).toBe(false);
  });
});

describe('ladles', () => {
  it('what was measured at the close shows what they give, of all and of who ladled; unmeasured nothing', async () => {
    const ladles = async () =>
      (await ask('GET', '/kitchen/learned')).json.shares.filter(
        (one: { key: object }) => 'ladleOf' in one.key,
      );
    const seenOf = async (ladleOf: string) =>
      (await ladles()).find((one: { key: { ladleOf: string } }) => one.key.ladleOf === ladleOf)?.segments ??
      0;
    const before = await seenOf('');
    for (const closing of [{ leftLitres: 1.2 }, { leftLitres: 1.2, isMeasured: true, servedBy: 'tam' }]) {
      const batch = await started({ kinds: undefined, portions: 20 });
      await say(batch.id, 'added', { items: [{ ingredientId: 'water', kg: 6, tempC: 80 }] });
      await say(batch.id, 'portioned', { portions: 20, fate: 'served' });
      expect((await say(batch.id, 'closed', closing)).status).toBe(201);
    }
    expect(await seenOf('')).toBe(before + 1);
    expect(await seenOf('tam')).toBe(1);
    const [tam] = (await ladles()).filter((one: { key: { ladleOf: string } }) => one.key.ladleOf === 'tam');
    // 6.2 L hot less 1.2 L over twenty of a quarter litre: about what was meant
    expect(Math.abs(tam.share.mean)).toBeLessThan(0.05);
  });
});

describe('services are learned from', () => {
  it('what was served and turned away teaches the next of its hour; open again, it teaches nothing', async () => {
    const first = await started({ kinds: undefined, portions: 20 });
    expect(first.snapshot.service).toMatchObject({ serviceId: 'midday', lastsMin: 50, arrival: 'peaked' });
    const seenBefore = first.snapshot.service!.seen.shares.length;
    await say(first.id, 'added', { items: [{ ingredientId: 'water', kg: 6, tempC: 80 }] });
    await say(first.id, 'portioned', { portions: 18, fate: 'served' });
    await say(first.id, 'turnedAway', { portions: 7 });
    const closing = said('closed', { leftLitres: 0 });
    expect((await ask('POST', `/batches/${first.id}/events`, closing)).status).toBe(201);
    const view: BatchView = (await ask('GET', `/batches/${first.id}`)).json;
    expect(view.result!.asked).toMatchObject({ planned: 20, total: 25, serviceId: 'midday' });
    const second = await started({ kinds: undefined, portions: 20 });
    expect(second.snapshot.service!.seen.shares.length).toBe(seenBefore + 1);
    expect(second.snapshot.service!.seen.shares).toContain(1.25);
    await say(second.id, 'closed', { leftLitres: 0 });
    await say(first.id, 'undone', { eventId: closing.id });
    const third = await started({ kinds: undefined, portions: 20, potId: 'stockpot-40', burnerId: 'gas-2' });
    expect(third.snapshot.service!.seen.shares.length).toBe(seenBefore);
  });
});
