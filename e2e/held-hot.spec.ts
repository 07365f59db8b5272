import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { coolingWords, holdWords, potWords } from '../web/words';
import { atBothSizes } from './both-sizes';
import { hotPot, move } from './cook';

/** Held hot through a service: in pans, checked by the rhythm, sagged, reheated and signed; then given up. */
atBothSizes((server) => {
  test('held in pans, checked, topped up; too cold it is reheated once and signed, and the second time thrown away', async ({
    page,
    context,
  }) => {
    const { request } = page;
    const url = server().url;
    const kitchen = await (await request.get(`${url}/api/kitchen`)).json();
    // a thermometer every five minutes: the walk of an afternoon in a quarter of an hour
    const equipment = { ...kitchen.equipment, bainMariePans: 4, bainMariePanLitres: 8, holdCheckMin: 5 };
    const changed = await request.post(`${url}/api/kitchen/changes`, {
      data: { id: randomUUID(), change: 'equipment', equipment },
    });
    expect(changed.ok(), await changed.text()).toBe(true);
    const { batch, put, serve } = await hotPot(request, url, { recipeId: 'celeriac-veloute', inMin: 4 });
    await put(88);
    await serve();

    await page.goto(`${url}/batches/${batch.id}/pass`);
    const hold = page.getByRole('region', { name: holdWords.heldHot });
    await expect(hold).toContainText(/no thermometer yet, next by \d/);
    await hold.getByRole('button', { name: holdWords.holdItHot }).click();
    const sheet = page.getByRole('dialog');
    // too cold to hold at, and more than the pans take: each a sentence, and nothing is said
    await sheet.getByLabel(holdWords.keptAt).fill('45');
    await sheet.getByRole('button', { name: holdWords.hold, exact: true }).click();
    await expect(sheet.getByText(/45 °C is too cold to hold at: keep it at 57 °C or more/)).toBeVisible();
    await sheet.getByLabel(holdWords.keptAt).fill('72');
    await sheet.getByRole('textbox', { name: holdWords.howManyPans }).fill('1');
    await sheet.getByRole('button', { name: holdWords.hold, exact: true }).click();
    await expect(sheet.getByText(/does not go into the bain-marie/)).toBeVisible();
    await sheet.getByRole('textbox', { name: holdWords.howManyPans }).fill('3');
    await sheet.getByText(holdWords.lids.ajar, { exact: true }).click();
    await sheet.getByRole('button', { name: holdWords.hold, exact: true }).click();
    await expect(hold).toContainText('Held hot in 3 bain-marie pans, kept at 72 °C, lid ajar');
    await expect(hold).toContainText(/By \d\d:\d\d about .* steams off/);

    // the rhythm: it calls for a thermometer, and 69 satisfies it
    await move(page, 6);
    await page.goto(`${url}/batches/${batch.id}`);
    await expect(page.getByRole('heading', { name: holdWords.takeTheTemperature })).toBeVisible();
    await page.getByRole('button', { name: potWords.toThePass }).click();
    const read = async (value: string) => {
      await hold.getByRole('button', { name: holdWords.takeTheTemperature }).click();
      await page.getByRole('dialog').getByLabel(holdWords.inTheMiddle).fill(value);
      await page.getByRole('dialog').getByRole('button', { name: holdWords.save }).click();
    };
    await read('hot');
    await expect(page.getByRole('dialog').getByText(/Temperature must be a number/)).toBeVisible();
    await page.getByRole('dialog').getByLabel(holdWords.inTheMiddle).fill('69');
    await page.getByRole('dialog').getByRole('button', { name: holdWords.save }).click();
    await expect(hold).toContainText(/69 °C at \d\d:\d\d, next by \d/);
    const topUp = hold.getByRole('button', { name: /^Top up/ });
    if (await topUp.isVisible()) await topUp.click();

    // it sags, with the line down: the reading waits, and counts at once
    await context.setOffline(true);
    await read('52');
    await expect(hold).toContainText(/52 °C, under 57 °C \(§ 3-501.16\)/);
    await expect(hold).toContainText(/Reheat it once to 74 °C all through by \d/);
    await context.setOffline(false);
    await expect(page.getByText(/waiting to be sent/)).toHaveCount(0);
    const other = await context.newPage();
    await other.goto(`${url}/batches/${batch.id}`);
    await expect(other.getByRole('heading', { name: /^Reheat it by/ })).toBeVisible();
    await other.close();

    await hold.getByRole('button', { name: new RegExp(`^${holdWords.reheated}`) }).click();
    const reheated = page.getByRole('dialog', { name: holdWords.reheatedTitle });
    await reheated.getByLabel(coolingWords.reheatedTo).fill('70');
    await reheated.getByLabel(coolingWords.whoSigns).fill('Nobody');
    await reheated.getByRole('button', { name: coolingWords.signed }).click();
    await expect(reheated.getByRole('alert').first()).toContainText(/70 °C is not enough|does not work here/);
    await reheated.getByLabel(coolingWords.reheatedTo).fill('76');
    await reheated.getByRole('button', { name: coolingWords.signed }).click();
    await expect(reheated.getByText(/does not work here/)).toBeVisible();
    await reheated.getByLabel(coolingWords.whoSigns).fill(kitchen.people[0].name);
    await reheated.getByRole('button', { name: coolingWords.signed }).click();
    await expect(reheated).toHaveCount(0);
    await expect(hold.getByText(/Reheat it once/)).toHaveCount(0);

    // and once more: it is not reheated a second time
    await read('50');
    await expect(hold).toContainText(/It was reheated once already/);
    await expect(hold.getByRole('button', { name: new RegExp(`^${holdWords.reheated}`) })).toHaveCount(0);
    await hold.getByRole('button', { name: new RegExp(`^${holdWords.thrownAway}`) }).click();
    const away = page.getByRole('dialog', { name: holdWords.thrownAwayTitle });
    await away.getByLabel(coolingWords.whoSigns).fill(kitchen.people[0].name);
    await away.getByRole('button', { name: coolingWords.signed }).click();
    await expect(away).toHaveCount(0);
    const closed = async () => (await (await request.get(`${url}/api/batches/${batch.id}`)).json()).result;
    await expect.poll(closed).toMatchObject({ served: 0 });
    expect((await closed()).discarded).toBeGreaterThan(50);
  });
});
