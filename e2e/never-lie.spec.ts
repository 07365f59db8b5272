import { randomUUID } from 'node:crypto';
import { expect, type Page, test } from '@playwright/test';
import { chowderOrder, said } from '../server/testing/say';
import {
  basesWords,
  commonWords,
  larderWords,
  lotWords,
  passWords,
  planWords,
  potWords,
  recipeWords,
} from '../web/words';
import { startChowder } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** A cook tells a guest “no fish in it” because the screen says so: tried from every side. */
let server: DemoServer;

test.beforeEach(async () => {
  server = await demoServer();
  await server.start();
});
test.afterEach(() => server.remove());

const send = async (page: Page, path: string, data: object, status = 201) => {
  const answer = await page.request.post(`${server.url}/api${path}`, { data });
  expect(answer.status(), await answer.text()).toBe(status);
  return answer.json();
};
const shelf = (page: Page, type: string, payload: object) =>
  send(page, '/larder/events', { id: randomUUID(), type, v: type === 'found' ? 2 : 1, payload });
const kitchenNow = async (page: Page): Promise<number> =>
  (await (await page.request.get(`${server.url}/api/kitchen`)).json()).clock.kitchenFromMs;
async function found(page: Page, ingredientId: string, kg: number, hoursAgo = 1): Promise<string> {
  const lotId = randomUUID();
  const madeAtMs = (await kitchenNow(page)) - hoursAgo * 3_600_000;
  const place = { place: 'walk-in', storage: 'chilled', note: 'counted' };
  await shelf(page, 'found', { lotId, ingredientId, kg, madeAtMs, ...place });
  return lotId;
}

test('a blend with fumet for a stock: offered with its fish, and once it is in, every screen says so', async ({
  page,
}) => {
  const parts = [
    { lotId: await found(page, 'vegetable-stock', 8), kg: 8 },
    { lotId: await found(page, 'fish-fumet', 3), kg: 3 },
  ];
  const toLotId = randomUUID();
  const kept = { waterKg: 0, place: 'walk-in', storage: 'chilled' };
  await shelf(page, 'blended', { toLotId, name: 'Stock of the house', parts, ...kept });
  await page.goto(`${server.url}/plan?recipe=pepper-lentil-puree&service=evening&portions=12&pot=rondeau-24`);
  const contains = page.getByRole('region', { name: lotWords.contains });
  await expect(contains).not.toContainText('fish');
  const larder = page.getByRole('region', { name: planWords.fromTheLarder });
  await expect(larder).toContainText(/Stock of the house, lot \d+, brings fish/);
  await page.getByRole('button', { name: /^Draw lot \d+ too$/ }).click();
  await expect(contains).toContainText(/Fish.* came in with stock of the house, lot \d+/);
  await page.getByRole('button', { name: /^Leave lot/ }).click();
  await expect(contains).not.toContainText(/fish/i);
  await page.getByRole('button', { name: /^Take it to/ }).click();
  // short of stock without it: the cook has some from elsewhere
  const comesFrom = page.getByRole('textbox', { name: planWords.itComesFrom });
  await comesFrom.fill('the early shift');
  await page.getByRole('button', { name: planWords.cookItAnyway }).click();
  await page.waitForURL(/batches/);
  const batch = page.url();
  await expect(page.getByRole('alert', { name: potWords.notAsOrdered })).toHaveCount(0);

  await test.step('two presses: another lot, these are in', async () => {
    await page.getByRole('button', { name: potWords.theseAreInBegin }).click();
    await page.getByRole('button', { name: potWords.stageDone }).click();
    await page.getByRole('button', { name: potWords.otherAmounts }).click();
    await page
      .getByRole('button', { name: /^as planned: no lot/ })
      .last()
      .click();
    await page.getByRole('option', { name: /brings fish/ }).click();
    await page.getByRole('button', { name: potWords.theseAreIn, exact: true }).click();
    const told = page.getByRole('alert', { name: potWords.notAsOrdered });
    await expect(told).toContainText(/Fish.* came in with stock of the house, lot \d+/);
    await expect(page.getByRole('navigation', { name: commonWords.theRange })).toContainText(/now with fish/);
    await page.goto(`${batch}/pass`);
    await expect(told).toContainText(/Fish/);
    await expect(page.getByText(/^Contains .*fish/)).toBeVisible();
  });

  await test.step('and so does the label of what is stored of it', async () => {
    await page.getByRole('button', { name: passWords.storeSome }).click();
    await page.getByRole('dialog').getByRole('textbox').first().fill('1');
    await page.getByRole('button', { name: passWords.storeIt }).click();
    await page.getByRole('link', { name: /its label$/ }).click();
    await expect(page.getByText(/fish/).first()).toBeVisible();
    await page.getByRole('link', { name: lotWords.label, exact: true }).click();
    await expect(page.getByRole('article')).toContainText(/Contains.*fish/);
  });
});

test('fish out of another pot, in a soup that never knew it, is on its label', async ({ page }) => {
  const batch = await startChowder(page.request, server.url);
  await page.goto(`${server.url}/batches/${batch.id}`);
  await page.getByRole('button', { name: potWords.theseAreInBegin }).click();
  await page.getByRole('button', { name: potWords.somethingWentWrong }).click();
  await page.getByText(potWords.fromAnotherPot).click();
  const which = page.getByRole('combobox', { name: potWords.which });
  await which.fill('Mussel m');
  await page.getByRole('option', { name: 'Mussel meat' }).click();
  await page.getByRole('textbox', { name: potWords.aboutHowMuch }).fill('300');
  await page.getByRole('button', { name: potWords.logIt }).click();
  await page.getByRole('button', { name: potWords.goOn }).click();
  await expect(page.getByRole('alert', { name: potWords.notAsOrdered })).toContainText(
    /Molluscs.* came in with mussel meat/,
  );
});

