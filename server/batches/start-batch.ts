import { type BatchView, type StartBatch, weekdayOf, zonedTimeMs } from '../../contract';
import { foldOn } from '../../core/batch';
import type { ServicePattern } from '../../core/demand';
import { decideStart } from '../../core/rules';
import { SOME_SERVICE } from '../../core/service';
import type { CommandContext } from '../command-context';
import { kitchenView, saidIn, wholeKitchen } from '../kitchen/kitchen-view';
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
  servicesSeen,
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
      service: serviceFor(tx, context, request.serviceAtMs),
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

/** The kitchen's service at an hour, with what the newest of its weekday asked for. */
function serviceFor(tx: Tx, context: CommandContext, serviceAtMs: number): ServicePattern | null {
  const { services, zone } = kitchenView(context);
  const found = services.find((one) => zonedTimeMs(one.time, zone, serviceAtMs) === serviceAtMs);
  if (!found) return null;
  const weekday = weekdayOf(serviceAtMs, zone);
  return {
    serviceId: found.id,
    weekday,
    lastsMin: found.lastsMin ?? SOME_SERVICE.lastsMin,
    arrival: found.arrival ?? SOME_SERVICE.arrival,
    seen: servicesSeen(tx, found.id, weekday),
  };
}
