import type { QueryClient } from '@tanstack/react-query';
import { type BatchView, type FoodsView, fieldErrors, type KitchenView } from '../../contract';
import type { FoldedLog } from '../../core/batch';
import { type LarderEventBody, receivedFoodOf } from '../../core/larder';
import type { Recipe } from '../../core/recipe';
import {
  type BatchCommand,
  type Decision,
  decideBatch,
  decideLarder,
  type KitchenFacts,
  type SaidAt,
} from '../../core/rules';
import type { LotView } from '../../core/views';
import { kitchenAt } from './clock';
import { type Decider, LARDER, type Waiting } from './outbox';
import { KEYS } from './queries';
import { logHere } from './use-pot';

/**
 * Asks the rules what the server will ask them, with what this browser knows: also without a line. What is not known
 * here is not held against anybody; the server decides.
 */
export function decideHere(client: QueryClient): Decider {
  return (batchId, bodies, waiting) => {
    const kitchen = client.getQueryData<KitchenView>(KEYS.kitchen);
    if (!kitchen) return null;
    const decision =
      batchId === LARDER
        ? ofLarder(client, kitchen, bodies as readonly LarderEventBody[])
        : ofBatch(client, kitchen, batchId, bodies as readonly BatchCommand[], waiting);
    return decision && !decision.ok ? fieldErrors(decision.refusals, kitchen) : null;
  };
}

function ofBatch(
  client: QueryClient,
  kitchen: KitchenView,
  batchId: string,
  commands: readonly BatchCommand[],
  waiting: readonly Waiting[],
): Decision<object> | null {
  const batch =
    client.getQueryData<BatchView>(KEYS.batch(batchId)) ??
    client.getQueryData<BatchView[]>(KEYS.open)?.find((one) => one.id === batchId);
  if (!batch || batch.broken) return null;
  const around = kitchenAround(client, kitchen, batchId);
  let log: FoldedLog;
  try {
    log = logHere(batch, waiting, kitchen);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
  let at = saidNow(kitchen, log);
  for (const [i, command] of commands.entries()) {
    const facts = { snapshot: batch.snapshot, log, startedAtMs: batch.createdAtMs };
    const decision = decideBatch(facts, around, { id: `here ${i}`, command }, at);
    if (!decision.ok) return decision;
    log = decision.log;
    at = { ...at, seq: at.seq + 1 };
  }
  return null;
}

/** Just now, after everything that is in the log. */
function saidNow(kitchen: KitchenView, log: Pick<FoldedLog, 'events'>): SaidAt {
  const lastMs = log.events.reduce((last, event) => Math.max(last, event.actedAtMs), 0);
  const seq = log.events.reduce((last, event) => Math.max(last, event.seq), 0) + 1;
  const nowMs = Math.max(Math.round(kitchenAt(kitchen.clock, Date.now())), lastMs);
  return { seq, nowMs, actedAtMs: nowMs, isConfirmed: false, isAhead: false };
}

function kitchenAround(client: QueryClient, kitchen: KitchenView, batchId: string): KitchenFacts {
  const others = (client.getQueryData<BatchView[]>(KEYS.open) ?? []).filter((one) => one.id !== batchId);
  const name = (batch: BatchView) => batch.snapshot.input.recipe.name;
  return {
    pots: kitchen.pots,
    burners: kitchen.burners,
    learned: [],
    busyPots: new Map(others.map((one) => [one.potId, name(one)])),
    busyBurners: new Map(others.map((one) => [one.burnerId, name(one)])),
    lot: lotsHere(client),
  };
}

/** A lot on the shelf; one that is not may be finished, or new: not known here. */
function lotsHere(client: QueryClient): (id: string) => LotView | undefined {
  const shelf = client.getQueryData<LotView[]>(KEYS.shelf) ?? [];
  return (id) => shelf.find((lot) => lot.id === id);
}

function ofLarder(
  client: QueryClient,
  kitchen: KitchenView,
  bodies: readonly LarderEventBody[],
): Decision<object> | null {
  const foods = client.getQueryData<FoodsView>(KEYS.foods);
  const book = client.getQueryData<Recipe[]>(KEYS.recipes);
  const facts = {
    lot: lotsHere(client),
    hasEvent: () => undefined,
    food: (id: string) => (foods && book ? receivedFoodOf(id, foods, book) : undefined),
    tagDays: kitchen.limits.shellfishTagDays,
  };
  // the first alone: those after it see what it left
  const [first] = bodies;
  return first ? decideLarder(facts, first, saidNow(kitchen, { events: [] })) : null;
}
