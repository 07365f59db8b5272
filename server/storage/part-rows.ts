import { eq } from 'drizzle-orm';
import { type BatchState, type DrawnPart, foldOn } from '../../core/batch';
import { batchKey } from '../../core/larder';
import { MODEL_VERSION } from '../../core/plan';
import { batchRow, eventRows, settleBatch } from './batch-rows';
import { dropCheckpoint } from './head-rows';
import { keepHead, keepLots } from './keep-lots';
import { arrows } from './projection-schema';
import { drawnParts } from './schema';
import type { Db, Tx } from './storage';

/** The batches that were drawn off another. */
export function partIdsOf(db: Db, parentId: string): string[] {
  return db
    .select({ childId: drawnParts.childId })
    .from(drawnParts)
    .where(eq(drawnParts.parentId, parentId))
    .all()
    .map((row) => row.childId);
}

/**
 * Moves what was drawn off a batch to where its log stands now, and all that came of it, down to the last pot: a late
 * entry or an undo above is another beginning below. What a closed batch came to stays as it was frozen.
 *
 * @returns ids of the batches that begin otherwise than before
 */
export function keepParts(tx: Tx, parentId: string, { parts }: Pick<BatchState, 'parts'>): string[] {
  const was = new Map(
    tx
      .select()
      .from(drawnParts)
      .where(eq(drawnParts.parentId, parentId))
      .all()
      .map((row) => [row.childId, row.drawn]),
  );
  const is = new Map(parts.map((part) => [part.childId, part]));
  const changed = [...new Set([...was.keys(), ...is.keys()])].filter(
    (childId) => JSON.stringify(was.get(childId) ?? null) !== JSON.stringify(is.get(childId) ?? null),
  );
  return changed.flatMap((childId) => {
    setPart(tx, parentId, childId, is.get(childId) ?? null);
    return [childId, ...beginAnew(tx, childId)];
  });
}

function setPart(tx: Tx, parentId: string, childId: string, drawn: DrawnPart | null): void {
  const row = { parentId, drawn, modelVersion: MODEL_VERSION };
  tx.insert(drawnParts)
    .values({ childId, ...row })
    .onConflictDoUpdate({ target: drawnParts.childId, set: row })
    .run();
  setArrow(tx, parentId, childId, drawn);
}

/** What went from the one batch into the other: a recall walks along it. */
function setArrow(tx: Tx, parentId: string, childId: string, drawn: DrawnPart | null): void {
  tx.delete(arrows).where(eq(arrows.lotId, childId)).run();
  if (drawn)
    tx.insert(arrows)
      .values({
        lotId: childId,
        from: batchKey(parentId),
        to: batchKey(childId),
        kg: drawn.kg,
        atMs: drawn.atMs,
      })
      .run();
}

/** The batch that a part became, folded from another beginning; there is none yet while it is being drawn. */
function beginAnew(tx: Tx, childId: string): string[] {
  const row = batchRow(tx, childId);
  if (!row) return [];
  const events = eventRows(tx, childId);
  const { state } = foldOn(row.snapshot, null, events);
  const wasNone = row.closedAtMs !== null && row.result === null;
  const isNone = row.snapshot.origin?.drawn === null;
  if (isNone !== wasNone && row.result === null) {
    row.closedAtMs = state.closed?.atMs ?? null;
    settleBatch(tx, childId, row.closedAtMs, null);
  }
  dropCheckpoint(tx, childId);
  if (row.result !== null) return [];
  keepHead(tx, row, state);
  keepLots(tx, row, events, state);
  return keepParts(tx, childId, state);
}

/** The arrows of every part, made anew from what is kept of them. */
export function rebuildPartArrows(tx: Tx): void {
  for (const { parentId, childId, drawn } of tx.select().from(drawnParts).all())
    setArrow(tx, parentId, childId, drawn);
}
