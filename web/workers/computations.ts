import { coolingPlaces, type PlanRequest, type WholeKitchen, zonedTimeMs } from '../../contract';
import { type BatchSnapshot, type BatchState, type FreeRange, type Lever, levers } from '../../core/batch';
import { libraryOf } from '../../core/book';
import { layLots, type ShelfLot } from '../../core/larder';
import {
  type AmountAnswer,
  answerAmount,
  type BasesAhead,
  type BasesAsked,
  basesAhead,
  freePots,
  type OrderAmount,
  type PotChoice,
  planInputOf,
  potChoices,
  type ScalingNote,
  type Split,
  type StillInTime,
  scalingNotes,
  splitOrder,
  stillInTime,
} from '../../core/order';
import { type PlanInput, planBatch } from '../../core/plan';
import type { Recipe } from '../../core/recipe';
import {
  comparePlans,
  type PlanChange,
  type Substitution,
  type SubstitutionNote,
  type Suggestion,
  substitute,
  suggestSubstitutions,
} from '../../core/substitute';

/** An order with all it is planned from: what every computation starts with. */
export interface OrderAsked {
  request: PlanRequest;
  kitchen: WholeKitchen;
  recipe: Recipe;
  book: readonly Recipe[];
  /** the shelf, for what an order would draw */
  lots: readonly ShelfLot[];
  /** the minute it is asked in */
  nowMs: number;
  /** pots and burners with something on them */
  busy: { potIds: readonly string[]; burnerIds: readonly string[] };
}

/** A substitution with what it would lead to; null where it cannot be planned. */
export interface WeighedSwap extends Suggestion {
  /** a cook's own, not one that was offered */
  isOwn: boolean;
  notes: readonly SubstitutionNote[];
  effect: PlanChange | null;
}

/** What takes longer than a frame, by name. Each is pure: the worker only carries it. */
export interface Computations {
  choices: { asked: OrderAsked; answer: PotChoice[] };
  ways: { asked: OrderAsked; answer: Split[] };
  notes: { asked: OrderAsked; answer: ScalingNote[] };
  inTime: { asked: OrderAsked; answer: StillInTime | null };
  amount: { asked: OrderAsked & { amount: OrderAmount }; answer: AmountAnswer };
  bases: {
    asked: Omit<BasesAsked, 'dayBeforeMs' | 'kitchen' | 'cooling'> & { kitchen: WholeKitchen };
    answer: BasesAhead;
  };
  levers: { asked: { snapshot: BatchSnapshot; state: BatchState; free: FreeRange }; answer: Lever[] };
  swaps: { asked: OrderAsked & { more?: readonly Substitution[] }; answer: WeighedSwap[] };
}
export type ComputationName = keyof Computations;
/** Those that start from an order or the days ahead, and follow it as it changes. */
export type OrderComputation = Exclude<ComputationName, 'levers'>;

export const COMPUTATIONS: {
  [Name in ComputationName]: (asked: Computations[Name]['asked']) => Computations[Name]['answer'];
} = {
  choices: potChoices,
  ways: (asked) => {
    const input = inputFor(asked);
    return input ? splitOrder(input, freePots(asked), asked.nowMs) : [];
  },
  notes: (asked) => {
    const input = inputFor(asked);
    return input ? scalingNotes(input, planBatch(input)) : [];
  },
  inTime: (asked) => {
    const input = inputFor(asked);
    return input ? stillInTime({ ...asked, input }) : null;
  },
  amount: (asked) => {
    const input = inputFor(asked);
    if (!input) throw new RangeError('This order cannot be planned as it stands');
    return answerAmount(asked.amount, input);
  },
  bases: (asked) =>
    basesAhead({
      ...asked,
      cooling: {
        places: coolingPlaces(asked.kitchen),
        emptyPans: asked.kitchen.equipment.coolingPans ?? null,
        limits: asked.kitchen.limits,
      },
      dayBeforeMs: (time, atMs) => zonedTimeMs(time, asked.kitchen.zone, atMs, -1),
    }),
  levers: ({ snapshot, state, free }) => levers(snapshot, state, free),
  swaps: (asked) => weighedSwaps(asked),
};

function inputFor(asked: OrderAsked, changes = asked.request.changes): PlanInput | null {
  const { changes: _changes, ...request } = asked.request;
  const whole = changes && changes.length > 0 ? { ...request, changes } : request;
  const input = planInputOf(whole, asked.kitchen, asked.recipe, asked.book);
  return Array.isArray(input) ? null : layLots(input, asked.lots, asked.request.lotIds);
}

function weighedSwaps(asked: OrderAsked & { more?: readonly Substitution[] }): WeighedSwap[] {
  const now = inputFor(asked);
  if (!now) return [];
  const before = { plan: planBatch(now), ingredients: now.ingredients };
  const done = asked.request.changes ?? [];
  const table = { ...libraryOf(asked.kitchen, asked.book).ingredients, ...now.ingredients };
  const offers = [
    ...(asked.more ?? []).map((change) => ({ change, isOwn: true })),
    ...suggestSubstitutions(now.recipe, table).map((offer) => ({ ...offer, isOwn: false })),
  ];
  return offers.map((offer) => {
    const effect = effectOf(asked, before, [...done, offer.change]);
    return { ...offer, effect, notes: effect ? substitute(now.recipe, offer.change, table).notes : [] };
  });
}

function effectOf(
  asked: OrderAsked,
  before: Parameters<typeof comparePlans>[0],
  changes: Substitution[],
): PlanChange | null {
  try {
    const input = inputFor(asked, changes);
    return input ? comparePlans(before, { plan: planBatch(input), ingredients: input.ingredients }) : null;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
