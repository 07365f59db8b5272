import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import { cookStage, move, openPot, readLevel } from './cook';
import { demoServer } from './demo-server';

const folder = '/tmp/look';
const server = await demoServer();
await server.start();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text().slice(0, 200)));
async function shot(name: string, on: Page = page) {
  await on.waitForTimeout(500);
  await on.screenshot({ path: `${folder}/${name}.png` });
}
async function take(url: string) {
  await page.goto(`${server.url}/plan?${url}`);
  await page.getByRole('button', { name: /^Take it to/ }).click();
  await page.waitForTimeout(600);
  const any = page.getByRole('button', { name: 'Cook it all the same' });
  if (await any.isVisible()) {
    await page.getByLabel('It comes from').fill('the hotel');
    await any.click();
  }
  await openPot(page);
}
try {
  await take('recipe=leek-perry-broth&service=evening&pot=rondeau-24&burner=gas-3');
  await page.getByRole('button', { name: 'These are in: begin' }).click();
  await page.waitForTimeout(500);
  await take('service=midday');
  await cookStage(page, 'Sweat the vegetables', 15);
  await cookStage(page, 'Dust with flour', 4);
  await cookStage(page, 'Fumet in, up to a simmer', 20);
  await page.getByRole('button', { name: /^These are in: begin|^Begin$/ }).click();
  const pot = page.url();
  await page.goto(`${server.url}/kitchen`);
  await page.getByRole('button', { name: 'Set it there' }).waitFor();
  await page.getByRole('button', { name: 'Set it there' }).click();
  await page.waitForTimeout(2500);
  await page.setViewportSize({ width: 1280, height: 1500 });
  await shot('kitchen2');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(pot);
  await move(page, 8);
  await readLevel(page, '8.7');
  await shot('pot2');
  await page.getByRole('button', { name: 'What if…' }).click();
  await page.waitForTimeout(900);
  await shot('what-if2');
  await page.keyboard.press('Escape');
  await page.goto(`${server.url}/log`);
  await page.getByText('How honest the forecasts were').scrollIntoViewIfNeeded();
  await page.locator('main').evaluate((m) => m.scrollTo(0, 99999));
  await shot('log2');
  await page.goto(`${server.url}/rehearse/venison-juniper-sauce`);
  await page.waitForTimeout(2500);
  await shot('rehearse');
  await page.getByRole('button', { name: 'A quarter gone' }).click();
  await page.getByRole('button', { name: 'Show the truth' }).click();
  await shot('rehearse-told');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(pot);
  await shot('phone2');
} finally {
  await browser.close();
  await server.remove();
}
