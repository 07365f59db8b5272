import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { startChowder } from './cook';
import { type DemoServer, demoServer } from './demo-server';
import { coolingLot } from './hot-lot';
import { buildPseudo, isPseudo, speakPseudo, textsOf } from './pseudo';

/** Every page read as it stands: in a language nobody speaks, and in each system of measures. */
let server: DemoServer;
let pages: readonly string[];
test.beforeAll(async ({ playwright }) => {
  server = await demoServer();
  await server.start();
  const request = await playwright.request.newContext();
  const { id } = await startChowder(request, server.url);
  const said = (type: string, payload: object, v = 1) =>
    request.post(`${server.url}/api/batches/${id}/events`, { data: { id: uuid(), type, v, payload } });
  await said('stageBegun', { stageId: 'sweat' }, 2);
  await said('added', { items: [{ ingredientId: 'onion', kg: 1, tempC: 18 }] }, 2);
  await said('heatSet', { fraction: 0.5 });
  await coolingLot(request, server.url);
  const [lot] = await (await request.get(`${server.url}/api/lots`)).json();
  const { rows } = await (await request.get(`${server.url}/api/batches`)).json();
  const kitchen = [
    'place',
    'pots',
    'heat',
    'service',
    'cold',
    'tools',
    'people',
    'limits',
    'recipes',
    'clock',
  ];
  pages = [
    '',
    'recipes',
    'recipes/trout-chowder',
    'rehearse/trout-chowder',
    'recipes/new',
    'larder',
    'larder/bases',
    'larder/bases/white-chicken-stock',
    'larder/blend',
    'larder/roux',
    'larder/cooling',
    'larder/count',
    'larder/finished',
    'larder/foods',
    `larder/lots/${lot.id}`,
    `larder/lots/${lot.id}/label`,
    'log',
    `log/${rows[0].id}`,
    'log/record?day=2026-03-09',
    `log/record?lot=${lot.id}`,
    ...kitchen.map((part) => `kitchen/${part}`),
    'plan?recipe=celeriac-veloute&portions=300',
    'sheet?recipe=trout-chowder&portions=60',
    `batches/${id}`,
    `batches/${id}/adjust`,
    `batches/${id}/pass`,
  ];
});
test.afterAll(() => server.remove());

/** What opens from a page's figures and names: pressed one after the other, read, closed. */
async function readOpened(page: Page): Promise<string[]> {
  const openers = page.locator('main button[aria-expanded=false]:not([aria-haspopup=listbox]):visible');
  const texts: string[] = [];
  for (let i = 0; i < Math.min(await openers.count(), MOST_OPENED); i += 1) {
    await openers.nth(i).click();
    const dialog = page.getByRole('dialog');
    await dialog.first().waitFor();
    texts.push(...(await dialog.first().innerText()).split('\n'));
    await page.keyboard.press('Escape');
    await dialog.first().waitFor({ state: 'detached' });
  }
  return texts.map((text) => text.trim()).filter((text) => text !== '');
}
const MOST_OPENED = 20;

/** What can be read on a page, a line for each text of its own: what is hidden to the eye is said to the ear. */
async function read(page: Page): Promise<string[]> {
  await page.getByRole('heading').or(page.getByRole('article')).first().waitFor();
  await page.waitForTimeout(400);
  const texts = await page.evaluate(() => {
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walk.nextNode(); node; node = walk.nextNode())
      if (!node.parentElement?.closest('script, style, noscript, textarea'))
        found.push(node.textContent ?? '');
    for (const one of document.querySelectorAll('[aria-label], [placeholder], [title]'))
      for (const name of ['aria-label', 'placeholder', 'title']) {
        const text = one.getAttribute(name) ?? '';
        // a page of paper is an example
        if (!text.includes('\n')) found.push(text);
      }
    return found;
  });
  return texts.map((text) => text.trim()).filter((text) => text !== '');
}

const stringsIn = (value: unknown): string[] =>
  typeof value === 'string'
    ? [value]
    : value && typeof value === 'object'
      ? [...Object.keys(value), ...Object.values(value).flatMap(stringsIn)]
      : [];

