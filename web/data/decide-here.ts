import type { QueryClient } from '@tanstack/react-query';
import {
  type BatchView,
  type FoodsView,
  fieldErrors,
  type KitchenView,
  type LotDetail,
} from '../../contract';
import type { FoldedLog } from '../../core/batch';
import { libraryOf, rowsOf } from '../../core/book';
import { type LarderEventBody, receivedFoodOf } from '../../core/larder';
import type { Ingredient } from '../../core/matter';
import { NOTHING_KNOWN } from '../../core/order';
import { own } from '../../core/own';
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
import { logHere, lookUpIn } from './use-pot';

/**
 * Asks the rules what the server will ask them, with what this browser knows: also without a line. What is not known
 * here is not held against anybody; the server decides.
 */
export function decideHere(client: QueryClient): Decider {
  lookUpIn({ lot: lotsHere(client, []), food: (id) => foodHere(client)(id) });
  return (batchId, bodies, waiting) => {
    const kitchen = client.getQueryData<KitchenView>(KEYS.kitchen);
    if (!kitchen) return null;
    const decision =
      batchId === LARDER
        ? ofLarder(client, kitchen, bodies as readonly LarderEventBody[], waiting)
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
  const around = kitchenAround(client, kitchen, batchId, waiting);
  let log: FoldedLog;
  try {
    log = logHere(batch, waiting, kitchen);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
  let at = saidNow(kitchen, log);
  for (const [i, command] of commands.entries()) {
    if (isUnknownHere(command, batch, around)) return null;
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

function kitchenAround(
  client: QueryClient,
  kitchen: KitchenView,
  batchId: string,
  waiting: readonly Waiting[],
): KitchenFacts {
  const others = (fresh<BatchView[]>(client, KEYS.open) ?? []).filter((one) => one.id !== batchId);
  const name = (batch: BatchView) => batch.snapshot.input.recipe.name;
  return {
    pots: kitchen.pots,
    burners: kitchen.burners,
    learned: NOTHING_KNOWN,
    equipment: kitchen.equipment,
    people: kitchen.people.map((one) => one.name),
    busyPots: new Map(others.map((one) => [one.potId, name(one)])),
    busyBurners: new Map(others.map((one) => [one.burnerId, name(one)])),
    lot: lotsHere(client, waiting),
    usesOf: () => undefined,
    food: foodHere(client),
  };
}

/** The row of a food or recipe of the house, as far as it is known here. */
function foodHere(client: QueryClient): (id: string) => Ingredient | null | undefined {
  const foods = fresh<FoodsView>(client, KEYS.foods);
  const book = fresh<Recipe[]>(client, KEYS.recipes);
  if (!foods || !book) return () => undefined;
  return (id) => own(rowsOf(libraryOf(foods, book)), id) ?? null;
}

/** It names a food that the batch did not start with, and what that is cannot be said here. */
function isUnknownHere(command: BatchCommand, batch: BatchView, { food }: KitchenFacts): boolean {
  const items =
    command.type === 'added'
      ? command.payload.items
      : command.type === 'slip' && 'ingredientId' in command.payload
        ? [command.payload]
        : [];
  return items.some(
    ({ ingredientId: id }) => !own(batch.snapshot.input.ingredients, id) && food(id) === undefined,
  );
}

/**
 * A lot as it is known here, by its own page or the shelf. One of which there is news that was not fetched yet, or that
 * waits to be sent, is not known; nor is one that is not on the shelf: it may be finished, or new.
 */
function lotsHere(client: QueryClient, waiting: readonly Waiting[]): (id: string) => LotView | undefined {
  if (waiting.some((item) => item.batchId === LARDER)) return () => undefined;
  return (id) =>
    fresh<LotDetail>(client, KEYS.lot(id))?.lot ??
    (fresh<LotView[]>(client, KEYS.shelf) ?? fresh<LotView[]>(client, KEYS.coolings))?.find(
      (lot) => lot.id === id,
    );
}

/** What was fetched, as long as nothing newer is known to be there. */
function fresh<T>(client: QueryClient, queryKey: readonly unknown[]): T | undefined {
  const state = client.getQueryState<T>(queryKey);
  return state && !state.isInvalidated ? state.data : undefined;
}

function ofLarder(
  client: QueryClient,
  kitchen: KitchenView,
  bodies: readonly LarderEventBody[],
  waiting: readonly Waiting[],
): Decision<object> | null {
  const foods = fresh<FoodsView>(client, KEYS.foods);
  const book = fresh<Recipe[]>(client, KEYS.recipes);
  const facts = {
    lot: lotsHere(client, waiting),
    hasEvent: () => undefined,
    lotsGoneWith: () => undefined,
    broughtBack: () => undefined,
    usesOf: () => undefined,
    food: (id: string) => (foods && book ? receivedFoodOf(id, foods, book) : undefined),
    tagDays: kitchen.limits.shellfishTagDays,
    reheatC: kitchen.limits.reheatC,
    people: kitchen.people.map(({ name }) => name),
  };
  // the first alone: those after it see what it left
  const [first] = bodies;
  return first ? decideLarder(facts, first, saidNow(kitchen, { events: [] })) : null;
}
