import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView } from '../../contract';
import { allButSalt } from '../../demo/filled-pot';
import { seed } from '../../demo/seed';
import { chowderOrder, said, sentences } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

/** Held hot over the wire: what may be said of it, by whom, and that its burner is free. */
const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let kitchen: KitchenView;
let batch: BatchView;

const say = (type: string, payload: object, more: object = {}) =>
  ask('POST', `/batches/${batch.id}/events`, said(type, payload, more));
const wrong = (answer: { json: Parameters<typeof sentences>[0] }) => sentences(answer.json);
const PANS = { in: 'pans', pans: 2, keptC: 70, lid: 'on' };

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
  batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const { payload } = allButSalt(batch.snapshot.plan) as { payload: { items: object[] } };
  await say('added', { items: payload.items.map((item) => ({ ...item, tempC: 80 })) });
});
afterAll(() => kitchenServer.remove());

describe('held hot', () => {
  it('only what is served; warm enough, and in what holds it', async () => {
    const early = await say('heldHot', PANS);
    expect([early.status, wrong(early)]).toEqual([422, expect.stringMatching(/begin serving first/)]);
    const serve = batch.snapshot.input.recipe.stages.at(-1)!.id;
    expect((await say('stageBegun', { stageId: serve, overrideReason: 'as a test' })).status).toBe(201);
    for (const [payload, why] of [
      [{ ...PANS, keptC: 50 }, /50 °C is too cold to hold at: keep it at 57 °C or more/],
      [{ in: 'thermos', litres: 1, keptC: null, lid: 'on' }, /does not go into the thermos: it brims at/],
      [{ ...PANS, pans: 0 }, /Pans/],
      [{ ...PANS, in: 'bucket' }, /in its pot, in pans or in a thermos/],
    ] as const) {
      const refused = await say('heldHot', payload);
      expect(refused.status, JSON.stringify(payload)).toBeGreaterThanOrEqual(400);
      expect(wrong(refused)).toMatch(why);
    }
    const held = await say('heldHot', PANS);
    expect(held.status).toBe(201);
    // the measures are the kitchen’s, not the tablet’s
    expect(held.json.payload.holder.pot.name).toBe('bain-marie');
    const open: BatchView[] = (await ask('GET', '/batches/open')).json;
    expect(open.find((one) => one.id === batch.id)).toMatchObject({ potId: 'pans', burnerId: 'pans' });
  });

  it('its burner and pot are free for another; and both may be held in the bain-marie', async () => {
    const again = await ask('POST', '/batches', chowderOrder(kitchen, 0));
    expect(again.status, JSON.stringify(again.json).slice(0, 300)).toBe(201);
    const other: BatchView = again.json;
    const sayOther = (type: string, payload: object) =>
      ask('POST', `/batches/${other.id}/events`, said(type, payload));
    const { payload } = allButSalt(other.snapshot.plan) as { payload: { items: object[] } };
    await sayOther('added', payload);
    const serve = other.snapshot.input.recipe.stages.at(-1)!.id;
    await sayOther('stageBegun', { stageId: serve, overrideReason: 'as a test' });
    expect((await sayOther('heldHot', PANS)).status).toBe(201);
  });

  it('is signed by somebody who works here, hot enough; anybody may taste', async () => {
    const reheated = (tempC: number, by: string) => say('reheated', { tempC, by });
    expect(wrong(await reheated(70, 'Isla'))).toMatch(/70 °C is not enough/);
    expect(wrong(await reheated(76, 'Nobody'))).toMatch(/“Nobody” does not work here/);
    expect((await reheated(76, 'Isla')).status).toBe(201);
    const read = { kind: 'temperature', value: 64, by: 'Nobody', thermometerId: 'thin-probe' };
    expect(wrong(await say('reading', read))).toMatch(/does not work here/);
    expect((await say('reading', { ...read, by: 'Isla' })).status).toBe(201);
    expect((await say('tasted', { says: { salt: 'right' }, by: 'a guest' })).status).toBe(201);
  });
});
