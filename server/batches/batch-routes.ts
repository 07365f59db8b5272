import { Router } from 'express';
import * as v from 'valibot';
import { drawPartSchema, type LotLabel, startBatchSchema, type WrittenEventView } from '../../contract';
import type { KeptForecast } from '../../core/batch';
import type { BatchHead } from '../../core/views';
import { pageOf } from '../page-of';
import { checked, notFound } from '../problem';
import type { ServerContext } from '../server-context';
import {
  closedHeads,
  headRow,
  lastForecasts,
  lastServed,
  lotsNamedBy,
  mostCooked,
  numbersOf,
  openBatchIds,
  writtenEvents,
} from '../storage';
import { batchView, batchViewOrNull } from './batch-view';
import { startBatch } from './start-batch';
import { startPart } from './start-part';
import { submitEvent } from './submit-event';

/** So many forecasts say how honest they are. */
const FORECASTS = 200;
/** So many entries of a log as it was written are sent at once. */
const ENTRIES = 200;

const lastSchema = v.object({ recipeId: v.optional(v.pipe(v.string(), v.maxLength(80))) });
const afterSchema = v.object({
  after: v.optional(
    v.pipe(v.string(), v.regex(/^\d{1,15}$/, 'after must be the number of an entry.'), v.transform(Number)),
    '0',
  ),
});

/** Batches: the open ones whole, the closed ones by the page, and what is said of them. */
export function batchRoutes(context: ServerContext): Router {
  const routes = Router();
  const { storage, logs } = context;
  routes.get('/batches', (request, response) => {
    response.json(
      pageOf<BatchHead>(
        request.query,
        (before, limit) =>
          closedHeads(storage.db, before && { closedAtMs: before.atMs, batchId: before.id }, limit),
        (head) => ({ atMs: head.closedAtMs ?? 0, id: head.id }),
      ),
    );
  });
  routes.get('/batches/open', (_request, response) => {
    response.json(openBatchIds(storage.db).flatMap((id) => batchViewOrNull(logs.of(id)) ?? []));
  });
  routes.get('/batches/last', (request, response) => {
    const { recipeId } = checked(lastSchema, request.query);
    response.json(lastServed(storage.db, recipeId) ?? null);
  });
  routes.get('/batches/usual', (_request, response) => {
    response.json({ recipeId: mostCooked(storage.db) });
  });
  routes.get('/batches/:id', (request, response) => {
    response.json(batchView(logs.of(request.params.id)));
  });
  routes.get('/batches/:id/lots', (request, response) => {
    const lots = [
      ...new Map(
        withOrigins(logs, request.params.id)
          .flatMap((id) => lotsNamedBy(storage.db, id))
          .map((lot) => [lot.lotId, lot]),
      ).values(),
    ];
    const numbers = numbersOf(
      storage.db,
      lots.map((lot) => lot.lotId),
    );
    response.json(
      lots.map(
        ({ lotId, contents }): LotLabel => ({
          id: lotId,
          name: contents.name,
          number: numbers.get(lotId) ?? 0,
          allergens: contents.allergens,
          diet: contents.diet,
        }),
      ),
    );
  });
  routes.get('/batches/:id/log', (request, response) => {
    const { id } = request.params;
    const { after } = checked(afterSchema, request.query);
    const rows = writtenEvents(storage.db, id, after, ENTRIES);
    if (rows.length === 0 && !headRow(storage.db, id)) throw notFound('batch', id);
    response.json(
      rows.map(
        ({ seq, id, type, v, payload, actedAtMs, by }): WrittenEventView => ({
          seq,
          id,
          type,
          v,
          payload,
          actedAtMs,
          by,
        }),
      ),
    );
  });
  routes.post('/batches', (request, response) => {
    const { batch, isNew } = startBatch(context, checked(startBatchSchema, request.body));
    response.status(isNew ? 201 : 200).json(batch);
  });
  routes.post('/batches/:id/parts', (request, response) => {
    const wanted = checked(drawPartSchema, request.body);
    const { batch, isNew } = startPart(context, request.params.id, wanted);
    response.status(isNew ? 201 : 200).json(batch);
  });
  routes.post('/batches/:id/events', (request, response) => {
    const { event, isNew } = submitEvent(context, request.params.id, request.body);
    response.status(isNew ? 201 : 200).json(event);
  });
  routes.get('/log/forecasts', (_request, response) => {
    response.json(lastForecasts(storage.db, FORECASTS) satisfies KeptForecast[]);
  });
  return routes;
}

/** A batch and those it was drawn off from, up to the first: what they drew is in it. */
function withOrigins(logs: ServerContext['logs'], batchId: string): string[] {
  const origin = logs.of(batchId).row?.snapshot.origin;
  return [batchId, ...(origin ? withOrigins(logs, origin.batchId) : [])];
}
