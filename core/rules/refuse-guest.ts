import {
  type AskedOrder,
  type BatchEventBody,
  type BatchSnapshot,
  type BatchState,
  holdsInPot,
} from '../batch';
import { type Allergen, type Holds, holdsOf } from '../matter';
import { garnishTimes, kindOf, type PortionKind } from '../portions';
import type { Refusal } from './refusal';

/**
 * A portion that its guest may not eat is served by nobody, with whatever reason: what is in the pot now, and the garnish
 * that goes on it. What is still to go in does not count against a bowl ladled before.
 */
export function refuseGuest(
  kitchen: {
    lot: (id: string) => { contents: Holds } | null | undefined;
    asked?: (orderId: string) => Pick<AskedOrder, 'freeOf'> | null | undefined;
  },
  snapshot: BatchSnapshot,
  state: BatchState,
  body: BatchEventBody,
): Refusal | null {
  if (body.type !== 'portioned' || body.payload.fate !== 'served' || state.closed) return null;
  const { kindId, orderId } = body.payload;
  const order =
    orderId === undefined
      ? undefined
      : (state.service.asked.find((one) => one.orderId === orderId) ?? kitchen.asked?.(orderId));
  if (order === null && orderId !== undefined)
    return { field: 'payload.orderId', code: 'unknownOrder', orderId };
  const kind = kindOf(snapshot.input, kindId);
  const freeOf = [...(kind.freeOf ?? []), ...(order?.freeOf ?? [])];
  const allergens = notForGuest(
    freeOf,
    portionHolds(snapshot, state, kind, (id) => kitchen.lot(id)?.contents),
  );
  if (allergens.length === 0) return null;
  return {
    field: 'payload',
    code: 'guestCannotEat',
    allergens,
    in: broughtBy(snapshot, state, kind, allergens),
  };
}

/** What a portion of a kind holds just now: the pot, by what is known of its lots today, and its garnish. */
export function portionHolds(
  snapshot: BatchSnapshot,
  state: Pick<BatchState, 'wentIn'>,
  kind: PortionKind,
  lotNow: (lotId: string) => Holds | undefined = () => undefined,
): Holds {
  const lots = state.wentIn.flatMap(({ lotId, kg }) => {
    const now = lotId !== null && kg > 0 ? lotNow(lotId) : undefined;
    return now ? [now] : [];
  });
  return holdsOf([holdsInPot(snapshot, state), ...lots, ...garnishOf(snapshot, kind).map((one) => one.row)]);
}

/** Which of what a guest may not eat is in a portion. */
export function notForGuest(freeOf: readonly Allergen[], holds: Pick<Holds, 'allergens'>): Allergen[] {
  return [...new Set(freeOf)].filter((one) => holds.allergens.includes(one));
}

function garnishOf({ input }: BatchSnapshot, kind: PortionKind) {
  return input.recipe.lines.flatMap((line) => {
    const row = input.ingredients[line.ingredientId];
    return row && line.scaling === 'perBowl' && garnishTimes(kind, line.id) > 0 ? [{ line, row }] : [];
  });
}

/** The foods that bring it, by name, each once. */
function broughtBy(
  snapshot: BatchSnapshot,
  state: Pick<BatchState, 'wentIn'>,
  kind: PortionKind,
  allergens: readonly Allergen[],
): string[] {
  const brings = (holds: Pick<Holds, 'allergens'>) => holds.allergens.some((one) => allergens.includes(one));
  const inPot = state.wentIn.flatMap((one) =>
    one.kg > 0
      ? [
          {
            name: one.drawn?.contents.name ?? nameOfFood(snapshot, one),
            holds: holdsInPot(snapshot, { wentIn: [one] }),
          },
        ]
      : [],
  );
  const garnish = garnishOf(snapshot, kind).map(({ row }) => ({ name: row.name, holds: row }));
  return [...new Set([...inPot, ...garnish].filter((one) => brings(one.holds)).map((one) => one.name))];
}

function nameOfFood({ input }: BatchSnapshot, one: BatchState['wentIn'][number]): string {
  return input.ingredients[one.ingredientId]?.name ?? one.row?.name ?? one.ingredientId;
}
