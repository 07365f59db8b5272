import { chromium, type Page } from '@playwright/test';
import { foldBatch } from '../core/batch';
import { saltPercent } from '../core/matter';
import { liquidLitres, potLitres } from '../core/pot';
import { thicknessBand } from '../core/thickness';
import { CHROMIUM } from '../playwright.config';
import { adjustWords, commonWords, planWords, potWords } from '../web/words';
import { demoServer } from './demo-server';

/**
 * `npm run follow`: three pots to the 13:10 train at ten times the pace, by a cook who presses only what the screen makes
 * largest, takes out what it says must come out, puts 10 g of salt in each pot on the Adjust page, and is where it calls.
 * Printed at the end: what stands in each pot beside what was planned. A simulated probe and scale hang on each pot, on
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
/** The screen asks for no act but a look: a cook of this walk has a probe and a scale for that. */
const isToWait = (name: string) => name === potWords.takeAReading;

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
  if (name === null || isToWait(name) || name === potWords.toThePass) return name;
  await buttons.nth(at).click({ timeout: 2000 });
  return name;
}

/** Presses at a pot before its cook salts it a little, beside what the screen asks. */
const SALTED_AT = 6;

/** 10 g of salt on the Adjust page, and back to the pot. */
async function saltByTheWay(on: Page): Promise<boolean> {
  await on.getByRole('link', { name: potWords.adjust }).click({ timeout: 2000 });
  await on.getByRole('textbox', { name: adjustWords.saltPutIn }).fill('10');
  await on.getByRole('button', { name: adjustWords.itIsIn, exact: true }).first().click({ timeout: 2000 });
  await on.getByRole('link', { name: potWords.pot, exact: true }).click({ timeout: 2000 });
  return true;
}

for (const order of ORDERS) {
  await page.goto(`${server.url}/plan?${order}&service=midday`);
  await page.getByRole('button', { name: /^Take it to / }).click({ timeout: 20_000 });
  const short = page.getByRole('textbox', { name: planWords.itComesFrom });
  await short.or(page.getByRole('link', { name: potWords.adjust })).waitFor();
  if (await short.isVisible()) {
    await short.fill('the early shift’s own');
    await page.getByRole('button', { name: planWords.cookItAnyway }).click();
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
  isSalted: false,
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
  const strip = page.getByRole('alert', { name: commonWords.aPotCalls });
  if (await strip.isVisible()) {
    const words = (await strip.locator('p').textContent()) ?? '';
    if (/unanswered for/.test(words)) urgent += 1;
    await strip
      .getByRole('button', { name: commonWords.toThisPot })
      .click({ timeout: 2000 })
      .catch(() => {});
  }
  const here = pots.find((pot) => page.url().includes(pot.id));
  const out = page
    .getByRole('group', { name: potWords.toComeOut })
    .last()
    .getByRole('button', { name: /: out$/ });
  if (await out.first().isVisible())
    await out
      .first()
      .click({ timeout: 2000 })
      .catch(() => {});
  const name = await pressMain(page).catch((error: Error) => {
    console.log(`${hour(Date.now())} could not press: ${error.message.slice(0, 300)}`);
    return null;
  });
  if (here && name && !isToWait(name)) {
    if (name === potWords.toThePass) {
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
      if (here.presses === SALTED_AT && !here.isSalted) here.isSalted = await saltByTheWay(page);
      console.log(`${hour(await kitchenMs())} ${here.name}: ${name}`);
    }
  }
  await page.waitForTimeout(400);
}
for (const pot of pots) {
  const { snapshot, events } = await ask('GET', `/batches/${pot.id}`);
  const readings = events.filter((one: { type: string }) => one.type === 'reading').length;
  const ready = pot.readyMs === null ? 'never' : hour(pot.readyMs);
  console.log(`${pot.name}: ready ${ready}, ${pot.presses} presses, ${readings} readings`);
  const state = foldBatch(snapshot, events, pot.readyMs ?? (await kitchenMs()));
  const { mixture } = state.pot;
  const { plan, input } = snapshot;
  const band = thicknessBand({ flourEquivalentGPerL: mixture.flourEquivalentG / liquidLitres(state.pot) });
  const litres = potLitres(state.pot);
  console.log(
    `  salt ${saltPercent(mixture, 'all').toFixed(3)} % of ${plan.saltPercent.toFixed(3)}, thickness ${band.toFixed(2)} of ${plan.band.toFixed(2)}, ${litres.toFixed(2)} L of ${plan.yieldLitres.toFixed(2)} (${((litres * 1000) / input.portionMl).toFixed(1)} bowls of ${plan.yieldPortions.toFixed(1)})${pot.isSalted ? '' : ', never salted by the way'}`,
  );
}
console.log(
  `calls that had gone unanswered when they were heard: ${urgent}; errors of the page: ${problems.length}`,
);
await browser.close();
await server.remove();
