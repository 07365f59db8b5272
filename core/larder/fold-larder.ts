import { activeEvents } from '../log';
import type { LarderEvent } from './larder-event';
import {
  type Arrow,
  byPosition,
  drawnEntry,
  type FoldedLot,
  type LotDraw,
  type LotEntry,
  type LotMade,
  madeEntry,
  shelfEntries,
  type Tally,
  type TallyName,
} from './ledger';
import type { Lot } from './lot';
import { type LedgerStore, settleLots } from './settle-lots';

/** The larder at a moment. */
export interface Larder {
  lots: ReadonlyMap<string, Lot>;
  arrows: readonly Arrow[];
  /** what came in, and where it went; with what is left they balance */
  sums: Readonly<Record<TallyName, Tally>>;
  /** events that could not be put (the birth of their lot was undone): kept, for a person to settle */
  strayEventIds: readonly string[];
}

/**
 * The whole larder as its logs make it: what batches stored and drew, deliveries, and what was done on the shelf. The
 * server keeps each lot as it goes (`settleLots`); this folds all of them at once, in memory.
 *
 * @param of lots that batches made, their draws, the larder's own events; any order
 * @param untilMs the moment wanted; later entries are left out
 * @returns every lot that ever was, in the order they were born, and the sums
 * @source docs/model.md § 13
 */
export function foldLarder(
  of: { made: readonly LotMade[]; draws: readonly LotDraw[]; events: readonly LarderEvent[] },
  untilMs = Number.POSITIVE_INFINITY,
): Larder {
  const entries = [
    ...of.made.map(madeEntry),
    ...of.draws.map(drawnEntry),
    ...activeEvents(of.events).flatMap(shelfEntries),
  ].filter((entry) => entry.atMs <= untilMs);
  const kept = new Map<string, FoldedLot>();
  const store = inMemory(entries, kept);
  settleLots(store, new Set(entries.sort(byPosition).map((entry) => entry.lotId)));
  const folded = [...kept.values()].sort((a, b) => (a.born && b.born ? byPosition(a.born.at, b.born.at) : 0));
  const sums: Record<TallyName, Tally> = {
    in: none(),
    drawn: none(),
    discarded: none(),
    lifted: none(),
    countedOff: none(),
  };
  for (const { name, kg, cents } of folded.flatMap((one) => one.moves))
    sums[name] = { kg: sums[name].kg + kg, cents: sums[name].cents + cents };
  return {
    lots: new Map(folded.flatMap(({ lot }) => (lot ? [[lot.lotId, lot]] : []))),
    arrows: folded.flatMap((one) => one.arrows),
    sums,
    strayEventIds: [...new Set(folded.flatMap((one) => one.strayEventIds))],
  };
}

const none = (): Tally => ({ kg: 0, cents: 0 });

/** A store of entries that do not change. */
function inMemory(entries: readonly LotEntry[], kept: Map<string, FoldedLot>): LedgerStore {
  const byLot = grouped(entries, (entry) => entry.lotId);
  const draws = grouped(
    entries.filter((entry) => entry.kind === 'drawn'),
    (entry) => entry.batchId,
  );
  const made = grouped(
    entries.flatMap((entry) => (entry.kind === 'made' ? [entry.birth] : [])),
    ({ origin }) => (origin.kind === 'batch' ? origin.batchId : ''),
  );
  return {
    entriesOf: (lotId) => byLot.get(lotId) ?? [],
    drawsOf: (batchId) => draws.get(batchId) ?? [],
    madeBy: (batchId) => (made.get(batchId) ?? []).map((birth) => birth.lotId),
    born: (lotId) => kept.get(lotId)?.born ?? null,
    keep: (lotId, folded) => void kept.set(lotId, folded),
  };
}

function grouped<T>(list: readonly T[], keyOf: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) {
    const group = groups.get(keyOf(one));
    if (group) group.push(one);
    else groups.set(keyOf(one), [one]);
  }
  return groups;
}
