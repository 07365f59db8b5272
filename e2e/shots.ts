import { randomUUID } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import {
  adjustWords,
  coolingWords,
  logWords,
  passWords,
  planWords,
  potsWords,
  potWords,
  recipeEditorWords,
  rehearseWords,
  sheetWords,
  VERDICT_WORDS,
} from '../web/words';
import { cookStage, move, openPot, readLevel, takeOutAll } from './cook';
import { demoServer } from './demo-server';
import { hotLot } from './hot-lot';
import { leekSoup } from './papers';

/**
 * `npm run shots`: one current picture of each main view, from the demo's own data. Time is moved by the demo's
 * clock, so that the pictures come out alike each time. A folder can be given; default docs/screenshots.
 */
const folder = process.argv[2] ?? 'docs/screenshots';
mkdirSync(folder, { recursive: true });
const server = await demoServer();
await server.start();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });

async function shot(name: string, on: Page = page) {
  await on.evaluate(() => document.fonts.ready);
  await on.waitForTimeout(350);
  await on.screenshot({ path: `${folder}/${name}.png` });
}

/** A service half gone: three kinds and a guest who may not eat all of it, orders that wait, more asked for than planned. */
async function halfServed(on: Page, url: string): Promise<string> {
  const { clock } = await (await on.request.get(`${url}/api/kitchen`)).json();
  const nowMs = clock.kitchenFromMs + (Date.now() - clock.realFromMs) * clock.speed;
  const post = async (path: string, data: object) => {
    const answer = await on.request.post(`${url}/api/${path}`, { data });
    if (!answer.ok()) throw new Error(await answer.text());
    return answer.json();
  };
  // what stands on the range from the pictures before would call
  for (const { id } of await (await on.request.get(`${url}/api/batches/open`)).json())
    await post(`batches/${id}/events`, {
      id: randomUUID(),
      type: 'closed',
      v: 1,
      payload: { leftLitres: 0 },
    });
  const begun = await post('batches', {
    id: randomUUID(),
    recipeId: 'celeriac-veloute',
    portions: 1,
    portionMl: 250,
    kinds: [
      { id: 'bowl', word: 'bowl', ml: 250, count: 60 },
      { id: 'k1', word: 'cup', ml: 150, count: 12 },
      { id: 'k2', word: 'bowl', ml: 250, count: 3, freeOf: ['eggs'] },
      { id: 'k3', word: 'staff', ml: 250, count: 3 },
    ],
    saltPercent: 0.9,
    band: 3,
    serviceAtMs: Math.round(nowMs) + 60_000,
    potId: 'kettle-60',
    burnerId: 'jacket',
    overrideReason: 'for a picture',
  });
  const say = (type: string, payload: object, v = 1) =>
    post(`batches/${begun.id}/events`, { id: randomUUID(), type, v, payload });
  type Line = { perBowl: boolean; ingredientId: string; lineId: string; edibleKg: number };
  const lines: Line[] = begun.snapshot.plan.lines.filter((line: Line) => !line.perBowl);
  const put = (of: (line: Line) => boolean) =>
    say(
      'added',
      {
        items: lines
          .filter(of)
          .map(({ ingredientId, lineId, edibleKg: kg }) => ({ ingredientId, lineId, kg, tempC: 78 })),
      },
      3,
    );
  const stages: { id: string }[] = begun.snapshot.input.recipe.stages;
  await put((line) => line.ingredientId !== 'egg-yolk');
  const part = await post(`batches/${begun.id}/parts`, {
    id: randomUUID(),
    eventId: randomUUID(),
    litres: 0.8,
    name: 'Velouté without egg',
    potId: 'saucepan-4',
    burnerId: 'gas-4',
    kinds: [{ id: 'k2', word: 'bowl', ml: 250, count: 3, freeOf: ['eggs'] }],
    leaveOut: lines.filter((line) => line.ingredientId === 'egg-yolk').map((line) => line.lineId),
  });
  await put((line) => line.ingredientId === 'egg-yolk');
  await say('stageBegun', { stageId: stages.at(-1)!.id, overrideReason: 'for a picture' }, 2);
  const held = { in: 'pot', keptC: 70, lid: 'on' };
  await say('heldHot', held);
  await post(`batches/${part.id}/events`, {
    id: randomUUID(),
    type: 'stageBegun',
    v: 2,
    payload: { stageId: stages.at(-1)!.id, overrideReason: 'for a picture' },
  });
  await post(`batches/${part.id}/events`, { id: randomUUID(), type: 'heldHot', v: 1, payload: held });
  const serve = (portions: number, kindId: string) =>
    say('portioned', { portions, kindId, fate: 'served', overrideReason: 'for a picture' }, 3);
  await serve(14, 'bowl');
  await serve(3, 'k1');
  await say('asked', {
    items: [
      { kindId: 'bowl', count: 2 },
      { kindId: 'k1', count: 1 },
    ],
    words: 'Table 4',
  });
  await say('asked', {
    items: [{ kindId: 'bowl', count: 1 }],
    freeOf: ['eggs'],
    words: 'Window seat',
    via: 'till',
  });
  await move(on, 16);
  return begun.id;
}

