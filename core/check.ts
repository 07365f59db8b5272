/** Throws a RangeError naming the argument and its value unless it is a finite number. */
export function finite(name: string, value: number): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new RangeError(`${name} must be a finite number, got ${String(value)}`);
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
