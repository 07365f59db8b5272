import { setTimeout as wait } from 'node:timers/promises';

export type Write = <T>(work: () => Promise<T>) => Promise<T>;

const TRIES = 6;
const FIRST_WAIT_MS = 25;

/**
 * The one way to write: each piece of work waits for those before it, so that checking and inserting are one turn.
 * A busy file is tried again, waiting longer each time; any other failure is the caller's and holds up nobody.
 */
export function createWriteQueue(): Write {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const turn = last.then(() => patiently(work));
    last = turn.catch(() => undefined);
    return turn;
  };
}

async function patiently<T>(work: () => Promise<T>): Promise<T> {
  for (let round = 1; ; round++) {
    try {
      return await work();
    } catch (error) {
      if (round >= TRIES || !isBusy(error)) throw error;
      await wait(FIRST_WAIT_MS * 2 ** round);
    }
  }
}

function isBusy(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    if ('code' in cause && String(cause.code).startsWith('SQLITE_BUSY')) return true;
  }
  return false;
}
