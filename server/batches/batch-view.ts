import type { BatchView } from '../../contract';
import { ProblemError } from '../problem';
import { type AsideBatch, isAside, type StandingBatch } from './batch-logs';

/** A batch with its log, as a browser folds it; null for one of which nothing can be read. */
export function batchViewOrNull(batch: StandingBatch | AsideBatch): BatchView | null {
  const { row, events } = batch;
  if (!row) return null;
  const { id, recipeId, potId, burnerId, createdAtMs, snapshot, closedAtMs, result } = row;
  const broken = isAside(batch) ? batch.broken : null;
  const of = { id, recipeId, potId, burnerId, createdAtMs, snapshot, closedAtMs, result };
  return { ...of, events: [...events], broken };
}

/** @throws ProblemError 409 for one of which nothing can be read */
export function batchView(batch: StandingBatch | AsideBatch): BatchView {
  const view = batchViewOrNull(batch);
  if (view) return view;
  const sentence = 'This batch was written by a newer Slow Pot: open the kitchen with that one.';
  throw new ProblemError(409, 'It cannot be read here', [{ field: 'id', sentence }]);
}
