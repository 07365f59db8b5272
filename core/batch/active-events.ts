import type { BatchEvent } from './batch-event';

/**
 * The events that stand, in the order they happened: undone ones are left out, an undo that was itself undone counts
 * for nothing, and undoing twice is undoing once. The order of arrival does not matter.
 *
 * @param events any order
 * @returns those that stand, by (actedAtMs, seq), undos left out
 * @source docs/architecture.md, "A batch is its log"
 */
export function activeEvents(events: readonly BatchEvent[]): BatchEvent[] {
  const undosOf = new Map<string, BatchEvent[]>();
  for (const event of events) {
    if (event.type !== 'undone') continue;
    const undos = undosOf.get(event.payload.eventId);
    if (undos) undos.push(event);
    else undosOf.set(event.payload.eventId, [event]);
  }
  const stands = new Map<string, boolean>();
  const standing = (event: BatchEvent): boolean => {
    const known = stands.get(event.id);
    if (known !== undefined) return known;
    stands.set(event.id, true);
    const answer = !(undosOf.get(event.id) ?? []).some(standing);
    stands.set(event.id, answer);
    return answer;
  };
  return events
    .filter((event) => event.type !== 'undone' && standing(event))
    .sort((a, b) => a.actedAtMs - b.actedAtMs || a.seq - b.seq);
}

/** Ids of events that an active undo has taken back. */
export function undoneIds(events: readonly BatchEvent[]): Set<string> {
  const active = new Set(activeEvents(events).map((event) => event.id));
  return new Set(
    events.filter((event) => event.type !== 'undone' && !active.has(event.id)).map((event) => event.id),
  );
}
