import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { appendFileSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { startChowder } from './cook';
import { demoServer } from './demo-server';

/** What a kitchen must survive: the power gone in the middle of a write, a file cut short. No browser is needed for it. */

const ROUNDS = 50;

interface LogOf {
  events: { id: string; type: string; seq: number }[];
}

test('a second server on the same folder says who holds it, and stops; the first loses nothing by it', async ({
  request,
}) => {
  const first = await demoServer();
  await first.start();
  const env = { ...process.env, PORT: '0', SLOW_POT_DATA: first.folder };
  const second = spawnSync(process.execPath, ['dist/server/main.js'], {
    env,
    encoding: 'utf8',
    timeout: 20_000,
  });
  expect(second.status).toBe(1);
  expect(second.stderr).toMatch(/process \d+ on/);
  expect(second.stderr).toContain(first.url);
  expect((await request.get(`${first.url}/api/kitchen`)).ok()).toBe(true);
  const change = { id: uuid(), change: 'place', place: { airTempC: 23 } };
  const settings = await request.post(`${first.url}/api/kitchen/changes`, { data: change });
  expect(settings.ok()).toBe(true);
  await first.remove();
});

test('killed fifty times in the middle of writing, and its file torn: what was acknowledged is the log, each once', async ({
  request,
}) => {
  // a hundred starts and stops beside another worker: three times what it takes on a quiet machine
  test.setTimeout(420_000);
  const server = await demoServer();
  await server.start();
  const batch = await startChowder(request, server.url);
  const door = `${server.url}/api/batches/${batch.id}/events`;
  const acknowledged: string[] = [];
  let unsure: { id: string; body: object }[] = [];

  const say = async (one: { id: string; body: object }): Promise<boolean> => {
    try {
      const answer = await fetch(door, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ id: one.id, ...one.body }),
      });
      if (!answer.ok) return false;
      acknowledged.push(one.id);
      return true;
    } catch {
      return false;
    }
  };
  const log = async (): Promise<LogOf> => (await request.get(`${server.url}/api/batches/${batch.id}`)).json();

  for (let round = 0; round < ROUNDS; round++) {
    // what was said as the server died is said again, as the browser's queue does, and more with it
    const again = [
      ...unsure,
      ...Array.from({ length: 6 }, (_, i) => ({
        id: randomUUID(),
        body: { type: 'note', v: 1, payload: { text: `round ${round}, ${i}` } },
      })),
    ];
    const saying = again.map(async (one) => ({ one, kept: await say(one) }));
    await new Promise((resolve) => setTimeout(resolve, (round * 7) % 23));
    await server.kill();
    unsure = (await Promise.all(saying)).filter((said) => !said.kept).map((said) => said.one);
    if (round % 10 === 9) {
      // a frame that was never finished, as a power cut leaves it
      const wal = join(server.folder, 'slow-pot.db-wal');
      if (existsSync(wal)) appendFileSync(wal, Buffer.from('torn'.repeat(300)));
    }
    await server.start();
  }
  for (const one of unsure) await say(one);
  const { events } = await log();
  const ids = events.map((event) => event.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect([...ids].sort()).toEqual([...acknowledged].sort());
  expect(ids.length).toBe(ROUNDS * 6);
  await server.remove();
});
