import { expect, type Page, test } from '@playwright/test';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import { v7 as uuid } from 'uuid';
import {
  basesWords,
  commonWords,
  larderWords,
  logWords,
  lotWords,
  passWords,
  planWords,
  potWords,
} from '../web/words';
import { cookStage, portionsOut } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** Bases made, drawn, recalled, planned for; two cooks at the last litre; each wrong word a sentence. */
let server: DemoServer;

test.beforeEach(async () => {
  server = await demoServer();
  await server.start();
});
test.afterEach(() => server.remove());

const order = (page: Page) => page.getByRole('group', { name: planWords.theOrder });

/** Cooks a lentil purée up to where its stock goes in, serves some bowls and closes it. */
async function lentilSoup(page: Page, bowls: number): Promise<string> {
  await page.goto(
    `${server.url}/plan?recipe=pepper-lentil-puree&service=evening&portions=${bowls}&pot=rondeau-24`,
  );
  const drawn = page.getByRole('region', { name: planWords.fromTheLarder });
  await expect(drawn).toContainText('Light vegetable stock');
  await page.getByRole('button', { name: /^Take it to/ }).click();
  await cookStage(page, 'Sweat peppers and onion', 1);
  await page.getByRole('button', { name: potWords.theseAreInBegin }).click();
  await expect(page.getByText(/done about|comes to/).first()).toBeVisible();
  const url = page.url();
  await page.goto(`${url}/pass`);
  await portionsOut(page, String(bowls - 2));
  await expect(page.getByRole('definition').first()).toHaveText(String(bowls - 2));
  await page.getByRole('button', { name: passWords.closeTheBatch }).click();
  await page.getByRole('textbox', { name: passWords.leftInThePot }).fill('0');
  await page.getByRole('button', { name: passWords.closeIt }).click();
  await page.getByText(logWords.actual).first().waitFor();
  return url;
}

test('a stock is made, stored, labelled, drawn in two soups, and recalled to every bowl', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const problems: string[] = [];
  page.on('pageerror', (error) => problems.push(error.message));

  await test.step('made as a batch like any other, from its kind', async () => {
    await page.goto(`${server.url}/larder/bases`);
    await page.getByRole('link', { name: /^Light vegetable stock/ }).click();
    await expect(page.getByText('Never salt it.')).toBeVisible();
    await page.getByRole('link', { name: basesWords.planIt }).click();
    await order(page).getByLabel(planWords.readyBy).fill('half past');
    await expect(page.getByText('Ready by must be a time as 16:00, not “half past”.')).toBeVisible();
    await order(page).getByLabel(planWords.readyBy).fill('10:00');
    await order(page).getByLabel(planWords.amountOfIt).fill('12');
    await page.getByRole('button', { name: /24 L rondeau/ }).click();
    await expect(page.getByRole('button', { name: /^Strength \d\.\d ×/ })).toBeVisible();
    await page.getByRole('button', { name: /^Take it to/ }).click();
    await cookStage(page, 'Cold water, slowly up', 3);
    await cookStage(page, 'Forty minutes, just under', 2);
    await cookStage(page, 'Strain', 1);
    await page.getByRole('button', { name: potWords.begin, exact: true }).click();
    await page.getByRole('button', { name: potWords.toStoring }).click();
  });

  await test.step('stored: a wrong amount is a sentence; the lot is on the shelf with its label', async () => {
    await page.getByRole('button', { name: passWords.storeSome }).click();
    const litres = page.getByRole('textbox', { name: passWords.amountAsItIsCold });
    for (const [typed, sentence] of [
      ['plenty', 'What is stored must be a number of L, not “plenty”.'],
      ['90', /90.0 L cannot be stored/],
    ] as const) {
      await litres.fill(typed);
      await page.getByRole('button', { name: passWords.storeIt }).click();
      await expect(page.getByText(sentence)).toBeVisible();
    }
    await litres.fill('12');
    await page.getByRole('textbox', { name: passWords.whereItIsKept }).fill('walk-in, shelf 5');
    await page.getByRole('button', { name: passWords.storeIt }).click();
    await expect(page.getByRole('link', { name: /^lot \d+, its label/ })).toBeVisible();
    await page.getByRole('button', { name: passWords.closeTheBatch }).click();
    await page.getByRole('textbox', { name: passWords.leftInThePot }).fill('0');
    await page.getByRole('button', { name: passWords.closeIt }).click();
    await page
      .getByRole('region', { name: commonWords.larder })
      .getByRole('link', { name: /^Light vegetable stock, lot/ })
      .click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Light vegetable stock, lot \d+/);
    await expect(page.getByRole('button', { name: /^Use by Mon 16 Mar/ })).toBeVisible();
  });
  const lot = page.url();

  await test.step('the square on its label opens it', async () => {
    await page.getByRole('link', { name: larderWords.label }).click();
    const square = page.getByRole('img', { name: /^Square code/ });
    const { data, width, height } = PNG.sync.read(await square.screenshot({ scale: 'css' }));
    expect(jsQR(new Uint8ClampedArray(data), width, height)?.data).toBe(lot);
    await page.goto(lot);
  });

  const soups: string[] = [];
  await test.step('drawn in two soups, after what is past its date was thrown away', async () => {
    await page.goto(`${server.url}/larder`);
    await page.getByRole('link', { name: /Light vegetable stock.*past its date/ }).click();
    await page.getByRole('button', { name: lotWords.throwAway }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel(lotWords.howMuch).fill('2.5');
    await sheet.getByRole('button', { name: lotWords.throwItAway }).click();
    await expect(sheet.getByText('The reason is missing.')).toBeVisible();
    await sheet.getByLabel(lotWords.why).fill('past its date');
    await sheet.getByRole('button', { name: lotWords.throwItAway }).click();
    await expect(sheet).toHaveCount(0);
    soups.push(await lentilSoup(page, 8), await lentilSoup(page, 12));
  });

  await test.step('recalled, it names both soups and their bowls; and what it came from', async () => {
    await page.goto(lot);
    await expect(page.getByRole('heading', { name: 'Where it went: 16 bowls' })).toBeVisible();
    for (const soup of soups)
      await expect(page.locator(`a[href="/log/${soup.split('/').at(-1)}"]`)).toBeVisible();
    await expect(page.getByText('6 bowls served')).toBeVisible();
    await expect(page.getByText('10 bowls served')).toBeVisible();
    await expect(page.locator('a[href^="/log/"]', { hasText: 'Light vegetable stock' })).toBeVisible();
    await page.getByRole('link', { name: /^Leek, lot/ }).click();
    await expect(page.getByRole('heading', { name: /^Where it went: \d+ bowls/ })).toBeVisible();
    await expect(
      page.getByRole('main').getByRole('link', { name: /^Light vegetable stock, lot/ }),
    ).toBeVisible();
  });
  expect(problems).toEqual([]);
});

