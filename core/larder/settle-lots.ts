import type { OtherLots } from './born-lot';
import { foldLot, lotBefore } from './fold-lot';
import { type BornLot, before, type FoldedLot, type LotEntry, lotsNamed } from './ledger';
import type { Lot } from './lot';

/** Where the ledger's entries and what they came to are kept: a database, or memory. */
export interface LedgerStore {
  /** entries that name a lot and stand, any order */
  entriesOf(lotId: string): readonly LotEntry[];
  /** what a batch drew, any order */
  drawsOf(batchId: string): readonly Extract<LotEntry, { kind: 'drawn' }>[];
  /** lots that a batch stored */
  madeBy(batchId: string): readonly string[];
  /** a lot's birth as it was settled last; null where it has none */
  born(lotId: string): BornLot | null;
  /** keeps what a lot comes to */
  keep(lotId: string, folded: FoldedLot): void;
}

/** No lot is folded again so often on the average; a circle would be a fault of the store. */
const MOST_TURNS_A_LOT = 10_000;

/**
 * Folds the lots whose entries changed, and each lot that came of them as far as its birth is another for it: what an
 * entry costs is what it touches, never what the larder has ever held.
 *
 * @param dirty lots whose entries changed
 * @returns every lot that was folded
 */
export function settleLots(store: LedgerStore, dirty: Iterable<string>): string[] {
  const queue = [...new Set(dirty)].map((lotId) => ({ lotId, isOwn: true }));
  const settled = new Set<string>();
  const others = othersIn(store);
  for (let turn = 0; turn < queue.length; turn++) {
    if (turn > MOST_TURNS_A_LOT * settled.size + 1)
      throw new RangeError(`the ledger must come to rest, got ${turn} turns`);
    const { lotId, isOwn } = queue[turn]!;
    const was = store.born(lotId);
    const entries = store.entriesOf(lotId);
    const folded = foldLot(lotId, entries, others);
    store.keep(lotId, folded);
    settled.add(lotId);
    if (!isOwn && isSame(was, folded.born)) continue;
    for (const next of cameOf(store, lotId, entries)) queue.push({ lotId: next, isOwn: false });
  }
  return [...settled];
}

function othersIn(store: LedgerStore): OtherLots {
  const others: OtherLots = {
    lotAt: (lotId, at) => {
      const born = store.born(lotId);
      return born && lotBefore(born, store.entriesOf(lotId), at, others);
    },
    drawsOf: (batchId, at) => store.drawsOf(batchId).filter((draw) => before(draw, at)),
  };
  return others;
}

/** A lot as it was at a moment; null before it came into being. */
export function lotAt(store: LedgerStore, lotId: string, atMs: number): Lot | null {
  return othersIn(store).lotAt(lotId, { atMs, order: 2, seq: Number.POSITIVE_INFINITY });
}

/** Lots whose birth asks what a lot was: parted off it, poured of it, stored by a batch that drew from it. */
function cameOf(store: LedgerStore, lotId: string, entries: readonly LotEntry[]): string[] {
  const found = entries.flatMap((entry) => {
    if (entry.kind === 'drawn') return store.madeBy(entry.batchId);
    if (entry.kind !== 'shelf') return [];
    const { type } = entry.event;
    return type === 'split' || type === 'blended' ? lotsNamed(entry.event) : [];
  });
  return [...new Set(found)].filter((one) => one !== lotId);
}

function isSame(a: BornLot | null, b: BornLot | null): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
