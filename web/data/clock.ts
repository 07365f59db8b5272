import { replaceEqualDeep } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useSyncExternalStore } from 'react';
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

/** Kitchen time of the last tick; a page that has just come to life is not shown an old one. */
function tickedAt(clock: ClockView): number {
  return kitchenAt(clock, Math.max(tick, Date.now() - TICK_MS));
}

/**
 * Something read off the time: asked at every tick, and drawn anew only when the answer reads otherwise. Twenty pots
 * have few news in a second, and drawing is dearer than computing.
 *
 * @param read what is shown at a moment of kitchen time; the same function for as long as it is asked of the same things
 * @param share gives the answer before, or as much of it as still holds
 */
export function useTicking<T>(
  clock: ClockView,
  read: (nowMs: number) => T,
  share: (before: T, now: T) => T = replaceEqualDeep,
): T {
  const last = useRef<{ read: unknown; clock: unknown; tick: number; answer: T } | null>(null);
  const answer = (): T => {
    const before = last.current;
    if (before?.read === read && before.clock === clock && before.tick === tick) return before.answer;
    const now = read(tickedAt(clock));
    last.current = { read, clock, tick, answer: before ? share(before.answer, now) : now };
    return last.current.answer;
  };
  return useSyncExternalStore(subscribe, answer);
}

/** Does something at every tick, without drawing. */
export function useEachTick(clock: ClockView, act: (nowMs: number) => void): void {
  useEffect(() => {
    const run = () => act(tickedAt(clock));
    run();
    return subscribe(run);
  }, [clock, act]);
}

/** Kitchen time now, to the second; moves by itself. 0 until the kitchen is known. */
export function useNowMs(): number {
  return useTimeMs(1000);
}

/** Kitchen time at the last whole minute: for what need not be drawn each second. 0 until the kitchen is known. */
export function useMinuteMs(): number {
  return useTimeMs(60_000);
}

function useTimeMs(everyMs: number): number {
  const { data: kitchen } = useKitchen();
  const clock = kitchen?.clock;
  const read = useCallback(
    () => (clock ? Math.floor(tickedAt(clock) / everyMs) * everyMs : 0),
    [clock, everyMs],
  );
  return useSyncExternalStore(subscribe, read);
}
