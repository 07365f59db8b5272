import type { FieldError, Problem } from '../../contract';

/** What the server refused, with its sentences; `isOffline` when it could not be asked. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly errors: FieldError[],
    readonly status: number,
  ) {
    super(message);
  }
  get isOffline(): boolean {
    return this.status === 0;
  }
}

/** Asks the server; throws an ApiError with sentences fit for the screen. */
export async function ask<T>(
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError('The kitchen’s server does not answer.', [], 0);
  }
  if (response.status === 204) return undefined as T;
  if (response.ok) return response.json() as Promise<T>;
  const problem = (await response.json().catch(() => null)) as Problem | null;
  if (!problem)
    throw new ApiError(
      'The kitchen’s server does not answer.',
      [],
      response.status >= 500 ? 0 : response.status,
    );
  throw new ApiError(problem.detail || problem.title, problem.errors, response.status);
}

/** What the server would not do, as sentences for the screen: each field’s, or the whole; none where nothing is wrong. */
export function sentencesOf(error: Error | null): string[] {
  if (!error) return [];
  const each = error instanceof ApiError ? error.errors.map((one) => one.sentence) : [];
  return each.length > 0 ? each : [error.message];
}
