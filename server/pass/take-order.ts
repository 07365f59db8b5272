import type { GuestOrder, GuestOrderOpen, GuestOrderTaken } from '../../contract';
import { EVENT_VERSIONS } from '../../core/batch';
import { kindsOf } from '../../core/portions';
import { notForGuest, portionHolds } from '../../core/rules';
import { passBoard, servedOfOrders } from '../../core/service';
import { isAside, type StandingBatch } from '../batches/batch-logs';
import { submitEvent } from '../batches/submit-event';
import type { CommandContext } from '../command-context';
import { lotViewOf } from '../larder/lot-views';
import { impossible } from '../problem';
import { openBatchIds, writtenEvent } from '../storage';
import { kindFor } from './kind-for';

/**
 * Takes an order in: into the log of the open pot of its dish whose service is nearest. The same order again is the same
 * order. What its guest may not eat is answered at once.
 *
 * @throws ProblemError where no pot of it is on, or it has no such portions
 */
export function takeOrder(
  context: CommandContext,
  order: GuestOrder,
): { taken: GuestOrderTaken; isNew: boolean } {
  const before = writtenEvent(context.storage.db, order.id);
  const batch = before ? standing(context, before.batchId) : batchFor(context, order.dish);
  if (!batch) throw impossible('dish', `No pot of “${order.dish}” is on.`);
  const { snapshot } = batch.row;
  const kinds = kindsOf(snapshot.input);
  const items = order.items.map(({ portion, ml, count }, i) => {
    const kind = kindFor(kinds, { portion, ml });
    if (!kind)
      throw impossible(
        `items.${i}`,
        `${snapshot.input.recipe.name} has no ${portion}${ml ? ` of ${ml} mL` : ''}.`,
      );
    return { kindId: kind.id, count };
  });
  const { freeOf, words } = order;
  const payload = {
    items,
    ...(freeOf?.length ? { freeOf } : {}),
    ...(words ? { words } : {}),
    via: 'till' as const,
  };
  const { isNew } = submitEvent(context, batch.row.id, {
    id: order.id,
    type: 'asked',
    v: EVENT_VERSIONS.get('asked'),
    payload,
    ageMs: order.ageMs ?? 0,
  });
  const after = standing(context, batch.row.id)!;
  const lotNow = (id: string) => lotViewOf(context.storage.db, id, context.clock.nowMs())?.contents;
  const held = items.flatMap(({ kindId }) => {
    const kind = kinds.find((one) => one.id === kindId)!;
    return notForGuest(freeOf ?? [], portionHolds(snapshot, after.log.state, kind, lotNow));
  });
  const { name } = snapshot.input.recipe;
  const taken = { orderId: order.id, batchId: batch.row.id, dish: name, holds: [...new Set(held)] };
  return { taken, isNew };
}

function standing({ logs }: CommandContext, batchId: string): StandingBatch | null {
  const batch = logs.of(batchId);
  return isAside(batch) ? null : batch;
}

/** The open pot of a dish, by its id or its name, whose service is nearest to now; what was drawn off it is not meant. */
function batchFor(context: CommandContext, dish: string): StandingBatch | null {
  const nowMs = context.clock.nowMs();
  const wanted = dish.trim().toLowerCase();
  const found = openBatchIds(context.storage.db).flatMap((id) => {
    const batch = standing(context, id);
    if (!batch || batch.row.snapshot.origin || batch.row.snapshot.input.recipe.base) return [];
    const { id: recipeId, name } = batch.row.snapshot.input.recipe;
    return recipeId.toLowerCase() === wanted || name.toLowerCase() === wanted ? [batch] : [];
  });
  const off = (batch: StandingBatch) => Math.abs(batch.row.snapshot.plan.serviceAtMs - nowMs);
  return found.sort((a, b) => off(a) - off(b))[0] ?? null;
}

/** Every order that waits at any pot, the oldest first. */
export function openOrders(context: CommandContext): GuestOrderOpen[] {
  const nowMs = context.clock.nowMs();
  return openBatchIds(context.storage.db)
    .flatMap((id) => {
      const batch = standing(context, id);
      if (!batch || batch.log.state.service.asked.length === 0) return [];
      const { snapshot } = batch.row;
      const kinds = kindsOf(snapshot.input);
      return passBoard(snapshot, batch.log.state, nowMs, {
        servedElsewhere: servedByParts(context, batch),
      }).orders.map(
        (order): GuestOrderOpen => ({
          orderId: order.orderId,
          batchId: id,
          dish: snapshot.input.recipe.name,
          items: order.open.map(({ kindId, count }) => {
            const kind = kinds.find((one) => one.id === kindId)!;
            return { portion: kind.word, ml: kind.ml, count };
          }),
          freeOf: order.freeOf ?? [],
          words: order.words ?? null,
          atMs: order.atMs,
        }),
      );
    })
    .sort((a, b) => a.atMs - b.atMs);
}

/** Portions of a batch's orders that pots drawn off it have served, closed ones too. */
function servedByParts({ logs }: CommandContext, batch: StandingBatch): Map<string, number> {
  return new Map(
    batch.log.state.parts.flatMap(({ childId }) => [...servedOfOrders(logs.of(childId).events)]),
  );
}
