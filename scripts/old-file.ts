import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';
import Database from 'better-sqlite3';
import { v7 as uuid } from 'uuid';
import type { BatchView, KitchenView } from '../contract';
import type { BatchHead } from '../core/views';
import { seed } from '../demo/seed';
import { DB_NAME } from '../server/storage/inspect-file';
import { chowderOrder, lotsOf, said, saidOfShelf } from '../server/testing/say';
import { testKitchen } from '../server/testing/test-kitchen';

/**
 * Writes today's file as an old one: the demo cooked on for a while through the server's own doors, and beside it what the
 * server says of it. To be run before a new migration is made: `npx tsx scripts/old-file.ts`.
 */
const STORAGE = join(import.meta.dirname, '../server/storage');
const { entries } = JSON.parse(readFileSync(join(STORAGE, 'migrations/meta/_journal.json'), 'utf8')) as {
  entries: { tag: string }[];
};
const name = entries.at(-1)!.tag.slice(0, 4);
const kitchen = testKitchen(seed);
await kitchen.start();

async function ask(method: string, path: string, body?: object) {
  const answer = await kitchen.ask(method, path, body);
  if (answer.status >= 400) throw new Error(`${method} ${path}: ${answer.text}`);
  return answer.json;
}

const view: KitchenView = await ask('GET', '/kitchen');
const fumet = (await lotsOf(kitchen.ask)).find(
  (lot) => lot.contents.base === 'fish-fumet' && lot.leftKg > 2,
)!;
const start = (change: object): Promise<BatchView> =>
  ask('POST', '/batches', chowderOrder(view, 0, { overrideReason: 'as a test', ...change }));
const first = await start({});
const second = await start({ potId: 'stockpot-40', burnerId: 'gas-2' });
for (const batch of [first, second]) {
  const say = async (type: string, payload: object): Promise<string> => {
    const event = said(type, payload);
    await ask('POST', `/batches/${batch.id}/events`, event);
    return event.id;
  };
  const { input, plan } = batch.snapshot;
  await say('stageBegun', { stageId: input.recipe.stages[0]!.id });
  const lines = plan.lines.filter((line) => !line.perBowl && line.edibleKg > 0 && !line.comesOut).slice(0, 6);
  const items = lines.map((line) => ({
    ingredientId: line.ingredientId,
    kg: line.edibleKg,
    tempC: line.tempC,
    lineId: line.lineId,
  }));
  await say('added', {
    items: [...items, { ingredientId: 'fish-fumet', kg: 1, tempC: 5, lotId: fumet.id }],
  });
  await say('heatSet', { fraction: 0.8 });
  await say('lidSet', { lid: 'ajar' });
  await say('reading', { kind: 'temperature', value: 31 });
  const undo = await say('undone', { eventId: await say('note', { text: 'said by mistake' }) });
  if (batch === second) await say('undone', { eventId: undo });
  await say('portioned', { portions: 3, fate: 'served', overrideReason: 'why not' });
  if (batch === second) await say('moved', { potId: 'kettle-60', burnerId: 'jacket' });
  else {
    const place = { place: 'walk-in', storage: 'chilled', overrideReason: 'bay is in it' };
    await say('stored', { lotId: uuid(), litres: 1.5, ...place });
    await say('closed', { leftLitres: 1 });
  }
}
const sayOfShelf = async (type: string, payload: object): Promise<string> => {
  const event = saidOfShelf(type, payload);
  await ask('POST', '/larder/events', event);
  return event.id;
};
await sayOfShelf('delivered', {
  lotId: uuid(),
  ingredientId: 'carrot',
  kg: 5,
  supplier: 'Nether Corrie Growers',
  place: 'walk-in',
  storage: 'chilled',
});
const discarded = await sayOfShelf('discarded', { lotId: fumet.id, kg: 0.5, reason: 'spilt' });
await sayOfShelf('undone', { eventId: await sayOfShelf('undone', { eventId: discarded }) });
await ask(
  'POST',
  '/orders',
  chowderOrder(view, 3, { potId: 'stockpot-40', burnerId: 'gas-2', overrideReason: 'bought in' }),
);

const heads: BatchHead[] = [...(await ask('GET', '/batches')).rows, ...(await ask('GET', '/batches/open'))];
const views: BatchView[] = await Promise.all(heads.map(({ id }) => ask('GET', `/batches/${id}`)));
const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1);
const expected = {
  batches: views
    .map(({ id, potId, closedAtMs, events, result }) => ({
      id,
      potId,
      closedAtMs,
      events: events.length,
      served: result?.served ?? null,
      mean: result?.heatFactor.mean ?? null,
    }))
    .sort(byId),
  open: views.flatMap(({ id, closedAtMs }) => (closedAtMs === null ? [id] : [])).sort(),
  lots: (await lotsOf(kitchen.ask))
    .map(({ id, number, leftKg, leftLitres }) => ({ id, number, leftKg, leftLitres: leftLitres ?? null }))
    .filter(({ leftKg }) => leftKg > 0.01)
    .sort(byId),
  recipes: (await ask('GET', '/recipes')).length,
};
await kitchen.stop();
const packed = join(kitchen.folder, 'packed.db');
const db = new Database(join(kitchen.folder, DB_NAME));
db.exec(`VACUUM INTO '${packed}'`);
db.close();
const quality = { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_LGWIN]: 24 };
writeFileSync(
  join(STORAGE, 'old-files', `${name}.db.br`),
  brotliCompressSync(readFileSync(packed), { params: quality }),
);
writeFileSync(join(STORAGE, 'old-files', `${name}.json`), `${JSON.stringify(expected)}\n`);
rmSync(kitchen.folder, { recursive: true });
console.log(`${name}: ${expected.batches.length} batches, ${expected.lots.length} lots`);
