import { expect, test } from '@playwright/test';
import { larderWords, planWords, potWords, recipeEditorWords, recipeWords, sheetWords } from '../web/words';
import { type DemoServer, demoServer } from './demo-server';
import { leekSoup } from './papers';

/** The book through the real interface: a recipe off paper, corrected, versioned, planned, swapped, printed, moved. */
let server: DemoServer;

test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

test('a seven-ingredient recipe from paper to a printed sheet for 140, in at most thirty interactions', async ({
  page,
}) => {
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));
  await page.addInitScript(() => {
    window.print = () => {
      document.body.dataset.printed = 'yes';
    };
  });
  let interactions = 0;
  const press = async (name: RegExp | string) => {
    interactions++;
    await page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().click();
  };
  await page.goto(server.url);
  await press(recipeWords.recipes);
  await press(recipeWords.newRecipe);
  interactions++;
  await page.getByLabel(recipeEditorWords.thePaper).fill(leekSoup());
  await expect(page.getByText('serves 6; 7 lines read')).toBeVisible();
  await expect(page.getByText('Potato, peeled, 1.5 cm dice')).toBeVisible();
  await press(recipeEditorWords.continue);
  await expect(page.getByRole('row', { name: /Purée/ })).toBeVisible();
  await press(recipeEditorWords.save);
  await expect(page.getByRole('heading', { level: 1, name: 'Leek and potato soup' })).toBeVisible();
  await press(recipeWords.planIt);
  const fill = async (label: string, value: string) => {
    interactions++;
    await page.getByLabel(label, { exact: true }).fill(value);
  };
  await fill(planWords.bowls4, '140');
  await fill(planWords.bowlSize, '250');
  const ways = page.getByRole('region', { name: planWords.waysToCookIt });
  await expect(ways.getByText(/2 equal batches in the 40 L stockpot/)).toBeVisible();
  await expect(ways.getByText(/All of it at once in the 60 L kettle/)).toBeVisible();
  await press(/Another pot.*60 L kettle/s);
  await expect(page.getByRole('button', { name: /^Yield 35\.4 L/ })).toBeVisible();
  await expect(page.getByRole('region', { name: planWords.whatDoesNotScaleIn })).toContainText(
    'fills of 1.6 L',
  );
  const stockBefore = await page.getByRole('row', { name: /^Chicken stock/ }).innerText();
  await press(planWords.substitute);
  await expect(page.getByRole('button', { name: /Half of the chicken stock as water/ })).toContainText(
    'umami',
  );
  await press(/Half of the chicken stock as water/);
  await expect(page.getByText(/Changed: 50 % by water/)).toBeVisible();
  const halves = page.getByRole('row', { name: /^(Chicken stock|Water)/ });
  await expect(halves).toHaveCount(2);
  expect(await halves.first().innerText()).not.toBe(stockBefore);
  await press(planWords.whatToPullCutAnd);
  await expect(page.getByRole('region', { name: sheetWords.whatToPull })).toContainText('Chicken stock');
  const mise = page.getByRole('region', { name: sheetWords.whatToMakeReady });
  await expect(mise.getByRole('row', { name: /Potato, peeled, 1.5 cm dice/ })).toContainText(/trim .*in at/s);
  await expect(
    page.getByRole('region', { name: sheetWords.batchSheet }).getByRole('row', { name: /Purée/ }),
  ).toContainText('Fill a third to a half');
  await press(sheetWords.print);
  await expect(page.locator('body[data-printed=yes]')).toBeAttached();
  expect(interactions).toBeLessThanOrEqual(30);

  await test.step('the sheet is an address: reloaded, it is the same order', async () => {
    const heading = page.getByText('140 bowls of 250 mL');
    await expect(heading).toBeVisible();
    await page.reload();
    await expect(heading).toBeVisible();
    await expect(page.getByRole('region', { name: sheetWords.whatToMakeReady })).toContainText('Potato');
    await page.getByRole('link', { name: sheetWords.backToTheOrder }).click();
    await expect(page.getByText(/Changed: 50 % by water/)).toBeVisible();
    await page.getByRole('button', { name: planWords.undo }).click();
    await expect(halves).toHaveCount(1);
  });
  await test.step('held back: the pot is concentrated, the bowl diluted, and the batch starts so', async () => {
    await page
      .getByRole('button', { name: /40 L stockpot/ })
      .last()
      .click();
    await ways.getByRole('button', { name: /Concentrated, diluted/ }).click();
    await expect(page.getByText(/cooked concentrated: the pot reaches 1\.\d\d %/)).toBeVisible();
    await page.getByRole('button', { name: /^Take it to/ }).click();
    await page.getByRole('textbox', { name: planWords.itComesFrom }).fill('the hotel’s kitchen');
    await page.getByRole('button', { name: planWords.cookItAnyway }).click();
    await expect(page.getByRole('heading', { name: 'Start the pot' })).toBeVisible();
    await page.getByRole('link', { name: potWords.pass }).click();
    await expect(page.getByText(/ladle.*, for 2\d\d mL/)).toBeVisible();
  });
  expect(problems).toEqual([]);
});

