import { Router } from 'express';
import { guestOrderSchema, readOrdersSchema, simulatedTillSchema } from '../../contract';
import { kindsOf } from '../../core/portions';
import { isAside } from '../batches/batch-logs';
import { checked, impossible } from '../problem';
import type { ServerContext } from '../server-context';
import { readOrders } from './orders-csv';
import { openOrders, takeOrder } from './take-order';

/** The local door for orders: a till may send them, and read what waits. See docs/formats.md. */
export function passRoutes(context: ServerContext): Router {
  const routes = Router();
  routes.get('/pass/orders', (_request, response) => {
    response.json(openOrders(context));
  });
  routes.post('/pass/orders', (request, response) => {
    const { taken, isNew } = takeOrder(context, checked(guestOrderSchema, request.body));
    response.status(isNew ? 201 : 200).json(taken);
  });
  routes.post('/batches/:id/read-orders', (request, response) => {
    const { text } = checked(readOrdersSchema, request.body);
    response.json({
      orders: readOrders(text, kindsOf(openBatch(context, request.params.id).snapshot.input)),
    });
  });
  routes.get('/simulated-till/:batchId', (request, response) => {
    response.json({ isRunning: context.till.isRunning(request.params.batchId) });
  });
  routes.post('/simulated-till', (request, response) => {
    const { batchId } = checked(simulatedTillSchema, request.body);
    openBatch(context, batchId);
    response.json({ isRunning: context.till.toggle(batchId) });
  });
  return routes;
}

function openBatch(context: ServerContext, batchId: string) {
  const batch = context.logs.of(batchId);
  if (isAside(batch)) throw impossible('batchId', 'That batch is set aside: nothing can be ordered of it.');
  if (batch.row.closedAtMs !== null)
    throw impossible('batchId', 'That batch is closed: there is nothing left of it.');
  return batch.row;
}
