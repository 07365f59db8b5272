import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { BatchView, KitchenView, WrittenEventView } from '../../contract';
import { foldBatch } from '../../core/batch';
import { seed } from '../../demo/seed';
import { chowderOrder, said, sentences } from '../testing/say';
import { testKitchen } from '../testing/test-kitchen';
import { DB_NAME } from './inspect-file';

/** A batch whose log does not go through, as an old file may hold one: it stands aside, and nothing else notices. */
let kitchenServer: ReturnType<typeof testKitchen>;
let ask: typeof kitchenServer.ask;
let sound: BatchView;
let batch: BatchView;
const BAD = '018f0000-0000-7000-8000-00000000bad1';

/** Something written into the file behind the server's back. */
async function written(write: (db: InstanceType<typeof Database>) => void): Promise<void> {
  await kitchenServer.stop();
  const db = new Database(join(kitchenServer.folder, DB_NAME));
  write(db);
  db.exec('PRAGMA wal_checkpoint(TRUNCATE)');
  db.close();
  await kitchenServer.start();
}
const badEntry = (v: number, payload: object) => (db: InstanceType<typeof Database>) => {
  const last = db.prepare('SELECT * FROM events ORDER BY seq DESC LIMIT 1').get() as Record<string, unknown>;
  db.prepare(
    'INSERT INTO events (id, batchId, type, v, payload, actedAtMs, receivedAtMs, clientAtMs) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
  ).run(
    BAD,
    batch.id,
    'added',
    v,
    JSON.stringify(payload),
    last.actedAtMs,
    last.receivedAtMs,
    last.clientAtMs,
  );
  db.prepare('DELETE FROM open_batches').run();
};
const say = (id: string, type: string, payload: object) =>
  ask('POST', `/batches/${id}/events`, said(type, payload));
const shown = async (id: string): Promise<BatchView> => (await ask('GET', `/batches/${id}`)).json;

beforeEach(async () => {
  kitchenServer = testKitchen(seed);
  ask = kitchenServer.ask;
  await kitchenServer.start();
  const kitchen: KitchenView = (await ask('GET', '/kitchen')).json;
  batch = (await ask('POST', '/batches', chowderOrder(kitchen, 0))).json;
  const other = { potId: 'stockpot-40', burnerId: 'gas-2', overrideReason: 'as a test' };
  sound = (await ask('POST', '/batches', chowderOrder(kitchen, 0, other))).json;
  for (const { id } of [batch, sound]) {
    await say(id, 'added', { items: [{ ingredientId: 'water', kg: 4, tempC: 20 }] });
    await say(id, 'heatSet', { fraction: 0.5 });
  }
  batch = await shown(batch.id);
  sound = await shown(sound.id);
});
afterEach(() => kitchenServer.remove());

/** Everything else goes on as if nothing were. */
async function othersGoOn(shownOpen = [batch.id, sound.id]): Promise<void> {
  for (const path of [
    '/kitchen',
    '/kitchen/learned',
    '/batches',
    '/lots',
    '/orders',
    '/log/forecasts',
    '/devices',
  ])
    expect([path, (await ask('GET', path)).status]).toEqual([path, 200]);
  expect((await say(sound.id, 'note', { text: 'going on' })).status).toBe(201);
  const open: BatchView[] = (await ask('GET', '/batches/open')).json;
  expect(open.map((one) => one.id).sort()).toEqual(shownOpen.sort());
}

describe('a log that does not go through', () => {
  it('stands aside with its log; only an undo is taken, and it is back as it was; the undo undone is refused by name', async () => {
    await written(badEntry(2, { items: [{ ingredientId: 'unobtainium', kg: 1, tempC: 20 }] }));
    const aside = await shown(batch.id);
    expect(aside.broken).toMatchObject({ eventId: BAD });
    await othersGoOn();
    const refused = await say(batch.id, 'heatSet', { fraction: 0.2 });
    expect([refused.status, sentences(refused.json)]).toEqual([
      422,
      expect.stringMatching(/set aside.*Undo/),
    ]);
    const log: WrittenEventView[] = (await ask('GET', `/batches/${batch.id}/log`)).json;
    expect(log.map((one) => one.id)).toEqual([...batch.events.map((one) => one.id), BAD]);

    const undo = await say(batch.id, 'undone', { eventId: BAD });
    expect(undo.status).toBe(201);
    const back = await shown(batch.id);
    expect(back.broken).toBeNull();
    const atMs = batch.events.at(-1)!.actedAtMs + 60_000;
    expect(foldBatch(back.snapshot, back.events, atMs)).toEqual(
      foldBatch(batch.snapshot, batch.events, atMs),
    );
    expect((await say(batch.id, 'heatSet', { fraction: 0.2 })).status).toBe(201);

    const again = await say(batch.id, 'undone', { eventId: undo.json.id });
    expect(again.status).toBe(422);
    expect(again.json.errors[0]).toMatchObject({
      code: 'wouldBreak',
      values: { eventId: BAD, isItself: false },
    });
    expect((await shown(batch.id)).broken).toBeNull();
    await kitchenServer.restart();
    expect((await shown(batch.id)).broken).toBeNull();
  });
  it('an entry of a newer Slow Pot stands aside too, and an undo mends it', async () => {
    await written(badEntry(99, { anything: true }));
    expect((await shown(batch.id)).broken).toMatchObject({ eventId: BAD });
    await othersGoOn();
    expect((await say(batch.id, 'undone', { eventId: BAD })).status).toBe(201);
    expect((await shown(batch.id)).broken).toBeNull();
    await kitchenServer.restart();
    expect((await shown(batch.id)).broken).toBeNull();
  });
  it('where not even what was planned can be read, its log is shown and the rest goes on', async () => {
    await written((db) => db.prepare('UPDATE batches SET snapshotV = 99 WHERE id = ?').run(batch.id));
    const aside = await ask('GET', `/batches/${batch.id}`);
    expect([aside.status, sentences(aside.json)]).toEqual([409, expect.stringMatching(/newer Slow Pot/)]);
    await othersGoOn([sound.id]);
    const log: WrittenEventView[] = (await ask('GET', `/batches/${batch.id}/log`)).json;
    expect(log.map((one) => one.id)).toEqual(batch.events.map((one) => one.id));
  });
});
