import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { EVENT_VERSIONS } from '../core/batch';
import { lotWords, planWords, potWords } from '../web/words';
import { openPot } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** A soup of the day before, reheated for a train: out of its lot, under its top, over the least. */
let server: DemoServer;
test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

/** Five litres of velouté in the walk-in, made and stored through the server’s own door. */
async function velouteInTheWalkIn(page: Page): Promise<void> {
  const ask = async (method: 'GET' | 'POST', path: string, data?: object) => {
    const answer = await page.request.fetch(`${server.url}/api${path}`, {
      method,
      ...(data ? { data } : {}),
    });
    expect(answer.ok(), await answer.text()).toBe(true);
    return answer.json();
  };
  const { clock } = await ask('GET', '/kitchen');
  const batch = await ask('POST', '/batches', {
    id: uuid(),
    recipeId: 'celeriac-veloute',
    portions: 30,
    portionMl: 220,
    saltPercent: 0.85,
    band: 3,
    serviceAtMs: clock.kitchenFromMs + 8 * 3_600_000,
    potId: 'rondeau-24',
    burnerId: 'gas-3',
    overrideReason: 'of the day before',
  });
  const say = (type: string, payload: object) =>
    ask('POST', `/batches/${batch.id}/events`, { id: uuid(), type, v: EVENT_VERSIONS.get(type), payload });
  const items = batch.snapshot.plan.lines
    .filter((line: { perBowl: boolean; comesOut?: object }) => !line.perBowl && !line.comesOut)
    .map((line: { ingredientId: string; edibleKg: number; tempC: number; lineId: string }) => ({
      ingredientId: line.ingredientId,
      kg: line.edibleKg,
      tempC: line.tempC,
      lineId: line.lineId,
    }));
  await say('added', { items });
  await say('stored', { lotId: uuid(), litres: 5, place: 'walk-in, shelf 1', storage: 'chilled' });
  await say('closed', { leftLitres: 0 });
}

test('a stored dish is reheated: one press from its lot, its top and its least both told, a hotter probe stopped', async ({
  page,
}) => {
  await page.goto(server.url);
  await velouteInTheWalkIn(page);
  await page.goto(`${server.url}/larder`);
  await page.getByRole('link', { name: /Celeriac velouté/ }).click();
  await page.getByRole('link', { name: lotWords.reheat }).click();
  const order = page.getByRole('group', { name: planWords.theOrder });
  await expect(order).toContainText('Celeriac velouté, reheated');
  await expect(order.getByLabel(planWords.bowls4, { exact: true })).toHaveValue('20');
  await order.getByLabel(planWords.bowls4, { exact: true }).fill('40');
  await expect(page.getByText(/Celeriac velouté: \d\.\d L short/)).toBeVisible();
  await order.getByLabel(planWords.bowls4, { exact: true }).fill('17');
  await expect(page.getByRole('region', { name: planWords.fromTheLarder })).toContainText('Celeriac velouté');
  await button(page, /24 L rondeau/).click();
  await button(page, /^Take it to/).click();
  await openPot(page);
  await expect(page.getByRole('heading', { name: lotWords.reheat, exact: true })).toBeVisible();
  await expect(page.getByText(/74 °C all through, within 2 h of leaving the cold/)).toBeVisible();
  await button(page, potWords.theseAreInBegin).click();
  await expect(
    page.getByText(/not over 82 °C from here on, for the egg yolk.*At least 74 °C, reheated, for 15 s/),
  ).toBeVisible();
  // a reload and a second window show the same pot
  await page.reload();
  const other = await page.context().newPage();
  await other.goto(page.url());
  for (const on of [page, other]) await expect(on.getByText(/not over 82 °C from here on/)).toBeVisible();

  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((one) => one.id)).toEqual([]);

  await button(page, potWords.takeAReading).click();
  await page.getByText(potWords.thermometer, { exact: true }).click();
  await page.getByRole('textbox').first().fill('86');
  await button(page, lotWords.saveTheReading).click();
  await button(page, potWords.yesItIsRight).click();
  for (const on of [page, other])
    await expect(on.getByRole('heading', { name: 'Under 82 °C: heat off' })).toBeVisible();
});
