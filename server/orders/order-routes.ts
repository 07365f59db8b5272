import { Router } from 'express';
import { keepOrderSchema, type OrderView } from '../../contract';
import { decideOrder } from '../../core/rules';
import { saidIn, wholeKitchen } from '../kitchen/kitchen-view';
import { checked, notFound, refusedBy } from '../problem';
import { isSaidAgain } from '../said-before';
import type { ServerContext } from '../server-context';
import { cancelOrder, insertOrder, latestRecipes, type OrderRow, openOrderRows, orderRow } from '../storage';

/** Orders kept for a day to come: what the larder will be asked for. */
export function orderRoutes(context: ServerContext): Router {
  const routes = Router();
  const { storage, clock, live } = context;
  routes.get('/orders', (_request, response) => {
    const nowMs = clock.nowMs();
    response.json(openOrderRows(storage.db, nowMs).map(viewOf));
  });
  routes.post('/orders', (request, response) => {
    const { id, ...wanted } = checked(keepOrderSchema, request.body);
    const isNew = storage.transact((tx) => {
      if (isSaidAgain('An order', id, orderRow(tx, id)?.request, wanted)) return false;
      const nowMs = clock.nowMs();
      const decision = decideOrder(
        { kitchen: wholeKitchen(context), book: latestRecipes(tx), nowMs },
        wanted,
      );
      if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
      insertOrder(tx, { id, request: wanted, createdAtMs: nowMs });
      return true;
    });
    if (isNew) live.publish({ kind: 'order', orderId: id });
    response.status(isNew ? 201 : 200).json(viewOf(orderRow(storage.db, id)!));
  });
  routes.post('/orders/:id/cancel', (request, response) => {
    const { id } = request.params;
    const order = storage.transact((tx) => {
      const row = orderRow(tx, id);
      if (!row) throw notFound('order', id);
      if (row.cancelledAtMs === null) cancelOrder(tx, id, clock.nowMs());
      return row;
    });
    live.publish({ kind: 'order', orderId: id });
    response.json(viewOf(order));
  });
  return routes;
}

function viewOf({ id, request, createdAtMs }: OrderRow): OrderView {
  return { id, request, createdAtMs };
}