test('an order in other words: the pot’s fill, litres, times the recipe, what there is', async ({ page }) => {
  await page.goto(`${server.url}/plan?recipe=celeriac-veloute&service=evening&pot=kettle-60`);
  const bowls = page.getByLabel(planWords.bowls4, { exact: true });
  await page.getByRole('button', { name: planWords.fillThePot }).click();
  await expect.poll(async () => Number(await bowls.inputValue())).toBeGreaterThan(140);
  const most = Number(await bowls.inputValue());
  await bowls.fill(String(most + 1));
  await expect(page.getByRole('region', { name: planWords.waysToCookIt })).toBeVisible();
  await bowls.fill('40');
  await page.getByRole('button', { name: /Amount in/ }).click();
  await page.getByRole('option', { name: planWords.volumeInBowls('litres') }).click();
  await page.getByLabel(planWords.amountOfIt, { exact: true }).fill('10,1');
  await expect(page.getByRole('button', { name: /^Yield 10\.1 L/ })).toContainText('40 bowls');
  await page.getByLabel(planWords.amountOfIt, { exact: true }).fill('10');
  await expect(page.getByRole('button', { name: /^Yield 10\.0 L/ })).toContainText('39 bowls');
  await page.getByLabel(planWords.amountOfIt, { exact: true }).fill('a lot');
  await expect(
    page.getByRole('alert').filter({ hasText: 'Amount must be a number above 0, not “a lot”.' }),
  ).toBeVisible();
  await page.getByLabel(planWords.amountOfIt, { exact: true }).fill('10');
  await page.getByRole('button', { name: planWords.fromWhatIHave }).click();
  const sheet = page.getByRole('dialog', { name: planWords.whatThereIs });
  await sheet.getByLabel('Celeriac').fill('much');
  await sheet.getByRole('button', { name: planWords.howManyBowls }).click();
  await expect(sheet.getByText('Celeriac must be a number above 0, not “much”.')).toBeVisible();
  await sheet.getByLabel('Celeriac').fill('7.4');
  await sheet.getByLabel('Chicken stock').fill('11');
  await sheet.getByRole('button', { name: planWords.howManyBowls }).click();
  await expect(sheet.getByText(/6\d bowls of 250 mL/)).toBeVisible();
  await expect(sheet.getByText(/celeriac sets the limit/)).toBeVisible();
  await expect(sheet.getByText(/Stays over: .*chicken stock/)).toBeVisible();
  await sheet.getByRole('button', { name: /^Plan 6\d bowls/ }).click();
  await expect(page.getByRole('row', { name: /^Celeriac/ })).toContainText(/7\.[34]\d kg/);
});

