import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../../playwright.config';
import { fileOf } from './make-file';
import { type Json, type Kitchen, serve, stop } from './served';

/**
 * The growth law, measured: kitchens of 200, 2,000 and 20,000 closed batches, each served by the built server, asked in
 * turns. Every figure has a bound of its own, and at 20,000 at most one and a half times its time at 200. Fails where a
 * bound is missed.
 */
const SIZES = [200, 2000, 20_000] as const;
const ROUNDS = 41;
/** Under this many ms a difference is the machine's, not the kitchen's: ratios are taken of no less. */
const FLOOR_MS = 2;
const MOST_RATIO = 1.5;

const root = join(tmpdir(), 'slow-pot-scale');
const work = mkdtempSync(join(tmpdir(), 'slow-pot-scale-run-'));
const failures: string[] = [];

/** A copy to work on: the file itself stays for the next run. */
function copyOf(size: number): string {
  const folder = join(work, String(size));
  cpSync(fileOf(size, root), folder, { recursive: true });
  return folder;
}

const middle = (values: readonly number[], share = 0.5) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * share)]!;

function bound(what: string, value: number, most: number, unit: string): void {
  const isMissed = value > most;
  console.log(`${isMissed ? '✕' : ' '} ${what}: ${value.toFixed(1)} ${unit} (at most ${most})`);
  if (isMissed) failures.push(what);
}

/** One act at each size in turns, so that what the machine does meanwhile falls on all alike. */
async function compared(
  what: string,
  mostMs: number,
  act: (kitchen: Kitchen, round: number) => Promise<unknown>,
  of: {
    rounds?: number;
    share?: number;
    before?: (kitchen: Kitchen, round: number) => Promise<unknown>;
  } = {},
): Promise<void> {
  const { rounds = ROUNDS, share = 0.5, before } = of;
  const times = new Map<number, number[]>(SIZES.map((size) => [size, []]));
  for (let round = -2; round < rounds; round++)
    for (const kitchen of kitchens) {
      await before?.(kitchen, round);
      const began = performance.now();
      await act(kitchen, round);
      if (round >= 0) times.get(kitchen.size)!.push(performance.now() - began);
    }
  const at = SIZES.map((size) => middle(times.get(size)!, share));
  const ratio = Math.max(at.at(-1)!, FLOOR_MS) / Math.max(at[0]!, FLOOR_MS);
  const isMissed = at.some((ms) => ms > mostMs) || ratio > MOST_RATIO;
  const figures = at.map((ms) => ms.toFixed(1)).join(', ');
  console.log(
    `${isMissed ? '✕' : ' '} ${what}: ${figures} ms (at most ${mostMs}), ${ratio.toFixed(2)} times (at most ${MOST_RATIO})`,
  );
  if (isMissed) failures.push(what);
}

console.log(`kitchens of ${SIZES.join(', ')} closed batches`);
const kitchens: Kitchen[] = [];
for (const size of SIZES) {
  const starts: number[] = [];
  for (let i = 0; i < 3; i++) {
    const kitchen = await serve(size, copyOf(size));
    starts.push(kitchen.startMs);
    if (i === 2) kitchens.push(kitchen);
    else await stop(kitchen);
  }
  bound(`start at ${size}`, middle(starts), 1500, 'ms');
}
for (const kitchen of kitchens) bound(`memory at ${kitchen.size} after start`, kitchen.rssMb(), 250, 'MB');

const get = (path: string) => (kitchen: Kitchen) => kitchen.ask('GET', path);
const all =
  (...paths: string[]) =>
  (kitchen: Kitchen) =>
    Promise.all(paths.map((path) => kitchen.ask('GET', path)));
await compared('first page of Log', 60, get('/batches'));
for (const kitchen of kitchens)
  bound(`first page of Log at ${kitchen.size}`, (await kitchen.bytes('/batches')) / 1000, 100, 'kB');
await compared('Today', 60, all('/kitchen', '/batches/open', '/lots', '/orders', '/batches/last'));
await compared('Kitchen', 60, all('/kitchen', '/kitchen/learned', '/devices', '/batches/open'));
await compared('shelf', 60, all('/lots', '/larder/strays', '/orders'));
await compared('finished lots', 60, get('/lots/finished'));

/** A lot of the middle of the history, far along its way, and one of the shelf. */
const recalled = new Map<number, string[]>();
for (const kitchen of kitchens) {
  const shelf = (await kitchen.ask('GET', '/lots')) as { id: string }[];
  const { rows } = (await kitchen.ask('GET', '/lots/finished')) as { rows: { id: string }[] };
  recalled.set(
    kitchen.size,
    [...shelf, ...rows].map((lot) => lot.id),
  );
}
await compared('recall of a lot', 100, (kitchen, round) => {
  const ids = recalled.get(kitchen.size)!;
  return kitchen.ask('GET', `/lots/${ids[(round + ids.length) % ids.length]}`);
});

