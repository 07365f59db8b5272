import { activeEvents } from '../log';
import type { RecordLine } from './record-line';

/** An entry of either log, with who said it. */
export interface Said {
  id: string;
  seq: number;
  actedAtMs: number;
  type: string;
  payload: object;
  by: string | null;
}

/** Who said it: as it was signed, or as the entry came. */
export function saidBy({ payload, by }: Pick<Said, 'payload' | 'by'>): string | null {
  return 'by' in payload && typeof payload.by === 'string' ? payload.by : by;
}

/** Entries that do not stand, each with the undo or the answer that took it back. */
export function takenBack(events: readonly Said[]): ReadonlyMap<string, RecordLine['takenBack']> {
  const standing = new Set(activeEvents(events).map((event) => event.id));
  const back = new Map<string, RecordLine['takenBack']>();
  for (const event of [...events].sort((a, b) => a.actedAtMs - b.actedAtMs || a.seq - b.seq)) {
    const { eventId } = event.payload as { eventId?: string };
    if (eventId === undefined) continue;
    const isUndo = event.type === 'undone' && !standing.has(eventId);
    const isDoubt =
      event.type === 'answered' &&
      standing.has(event.id) &&
      !(event.payload as { believed: boolean }).believed;
    if (isUndo || isDoubt) back.set(eventId, { atMs: event.actedAtMs, by: saidBy(event) });
  }
  return back;
}