try {
  await page.goto(server.url);
  await page.getByRole('heading', { name: 'Corrie Halt Buffet' }).waitFor();
  await shot('today');
  await page.goto(`${server.url}/plan?service=midday`);
  await page.getByRole('button', { name: /24 L rondeau/ }).waitFor();
  await shot('plan');
  await page.getByRole('button', { name: /^Take it to burner 2/ }).click();
  await page.getByRole('heading', { name: 'Sweat the vegetables' }).waitFor();
  await openPot(page);
  await cookStage(page, 'Sweat the vegetables', 15);
  await cookStage(page, 'Dust with flour', 4);
  await cookStage(page, 'Fumet in, up to a simmer', 20);
  await page.getByRole('button', { name: /^These are in: begin|^Begin$/ }).click();
  await page.getByRole('heading', { name: /Reduce to|Heat to/ }).waitFor();
  await move(page, 7);
  await readLevel(page, '8.7');
  await move(page, 7);
  await readLevel(page, '8.35');
  await page.getByRole('button', { name: potWords.lookedInStirred }).click();
  await page.getByText(potWords.readyWhen).waitFor();
  await shot('pot');
  await page.setViewportSize({ width: 820, height: 1180 });
  await shot('pot-tablet');
  await page.setViewportSize({ width: 390, height: 844 });
  await shot('pot-phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.evaluate(() => localStorage.setItem('slow-pot-theme', 'dim'));
  await page.reload();
  await page.getByRole('heading', { name: /Reduce to|Heat to/ }).waitFor();
  await shot('pot-dim');
  await page.evaluate(() => localStorage.setItem('slow-pot-theme', 'day'));
  await page.reload();
  await page.getByRole('link', { name: potWords.adjust }).click();
  await page.getByRole('heading', { name: adjustWords.howDoesItTaste }).waitFor();
  for (const [scale, verdict] of [
    ['Salt', VERDICT_WORDS.more],
    ['Acid', VERDICT_WORDS.bitMore],
    ['Savoury', VERDICT_WORDS.right],
  ] as const)
    await page
      .getByRole('radiogroup', { name: scale })
      .getByRole('radio', { name: verdict, exact: true })
      .click({ force: true });
  await page.getByRole('button', { name: 'holds a drawn line' }).click();
  await shot('adjust');
  await page.getByRole('link', { name: potWords.pass }).click();
  await page.getByRole('button', { name: '1 out', exact: true }).waitFor();
  await takeOutAll(page);
  for (const [place, name] of [
    ['recipes', 'recipes'],
    ['larder', 'larder'],
    ['kitchen/heat', 'kitchen'],
  ] as const) {
    await page.goto(`${server.url}/${place}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    if (place === 'larder') await page.getByText(/L kelp and dried-mushroom stock/).waitFor();
    await shot(name);
  }
  await page.goto(`${server.url}/recipes/venison-juniper-sauce`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await shot('recipe');
  await page.goto(`${server.url}/recipes/new`);
  await page.getByLabel(recipeEditorWords.thePaper).fill(leekSoup('100 g quark'));
  await page.getByText('“quark” is not in the table yet.').waitFor();
  await shot('recipe-paper');
  // the hidden burner is drawn by chance: the same one for each picture
  await page.addInitScript(() => {
    Math.random = () => 0.4;
  });
  await page.goto(`${server.url}/rehearse/venison-juniper-sauce`);
  await page.getByRole('button', { name: rehearseWords.aQuarterGone }).waitFor();
  await page.waitForTimeout(22_000);
  await page.getByRole('button', { name: rehearseWords.aQuarterGone }).click();
  await page.getByRole('button', { name: rehearseWords.showTheTruth }).click();
  await page.getByText(/of its rating/).waitFor();
  await shot('rehearse');
  await page.goto(`${server.url}/kitchen/pots`);
  await page.getByRole('button', { name: planWords.addAPot }).click();
  await page.getByLabel(potsWords.nameOfThePot).fill('Old dented stockpot');
  await page.getByText(potsWords.measureByWater).click();
  await page.getByLabel(potsWords.bottomToRim).fill('39');
  const levels = [
    [8.6, 9],
    [16.1, 19],
    [29.4, 33],
  ] as const;
  for (const [i, [poured, depth]] of levels.entries()) {
    await page.getByLabel(`Level ${i + 1}, poured in`).fill(String(poured));
    await page.getByLabel(`Level ${i + 1}, on the stick`).fill(String(depth));
  }
  await page.getByText(/^Kept as/).waitFor();
  await shot('set-up');
  await page.goto(`${server.url}/sheet?recipe=pepper-lentil-puree&service=evening&portions=60`);
  await page.getByRole('region', { name: sheetWords.whatToMakeReady }).waitFor();
  await shot('sheet');
  await page.goto(`${server.url}/log`);
  await page.getByRole('link', { name: /9 Mar, 13:10/ }).click();
  await page.getByText(logWords.actual).first().waitFor();
  await shot('log-batch');
  await page.goto(`${server.url}/batches/${await halfServed(page, server.url)}/pass`);
  await page.getByText(passWords.willItLast).waitFor();
  await shot('pass');
  const { lotId, batchId } = await hotLot(page.request, server.url, {
    portions: 90,
    litres: 25,
    potId: 'stockpot-40',
    burnerId: 'gas-2',
  });
  const onShelf = (type: string, payload: object) =>
    page.request.post(`${server.url}/api/larder/events`, {
      data: { id: randomUUID(), type, v: 1, payload: { lotId, ...payload } },
    });
  const inPot = (id: string, type: string, payload: object) =>
    page.request.post(`${server.url}/api/batches/${id}/events`, {
      data: { id: randomUUID(), type, v: 1, payload },
    });
  await inPot(batchId, 'closed', { leftLitres: 0 });
  const how = {
    pans: 3,
    areaM2: 0.17225,
    depthCm: 4.8,
    air: 'fan',
    airC: 4,
    placeId: 'walk-in',
    place: 'Walk-in',
  };
  await onShelf('coolingSet', { how });
  for (const value of [82, 74, 65]) {
    await move(page, 14);
    await onShelf('lotRead', { kind: 'temperature', value, by: 'Isla', thermometerId: 'thin-probe' });
  }
  // a thermometer in what is served, so that nothing else calls
  for (const { id } of await (await page.request.get(`${server.url}/api/batches/open`)).json())
    await inPot(id, 'reading', { kind: 'temperature', value: 69, by: 'Tam', thermometerId: 'thin-probe' });
  await page.goto(`${server.url}/larder/cooling`);
  await page.getByText(coolingWords.actBefore, { exact: true }).waitFor();
  await shot('cooling');
  // a day as an inspector asks for it: a crate that came in warm, and what became of it
  await page.request.post(`${server.url}/api/kitchen/changes`, {
    data: {
      id: randomUUID(),
      change: 'checked',
      instrumentId: 'thin-probe',
      iceC: 0.3,
      boilC: 95.6,
      by: 'Isla',
    },
  });
  const crate = { lotId: randomUUID() };
  const milk = { ingredientId: 'milk', kg: 12, supplier: 'Glen Dairy', arrivedC: 9, place: 'walk-in' };
  await onShelf('delivered', { ...milk, storage: 'chilled', ...crate });
  await onShelf('discarded', { ...crate, kg: 12, reason: 'came in too warm', by: 'Isla' });
  await page.goto(`${server.url}/log/record`);
  await page.getByText('came in too warm', { exact: true }).waitFor();
  await shot('record');
} finally {
  await browser.close();
  await server.remove();
}