test('a way to cook it that answers an earlier order is not pressed', async ({ page }) => {
  await page.addInitScript(() => {
    // what is asked of the worker waits while the page says so
    const post = Worker.prototype.postMessage as (this: Worker, asked: unknown) => void;
    const waiting: (() => void)[] = [];
    Object.assign(window, {
      isWorkerHeld: false,
      letGo: () => {
        for (const go of waiting.splice(0)) go();
      },
    });
    Worker.prototype.postMessage = function (this: Worker, asked: unknown) {
      const go = () => post.call(this, asked);
      if ((window as { isWorkerHeld?: boolean }).isWorkerHeld) waiting.push(go);
      else go();
    };
  });
  await page.goto(`${server.url}/plan?recipe=celeriac-veloute&service=evening&portions=140&pot=stockpot-40`);
  const way = page.getByRole('region', { name: planWords.waysToCookIt }).getByRole('button').first();
  await expect(way).toBeEnabled();
  await page.evaluate(() => Object.assign(window, { isWorkerHeld: true }));
  await page.getByRole('button', { name: new RegExp(`${planWords.day}$`) }).click();
  await page.getByRole('option', { name: 'tomorrow' }).click();
  await expect(way).toBeDisabled();
  await page.evaluate(() => {
    Object.assign(window, { isWorkerHeld: false });
    (window as unknown as { letGo: () => void }).letGo();
  });
  await way.click();
  await expect(page.getByRole('button', { name: new RegExp(`${planWords.day}$`) })).toContainText('tomorrow');
});