test('Saturday’s three soups: what to make, in which pot, by when', async ({ page }) => {
  for (const [dish, service, bowls] of [
    ['trout-chowder', 'late-morning', 60],
    ['celeriac-veloute', 'midday', 60],
    ['beetroot-barley-broth', 'evening', 40],
  ] as const) {
    await page.goto(`${server.url}/plan?recipe=${dish}&service=${service}&portions=${bowls}`);
    await order(page).getByRole('button', { name: /Day/ }).click();
    await page.getByRole('option', { name: 'on Sat 14 Mar' }).click();
    await page.getByRole('button', { name: 'Save it for Sat 14 Mar' }).click();
    await expect(page.getByRole('heading', { name: larderWords.theShelf })).toBeVisible();
  }
  const make = page.getByRole('region', { name: basesWords.toMake });
  const card = (name: RegExp) => make.getByRole('listitem').filter({ hasText: name });
  const kelp = card(/L kelp and dried-mushroom stock/);
  await expect(kelp).toContainText('beetroot and barley broth');
  await expect(kelp).toContainText(/light it .* 11 Mar/);
  const chicken = card(/L roast chicken stock/);
  await expect(chicken).toContainText(/wanted for celeriac velouté/);
  await expect(chicken).toContainText(
    /(stockpot|kettle), .*light it Fri 13 Mar, \d\d:\d\d, strained \d\d:\d\d\..* Cold by \d\d:\d\d in .* deep/,
  );
  await expect(chicken).toContainText(/At the latest Sat 14 Mar, \d\d:\d\d, used hot/);
  await expect(card(/^Fish fumet: enough/)).toContainText('smoked trout and sweetcorn chowder');
  await chicken.getByRole('link', { name: basesWords.planIt }).click();
  await expect(order(page)).toContainText('Roast chicken stock');
  await page.goto(`${server.url}/larder`);
  await make.getByRole('button', { name: 'Delete Celeriac velouté' }).last().click();
  await expect(card(/^Chicken stock: enough/)).toBeVisible();
  await page.goto(server.url);
  await expect(
    page.getByRole('link', { name: '60 bowls of smoked trout and sweetcorn chowder' }),
  ).toBeVisible();
});

