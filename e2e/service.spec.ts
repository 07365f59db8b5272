import { randomUUID } from 'node:crypto';
import { type APIRequestContext, expect, type Page, test } from '@playwright/test';
import { passWords, planWords } from '../web/words';
import { atBothSizes } from './both-sizes';
import { hotPot, move, portionsOut } from './cook';
import { demoServer } from './demo-server';

/** A service run from the pass: three kinds, a guest who may not eat all of it, orders, waste, a lever, two tablets. */

const KINDS = [
  { id: 'bowl', word: 'bowl', ml: 250, count: 60 },
  { id: 'k1', word: 'cup', ml: 150, count: 12 },
  { id: 'k2', word: 'bowl', ml: 250, count: 3, freeOf: ['eggs'] },
  { id: 'k3', word: 'staff', ml: 250, count: 2 },
];

/** A velouté in its pot before its finish; what the guest may not eat comes with that. */
const serviceBegun = (request: APIRequestContext, url: string, inMin: number) =>
  hotPot(request, url, { recipeId: 'celeriac-veloute', inMin, portions: 1, kinds: KINDS });

const HOLDS = (line: { ingredientId: string }) => /egg-yolk/.test(line.ingredientId);

async function out(page: Page, name: string, n: number) {
  await page
    .getByRole('button', { name: passWords.outOf(n, name) })
    .and(page.locator(':visible'))
    .click();
}

/** On a phone the kind is chosen first, and then pressed. */
async function serve(page: Page, kind: string, n: number) {
  const pick = page.getByRole('radiogroup', { name: passWords.ofWhat }).and(page.locator(':visible'));
  if (await pick.count())
    await pick.getByText(kind[0]!.toUpperCase() + kind.slice(1), { exact: true }).click();
  await out(page, kind, n);
}

const left = async (page: Page) =>
  Number(/(\d+)\s*bowls left/.exec((await page.getByText(/bowls left/).textContent()) ?? '')?.[1]);

