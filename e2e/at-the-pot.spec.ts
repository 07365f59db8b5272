import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { commonWords, kitchenWords, potWords, recipeWords, rehearseWords } from '../web/words';
import { chowderFalling, move, openPot, setHeatIfAsked, take, takeOutAll } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** The heart of the house: what a pot wants, what may be done about it, what went wrong, and what devices say. */

/** Kitchen minutes a tablet sleeps through; an hour takes a minute of the test's time. */
const ASLEEP_MIN = Number(process.env.ASLEEP_MIN ?? 6);

let server: DemoServer;
test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

const sheet = (page: Page) => page.getByRole('dialog');
const act = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
async function eventsOf(
  page: Page,
): Promise<{ type: string; payload: Record<string, unknown>; actedAtMs: number; by: string | null }[]> {
  const id = page.url().split('/batches/')[1]!.split('/')[0];
  return (await (await page.request.get(`${server.url}/api/batches/${id}`)).json()).events;
}
const last = async (page: Page) => (await eventsOf(page)).at(-1)!;
async function accessible(page: Page, where: string) {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((one) => `${where}: ${one.id}`)).toEqual([]);
}

test('a fall watched: called, stirred, asked what if, given another mark, mended; all of it by touch or key', async ({
  page,
}) => {
  await chowderFalling(page, server.url);

  await test.step('it calls from wherever the cook is, is answered there, or put off', async () => {
    // the heat that holds is set whenever it is asked for on the way, so that the look-in is what calls
    for (const minutes of [3, 4, 3]) {
      await move(page, minutes);
      await page.waitForTimeout(1500);
      await setHeatIfAsked(page);
    }
    await page.goto(`${server.url}/larder`);
    const call = page.getByRole('alert', { name: commonWords.aPotCalls });
    await expect(call).toContainText('look in now');
    await call.getByRole('button', { name: 'In 2 min' }).click();
    await expect(call).toHaveCount(0);
    await move(page, 3);
    await expect(call).toBeVisible();
    await accessible(page, 'call');
    await call.getByRole('button', { name: potWords.lookedInStirred }).click();
    await expect(call).toHaveCount(0);
    await page.getByRole('link', { name: /Trout chowder/ }).click();
    await openPot(page);
    expect((await eventsOf(page)).filter((one) => one.type === 'looked')).toHaveLength(1);
  });

  await test.step('readings of every kind; what cannot be is refused with a sentence', async () => {
    await act(page, potWords.takeAReading).click();
    await sheet(page).getByText(potWords.byEye).click();
    await sheet(page).getByRole('textbox').fill('130');
    await act(page, potWords.saveTheReading).click();
    await expect(sheet(page).getByText('What has gone must be from 0 to 100 %.')).toBeVisible();
    await accessible(page, 'reading');
    await sheet(page).getByRole('textbox').fill('10');
    await act(page, potWords.saveTheReading).click();
    await expect(sheet(page)).toHaveCount(0);
    expect(await last(page)).toMatchObject({ payload: { kind: 'eye', value: 10 } });
  });

  await test.step('what if: each lever with its hour, its gain and its margin, before it is moved', async () => {
    await act(page, potWords.whatIf).click();
    const lever = sheet(page).getByRole('listitem').filter({ hasText: 'Heat at 25 %' });
    await expect(lever).toContainText(/later/);
    await expect(lever).toContainText(/scorch|catch/);
    await expect(sheet(page).getByText(/As it is, there at \d\d:\d\d/)).toBeVisible();
    await accessible(page, 'what if');
    const before = await eventsOf(page);
    expect(before.filter((one) => one.type === 'heatSet' && one.payload.fraction === 0.25)).toHaveLength(1);
    await lever.getByRole('button', { name: potWords.doneLogIt }).click();
    await expect(sheet(page)).toHaveCount(0);
    expect(await last(page)).toMatchObject({ type: 'heatSet', payload: { fraction: 0.25 } });
  });

  await test.step('tempering: ladle by ladle', async () => {
    await act(page, potWords.temper).click();
    await expect(sheet(page).getByText(/^1 ladle/)).toBeVisible();
    await sheet(page).getByLabel(potWords.oneLadle).fill('a big one');
    await expect(sheet(page).getByText('The ladle must be 20 to 3000 mL, not “a big one”.')).toBeVisible();
    await accessible(page, 'temper');
    await page.keyboard.press('Escape');
  });

  await test.step('another mark: its hour is told before it is set, by keyboard alone', async () => {
    await act(page, potWords.changeTheMark).focus();
    await page.keyboard.press('Enter');
    await expect(sheet(page).getByRole('textbox')).toBeFocused();
    await page.keyboard.type('7');
    await expect(sheet(page).getByText(/That is 7\.0 L/)).toBeVisible();
    await accessible(page, 'mark');
    await page.keyboard.press('Enter');
    await expect(sheet(page)).toHaveCount(0);
    expect(await last(page)).toMatchObject({
      type: 'targetSet',
      payload: { target: { kind: 'litres', litres: 7 } },
    });
    await expect(page.getByText('down to here: 7.0 L')).toBeVisible();
  });

  await test.step('a slip is said as what happened, and what mends it has this pot’s figures', async () => {
    await act(page, potWords.somethingWentWrong).click();
    await act(page, potWords.logIt).click();
    await expect(sheet(page).getByText('The amount must be a number of g, not empty.')).toBeVisible();
    await sheet(page).getByRole('button', { name: /Which/ }).click();
    await page.getByRole('option', { name: 'Fine salt' }).click();
    await sheet(page).getByLabel(potWords.extraAmount).fill('250');
    await act(page, potWords.logIt).click();
    await expect(sheet(page).getByText(/It stands at \d\.\d\d % salt/)).toBeVisible();
    await accessible(page, 'rescue');
    await expect(sheet(page).getByRole('link', { name: potWords.compareTheWaysOnAdjust })).toBeVisible();
    await act(page, potWords.goOn).click();
    await act(page, potWords.somethingWentWrong).click();
    await sheet(page).getByText(potWords.forgotten).click();
    await act(page, potWords.logIt).click();
    await act(page, potWords.goOn).click();
    // what was forgotten is still wanted, at whatever stage the pot is, and goes in with one press
    const missing = page.getByRole('group', { name: potWords.notInYet });
    await missing.getByRole('button').first().click();
    await expect(missing).toHaveCount(0);
    await expect.poll(async () => (await last(page)).type).toBe('added');
    await act(page, potWords.somethingWentWrong).click();
    await sheet(page).getByText(potWords.troubleInThePot).click();
    await act(page, potWords.logIt).click();
    await expect(sheet(page).getByText(/Do not scrape/)).toBeVisible();
    await sheet(page).getByLabel(potWords.staysBehindBurnt).fill('a bit');
    await act(page, potWords.movedLogIt).click();
    await expect(sheet(page).getByText(/What stays behind must be a number of L/)).toBeVisible();
    await sheet(page).getByLabel(potWords.staysBehindBurnt).fill('0.4');
    await act(page, potWords.movedLogIt).click();
    await expect(sheet(page).getByText(/It is in the clean pot/)).toBeVisible();
    await act(page, potWords.goOn).click();
    expect((await eventsOf(page)).slice(-2).map((one) => one.type)).toEqual(['pouredOff', 'moved']);
    expect((await eventsOf(page)).filter((one) => one.type === 'slip')).toHaveLength(3);
  });

  await test.step('pieces out, parked with their place, asked for when their stage comes', async () => {
    await act(page, potWords.outOfThePot).click();
    await sheet(page).getByText(potWords.aPartOfIt).click();
    await act(page, potWords.itIsOut).click();
    await expect(sheet(page).getByText('The weight must be a number of g, not empty.')).toBeVisible();
    await sheet(page).getByLabel(potWords.itWeighs).fill('300');
    await accessible(page, 'out of the pot');
    await act(page, potWords.itIsOut).click();
    await expect(sheet(page)).toHaveCount(0);
    await act(page, potWords.outOfThePot).click();
    await expect(
      sheet(page).getByText(/tray, spread out; 300 g as it came out; back for “Potatoes until they give”/),
    ).toBeVisible();
    await page.keyboard.press('Escape');
    await act(page, potWords.itsAtTheMark).click();
    await act(page, potWords.theseAreInBegin).click();
    await expect(page.getByRole('heading', { name: /^Back in:/ })).toBeVisible();
    await act(page, potWords.backInThePot).click();
    await expect(page.getByRole('heading', { name: /^Back in:/ })).toHaveCount(0);
  });

  await test.step('a reload in the middle shows the same pot, and a second window agrees', async () => {
    await page.reload();
    await expect(page.getByText('3 bay')).toBeVisible();
    const second = await page.context().newPage();
    await second.goto(page.url());
    await expect(second.getByText('3 bay')).toBeVisible();
    await takeOutAll(page).catch(() => undefined);
    await second.close();
  });
});

