import { Router } from 'express';
import type { ServerContext } from '../server-context';
import { appendLarderEvent } from './append-larder-event';
import { lotDetail, strays } from './lot-detail';
import { lotViews } from './lot-views';

/** The larder: its lots, each with its story, and what is said of them. */
export function larderRoutes(context: ServerContext): Router {
  const routes = Router();
  routes.get('/lots', async (_request, response) => {
    response.json(await lotViews(context));
  });
  routes.get('/larder/strays', async (_request, response) => {
    response.json(await strays(context));
  });
  routes.get('/lots/:id', async (request, response) => {
    response.json(await lotDetail(context, request.params.id));
  });
  routes.post('/larder/events', async (request, response) => {
    const { event, isNew } = await appendLarderEvent(context, request.body);
    response.status(isNew ? 201 : 200).json(event);
  });
  return routes;
}