test('short of a base: substitutes compared, or a word where it comes from', async ({ page }) => {
  await page.goto(`${server.url}/plan?recipe=beetroot-barley-broth&service=evening&portions=60`);
  await expect(page.getByText(/Kelp and mushroom stock: \d+\.\d L short/)).toBeVisible();
  await page.getByRole('button', { name: /^Take it to/ }).click();
  const asked = page.getByRole('dialog', { name: planWords.theLarderIsShort });
  await asked.getByRole('button', { name: planWords.cookItAnyway }).click();
  await expect(asked.getByText(/are wanted, .* in the larder/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: planWords.useASubstitute }).click();
  const instead = page.getByRole('dialog', { name: 'Instead of kelp and mushroom stock' });
  await expect(instead.getByRole('button', { name: /as bouillon.*salt to add/s }).first()).toBeVisible();
  await instead.getByRole('button', { name: /its aromatics in the pot/ }).click();
  await expect(page.getByText(/L short/)).toHaveCount(0);
  await expect(page.getByText('Changed: water, with its aromatics in the pot.')).toBeVisible();
  await expect(instead).toHaveCount(0);
  // nor does a refusal outlive its order
  await expect(page.getByText(/are wanted, .* in the larder/)).toHaveCount(0);
  const undo = page.getByRole('button', { name: planWords.undo });
  await undo.evaluate((button) => button.scrollIntoView({ block: 'center' }));
  await undo.click();
  await expect(page.getByText(/L short/)).toBeVisible();
  await page.getByRole('button', { name: /^Take it to/ }).click();
  await asked.getByRole('textbox', { name: planWords.itComesFrom }).fill('the hotel’s kitchen');
  await asked.getByRole('button', { name: planWords.cookItAnyway }).click();
  await expect(page.getByRole('heading', { name: 'Beetroot in cold stock' })).toBeVisible();
});

test('two cooks draw the last litre: both are told, and a count mends it', async ({ page, browser }) => {
  const api = (path: string, data: object) => page.request.post(`${server.url}/api${path}`, { data });
  const lots = await (await page.request.get(`${server.url}/api/lots`)).json();
  const kelp = lots.find(
    (one: { contents: { base?: string } }) => one.contents.base === 'kelp-mushroom-stock',
  );
  const start = async (potId: string, burnerId: string) => {
    const id = uuid();
    const made = await api('/batches', {
      id,
      recipeId: 'beetroot-barley-broth',
      portions: 8,
      portionMl: 300,
      saltPercent: 0.85,
      band: 0,
      serviceAtMs: Date.UTC(2026, 2, 10, 18, 5),
      potId,
      burnerId,
    });
    expect(made.status()).toBe(201);
    return id;
  };
  const one = await start('rondeau-24', 'gas-1');
  const two = await start('stockpot-40', 'gas-2');
  const other = await (await browser.newContext()).newPage();
  await page.goto(`${server.url}/batches/${one}`);
  await other.goto(`${server.url}/batches/${two}`);
  await page.getByRole('heading', { name: 'Beetroot in cold stock' }).waitFor();
  await other.getByRole('heading', { name: 'Beetroot in cold stock' }).waitFor();
  const draw = {
    type: 'added',
    v: 1,
    payload: { items: [{ ingredientId: 'kelp-stock', kg: kelp.leftKg - 0.5, tempC: 5, lotId: kelp.id }] },
  };
  await Promise.all([one, two].map((id) => api(`/batches/${id}/events`, { id: uuid(), ...draw })));
  for (const window of [page, other])
    await expect(
      window.getByText(/more was drawn from kelp and dried-mushroom stock, lot \d+, than it held/),
    ).toBeVisible({ timeout: 3000 });
  await page.getByRole('link', { name: lotWords.count }).click();
  await page.getByRole('button', { name: lotWords.count }).click();
  await page.getByRole('dialog').getByLabel(lotWords.thereIs).fill('none');
  await page.getByRole('button', { name: lotWords.saveTheCount }).click();
  await expect(page.getByText('There is must be a number of L, not “none”.')).toBeVisible();
  await page.getByRole('dialog').getByLabel(lotWords.thereIs).fill('0.4');
  await page.getByRole('button', { name: lotWords.saveTheCount }).click();
  await expect(other.getByText(/more was drawn from/)).toHaveCount(0);
  await expect(page.getByText(/^Counted: .* there/)).toBeVisible();
});

