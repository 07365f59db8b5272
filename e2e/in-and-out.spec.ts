import { readFileSync } from 'node:fs';
import { expect, type Page, test } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import {
  commonWords,
  kitchenWords,
  larderWords,
  planWords,
  recipeEditorWords,
  recipeWords,
} from '../web/words';
import { type DemoServer, demoServer } from './demo-server';

/** Files taken out and brought in, and the kitchen's own units. */
let server: DemoServer;

test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

test('taken out and brought in: a book, a saved page, prices; a wrong file says where', async ({ page }) => {
  await page.goto(`${server.url}/recipes`);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: recipeWords.export }).click();
  const book = readFileSync(await (await download).path(), 'utf8');
  const bring = async (on: Page, button: string, name: string, text: string) => {
    const chooser = on.waitForEvent('filechooser');
    await on.getByRole('button', { name: button }).click();
    await (await chooser).setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  };
  await bring(page, recipeWords.import, 'book.json', book);
  await expect(page.getByText(recipeWords.nothingNewAllOfIt)).toBeVisible();
  await page.getByRole('button', { name: commonWords.close }).click();
  await bring(page, recipeWords.import, 'book.json', book.slice(0, 5000));
  await expect(page.getByText(/Line \d+ is not JSON/)).toBeVisible();

  await page.goto(`${server.url}/recipes/new`);
  const ld = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Pea soup',
    recipeYield: '4',
    recipeIngredient: ['500 g frozen peas', '1 L vegetable stock', 'salt to taste'],
    recipeInstructions:
      'Bring the stock to the boil. Add the peas and simmer for 5 minutes. Blend and serve.',
  };
  await bring(
    page,
    recipeEditorWords.fromAFile,
    'page.html',
    `<html><script type="application/ld+json">${JSON.stringify(ld)}</script></html>`,
  );
  await expect(page.getByLabel(recipeEditorWords.nameOfTheRecipe)).toHaveValue('Pea soup');
  await expect(page.getByText(/Green peas, 500 g in the pot/)).toBeVisible();

  await page.goto(`${server.url}/larder/foods`);
  await bring(page, larderWords.importPricesCsv, 'p.csv', 'id,price_per_kg\nonion,1.10\nmoon,2');
  await expect(page.getByText('Line 3: there is no ingredient “moon” in the table.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Price of Onion', exact: true })).toHaveText('£0.95');
  await bring(page, larderWords.importPricesCsv, 'p.csv', 'id,price_per_kg\nonion,1.10');
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveText(/Onion£0\.95 → £1\.10/);
  await page.getByRole('button', { name: 'Import 1 price' }).click();
  await expect(page.getByText('1 price imported.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Price of Onion', exact: true })).toHaveText('£1.10');
  await page.getByRole('button', { name: 'Price of Celeriac', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel(larderWords.aWeightAsPurchased()).fill('dear');
  await sheet.getByRole('button', { name: larderWords.saveThePrice }).click();
  await expect(sheet.getByText('The price must be a number, not “dear”.')).toBeVisible();
  await sheet.getByLabel(larderWords.aWeightAsPurchased()).fill('2.60');
  await expect(sheet.getByRole('listitem').filter({ hasText: 'Celeriac velouté' })).toContainText('→');
  await page.keyboard.press('Escape');
  await page.getByLabel(larderWords.findAFood).fill('gravity');
  await expect(page.getByText('No food is called “gravity”.')).toBeVisible();
});

test('in the kitchen’s own units', async ({ page }) => {
  await page.goto(`${server.url}/kitchen/place`);
  await page.getByText(kitchenWords.ouncesAndPounds).click();
  await page.getByText(kitchenWords.usQuartsAndInches).click();
  await page.getByText('°F', { exact: true }).first().click();
  // pressed one after the other in haste, none is lost
  for (const name of [kitchenWords.ouncesAndPounds, kitchenWords.usQuartsAndInches, '°F'])
    await expect(page.getByRole('radio', { name })).toBeChecked();
  // any unit is understood, whatever stands beside the field
  const air = page.getByRole('textbox', { name: kitchenWords.theKitchenAir });
  await expect(air).toHaveValue('75.2');
  await air.fill('hot');
  await page.getByRole('button', { name: kitchenWords.saveThePlace }).click();
  await expect(page.getByText('The kitchen air must be a number of °F, not “hot”.')).toBeVisible();
  await air.fill('300');
  await expect(page.getByText('The kitchen air must be from 32 to 122 °F.')).toBeVisible();
  await air.fill('20 C');
  await page.getByRole('button', { name: kitchenWords.saveThePlace }).click();
  await expect(page.getByText(kitchenWords.savedPotsAlreadyCookingKeep)).toBeVisible();
  const kept = await (await page.request.get(`${server.url}/api/kitchen`)).json();
  expect(kept).toMatchObject({
    airTempC: 20,
    measures: { weight: 'pounds', volume: 'us', temperature: 'F' },
  });
  await page.goto(`${server.url}/plan?recipe=celeriac-veloute&service=evening&portions=60`);
  await page.getByLabel(planWords.bowlSize).fill('1 cup');
  await expect(page.getByRole('button', { name: /^Yield 15(\.\d)? qt/ })).toBeVisible();
  await page.goto(`${server.url}/sheet?recipe=celeriac-veloute&service=evening&portions=60`);
  await expect(page.getByRole('row', { name: /Celeriac/ }).first()).toContainText(/\d+ lb/);
  await expect(page.getByRole('row', { name: /Chicken stock/ }).first()).toContainText(/\d qt/);
  const back = { id: uuid(), change: 'place', place: { units: 'metric' } };
  await page.request.post(`${server.url}/api/kitchen/changes`, { data: back });
});