/** What the kitchen is told in its own words, and what core is written in. */
async function data(page: Page): Promise<RegExp> {
  const paths = [
    'kitchen',
    'recipes',
    'foods',
    'lots',
    'batches',
    'batches/open',
    'orders',
    'devices',
    'learned',
  ];
  const said = await Promise.all(
    paths.map(async (path) => {
      const answer = await page.request.get(`${server.url}/api/${path}`);
      return answer.ok() ? stringsIn(await answer.json()) : [];
    }),
  );
  const files = ['core', 'contract'].flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
      .map((file) => join(room, file)),
  );
  // a word alone is a code, unless it stands in a table of foods
  const written = files.flatMap((file) =>
    textsOf(file).filter((text) => file.includes('/data/') || /\S\s\S/.test(text)),
  );
  const own = [...said.flat(), ...written]
    .map((text) => text.trim().toLowerCase())
    .filter((text) => /[a-z]{2}/.test(text));
  const longestFirst = [...new Set(own)].sort((a, b) => b.length - a.length);
  return new RegExp(longestFirst.map((text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|'), 'gi');
}

function namesIn(value: unknown): string[] {
  if (!value || typeof value !== 'object') return [];
  const own = 'name' in value && typeof value.name === 'string' ? [value.name] : [];
  return [...own, ...Object.values(value).flatMap(namesIn)];
}

/** What the kitchen calls its things: a pot is “40 L stockpot” wherever it is measured in quarts. */
async function names(page: Page): Promise<RegExp> {
  const called = namesIn(await (await page.request.get(`${server.url}/api/kitchen`)).json());
  return new RegExp(called.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|'), 'gi');
}

/** Units, hours and days as they are written everywhere. */
const SYMBOLS =
  /\b(kg|mL|cm|min|Brix|qt|gal|EUR|GBP|USD|kW|JSON|CSV|PDF|Mon|Tue|Wed|Thu|Fri|Sat|Sun|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|now|the)\b/gi;

/** Figures in measures that are not the kitchen's; a recipe says what was written in it. */
const METRIC_FIGURE = /\d ?(kg|g|L|mL|cm|°C)\b/;
/** Shares of a mass and lines of physics stand as they are, and what no scale of ounces shows. */
const CHEMISTRY =
  /in 100 g|[\d.]+ g (dissolved|in a kilogram)|[\d.]+ g of glutamate|\d g\/L|kg\/L|as \d+\.\d+ g|\b[01]\.\d g|.*\d (kJ|kW)\b.*|.*(glutamate|inosinate) \d.*/g;
const IMPERIAL_FIGURE = /\d ?(lb|oz|qt|pt|gal|in|°F)\b/;

test('in a language nobody speaks no sentence of the pages is left over, and figures are metric', async ({
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'slow-pot-pseudo-'));
  await buildPseudo(folder);
  await speakPseudo(page, folder);
  const own = await data(page);
  const escaped: string[] = [];
  for (const path of pages) {
    await page.goto(`${server.url}/${path}`);
    const texts = await read(page);
    expect(texts.filter(isPseudo).length, path).toBeGreaterThan(8);
    for (const text of texts) {
      const left = text
        .replace(/https?:\S+/g, ' ')
        .replace(own, ' ')
        .replace(SYMBOLS, ' ');
      if (/[A-Za-z]{3,}/.test(left) || IMPERIAL_FIGURE.test(text.replace(own, ' ')))
        escaped.push(`${path}: ${text.slice(0, 120)}`);
    }
  }
  rmSync(folder, { recursive: true });
  expect([...new Set(escaped)]).toEqual([]);
});

for (const { units, not } of [
  { units: 'us', not: METRIC_FIGURE },
  { units: 'imperial', not: /\d ?(kg|L|mL|cm|°F)\b/ },
] as const)
  test(`in ${units} measures: every figure is in them, one is one, and nothing is undefined`, async ({
    page,
  }) => {
    await page.request.post(`${server.url}/api/kitchen/changes`, {
      data: { id: uuid(), change: 'place', place: { units } },
    });
    const named = await names(page);
    const wrong: string[] = [];
    let opened = 0;
    for (const path of pages) {
      await page.goto(`${server.url}/${path}`);
      const shown = await read(page);
      const more = await readOpened(page);
      opened += more.length;
      for (const text of [...shown, ...more]) {
        const left = text.replace(CHEMISTRY, ' ').replace(named, ' ');
        const isOdd =
          not.test(left) ||
          /\b(NaN|undefined|null|Infinity|\[object)\b/.test(left) ||
          /(^|[^.,\d])1 (bowls|lots|batches|recipes|pots|burners|readings|lines|days|entries|services)\b/.test(
            text,
          );
        if (isOdd) wrong.push(`${path}: ${text.slice(0, 140)}`);
      }
    }
    await page.request.post(`${server.url}/api/kitchen/changes`, {
      data: { id: uuid(), change: 'place', place: { units: 'metric' } },
    });
    expect([...new Set(wrong)]).toEqual([]);
    expect(opened).toBeGreaterThan(100);
  });
