import { and, asc, eq, isNull } from 'drizzle-orm';
import { Router } from 'express';
import { keepOrderSchema, type OrderView } from '../../contract';
import { recipeIn } from '../../core/recipe';
import { checked, impossible, notFound, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { orders } from '../storage/schema';
import { latestRecipes } from './kitchen-store';

/** Orders kept for a day to come: what the larder will be asked for. */
export function orderRoutes(context: ServerContext): Router {
  const routes = Router();
  routes.get('/orders', async (_request, response) => {
    response.json(await openOrders(context));
  });
  routes.post('/orders', async (request, response) => {
    const { id, ...wanted } = checked(keepOrderSchema, request.body);
    if (!recipeIn(await latestRecipes(context), wanted.recipeId, {}))
      throw notFound('recipe', wanted.recipeId);
    if (wanted.serviceAtMs <= context.clock.nowMs())
      throw impossible('serviceAtMs', 'That service is already past: choose one still to come.');
    const isNew = await context.write(async () => {
      const [same] = await context.db.select().from(orders).where(eq(orders.id, id));
      if (same) {
        if (JSON.stringify(same.request) === JSON.stringify(wanted)) return false;
        throw new ProblemError(409, 'Said before, otherwise', [
          { field: 'id', sentence: `An order “${id}” with another content has already been kept.` },
        ]);
      }
      await context.db.insert(orders).values({ id, request: wanted, createdAtMs: context.clock.nowMs() });
      return true;
    });
    if (isNew) context.live.publish({ kind: 'orders' });
    response.status(isNew ? 201 : 200).json(await orderOf(context, id));
  });
  routes.post('/orders/:id/cancel', async (request, response) => {
    const order = await orderOf(context, request.params.id);
    await context.write(() =>
      context.db.update(orders).set({ cancelledAtMs: context.clock.nowMs() }).where(eq(orders.id, order.id)),
    );
    context.live.publish({ kind: 'orders' });
    response.json(order);
  });
  return routes;
}

/** Orders still to be cooked, the next first. */
async function openOrders({ db, clock }: ServerContext): Promise<OrderView[]> {
  const rows = await db
    .select()
    .from(orders)
    .where(and(isNull(orders.batchId), isNull(orders.cancelledAtMs)))
    .orderBy(asc(orders.createdAtMs));
  return rows
    .map(({ id, request, createdAtMs }) => ({ id, request, createdAtMs }))
    .filter((order) => order.request.serviceAtMs > clock.nowMs())
    .sort((a, b) => a.request.serviceAtMs - b.request.serviceAtMs);
}

async function orderOf({ db }: ServerContext, id: string): Promise<OrderView> {
  const [row] = await db.select().from(orders).where(eq(orders.id, id));
  if (!row) throw notFound('order', id);
  return { id: row.id, request: row.request, createdAtMs: row.createdAtMs };
}
