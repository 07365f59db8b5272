import type { BatchEvent, BatchSnapshot } from './batch-event';

/** What the fold knows beside the state: the snapshot, and which surprising readings the cook stands by. */
export interface FoldContext {
  snapshot: BatchSnapshot;
  answers: ReadonlyMap<string, boolean>;
  /** puts one more on a list: on a new one, or in place where nobody else holds the states in between */
  append: <T>(list: readonly T[], one: T) => T[];
}

const onACopy = <T>(list: readonly T[], one: T): T[] => [...list, one];
const inPlace = <T>(list: readonly T[], one: T): T[] => {
  (list as T[]).push(one);
  return list as T[];
};

/**
 * The part of a fold that does not change from event to event.
 *
 * @param isAlone true when the fold keeps none of the states it passes through, and may grow their lists in place
 */
export function foldContext(
  snapshot: BatchSnapshot,
  active: readonly BatchEvent[],
  isAlone = false,
): FoldContext {
  const answers = new Map<string, boolean>();
  for (const event of active) {
    if (event.type === 'answered') answers.set(event.payload.eventId, event.payload.believed);
  }
  return { snapshot, answers, append: isAlone ? inPlace : onACopy };
}

/** An event of one type. */
export type EventOf<T extends BatchEvent['type']> = Extract<BatchEvent, { type: T }>;
