import { useSyncExternalStore } from 'react';
import { v7 as uuid } from 'uuid';
import {
  batchEventBodySchema,
  check,
  type FieldError,
  type LoggedEvent,
  larderEventBodySchema,
} from '../../contract';
import type { BatchEventBody } from '../../core/batch';
import type { LarderEventBody } from '../../core/larder';
import { ApiError, ask } from './api';

/** An event on its way to the server. It stays here, through reloads, until the server has answered for it. */
export interface Waiting {
  id: string;
  /** the batch it was said of, or `LARDER` */
  batchId: string;
  body: BatchEventBody | LarderEventBody;
  /** when it happened, by this browser's clock */
  actedBrowserMs: number;
  /** what was said in one go shares this */
  group: number;
  /** the server's no, shown in the tray; it does not hold up the others */
  refused: FieldError[] | null;
}

export type SubmitResult = { kind: 'kept' } | { kind: 'waiting' } | { kind: 'refused'; errors: FieldError[] };

/** Stands for the larder where a batch is named. */
export const LARDER = 'larder';

const STORE = 'slow-pot-outbox';
const RETRY_MS = 1500;

let waiting: readonly Waiting[] = read();
let sending: Promise<void> | null = null;
let retry: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const keptListeners = new Set<(batchId: string, event: LoggedEvent) => void>();

/**
 * Says what a cook did in one go. It is in the pot at once; the answer tells whether the server has it, will get it,
 * or will not. When one is refused, those said with it and after it are taken back too.
 */
export async function submitEvents(
  batchId: string,
  bodies: readonly BatchEventBody[] | readonly LarderEventBody[],
): Promise<SubmitResult> {
  const schema = batchId === LARDER ? larderEventBodySchema : batchEventBodySchema;
  for (const body of bodies) {
    const form = check<unknown>(schema, body);
    if (!form.ok) return { kind: 'refused', errors: form.errors };
  }
  const actedBrowserMs = Date.now();
  const items = bodies.map((body, i) => ({
    id: uuid(),
    batchId,
    body,
    actedBrowserMs: actedBrowserMs + i,
    group: actedBrowserMs,
    refused: null,
  }));
  set([...waiting, ...items]);
  await flush();
  const left = waiting.filter((one) => items.some((item) => item.id === one.id));
  const refused = left.find((one) => one.refused)?.refused;
  if (refused) {
    set(waiting.filter((one) => !left.includes(one)));
    return { kind: 'refused', errors: refused };
  }
  return { kind: left.length > 0 ? 'waiting' : 'kept' };
}

/** Takes a refused event out of the tray. */
export function dismiss(id: string): void {
  set(waiting.filter((one) => one.id !== id));
}

/** Sends what waits, oldest first; stops at the first that cannot reach the server and tries again soon. */
export function flush(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

export function onKept(listener: (batchId: string, event: LoggedEvent) => void): () => void {
  keptListeners.add(listener);
  return () => keptListeners.delete(listener);
}

export function useWaiting(): readonly Waiting[] {
  return useSyncExternalStore(subscribe, () => waiting);
}

async function sendAll(): Promise<void> {
  clearTimeout(retry);
  for (;;) {
    const next = waiting.find((one) => !one.refused);
    if (!next) return;
    try {
      const path = next.batchId === LARDER ? '/larder/events' : `/batches/${next.batchId}/events`;
      const event = await ask<LoggedEvent>('POST', path, {
        id: next.id,
        ageMs: Math.max(0, Date.now() - next.actedBrowserMs),
        device: deviceName(),
        ...next.body,
      });
      for (const listener of keptListeners) listener(next.batchId, event);
      set(waiting.filter((one) => one.id !== next.id));
    } catch (error) {
      if (error instanceof ApiError && !error.isOffline) {
        const refused = error.errors.length > 0 ? error.errors : [{ field: '', sentence: error.message }];
        const isAfter = (one: Waiting) => one.group === next.group && one.id !== next.id;
        set(
          waiting
            .filter((one) => !isAfter(one))
            .map((one) => (one.id === next.id ? { ...one, refused } : one)),
        );
        continue;
      }
      retry = setTimeout(flush, RETRY_MS);
      return;
    }
  }
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function set(next: readonly Waiting[]): void {
  waiting = next;
  localStorage.setItem(STORE, JSON.stringify(next));
  for (const listener of listeners) listener();
}

function read(): readonly Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(STORE) ?? '[]') as Waiting[];
  } catch {
    return [];
  }
}

function deviceName(): string {
  const known = localStorage.getItem('slow-pot-device');
  if (known) return known;
  const name = uuid();
  localStorage.setItem('slow-pot-device', name);
  return name;
}
