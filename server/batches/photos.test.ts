import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type KitchenView, PHOTO_MOST_BYTES, PHOTOS_MOST, type PhotosView } from '../../contract';
import { seed } from '../../demo/seed';
import { chowderOrder } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let batchId: string;
let otherId: string;

beforeAll(async () => {
  await kitchenServer.start();
  const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
  const begun = async (change: object) =>
    (
      await ask('POST', '/batches', {
        ...chowderOrder(kitchen, 1),
        overrideReason: 'for the test',
        ...change,
      })
    ).json.id;
  batchId = await begun({});
  otherId = await begun({ potId: 'stockpot-40', burnerId: 'gas-2', portions: 60 });
});
afterAll(kitchenServer.remove);

/** As long as is asked for, and told apart by its middle. */
const picture = (bytes = 900, middle = 7): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8, 0xff]),
    Buffer.alloc(bytes - 5, middle),
    Buffer.from([0xff, 0xd9]),
  ]);
const send = async (jpeg: Buffer, of: { batch?: string; id?: string; type?: string } = {}) => {
  const { batch = batchId, id = randomUUID(), type = 'image/jpeg' } = of;
  const answer = await fetch(`${kitchenServer.address()}/api/batches/${batch}/photos/${id}`, {
    method: 'POST',
    headers: { 'Content-Type': type },
    body: new Uint8Array(jpeg),
  });
  return { status: answer.status, json: await answer.json(), id };
};
const shown = async (batch = batchId): Promise<PhotosView> =>
  (await ask('GET', `/batches/${batch}/photos`)).json;

describe('pictures of a pot', () => {
  it('are kept with their batch, given back as they came, and shown beside the next of the dish', async () => {
    const jpeg = picture(2000, 3);
    const { id, status } = await send(jpeg, { batch: otherId });
    expect(status).toBe(201);
    const back = await fetch(`${kitchenServer.address()}/api/photos/${id}`);
    expect(back.headers.get('Content-Type')).toBe('image/jpeg');
    expect(Buffer.from(await back.arrayBuffer()).equals(jpeg)).toBe(true);
    expect((await shown()).before).toMatchObject({ id, batchId: otherId });
    expect((await shown(otherId)).before).toBeNull();
    expect((await shown(otherId)).photos.map((one) => one.id)).toEqual([id]);
  });
  it('sent again, one is kept; another under its id is refused', async () => {
    const jpeg = picture();
    const { id } = await send(jpeg);
    expect((await send(jpeg, { id })).status).toBe(200);
    expect((await send(picture(900, 8), { id })).status).toBe(409);
    expect((await send(jpeg, { id, batch: otherId })).status).toBe(409);
    expect((await shown()).photos).toHaveLength(1);
  });
  it.each<[string, () => ReturnType<typeof send>, number, RegExp]>([
    ['what is no picture', () => send(Buffer.from('<svg/>')), 422, /as a JPEG/],
    ['a picture called something else', () => send(picture(), { type: 'text/html' }), 422, /as a JPEG/],
    ['too large', () => send(picture(PHOTO_MOST_BYTES + 1)), 413, /large/i],
    ['no batch', () => send(picture(), { batch: 'nowhere' }), 404, /no batch “nowhere”/],
    ['no id', () => send(picture(), { id: 'x' }), 400, /has an id/],
  ])('%s is refused in a sentence and nothing is kept', async (_what, sent, status, sentence) => {
    const before = (await shown()).photos.length;
    const answer = await sent();
    expect(answer.status).toBe(status);
    expect(JSON.stringify(answer.json)).toMatch(sentence);
    expect((await shown()).photos).toHaveLength(before);
  });
  it('a batch keeps a dozen and no more; the largest there may be is one of them', async () => {
    expect((await send(picture(PHOTO_MOST_BYTES))).status).toBe(201);
    for (let n = (await shown()).photos.length; n < PHOTOS_MOST; n++)
      expect((await send(picture(900, n))).status).toBe(201);
    const over = await send(picture(901, 1));
    expect(over.status).toBe(422);
    expect(JSON.stringify(over.json)).toMatch(/12 pictures/);
    expect((await ask('GET', '/photos/none')).status).toBe(404);
  });
});
