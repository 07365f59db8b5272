import { type Request, Router } from 'express';
import {
  check,
  type DeviceStand,
  registerDeviceSchema,
  type SampleLine,
  sampleLineSchema,
  startSimulatedDeviceSchema,
} from '../../contract';
import { isCooling } from '../../core/larder';
import { isAside } from '../batches/batch-logs';
import { checked, impossible, notFound, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { keptLot } from '../storage';
import { LINES_AT_ONCE } from './device-hub';

/** Lines longer than this, or more of them at once, are no bridge of ours. */
const MOST_BYTES = 256_000;

/** The local interface for probes and scales: JSON lines in, server-sent events out. See docs/devices.md. */
export function deviceRoutes(context: ServerContext): Router {
  const routes = Router();
  routes.get('/devices', (_request, response) => {
    response.json(context.devices.views());
  });
  routes.post('/devices', (request, response) => {
    const wanted = checked(registerDeviceSchema, request.body);
    needStand(context, wanted);
    response.status(201).json(context.devices.register(wanted));
  });
  routes.delete('/devices/:id', (request, response) => {
    const { id } = request.params;
    if (!context.devices.has(id)) throw notFound('device', id);
    context.simulatedDevices.stop(id);
    context.devices.remove(id);
    response.status(204).end();
  });
  routes.post('/devices/:id/samples', async (request, response) => {
    const { id } = request.params;
    if (!context.devices.has(id)) throw notFound('device', id);
    const { lines, bad } = readLines(await textOf(request));
    if (lines.length + bad.length > LINES_AT_ONCE) throw tooMuch(`${LINES_AT_ONCE} lines`);
    if (!context.devices.has(id)) throw notFound('device', id);
    const taken = context.devices.take(id, lines, bad);
    if ('waitS' in taken) {
      response.set('Retry-After', String(taken.waitS));
      const sentence = `Too many lines: nothing of them was kept. Send them again in ${taken.waitS} s.`;
      throw new ProblemError(429, 'Later', [{ field: '', sentence }]);
    }
    response
      .status(bad.length > 0 && lines.length === 0 ? 422 : 202)
      .json({ ...taken, bad: bad.slice(0, 5) });
  });
  routes.post('/simulated-devices', (request, response) => {
    const wanted = checked(startSimulatedDeviceSchema, request.body);
    needStand(context, wanted);
    response.status(201).json(context.simulatedDevices.start(wanted));
  });
  return routes;
}

/** It stands at a pot that is open, or in a lot that is being cooled. */
function needStand(context: ServerContext, { batchId, lotId }: DeviceStand): void {
  if (batchId === null) {
    const lot = keptLot(context.storage.db, lotId ?? '');
    if (!lot) throw notFound('lot', lotId ?? '');
    if (!isCooling(lot.cooling))
      throw impossible('lotId', 'That lot is not being cooled: say first how it stands.');
    return;
  }
  const batch = context.logs.of(batchId);
  if (isAside(batch)) throw impossible('batchId', 'That batch is set aside: nothing can be measured in it.');
  if (batch.row.closedAtMs !== null)
    throw impossible('batchId', 'That batch is closed: there is nothing left to measure.');
}

function tooMuch(most: string): ProblemError {
  return new ProblemError(413, 'Too much at once', [{ field: '', sentence: `At most ${most} at once.` }]);
}

/** Each line by itself: one that cannot be read spoils only itself, and is named by its number. */
export function readLines(text: string): { lines: SampleLine[]; bad: string[] } {
  const lines: SampleLine[] = [];
  const bad: string[] = [];
  text.split('\n').forEach((line, i) => {
    if (line.trim() === '') return;
    let parsed: unknown;
    try {
      parsed = JSON.parse(line);
    } catch {
      bad.push(`line ${i + 1} is no JSON.`);
      return;
    }
    const form = check(sampleLineSchema, parsed);
    if (form.ok) lines.push(form.value);
    else bad.push(`line ${i + 1}: ${form.errors[0]?.sentence ?? 'not understood.'}`);
  });
  return { lines, bad };
}

async function textOf(request: Request): Promise<string> {
  if (request.body !== undefined) return JSON.stringify(request.body);
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of request) {
    bytes += (chunk as Buffer).length;
    // read to its end all the same: a line cut off in the middle would be the sender's next answer
    if (bytes <= MOST_BYTES) chunks.push(chunk as Buffer);
  }
  if (bytes > MOST_BYTES) throw tooMuch(`${MOST_BYTES / 1000} kB of lines`);
  return Buffer.concat(chunks).toString('utf8');
}
