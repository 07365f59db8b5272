import * as v from 'valibot';
import type { PageOf } from '../contract';
import { checked } from './problem';

/** So many rows of a list are sent at once. */
const ROWS = 40;

const pageSchema = v.object({
  before: v.optional(
    v.pipe(
      v.string('before must be text.'),
      v.regex(/^\d{1,15}~[\w.:-]{1,80}$/, 'before must be where a page ended.'),
      v.transform((text) => ({ atMs: Number(text.split('~')[0]), id: text.slice(text.indexOf('~') + 1) })),
    ),
  ),
});

/** Where a page begins: just after the row with this time and id. */
export interface Cursor {
  atMs: number;
  id: string;
}

/**
 * A page of a list that runs from the newest to the oldest, and where the next one begins.
 *
 * @param query of the request: `before`, as the page before gave it in `next`
 * @param rows so many rows after a cursor
 */
export function pageOf<T>(
  query: unknown,
  rows: (before: Cursor | null, limit: number) => T[],
  cursorOf: (row: T) => Cursor,
): PageOf<T> {
  const { before } = checked(pageSchema, query);
  const found = rows(before ?? null, ROWS + 1);
  const page = found.slice(0, ROWS);
  const last = page.at(-1);
  if (found.length <= ROWS || !last) return { rows: page, next: null };
  const { atMs, id } = cursorOf(last);
  return { rows: page, next: `${atMs}~${id}` };
}
