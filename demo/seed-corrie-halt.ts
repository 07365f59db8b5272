import type { OpenDatabase } from '../server/storage/open-database';
import {
  batches,
  burners,
  clockSegments,
  events,
  kitchens,
  larderEvents,
  lotNumbers,
  orders,
  pots,
  prices,
  recipes,
} from '../server/storage/schema';
import { BOOK } from './dishes/dishes';
import { BURNERS, DEMO_OPENS_AT, KITCHEN, POTS, PRICES_CENTS_PER_KG, SUPPLIERS } from './kitchen';
import { cookFortnight } from './past/fortnight';
import { keptOrders } from './past/kept-orders';

/** Fills an empty file with the Corrie Halt Buffet and its past fortnight, in one write; a filled one is left alone. */
export async function seedCorrieHalt({ db }: OpenDatabase): Promise<void> {
  const already = await db.select({ id: kitchens.id }).from(kitchens).limit(1);
  if (already.length > 0) return;
  const past = cookFortnight();
  await db.batch([
    db.insert(kitchens).values({ id: 1, ...KITCHEN, services: [...KITCHEN.services] }),
    db.insert(pots).values(POTS.map((pot, position) => ({ ...pot, position }))),
    db.insert(burners).values(
      BURNERS.map(({ pots: potIds, ...burner }, position) => ({
        ...burner,
        potIds: [...potIds],
        position,
      })),
    ),
    db.insert(prices).values(
      Object.entries(PRICES_CENTS_PER_KG).map(([ingredientId, centsPerKg]) => ({
        ingredientId,
        centsPerKg,
        supplier: SUPPLIERS[ingredientId] ?? null,
      })),
    ),
    db.insert(recipes).values(
      BOOK.map((recipe) => ({
        id: recipe.id,
        version: recipe.version,
        doc: recipe,
        savedAtMs: DEMO_OPENS_AT - 20 * 86_400_000,
      })),
    ),
    db.insert(lotNumbers).values(past.lotIds.map((lotId, i) => ({ lotId, number: i + 1 }))),
    db.insert(larderEvents).values(
      past.larderEvents.map(({ seq: _seq, ...event }) => ({
        ...event,
        receivedAtMs: event.actedAtMs,
        clientAtMs: event.actedAtMs,
        by: 'Isla',
        device: 'demo',
      })),
    ),
    db.insert(orders).values([...keptOrders()]),
    db.insert(clockSegments).values({
      mode: 'demo',
      speed: 1,
      kitchenFromMs: DEMO_OPENS_AT,
      realFromMs: Date.now(),
    }),
    db.insert(batches).values(
      past.batches.map(({ events: _log, ...batch }) => ({
        ...batch,
        recipeId: batch.request.recipeId,
        potId: batch.request.potId,
        burnerId: batch.request.burnerId,
      })),
    ),
    ...past.batches.map((batch) =>
      db.insert(events).values(
        batch.events.map((event) => ({
          ...event,
          batchId: batch.id,
          receivedAtMs: event.actedAtMs,
          clientAtMs: event.actedAtMs,
          by: 'Isla',
          device: 'demo',
        })),
      ),
    ),
  ]);
}
