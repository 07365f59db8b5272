import type { FieldError, Problem } from '../../contract';

/** What the server did not do, with its sentences. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly errors: FieldError[],
    /** 0 where it could not be asked */
    readonly status: number,
    /** it was the kitchen's server that answered, in its own words */
    readonly isProblem: boolean,
  ) {
    super(message);
  }
  /** Nobody answered, or somebody else did: the line's own page, a proxy. */
  get isOffline(): boolean {
    return !this.isProblem;
  }
  /** The server said no: the same again would be no again. Anything else may pass. */
  get isRefusal(): boolean {
    return this.isProblem && this.status >= 400 && this.status < 500 && this.status !== 429;
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
    throw noAnswer();
  }
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  const isProblem = (response.headers.get('Content-Type') ?? '').includes('application/problem+json');
  if (response.ok && answer !== null) {
    const position = response.headers.get('Slow-Pot-Position');
    if (position) for (const listener of positionListeners) listener(position);
    return answer as T;
  }
  if (!isProblem || answer === null) throw noAnswer();
  const problem = answer as Problem;
  throw new ApiError(problem.detail || problem.title, problem.errors, response.status, true);
}

function noAnswer(): ApiError {
  return new ApiError('The kitchen’s server does not answer.', [], 0, false);
}

const positionListeners = new Set<(position: string) => void>();

/** Told where the live stream stood when an answer was given. */
export function onPosition(listener: (position: string) => void): () => void {
  positionListeners.add(listener);
  return () => positionListeners.delete(listener);
}

/** What the server would not do, as sentences for the screen: each field’s, or the whole; none where nothing is wrong. */
export function sentencesOf(error: Error | null): string[] {
  if (!error) return [];
  const each = error instanceof ApiError ? error.errors.map((one) => one.sentence) : [];
  return each.length > 0 ? each : [error.message];
}
