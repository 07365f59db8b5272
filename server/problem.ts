import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import type * as v from 'valibot';
import { check, type FieldError, type Problem } from '../contract';

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

function send(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** Anything under the API that is not there. */
export const unknownRoute: RequestHandler = (request, response) => {
  const sentence = `There is nothing at ${request.method} ${request.path}.`;
  send(response, problemOf(404, 'Not found', [{ field: 'path', sentence }]));
};

/** The last handler: problems as they are, a body that is no JSON as a 400, anything else as a 500 that is logged. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error, request, response, _next) => {
    if (error instanceof ProblemError) {
      send(response, problemOf(error.status, error.title, error.errors));
    } else if (error?.type === 'entity.parse.failed') {
      send(response, problemOf(400, 'Not readable', [{ field: 'body', sentence: 'The body is not JSON.' }]));
    } else if (error?.type === 'entity.too.large') {
      send(response, problemOf(413, 'Too large', [{ field: 'body', sentence: 'The body is too large.' }]));
    } else {
      log.error({ err: error, path: request.path }, 'unexpected');
      send(
        response,
        problemOf(500, 'Slow Pot stumbled', [{ field: '', sentence: 'Nothing was changed. Try again.' }]),
      );
    }
  };
}

function problemOf(status: number, title: string, errors: FieldError[]): Problem {
  return { type: 'about:blank', title, status, detail: errors.map((one) => one.sentence).join(' '), errors };
}