test('a probe set at a pot from the Kitchen: it reads by itself; one that sends rubbish is told, and does no harm', async ({
  page,
}) => {
  await page.goto(`${server.url}/plan?recipe=leek-perry-broth&service=evening&pot=stockpot-40&burner=gas-3`);
  await take(page);
  await act(page, potWords.theseAreInBegin).click();
  const pot = page.url();
  await page.goto(`${server.url}/kitchen`);
  await page.getByRole('button', { name: / At$/ }).click();
  await page.getByRole('option', { name: /Leek and perry/ }).click();
  await act(page, kitchenWords.addIt).click();
  const row = page.getByRole('listitem').filter({ hasText: 'simulated probe' });
  await expect(row).toContainText(/°C/);
  await page.goto(pot);
  await expect(page.getByText(/simulated probe shows/)).toBeVisible();
  await expect.poll(async () => (await last(page)).by, { timeout: 15_000 }).toBe('simulated probe');
  const readings = async () => (await eventsOf(page)).filter((one) => one.type === 'reading').length;
  const before = await readings();
  await move(page, 6);
  expect(await readings()).toBeGreaterThan(before);

  await page.goto(`${server.url}/kitchen`);
  await page.getByRole('button', { name: / At$/ }).click();
  await page.getByRole('option', { name: /Leek and perry/ }).click();
  await page.getByRole('button', { name: / Which$/ }).click();
  await page.getByRole('option', { name: kitchenWords.sendsNonsense }).click();
  await act(page, kitchenWords.addIt).click();
  await expect(row).toContainText(/It sends what cannot be/);
  await accessible(page, 'kitchen with a device');
  await page.goto(pot);
  await expect(page.getByText(/simulated probe: It sends what cannot be/)).toBeVisible();
  await page.goto(`${server.url}/kitchen`);
  await row.getByRole('button', { name: /^Remove/ }).click();
  await expect(row).toHaveCount(0);
});

