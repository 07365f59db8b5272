import type { Envelope } from '../contract';
import type { SaidAt } from '../core/rules';
import type { KitchenClock } from './clock/kitchen-clock';

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