test('a recipe corrected: a food of our own, a split line, an order by keyboard, another school, a ratio, a false claim', async ({
  page,
}) => {
  await page.goto(`${server.url}/recipes/new`);
  await page
    .getByLabel(recipeEditorWords.thePaper)
    .fill(
      'Bean pot\nServes 4\n200 g quark\n200 g smoked bacon, cut in lardons\n500 g onion, diced\n250 g carrot, diced\n1 L vegetable stock\n1 tbsp fermented table sauce\nsalt to taste',
    );
  await expect(page.getByText('“quark” is not in the table yet.')).toBeVisible();
  await page.getByRole('button', { name: recipeEditorWords.continue }).click();
  await page.getByRole('button', { name: recipeEditorWords.save }).click();
  await expect(page.getByRole('alert').filter({ hasText: '“quark” is not in the table yet.' })).toBeVisible();

  await test.step('an unknown food is added on the spot, guessed from one like it', async () => {
    await page.getByRole('button', { name: 'Correct: 200 g quark' }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: larderWords.addIt }).click();
    await expect(sheet.getByText(larderWords.sayWhatItIsLike)).toBeVisible();
    await sheet.getByRole('combobox', { name: larderWords.itIsLike }).fill('Fresh soft');
    await page.getByRole('option', { name: 'Fresh soft cheese' }).click();
    await sheet.getByLabel(larderWords.fatOffTheLabel).fill('4');
    await sheet.getByRole('button', { name: larderWords.addIt }).click();
    await sheet.getByRole('button', { name: recipeEditorWords.ok }).click();
    await expect(page.getByText(/Quark, 200 g in the pot.*a guess, from fresh soft cheese/)).toBeVisible();
  });
  await test.step('half the bacon goes in later, and the parts must add up', async () => {
    await page.getByRole('button', { name: /^Correct: 200 g smoked bacon/ }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: recipeEditorWords.splitAcrossStages }).click();
    await sheet.getByLabel('Share of part 1').fill('70');
    await sheet.getByRole('button', { name: recipeEditorWords.ok }).click();
    await expect(sheet.getByText('The parts come to 120 %; they must come to 100 %.')).toBeVisible();
    await sheet.getByLabel('Share of part 1').fill('50');
    await sheet.getByRole('button', { name: recipeEditorWords.ok }).click();
    await expect(page.getByText(/Smoked bacon.*50 % \+ 50 %/)).toBeVisible();
  });
  await test.step('a stage is moved by the keyboard alone', async () => {
    const titles = () =>
      page.getByRole('grid', { name: recipeEditorWords.stagesInOrder }).getByRole('row').allInnerTexts();
    const before = (await titles()).map((text) => text.split('\n')[0]);
    const swapFirstTwo = async () => {
      const stages = page.getByRole('grid', { name: recipeEditorWords.stagesInOrder });
      await stages.getByRole('row').first().focus();
      for (const key of ['ArrowDown', 'ArrowRight', 'Enter', 'ArrowUp', 'ArrowUp', 'Enter']) {
        await page.keyboard.press(key);
      }
    };
    const order = async () => (await titles()).map((text) => text.split('\n')[0]);
    await swapFirstTwo();
    await expect.poll(order).toEqual([before[1], before[0], ...before.slice(2)]);
    await swapFirstTwo();
    await expect.poll(order).toEqual(before);
  });
  await test.step('another school, and the kitchen’s own minutes', async () => {
    await page.getByRole('button', { name: 'Open Start the pot' }).click();
    const sheet = page.getByRole('dialog');
    await expect(sheet.getByText('Why: With the lid on they stew in their own water')).toBeVisible();
    await sheet.getByText('open, low, butter').click();
    await expect(sheet.getByText(/until 72 % has gone/)).toBeVisible();
    await sheet.getByText('open, stirred').click();
    await sheet.getByLabel(recipeEditorWords.onItsClock).fill('soon');
    await sheet.getByRole('button', { name: recipeEditorWords.ok }).click();
    await expect(sheet.getByText('“soon” is no number this stage can end at.')).toBeVisible();
    await sheet.getByLabel(recipeEditorWords.onItsClock).fill('18');
    await sheet.getByLabel(recipeEditorWords.ourName).fill('slow and open');
    await sheet.getByRole('button', { name: recipeEditorWords.ok }).click();
    await expect(page.getByText(/slow and open; 18 min/)).toBeVisible();
  });
  await test.step('a ratio changed on one side: the other follows, and the paper is written anew', async () => {
    const side = page.getByLabel('Aromatic base: onion');
    await side.fill('50');
    await side.press('Enter');
    const edible = (500 * 0.88 + 250 * 0.82) / 2;
    await expect(page.getByLabel(/^Line: .*onion/)).toHaveValue(
      `${Number((edible / 0.88).toFixed(2))} g onion, diced`,
    );
    await expect(page.getByLabel(/^Line: .*carrot/)).toHaveValue(
      `${Number((edible / 0.82).toFixed(2))} g carrot, diced`,
    );
  });
  await test.step('a vegetarian claim with fish in a fermented sauce, and meat, is told so', async () => {
    await page.getByText('vegetarian', { exact: true }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Not vegetarian' })).toContainText(
      'Fermented table sauce (anchovies ferment in it)',
    );
  });
  await page.getByRole('button', { name: recipeEditorWords.save }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Bean pot' })).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'Not vegetarian' })).toBeVisible();
});

test('a reload in the middle loses nothing, and what was deleted can be undone', async ({ page }) => {
  await page.goto(`${server.url}/recipes/new`);
  await page
    .getByLabel(recipeEditorWords.thePaper)
    .fill('Carrot soup\nServes 4\n1 kg carrots\n1 L vegetable stock');
  await page.reload();
  await expect(page.getByLabel(recipeEditorWords.thePaper)).toHaveValue(/1 kg carrots/);
  await page.getByRole('button', { name: recipeEditorWords.continue }).click();
  await page.getByRole('button', { name: 'Delete: 1 kg carrots' }).click();
  await expect(page.getByLabel('Line: 1 kg carrots')).toHaveCount(0);
  await page.getByRole('button', { name: recipeEditorWords.undo }).click();
  await page.getByLabel('Line: 1 kg carrots').fill('1.2 kg carrots');
  await page.reload();
  await expect(page.getByLabel('Line: 1.2 kg carrots')).toBeVisible();
  await page.getByRole('button', { name: recipeEditorWords.clearAll }).click();
  await expect(page.getByLabel(recipeEditorWords.thePaper)).toBeVisible();

  await page.goto(`${server.url}/recipes/beetroot-barley-broth/edit`);
  await page.getByLabel(recipeEditorWords.saltAtTheEnd).fill('0.7');
  await page.reload();
  await expect(page.getByLabel(recipeEditorWords.saltAtTheEnd)).toHaveValue('0.7');
  await page.getByRole('button', { name: recipeEditorWords.backToTheSavedOne }).click();
  await expect(page.getByLabel(recipeEditorWords.saltAtTheEnd)).toHaveValue('0.85');
});