const orderOf = (kitchen: Json, potId: string, burnerId: string) => ({
  id: randomUUID(),
  recipeId: 'trout-chowder',
  portions: 20,
  portionMl: 250,
  saltPercent: 0.9,
  band: 3,
  serviceAtMs: kitchen.clock.serverNowMs + 9 * 3_600_000,
  potId,
  burnerId,
  overrideReason: 'measured',
});
const VERSIONS: Readonly<Record<string, number>> = {
  stageBegun: 2,
  added: 2,
  portioned: 3,
  stored: 2,
  moved: 2,
};
const said = (kitchen: Kitchen, batchId: string, type: string, payload: unknown) =>
  kitchen.ask('POST', `/batches/${batchId}/events`, {
    id: randomUUID(),
    type,
    v: VERSIONS[type] ?? 1,
    payload,
  });

const views = new Map<number, Json>();
for (const kitchen of kitchens) views.set(kitchen.size, await kitchen.ask('GET', '/kitchen'));
const begun = new Map<number, string>();
const clear = async (kitchen: Kitchen) => {
  const id = begun.get(kitchen.size);
  if (id) await said(kitchen, id, 'closed', { leftLitres: 0 });
  begun.delete(kitchen.size);
};
await compared(
  'starting a batch',
  150,
  async (kitchen) => {
    const order = orderOf(views.get(kitchen.size), 'stockpot-40', 'gas-2');
    await kitchen.ask('POST', '/batches', order);
    begun.set(kitchen.size, order.id);
  },
  { rounds: 15, before: clear },
);
for (const kitchen of kitchens) await clear(kitchen);

/** A pot with something in it, to say things of. */
async function cooking(kitchen: Kitchen, potId: string, burnerId: string): Promise<string> {
  const order = orderOf(views.get(kitchen.size), potId, burnerId);
  const batch = await kitchen.ask('POST', '/batches', order);
  const { stages } = batch.snapshot.input.recipe;
  await said(kitchen, batch.id, 'stageBegun', { stageId: stages[0].id });
  const items = batch.snapshot.plan.lines
    .filter((line: Json) => !line.perBowl && line.edibleKg > 0 && !line.comesOut)
    .map(({ ingredientId, edibleKg, tempC, lineId }: Json) => ({
      ingredientId,
      kg: edibleKg,
      tempC,
      lineId,
    }));
  await said(kitchen, batch.id, 'added', { items });
  await said(kitchen, batch.id, 'heatSet', { fraction: 0.5 });
  return batch.id;
}
const pots = new Map<number, string>();
for (const kitchen of kitchens) pots.set(kitchen.size, await cooking(kitchen, 'stockpot-40', 'gas-2'));
let shown = 20;
const reading = (kitchen: Kitchen) => {
  shown = 20 + ((shown + 0.1) % 1);
  return said(kitchen, pots.get(kitchen.size)!, 'reading', {
    kind: 'temperature',
    value: Math.round(shown * 10) / 10,
    from: 'device',
  });
};
await compared('an entry, p95', 15, reading, { rounds: 200, share: 0.95 });
await compared(
  'a lot stored',
  60,
  (kitchen) =>
    said(kitchen, pots.get(kitchen.size)!, 'stored', {
      lotId: randomUUID(),
      litres: 0.05,
      place: 'walk-in',
      storage: 'chilled',
      overrideReason: 'measured',
    }),
  { rounds: 15 },
);
await compared(
  'a larder entry',
  60,
  (kitchen) =>
    kitchen.ask('POST', '/larder/events', {
      id: randomUUID(),
      type: 'delivered',
      v: 2,
      payload: {
        lotId: randomUUID(),
        ingredientId: 'carrot',
        kg: 5,
        supplier: 'Somebody',
        place: 'walk-in',
        storage: 'chilled',
      },
    }),
  { rounds: 15 },
);
const closing = new Map<number, string>();
await compared(
  'a batch closed',
  60,
  (kitchen) => said(kitchen, closing.get(kitchen.size)!, 'closed', { leftLitres: 1 }),
  {
    rounds: 9,
    before: async (kitchen) => {
      const id = await cooking(kitchen, 'rondeau-24', 'gas-1');
      await said(kitchen, id, 'stageDone', {
        stageId: (await kitchen.ask('GET', `/batches/${id}`)).snapshot.input.recipe.stages[0].id,
      });
      await said(kitchen, id, 'portioned', { portions: 4, fate: 'served', overrideReason: 'measured' });
      closing.set(kitchen.size, id);
    },
  },
);

