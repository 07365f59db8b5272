import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { copyBatch } from './copy-batch';

/** What the fold knows beside the state: the snapshot, and which surprising readings the cook stands by. */
export interface FoldContext {
  snapshot: BatchSnapshot;
  answers: ReadonlyMap<string, boolean>;
  /** portions of an entry that never left after all */
  takenBack: ReadonlyMap<string, number>;
  /** a state that an act may write on: a copy, or the state itself where nobody else holds those in between */
  own: (state: BatchState) => BatchState;
  /** puts one more on a list of such a state: on a new list, or in place */
  append: <T>(list: readonly T[], one: T) => T[];
}

const onACopy = <T>(list: readonly T[], one: T): T[] => [...list, one];
const inPlace = <T>(list: readonly T[], one: T): T[] => {
  (list as T[]).push(one);
  return list as T[];
};
const itself = (state: BatchState): BatchState => state;

/**
 * The part of a fold that does not change from event to event.
 *
 * @param isAlone true when the fold keeps none of the states it passes through, and may write on them
 */
export function foldContext(
  snapshot: BatchSnapshot,
  active: readonly BatchEvent[],
  isAlone = false,
): FoldContext {
  const answers = new Map<string, boolean>();
  const takenBack = new Map<string, number>();
  for (const event of active) {
    if (event.type === 'answered') answers.set(event.payload.eventId, event.payload.believed);
    if (event.type === 'takenBack') {
      const { eventId, portions } = event.payload;
      takenBack.set(eventId, (takenBack.get(eventId) ?? 0) + portions);
    }
  }
  const ways = isAlone ? { own: itself, append: inPlace } : { own: copyBatch, append: onACopy };
  return { snapshot, answers, takenBack, ...ways };
}

/** An event of one type. */
export type EventOf<T extends BatchEvent['type']> = Extract<BatchEvent, { type: T }>;
