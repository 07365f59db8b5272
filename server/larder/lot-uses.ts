import { type LarderEvent, type LotEntry, lotsBornBy } from '../../core/larder';
import { activeEvents } from '../../core/log';
import type { LotUse } from '../../core/rules';
import { type Db, headRow, larderEventRow, ledgerStore, type Tx, undosOf } from '../storage';

/** What has been done with a lot since it came into being, that would be lost with it. */
export function usesOfLot(tx: Tx, lotId: string): LotUse[] {
  return ledgerStore(tx)
    .entriesOf(lotId)
    .flatMap((entry) => useIn(tx, lotId, entry));
}

function useIn(db: Db, lotId: string, entry: LotEntry): LotUse[] {
  if (entry.kind === 'made') return [];
  if (entry.kind === 'drawn')
    return [{ what: 'drawn', into: headRow(db, entry.batchId)?.name ?? null, kg: entry.kg }];
  const { event } = entry;
  const use = (what: LotUse['what'], kg: number): LotUse[] => [{ what, into: null, kg }];
  switch (event.type) {
    case 'split':
      return event.payload.toLotId === lotId ? [] : use('split', event.payload.kg);
    case 'blended': {
      if (event.payload.toLotId === lotId) return [];
      const parts = event.payload.parts.filter((part) => part.lotId === lotId);
      return use(
        'blended',
        parts.reduce((sum, part) => sum + part.kg, 0),
      );
    }
    case 'discarded':
    case 'fatLifted':
    case 'counted':
      return use(event.type, event.payload.kg);
    default:
      return [];
  }
}

/** Lots that would never have been, were an entry of the larder undone now. */
export function lotsGoneWith(db: Db, eventId: string): string[] {
  const turned = turnedBy(db, eventId);
  return turned?.stands ? lotsBornBy(turned.root) : [];
}

/** The entry that would stand again, were an undo of it undone now; null where none would. */
export function broughtBack(db: Db, eventId: string): LarderEvent | null {
  const turned = turnedBy(db, eventId);
  return turned && !turned.stands ? turned.root : null;
}

/** What an undo would turn from standing to not, or back, and whether it stands now; null where it would turn nothing. */
function turnedBy(db: Db, eventId: string): { root: LarderEvent; stands: boolean } | null {
  const event = larderEventRow(db, eventId);
  const root = event && rootOf(db, event);
  if (!event || !root) return null;
  const undos = undosOf(db, root.id);
  const undo: LarderEvent = {
    id: `undo of ${eventId}`,
    seq: Number.POSITIVE_INFINITY,
    actedAtMs: event.actedAtMs,
    type: 'undone',
    payload: { eventId },
  };
  const standsWith = (more: LarderEvent[]) => activeEvents([root, ...undos, ...more]).length > 0;
  const stands = standsWith([]);
  return stands === standsWith([undo]) ? null : { root, stands };
}

/** The entry at the end of a chain of undos. */
export function rootOf(db: Db, event: LarderEvent): LarderEvent | null {
  let root = event;
  while (root.type === 'undone') {
    const next = larderEventRow(db, root.payload.eventId);
    if (!next) return null;
    root = next;
  }
  return root;
}
