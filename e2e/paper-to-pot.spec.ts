import { expect, test } from '@playwright/test';
import { PAGES_ON_PAPER } from '../core/reader/data/pages-on-paper';
import { planWords, potWords, recipeEditorWords, recipeWords } from '../web/words';
import { cookStage, takeOutAll } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** From paper to pot without repair: a page as it stands becomes a batch, and what it says is what happens at the pot. */
let server: DemoServer;

test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

const SPLIT_PEA = PAGES_ON_PAPER.find((page) => page.name === 'Split pea and ham')!.text;

test('split pea and ham soup, from the page to a batch of 120 bowls in at most twelve interactions; then lifted, picked, put back', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));
  let interactions = 0;
  const press = async (name: RegExp | string) => {
    interactions++;
    await page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().click();
  };
  const type = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  const choose = async (label: string, option: string | RegExp) => {
    await press(new RegExp(`^${label}|${label}$`));
    interactions++;
    await page.getByRole('option', { name: option }).click();
  };
  await page.goto(`${server.url}/recipes`);
  await press(recipeWords.newRecipe);
  await type(recipeEditorWords.thePaper, SPLIT_PEA);
  await press(recipeEditorWords.continue);

  // nothing to check, nothing to repair: every stage as the page has it
  await expect(page.getByText(/to check/)).toHaveCount(0);
  const pots = page.getByRole('region', { name: recipeEditorWords.stageByStage }).getByRole('listitem');
  await expect(pots).toHaveCount(8);
  const said: [RegExp, RegExp][] = [
    [/Start the pot.*10 min, lid on/s, /Onion.*Carrot.*Celery.*Butter/s],
    [/Liquid in/, /Split peas.*Ham hock.*Bay leaf.*Water/s],
    [/Simmer.*105 min, lid on/s, /Simmer/],
    [/Lift out and pick/, /Lift/],
    [/Purée.*33 % of it/s, /Purée/],
    [/Finish/, /back in: the meat of the ham hock/],
    [/Season/, /Black pepper.*Fine salt|Fine salt.*Black pepper/s],
    [/Serve/, /Serve/],
  ];
  for (const [i, [stage, foods]] of said.entries()) {
    await expect(pots.nth(i)).toContainText(stage);
    await expect(pots.nth(i)).toContainText(foods);
  }
  await press(recipeEditorWords.save);
  await press(recipeWords.planIt);
  await type(planWords.bowls4, '120');
  await type(planWords.bowlSize, '300');
  await choose(planWords.day, 'tomorrow');
  await press(/Another pot.*60 L kettle|^60 L kettle/s);
  await expect(page.getByRole('button', { name: /^Yield/ })).toContainText('36');
  const ahead = page.getByRole('region', { name: planWords.beginsBefore });
  await expect(ahead).toContainText(/Soak split peas.*8 h/);
  await expect(ahead).toContainText(/by /);
  // the cost leaves nothing out: what has no price yet stands at a guess, and is named
  await expect(page.getByText(planWords.aBowlCostsAbout)).toBeVisible();
  await expect(page.getByText(/A guess stands for the price of .*ham hock/)).toBeVisible();
  await expect(page.getByText(/lifted, picked and back in: about/)).toBeVisible();
  await press(/^Take it to/);
  expect(interactions).toBeLessThanOrEqual(12);
  console.log(`from paper to pot: ${interactions} interactions`);

  // at the pot the page is followed to the letter
  for (const title of ['Start the pot', 'Liquid in, up to a simmer', 'Simmer'])
    await cookStage(page, title, 0);
  await expect(page.getByRole('heading', { name: 'Lift out and pick' })).toBeVisible();
  await expect(
    page.getByText(/The meat of the ham hock goes back in at “Finish”: about [56]\.\d+ kg/),
  ).toBeVisible();
  await page.getByRole('button', { name: /ham hock out, to be picked$/ }).click();
  await takeOutAll(page);
  for (const title of ['Lift out and pick', 'Purée']) await cookStage(page, title, 0);
  await page.getByRole('button', { name: /egin$/ }).click();
  const lying = page.getByRole('group', { name: potWords.parked('ham hock') });
  await expect(lying).toContainText(potWords.backFor('Finish'));
  const picked = lying.getByRole('textbox', { name: potWords.thePickedMeatWeighs });
  const grams = Number(await picked.inputValue());
  expect(grams).toBeGreaterThan(5_000);
  expect(grams).toBeLessThan(7_500);
  await lying.getByRole('button', { name: potWords.backInThePot }).click();
  await expect(lying).toHaveCount(0);
  expect(problems).toEqual([]);
});

test('a food in the wrong pot goes to another, dragged or by the keyboard alone', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(`${server.url}/recipes`);
  await page
    .getByRole('link', { name: recipeWords.newRecipe })
    .or(page.getByRole('button', { name: recipeWords.newRecipe }))
    .first()
    .click();
  await page.getByLabel(recipeEditorWords.thePaper, { exact: true }).fill(PAGES_ON_PAPER[0]!.text);
  await page.getByRole('button', { name: recipeEditorWords.continue }).click();
  const at = (stage: string) => page.getByRole('grid', { name: recipeEditorWords.goesInAtStage(stage) });
  const food = (stage: string, name: string) => at(stage).getByRole('row', { name });
  await expect(food('Liquid in, up to a simmer', 'Potato')).toBeVisible();
  await food('Liquid in, up to a simmer', 'Potato').dragTo(at('Simmer'));
  await expect(food('Simmer', 'Potato')).toBeVisible();
  await expect(food('Liquid in, up to a simmer', 'Potato')).toHaveCount(0);
  // by keys: Enter on the grip, Tab from pot to pot, Enter
  await food('Simmer', 'Potato').getByRole('button').focus();
  await page.keyboard.press('Enter');
  for (let i = 0; i < 12; i++) {
    const isThere = await page.evaluate(
      (name) => document.activeElement?.getAttribute('aria-label')?.includes(name) === true,
      recipeEditorWords.goesInAtStage('Start the pot'),
    );
    if (isThere) break;
    await page.keyboard.press('Tab');
  }
  await page.keyboard.press('Enter');
  await expect(food('Start the pot', 'Potato')).toBeVisible();
  await expect(food('Simmer', 'Potato')).toHaveCount(0);
});

test('an order that should have begun is told what can still be made', async ({ page }) => {
  const by = '11:10';
  await page.goto(`${server.url}/plan?recipe=mutton-leek-pot&portions=60&pot=stockpot-40&by=${by}&day=0`);
  const still = page.getByRole('region', { name: planWords.stillInTimeFor(by) });
  // the sentence says for when it is, and its service is one press away
  const service = page.getByRole('button', { name: new RegExp(`${planWords.service}$`) });
  await expect(service).toContainText(planWords.batchReadyBy(by));
  const dish = still.getByRole('link').first();
  const name = await dish.innerText();
  await dish.click();
  await expect(page.getByLabel(planWords.bowls4, { exact: true })).toHaveValue('60');
  await expect(page.getByRole('button', { name: new RegExp(name) })).toBeVisible();
  await expect(page.getByText(/the time to light it was/)).toHaveCount(0);
  await service.click();
  await page.getByRole('option', { name: /13:10/ }).click();
  await expect(service).not.toContainText(by);
});
