import type { FileToRead } from '../../contract';
import type { ProblemError } from '../problem';
import type { BookHere } from '../recipes/sound-recipe';

/** The worker has read its own files, and can begin. */
export const READY = 'ready';

/** What the worker is asked, and answers. */
export interface ReadJob {
  id: number;
  as: 'reading' | 'intake';
  file: FileToRead;
  here: BookHere;
}
export type ReadAnswer =
  | { id: number; ok: true; value: unknown }
  | { id: number; ok: false; problem: Pick<ProblemError, 'status' | 'title' | 'errors'> | null; why: string };
