import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import { cookStage, move, openPot, readLevel } from './cook';
import { demoServer } from './demo-server';

const folder = '/tmp/look';
mkdirSync(folder, { recursive: true });
const server = await demoServer();
await server.start();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text().slice(0, 200)));
async function shot(name: string, on: Page = page) {
  await on.waitForTimeout(500);
  await on.screenshot({ path: `${folder}/${name}.png` });
}
try {
  await page.goto(`${server.url}/plan?service=midday`);
  await page.getByRole('button', { name: /^Take it to burner 2/ }).click();
  await page.getByRole('heading', { name: 'Sweat the vegetables' }).waitFor();
  await openPot(page);
  await cookStage(page, 'Sweat the vegetables', 15);
  await cookStage(page, 'Dust with flour', 4);
  await shot('begin');
  await cookStage(page, 'Fumet in, up to a simmer', 20);
  await page.getByRole('button', { name: /^These are in: begin|^Begin$/ }).click();
  await page.getByRole('heading', { name: /Let it fall|Heat to/ }).waitFor();
  await move(page, 7);
  await readLevel(page, '8.7');
  await move(page, 7);
  await readLevel(page, '8.35');
  await shot('pot');
  for (const [button, name] of [
    ['What if…', 'what-if'],
    ['Another mark', 'mark'],
    ['Out of the pot', 'lift'],
    ['Temper', 'temper'],
    ['Something went wrong', 'slip'],
  ] as const) {
    await page.getByRole('button', { name: button }).click();
    await page.getByRole('dialog').waitFor();
    await page.waitForTimeout(900);
    await shot(name);
    if (name === 'slip') {
      await page.getByLabel('Over what was said').fill('1500');
      await page.getByRole('button', { name: 'That is what happened' }).click();
      await page.waitForTimeout(600);
      await shot('rescue');
    }
    await page.keyboard.press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'hidden' });
  }
  await page.getByRole('button', { name: 'It is here now' }).click();
  await shot('reading');
  await page.keyboard.press('Escape');
  await page.setViewportSize({ width: 820, height: 1180 });
  await shot('pot-tablet');
  await page.setViewportSize({ width: 390, height: 844 });
  await shot('pot-phone');
  await page.setViewportSize({ width: 1280, height: 1500 });
  for (const p of ['kitchen', 'log']) {
    await page.goto(`${server.url}/${p}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await shot(p);
  }
} finally {
  await browser.close();
  await server.remove();
}
