import { randomUUID } from 'node:crypto';
import { type APIRequestContext, expect, type Page } from '@playwright/test';
import { EVENT_VERSIONS } from '../core/batch';
import { passWords, planWords, potWords } from '../web/words';

/** A cook's hands on the real interface, and the demo's clock to make the minutes pass. */

/** Twenty bowls of chowder started by the API, six hours ahead of their train. */
export async function startChowder(request: APIRequestContext, url: string) {
  const kitchen = await (await request.get(`${url}/api/kitchen`)).json();
  const started = await request.post(`${url}/api/batches`, {
    data: {
      id: randomUUID(),
      recipeId: 'trout-chowder',
      portions: 20,
      portionMl: 250,
      saltPercent: 0.9,
      band: 3,
      serviceAtMs: kitchen.clock.kitchenFromMs + 6 * 3_600_000,
      potId: 'rondeau-24',
      burnerId: 'gas-1',
      overrideReason: 'as a test',
    },
  });
  expect(started.status()).toBe(201);
  return started.json();
}

/** A pot begun by the API, a few minutes ahead of its service, and the mouth to speak of it with. */
export async function hotPot(
  request: APIRequestContext,
  url: string,
  { inMin, ...order }: { recipeId: string; inMin: number } & Record<string, unknown>,
) {
  const kitchen = await (await request.get(`${url}/api/kitchen`)).json();
  const begun = await request.post(`${url}/api/batches`, {
    data: {
      id: randomUUID(),
      portions: 60,
      portionMl: 250,
      saltPercent: 0.9,
      band: 3,
      serviceAtMs: kitchen.clock.kitchenFromMs + inMin * 60_000,
      potId: 'stockpot-40',
      burnerId: 'gas-2',
      overrideReason: 'as a test',
      ...order,
    },
  });
  expect(begun.status(), await begun.text()).toBe(201);
  const batch = await begun.json();
  const say = async (type: string, payload: object) => {
    const said = await request.post(`${url}/api/batches/${batch.id}/events`, {
      data: { id: randomUUID(), type, v: EVENT_VERSIONS.get(type), payload },
    });
    expect(said.ok(), await said.text()).toBe(true);
  };
  type Line = { perBowl: boolean; ingredientId: string; lineId: string; edibleKg: number };
  const lines: Line[] = batch.snapshot.plan.lines.filter((line: Line) => !line.perBowl);
  /** what is planned for it goes in hot, all of it or some */
  const put = (tempC: number, of: (line: Line) => boolean = () => true) =>
    say('added', {
      items: lines
        .filter(of)
        .map(({ ingredientId, lineId, edibleKg: kg }) => ({ ingredientId, lineId, kg, tempC })),
    });
  const serve = () =>
    say('stageBegun', {
      stageId: batch.snapshot.input.recipe.stages.at(-1).id,
      overrideReason: 'as a test',
    });
  return { kitchen, batch, say, put, serve };
}

/** Lets minutes of kitchen time pass: the demo's clock at 60 times for as many seconds. */
export async function move(page: Page, minutes: number): Promise<void> {
  await page.request.post(`${new URL(page.url()).origin}/api/clock`, {
    data: { change: 'speed', speed: 60 },
  });
  await page.waitForTimeout(minutes * 1000);
  await page.request.post(`${new URL(page.url()).origin}/api/clock`, { data: { change: 'speed', speed: 1 } });
}

export async function openPot(page: Page): Promise<void> {
  await expect(page.getByRole('link', { name: potWords.pot, exact: true })).toBeVisible();
}

/** Begins the stage that is next, lets it run, and says that it is done. */
export async function cookStage(page: Page, title: string, minutes: number): Promise<void> {
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
  await page.getByRole('button', { name: /^These are in: begin$|^Begin$/ }).click();
  await move(page, minutes);
  await setHeatIfAsked(page);
  await stageDone(page);
}

/** Says that the stage is done; and, where the pot is thought to be colder than it should, that it does simmer. */
export async function stageDone(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Stage done$|^It’s at the mark$/ }).click();
  const simmers = page.getByRole('button', { name: /^It (simmers|is so hot): stage done$/ });
  await expect(simmers.or(page.getByRole('button', { name: /egin$/ })).first()).toBeVisible();
  if (await simmers.isVisible()) await simmers.click();
}

/** Sets the burner as the pot asks, when it asks. */
export async function setHeatIfAsked(page: Page): Promise<void> {
  const heat = page.getByRole('button', { name: /^Heat is (at|off)/ });
  // the pot may have come to its heat in the moment between looking and pressing: then it no longer asks
  if (await heat.isVisible()) {
    await heat.click({ timeout: 2000 }).catch(async (error) => {
      if (await heat.isVisible()) throw error;
    });
  }
}

export async function readLevel(page: Page, centimetres: string): Promise<void> {
  await page.getByRole('button', { name: potWords.takeAReading }).click();
  await page.getByRole('textbox', { name: potWords.depth }).fill(centimetres);
  await page.getByRole('button', { name: potWords.saveTheReading }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** Presses every tag that hangs from the pot. */
export async function takeOutAll(page: Page): Promise<void> {
  const out = page.getByRole('group', { name: potWords.toComeOut }).last().getByRole('button');
  while (await out.count()) {
    // by its own name: what was pressed before may still be leaving, and the next moves up into its place
    const tag = await out.first().textContent();
    const thatTag = out.filter({ hasText: tag! });
    await thatTag.click();
    await expect(thatTag).toHaveCount(0);
  }
}

/** Takes the plan to its burner, short larder or not. */
export async function take(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Take it to/ }).click();
  const anyway = page.getByRole('button', { name: planWords.cookItAnyway, exact: true });
  await anyway
    .or(page.getByRole('link', { name: potWords.pot, exact: true }))
    .first()
    .waitFor();
  if (await anyway.isVisible()) {
    await page.getByLabel(planWords.itComesFrom).fill('the hotel across the square');
    await anyway.click();
  }
  await openPot(page);
}

/** A chowder that falls to its mark on burner 2. */
export async function chowderFalling(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/plan?service=midday`);
  await take(page);
  await cookStage(page, 'Sweat the vegetables', 3);
  await cookStage(page, 'Dust with flour', 1);
  await cookStage(page, 'Fumet in, up to a simmer', 15);
  await page.getByRole('button', { name: /^These are in: begin|^Begin$/ }).click();
  await expect(page.getByText(potWords.atTheMarkAbout)).toBeVisible();
}

/** So many portions out of the first kind, by the sheet for another number; `fate` as its choice reads. */
export async function portionsOut(page: Page, n: string, fate = passWords.served2): Promise<void> {
  const sheet = page.getByRole('dialog', { name: passWords.somethingElseTitle });
  if (!(await sheet.isVisible())) await page.getByRole('button', { name: passWords.somethingElse }).click();
  await sheet.getByText(fate, { exact: true }).click();
  await sheet.getByRole('textbox', { name: passWords.howMany }).fill(n);
  await sheet.getByRole('button', { name: passWords.saveThem }).first().click();
}
