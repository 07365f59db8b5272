import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchView, DeviceView, KitchenView } from '../../contract';
import { seed } from '../../demo/seed';
import { chowderOrder, said } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { readLines } from './device-routes';
import { linesOf } from './simulated/simulated-devices';

const kitchenServer = testKitchen(seed);
const { ask } = kitchenServer;
let batch: BatchView;
let kitchen: KitchenView;

const put = (type: string, payload: unknown) =>
  ask('POST', `/batches/${batch.id}/events`, said(type, payload));
const device = async (id: string): Promise<DeviceView> =>
  (await ask('GET', '/devices')).json.find((one: DeviceView) => one.id === id);
const readings = async () =>
  ((await ask('GET', `/batches/${batch.id}`)).json as BatchView).events.filter(
    (one) => one.type === 'reading',
  );
async function send(id: string, lines: readonly unknown[] | string) {
  const body = typeof lines === 'string' ? lines : lines.map((line) => JSON.stringify(line)).join('\n');
  const response = await fetch(`${kitchenServer.address()}/api/devices/${id}/samples`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/x-ndjson' },
    body,
  });
  const retryAfter = response.headers.get('Retry-After');
  return { status: response.status, retryAfter, json: await response.json() };
}
const register = (id: string, kind: 'probe' | 'scale') =>
  ask('POST', '/devices', { id, kind, name: id, batchId: batch.id });

beforeAll(async () => {
  await kitchenServer.start();
  kitchen = (await ask('GET', '/kitchen')).json;
  batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  await put('stageBegun', { stageId: batch.snapshot.input.recipe.stages[0]!.id });
  const [line] = batch.snapshot.plan.lines;
  await put('added', {
    items: [{ ingredientId: line!.ingredientId, kg: 2, tempC: 18, lineId: line!.lineId }],
  });
  await put('heatSet', { fraction: 0.3 });
});
afterAll(kitchenServer.remove);

describe('the local interface for probes and scales', () => {
  it('JSON lines come in, are kept, and make one reading of the pot', async () => {
    expect((await register('probe-1', 'probe')).status).toBe(201);
    const before = (await readings()).length;
    const near = Array.from({ length: 9 }, (_, i) => ({ kind: 'temperature', value: 24 + 0.1 * (i % 3) }));
    const answer = await send('probe-1', near);
    expect([answer.status, answer.json.kept]).toEqual([202, 9]);
    const after = await readings();
    expect(after.length).toBe(before + 1);
    expect(after.at(-1)).toMatchObject({ payload: { kind: 'temperature', value: 24.1 }, by: 'probe-1' });
    expect(await device('probe-1')).toMatchObject({ status: 'sending', kept: 9, detail: null });
  });
  it('a line that cannot be spoils only itself, and is named', async () => {
    const answer = await send(
      'probe-1',
      '{"kind":"temperature","value":24}\nÿþ\n{"kind":"temperature","value":9999}',
    );
    expect([answer.status, answer.json.kept, answer.json.leftOut]).toEqual([202, 1, 2]);
    expect(answer.json.bad.join(' ')).toMatch(
      /line 2 is no JSON.*line 3: A temperature must be from -40 to 140/,
    );
    expect(await device('probe-1')).toMatchObject({ status: 'rubbish' });
    expect((await send('probe-1', 'nothing but noise')).status).toBe(422);
  });
  it('a flood is asked to wait and loses nothing: what was sent is all kept or sent again, and the pot goes on', async () => {
    await register('scale-1', 'scale');
    const lines = Array.from({ length: 4000 }, (_, i) => ({ kind: 'weight', value: 2 + (i % 7) / 100 }));
    // a slow machine makes room again while it takes them: more are sent than it can ever keep up with
    let kept = 0;
    let later = await send('scale-1', lines);
    for (let sent = 1; later.status === 202 && sent < 40; sent++) {
      kept += later.json.kept;
      later = await send('scale-1', lines);
    }
    expect(later.status).toBe(429);
    expect(kept).toBeGreaterThanOrEqual(8000);
    expect(kept % 4000).toBe(0);
    expect(Number(later.retryAfter)).toBeGreaterThanOrEqual(1);
    expect(await device('scale-1')).toMatchObject({ status: 'flooding', kept });
    expect((await put('note', { text: 'still here' })).status).toBe(201);
    expect((await send('scale-1', '\n{}'.repeat(8001))).status).toBe(413);
  });
  it('the very same value all the time is no measuring: nothing is read off it', async () => {
    await register('probe-2', 'probe');
    const before = (await readings()).length;
    for (let i = 0; i < 8; i++)
      await send(
        'probe-2',
        Array.from({ length: 4 }, () => ({ kind: 'temperature', value: 61 })),
      );
    expect(await device('probe-2')).toMatchObject({ status: 'stuck' });
    // what came before it was found out is asked about, like any reading the pot cannot explain
    expect((await readings()).length - before).toBeLessThanOrEqual(1);
  });
  it('an empty pot is not read, and no line is drawn through what was shown before a load and after it', async () => {
    const other = (
      await ask(
        'POST',
        '/batches',
        chowderOrder(kitchen, 1, { potId: 'stockpot-40', burnerId: 'gas-2', overrideReason: 'test' }),
      )
    ).json;
    await ask('POST', '/devices', { id: 'probe-3', kind: 'probe', name: 'probe 3', batchId: other.id });
    const show = (values: number[], ageMs: number) =>
      send(
        'probe-3',
        values.map((value, i) => ({ kind: 'temperature', value, ageMs: ageMs + 1000 * (values.length - i) })),
      );
    const read = async () =>
      (await ask('GET', `/batches/${other.id}`)).json.events
        .filter((one: { type: string }) => one.type === 'reading')
        .map((one: { payload: object }) => one.payload);
    await show([24, 24.1, 24, 23.9, 24.1, 24, 24.1], 3000);
    expect(await read()).toEqual([]);
    const load = { items: [{ ingredientId: 'fish-fumet', kg: 6, tempC: 5 }] };
    expect((await ask('POST', `/batches/${other.id}/events`, said('added', load))).status).toBe(201);
    await new Promise((resolve) => setTimeout(resolve, 60));
    await send(
      'probe-3',
      [5.1, 5, 5.2].map((value) => ({ kind: 'temperature', value })),
    );
    expect(await read()).toEqual([]);
    await send(
      'probe-3',
      [5.1, 5, 5.2, 5.1].map((value) => ({ kind: 'temperature', value })),
    );
    expect(await read()).toEqual([{ kind: 'temperature', value: 5.1, from: 'device' }]);
  });
  it('what a device measures is told by its kind; an unknown one, a closed batch, too much at once are refused', async () => {
    expect((await send('probe-1', [{ kind: 'weight', value: 3 }])).json.kept).toBe(0);
    expect((await send('nobody', [{ kind: 'weight', value: 3 }])).status).toBe(404);
    expect(
      (await ask('POST', '/devices', { id: 'x', kind: 'ladle', name: 'x', batchId: batch.id })).status,
    ).toBe(400);
    expect(
      (await ask('POST', '/devices', { id: 'x', kind: 'probe', name: 'x', batchId: 'none' })).status,
    ).toBe(404);
    expect((await send('probe-1', 'x'.repeat(300_000))).status).toBe(413);
    expect((await ask('DELETE', '/devices/nobody')).status).toBe(404);
  });
});

