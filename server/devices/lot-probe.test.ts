import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { DeviceView, KitchenView } from '../../contract';
import type { LotView } from '../../core/views';
import { seed } from '../../demo/seed';
import { chowderOrder, saidOfShelf, sentences } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';

/** A probe in a pan of what is cooled: it reads into the larder's log, and goes when it is cold. */
const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let lot: LotView;

const HOW = {
  pans: 2,
  areaM2: 0.17225,
  depthCm: 4,
  air: 'fan',
  airC: 3,
  placeId: 'walk-in',
  place: 'Walk-in',
};
const shelf = (type: string, payload: object, more: object = {}) =>
  ask('POST', '/larder/events', saidOfShelf(type, { lotId: lot.id, ...payload }, more));
const readings = async () =>
  ((await ask('GET', `/lots/${lot.id}`)).json.lot as LotView).cooling?.readings ?? [];
const device = async (id: string): Promise<DeviceView | undefined> =>
  (await ask('GET', '/devices')).json.find((one: DeviceView) => one.id === id);
const register = (of: object) =>
  ask('POST', '/devices', { id: 'p', kind: 'probe', name: 'long probe', ...of });
async function show(values: readonly number[]) {
  const lines = values.map((value, i) =>
    JSON.stringify({ kind: 'temperature', value, ageMs: 5 * (values.length - i) }),
  );
  await fetch(`${kitchenServer.address()}/api/devices/p/samples`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body: lines.join('\n'),
  });
}
const about = (tempC: number) => [0.1, -0.1, 0, 0.1, 0, -0.1, 0].map((off) => tempC + off);

beforeAll(async () => {
  await kitchenServer.start();
  const lots: LotView[] = (await ask('GET', '/lots')).json;
  lot = lots.find((one) => one.contents.share === 'liquid' && one.storage === 'chilled' && one.leftKg > 2)!;
});
afterAll(kitchenServer.remove);

describe('a probe in a lot', () => {
  it('stands in what is being cooled, at one place, and is no scale', async () => {
    expect(sentences((await register({ lotId: lot.id })).json)).toMatch(/not being cooled/);
    expect((await register({ lotId: 'none' })).status).toBe(404);
    expect(sentences((await register({})).json)).toMatch(/Say where it stands/);
    const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
    const batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
    expect((await register({ lotId: lot.id, batchId: batch.id })).status).toBe(400);
    expect((await shelf('coolingSet', { how: HOW, fromC: 80 })).status).toBe(201);
    expect(sentences((await register({ lotId: lot.id, kind: 'scale' })).json)).toMatch(/by a probe/);
    expect((await register({ lotId: lot.id })).json).toMatchObject({ lotId: lot.id, batchId: null });
  });

  it('reads into the larder’s log by itself; what is far from the forecast is said of the device and kept out', async () => {
    await new Promise((resolve) => setTimeout(resolve, 60));
    await show(about(79.6));
    expect(await device('p')).toMatchObject({ status: 'sending', detail: null, kept: 7 });
    expect((await readings()).map((one) => one.tempC)).toEqual([79.6]);
    expect(await device('p')).toMatchObject({ status: 'sending' });
    await show([...about(31), ...about(31), ...about(31)]);
    expect((await readings()).length).toBe(1);
    expect(await device('p')).toMatchObject({
      status: 'rubbish',
      detail: expect.stringMatching(/31 °C is far from/),
    });
    const record = (await ask('GET', `/record/lots/${lot.id}`)).json;
    expect(record.lines.find((line: { tempC: number }) => line.tempC === 79.6)).toMatchObject({
      kind: 'cooled',
      by: 'long probe',
    });
  });

  it('a simulated one follows air of its own; cold by a thermometer, both are gone', async () => {
    const asked = { kind: 'probe', lotId: lot.id, fault: 'none' };
    const simulated: DeviceView = (await ask('POST', '/simulated-devices', asked)).json;
    expect(simulated).toMatchObject({ lotId: lot.id, batchId: null });
    await expect
      .poll(async () => (await readings()).length, { timeout: 40_000, interval: 500 })
      .toBeGreaterThan(1);
    expect(Math.abs((await readings()).at(-1)!.tempC - 80)).toBeLessThan(3);
    expect((await shelf('lotRead', { kind: 'temperature', value: 4, sure: true })).status).toBe(201);
    await show(about(4));
    await expect.poll(async () => (await ask('GET', '/devices')).json, { timeout: 10_000 }).toEqual([]);
  });
});
