import { expect, type Page, test } from '@playwright/test';
import { coolingWords, lotWords } from '../web/words';
import { atBothSizes } from './both-sizes';
import { move } from './cook';
import { type DemoServer, demoServer } from './demo-server';
import { hotLot } from './hot-lot';

/** Hot food put away: the ways it can be cooled, the warning while something can be done, the act, cold; or too late, signed. */
const cooling = (page: Page) => page.getByRole('article').first();

async function takeTemperature(page: Page, shown: string): Promise<void> {
  await cooling(page).getByRole('button', { name: coolingWords.takeATemperature }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: coolingWords.inTheMiddle }).fill(shown);
  await sheet.getByRole('button', { name: coolingWords.save, exact: true }).click();
}

atBothSizes((server) => {
  test('25 L in pans: warned in time, poured shallower, cold; its label, half of it frozen', async ({
    page,
  }) => {
    const { lotId } = await hotLot(page.request, server().url, { portions: 90, litres: 25 });
    await page.goto(`${server().url}/recipes`);
    // from any page: what is hot and nobody has said how it is cooled stands on the range
    await page.getByRole('link', { name: /stands hot: say how it is cooled/ }).click();

    await test.step('the ways this kitchen has, told before one is taken; a wrong number is a sentence', async () => {
      await cooling(page).getByRole('button', { name: coolingWords.coolIt }).click();
      const sheet = page.getByRole('dialog');
      await expect(sheet.getByText(coolingWords.inTime, { exact: true })).toHaveCount(1);
      await expect(sheet.getByText(/kg of ice/)).toBeVisible();
      await sheet.getByRole('textbox', { name: coolingWords.howMany }).fill('none');
      await sheet.getByRole('button', { name: coolingWords.coolItSo, exact: true }).last().click();
      await expect(sheet.getByText(/Pans must be .*not “none”/)).toBeVisible();
      await sheet.getByRole('textbox', { name: coolingWords.howMany }).fill('3');
      await sheet.getByRole('button', { name: coolingWords.coolItSo, exact: true }).last().click();
      await expect(sheet).toHaveCount(0);
    });

    await test.step('read twice, it will miss: until when what saves it; by a probe of another tablet too', async () => {
      await move(page, 12);
      await takeTemperature(page, 'warm');
      await expect(page.getByText(/must be a number of °C, not “warm”/)).toBeVisible();
      await page.keyboard.press('Escape');
      await takeTemperature(page, '100');
      await expect(page.getByText(/100 °C is far from the \d+ °C expected/)).toBeVisible();
      await page.keyboard.press('Escape');
      await takeTemperature(page, '83');
      await expect(page.getByRole('dialog')).toHaveCount(0);
      await move(page, 12);
      const other = await page.context().newPage();
      await other.goto(`${server().url}/larder/cooling`);
      await takeTemperature(other, '76');
      await expect(other.getByRole('dialog')).toHaveCount(0);
      await other.close();
      await expect(cooling(page).getByRole('status')).toHaveText(/^Will miss 21 °C/);
      await expect(cooling(page).getByText(coolingWords.actBefore, { exact: true })).toBeVisible();
      // it calls from everywhere else
      await page.goto(`${server().url}/recipes`);
      await page.getByRole('alert', { name: coolingWords.aCoolingCalls }).getByRole('button').click();
      await page.waitForURL(/larder\/cooling/);
    });

    await test.step('poured into more pans it is in time again, also after a reload', async () => {
      await cooling(page)
        .getByRole('button', { name: /^Done: log it: Pour into 6 pans/ })
        .click();
      await expect(cooling(page).getByText(/^6 pans, 2\.\d cm deep/)).toBeVisible();
      await page.reload();
      await expect(cooling(page).getByRole('status')).toHaveText(/^In time for 21 °C/);
    });

    await test.step('cold by the thermometer it is off the page; labelled, and half of it frozen', async () => {
      await takeTemperature(page, '4');
      await expect(page.getByText(/4 °C is far from/)).toBeVisible();
      await page.getByRole('button', { name: coolingWords.itIsRight }).click();
      await expect(page.getByText(coolingWords.nothingIsCooling)).toBeVisible();
      await page.goto(`${server().url}/larder/lots/${lotId}/label`);
      await expect(page.getByRole('article', { name: /^Label of lot/ })).toContainText('5 °C or colder');
      await page.goto(`${server().url}/larder/lots/${lotId}`);
      await expect(page.getByText(/Cooling in walk-in: 6 pans/i)).toBeVisible();
      await page.getByRole('button', { name: lotWords.splitOff, exact: true }).click();
      const sheet = page.getByRole('dialog');
      await sheet.getByLabel(lotWords.howMuch).fill('12');
      await sheet.getByRole('button', { name: lotWords.splitItOff }).click();
      await expect(sheet).toHaveCount(0);
      await expect(page.getByText(/split off as lot \d+, freezer/)).toBeVisible();
    });
  });
});

test.describe('in the office, as the sheets are the same', () => {
  let server: DemoServer;
  test.beforeEach(async () => {
    server = await demoServer();
    await server.start();
  });
  test.afterEach(() => server.remove());
  test('too late: reheated and signed it begins again; with the line down the reading waits and counts', async ({
    page,
  }) => {
    await hotLot(page.request, server.url, { portions: 90, litres: 25 });
    await page.goto(`${server.url}/larder/cooling`);
    await cooling(page).getByRole('button', { name: coolingWords.coolIt }).click();
    const warm = page.getByRole('textbox', { name: coolingWords.temperatureNow });
    await warm.fill('hot');
    await expect(page.getByText(/must be a number of °C, not “hot”/)).toBeVisible();
    await warm.fill('');
    await page.getByRole('dialog').getByRole('textbox', { name: coolingWords.howMany }).fill('3');
    await page
      .getByRole('dialog')
      .getByRole('button', { name: coolingWords.coolItSo, exact: true })
      .last()
      .click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.context().setOffline(true);
    await takeTemperature(page, '50');
    await expect(page.getByText(/50 °C is far from/)).toBeVisible();
    await page.getByRole('button', { name: coolingWords.itIsRight }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await page.context().setOffline(false);
    await expect(cooling(page).getByText(/^5\d °C in the middle|^4\d °C in the middle/)).toBeVisible();
    // nobody looked at it until the next morning
    await page.request.post(`${server.url}/api/clock`, { data: { change: 'nextMorning' } });
    await page.reload();
    await expect(cooling(page).getByRole('status')).toHaveText(coolingWords.missed);
    await cooling(page).getByRole('button', { name: coolingWords.reheated }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('textbox', { name: coolingWords.reheatedTo }).fill('70');
    await sheet.getByRole('combobox', { name: coolingWords.whoSigns }).fill('Nobody');
    await sheet.getByRole('button', { name: coolingWords.signed }).click();
    await expect(sheet.getByText(/“Nobody” does not work here|70 °C is not enough/)).toBeVisible();
    await sheet.getByRole('textbox', { name: coolingWords.reheatedTo }).fill('78');
    await sheet.getByRole('combobox', { name: coolingWords.whoSigns }).fill('Isla');
    await sheet.getByRole('button', { name: coolingWords.signed }).click();
    await expect(sheet).toHaveCount(0);
    await expect(cooling(page).getByText('reheated once before')).toBeVisible();
  });
});
