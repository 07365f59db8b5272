import { randomUUID } from 'node:crypto';
import { type BrowserContext, expect, type Page, test } from '@playwright/test';
import { chanceOf } from '../core/testing/chance';
import { commandKitchen } from '../server/testing/command-kitchen';
import { RandomCook } from '../server/testing/random-cook';
import { commonWords, larderWords, passWords, potWords } from '../web/words';
import { startChowder } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** What a page that does not open is headed with; a log may well say that a pot boiled over. */
const DEAD_ENDS = /^(This place cannot be shown|Something boiled over|There is no such place)/;

/** What a tablet must survive: no line, two tabs at once, a page that dies, whatever a cook may have said before. */

let server: DemoServer;
test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

async function startedChowder(context: BrowserContext): Promise<string> {
  const { request } = context;
  const open = await (await request.get(`${server.url}/api/batches/open`)).json();
  const [there] = open;
  if (there) return there.id;
  const { id, snapshot } = await startChowder(request, server.url);
  const begun = { id: randomUUID(), type: 'stageBegun', v: 2 };
  const payload = { stageId: snapshot.input.recipe.stages[0].id };
  await request.post(`${server.url}/api/batches/${id}/events`, { data: { ...begun, payload } });
  return id;
}

/** Goes to a place as a link of the page does: nothing is loaded anew. */
const go = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);

test('two tabs, no line, one of them loaded again: one queue, each entry arrives once, in order', async ({
  context,
}) => {
  const id = await startedChowder(context);
  const tabs = [await context.newPage(), await context.newPage()] as const;
  for (const tab of tabs) {
    await tab.goto(`${server.url}/batches/${id}`);
    await tab.getByRole('button', { name: potWords.undoOrNote }).waitFor();
  }
  const note = async (tab: Page, text: string) => {
    await tab.bringToFront();
    await tab.getByRole('button', { name: potWords.undoOrNote }).click();
    await tab.getByRole('textbox', { name: potWords.aNote }).fill(text);
    await tab.getByRole('button', { name: potWords.saveTheNote }).click();
    await tab.keyboard.press('Escape');
    await expect(tab.getByRole('dialog')).toHaveCount(0);
  };
  await server.stop();
  await note(tabs[0], 'the first tab, first');
  await note(tabs[1], 'the second tab, second');
  await note(tabs[0], 'the first tab, third');
  for (const tab of tabs) await expect(tab.getByText(/3 entries wait on this device/)).toBeVisible();
  // a tab that goes takes nothing with it
  await tabs[0].close();
  await server.start();
  await expect(tabs[1].getByText(/wait on this device/)).toHaveCount(0, { timeout: 20_000 });
  const notes = async () => {
    const { events } = await (await context.request.get(`${server.url}/api/batches/${id}`)).json();
    return events.flatMap((event: { type: string; payload: { text?: string } }) =>
      event.type === 'note' ? [event.payload.text] : [],
    );
  };
  // the strip says nothing of an entry that is on its way
  await expect
    .poll(notes, { timeout: 20_000 })
    .toEqual(['the first tab, first', 'the second tab, second', 'the first tab, third']);
});

test('the rules are asked on the device: what cannot be is refused in words without a line, and waits for nothing', async ({
  context,
  page,
}) => {
  const id = await startedChowder(context);
  const water = [{ ingredientId: 'water', kg: 5, tempC: 20 }];
  const added = { id: randomUUID(), type: 'added', v: 2, payload: { items: water } };
  await context.request.post(`${server.url}/api/batches/${id}/events`, { data: added });
  await page.goto(`${server.url}/batches/${id}/pass`);
  await page.getByRole('button', { name: passWords.storeSome }).click();
  await server.stop();
  await page.getByRole('textbox', { name: passWords.amountAsItIsCold }).fill('90');
  await page.getByRole('button', { name: passWords.storeIt }).click();
  await expect(page.getByText(/90.0 L cannot be stored: the 24 L rondeau holds/)).toBeVisible();
  await expect(page.getByText(/waits on this device/)).toHaveCount(0);
  await server.start();
});

test('a place not yet fetched says so inside its frame, and one that dies leaves the range alive', async ({
  context,
  page,
}) => {
  const id = await startedChowder(context);
  const range = page.getByRole('navigation', { name: commonWords.theRange });
  await page.goto(`${server.url}/batches/${id}`);
  const own = range.getByRole('link', { name: /chowder/i });
  await expect(own).toBeVisible();
  await page.route('**/assets/log-*.js', (route) => route.abort());
  await page.getByRole('link', { name: commonWords.log, exact: true }).click();
  await expect(page.getByRole('heading', { name: commonWords.thisPageIsNotOn })).toBeVisible();
  await expect(own).toBeVisible();
  await page.unroute('**/assets/log-*.js');

  await page.route('**/api/batches', (route) => route.fulfill({ json: { rows: [null], next: null } }));
  await page.getByRole('button', { name: commonWords.tryAgain }).click();
  await expect(page.getByRole('heading', { name: commonWords.thisPageCannotBeShown })).toBeVisible();
  await own.click();
  await expect(page.getByRole('button', { name: potWords.undoOrNote })).toBeVisible();
  await page.unroute('**/api/batches');
});

