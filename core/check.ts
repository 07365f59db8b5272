/** Throws a RangeError naming the argument and its value unless it is a finite number. */
export function finite(name: string, value: number): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new RangeError(`${name} must be a finite number, got ${inWords(value)}`);
  }
  return value;
}

/** A finite number of at least `min`, else a RangeError naming the argument and its value. */
export function atLeast(name: string, value: number, min: number): number {
  if (finite(name, value) < min) throw new RangeError(`${name} must be at least ${min}, got ${value}`);
  return value;
}

/** A finite number above zero, else a RangeError naming the argument and its value. */
export function positive(name: string, value: number): number {
  if (finite(name, value) <= 0) throw new RangeError(`${name} must be above 0, got ${value}`);
  return value;
}

/** A finite number in min..max, ends included, else a RangeError naming the argument and its value. */
export function within(name: string, value: number, min: number, max: number): number {
  if (finite(name, value) < min || value > max) {
    throw new RangeError(`${name} must be from ${min} to ${max}, got ${value}`);
  }
  return value;
}

/** A value as a sentence names it: the text “5” is not the number 5. */
function inWords(value: unknown): string {
  return typeof value === 'string' ? `the text “${value}”` : String(value);
}

/**
 * A function as those outside may call it: what it needs has to be there, and what comes back are finite numbers; else a
 * RangeError names the function. Inside, each argument is checked by the function itself.
 */
export function sound<Args extends unknown[], Answer>(
  name: string,
  work: (...args: Args) => Answer,
): (...args: Args) => Answer {
  return (...args) => {
    let answer: Answer;
    try {
      answer = work(...args);
    } catch (error) {
      if (!(error instanceof TypeError)) throw error;
      throw new RangeError(
        `${name}: an argument is missing or of another kind, got ${args.map(listed).join(', ')}`,
      );
    }
    const bad = notFinite(answer);
    if (bad !== null) throw new RangeError(`${name}: the numbers are too large or too small, got ${bad}`);
    return answer;
  };
}

const listed = (value: unknown): string =>
  typeof value === 'object' ? (JSON.stringify(value) ?? 'nothing') : inWords(value);

/** The first number of an answer, however deep, that is none; null where all are. */
function notFinite(answer: unknown): number | null {
  if (typeof answer === 'number') return Number.isFinite(answer) ? null : answer;
  if (typeof answer !== 'object' || answer === null) return null;
  for (const part of Object.values(answer)) {
    const bad = notFinite(part);
    if (bad !== null) return bad;
  }
  return null;
}
