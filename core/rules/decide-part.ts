import { type BatchSnapshot, FINISH_FOODS, type FinishId, finishOf, foldedAt, partOfBatch } from '../batch';
import { burnerFor, type KitchenBurner, potFor } from '../order';
import type { Pot } from '../plan';
import { kindsOf, type PortionKind } from '../portions';
import { litresAtDepth } from '../vessel';
import { type BatchDecision, type BatchFacts, decideBatch } from './decide-batch';
import { type Decision, refused } from './decision';
import type { KitchenFacts } from './kitchen-facts';
import type { SaidAt } from './times';

/** A part of a pot that is to be a batch of its own. */
export interface PartRequest {
  childId: string;
  litres: number;
  name: string;
  potId: string;
  burnerId: string;
  kinds: readonly PortionKind[];
  leaveOut: readonly string[];
  serviceAtMs?: number | undefined;
  finish?:
    | {
        finishId: FinishId;
        ingredientId?: string | undefined;
        gEach?: number | undefined;
        thicknessCm?: number | undefined;
      }
    | undefined;
}

export interface PartDecision {
  parent: BatchDecision;
  snapshot: BatchSnapshot;
}

/**
 * Whether some of a pot may go on in another, and what the batch is that it becomes there.
 *
 * @param parentId whose log takes the draw in
 * @param eventId the entry's own
 */
export function decidePart(
  parentId: string,
  parent: BatchFacts,
  kitchen: KitchenFacts,
  request: PartRequest,
  eventId: string,
  at: SaidAt,
): Decision<PartDecision> {
  const { childId, litres, name, potId, burnerId } = request;
  const pot = kitchen.pots.find((one) => one.id === potId);
  if (!pot) return refused({ field: 'potId', code: 'unknownPot', potId });
  const burner = kitchen.burners.find((one) => one.id === burnerId);
  if (!burner) return refused({ field: 'burnerId', code: 'unknownBurner', burnerId });
  const place = refusePlaceOfPart(parent, kitchen, pot, burner, litres);
  if (place) return place;
  const food = foodOf(request, kitchen);
  if (food === undefined)
    return refused({
      field: 'finish.ingredientId',
      code: 'unknownFood',
      ingredientId: request.finish?.ingredientId ?? '',
    });
  const known = kindsOf(parent.snapshot.input);
  const kinds = request.kinds.flatMap(({ id: kindId, count }) =>
    known.some((one) => one.id === kindId) ? [{ kindId, count }] : [],
  );
  const payload = { childId, litres, name, ...(kinds.length > 0 ? { kinds } : {}) };
  const command = { type: 'drawnOff' as const, payload };
  const decision = decideBatch(parent, kitchen, { id: eventId, command }, at);
  if (!decision.ok) return decision;
  const part = decision.log.state.parts.find((one) => one.eventId === eventId);
  const before = foldedAt(parent.snapshot, parent.log, at.actedAtMs);
  if (!part || part.kg <= 0) return refused({ field: 'litres', code: 'nothingToDraw' });
  const portions = request.kinds.reduce((sum, one) => sum + one.count, 0);
  const { input } = parent.snapshot;
  const finish = request.finish && {
    ...finishOf({
      finishId: request.finish.finishId,
      thicknessCm: request.finish.thicknessCm,
      portions,
      food: food ?? undefined,
    }),
  };
  const snapshot = partOfBatch(parentId, { snapshot: parent.snapshot, state: before }, part, {
    name,
    kinds: request.kinds.length > 0 ? request.kinds : [restOf(kindsOf(input)[0]!, part.litres)],
    pot: potFor(kitchen, pot, input.recipe.id),
    burner: burnerFor(kitchen, burner, pot.id),
    serviceAtMs: request.serviceAtMs ?? parent.snapshot.plan.serviceAtMs,
    leaveOut: request.leaveOut,
    ...(finish ? { finish } : {}),
  });
  return { ok: true, parent: decision, snapshot };
}

/** All of a part in portions of a kind. */
function restOf(kind: PortionKind, litres: number): PortionKind {
  const count = Math.max(1, Math.floor((1000 * litres) / kind.ml));
  const { laterMs: _later, ...plain } = kind;
  return { ...plain, count };
}

/** What is cooked in it; null for nothing, undefined where it is not known. */
function foodOf({ finish }: PartRequest, { food }: KitchenFacts) {
  const wanted = finish && FINISH_FOODS[finish.finishId];
  if (!finish || !wanted || !finish.ingredientId) return null;
  const row = food(finish.ingredientId);
  return row ? { row, gEach: finish.gEach ?? wanted.gEach } : undefined;
}

function refusePlaceOfPart(
  { log, snapshot }: BatchFacts,
  kitchen: KitchenFacts,
  pot: Pot,
  burner: KitchenBurner,
  litres: number,
): Decision<never> | null {
  const { inPot, onBurner } = log.state;
  if (!burner.potIds.includes(pot.id))
    return refused({ field: 'burnerId', code: 'potNotOnBurner', potName: pot.name, burnerName: burner.name });
  const { name } = snapshot.input.recipe;
  const byPot = pot.id === inPot.id ? name : kitchen.busyPots.get(pot.id);
  if (byPot !== undefined) return refused({ field: 'potId', code: 'potBusy', potName: pot.name, by: byPot });
  const byBurner = burner.id === onBurner.id ? name : kitchen.busyBurners.get(burner.id);
  if (byBurner !== undefined)
    return refused({ field: 'burnerId', code: 'burnerBusy', burnerName: burner.name, by: byBurner });
  const brimLitres = litresAtDepth(pot.vessel, pot.vessel.heightCm);
  return litres > brimLitres
    ? refused({ field: 'litres', code: 'doesNotHold', litres, brimLitres, potName: pot.name })
    : null;
}
