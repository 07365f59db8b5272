import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';

/**
 * A minute of twenty live pots: what the page and the server do in it. Printed, never asserted: a busy machine is no
 * fault of the house. Wanted: no task over 50 ms, script and layout at most 8 ms an update at p95, the server at most
 * 20 s of CPU, 500 samples a second kept.
 */
/** Whatever came as JSON: this script reads what it has itself asked for. */
type Json = ReturnType<typeof JSON.parse>;

const POTS = 20;
const SECONDS = 60;
const SAMPLES_A_SECOND = 500;

const child = fork('bench/live-server.ts', [], { execArgv: ['--import', 'tsx'] });
const heard = (key: string) =>
  new Promise<Json>((resolve) => {
    const listen = (message: Json) => {
      if (!(key in message)) return;
      child.off('message', listen);
      resolve(message[key]);
    };
    child.on('message', listen);
  });
const address: string = await heard('address');
const ask = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(`${address}/api${path}`, {
    method,
    ...(body ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) } : {}),
  });
  return answer.json() as Promise<Json>;
};

const kitchen = await ask('GET', '/kitchen');
const batches: Json[] = [];
for (let i = 0; i < POTS; i++) {
  const batch = await ask('POST', '/batches', {
    id: randomUUID(),
    recipeId: 'venison-juniper-sauce',
    portions: 40,
    portionMl: 250,
    saltPercent: 0.9,
    band: 3,
    serviceAtMs: kitchen.clock.kitchenFromMs + 9 * 3_600_000,
    potId: `bench-${i}`,
    burnerId: `bench-${i}`,
    despite: 'measured',
  });
  if (!batch.id) throw new Error(JSON.stringify(batch));
  const said = (type: string, payload: unknown) =>
    ask('POST', `/batches/${batch.id}/events`, { id: randomUUID(), type, v: 1, payload });
  const fall = batch.snapshot.input.recipe.stages.find((stage: Json) => stage.ends.rule === 'fall');
  const items = batch.snapshot.plan.lines
    .filter((line: Json) => !line.perBowl && line.edibleKg > 0)
    .map(({ ingredientId, edibleKg, tempC, lineId }: Json) => ({
      ingredientId,
      kg: edibleKg,
      tempC,
      lineId,
    }));
  await said('stageBegun', { stageId: fall.id });
  await said('added', { items });
  await said('heatSet', { fraction: 1 });
  batches.push(batch);
}
await ask('POST', '/devices', {
  id: 'bench-probe',
  kind: 'probe',
  name: 'bench probe',
  batchId: batches[0].id,
});

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${address}/batches/${batches[0].id}`);
await page.getByRole('heading', { level: 2 }).first().waitFor();
await page.waitForTimeout(3000);
await page.evaluate(() => {
  const tasks: number[] = [];
  (window as unknown as { longTasks: number[] }).longTasks = tasks;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) tasks.push(entry.duration);
  }).observe({ entryTypes: ['longtask'] });
});
const session = await page.context().newCDPSession(page);
await session.send('Performance.enable');
const metrics = async () => {
  const { metrics: all } = await session.send('Performance.getMetrics');
  const of = (name: string) => all.find((one) => one.name === name)?.value ?? 0;
  return {
    work: 1000 * (of('ScriptDuration') + of('LayoutDuration')),
    layout: 1000 * of('LayoutDuration'),
  };
};

child.send('cpu');
const cpuBefore = await heard('cpu');
const updates: number[] = [];
let laidOut = 0;
let kept = 0;
let last = await metrics();
for (let s = 0; s < SECONDS; s++) {
  const began = Date.now();
  const sends = Array.from({ length: 10 }, (_, part) =>
    fetch(`${address}/api/devices/bench-probe/samples`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-ndjson' },
      body: Array.from({ length: SAMPLES_A_SECOND / 10 }, (_, i) =>
        JSON.stringify({ kind: 'temperature', value: 20 + ((s + part + i) % 9) / 10 }),
      ).join('\n'),
    }).then((answer) => answer.json() as Promise<Json>),
  );
  for (const answer of await Promise.all(sends)) kept += answer.kept;
  await new Promise((resolve) => setTimeout(resolve, Math.max(0, 1000 - (Date.now() - began))));
  const now = await metrics();
  updates.push(now.work - last.work);
  laidOut += now.layout - last.layout;
  last = now;
}
child.send('cpu');
const cpuAfter = await heard('cpu');
const longTasks: number[] = await page.evaluate(
  () => (window as unknown as { longTasks: number[] }).longTasks,
);
const sorted = [...updates].sort((a, b) => a - b);
const cpuS = (cpuAfter.user + cpuAfter.system - cpuBefore.user - cpuBefore.system) / 1e6;
console.log(
  [
    `${POTS} live pots at 1 Hz for ${SECONDS} s, and ${SAMPLES_A_SECOND} samples a second`,
    `page: script and layout ${sorted[SECONDS >> 1]!.toFixed(1)} ms a second in the middle (a tick and a device’s message), ${sorted[Math.floor(SECONDS * 0.95)]!.toFixed(1)} ms at p95 (wanted 8), of it ${(laidOut / SECONDS).toFixed(1)} ms layout`,
    `page: ${longTasks.length} tasks over 50 ms${longTasks.length ? `, the longest ${Math.max(...longTasks).toFixed(0)} ms` : ''} (wanted none)`,
    `server: ${cpuS.toFixed(1)} s of CPU (wanted at most 20)`,
    `samples kept: ${kept} of ${SECONDS * SAMPLES_A_SECOND}`,
  ].join('\n'),
);
await browser.close();
child.send('end');
