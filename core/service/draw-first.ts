import type { BatchSnapshot, BatchState } from '../batch';
import { kindsNow } from '../batch';
import type { PortionKind } from '../portions';
import { notForGuest, portionHolds } from '../rules';
import { type FreeWay, freeWay } from './free-of';

/** Portions that have to be drawn off before a stage brings in what their guests may not eat. */
export interface DrawFirst {
  kind: PortionKind;
  way: Extract<FreeWay, { way: 'drawEarly' }>;
}

/**
 * What is still to be drawn off for guests who may not eat all of it: covers that no part has taken over, while the pot
 * holds nothing of what they may not eat and has soup in it.
 */
export function drawFirst(snapshot: BatchSnapshot, state: BatchState): DrawFirst[] {
  const { input, plan } = snapshot;
  if (state.closed || state.wentIn.length === 0) return [];
  return kindsNow(input, state.service).flatMap((kind): DrawFirst[] => {
    if (!kind.freeOf?.length || kind.count <= 0) return [];
    const way = freeWay(input, plan, kind);
    if (way.way !== 'drawEarly') return [];
    const bare = { ...kind, garnish: Object.fromEntries(input.recipe.lines.map((line) => [line.id, 0])) };
    const isStillFree = notForGuest(kind.freeOf, portionHolds(snapshot, state, bare)).length === 0;
    const isYetToCome = state.stages.find((one) => one.stageId === way.stageId)?.begunMs == null;
    return isStillFree && isYetToCome ? [{ kind, way }] : [];
  });
}
