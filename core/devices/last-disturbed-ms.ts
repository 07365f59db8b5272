import type { BatchEvent, BatchEventType } from '../batch';
import { activeEvents } from '../log';

/** What makes a pot another one than it was: what a device said before says nothing of it after. */
const DISTURBS: ReadonlySet<BatchEventType> = new Set([
  'added',
  'lifted',
  'returned',
  'pouredOff',
  'slip',
  'moved',
  'portioned',
  'stored',
  'heatSet',
  'lidSet',
]);

/**
 * When a pot was last disturbed: something went in or came out, or its heat, its lid or its place was changed. A line
 * through what a probe showed before and after a cold load is at neither.
 *
 * @param log of one batch, any order
 * @returns ms; null while nothing has gone in: an empty pot is not read
 */
export function lastDisturbedMs(log: readonly BatchEvent[]): number | null {
  const active = activeEvents(log);
  if (!active.some((event) => event.type === 'added')) return null;
  return active.reduce(
    (last, event) => (DISTURBS.has(event.type) ? Math.max(last, event.actedAtMs) : last),
    Number.NEGATIVE_INFINITY,
  );
}