describe('simulated devices', () => {
  it('follow a hidden truth through the same door, and stop when they are told', async () => {
    const started: DeviceView = (
      await ask('POST', '/simulated-devices', { kind: 'scale', batchId: batch.id })
    ).json;
    expect(started).toMatchObject({ kind: 'scale', simulated: 'none', status: 'waiting' });
    for (let i = 0; i < 40 && (await device(started.id)).kept < 2; i++) await wait(150);
    const now = await device(started.id);
    expect(now.kept).toBeGreaterThanOrEqual(2);
    expect(now.last!.value).toBeGreaterThan(1.7);
    expect(now.last!.value).toBeLessThan(2.2);
    expect((await ask('DELETE', `/devices/${started.id}`)).status).toBe(204);
    expect(await device(started.id)).toBeUndefined();
  });
  it('each fault is what it says', () => {
    const one = { id: 'p', kind: 'probe' as const, ticks: 60 };
    const values = (fault: Parameters<typeof linesOf>[0]['fault'], ticks = 60) =>
      readLines(linesOf({ ...one, fault, ticks }, 90));
    expect(values('none').lines[0]!.value).toBeCloseTo(90, -1);
    expect(values('drift').lines[0]!.value - 90).toBeGreaterThan(0.8);
    expect(values('stuck', 1).lines[0]!.value).toBe(values('stuck', 99).lines[0]!.value);
    expect(values('rubbish', 1)).toMatchObject({ lines: [] });
    expect(values('flood').lines.length).toBe(1500);
  });
});

describe('a batch that is closed', () => {
  it('sends its devices away with their next reading, which is not put to its log', async () => {
    await register('probe-3', 'probe');
    await put('closed', { leftLitres: 0 });
    const before = (await readings()).length;
    await send(
      'probe-3',
      Array.from({ length: 9 }, (_, i) => ({ kind: 'temperature', value: 24 + 0.1 * (i % 3) })),
    );
    expect(await device('probe-3')).toBeUndefined();
    expect((await readings()).length).toBe(before);
    expect((await ask('POST', '/simulated-devices', { kind: 'probe', batchId: batch.id })).status).toBe(422);
  });
});
