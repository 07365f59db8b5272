import type { BatchEventBody } from '../batch';
import type { Refusal } from './refusal';

/** What an inspector may ask about is signed by somebody who works here; anybody may taste. */
const SIGNED: ReadonlySet<BatchEventBody['type']> = new Set(['reheated', 'portioned', 'reading']);

export function refuseSigned(
  people: readonly string[] | undefined,
  { type, payload }: BatchEventBody,
): Refusal | null {
  const by = SIGNED.has(type) && 'by' in payload ? payload.by : undefined;
  return by === undefined ? null : refuseNobody(people, 'payload.by', by);
}

/** A signature is of someone who works here; a kitchen that has named nobody takes any name. */
export function refuseNobody(
  people: readonly string[] | undefined,
  field: string,
  by: string,
): Refusal | null {
  if (!people || people.length === 0 || people.includes(by)) return null;
  return { field, code: 'unknownPerson', by, people };
}
