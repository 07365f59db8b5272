import { createHash } from 'node:crypto';
import { saidOtherwise } from './problem';
import { answerRow, insertAnswer, type Tx } from './storage';

/**
 * The one rule for what is said twice under one id: the same again gets the first answer, something else is refused.
 *
 * @param what it is, to be named in a refusal
 * @param before what stands under that id; undefined for nothing
 * @returns true where it is the same
 * @throws ProblemError 409 where it is something else
 */
export function isSaidAgain(what: string, id: string, before: unknown, now: unknown): boolean {
  if (before === undefined) return false;
  if (canonical(before) === canonical(now)) return true;
  throw saidOtherwise(what, id);
}

/** A command that leaves no row under its id: its answer is remembered beside what it does. */
export function once<T>(
  tx: Tx,
  command: { what: string; id: string | undefined; content: unknown; atMs: number },
  work: () => T,
): { answer: T; isNew: boolean } {
  const { what, id, content, atMs } = command;
  if (id === undefined) return { answer: work(), isNew: true };
  const digest = createHash('sha256').update(canonical(content)).digest('hex');
  const before = answerRow(tx, id);
  if (before && isSaidAgain(what, id, before.content, digest))
    return { answer: before.answer as T, isNew: false };
  const answer = work();
  insertAnswer(tx, id, { content: digest, answer }, atMs);
  return { answer, isNew: true };
}

/** Fields in one order all the way down, and none that are undefined: the same content is the same text. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inside) =>
    inside !== null && typeof inside === 'object' && !Array.isArray(inside)
      ? Object.fromEntries(Object.entries(inside).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : inside,
  );
}
