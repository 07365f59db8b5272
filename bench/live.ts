import { chromium } from '@playwright/test';
import type { BatchView } from '../contract';
import { foldBatch } from '../core/batch';
import { CHROMIUM } from '../playwright.config';
import { POTS, twentyPots } from './twenty-pots';
import { markUpdates, traceUpdates, type Update } from './updates';

/**
 * A minute of twenty live pots, each with a probe that speaks once a second; on one of them 500 times. What the page and
 * the server do in it, printed, never asserted: a busy machine is no fault of the house. Wanted: no task over 50 ms,
 * script and layout at most 8 ms an update at p95, the server at most 20 s of CPU, 500 samples a second kept.
 */
const SECONDS = 60;
const SAMPLES_A_SECOND = 500;

const { address, ask, kitchen, batches, cpu, end } = await twentyPots();
const [loud, ...others] = batches as [BatchView, ...BatchView[]];
for (const batch of others)
  await ask('POST', '/simulated-devices', { kind: 'probe', batchId: batch.id, fault: 'none' });
await ask('POST', '/devices', {
  id: 'bench-probe',
  kind: 'probe',
  name: 'bench probe',
  batchId: loud.id,
});
/** What the loud probe shows: what the model takes its pot to be at, so that it is believed. */
const loudBatch = await ask('GET', `/batches/${loud.id}`);
const loudC = (realMs: number) => {
  const nowMs = kitchen.clock.kitchenFromMs + (realMs - kitchen.clock.realFromMs) * kitchen.clock.speed;
  return foldBatch(loudBatch.snapshot, loudBatch.events, nowMs).pot.tempC;
};

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await markUpdates(page);
await page.goto(`${address}/batches/${loud.id}`);
await page.getByRole('heading', { level: 2 }).first().waitFor();
await page.waitForTimeout(3000);
await page.evaluate(() => {
  const tasks: number[] = [];
  (window as unknown as { longTasks: number[] }).longTasks = tasks;
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) tasks.push(entry.duration);
  }).observe({ entryTypes: ['longtask'] });
});
const traced = await traceUpdates(await browser.newBrowserCDPSession());

const cpuBefore = await cpu();
let kept = 0;
const startMs = Date.now();
const sends: Promise<{ kept?: number }>[] = [];
for (let tenth = 0; tenth < SECONDS * 10; tenth++) {
  await new Promise((resolve) => setTimeout(resolve, startMs + tenth * 100 - Date.now()));
  const shown = Math.round(10 * loudC(Date.now())) / 10;
  const body = Array.from({ length: SAMPLES_A_SECOND / 10 }, (_, i) =>
    JSON.stringify({ kind: 'temperature', value: shown + ((tenth + i) % 5) / 20 }),
  ).join('\n');
  const headers = { 'Content-Type': 'application/x-ndjson' };
  const send = () => fetch(`${address}/api/devices/bench-probe/samples`, { method: 'POST', headers, body });
  sends.push(send().then((answer) => answer.json()));
}
for (const answer of await Promise.all(sends)) kept += answer.kept ?? 0;
const cpuAfter = await cpu();
const longTasks: number[] = await page.evaluate(
  () => (window as unknown as { longTasks: number[] }).longTasks,
);
const updates = await traced();
const cpuS = (cpuAfter.user + cpuAfter.system - cpuBefore.user - cpuBefore.system) / 1e6;
const questions = await page.getByText('Is it right?').count();
const spread = (cause: Update['cause']) => {
  const of = updates.filter((one) => one.cause === cause);
  const ms = of.map((one) => one.scriptMs + one.layoutMs).sort((a, b) => a - b);
  const at = (share: number) => ms[Math.floor(ms.length * share)]?.toFixed(1);
  const layout = of.reduce((sum, one) => sum + one.layoutMs, 0) / of.length;
  return `${of.length}, ${at(0.5)} ms of script and layout in the middle, ${at(0.95)} ms at p95 (wanted 8), of it ${layout.toFixed(1)} ms layout`;
};
console.log(
  [
    `${POTS} live pots with a probe each, ${SECONDS} s, and ${SAMPLES_A_SECOND} samples a second`,
    `page, ticks of its clock: ${spread('tick')}`,
    `page, messages: ${spread('message')}`,
    `page: ${longTasks.length} tasks over 50 ms${longTasks.length ? `, the longest ${Math.max(...longTasks).toFixed(0)} ms` : ''} (wanted none); ${questions} questions on the screen`,
    `server: ${cpuS.toFixed(1)} s of CPU, its ${others.length} simulated probes among it (wanted at most 20)`,
    `samples kept: ${kept} of ${SECONDS * SAMPLES_A_SECOND}`,
  ].join('\n'),
);
await browser.close();
end();
