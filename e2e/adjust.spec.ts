import { randomUUID } from 'node:crypto';
import { expect, type Page, test } from '@playwright/test';
import { adjustWords, nextTimeWords, rouxWords, SPOON_WORDS, TEST_WORDS, VERDICT_WORDS } from '../web/words';
import { atBothSizes } from './both-sizes';
import { startChowder } from './cook';

/** Judgement at the pot: what a spoon says becomes a dose, what a test says moves the sums, and nothing is lost. */
atBothSizes((server, where) => {
  const potOf = async (page: Page): Promise<string> => {
    const { id, snapshot } = await startChowder(page.request, server().url);
    const items = snapshot.plan.lines
      .filter(
        (line: { perBowl: boolean; ingredientId: string }) => !line.perBowl && line.ingredientId !== 'salt',
      )
      .map((line: { ingredientId: string; lineId: string; edibleKg: number }) => ({
        ingredientId: line.ingredientId,
        lineId: line.lineId,
        kg: line.edibleKg,
        tempC: 80,
      }));
    const said = await page.request.post(`${server().url}/api/batches/${id}/events`, {
      data: { id: randomUUID(), type: 'added', v: 3, payload: { items } },
    });
    expect(said.ok()).toBe(true);
    return `${server().url}/batches/${id}/adjust`;
  };

  test('thin, flat and a little sour is put right in under twenty presses; two tabs see it', async ({
    page,
    context,
  }) => {
    const problems: string[] = [];
    page.on('pageerror', (error) => problems.push(error.message));
    await page.goto(await potOf(page));
    let presses = 0;
    const press = async (name: string | RegExp, of: Page = page) => {
      presses++;
      await of.getByRole('button', { name }).first().click();
    };
    const says = async (scale: string, verdict: string) => {
      presses++;
      const line = page.getByRole('radiogroup', { name: scale });
      await line.getByRole('radio', { name: verdict, exact: true }).click({ force: true });
    };
    const dose = page.getByRole('region', { name: adjustWords.theDose });
    // flat: salt is what is missing, two thirds of it first
    await press(adjustWords.itIsFlat);
    await expect(dose).toContainText(/g fine salt/);
    // the same press twice in haste is one dose
    presses++;
    await dose.getByRole('button', { name: adjustWords.itIsIn }).dblclick();
    await expect(page.getByText(/then .* fine salt went in/)).toBeVisible();
    const { events } = await (
      await page.request.get(`${server().url}/api${new URL(page.url()).pathname.replace('/adjust', '')}`)
    ).json();
    expect(events.map((event: { type: string }) => event.type)).toEqual(['added', 'tasted', 'added']);
    // a clean spoon: a bit more salt, and a little too sour
    await says('Salt', VERDICT_WORDS.bitMore);
    await says('Acid', VERDICT_WORDS.tooMuch);
    await expect(dose).toContainText(/g fine salt/);
    await expect(dose).toContainText(/bicarbonate|sugar|butter|cream/i);
    await expect(dose).toContainText(/Dose 2/);
    await press(adjustWords.theseAreIn);
    // the dose is told and the lines are bare again: another spoon
    await expect(dose).toHaveCount(0);
    await says('Salt', VERDICT_WORDS.right);
    await says('Acid', VERDICT_WORDS.right);
    await press(adjustWords.saveTheVerdict);
    // thin by the spoon: the sums follow, and a way is begun in parts
    await press(adjustWords.testIt);
    await press(SPOON_WORDS.thinFilm);
    await expect(page.getByText(/Tested .*a thin film/).first()).toBeVisible();
    await press('mounds slowly');
    await press(adjustWords.itIsIn2('Cornstarch, slaked'));
    // nobody has lit the burner: a starch swells in no cold pot
    await expect(
      page.getByText(/is in\. Test it once the pot has been over .*; the rest would be/),
    ).toBeVisible();
    expect(presses).toBeLessThan(20);
    console.log(`put right ${where}: ${presses} presses`);
    // another tab sees the same pot
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByText(/Tested .*a thin film/).first()).toBeVisible();
    await expect(other.getByText(/is in\. Test it once/)).toBeVisible();
    // at the close it is proposed for the recipe: accepted in one press, and in the other window it is so as well
    const batchId = new URL(page.url()).pathname.split('/')[2]!;
    const closing = await page.request.post(`${server().url}/api/batches/${batchId}/events`, {
      data: { id: randomUUID(), type: 'closed', v: 1, payload: { leftLitres: 0 } },
    });
    expect(closing.ok(), await closing.text()).toBe(true);
    for (const window of [page, other]) await window.goto(`${server().url}/log/${batchId}`);
    const [card, beside] = [page, other].map((one) =>
      one.getByRole('region', { name: nextTimeWords.nextTime }),
    );
    await expect(card!).toContainText(/less lemon juice in .*: .* becomes/);
    await expect(card!).toContainText(/Acid: 1 spoon said that it was right/);
    await expect(card!).toContainText(/By its tests it thickened \d+ % of what the table says/);
    await card!.getByRole('button', { name: nextTimeWords.acceptInto(2) }).dblclick();
    await expect(card!).toContainText(nextTimeWords.acceptedInto(2));
    await expect(beside!).toContainText(nextTimeWords.acceptedInto(2));
    await other.close();
    const recipe = await (await page.request.get(`${server().url}/api/recipes/trout-chowder`)).json();
    expect(recipe.version).toBe(2);
    expect(recipe.profile.fromBatchIds).toEqual([batchId]);
    // the next batch begins there: less lemon, dosed by what its tests have shown
    const next = await startChowder(page.request, server().url);
    expect(next.snapshot.input.recipe.version).toBe(2);
    expect(next.snapshot.input.body.batches).toBe(1);
    expect(problems).toEqual([]);
  });

  test('too thick is loosened; a syringe with 14 mL left, a salt of 90 %, are refused and change nothing', async ({
    page,
  }) => {
    await page.goto(await potOf(page));
    const choose = async (text: string) => {
      const picked = page
        .getByRole('dialog')
        .getByRole('button', { name: new RegExp(adjustWords.testedWith) });
      await picked.click();
      await page.getByRole('option', { name: text }).click();
    };
    await page.getByRole('button', { name: adjustWords.testIt }).click();
    await choose(TEST_WORDS.flow);
    const left = page.getByRole('textbox', { name: adjustWords.leftInTheSyringe });
    await left.fill('14');
    await page.getByRole('dialog').getByRole('button', { name: adjustWords.save }).click();
    await expect(page.getByText(/Left in the syringe .*10 mL, got 14|syringe must be/)).toBeVisible();
    await left.fill('9.5');
    await page.getByRole('dialog').getByRole('button', { name: adjustWords.save }).click();
    await expect(page.getByText(/9\.5 mL left in the syringe/)).toBeVisible();
    await page.getByRole('button', { name: 'coats the spoon' }).click();
    const ways = page.getByRole('region', { name: adjustWords.waysToTheThicknessWanted });
    await expect(ways).toContainText(/Loosen with whole milk/);
    await ways.getByRole('button', { name: /Loosen with whole milk: it is in/ }).click();
    const measure = async (label: string, value: string) => {
      await page.getByRole('textbox', { name: label, exact: true }).fill(value);
      await page.getByRole('button', { name: adjustWords.saveMeter(label) }).click();
    };
    await measure(adjustWords.saltByMeter, '90');
    await expect(page.getByText(/Salt by a meter must be/)).toBeVisible();
    await measure(adjustWords.acidByMeter, '19');
    await expect(page.getByText(/pH must be from 2 to 9/)).toBeVisible();
    await measure(adjustWords.saltByMeter, '7');
    await expect(page.getByText(/not used\. Rinse it/)).toBeVisible();
    await measure(adjustWords.acidByMeter, '5.9');
    await expect(page.getByText(/Last pH 5\.9, where pH .* was calculated: both count/)).toBeVisible();
  });

  test('two cooks taste blind and see how they differ; a pale pot is deepened; too salty without room is told so', async ({
    page,
  }) => {
    await page.goto(await potOf(page));
    const says = (scale: string, verdict: string) =>
      page
        .getByRole('radiogroup', { name: scale })
        .getByRole('radio', { name: verdict, exact: true })
        .click({ force: true });
    const dose = page.getByRole('region', { name: adjustWords.theDose });
    const taster = page.getByRole('textbox', { name: adjustWords.whoTastes });
    for (const [by, acid] of [
      ['Ada', VERDICT_WORDS.right],
      ['Ben', VERDICT_WORDS.right],
    ] as const) {
      await taster.fill(by);
      await says('Acid', acid);
      await says('Bitter', by === 'Ada' ? VERDICT_WORDS.right : VERDICT_WORDS.bitMore);
      await expect(page.getByText(/tasted it, one not knowing/)).toHaveCount(0);
      await page.getByRole('button', { name: adjustWords.saveTheVerdict }).click();
      await expect(page.getByRole('radio', { checked: true })).toHaveCount(0);
    }
    await expect(page.getByText(/Bitter: Ada “right”, Ben “a bit more”/)).toBeVisible();
    // a picture from the tablet, made small here, stands beside this pot and at the close
    const photos = page.getByRole('region', { name: adjustWords.pictures });
    const choosing = page.waitForEvent('filechooser');
    await photos.getByRole('button', { name: adjustWords.takeAPicture }).click();
    await (await choosing).setFiles({
      name: 'pot.png',
      mimeType: 'image/png',
      buffer: await page.screenshot({ scale: 'device' }),
    });
    await expect(photos.getByRole('img', { name: /^This pot/ })).toBeVisible();
    const drawn = await photos
      .getByRole('img', { name: /^This pot/ })
      .evaluate((img: HTMLImageElement) => img.decode().then(() => img.naturalWidth));
    expect(drawn).toBeGreaterThan(300);
    // what is no picture gets a sentence
    const again = page.waitForEvent('filechooser');
    await photos.getByRole('button', { name: adjustWords.takeAPicture }).click();
    await (await again).setFiles({
      name: 'a.png',
      mimeType: 'image/png',
      buffer: Buffer.from('no picture'),
    });
    await expect(photos.getByRole('alert')).toContainText(/is no picture/);
    await expect(photos.getByRole('img')).toHaveCount(1);
    // pale: what deepens this dish's colour
    await says('Colour', 'white');
    await expect(dose).toContainText(/turmeric/i);
    await page.reload();
    await expect(taster).toHaveValue('Ben');
    // far too much salt, and a pot that has no room to thin it: it is told so, and a potato is no rescue
    const id = new URL(page.url()).pathname.split('/')[2]!;
    const salted = await page.request.post(`${server().url}/api/batches/${id}/events`, {
      data: {
        id: randomUUID(),
        type: 'added',
        v: 3,
        payload: { items: [{ ingredientId: 'salt', kg: 0.5, tempC: 18 }] },
      },
    });
    expect(salted.ok()).toBe(true);
    await page.reload();
    await says('Salt', VERDICT_WORDS.farTooMuch);
    await expect(dose).toContainText(/does not fit/);
    // or blended with a lot off the shelf: drawn from it, and less salty at once
    await expect(dose).toContainText(adjustWords.orBlendWith);
    await dose
      .getByRole('listitem')
      .filter({ hasText: /lot \d+: .* salt/ })
      .first()
      .getByRole('button')
      .click();
    const poured = async () =>
      (await (await page.request.get(`${server().url}/api/batches/${id}`)).json()).events.findLast(
        (event: { type: string; payload: { items?: { lotId?: string }[] } }) => event.type === 'added',
      ).payload.items[0];
    await expect.poll(async () => (await poured()).lotId ?? '').not.toBe('');
    await page.getByRole('button', { name: adjustWords.otherAmounts }).click();
    const road = page
      .getByRole('dialog')
      .getByRole('button', { name: new RegExp(adjustWords.forScale('salt')) });
    await road.click();
    await page.getByRole('option', { name: /Potato/ }).click();
    await page.keyboard.press('Escape');
    await expect(dose).toContainText(/takes \d+ % of the salt, as so much soup would/);
    await expect(dose).toContainText(/not enough by itself/);
  });

  test('a roux from Adjust: its litres and its mark come along; by colour, with fat in the pan; what cannot be gets a sentence', async ({
    page,
  }) => {
    await page.goto(await potOf(page));
    await page.getByRole('button', { name: 'stands', exact: true }).click();
    const ways = page.getByRole('region', { name: adjustWords.waysToTheThicknessWanted });
    await ways.getByRole('link', { name: rouxWords.toIt }).first().click();
    await expect(page).toHaveURL(/larder\/roux\?litres=\d.*band=6/);
    const blond = page.getByRole('row', { name: /blond/ });
    const flour = async () => (await blond.getByRole('cell').first().textContent())!;
    const heading = page.getByRole('heading', { level: 1 });
    await expect(heading).toContainText(/of blond roux/);
    const before = await flour();
    await page.getByRole('textbox', { name: rouxWords.rendered }).fill('60');
    expect(await flour()).toBe(before);
    await page.getByRole('button', { name: 'dark', exact: true }).click();
    await expect(heading).toContainText(/of dark roux/);
    await expect(page.getByText(/burns within a minute or two/)).toBeVisible();
    await page.getByRole('textbox', { name: rouxWords.liquidAt }).fill('95');
    await page.getByRole('textbox', { name: rouxWords.rouxAt }).fill('160');
    await expect(page.getByText(/Both hot: it lumps and spits/)).toBeVisible();
    await page.reload();
    await expect(heading).toContainText(/of dark roux/);
    for (const [label, text, sentence] of [
      [rouxWords.forLiquid, '0', /For must be from 0\.05 to 500 L/],
      [rouxWords.pan, 'wide', /Across the pan must be a number/],
      [rouxWords.rouxAt, '900', /The roux, when they meet must be from -5 to 200/],
    ] as const) {
      const field = page.getByRole('textbox', { name: label });
      const was = await field.inputValue();
      await field.fill(text);
      await expect(page.getByText(sentence)).toBeVisible();
      await field.fill(was);
      await expect(page.getByText(sentence)).toHaveCount(0);
    }
  });
});
