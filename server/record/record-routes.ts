import express, { type Response, Router } from 'express';
import { type CopyFound, type RecordView, recordFileSchema } from '../../contract';
import { checked } from '../problem';
import type { ServerContext } from '../server-context';
import { checkRecordFile, recordCsv, recordJsonLines, recordRows } from './record-file';
import { recordOfDay, recordOfLot } from './record-view';

/** The record of a day and of a lot: to look at, as a file, and a file of it held against its own hashes. */
export function recordRoutes(context: ServerContext): Router {
  const routes = Router();
  for (const [path, viewOf] of [
    ['/record/days/:id', recordOfDay],
    ['/record/lots/:id', recordOfLot],
  ] as const) {
    routes.get(path, (request, response) => {
      response.json(viewOf(context, request.params.id));
    });
    routes.get(`${path}/csv`, (request, response) => {
      const view = viewOf(context, request.params.id);
      send(response, view, 'csv', recordCsv(view));
    });
    routes.get(`${path}/jsonl`, (request, response) => {
      const view = viewOf(context, request.params.id);
      send(response, view, 'jsonl', recordJsonLines(view));
    });
  }
  routes.post('/record/check', express.json({ limit: '5mb' }), (request, response) => {
    const found = checkRecordFile(checked(recordFileSchema, request.body).file);
    if (found.kind !== 'whole') {
      response.json(found satisfies CopyFound);
      return;
    }
    const { hash: _own, ...said } = found;
    response.json({ ...said, isAsNow: isAsNow(found) } satisfies CopyFound);
  });

  /** The kitchen's own record says the same to this day. */
  function isAsNow({ of, entry, hash }: { of: 'day' | 'lot'; entry: string; hash: string }): boolean {
    try {
      const view = of === 'day' ? recordOfDay(context, entry) : recordOfLot(context, entry);
      return recordRows(view).at(-1)?.hash === hash;
    } catch {
      return false;
    }
  }
  return routes;
}

function send(response: Response, { of }: RecordView, ending: 'csv' | 'jsonl', file: string): void {
  const name = of.kind === 'day' ? of.day : `lot-${of.number}`;
  response
    .type(ending === 'csv' ? 'text/csv' : 'application/jsonl')
    .attachment(`record-${name}.${ending}`)
    .send(file);
}
