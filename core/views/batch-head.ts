import type { BatchResult, BatchSnapshot, Outcome, YieldReason } from '../batch';
import { guestPortions } from '../portions';

/** A batch in a list, without its log: what it is, where it stands, what it came to. */
export interface BatchHead {
  id: string;
  recipeId: string;
  name: string;
  potId: string;
  potName: string;
  burnerId: string;
  burnerName: string;
  createdAtMs: number;
  serviceAtMs: number;
  portions: number;
  closedAtMs: number | null;
  /** null while it is open */
  outcome: BatchOutcome | null;
}

/** What a closed batch came to, in so many words as a list has room for. */
export interface BatchOutcome {
  predicted: Outcome;
  actual: Outcome;
  served: number;
  discarded: number;
  leftLitres: number;
  leftPortions: number;
  storedLitres: number;
  reasons: readonly YieldReason[];
}

/** A batch as a list shows it. */
export function batchHead(
  batch: Pick<BatchHead, 'id' | 'recipeId' | 'potId' | 'burnerId' | 'createdAtMs' | 'closedAtMs'>,
  snapshot: BatchSnapshot,
  names: { potName: string; burnerName: string },
  result: BatchResult | null,
): BatchHead {
  return {
    ...batch,
    ...names,
    name: snapshot.input.recipe.name,
    serviceAtMs: snapshot.plan.serviceAtMs,
    portions: Math.round(guestPortions(snapshot.input)),
    outcome: result && outcomeOf(result),
  };
}

function outcomeOf(result: BatchResult): BatchOutcome {
  const {
    predicted,
    actual,
    served,
    discarded,
    leftLitres,
    leftPortions,
    storedLitres = 0,
    reasons,
  } = result;
  return { predicted, actual, served, discarded, leftLitres, leftPortions, storedLitres, reasons };
}
