import { KITCHEN } from '../../../demo/kitchen';
import type { OpenDatabase } from '../../db/open-database';
import { kitchens, oldLots } from '../../db/schema';

/** A kitchen as an earlier version left it: one lot in a table of its own. */
export async function lots({ db }: OpenDatabase): Promise<void> {
  const there = await db.select().from(kitchens);
  if (there.length > 0) return;
  await db.insert(kitchens).values({ id: 1, ...KITCHEN, services: [...KITCHEN.services] });
  await db.insert(oldLots).values({
    id: 'lot-14',
    number: 14,
    ingredientId: 'fish-fumet',
    litres: 14,
    saltPercent: 0.4,
    place: 'shelf 2',
    madeAtMs: Date.UTC(2026, 2, 9, 14, 30),
  });
}
