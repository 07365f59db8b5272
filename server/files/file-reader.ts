import type { Worker } from 'node:worker_threads';
import type { Logger } from 'pino';
import type { FileReading, FileToRead } from '../../contract';
import { ProblemError } from '../problem';
import type { BookHere } from '../recipes/sound-recipe';
import { startWorker } from '../start-worker';
import type { BookIntake } from './book-difference';
import { fileProblem } from './file-problem';
import { READY, type ReadAnswer, type ReadJob } from './read-job';

/** A file that takes longer than this, or more memory, is no recipe. */
const MOST_MS = 6000;
const MOST_MEMORY_MB = 256;
/** So many wait at once. */
const MOST_WAITING = 20;

/** Reads files in a worker, one after the other, with an end to its time and memory. */
export interface FileReader {
  read(file: FileToRead, here: BookHere): Promise<FileReading>;
  intake(file: FileToRead, here: BookHere): Promise<BookIntake>;
  close(): Promise<void>;
}

interface Waiting {
  job: ReadJob;
  settle(answer: ReadAnswer): void;
  fail(error: unknown): void;
}

export function createFileReader(log: Logger, mostMs = MOST_MS): FileReader {
  const queue: Waiting[] = [];
  let current: { waiting: Waiting; timer: NodeJS.Timeout } | null = null;
  let worker: Worker | null = null;
  let isReady = false;
  let lastId = 0;

  function begin(): void {
    const one = startWorker('read-worker', import.meta.url, {
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    worker = one;
    isReady = false;
    one.on('message', (said: ReadAnswer | typeof READY) => {
      if (worker !== one) return;
      if (said !== READY) settle((waiting) => waiting.settle(said));
      isReady = true;
      next();
    });
    one.on('error', (error) => {
      if (worker !== one) return;
      log.warn({ error }, 'a file could not be read');
      stop();
      if (current) settle((waiting) => waiting.fail(tooMuch()));
      else queue.shift()?.fail(error);
      next();
    });
    one.unref();
  }

  function stop(): void {
    void worker?.terminate();
    worker = null;
    isReady = false;
  }

  function settle(tell: (waiting: Waiting) => void): void {
    const was = current;
    current = null;
    if (!was) return;
    clearTimeout(was.timer);
    tell(was.waiting);
  }

  /** The next file, when the worker is there and free for it. */
  function next(): void {
    if (current || queue.length === 0) return;
    if (!worker) begin();
    if (!isReady) return;
    const waiting = queue.shift()!;
    const timer = setTimeout(() => {
      stop();
      settle((one) => one.fail(tooMuch()));
      next();
    }, mostMs);
    current = { waiting, timer };
    worker!.postMessage(waiting.job);
  }

  async function ask(as: ReadJob['as'], file: FileToRead, here: BookHere): Promise<unknown> {
    if (queue.length >= MOST_WAITING) {
      const sentence = 'Too many files are being read: try again in a moment.';
      throw new ProblemError(503, 'Not now', [{ field: 'file', sentence }]);
    }
    const answer = await new Promise<ReadAnswer>((settle, fail) => {
      lastId += 1;
      queue.push({ job: { id: lastId, as, file, here }, settle, fail });
      next();
    });
    if (answer.ok) return answer.value;
    if (answer.problem) {
      const { status, title, errors } = answer.problem;
      throw new ProblemError(status, title, errors);
    }
    log.warn({ why: answer.why }, 'a file could not be read');
    throw fileProblem('file', 'This file cannot be read.');
  }

  return {
    read: (file, here) => ask('reading', file, here) as Promise<FileReading>,
    intake: (file, here) => ask('intake', file, here) as Promise<BookIntake>,
    async close() {
      const last = worker;
      worker = null;
      await last?.terminate();
    },
  };
}

function tooMuch(): ProblemError {
  return fileProblem('file', 'This file takes too long to read: it is too large, or no recipe.');
}