test('a tablet whose clock is seven minutes wrong, and one that slept: times still agree', async ({
  page,
  browser,
}) => {
  await page.goto(
    `${server.url}/plan?recipe=pepper-lentil-puree&service=evening&pot=kettle-60&burner=jacket`,
  );
  await take(page);
  await act(page, potWords.theseAreInBegin).click();
  const wrong = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const tablet = await wrong.newPage();
  await tablet.clock.install({ time: Date.now() + 7 * 60_000 });
  await tablet.goto(page.url());
  await tablet.clock.runFor(2000);
  const hour = (on: Page) =>
    on
      .locator('header')
      .getByText(/^\d\d:\d\d$/)
      .first()
      .innerText();
  const minutesOf = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));
  expect(Math.abs(minutesOf(await hour(tablet)) - minutesOf(await hour(page)))).toBeLessThanOrEqual(1);
  await tablet.getByRole('button', { name: potWords.undoOrNote }).click();
  await tablet.getByLabel(potWords.aNote).fill('from the wrong clock');
  await tablet.getByRole('button', { name: potWords.saveTheNote }).click();
  await expect.poll(async () => (await last(page)).payload.text).toBe('from the wrong clock');
  const kitchen = await (await page.request.get(`${server.url}/api/kitchen`)).json();
  const nowMs =
    kitchen.clock.kitchenFromMs +
    (kitchen.clock.serverNowMs - kitchen.clock.realFromMs) * kitchen.clock.speed;
  expect(Math.abs((await last(page)).actedAtMs - nowMs)).toBeLessThan(10_000);
  await wrong.close();

  // asleep while kitchen time goes on: nothing ticks in it, and on waking it is right at once
  const session = await page.context().newCDPSession(page);
  await session.send('Page.setWebLifecycleState', { state: 'frozen' });
  const before = minutesOf(await hour(page));
  await move(page, ASLEEP_MIN);
  await session.send('Page.setWebLifecycleState', { state: 'active' });
  await expect.poll(async () => minutesOf(await hour(page)) - before).toBeGreaterThanOrEqual(ASLEEP_MIN - 1);
});

test('a rehearsal: called by eye on a hidden burner, then the truth and the score, kept over time', async ({
  page,
}) => {
  await page.goto(`${server.url}/recipes/venison-juniper-sauce`);
  await page.getByRole('link', { name: recipeWords.rehearseIt }).click();
  await expect(page.getByRole('heading', { name: /^Rehearse:/ })).toBeVisible();
  await expect(act(page, rehearseWords.showTheTruth)).toBeDisabled();
  for (let i = 0; i < 2; i++) {
    await page.waitForTimeout(2500);
    await act(page, rehearseWords.aQuarterGone).click();
    await accessible(page, 'rehearsal');
    await act(page, rehearseWords.showTheTruth).click();
    await expect(page.getByText(/% of its rating/)).toBeVisible();
    await expect(
      page.getByRole('row', { name: /A quarter gone.*(right|points too (early|late))/ }),
    ).toBeVisible();
    if (i === 0) await act(page, rehearseWords.againOnAnotherBurner).click();
  }
  await expect(page.getByText('1 before')).toBeVisible();
  await accessible(page, 'truth of a rehearsal');
  const kept = await (await page.request.get(`${server.url}/api/rehearsals`)).json();
  expect(kept).toHaveLength(2);
  const wrong = await page.request.post(`${server.url}/api/rehearsals`, {
    data: { id: kept[0].id, recipeId: 'venison-juniper-sauce', calls: [] },
  });
  expect(wrong.status()).toBe(400);
});
