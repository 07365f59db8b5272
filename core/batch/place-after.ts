import type { PlannedBurner, Pot } from '../plan';
import type { BatchEvent, BatchSnapshot } from './batch-event';

/**
 * Where a batch stands after some entries: the pot and burner that the last of them put it in and on.
 *
 * @param events those that stand, in the order they happened
 */
export function placeAfter(
  events: readonly BatchEvent[],
  { input }: Pick<BatchSnapshot, 'input'>,
): { pot: Pot; burner: PlannedBurner } {
  for (const event of events.toReversed()) {
    if (event.type === 'moved') return event.payload;
    if (event.type === 'heldHot' && event.payload.holder) return event.payload.holder;
  }
  return input;
}