test('versions: two windows, one after the other; side by side; nothing is swallowed', async ({
  page,
  context,
}) => {
  await page.goto(`${server.url}/recipes/pepper-lentil-puree/edit`);
  const other = await context.newPage();
  await other.goto(`${server.url}/recipes/pepper-lentil-puree/edit`);
  await other.getByLabel(recipeEditorWords.saltAtTheEnd).fill('0.8');
  await page.getByLabel(recipeEditorWords.saltAtTheEnd).fill('0.85');
  await page.getByLabel(/^Line: 12 g cumin/).fill('16 g cumin');
  await page.getByRole('button', { name: 'Save version 2' }).click();
  await expect(page.getByText('Recipe, version 2')).toBeVisible();
  await other.getByRole('button', { name: /^Save version/ }).click();
  await expect(
    other
      .getByRole('alert')
      .filter({ hasText: 'Version 2 has been saved meanwhile; yours is based on version 1.' }),
  ).toBeVisible();
  await expect(other.getByLabel(recipeEditorWords.saltAtTheEnd)).toHaveValue('0.8');
  const table = page.getByRole('table');
  await expect(table.getByRole('row', { name: /salt/ })).toContainText('0.9 %');
  await expect(table.getByRole('row', { name: /Cumin/ })).toContainText(/12 g.*16 g/s);
  await expect(table.getByRole('row')).toHaveCount(3);
  // both side by side: a line of the other is taken over, and mine goes over it
  const both = other.getByRole('region', { name: recipeEditorWords.savedElsewhere(2) });
  await expect(both.getByRole('listitem')).toHaveText(/16 g cumin.*12 g cumin/s);
  await both.getByRole('button', { name: recipeEditorWords.takeTheirs('16 g cumin') }).click();
  await expect(other.getByLabel(/^Line: 16 g cumin/)).toBeVisible();
  await expect(both.getByText(recipeEditorWords.linesAreAlike)).toBeVisible();
  await both.getByRole('button', { name: recipeEditorWords.mineOverIt(3) }).click();
  await expect(both).toHaveCount(0);
  await other.getByRole('button', { name: 'Save version 3' }).click();
  await expect(other.getByText('Recipe, version 3')).toBeVisible();
});

test('a pattern: cream of another root, its trim, time and colour following', async ({ page }) => {
  await page.goto(`${server.url}/recipes/celeriac-veloute/edit`);
  await page.getByRole('group', { name: 'As a pattern' }).getByText('Celeriac').click();
  await page.getByRole('button', { name: /^Save version/ }).click();
  await page.getByRole('button', { name: recipeWords.makeAVariation }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel(recipeWords.itsName).fill('Beetroot velouté');
  await sheet.getByRole('combobox', { name: recipeWords.vegetable }).fill('Beetroot');
  await page.getByRole('option', { name: 'Beetroot', exact: true }).click();
  await expect(sheet.getByText('Beetroot dyes everything red.')).toBeVisible();
  await expect(sheet.getByText(/Beetroot softens in 25 min/)).toBeVisible();
  await sheet.getByRole('button', { name: recipeEditorWords.save }).click();
  await expect(page.getByLabel(recipeEditorWords.nameOfTheRecipe)).toHaveValue('Beetroot velouté');
  await expect(page.getByLabel(/^Line: .*beetroot/)).toBeVisible();
});
