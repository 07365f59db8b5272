import type { BatchView, DrawPart, LoggedEvent } from '../../contract';
import { EVENT_VERSIONS, foldOn } from '../../core/batch';
import { decidePart } from '../../core/rules';
import type { CommandContext } from '../command-context';
import { saidIn } from '../kitchen/kitchen-view';
import { refusedBy } from '../problem';
import { saidAt } from '../said-at';
import { isSaidAgain } from '../said-before';
import { type BatchRow, batchRow, insertBatch, insertEvent, keepBatch, keepHead, nextSeq } from '../storage';
import { isAside } from './batch-logs';
import { batchView } from './batch-view';
import { kitchenAround } from './submit-event';

/**
 * Draws some of a pot off into another, where it goes on as a batch of its own: the entry of the one and the beginning of
 * the other in one transaction. Said again it is the same batch.
 */
export function startPart(
  context: CommandContext,
  parentId: string,
  wanted: DrawPart,
): { batch: BatchView; isNew: boolean } {
  const { id, eventId, ...request } = wanted;
  const asked = { ...request, eventId, parentId };
  const done = context.storage.transact((tx) => {
    if (isSaidAgain('A batch', id, batchRow(tx, id)?.request, asked)) return null;
    const parent = context.logs.of(parentId);
    if (isAside(parent)) throw refusedBy([{ field: 'type', code: 'batchBroken' }], saidIn(tx));
    const { row: was, log } = parent;
    const at = saidAt(context.clock, { id: eventId, ageMs: 0, confirmed: false }, nextSeq(tx));
    const facts = { snapshot: was.snapshot, log, startedAtMs: was.createdAtMs };
    const around = kitchenAround(context, tx, parentId);
    const decision = decidePart(parentId, facts, around, { ...request, childId: id }, eventId, at);
    if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
    const { parent: drawn, snapshot } = decision;
    const event: LoggedEvent = {
      ...drawn.event,
      receivedAtMs: at.nowMs,
      by: null,
      device: null,
      v: EVENT_VERSIONS.get(drawn.event.type)!,
      flag: drawn.mark,
    };
    insertEvent(tx, { ...event, batchId: parentId, clientAtMs: at.clientAtMs });
    const row: BatchRow = {
      id,
      recipeId: was.recipeId,
      potId: request.potId,
      burnerId: request.burnerId,
      createdAtMs: at.actedAtMs,
      request: asked,
      snapshot,
      closedAtMs: null,
      result: null,
    };
    insertBatch(tx, row);
    const kept = keepBatch(tx, parent, drawn.log, event, drawn.result);
    const child = { row, events: [], log: foldOn(snapshot, null, []) };
    keepHead(tx, row, child.log.state);
    const grown = { row: kept.row, log: drawn.log };
    context.logs.checkpoint(tx, grown);
    return { event, grown, child };
  });
  if (done) {
    context.logs.grow(done.grown, done.event);
    context.logs.keep(done.child);
    context.live.publish({ kind: 'event', batchId: parentId, event: done.event });
    context.live.publish({ kind: 'batch', batchId: id, change: 'started' });
  }
  return { batch: batchView(context.logs.of(id)), isNew: done !== null };
}