atBothSizes((server) => {
  test('three kinds, a guest without, waste and a lever: from the pot to the last bowl', async ({
    page,
    context,
  }) => {
    const { batch, put } = await serviceBegun(page.request, server().url, 12);
    await put(85, (line) => !HOLDS(line));
    await page.goto(`${server().url}/batches/${batch.id}`);
    await test.step('before the egg goes in: draw off for the guests who may not have it', async () => {
      const first = page.getByRole('region', { name: passWords.drawOffFirst });
      await expect(first).toContainText(/Draw off 0\.8 L for 3 bowls without egg before/);
      await first.getByRole('button', { name: passWords.drawOff }).click();
      const sheet = page.getByRole('dialog');
      await expect(sheet.getByRole('textbox', { name: passWords.itBecomes })).toHaveValue(/without egg/);
      await sheet.getByRole('textbox', { name: passWords.howMuchIsDrawn }).fill('90');
      await sheet.getByRole('button', { name: passWords.drawItOff }).click();
      await expect(sheet.getByText(/90\.0 L does not go into/)).toBeVisible();
      await sheet.getByRole('textbox', { name: passWords.howMuchIsDrawn }).fill('0.9');
      await sheet.getByRole('button', { name: passWords.drawItOff }).click();
      await expect(page.getByRole('heading', { name: /without egg/ })).toBeVisible();
      await expect(page.getByRole('link', { name: /Drawn off from celeriac/ })).toBeVisible();
    });
    const part = page.url().split('/').at(-1)!;
    await put(85, HOLDS);
    await page.goto(`${server().url}/batches/${batch.id}/pass`);
    await test.step('one press for one, two, four, by kind; what hangs in the pot is asked for first', async () => {
      await serve(page, 'bowls', 4);
      const before = page.getByRole('dialog', { name: passWords.beforeTheFirstBowl });
      if (await before.isVisible().catch(() => false)) {
        await before.getByRole('textbox', { name: passWords.orSayWhyItIs }).fill('as a test');
        await before.getByRole('button', { name: passWords.serveAllTheSame }).click();
      }
      await expect(page.getByText(passWords.servedOf(4, 60, '250 mL'))).toBeVisible();
      await serve(page, 'cups', 2);
      await expect(page.getByText(passWords.servedOf(2, 12, '150 mL'))).toBeVisible();
      await serve(page, 'staff meals', 2);
      await expect(page.getByText(passWords.servedOf(2, 2, '250 mL'))).toBeVisible();
    });
    await test.step('not from this pot, by nobody: the other one serves them', async () => {
      await expect(page.getByText(passWords.notFromThisPot('egg')).first()).toBeVisible();
      await page.getByRole('link', { name: /Serve from .* without egg/ }).click();
      await expect(page).toHaveURL(new RegExp(part));
      await page
        .getByRole('button', { name: passWords.out(2) })
        .or(page.getByRole('button', { name: passWords.outOf(2, 'bowls without egg') }))
        .and(page.locator(':visible'))
        .first()
        .click();
      await expect(page.getByRole('definition').filter({ hasText: /^2$/ }).first()).toBeVisible();
      await page.goBack();
    });
    await test.step('a tray spilled, and one of it saved; more than there is can be taken out again', async () => {
      await page.getByRole('button', { name: passWords.somethingElse }).click();
      const sheet = page.getByRole('dialog');
      await sheet.getByText('spilled', { exact: true }).click();
      await sheet.getByRole('textbox', { name: passWords.howMany }).fill('none');
      await sheet.getByRole('button', { name: passWords.saveThem }).first().click();
      await expect(sheet.getByText(/must be a number/)).toBeVisible();
      await sheet.getByRole('textbox', { name: passWords.howMany }).fill('6');
      await sheet.getByRole('button', { name: passWords.saveThem }).first().click();
      await expect(sheet).toHaveCount(0);
      const after = await left(page);
      await page.getByRole('button', { name: passWords.somethingElse }).click();
      await page.getByRole('button', { name: passWords.oneNeverLeftOf(6, 'bowls') }).click();
      await expect(page.getByRole('button', { name: passWords.oneNeverLeftOf(5, 'bowls') })).toBeVisible();
      await page.keyboard.press('Escape');
      await expect.poll(() => left(page)).toBe(after + 1);
    });
    await test.step('an order by hand, of a guest who may not have it: said, changed by the guest, served', async () => {
      await page.getByRole('button', { name: passWords.newOrder }).click();
      const sheet = page.getByRole('dialog');
      await sheet.getByRole('textbox', { name: 'bowls', exact: true }).fill('2');
      await sheet.getByRole('textbox', { name: passWords.orderWords }).fill('Table 7');
      await sheet.getByText('celery', { exact: true }).click();
      await sheet.getByRole('button', { name: passWords.addOrder }).click();
      const orders = page.getByRole('region', { name: passWords.orders });
      await expect(orders).toContainText('2 bowls, without celery');
      await expect(orders).toContainText(passWords.notFromThisPot('celery'));
      await expect(orders.getByRole('button', { name: passWords.orderFor('2 bowls, Table 7') })).toHaveCount(
        0,
      );
      await orders.getByRole('button', { name: passWords.changeOrder }).click();
      await sheet.getByText('celery', { exact: true }).click();
      await sheet.getByRole('button', { name: passWords.addOrder }).click();
      await orders.getByRole('button', { name: passWords.orderFor('2 bowls, Table 7') }).click();
      await expect(orders).toContainText(passWords.ordersDone(1));
    });
    await test.step('two tablets at once, and the line down for a while: nothing is lost, nothing is twice', async () => {
      const other = await context.newPage();
      await other.goto(page.url());
      const before = await left(page);
      await expect.poll(() => left(other)).toBe(before);
      await context.setOffline(true);
      await serve(page, 'bowls', 2);
      await expect.poll(() => left(page)).toBe(before - 2);
      await page.waitForTimeout(2000);
      await context.setOffline(false);
      await serve(other, 'bowls', 1);
      await expect.poll(() => left(page)).toBe(before - 3);
      await expect.poll(() => left(other)).toBe(before - 3);
      await other.close();
    });
    await test.step('half of it gone too soon: when it runs out, a smaller ladle, and it lasts longer', async () => {
      for (let n = 0; n < 2; n++) await serve(page, 'bowls', 4);
      await move(page, 26);
      const last = page.getByRole('region', { name: passWords.willItLast });
      await expect(last).toContainText(/runs out at \d|may run out(,| at) .*\d/);
      const chance = async () =>
        Number(/(\d+) chances in 100/.exec((await last.textContent()) ?? '')?.[1] ?? Number.NaN);
      const before = await chance();
      expect(before).toBeGreaterThan(20);
      await last.getByRole('button', { name: passWords.useIt }).click();
      await expect.poll(chance).toBeLessThan(before);
      await expect(page.getByText(/ of 60 served, (1\d\d|2[0-4]\d) mL each/)).toBeVisible();
    });
    await test.step('more than there is: kept as it was said, asked about, and undone', async () => {
      await portionsOut(page, '70');
      await expect(page.getByRole('dialog')).toHaveCount(0);
      await expect(page.getByText(/Served 70 bowls: more than was in the pot/)).toBeVisible();
      await page.getByRole('button', { name: passWords.somethingElse }).click();
      await page.getByRole('button', { name: passWords.undoOut(70, 'bowls') }).click();
      await page.keyboard.press('Escape');
      await expect(page.getByText(/more than was in the pot/)).toHaveCount(0);
    });
    await test.step('the pot catches: the pot that was drawn off it is told', async () => {
      await page.request.post(`${server().url}/api/batches/${batch.id}/events`, {
        data: { id: randomUUID(), type: 'slip', v: 2, payload: { kind: 'trouble', trouble: 'scorched' } },
      });
      await page.goto(`${server().url}/batches/${part}/pass`);
      await expect(page.getByText(/Celeriac velouté went wrong at .*caught on the bottom/)).toBeVisible();
      await page.goto(`${server().url}/batches/${batch.id}/pass`);
    });
    await test.step('closed: what it cost by kind, what was given to nobody', async () => {
      await page.getByRole('button', { name: passWords.closeTheBatch }).click();
      const sheet = page.getByRole('dialog');
      await expect(sheet).toContainText(/bowls: £\d/);
      await expect(sheet).toContainText(/Given to nobody: 1\.\d L/);
      await sheet.getByRole('button', { name: passWords.closeIt }).click();
      await expect(page).toHaveURL(/\/log\//);
    });
  });
});

test('80 at noon and 40 kept for later, three without celery, a crust under the grill: ordered in one sentence', async ({
  page,
}) => {
  const server = await demoServer();
  await server.start();
  try {
    await page.goto(`${server.url}/plan?recipe=leek-perry-broth&portions=80&pot=kettle-60&burner=jacket`);
    const add = async (
      word: string,
      typed: Record<string, string>,
      more: () => Promise<void> = async () => {},
    ) => {
      await page.getByRole('button', { name: planWords.addPortions }).click();
      const sheet = page.getByRole('dialog');
      await sheet.getByText(word, { exact: true }).click();
      for (const [label, value] of Object.entries(typed))
        await sheet.getByRole('textbox', { name: label }).fill(value);
      await more();
      await sheet.getByRole('button', { name: planWords.addKind }).click();
    };
    await add(planWords.kindWords.bowl, { [planWords.howMany]: 'some' });
    await expect(page.getByRole('dialog').getByText(/How many must be a number/)).toBeVisible();
    await page.keyboard.press('Escape');
    await add(planWords.kindWords.bowl, { [planWords.howMany]: '40', [planWords.laterAt]: '19:00' });
    await add(planWords.kindWords.bowl, { [planWords.howMany]: '3' }, async () => {
      await page.getByRole('dialog').getByText('celery', { exact: true }).click();
    });
    await add(planWords.kindWords.staff, { [planWords.howMany]: '2' });
    const also = page.getByRole('region', { name: planWords.alsoOrdered });
    await expect(also).toContainText('40 bowls kept');
    await expect(also).toContainText(planWords.keptFor('19:00'));
    await expect(also).toContainText(/3 bowls without celery/);
    await expect(also).toContainText(/celery/);
    await expect(also).toContainText('2 staff meals');
    await page.reload();
    await page.goto(`${server.url}/plan?recipe=leek-perry-broth`);
    await expect(page.getByRole('region', { name: planWords.alsoOrdered })).not.toContainText('staff');
  } finally {
    await server.remove();
  }
});

test('a crust under the grill for 24: four loads timed back, one in, its garnish counted down', async ({
  page,
}) => {
  const server = await demoServer();
  await server.start();
  try {
    const kitchen = await (await page.request.get(`${server.url}/api/kitchen`)).json();
    const begun = await page.request.post(`${server.url}/api/batches`, {
      data: {
        id: randomUUID(),
        recipeId: 'leek-perry-broth',
        portions: 24,
        portionMl: 300,
        saltPercent: 0.9,
        band: 1,
        serviceAtMs: kitchen.clock.kitchenFromMs + 60 * 60_000,
        potId: 'stockpot-40',
        burnerId: 'gas-2',
        overrideReason: 'as a test',
      },
    });
    expect(begun.status(), await begun.text()).toBe(201);
    const { id } = await begun.json();
    await page.request.post(`${server.url}/api/batches/${id}/events`, {
      data: {
        id: randomUUID(),
        type: 'added',
        v: 3,
        payload: { items: [{ ingredientId: 'perry', kg: 9, tempC: 85 }] },
      },
    });
    await page.goto(`${server.url}/batches/${id}/pass`);
    const grill = page.getByRole('region', { name: passWords.grill });
    // by hand: the first out at 08:15, the others four and a half minutes after each other: the fourth at 08:28:30
    await expect(grill).toContainText(
      /4 loads of 6, 4 min each: the first in at 08:11, the last out at 08:2[89]/,
    );
    await expect(grill).toContainText(passWords.grillOven('lidded crock'));
    await expect(grill).toContainText(passWords.grillHot);
    await grill.getByRole('button', { name: passWords.grillIn(6) }).click();
    await expect(grill.getByRole('status')).toContainText(/6 bowls: out at 07:\d\d/);
    const garnish = page.getByRole('region', { name: passWords.garnish });
    const ready = garnish.getByRole('textbox', { name: /Hard cheese.* ready now/ });
    await ready.fill('plenty');
    await garnish.getByRole('button', { name: passWords.saveReady }).last().click();
    await expect(garnish).toContainText(/must be a number/);
    await ready.fill('240');
    await garnish.getByRole('button', { name: passWords.saveReady }).last().click();
    await expect(garnish).toContainText(/enough for 10, about 24 to come/);
    await page
      .getByRole('button', { name: passWords.out(2) })
      .and(page.locator(':visible'))
      .click();
    await expect(garnish).toContainText(/enough for 8, about 2\d to come/);
  } finally {
    await server.remove();
  }
});
