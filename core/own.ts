/**
 * The value under an id that came from outside, or undefined: `constructor` and `__proto__` are ids like any other, and
 * a plain object answers to them.
 */
export function own<T>(record: Readonly<Record<string, T>>, id: string): T | undefined {
  return Object.hasOwn(record, id) ? record[id] : undefined;
}

/**
 * A record by ids that came from outside, without a prototype: it answers to what is in it and to nothing else.
 *
 * @param entries ids with what stands under them
 */
export function recordOf<T>(entries: Iterable<readonly [string, T]> = []): Record<string, T> {
  const record: Record<string, T> = Object.create(null);
  for (const [id, value] of entries) record[id] = value;
  return record;
}
