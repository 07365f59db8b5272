import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import {
  adjustWords,
  basesWords,
  commonWords,
  coolingWords,
  kitchenWords,
  larderWords,
  logWords,
  lotWords,
  passWords,
  planWords,
  potsWords,
  potWords,
  recipeEditorWords,
  recipeWords,
  sheetWords,
} from '../web/words';
import { move } from './cook';
import { type DemoServer, demoServer } from './demo-server';
import { coolingLot, hotLot } from './hot-lot';

/** Every screen, sheet and error state, in both themes: nothing a screen reader or a low-vision cook would trip over. */
let server: DemoServer;

test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

/** Everything by day; in the dim kitchen what differs there, which is colours alone. */
async function expectClean(page: Page, where: string): Promise<void> {
  await page.waitForTimeout(150);
  const found = [...(await faults(page, (axe) => axe))];
  await inTheme(page, 'dim');
  found.push(...(await faults(page, (axe) => axe.withRules(['color-contrast']))).map((one) => `dim, ${one}`));
  await inTheme(page, 'day');
  expect(found.map((one) => `${where}: ${one}`)).toEqual([]);
}

/** What axe finds, in the sheet that is open or on the page; what lies behind a sheet was looked at before it was opened. */
async function faults(page: Page, of: (axe: AxeBuilder) => AxeBuilder): Promise<string[]> {
  // there are no frames here, so one page is enough to look with
  const axe = of(new AxeBuilder({ page }).setLegacyMode());
  if ((await page.getByRole('dialog').count()) > 0) axe.include('[role="dialog"]');
  const { violations } = await axe.analyze();
  return violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join('; ')}`);
}

/** As the switch on the page does, without leaving what is open on it. */
async function inTheme(page: Page, theme: 'day' | 'dim'): Promise<void> {
  await page.evaluate((name) => {
    document.documentElement.dataset.theme = name;
  }, theme);
  await page.waitForTimeout(50);
}

test('places', async ({ page }) => {
  for (const path of [
    '',
    'recipes',
    'recipes/trout-chowder',
    'larder/foods',
    'log',
    'log/record?day=2026-03-09',
    'kitchen',
    'nowhere',
  ]) {
    await page.goto(`${server.url}/${path}`);
    await page.getByRole('heading').first().waitFor();
    await expectClean(page, path || 'today');
  }
  await page.goto(`${server.url}/log`);
  await page.getByRole('link', { name: /9 Mar, 13:10/ }).click();
  await page.getByText(logWords.actual).first().waitFor();
  await expectClean(page, 'log of a batch');

  await page.goto(`${server.url}/kitchen/place`);
  const altitude = page.getByRole('textbox', { name: kitchenWords.altitude });
  await altitude.fill('the sky');
  await page.getByRole('button', { name: kitchenWords.saveThePlace }).click();
  await expect(page.getByText('The altitude must be a number of m, not “the sky”.')).toBeVisible();
  await altitude.fill('99999');
  await expect(page.getByText('The altitude must be from -430 to 5000 m.')).toBeVisible();
  await page.getByRole('textbox', { name: kitchenWords.timeZone }).fill('Nowhere');
  await expect(page.getByText(/“Nowhere” is no time zone/)).toBeVisible();
  await expectClean(page, 'place, wrong altitude and zone');
  await page.goto(`${server.url}/kitchen/limits`);
  await page.getByRole('textbox', { name: 'Shelf life in days' }).fill('9');
  await page.getByRole('button', { name: kitchenWords.saveTheLimits }).click();
  await expect(page.getByText(/9 days is laxer than 7 days/)).toBeVisible();
  await expectClean(page, 'limits, laxer than the code');
  for (const part of ['pots', 'heat', 'service', 'cold', 'tools', 'people', 'recipes']) {
    await page.goto(`${server.url}/kitchen/${part}`);
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    await expectClean(page, `kitchen, ${part}`);
  }
  await page.goto(`${server.url}/kitchen/pots`);
  await page.getByRole('button', { name: planWords.addAPot }).click();
  await page.getByText(potsWords.measureByWater).click();
  await expectClean(page, 'a pot measured by water');

  await page.goto(`${server.url}/plan?service=evening`);
  await page.getByRole('button', { name: /24 L rondeau/ }).waitFor();
  await expectClean(page, 'plan');
  await page.getByLabel(planWords.bowls4, { exact: true }).fill('-5');
  await expect(page.getByText('Bowls must be from 1 to 2000.')).toBeVisible();
  await page.getByLabel(planWords.saltPercent).fill('27');
  await expect(page.getByText('Salt must be from 0 to 26 %.')).toBeVisible();
  await expectClean(page, 'plan, wrong');
  await page.getByLabel(planWords.bowls4, { exact: true }).fill('40');
  await page.getByLabel(planWords.saltPercent).fill('0.9');
  await page.getByRole('button', { name: /^Ready to serve/ }).click();
  await page.getByRole('dialog').waitFor();
  await expectClean(page, 'plan, working');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
});

test('the book', async ({ page }) => {
  await page.goto(`${server.url}/recipes/new`);
  await page
    .getByLabel(recipeEditorWords.thePaper)
    .fill('Soup\nServes 4\n2 onions, sliced\n100 g quark\n1 L stock or water');
  await expect(page.getByText('“quark” is not in the table yet.')).toBeVisible();
  await expectClean(page, 'paper, with doubts');
  await page.getByRole('button', { name: recipeEditorWords.continue }).click();
  await page.getByRole('button', { name: recipeWords.save }).click();
  await page.getByLabel(recipeEditorWords.makes).fill('none');
  await expectClean(page, 'desk, wrong');
  await page.getByRole('button', { name: 'Correct: 100 g quark' }).click();
  await page.getByRole('button', { name: larderWords.addIt }).click();
  await expectClean(page, 'a food of our own, wrong');
  await page.keyboard.press('Escape');
  await page.goto(`${server.url}/recipes/mutton-leek-pot/edit`);
  await page.getByRole('button', { name: 'Correct: 3.4 kg mutton shoulder, 2.5 cm dice' }).click();
  await expectClean(page, 'line');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Open Brown the mutton' }).click();
  await expectClean(page, 'stage');
  await page.keyboard.press('Escape');
  await page.goto(`${server.url}/plan?recipe=mutton-leek-pot&service=evening&portions=140`);
  await page.getByRole('region', { name: planWords.waysToCookIt }).getByRole('button').first().waitFor();
  await expectClean(page, 'plan, ways');
  await page.getByRole('button', { name: planWords.substitute, exact: true }).click();
  await page.getByRole('button', { name: /^Half of the chicken stock as water/ }).waitFor();
  await expectClean(page, 'swaps');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: planWords.fromWhatIHave }).click();
  await expectClean(page, 'what there is');
  await page.keyboard.press('Escape');
  await page.goto(`${server.url}/sheet?recipe=mutton-leek-pot&service=evening&portions=40`);
  await page.getByRole('region', { name: sheetWords.batchSheet }).waitFor();
  await expectClean(page, 'on paper');
  await page.goto(`${server.url}/recipes/venison-juniper-sauce`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await expectClean(page, 'a recipe on a mother sauce');
  await page.goto(`${server.url}/larder/foods`);
  await page.getByRole('button', { name: 'Price of Carrot', exact: true }).click();
  await page.getByLabel(larderWords.aWeightAsPurchased()).fill('dear');
  await page.getByRole('button', { name: larderWords.saveThePrice }).click();
  await expectClean(page, 'price, wrong');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Label of Carrot', exact: true }).click();
  await expectClean(page, 'label');
});

test('the larder', async ({ page }) => {
  await page.goto(`${server.url}/larder`);
  await page.getByText('5.0 L kelp and dried-mushroom stock').waitFor();
  await expectClean(page, 'the shelf');
  await page.getByRole('button', { name: larderWords.aDelivery2 }).click();
  await page.getByLabel(larderWords.weight).fill('a crate');
  await page.getByRole('button', { name: larderWords.itIsIn }).click();
  await expect(page.getByText(larderWords.sayWhatCame)).toBeVisible();
  await expectClean(page, 'a delivery, wrong');
  await page.keyboard.press('Escape');
  for (const path of [
    'bases',
    'bases/kelp-mushroom-stock',
    'bases/white-poultry-stock',
    'blend',
    'roux',
    'count',
    'finished',
    'foods',
  ]) {
    await page.goto(`${server.url}/larder/${path}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await expectClean(page, path);
  }
  await page.goto(`${server.url}/larder/blend`);
  await page.getByLabel(basesWords.saltAtMost).fill('a bit');
  await expect(page.getByText('Salt must be a number, 0 or more, not “a bit”.')).toBeVisible();
  await expectClean(page, 'blend, wrong');
  await coolingLot(page.request, server.url);
  await page.goto(`${server.url}/larder/cooling`);
  await page.getByRole('status').waitFor();
  await expectClean(page, 'cooling');
  await page.getByRole('button', { name: coolingWords.takeATemperature }).click();
  await expectClean(page, 'cooling, its temperature');
  await page.keyboard.press('Escape');
  await hotLot(page.request, server.url, { portions: 12, litres: 3, potId: 'rondeau-24', burnerId: 'gas-1' });
  await page.getByRole('button', { name: coolingWords.coolIt }).click();
  await expectClean(page, 'cooling, its ways');
  await page.keyboard.press('Escape');
  const lot = `${server.url}/larder/lots/00000000-0000-7000-a000-000000000015`;
  await page.goto(lot);
  await page.getByRole('button', { name: /^Strength/ }).click();
  await expectClean(page, 'a lot, its arithmetic');
  await page.keyboard.press('Escape');
  for (const act of [
    potWords.count,
    lotWords.splitOff,
    lotWords.throwAway,
    lotWords.hasItSet,
    larderWords.diluteOrReduce,
  ]) {
    await page.getByRole('button', { name: act, exact: true }).click();
    await expectClean(page, act);
    await page.keyboard.press('Escape');
  }
  await page.goto(`${lot}/label`);
  await page.getByRole('article').waitFor();
  await expectClean(page, 'label');
  await page.goto(`${server.url}/larder/lots/nowhere`);
  await page.getByText(lotWords.thereIsNoSuchLot).waitFor();
  await expectClean(page, 'no such lot');
  await page.goto(`${server.url}/plan?recipe=beetroot-barley-broth&service=evening&portions=60`);
  await page.getByText(/short of/).waitFor();
  await expectClean(page, 'plan, short');
  await page.getByRole('button', { name: /^Take it to/ }).click();
  await expectClean(page, 'short, asked');
});

