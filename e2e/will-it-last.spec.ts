import { expect, test } from '@playwright/test';
import { passWords } from '../web/words';
import { atBothSizes } from './both-sizes';
import { hotPot, move } from './cook';

/** A service half gone: what is still asked for, when it runs out, and what to do about it. */
atBothSizes((server) => {
  test('bowls out faster than planned: told when it runs out and what makes it last; a lever pulled, it lasts', async ({
    page,
  }) => {
    const { request } = page;
    // a train in eight minutes, of which the kitchen says nothing: an hour, steadily
    const { batch, say, put } = await hotPot(request, server().url, { recipeId: 'trout-chowder', inMin: 8 });
    await put(85);
    await say('portioned', { portions: 24, fate: 'served', overrideReason: 'as a test' });
    await page.goto(`${server().url}/batches/${batch.id}/pass`);
    await move(page, 28);
    const last = page.getByRole('region', { name: passWords.willItLast });
    // 60 expected, 24 gone at a third: (25 + 24) / 0.75 · 2/3 is 44 to come
    await expect(last).toContainText(/about 4[2-6], give or take 9/);
    await expect(last).toContainText(/chances in 100 that it runs out/);
    await expect(last).toContainText(/runs out at \d|may run out(,| at) .*\d/);
    await expect(last).toContainText(/Bowls of [12]\d\d mL from now/);
    await expect(last).toContainText(/take it off the board at \d/);
    const chance = async () =>
      Number(/(\d+) chances in 100/.exec((await last.textContent()) ?? '')?.[1] ?? Number.NaN);
    const before = await chance();
    expect(before).toBeGreaterThan(30);
    // four litres of milk, hot: more bowls, and the page says so by itself
    await say('added', { items: [{ ingredientId: 'milk', kg: 5, tempC: 80 }] });
    await expect.poll(chance).toBeLessThan(before);
    await expect(last).toContainText(passWords.itLasts(0).split(':')[0]!);
  });
});
