/** Something as it was once written: its type, the version of that type, and what it said. */
export interface Written {
  type: string;
  v: number;
  payload: unknown;
}

/** What one version of a type says, in the words of the next; a type may get another name on the way. */
export type UpcastStep = (payload: unknown) => { type?: string; payload: unknown };

/** Written by a newer Slow Pot, or by none: it is never skipped. */
export class UnknownVersion extends RangeError {
  constructor(
    readonly type: string,
    readonly v: number,
  ) {
    super(`type and v must be known here, got ${type} ${v}`);
  }
}

/**
 * Brings what was written to the version of today, one step after the other; nothing stored is ever rewritten.
 *
 * @param written any type and version there ever was
 * @param today the version each type has now
 * @param steps by `type v`: from that version to the next
 * @returns type, version and payload of today
 * @throws UnknownVersion for a type or a version that is not known here
 * @source docs/architecture.md, "Versions"
 */
export function upcast(
  written: Written,
  today: ReadonlyMap<string, number>,
  steps: ReadonlyMap<string, UpcastStep>,
): Written {
  let { type, v, payload } = written;
  for (;;) {
    const now = today.get(type);
    if (now === v) return { type, v, payload };
    const step = steps.get(`${type} ${v}`);
    if (!step || (now !== undefined && v > now)) throw new UnknownVersion(written.type, written.v);
    const next = step(payload);
    type = next.type ?? type;
    payload = next.payload;
    v += 1;
  }
}

/** A step that gives fields other names and leaves the rest; what is no object is left to whoever checks it. */
export function renamed(names: Readonly<Record<string, string>>): (payload: unknown) => unknown {
  return (payload) =>
    isFields(payload)
      ? Object.fromEntries(Object.entries(payload).map(([name, value]) => [names[name] ?? name, value]))
      : payload;
}

/** A step for one field of it. */
export function within(field: string, step: (value: unknown) => unknown): (payload: unknown) => unknown {
  return (payload) =>
    isFields(payload) && Object.hasOwn(payload, field)
      ? { ...payload, [field]: step(payload[field]) }
      : payload;
}

/** A step for each of a list. */
export function each(step: (value: unknown) => unknown): (list: unknown) => unknown {
  return (list) => (Array.isArray(list) ? list.map(step) : list);
}

function isFields(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
