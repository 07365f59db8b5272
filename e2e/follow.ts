import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import { demoServer } from './demo-server';

/**
 * `npm run follow`: three pots to the 13:10 train at ten times the pace, by a cook who presses only what the screen makes
 * largest, takes out what it says must come out, and is where it calls. A simulated probe and scale hang on each pot, on
 * a burner that is not what its plate says. Printed, not asserted: it takes a third of an hour, which no test may.
 */
const SPEED = Number(process.env.SPEED ?? 10);
const ORDERS = [
  'recipe=trout-chowder&portions=60&burner=gas-2&pot=stockpot-40',
  'recipe=celeriac-veloute&portions=30&burner=gas-3&pot=rondeau-24',
  'recipe=leek-perry-broth&portions=60&burner=jacket&pot=kettle-60',
];
/** The one act of a screen wears this colour. */
const MAIN = 'rgb(30, 77, 99)';
const WAITS = /^It is here now$/;

const server = await demoServer();
await server.start();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 820, height: 1180 } });
const problems: string[] = [];
page.on('pageerror', (error) => problems.push(error.message));
const ask = async (method: string, path: string, data?: object) => {
  const answer = await fetch(`${server.url}/api${path}`, {
    method,
    ...(data ? { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(data) } : {}),
  });
  return answer.json();
};
const setSpeed = (speed: number) => ask('POST', '/clock', { change: 'speed', speed });
const kitchenMs = async () => {
  const { clock } = await ask('GET', '/kitchen');
  return clock.kitchenFromMs + (clock.serverNowMs - clock.realFromMs) * clock.speed;
};
const hour = (ms: number) => new Date(ms).toISOString().slice(11, 16);

/** Presses the one act of the screen, unless it is only to wait. */
async function pressMain(on: Page): Promise<string | null> {
  const buttons = on.locator('main button:enabled');
  const names = await buttons.evaluateAll(
    (all, main) =>
      all.map((one) => (getComputedStyle(one).backgroundColor === main ? (one.textContent ?? '') : null)),
    MAIN,
  );
  const at = names.findIndex((name) => name !== null);
  const name = names[at] ?? null;
  if (name === null || WAITS.test(name) || name === 'To the pass') return name;
  await buttons.nth(at).click({ timeout: 2000 });
  return name;
}

for (const order of ORDERS) {
  await page.goto(`${server.url}/plan?${order}&service=midday`);
  await page.getByRole('button', { name: /^Take it to / }).click({ timeout: 20_000 });
  const short = page.getByRole('textbox', { name: 'It comes from' });
  await short.or(page.getByRole('link', { name: 'Bench' })).waitFor();
  if (await short.isVisible()) {
    await short.fill('the early shift’s own');
    await page.getByRole('button', { name: 'Cook it all the same' }).click();
  }
  await page.waitForURL(/batches/, { timeout: 20_000 });
}
const open: { id: string; snapshot: { input: { recipe: { name: string } }; plan: { startAtMs: number } } }[] =
  await ask('GET', '/batches/open');
const pots = open.map((batch) => ({
  id: batch.id,
  name: batch.snapshot.input.recipe.name,
  startMs: batch.snapshot.plan.startAtMs,
  readyMs: null as number | null,
  presses: 0,
}));
for (const pot of pots)
  for (const kind of ['probe', 'scale'])
    await ask('POST', '/simulated-devices', { kind, batchId: pot.id, fault: 'none' });

const firstMs = Math.min(...pots.map((pot) => pot.startMs));
await setSpeed(60);
while ((await kitchenMs()) < firstMs - 120_000) await page.waitForTimeout(300);
await setSpeed(SPEED);
console.log(
  `${hour(await kitchenMs())} at ${SPEED}×: ${pots.map((one) => `${one.name} from ${hour(one.startMs)}`).join(', ')}`,
);

let urgent = 0;
const endMs = firstMs + 8 * 3_600_000;
while (pots.some((pot) => pot.readyMs === null) && (await kitchenMs()) < endMs) {
  const strip = page.getByRole('alert', { name: 'A pot calls' });
  if (await strip.isVisible()) {
    const words = (await strip.locator('p').textContent()) ?? '';
    if (/unanswered for/.test(words)) urgent += 1;
    await strip
      .getByRole('button', { name: 'To this pot' })
      .click({ timeout: 2000 })
      .catch(() => {});
  }
  const here = pots.find((pot) => page.url().includes(pot.id));
  const out = page
    .getByRole('group', { name: 'To come out' })
    .last()
    .getByRole('button', { name: /: out$/ });
  if (await out.first().isVisible())
    await out
      .first()
      .click({ timeout: 2000 })
      .catch(() => {});
  const name = await pressMain(page).catch(() => null);
  if (here && name && !WAITS.test(name)) {
    if (name === 'To the pass') {
      // nothing calls here any more: a walk past the one that is not ready yet
      const next = pots.find((pot) => pot.readyMs === null && pot !== here);
      if (next && here.readyMs !== null && !(await strip.isVisible()))
        await page
          .locator(`nav a[href="/batches/${next.id}"]`)
          .last()
          .click({ timeout: 2000 })
          .catch(() => {});
      if (here.readyMs === null) {
        const nowMs: number = await kitchenMs();
        here.readyMs = nowMs;
        console.log(`${hour(nowMs)} ${here.name} is ready, ${here.presses} presses`);
      }
    } else {
      here.presses += 1;
      console.log(`${hour(await kitchenMs())} ${here.name}: ${name}`);
    }
  }
  await page.waitForTimeout(400);
}
for (const pot of pots) {
  const log = await ask('GET', `/batches/${pot.id}`);
  const readings = log.events.filter((one: { type: string }) => one.type === 'reading').length;
  console.log(
    `${pot.name}: ready ${pot.readyMs === null ? 'never' : hour(pot.readyMs)}, ${pot.presses} presses, ${readings} readings`,
  );
}
console.log(
  `calls that had gone unanswered when they were heard: ${urgent}; errors of the page: ${problems.length}`,
);
await browser.close();
await server.remove();
