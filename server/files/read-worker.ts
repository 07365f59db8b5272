import { parentPort } from 'node:worker_threads';
import { ProblemError } from '../problem';
import { READY, type ReadAnswer, type ReadJob } from './read-job';
import { intakeOf, readingOf } from './reading-of';

/** Reads files apart from the server: whatever is in one, the pots go on. */
parentPort?.on('message', ({ id, as, file, here }: ReadJob) => {
  parentPort?.postMessage(
    answer(id, () => (as === 'reading' ? readingOf(file, here) : intakeOf(file, here))),
  );
});

parentPort?.postMessage(READY);

function answer(id: number, work: () => unknown): ReadAnswer {
  try {
    return { id, ok: true, value: work() };
  } catch (error) {
    const problem =
      error instanceof ProblemError
        ? { status: error.status, title: error.title, errors: error.errors }
        : null;
    return { id, ok: false, problem, why: String(error) };
  }
}