test('pressed twice in haste, a delivery is one lot', async ({ page }) => {
  const carrots = async () => {
    const lots: { name: string }[] = await (await page.request.get(`${server.url}/api/lots`)).json();
    return lots.filter((lot) => lot.name === 'Carrot').length;
  };
  const before = await carrots();
  await page.goto(`${server.url}/larder`);
  await page.getByRole('button', { name: larderWords.aDelivery2 }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox', { name: larderWords.whatCame }).fill('Carrot');
  await page.getByRole('option', { name: 'Carrot', exact: true }).click();
  await sheet.getByLabel(larderWords.weight).fill('4');
  await sheet.getByLabel(larderWords.from).fill('Somebody');
  // the answer takes its time, so that the second press falls into it
  await page.route('**/api/larder/events', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 600));
    await route.continue();
  });
  await sheet.getByRole('button', { name: larderWords.itIsIn }).dblclick();
  await expect(sheet).toHaveCount(0);
  expect(await carrots()).toBe(before + 1);
});

test('a computation whose worker dies is asked again of another', async ({ page }) => {
  let started = 0;
  await page.route('**/compute.worker*', (route) => {
    started += 1;
    if (started > 1) return route.continue();
    return route.fulfill({ contentType: 'text/javascript', body: 'throw new Error("dead")' });
  });
  await page.goto(`${server.url}/plan?service=evening`);
  await expect(page.getByRole('button', { name: /^Ready to serve/ })).toBeVisible();
  await expect.poll(() => started).toBe(2);
});

const BOOK_PLACES = [
  '/recipes',
  '/recipes/broth',
  '/recipes/broth/edit',
  '/sheet?recipe=broth',
  '/rehearse/broth',
];

for (const first of [1, 11])
  test(`kitchens ${first} to ${first + 9} cooked at random: every place of them opens`, async ({
    browser,
  }) => {
    for (let seed = first; seed < first + 10; seed++) {
      const cooked = commandKitchen({ atMs: Date.now() - 4 * 3_600_000 });
      const cook = new RandomCook(cooked, chanceOf(seed * 104_729), `kitchen ${seed}`);
      for (let step = 0; step < 35; step++) cook.step();
      cooked.close();
      const kitchen = await demoServer(cooked.folder);
      await kitchen.start();
      const page = await browser.newPage();
      const faults: string[] = [];
      page.on('pageerror', (error) => faults.push(error.message));
      const get = async (path: string) => (await page.request.get(`${kitchen.url}/api${path}`)).json();
      const open: { id: string }[] = await get('/batches/open');
      const closed: { rows: { id: string }[] } = await get('/batches');
      const lots: { id: string }[] = [...(await get('/lots')), ...(await get('/lots/finished')).rows];
      const places = [
        ...[
          '/',
          '/plan',
          '/larder',
          '/larder/bases',
          '/larder/blend',
          '/larder/roux',
          '/larder/cooling',
          '/larder/count',
          '/larder/finished',
        ],
        ...['/larder/foods', '/log', '/log/record', '/kitchen'],
        // what shows the book alone is the same in each of them
        ...(seed === first ? BOOK_PLACES : []),
        ...open.flatMap(({ id }) => [`/batches/${id}`, `/batches/${id}/adjust`, `/batches/${id}/pass`]),
        ...closed.rows.slice(0, 4).map(({ id }) => `/log/${id}`),
        ...lots
          .slice(0, 4)
          .flatMap(({ id }) => [`/larder/lots/${id}`, `/larder/lots/${id}/label`, `/log/record?lot=${id}`]),
      ];
      await page.goto(kitchen.url);
      for (const place of places) {
        await go(page, place);
        const at = `kitchen ${seed}, ${place}`;
        // the place itself: the one before may still stand while this one is drawn
        const main = page.locator(`main[data-place="${place.split('?')[0]}"]`);
        await expect(main.locator(':is(h1, h2)').first(), at).toBeVisible();
        await expect(page.getByRole('heading', { name: DEAD_ENDS }), at).toHaveCount(0);
        expect(faults, at).toEqual([]);
      }
      await page.close();
      await kitchen.remove();
    }
  });