test('what is found out late of a pot is told on the range of every pot that drew from it', async ({
  page,
}) => {
  const kitchen = await (await page.request.get(`${server.url}/api/kitchen`)).json();
  const chowder = await startChowder(page.request, server.url);
  const puree = await send(page, '/batches', {
    ...chowderOrder(kitchen, 1, { recipeId: 'pepper-lentil-puree', portions: 12, band: 4 }),
    potId: 'stockpot-40',
    burnerId: 'gas-2',
    overrideReason: 'as a test',
  });
  const atPot = (id: string, type: string, payload: object, ageMs = 0) =>
    send(page, `/batches/${id}/events`, said(type, payload, { ageMs }));
  const water = { ingredientId: 'water', kg: 4, tempC: 15 };
  await atPot(chowder.id, 'added', { items: [water] });
  await page.waitForTimeout(1500);
  const before = Date.now();
  await page.waitForTimeout(2500);
  const lotId = randomUUID();
  await atPot(chowder.id, 'stored', { lotId, litres: 2, place: 'walk-in', storage: 'chilled' });
  const items = [{ ingredientId: 'vegetable-stock', kg: 1, tempC: 5, lotId }];
  await atPot(puree.id, 'added', { items });
  await page.goto(`${server.url}/larder`);
  const range = page.getByRole('navigation', { name: commonWords.theRange });
  const place = range.locator(`a[href*="${puree.id}"]`);
  await expect(place).toBeVisible();
  await expect(place).not.toContainText(/mollusc/);
  // on a busy machine the page is drawn before it listens
  await page.waitForTimeout(3000);
  const mussels = { kind: 'wrongPot', ingredientId: 'mussel', kg: 0.3, tempC: 20 };
  await atPot(chowder.id, 'slip', mussels, Date.now() - before);
  await expect(place).toContainText(/now with .*mollusc/, { timeout: 30_000 });
});

test('an own food called Milk takes no other’s place, and a book of foods takes no milk off a dish', async ({
  page,
}) => {
  await page.goto(`${server.url}/larder/foods`);
  await page.getByRole('button', { name: larderWords.aFoodOfOurOwn }).click();
  await page.getByRole('textbox', { name: larderWords.itsName }).fill('Milk');
  const like = page.getByRole('combobox', { name: larderWords.itIsLike });
  await like.fill(basesWords.water);
  await page.getByRole('option', { name: basesWords.water, exact: true }).click();
  await page.getByRole('button', { name: larderWords.addIt }).click();
  await expect(page.getByText(/is called so already: give this another name/)).toBeVisible();
  await page.getByRole('button', { name: larderWords.notNow }).click();

  const { ingredients } = JSON.parse(await (await page.request.get(`${server.url}/api/book.json`)).text());
  expect(ingredients).toBeDefined();
  const barley = {
    id: 'pearl-barley',
    name: 'Pearl barley',
    kind: 'grain',
    perKg: {
      water: 0.1,
      fat: 0.01,
      protein: 0.1,
      sugars: 0.01,
      starch: 0.62,
      other: 0.16,
      salt: 0,
      alcohol: 0,
    },
    densityKgPerL: 1.3,
    looseKgPerL: 0.8,
    yield: 1,
    share: 'pieces',
    allergens: [],
    diet: 'vegan',
    store: 'dry store',
    source: 'somebody’s file',
  };
  const text = JSON.stringify({ format: 'slow-pot-book', version: 1, recipes: [], ingredients: [barley] });
  await page.goto(`${server.url}/recipes`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: recipeWords.import }).click();
  await (await chooser).setFiles({
    name: 'foods.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  });
  const dialog = page.getByRole('dialog', { name: recipeWords.theBookInThisFile });
  await expect(dialog.getByRole('region', { name: recipeWords.dishes })).toContainText(
    /Beetroot and barley broth.*no longer barley/,
  );
  await expect(dialog.getByRole('button', { name: recipeWords.importThisBook })).toBeDisabled();
  await page.keyboard.press('Escape');
  await page.goto(`${server.url}/recipes/beetroot-barley-broth`);
  await expect(page.getByText('barley, rye or oats').first()).toBeVisible();
});

test('an undo under a parting that was drawn is refused by name; a past lot stays past in the freezer', async ({
  page,
}) => {
  const batch = await startChowder(page.request, server.url);
  const lotId = await found(page, 'fish-fumet', 9, 24 * 8);
  const toLotId = randomUUID();
  await shelf(page, 'split', { lotId, toLotId, kg: 5, place: 'shelf 2', storage: 'chilled' });
  const items = [{ ingredientId: 'fish-fumet', kg: 1, tempC: 5, lotId: toLotId, overrideReason: 'tasted' }];
  await send(page, `/batches/${batch.id}/events`, {
    id: randomUUID(),
    type: 'added',
    v: 3,
    payload: { items },
  });
  await page.goto(`${server.url}/larder/lots/${lotId}`);
  await page.getByRole('button', { name: /^Undo: .*split/i }).click();
  await expect(page.getByText(/1.00 kg into .*chowder. Undo that first, or count the lot/i)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/past its date/).first()).toBeVisible();
  await page.getByRole('button', { name: lotWords.freeze, exact: true }).click();
  await page.getByRole('button', { name: lotWords.freezeIt }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByText(/past its date/).first()).toBeVisible();
});
