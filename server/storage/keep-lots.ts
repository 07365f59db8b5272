import type { BatchEvent, BatchSnapshot, BatchState } from '../../core/batch';
import {
  drawnEntry,
  drawsOfBatch,
  type LotMade,
  lotsOfBatch,
  madeEntry,
  settleLots,
} from '../../core/larder';
import { batchHead } from '../../core/views';
import type { BatchRow } from './batch-rows';
import { setHead } from './head-rows';
import { numberLot } from './larder-rows';
import { freezeBirth, frozenBirths, ledgerStore, setBatchEntries, unfreezeBirths } from './ledger-rows';
import type { Tx } from './storage';

/** The line of a batch in lists. */
export function keepHead(
  tx: Tx,
  row: BatchRow,
  { inPot, onBurner }: Pick<BatchState, 'inPot' | 'onBurner'>,
): void {
  const { id, recipeId, potId, burnerId, createdAtMs, closedAtMs } = row;
  const names = { potName: inPot.name, burnerName: onBurner.name };
  setHead(
    tx,
    batchHead({ id, recipeId, potId, burnerId, createdAtMs, closedAtMs }, row.snapshot, names, row.result),
  );
}

/** What the batch drew and stored, as entries of its lots; those that changed are folded anew. */
export function keepLots(
  tx: Tx,
  row: Pick<BatchRow, 'id' | 'closedAtMs' | 'snapshot'>,
  events: readonly BatchEvent[],
  state: BatchState,
): string[] {
  const births = birthsOf(tx, row, state);
  const touched = setBatchEntries(tx, row.id, entriesOf(row, events, births));
  for (const { birth } of births) if (touched.includes(birth.lotId)) numberLot(tx, birth.lotId);
  return touched.length > 0 ? settleLots(ledgerStore(tx), touched) : [];
}

export function entriesOf(
  { id, snapshot }: { id: string; snapshot: BatchSnapshot },
  events: readonly BatchEvent[],
  births: readonly LotMade[],
) {
  const draws = drawsOfBatch(id, snapshot.input.ingredients, events);
  return [...draws.map(drawnEntry), ...births.map(madeEntry)];
}

/**
 * The lots a batch stored. Those of a closed batch are frozen as they were when it closed; what comes late is frozen as
 * it comes, what is undone goes, and all of them are open again with the batch.
 */
function birthsOf(
  tx: Tx,
  row: Pick<BatchRow, 'id' | 'closedAtMs' | 'snapshot'>,
  state: BatchState,
): LotMade[] {
  const now = lotsOfBatch(row.id, row.snapshot, state);
  const frozen = new Map(frozenBirths(tx, row.id).map((one) => [one.birth.lotId, one]));
  const stands = new Set(row.closedAtMs === null ? [] : now.map((one) => one.birth.lotId));
  unfreezeBirths(
    tx,
    [...frozen.keys()].filter((lotId) => !stands.has(lotId)),
  );
  if (row.closedAtMs === null) return now;
  return now.map((one) => {
    const known = frozen.get(one.birth.lotId);
    if (!known) freezeBirth(tx, row.id, one);
    return known ?? one;
  });
}
