import { ITEM_KINDS, type KitchenSeed, type LoggedEvent } from '../../contract';
import { EVENT_VERSIONS } from '../../core/batch';
import { METRIC } from '../../core/units';
import { insertBatch, insertEvent, nextSeq } from './batch-rows';
import { insertClockSegment } from './clock-rows';
import { putItem } from './kitchen-items';
import { insertKitchen, setOwnIngredient, setPrices } from './kitchen-rows';
import { insertLarderEvent, numberLot } from './larder-rows';
import { insertOrder } from './order-rows';
import { rebuild } from './rebuild';
import { insertRecipe } from './recipe-rows';
import { PLAIN_EQUIPMENT } from './schema';
import type { Tx } from './storage';

/** Fills a new file: all of it written down first, then what is kept of it made as it always is. */
export function seedKitchen(tx: Tx, seed: KitchenSeed): void {
  const { by, device } = seed;
  insertKitchen(tx, seed.kitchen);
  for (const kind of ITEM_KINDS) for (const item of seed.items[kind] ?? []) putItem(tx, kind, item);
  setPrices(
    tx,
    seed.prices.map(({ supplier, ...price }) => ({ ...price, supplier: supplier ?? undefined })),
  );
  for (const row of seed.ownIngredients ?? []) setOwnIngredient(tx, row);
  for (const { recipe, savedAtMs } of seed.recipes) insertRecipe(tx, recipe, savedAtMs);
  for (const [i, lotId] of seed.lotIds.entries()) numberLot(tx, lotId, i + 1);
  for (const event of seed.larderEvents) {
    const times = { receivedAtMs: event.actedAtMs, clientAtMs: event.actedAtMs };
    insertLarderEvent(tx, { ...event, received: event.received ?? null, ...times, by, device });
  }
  for (const order of seed.orders) insertOrder(tx, order);
  if (seed.clock) insertClockSegment(tx, { ...seed.clock, jumpMs: null });
  let seq = nextSeq(tx);
  for (const { events, ...batch } of seed.batches) {
    const { recipeId, potId, burnerId } = batch.request;
    insertBatch(tx, { ...batch, recipeId, potId, burnerId });
    for (const event of events) {
      const times = { receivedAtMs: event.actedAtMs, clientAtMs: event.actedAtMs };
      const logged = { ...event, v: EVENT_VERSIONS.get(event.type)!, seq, ...times, by, device, flag: null };
      insertEvent(tx, { ...(logged as LoggedEvent), batchId: batch.id, clientAtMs: event.actedAtMs });
      seq += 1;
    }
  }
  rebuild({ transact: (work) => work(tx) });
}

/** A kitchen nobody has said anything of yet: by the sea, on this machine's clock, with nothing in it. */
export function blankKitchen(): KitchenSeed {
  return {
    kitchen: {
      name: '',
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      altitudeM: 0,
      airTempC: 24,
      relativeHumidity: 0.5,
      currency: 'EUR',
      measures: METRIC,
      equipment: PLAIN_EQUIPMENT,
    },
    items: {},
    prices: [],
    recipes: [],
    batches: [],
    larderEvents: [],
    lotIds: [],
    orders: [],
    clock: null,
    by: '',
    device: '',
  };
}
