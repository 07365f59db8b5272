import type { BatchView, StartBatch } from '../../contract';
import { foldOn } from '../../core/batch';
import { decideStart } from '../../core/rules';
import type { CommandContext } from '../command-context';
import { saidIn, wholeKitchen } from '../kitchen/kitchen-view';
import { shelfView } from '../larder/lot-views';
import { refusedBy } from '../problem';
import { isSaidAgain } from '../said-before';
import {
  type BatchRow,
  batchRow,
  insertBatch,
  keepHead,
  latestRecipes,
  openPlaces,
  orderCookedAs,
  type Tx,
} from '../storage';
import type { StandingBatch } from './batch-logs';
import { batchView } from './batch-view';

/**
 * Starts a batch: the plan is computed here, from the kitchen as it stands, and everything that decides it is taken
 * into the snapshot. The same start said again gives the same batch.
 */
export function startBatch(
  context: CommandContext,
  wanted: StartBatch,
): { batch: BatchView; isNew: boolean } {
  const { id, orderId, ...request } = wanted;
  const started = context.storage.transact((tx) => {
    const before = batchRow(tx, id);
    if (isSaidAgain('A batch', id, before?.request, request)) return null;
    const batch = snapshotted(context, tx, id, request);
    insertBatch(tx, batch.row);
    keepHead(tx, batch.row, batch.log.state);
    if (orderId) orderCookedAs(tx, orderId, id);
    return batch;
  });
  if (started) {
    context.logs.keep(started);
    context.live.publish({ kind: 'batch', batchId: id, change: 'started' });
    if (orderId) context.live.publish({ kind: 'order', orderId });
  }
  return { batch: batchView(context.logs.of(id)), isNew: started !== null };
}

function snapshotted(
  context: CommandContext,
  tx: Tx,
  id: string,
  request: Omit<StartBatch, 'id' | 'orderId'>,
): StandingBatch {
  const nowMs = context.clock.nowMs();
  const places = openPlaces(tx, id);
  const inPot = places.find((one) => one.potId === request.potId);
  const onBurner = places.find((one) => one.burnerId === request.burnerId);
  const decision = decideStart(
    {
      kitchen: wholeKitchen(context),
      book: latestRecipes(tx),
      lots: shelfView(tx, nowMs),
      inPot: inPot ? (inPot.name ?? '') : null,
      onBurner: onBurner ? (onBurner.name ?? '') : null,
      nowMs,
    },
    request,
  );
  if (!decision.ok) throw refusedBy(decision.refusals, saidIn(tx));
  const { snapshot } = decision;
  const { recipeId, potId, burnerId } = request;
  const row: BatchRow = {
    id,
    recipeId,
    potId,
    burnerId,
    createdAtMs: nowMs,
    request,
    snapshot,
    closedAtMs: null,
    result: null,
  };
  return { row, events: [], log: foldOn(snapshot, null, []) };
}
