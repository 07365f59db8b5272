/**
 * The value under an id that came from outside, or undefined: `constructor` and `__proto__` are ids like any other, and
 * a plain object answers to them.
 */
export function own<T>(record: Readonly<Record<string, T>>, id: string): T | undefined {
  return Object.hasOwn(record, id) ? record[id] : undefined;
}