test('a batch', async ({ page }) => {
  await page.goto(`${server.url}/plan?service=evening`);
  await page.getByRole('button', { name: /^Take it to/ }).click();
  await page.getByRole('heading', { name: 'Sweat the vegetables' }).waitFor();
  await expectClean(page, 'pot, to begin');
  const url = page.url();
  await page.goto(`${url}/adjust`);
  await expect(page.getByText(adjustWords.nothingInThePotYet)).toBeVisible();
  await expectClean(page, 'adjust, empty');
  await page.goto(url);
  await page.getByRole('button', { name: potWords.otherAmounts }).click();
  await page.getByRole('textbox', { name: 'Onion' }).fill('five');
  await page.getByRole('button', { name: potWords.theseAreIn, exact: true }).click();
  await expect(page.getByText(/Onion must be a number of g,/)).toBeVisible();
  await expectClean(page, 'amounts, wrong');
  await page.getByRole('textbox', { name: 'Onion' }).fill('700');
  await page.getByRole('button', { name: potWords.theseAreIn, exact: true }).click();
  await expect(page.getByText(potWords.doneAbout)).toBeVisible();
  await expectClean(page, 'pot, running');
  await page.getByRole('button', { name: potWords.takeAReading }).click();
  await page.getByRole('textbox', { name: potWords.depth }).fill('x');
  await page.getByRole('button', { name: potWords.saveTheReading }).click();
  await expectClean(page, 'reading, wrong');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: potWords.heatAndLid }).click();
  await expectClean(page, 'heat and lid');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: potWords.undoOrNote }).click();
  await page.getByRole('textbox', { name: potWords.aNote }).fill('sweeter than last week');
  await page.getByRole('button', { name: potWords.saveTheNote }).click();
  await expect(page.getByText('Note: sweeter than last week')).toBeVisible();
  await expectClean(page, 'what was said');
  await page.keyboard.press('Escape');
  await move(page, 3);
  await page.goto(`${url}/adjust`);
  await page.getByRole('button', { name: 'stands' }).click();
  await page.getByRole('region', { name: adjustWords.waysToTheThicknessWanted }).waitFor();
  await page.getByRole('button', { name: larderWords.itIsIn, exact: true }).first().click();
  await expectClean(page, 'adjust, with ways and a wrong salt');
  await page.goto(`${url}/pass`);
  await page.getByRole('button', { name: '1 out', exact: true }).waitFor();
  await expectClean(page, 'pass');
  await page.getByRole('button', { name: passWords.closeTheBatch }).click();
  await page.getByRole('textbox', { name: passWords.leftInThePot }).fill('-1');
  await page.getByRole('button', { name: passWords.closeIt }).click();
  await expectClean(page, 'closing, wrong');
  await page.goto(`${server.url}/`);
  await page
    .getByRole('link', { name: /Smoked trout/ })
    .first()
    .waitFor();
  await expectClean(page, 'today, with a batch');
});

