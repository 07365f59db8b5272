import { v7 as uuid } from 'uuid';
import { takenInOf } from '../../contract';
import { larderEvents, lotNumbers, oldLots } from '../db/schema';
import type { House } from '../house';
import { kitchenView, latestRecipes } from '../routes/kitchen-store';

/**
 * Lots of a file that is older than the larder's log become what was found on the shelf, with their numbers and dates;
 * once. What batches drew from them stays drawn.
 */
export async function bringOverLots(house: House): Promise<void> {
  const rows = await house.db.select().from(oldLots);
  if (rows.length === 0) return;
  const known = new Set((await house.db.select().from(lotNumbers)).map((row) => row.lotId));
  const [kitchen, book] = await Promise.all([kitchenView(house), latestRecipes(house)]);
  for (const row of rows.filter((one) => !known.has(one.id))) {
    const taken = takenInOf(row.ingredientId, kitchen, book);
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
    await house.write(() =>
      house.db.batch([
        house.db.insert(lotNumbers).values({ lotId: row.id, number: row.number }),
        house.db.insert(larderEvents).values({
          id: uuid(),
          type: 'found',
          v: 1,
          payload,
          taken: { ...taken, contents },
          actedAtMs: row.madeAtMs,
          receivedAtMs: house.clock.nowMs(),
          clientAtMs: row.madeAtMs,
        }),
      ]),
    );
  }
}
