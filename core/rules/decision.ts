import type { Refusal } from './refusal';

/** What the rules say: it may be, with what follows from it; or it may not, and each reason. */
export type Decision<T> = ({ ok: true } & T) | { ok: false; refusals: readonly Refusal[] };

export function refused(...refusals: Refusal[]): { ok: false; refusals: readonly Refusal[] } {
  return { ok: false, refusals };
}
