import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { coolingWords, holdWords, lotWords, passWords, planWords, potWords, recordWords } from '../web/words';
import { hotPot, move, openPot, portionsOut } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/**
 * Two days of one soup: held through a service with a check each half hour, a sag, reheated and signed; what is left
 * cooled in time by an act; the next day reheated, the rest thrown away. Its record writes itself: signed, printed, taken
 * out, and a changed copy found.
 */
let server: DemoServer;
test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

const WHO = 'Isla';

async function readAs(page: Page, value: string, sheetOf: string): Promise<void> {
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: sheetOf }).fill(value);
  await sheet.getByText(WHO, { exact: true }).click();
  await sheet
    .getByRole('button', { name: holdWords.save, exact: true })
    .or(sheet.getByRole('button', { name: coolingWords.save, exact: true }))
    .click();
}

const row = (page: Page, words: RegExp | string) => page.getByRole('row').filter({ hasText: words });

test('held, sagged, reheated; cooled by an act; reheated the next day; on the record of two days, signed and taken out', async ({
  page,
  context,
}) => {
  test.setTimeout(900_000);
  const { request } = page;
  const { url } = server;
  const { batch, say, put, serve } = await hotPot(request, url, {
    recipeId: 'celeriac-veloute',
    inMin: 4,
    portions: 110,
    potId: 'kettle-60',
    burnerId: 'jacket',
  });
  const lotOf = async () =>
    (await (await request.get(`${url}/api/lots`)).json()).find(
      (lot: { origin: { batchId?: string } }) => lot.origin.batchId === batch.id,
    );
  const hold = page.getByRole('region', { name: holdWords.heldHot });
  const check = async (value: string) => {
    await hold.getByRole('button', { name: holdWords.takeTheTemperature }).click();
    await readAs(page, value, holdWords.inTheMiddle);
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };

  await test.step('cooked, and held through the service: a check each half hour, one forgotten', async () => {
    await put(80);
    await page.goto(`${url}/batches/${batch.id}/pass`);
    await move(page, 1);
    await say('reading', { kind: 'temperature', value: 79, by: WHO });
    await serve();
    await expect(hold).toBeVisible();
    await hold.getByRole('button', { name: holdWords.holdItHot }).click();
    await page.getByRole('dialog').getByText(holdWords.inWhat.pot, { exact: true }).click();
    await page.getByRole('dialog').getByRole('button', { name: holdWords.hold, exact: true }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await move(page, 28);
    await check('71');
    await move(page, 28);
    await check('70');
    // an hour without a thermometer
    await move(page, 58);
  });

  await test.step('it sags while the line is down: kept, sent, reheated and signed; a probe on a second tablet', async () => {
    await context.setOffline(true);
    await check('52');
    await expect(hold).toContainText(/52 °C, under 57 °C/);
    await context.setOffline(false);
    await expect(page.getByText(/waiting to be sent/)).toHaveCount(0);
    await hold.getByRole('button', { name: new RegExp(`^${holdWords.reheated}`) }).click();
    const sheet = page.getByRole('dialog', { name: holdWords.reheatedTitle });
    await sheet.getByLabel(coolingWords.reheatedTo).fill('76');
    await sheet.getByLabel(coolingWords.whoSigns).fill(WHO);
    await sheet.getByRole('button', { name: coolingWords.signed }).click();
    await expect(sheet).toHaveCount(0);
    const probe = await request.post(`${url}/api/simulated-devices`, {
      data: { kind: 'probe', batchId: batch.id, fault: 'none' },
    });
    const { id: probeId } = await probe.json();
    const other = await context.newPage();
    await other.goto(`${url}/log/record`);
    await move(other, 2);
    await expect(row(other, 'Simulated probe').first()).toBeVisible({ timeout: 30_000 });
    await request.delete(`${url}/api/devices/${probeId}`);
    await other.close();
    await portionsOut(page, '12');
  });

  await test.step('what is left is stored and cooled: warned, poured into more pans, cold; half of it frozen', async () => {
    await page.goto(`${url}/batches/${batch.id}/pass`);
    await page.getByRole('button', { name: passWords.storeSome }).click();
    const sheet = page.getByRole('dialog');
    const why = sheet.getByRole('textbox', { name: passWords.orSayWhyItStays });
    if (await why.isVisible()) await why.fill('it stays in');
    await sheet.getByRole('textbox', { name: passWords.amountAsItIsCold }).fill('20');
    await sheet.getByRole('button', { name: passWords.storeIt }).click();
    await expect(sheet).toHaveCount(0);
    await say('closed', { leftLitres: 0 });
    await page.goto(`${url}/larder/cooling`);
    const cooling = page.getByRole('article').first();
    await cooling.getByRole('button', { name: coolingWords.coolIt }).click();
    const ways = page.getByRole('dialog');
    await ways.getByRole('textbox', { name: coolingWords.howMany }).fill('3');
    await ways.getByRole('button', { name: coolingWords.coolItSo, exact: true }).last().click();
    await expect(ways).toHaveCount(0);
    const read = async (value: string) => {
      await cooling.getByRole('button', { name: coolingWords.takeATemperature }).click();
      await readAs(page, value, coolingWords.inTheMiddle);
      const sure = page.getByRole('button', { name: coolingWords.itIsRight });
      await expect(sure.or(page.locator('body:not(:has([role=dialog]))')).first()).toBeVisible();
      if (await sure.isVisible()) await sure.click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    };
    await move(page, 12);
    await read('68');
    await move(page, 12);
    await read('64');
    await expect(cooling.getByRole('status')).toHaveText(/^Will miss 21 °C/);
    await cooling
      .getByRole('button', { name: /^Done: log it: Pour into/ })
      .first()
      .click();
    await expect(cooling.getByRole('status')).toHaveText(/^In time for 21 °C/);
    await read('20');
    await read('4');
    const lot = await lotOf();
    await page.goto(`${url}/larder/lots/${lot.id}`);
    await page.getByRole('button', { name: lotWords.splitOff, exact: true }).click();
    const part = page.getByRole('dialog');
    await part.getByLabel(lotWords.howMuch).fill('8');
    await part.getByRole('button', { name: lotWords.splitItOff }).click();
    await expect(part).toHaveCount(0);
    await expect(page.getByText(/^Between 5 °C and 57 °C for .* in all\.$/)).toBeVisible();
    await page.getByRole('link', { name: recordWords.itsRecord }).click();
    await expect(row(page, '20.0 °C')).toContainText('within');
    await expect(row(page, '76.0 °C')).toContainText('74 °C or more');
  });

  const today = (await (await request.get(`${url}/api/kitchen`)).json()).clock.kitchenFromMs;
  const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);

  await test.step('the first day on one page: what was out with what was done, what nobody measured; signed', async () => {
    await page.goto(`${url}/log`);
    await page.getByRole('link', { name: recordWords.theRecordOfToday }).click();
    await expect(row(page, '52.0 °C')).toContainText(new RegExp(`out.*Reheated \\d\\d:\\d\\d, ${WHO}`));
    await expect(row(page, /Not measured till/)).toHaveCount(1);
    await expect(row(page, '79.0 °C')).toContainText('68 °C or more');
    await expect(row(page, '5 °C or less by').filter({ hasText: 'within' })).toContainText(WHO);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map((one) => one.id)).toEqual([]);
    const sign = page.getByRole('region', { name: recordWords.sign });
    await sign.getByLabel(recordWords.whoIsInCharge).fill('Nobody');
    await sign.getByRole('button', { name: recordWords.signDay }).click();
    await expect(sign.getByText(/“Nobody” does not work here/)).toBeVisible();
    await sign.getByLabel(recordWords.whoIsInCharge).fill(WHO);
    await sign.getByRole('button', { name: recordWords.signDay }).click();
    await expect(sign.getByText(new RegExp(`^Signed by ${WHO}`))).toBeVisible();
    const paper = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(paper.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  });

  await test.step('the next day: the set fat lifted, reheated, the rest thrown away with a reason', async () => {
    await request.post(`${url}/api/clock`, { data: { change: 'nextMorning' } });
    const lot = await lotOf();
    await page.goto(`${url}/larder/lots/${lot.id}`);
    const lift = page.getByRole('button', { name: lotWords.liftTheFat, exact: true });
    await lift.click();
    const fat = page.getByRole('dialog');
    await fat.getByLabel(lotWords.fatLiftedByWeight).fill('0.1');
    await fat
      .getByRole('button', { name: lotWords.liftTheSetFat })
      .or(fat.getByRole('button').last())
      .first()
      .click();
    await expect(fat).toHaveCount(0);
    await page.getByRole('link', { name: lotWords.reheat }).click();
    const order = page.getByRole('group', { name: planWords.theOrder });
    await order.getByLabel(planWords.bowls4, { exact: true }).fill('20');
    await page.getByRole('button', { name: /^Take it to/ }).click();
    await openPot(page);
    await page.getByRole('button', { name: potWords.theseAreInBegin }).click();
    await move(page, 20);
    const reheated = /batches\/([^/]+)/.exec(page.url())![1]!;
    const told = async (type: string, v: number, payload: object) => {
      const said = await request.post(`${url}/api/batches/${reheated}/events`, {
        data: { id: randomUUID(), type, v, payload },
      });
      expect(said.ok(), await said.text()).toBe(true);
    };
    await told('reading', 1, { kind: 'temperature', value: 78, by: WHO, sure: true });
    await told('portioned', 3, { portions: 18, fate: 'served', overrideReason: 'as a test' });
    await told('closed', 1, { leftLitres: 0.2 });
    await page.goto(`${url}/larder/lots/${lot.id}`);
    await page.getByRole('button', { name: lotWords.throwAway, exact: true }).click();
    const away = page.getByRole('dialog');
    await away.getByLabel(lotWords.howMuch).fill('2');
    await away.getByRole('textbox').last().fill('a day too long in service');
    await away.getByRole('button', { name: lotWords.throwItAway, exact: true }).click();
    await expect(away).toHaveCount(0);
    await page.goto(`${url}/log/record`);
    await expect(row(page, '78.0 °C')).toContainText(/within.*74 °C or more by \d\d:\d\d/);
    await expect(row(page, 'a day too long in service').first()).toContainText(/2\.0\d kg/);
    const money = page.getByRole('region', { name: recordWords.whatItCost });
    await expect(money).toContainText(/off the shelf: a day too long in service/);
    await page.getByRole('link', { name: recordWords.dayBefore }).click();
    await expect(page.getByText(new RegExp(`^Signed by ${WHO}`)).first()).toBeVisible();
    await expect(row(page, '52.0 °C')).toBeVisible();
  });

  await test.step('taken out as a file: whole; one figure changed, and its line is named', async () => {
    const taken = async (name: string) => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name, exact: true }).click(),
      ]);
      expect(download.suggestedFilename()).toContain(`record-${dayOf(today)}`);
      return download.path();
    };
    for (const name of [recordWords.asCsv, recordWords.asJsonLines]) {
      const path = await taken(name);
      const handIn = async () => {
        const [chooser] = await Promise.all([
          page.waitForEvent('filechooser'),
          page.getByRole('button', { name: recordWords.checkACopy }).click(),
        ]);
        await chooser.setFiles({ name: 'x', mimeType: 'text/plain', buffer: readFileSync(path) });
      };
      await handIn();
      await expect(
        page.getByText(/^Whole: \d+ lines, of Corrie Halt Buffet\. It says what the record says now/),
      ).toBeVisible();
      writeFileSync(path, readFileSync(path, 'utf8').replace(/\b52\b/, '62'));
      await handIn();
      await expect(page.getByText(/^Caution:\s*Line \d+ is not as it was written/)).toBeVisible();
      await page.reload();
    }
  });
});
