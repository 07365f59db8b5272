import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { forecastWords, potWords } from '../web/words';
import { chowderFalling, move } from './cook';
import { type DemoServer, demoServer } from './demo-server';

/** Most pots are held under the boil with the heat turned down, and a probe is what a kitchen buys first. */

let server: DemoServer;
test.beforeAll(async () => {
  server = await demoServer();
  await server.start();
});
test.afterAll(() => server.remove());

test('a pot turned down under the boil with a probe in it: the forecast settles, and says what the readings show', async ({
  page,
}) => {
  // the stages before are cooked at 60 times, and the fall is watched for three quarters of an hour
  await chowderFalling(page, server.url);
  const said = async (type: string, payload: object) => {
    const id = page.url().split('/batches/')[1]!.split('/')[0];
    const { clock } = await (await page.request.get(`${server.url}/api/kitchen`)).json();
    const event = { id: randomUUID(), v: 1, actedAtMs: clock.serverNowMs, type, payload };
    expect(
      (await page.request.post(`${server.url}/api/batches/${id}/events`, { data: event })).status(),
    ).toBe(201);
    return id;
  };
  const batchId = await said('heatSet', { fraction: 0.35 });
  await page.request.post(`${server.url}/api/simulated-devices`, {
    data: { kind: 'probe', batchId, fault: 'none' },
  });
  const minuteOf = (hour: string) => Number(hour.slice(0, 2)) * 60 + Number(hour.slice(3));
  const told = async () => {
    const of = async (term: string) =>
      (await page.locator('dt', { hasText: term }).locator('xpath=following-sibling::dd').innerText()).trim();
    const [from, to] = (await of(potWords.mostLikelyBetween)).match(/\d\d:\d\d/g)!.map(minuteOf);
    return { at: minuteOf(await of(potWords.atTheMarkAbout)), from: from!, to: to! };
  };
  await expect(page.getByText(/simulated probe shows/)).toBeVisible();
  const all: Awaited<ReturnType<typeof told>>[] = [];
  for (let look = 0; look < 11; look++) {
    await move(page, 4);
    await page.waitForTimeout(1200);
    // the stages before were said to be done by the clock of this machine: where the probe finds the pot colder than that,
    // it is asked, and a cook who has looked says yes; the looks are counted from there
    const right = page.getByRole('button', { name: potWords.yesItIsRight });
    const between = page.getByText(potWords.mostLikelyBetween);
    await between
      .or(right)
      .first()
      .waitFor({ timeout: 4_000 })
      .catch(() => undefined);
    if (await right.isVisible()) {
      await right.click();
      all.length = 0;
      continue;
    }
    // on a slow machine more of the kitchen's minutes pass, and it may be there before the last look
    if (!(await between.isVisible())) break;
    all.push(await told());
  }
  expect(all.length).toBeGreaterThan(4);
  const width = (one: (typeof all)[number]) => one.to - one.from;
  const [first, last] = [all[1]!, all.at(-1)!];
  // nothing it says later lies outside what it said at first, and from look to look it moves by less than its own doubt
  for (const one of all.slice(1)) {
    expect(one.at).toBeGreaterThanOrEqual(first.from);
    expect(one.at).toBeLessThanOrEqual(first.to);
  }
  all.slice(2).forEach((one, i) => {
    expect(Math.abs(one.at - all[i + 1]!.at)).toBeLessThan(width(all[i + 1]!) / 3);
  });
  // told in whole minutes, from a clock that runs at 60 times
  expect(width(last)).toBeLessThan(1.25 * width(first));
  await page.getByText(forecastWords.whatItStandsOn).click();
  await expect(page.getByText(/This pot loses|What leaves the surface/)).toBeVisible();
  await expect(page.getByText(/Burner 2 gives/)).toBeVisible();
});
