import { useSyncExternalStore } from 'react';
import { type ClockView, kitchenTimeMs } from '../../contract';
import { useKitchen } from './queries';

const TICK_MS = 1000;

/** One ticker for the whole page: every screen that shows time moves together. */
const listeners = new Set<() => void>();
let tick = Date.now();
let timer: ReturnType<typeof setInterval> | undefined;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  timer ??= setInterval(() => {
    tick = Date.now();
    for (const one of listeners) one();
  }, TICK_MS);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0) {
      clearInterval(timer);
      timer = undefined;
    }
  };
}

/** How far this browser's clock is behind the server's, ms; kept by the clock view it came with. */
const offsets = new WeakMap<ClockView, number>();

/** Kitchen time at a moment of this browser's clock. */
export function kitchenAt(clock: ClockView, browserMs: number): number {
  let offset = offsets.get(clock);
  if (offset === undefined) {
    offset = clock.serverNowMs - Date.now();
    offsets.set(clock, offset);
  }
  return kitchenTimeMs(clock, browserMs + offset);
}

/** Kitchen time now, to the second; moves by itself. 0 until the kitchen is known. */
export function useNowMs(): number {
  const browserMs = useSyncExternalStore(subscribe, () => tick);
  const { data: kitchen } = useKitchen();
  return kitchen ? kitchenAt(kitchen.clock, Math.max(browserMs, Date.now() - TICK_MS)) : 0;
}
