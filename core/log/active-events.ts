/** What undoing needs to know of an event, a batch's or the larder's. */
interface Undoable {
  id: string;
  seq: number;
  actedAtMs: number;
  type: string;
  payload: object;
}

/**
 * The events that stand, in the order they happened: undone ones are left out, an undo that was itself undone counts
 * for nothing, and undoing twice is undoing once. The order of arrival does not matter.
 *
 * @param events any order
 * @returns those that stand, by (actedAtMs, seq), undos left out
 * @source docs/architecture.md, "A batch is its log"
 */
export function activeEvents<E extends Undoable>(events: readonly E[]): readonly E[] {
  const undosOf = new Map<string, E[]>();
  let isInOrder = true;
  for (let i = 0; i < events.length; i++) {
    const event = events[i]!;
    if (i > 0 && later(events[i - 1]!, event) > 0) isInOrder = false;
    if (event.type !== 'undone') continue;
    const { eventId } = event.payload as { eventId: string };
    const undos = undosOf.get(eventId);
    if (undos) undos.push(event);
    else undosOf.set(eventId, [event]);
  }
  if (undosOf.size === 0) return isInOrder ? events : events.toSorted(later);
  const stands = new Map<string, boolean>();
  const standing = (event: E): boolean => {
    const known = stands.get(event.id);
    if (known !== undefined) return known;
    stands.set(event.id, true);
    const answer = !(undosOf.get(event.id) ?? []).some(standing);
    stands.set(event.id, answer);
    return answer;
  };
  return events.filter((event) => event.type !== 'undone' && standing(event)).sort(later);
}

function later(a: Undoable, b: Undoable): number {
  return a.actedAtMs - b.actedAtMs || a.seq - b.seq;
}

/** Ids of events that an active undo has undone. */
export function undoneIds(events: readonly Undoable[]): Set<string> {
  const active = new Set(activeEvents(events).map((event) => event.id));
  return new Set(
    events.filter((event) => event.type !== 'undone' && !active.has(event.id)).map((event) => event.id),
  );
}
