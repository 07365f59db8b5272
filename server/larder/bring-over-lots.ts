import { v7 as uuid } from 'uuid';
import { receivedFoodOf } from '../../contract';
import { kitchenView, latestRecipes } from '../routes/kitchen-store';
import type { ServerContext } from '../server-context';
import { larderEvents, lotNumbers, oldLots } from '../storage/schema';

/**
 * Lots of a file that is older than the larder's log become what was found on the shelf, with their numbers and dates;
 * once. What batches drew from them stays drawn.
 */
export async function bringOverLots(context: ServerContext): Promise<void> {
  const rows = await context.db.select().from(oldLots);
  if (rows.length === 0) return;
  const known = new Set((await context.db.select().from(lotNumbers)).map((row) => row.lotId));
  const [kitchen, book] = await Promise.all([kitchenView(context), latestRecipes(context)]);
  for (const row of rows.filter((one) => !known.has(one.id))) {
    const taken = receivedFoodOf(row.ingredientId, kitchen, book);
    if (!taken) continue;
    const { perKg, densityKgPerL } = taken.contents;
    const salt = row.saltPercent / 100;
    const contents = {
      ...taken.contents,
      perKg: { ...perKg, salt, water: Math.max(0, perKg.water + perKg.salt - salt) },
    };
    const payload = {
      lotId: row.id,
      ingredientId: row.ingredientId,
      kg: row.litres * densityKgPerL,
      madeAtMs: row.madeAtMs,
      place: row.place,
      storage: 'chilled',
      note: 'from before the larder kept a log',
    };
    await context.write(() =>
      context.db.batch([
        context.db.insert(lotNumbers).values({ lotId: row.id, number: row.number }),
        context.db.insert(larderEvents).values({
          id: uuid(),
          type: 'found',
          v: 1,
          payload,
          taken: { ...taken, contents },
          actedAtMs: row.madeAtMs,
          receivedAtMs: context.clock.nowMs(),
          clientAtMs: row.madeAtMs,
        }),
      ]),
    );
  }
}