test('blended, diluted, counted, delivered, used past its date: before it is done, and what cannot be', async ({
  page,
}) => {
  await test.step('a blend with no solution says which limit to loosen; one with, pours', async () => {
    await page.goto(`${server.url}/larder/blend`);
    const blend = page.getByRole('region', { name: basesWords.theBlend });
    await page.getByLabel(basesWords.strengthAtLeast).fill('9');
    await expect(blend.getByText(/Strength at least 3\.\d °Brix, not 9\.0/)).toBeVisible();
    await page.getByLabel(basesWords.strengthAtLeast).fill('2.8');
    await page.getByLabel(basesWords.make, { exact: true }).fill('6');
    await expect(blend.getByText(/Comes to .* 2\.8 °Brix/)).toBeVisible();
    await blend.getByRole('button', { name: basesWords.blendedLogIt }).click();
    await expect(page.getByRole('heading', { name: /^Blend of .*, lot \d+/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Left 6\.0 L/ })).toBeVisible();
  });
  await test.step('a glaze is thawed and diluted to the usual strength', async () => {
    await page.goto(`${server.url}/larder`);
    await page.getByRole('link', { name: /Chicken glaze/ }).click();
    await page.getByRole('button', { name: lotWords.thaw }).click();
    await page.getByRole('button', { name: lotWords.thawIt }).click();
    await page.getByRole('button', { name: larderWords.diluteOrReduce }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel(/^To this strength/).fill('95');
    await expect(sheet.getByText(larderWords.thatStrengthCannotBeHad)).toBeVisible();
    await sheet.getByLabel(/^To this strength/).fill('3');
    await expect(sheet.getByText(/kg of water gives \d+\.\d L/)).toBeVisible();
    await sheet.getByRole('button', { name: larderWords.dilutedLogIt }).click();
    await expect(page.getByText(/Chicken glaze, diluted, lot \d+/)).toBeVisible();
  });
  await test.step('a delivery: warm is warned of, shellfish wants its tag', async () => {
    await page.goto(`${server.url}/larder`);
    await page.getByRole('button', { name: larderWords.aDelivery2 }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('combobox', { name: larderWords.whatCame }).fill('mussel');
    await page.getByRole('option', { name: 'Mussel meat' }).click();
    await sheet.getByLabel(larderWords.weight).fill('4');
    await sheet.getByLabel(larderWords.from).fill('Quayhead Fish');
    await sheet.getByLabel(larderWords.itsTemperatureByThermometer).fill('9');
    await expect(sheet.getByText(/cold food at 5 °C or below/)).toBeVisible();
    await sheet.getByRole('button', { name: larderWords.itIsIn }).click();
    await expect(sheet.getByText(/comes with a tag/)).toBeVisible();
    await sheet.getByLabel(larderWords.numberOfItsTag).fill('QF 2310');
    await sheet.getByRole('button', { name: larderWords.itIsIn }).click();
    await expect(sheet).toHaveCount(0);
    await expect(page.getByRole('link', { name: /Mussel meat.*4\.00 kg/ })).toBeVisible();
  });
  await test.step('past its date: only with a reason and a name', async () => {
    await page.getByRole('link', { name: /Light vegetable stock.*past its date/ }).click();
    await page.getByRole('button', { name: lotWords.useItPastItsDate }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByLabel(lotWords.why).fill('boiled hard, for staff');
    await sheet.getByRole('button', { name: lotWords.allowItsUse }).click();
    await expect(sheet.getByText('Who answers for it is missing.')).toBeVisible();
    await sheet.getByLabel(lotWords.thePersonInChargeWho).fill('Isla');
    await sheet.getByRole('button', { name: lotWords.allowItsUse }).click();
    await expect(page.getByText(/may be used past its date: boiled hard, for staff \(Isla/)).toBeVisible();
  });
  await test.step('the shelf counted in one walk', async () => {
    await page.goto(`${server.url}/larder/count`);
    const first = page.getByRole('textbox', { name: /^There is of lot/ }).first();
    await first.fill('some');
    await page.getByRole('button', { name: larderWords.saveTheCount }).click();
    await expect(page.getByText(/must be a number of (L|kg), not “some”/)).toBeVisible();
    await first.fill('0.2');
    await page.getByRole('button', { name: larderWords.saveTheCount }).click();
    await expect(page.getByText('1 lot counted.')).toBeVisible();
  });
  await test.step('with the line gone, what is said waits on the device and arrives once', async () => {
    await page.getByRole('link', { name: larderWords.theShelf }).click();
    await page.getByRole('link', { name: /Root vegetable purée/ }).click();
    await page.getByRole('button', { name: lotWords.move }).waitFor();
    await server.stop();
    await page.getByRole('button', { name: lotWords.move }).click();
    await page.getByRole('dialog').getByLabel(larderWords.whereItGoes).fill('shelf 7');
    await page.getByRole('button', { name: lotWords.moveIt }).click();
    await expect(page.getByText(/1 entry waits on this device/)).toBeVisible();
    await server.start();
    await expect(page.getByText(/entry waits/)).toHaveCount(0, { timeout: 15_000 });
    await expect(page.getByText('Moved to shelf 7')).toHaveCount(1);
  });
});
