import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import {
  adjustWords,
  logWords,
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
  await page.getByRole('button', { name: potWords.whatIf }).click();
  await page.getByText(/As it is, there at/).waitFor();
  await shot('what-if');
  await page.keyboard.press('Escape');
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
  await shot('pass');
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
  await page.goto(`${server.url}/larder/lots/00000000-0000-7000-a000-000000000006`);
  await page.getByRole('heading', { name: /^Where it went/ }).waitFor();
  await shot('lot');
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
  await page.getByText(logWords.actual).waitFor();
  await shot('log-batch');
} finally {
  await browser.close();
  await server.remove();
}
