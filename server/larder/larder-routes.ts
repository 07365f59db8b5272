import { Router } from 'express';
import type { LotView } from '../../core/views';
import { pageOf } from '../page-of';
import type { ServerContext } from '../server-context';
import { lotDetail, strays } from './lot-detail';
import { coolingsView, finishedView, shelfView } from './lot-views';
import { submitLarderEvent } from './submit-larder-event';

/** The larder: its lots, each with its story, and what is said of them. */
export function larderRoutes(context: ServerContext): Router {
  const routes = Router();
  const { clock, storage } = context;
  routes.get('/lots', (_request, response) => {
    response.json(shelfView(storage.db, clock.nowMs()));
  });
  routes.get('/lots/finished', (request, response) => {
    response.json(
      pageOf<LotView>(
        request.query,
        (before, limit) =>
          finishedView(
            storage.db,
            before && { bornAtMs: before.atMs, lotId: before.id },
            limit,
            clock.nowMs(),
          ),
        (lot) => ({ atMs: lot.bornAtMs, id: lot.id }),
      ),
    );
  });
  routes.get('/coolings', (_request, response) => {
    response.json(coolingsView(storage.db, clock.nowMs()));
  });
  routes.get('/lots/:id', (request, response) => {
    response.json(lotDetail(context, request.params.id));
  });
  routes.get('/larder/strays', (_request, response) => {
    response.json(strays(storage.db));
  });
  routes.post('/larder/events', (request, response) => {
    const { event, isNew } = submitLarderEvent(context, request.body);
    response.status(isNew ? 201 : 200).json(event);
  });
  return routes;
}
