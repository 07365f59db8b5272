import { eq } from 'drizzle-orm';
import { Router } from 'express';
import { clockChangeSchema, kitchenSettingsSchema, startBatchSchema } from '../../contract';
import { kitchens } from '../db/schema';
import { type DeviceHouse, deviceRoutes } from '../devices/device-routes';
import { larderRoutes } from '../larder/larder-routes';
import { checked } from '../problem';
import { appendEvent } from './append-event';
import { batchSummaries, batchView, eventsAfter, openBatches } from './batch-store';
import { bookRoutes } from './book-routes';
import { kitchenView } from './kitchen-store';
import { orderRoutes } from './order-routes';
import { rehearsalRoutes } from './rehearsal-routes';
import { startBatch } from './start-batch';

/** Every door of the API, one line each; what stands behind them is in the files beside this one. */
export function apiRoutes(house: DeviceHouse): Router {
  const api = Router();
  api.use(
    bookRoutes(house),
    larderRoutes(house),
    orderRoutes(house),
    deviceRoutes(house),
    rehearsalRoutes(house),
  );

  api.get('/health', async (_request, response) => {
    await house.db.select({ id: kitchens.id }).from(kitchens).limit(1);
    response.json({ ok: true });
  });

  api.get('/kitchen', async (_request, response) => {
    response.json(await kitchenView(house));
  });
  api.patch('/kitchen', async (request, response) => {
    const settings = checked(kitchenSettingsSchema, request.body);
    if (Object.keys(settings).length > 0) {
      await house.write(() => house.db.update(kitchens).set(settings).where(eq(kitchens.id, 1)));
      house.live.publish({ kind: 'kitchen' });
    }
    response.json(await kitchenView(house));
  });
  api.post('/clock', async (request, response) => {
    const wanted = checked(clockChangeSchema, request.body);
    const clock = await house.write(() => house.clock.change(wanted));
    house.live.publish({ kind: 'clock', clock });
    response.json(clock);
  });

  api.get('/batches', async (_request, response) => {
    response.json(await batchSummaries(house.db));
  });
  api.get('/batches/open', async (_request, response) => {
    response.json(await openBatches(house.db));
  });
  api.get('/batches/:id', async (request, response) => {
    response.json(await batchView(house.db, request.params.id));
  });
  api.post('/batches', async (request, response) => {
    const { batch, isNew } = await startBatch(house, checked(startBatchSchema, request.body));
    response.status(isNew ? 201 : 200).json(batch);
  });
  api.post('/batches/:id/events', async (request, response) => {
    const { event, isNew } = await appendEvent(house, request.params.id, request.body);
    response.status(isNew ? 201 : 200).json(event);
  });

  api.get('/live', async (request, response) => {
    const lastSeq = Number(request.get('Last-Event-ID'));
    const missed = Number.isInteger(lastSeq) && lastSeq > 0 ? await eventsAfter(house.db, lastSeq) : [];
    house.live.open(
      request,
      response,
      missed.map((one) => ({ kind: 'event', ...one })),
    );
  });

  return api;
}