test('keys go to places, and a wrong address says so', async ({ page }) => {
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Corrie Halt Buffet' }).waitFor();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: commonWords.keys })).toBeVisible();
  await expectClean(page, 'keys');
  await page.keyboard.press('Escape');
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: commonWords.log })).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.getByRole('group', { name: planWords.theOrder })).toBeVisible();
  await page.goto(`${server.url}/batches/00000000-0000-7000-8000-000000000000`);
  await expect(page.getByText(potWords.thereIsNoSuchBatch)).toBeVisible();
  await expectClean(page, 'no such batch');
});

test('nothing overflows on a phone or a tablet held upright', async ({ page }) => {
  for (const [width, height] of [
    [390, 844],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const path of [
      '',
      'plan',
      'plan?recipe=mutton-leek-pot&portions=140',
      'recipes',
      'recipes/new',
      'recipes/venison-juniper-sauce',
      'recipes/venison-juniper-sauce/edit',
      'sheet?recipe=mutton-leek-pot&service=evening&portions=40',
      'larder',
      'larder/bases',
      'larder/bases/fish-fumet',
      'larder/blend',
      'larder/roux',
      'larder/cooling',
      'larder/count',
      'larder/finished',
      'larder/foods',
      'larder/lots/00000000-0000-7000-a000-000000000015',
      'larder/lots/00000000-0000-7000-a000-000000000015/label',
      'log',
      'log/record?day=2026-03-09',
      'kitchen',
      ...['place', 'pots', 'heat', 'service', 'tools', 'limits', 'recipes'].map((part) => `kitchen/${part}`),
    ]) {
      await page.goto(`${server.url}/${path}`);
      await page
        .getByRole('heading')
        .or(page.getByRole('group', { name: planWords.theOrder }))
        .first()
        .waitFor();
      await page.waitForTimeout(200);
      const overflow = await page.evaluate(() => {
        const main = document.querySelector('main')!;
        return main.scrollWidth - main.clientWidth;
      });
      expect(overflow, `${path} at ${width}`).toBeLessThanOrEqual(1);
    }
  }
});
