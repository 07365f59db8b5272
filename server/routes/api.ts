import { eq } from 'drizzle-orm';
import { Router } from 'express';
import { clockChangeSchema, kitchenSettingsSchema, startBatchSchema } from '../../contract';
import { type DeviceContext, deviceRoutes } from '../devices/device-routes';
import { larderRoutes } from '../larder/larder-routes';
import { checked } from '../problem';
import { kitchens } from '../storage/schema';
import { appendEvent } from './append-event';
import { batchSummaries, batchView, eventsAfter, openBatches } from './batch-store';
import { bookRoutes } from './book-routes';
import { kitchenView } from './kitchen-store';
import { orderRoutes } from './order-routes';
import { rehearsalRoutes } from './rehearsal-routes';
import { startBatch } from './start-batch';

/** Every door of the API, one line each; what stands behind them is in the files beside this one. */
export function apiRoutes(context: DeviceContext): Router {
  const api = Router();
  api.use(
    bookRoutes(context),
    larderRoutes(context),
    orderRoutes(context),
    deviceRoutes(context),
    rehearsalRoutes(context),
  );

  api.get('/health', async (_request, response) => {
    await context.db.select({ id: kitchens.id }).from(kitchens).limit(1);
    response.json({ ok: true });
  });

  api.get('/kitchen', async (_request, response) => {
    response.json(await kitchenView(context));
  });
  api.patch('/kitchen', async (request, response) => {
    const settings = checked(kitchenSettingsSchema, request.body);
    if (Object.keys(settings).length > 0) {
      await context.write(() => context.db.update(kitchens).set(settings).where(eq(kitchens.id, 1)));
      context.live.publish({ kind: 'kitchen' });
    }
    response.json(await kitchenView(context));
  });
  api.post('/clock', async (request, response) => {
    const wanted = checked(clockChangeSchema, request.body);
    const clock = await context.write(() => context.clock.change(wanted));
    context.live.publish({ kind: 'clock', clock });
    response.json(clock);
  });

  api.get('/batches', async (_request, response) => {
    response.json(await batchSummaries(context.db));
  });
  api.get('/batches/open', async (_request, response) => {
    response.json(await openBatches(context.db));
  });
  api.get('/batches/:id', async (request, response) => {
    response.json(await batchView(context.db, request.params.id));
  });
  api.post('/batches', async (request, response) => {
    const { batch, isNew } = await startBatch(context, checked(startBatchSchema, request.body));
    response.status(isNew ? 201 : 200).json(batch);
  });
  api.post('/batches/:id/events', async (request, response) => {
    const { event, isNew } = await appendEvent(context, request.params.id, request.body);
    response.status(isNew ? 201 : 200).json(event);
  });

  api.get('/live', async (request, response) => {
    const lastSeq = Number(request.get('Last-Event-ID'));
    const missed = Number.isInteger(lastSeq) && lastSeq > 0 ? await eventsAfter(context.db, lastSeq) : [];
    context.live.open(
      request,
      response,
      missed.map((one) => ({ kind: 'event', ...one })),
    );
  });

  return api;
}