const shut = new Map<number, { batchId: string; eventId: string }>();
await compared(
  'a closing undone',
  60,
  (kitchen) => {
    const { batchId, eventId } = shut.get(kitchen.size)!;
    return said(kitchen, batchId, 'undone', { eventId });
  },
  {
    rounds: 9,
    before: async (kitchen) => {
      const batchId = shut.get(kitchen.size)?.batchId ?? closing.get(kitchen.size)!;
      const isFirst = !shut.has(kitchen.size);
      if (isFirst) return reopened(kitchen, batchId);
      const event = await said(kitchen, batchId, 'closed', { leftLitres: 1 });
      shut.set(kitchen.size, { batchId, eventId: event.id });
    },
  },
);

/** The last closing of a batch, to be undone. */
async function reopened(kitchen: Kitchen, batchId: string): Promise<void> {
  const { events } = await kitchen.ask('GET', `/batches/${batchId}`);
  shut.set(kitchen.size, { batchId, eventId: events.at(-1).id });
}

/** Five thousand entries in one pot: an entry still costs itself. */
const [, , largest] = kitchens as [Kitchen, Kitchen, Kitchen];
for (let n = 0; n < 4600; n++) await reading(largest);
/** p95 of each of ten stretches, the middle of them: what another program does for a second is not the kitchen's. */
const deep: number[] = [];
for (let stretch = 0; stretch < 10; stretch++) {
  const times: number[] = [];
  for (let n = 0; n < 50; n++) {
    const began = performance.now();
    await reading(largest);
    times.push(performance.now() - began);
  }
  deep.push(middle(times, 0.95));
}
bound('an entry in a pot of 5,000, p95', middle(deep), 15, 'ms');
for (const kitchen of kitchens) bound(`memory at ${kitchen.size} after all that`, kitchen.rssMb(), 400, 'MB');

/** A browser that has been here before, as a tablet in a kitchen has. */
const browser = await chromium.launch(CHROMIUM);
const tabs = new Map<number, Page>();
for (const kitchen of kitchens) {
  const tab = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await tab.goto(kitchen.url);
  tabs.set(kitchen.size, tab);
}
await compared(
  'Log in the browser',
  1000,
  async (kitchen) => {
    const tab = tabs.get(kitchen.size)!;
    await tab.goto(`${kitchen.url}/log`);
    await tab.getByRole('row').nth(20).waitFor();
  },
  { rounds: 9 },
);
await browser.close();

/** Entries a second, eight at a time, beside the least that they can cost. */
const floor = fork('bench/scale/bare-floor.ts', [], { execArgv: ['--import', 'tsx'] });
const { address } = await new Promise<{ address: string }>((resolve) =>
  floor.once('message', (said) => resolve(said as never)),
);
const noted = (n: number) => ({ id: randomUUID(), type: 'note', v: 1, payload: { text: `entry ${n}` } });
async function perSecond(url: string, path: string): Promise<number> {
  const began = performance.now();
  let n = 0;
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      while (n < 400) {
        n += 1;
        const answer = await fetch(`${url}${path}`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(noted(n)),
        });
        if (answer.status !== 201) throw new Error(await answer.text());
        await answer.arrayBuffer();
      }
    }),
  );
  return (1000 * n) / (performance.now() - began);
}
const fresh = await cooking(largest, 'kettle-60', 'jacket');
const pairs: { ours: number; floor: number }[] = [];
for (let round = -3; round < 15; round++) {
  const floorRate = await perSecond(address, `/api/batches/${fresh}/events`);
  const ours = await perSecond(largest.url, `/api/batches/${fresh}/events`);
  if (round >= 0) pairs.push({ ours, floor: floorRate });
}
const share = 100 * middle(pairs.map((pair) => pair.ours / pair.floor));
const perSecondOf = (of: 'ours' | 'floor') => middle(pairs.map((pair) => pair[of])).toFixed(0);
console.log(
  `${share < 60 ? '✕' : ' '} entries: ${perSecondOf('ours')} a second, ${share.toFixed(0)} % of the bare floor's ${perSecondOf('floor')} (at least 60)`,
);
if (share < 60) failures.push('entries beside the bare floor');
floor.send('end');

for (const kitchen of kitchens) await stop(kitchen);
rmSync(work, { recursive: true });
if (failures.length > 0) {
  console.error(`missed: ${failures.join('; ')}`);
  process.exit(1);
}
