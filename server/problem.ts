import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import type * as v from 'valibot';
import { check, type FieldError, fieldErrors, type Problem, type SaidIn } from '../contract';
import type { Refusal } from '../core/rules';
import { StorageError, type StorageTrouble } from './storage';

/** Something asked for that cannot be: told as problem JSON (RFC 9457), naming each bad field. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: FieldError[],
  ) {
    super(`${title}: ${errors.map((one) => one.sentence).join(' ')}`);
  }
}

/** What was sent, held against a schema; a 400 naming each bad field if it does not pass. */
export function checked<T>(schema: v.GenericSchema<unknown, T>, body: unknown): T {
  const result = check(schema, body ?? {});
  if (!result.ok) throw new ProblemError(400, 'Something in it is not right', result.errors);
  return result.value;
}

/** A 404 for a thing named by its id. */
export function notFound(what: string, id: string): ProblemError {
  return new ProblemError(404, 'Not found', [{ field: 'id', sentence: `There is no ${what} “${id}”.` }]);
}

/** A 422 for what is well formed but cannot be. */
export function impossible(field: string, sentence: string): ProblemError {
  return new ProblemError(422, 'That cannot be', [{ field, sentence }]);
}

/** A 422 with what the rules say, in the kitchen's units and hours. */
export function refusedBy(refusals: readonly Refusal[], said: SaidIn): ProblemError {
  return new ProblemError(422, 'That cannot be', fieldErrors(refusals, said));
}

/** What follows from an entry, or a 422 naming the entry where it cannot be worked out: then none of it is kept. */
export function whole<T>(entry: { id: string; type: string }, said: () => SaidIn, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const { id: eventId, type } = entry;
    const refusal: Refusal = { field: 'type', code: 'wouldBreak', eventId, type, atMs: null, isItself: true };
    throw refusedBy([refusal], said());
  }
}

/** A 409 for something else said under an id that is taken. */
export function saidOtherwise(what: string, id: string): ProblemError {
  return new ProblemError(409, 'Said before, otherwise', [
    { field: 'id', sentence: `${what} “${id}” with another content is here already.` },
  ]);
}

function send(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** Anything under the API that is not there. */
export const unknownRoute: RequestHandler = (request, response) => {
  const sentence = `There is nothing at ${request.method} ${request.path}.`;
  send(response, problemOf(404, 'Not found', [{ field: 'path', sentence }]));
};

/** What keeps the file from being written, as it is: 507 for a full disk, 503 for what may pass or be mended. */
const TROUBLES: Readonly<Record<StorageTrouble, { status: number; sentence: string }>> = {
  full: { status: 507, sentence: 'The disk is full: make room on it, then say it again.' },
  readOnly: {
    status: 503,
    sentence: 'The kitchen’s file cannot be written: the folder or the disk is read-only.',
  },
  damaged: {
    status: 503,
    sentence: 'The kitchen’s file is damaged: stop Slow Pot and put it back from a copy.',
  },
  busy: { status: 503, sentence: 'Another program holds the kitchen’s file. It is tried again.' },
  failing: { status: 503, sentence: 'The disk does not answer as it should. It is tried again.' },
};

/** What Express and what stands in front of it throw for a request that is not one. */
const NOT_A_REQUEST: Readonly<Record<string, { field: string; sentence: string }>> = {
  'entity.parse.failed': { field: 'body', sentence: 'The body is not JSON.' },
  'entity.too.large': { field: 'body', sentence: 'The body is too large.' },
  'encoding.unsupported': { field: 'body', sentence: 'The body is packed in a way that is not known here.' },
  'charset.unsupported': { field: 'body', sentence: 'The body must be UTF-8.' },
  'request.aborted': { field: 'body', sentence: 'The body ended before its end.' },
  'request.size.invalid': { field: 'body', sentence: 'The body is not as long as it says.' },
};

/** The last handler: problems as they are, what is no request as a 4xx, the disk as what it is, anything else as a 500. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof ProblemError) {
      send(response, problemOf(error.status, error.title, error.errors));
      return;
    }
    if (error instanceof StorageError) {
      const { status, sentence } = TROUBLES[error.trouble];
      log.error({ err: error, path: request.path }, 'storage');
      send(response, problemOf(status, 'Nothing was changed', [{ field: '', sentence }]));
      return;
    }
    const bad = badRequest(error);
    if (bad) {
      send(response, bad);
      return;
    }
    log.error({ err: error, path: request.path }, 'unexpected');
    const sentence = 'Nothing was changed. Try again.';
    send(response, problemOf(500, 'Slow Pot stumbled', [{ field: '', sentence }]));
  };
}

function badRequest(error: unknown): Problem | null {
  if (typeof error !== 'object' || error === null) return null;
  const { status, type, code } = error as { status?: unknown; type?: unknown; code?: unknown };
  if (code === 'ECONNRESET') return problemOf(400, 'Not readable', [NOT_A_REQUEST['request.aborted']!]);
  if (typeof status !== 'number' || status < 400 || status > 499) return null;
  const known = typeof type === 'string' && Object.hasOwn(NOT_A_REQUEST, type) ? NOT_A_REQUEST[type]! : null;
  return problemOf(status, 'Not readable', [
    known ?? { field: '', sentence: 'That is not a request Slow Pot understands.' },
  ]);
}

function problemOf(status: number, title: string, errors: FieldError[]): Problem {
  return { type: 'about:blank', title, status, detail: errors.map((one) => one.sentence).join(' '), errors };
}
