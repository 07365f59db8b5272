import type { Envelope } from '../contract';
import type { SaidAt } from '../core/rules';
import type { KitchenClock } from './clock/kitchen-clock';

/** A line takes so much longer over one entry than over the next at the most, ms. */
const JITTER_MS = 2000;

/**
 * A device sends what it says in the order it was said: what the line delayed by a moment is not before what it said
 * before it, or two entries of one press would change places.
 *
 * @param last the entry that came before it, whoever said it
 */
export function inItsOrder<At extends { actedAtMs: number }>(
  at: At,
  device: string | null,
  last: { actedAtMs: number; device?: string | null } | undefined,
): At {
  const isOfIt = device !== null && last?.device === device;
  const earlyMs = isOfIt ? last.actedAtMs - at.actedAtMs : 0;
  return earlyMs > 0 && earlyMs < JITTER_MS ? { ...at, actedAtMs: last!.actedAtMs } : at;
}

/** When something is said to have happened, by the kitchen's clock: never in the time to come. */
export function saidAt(
  clock: KitchenClock,
  { ageMs, confirmed }: Envelope,
  seq: number,
): SaidAt & { clientAtMs: number } {
  const nowMs = clock.nowMs();
  return {
    seq,
    nowMs,
    actedAtMs: clock.agoMs(Math.max(0, ageMs)),
    clientAtMs: Math.round(nowMs - ageMs),
    isConfirmed: confirmed,
    isAhead: ageMs < 0,
  };
}
