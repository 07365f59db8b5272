import { useSyncExternalStore } from 'react';
import { v7 as uuid } from 'uuid';
import {
  batchCommandSchema,
  check,
  type FieldError,
  type LoggedEvent,
  larderEventBodySchema,
} from '../../../contract';
import { EVENT_VERSIONS } from '../../../core/batch';
import { LARDER_EVENT_VERSIONS, type LarderEventBody } from '../../../core/larder';
import type { BatchCommand } from '../../../core/rules';
import { ApiError, ask } from '../api';
import { ageOf } from './age-of';
import { type NewWaiting, openOutboxStore, type Waiting } from './outbox-store';

export type SubmitResult = { kind: 'kept' } | { kind: 'waiting' } | { kind: 'refused'; errors: FieldError[] };

/** What the rules say of something before it is sent; null for nothing against it. */
export type Decider = (
  batchId: string,
  bodies: readonly BatchCommand[] | readonly LarderEventBody[],
  waiting: readonly Waiting[],
) => FieldError[] | null;

/** Stands for the larder where a batch is named. */
export const LARDER = 'larder';

const NAME = 'slow-pot-outbox';
/** Pauses between tries: this at first, twice as long each time, and never longer than the last, ms. */
const FIRST_PAUSE_MS = 1500;
const LONGEST_PAUSE_MS = 60_000;

const store = openOutboxStore();
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(NAME);
let waiting: readonly Waiting[] = [];
let decide: Decider = () => null;
let sending: Promise<void> | null = null;
let pauseMs = FIRST_PAUSE_MS;
let retry: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const keptListeners = new Set<(batchId: string, event: LoggedEvent) => void>();

/** What waited from before is there as soon as it is read; what another tab does is followed. */
const begun = bringOver().then(look);
if (channel) channel.onmessage = () => void look();

/** The rules are asked before anything is sent, also without a line. */
export function setDecider(decider: Decider): void {
  decide = decider;
}

/**
 * Says what a cook did in one go. It is in the pot at once; the answer tells whether the server has it, will get it,
 * or will not. When one is refused, those said with it and after it are undone too.
 */
export async function submitEvents(
  batchId: string,
  bodies: readonly BatchCommand[] | readonly LarderEventBody[],
): Promise<SubmitResult> {
  const isOfLarder = batchId === LARDER;
  for (const body of bodies) {
    const form = check<unknown>(isOfLarder ? larderEventBodySchema : batchCommandSchema, body);
    if (!form.ok) return { kind: 'refused', errors: form.errors };
  }
  await begun;
  const against = decide(batchId, bodies, waiting);
  if (against) return { kind: 'refused', errors: against };
  const groupId = uuid();
  const actedBrowserMs = Date.now();
  const versions = isOfLarder ? LARDER_EVENT_VERSIONS : EVENT_VERSIONS;
  const items = bodies.map(
    ({ type, payload }, i): NewWaiting => ({
      id: uuid(),
      batchId,
      type,
      v: versions.get(type)!,
      payload,
      actedBrowserMs: actedBrowserMs + i,
      groupId,
      isConfirmed: false,
      refused: null,
    }),
  );
  await (await store).add(items);
  await changed();
  await flush();
  const left = waiting.filter((one) => one.groupId === groupId);
  const refused = left.find((one) => one.refused)?.refused;
  if (refused) {
    await drop(left.map((one) => one.id));
    return { kind: 'refused', errors: refused };
  }
  return { kind: left.length > 0 ? 'waiting' : 'kept' };
}

/** Takes a refused event out of the tray. */
export const dismiss = (id: string): Promise<void> => drop([id]);

/** Says again what was refused for its age: that it was just now, or that it was so long ago indeed. */
export async function sayAgain(id: string, when: 'justNow' | 'longAgo'): Promise<void> {
  const part = when === 'justNow' ? { actedBrowserMs: Date.now() } : { isConfirmed: true };
  await (await store).change(id, { ...part, refused: null });
  await changed();
  await flush();
}

/**
 * Sends what waits, oldest first, of all tabs: one tab sends at a time. What the server cannot take now stays, and is
 * tried again after a pause.
 */
export function flush(): Promise<void> {
  sending ??= alone(sendAll).finally(() => {
    sending = null;
  });
  return sending;
}

/** The line is back: what waits is tried at once. */
export function tryNow(): Promise<void> {
  pauseMs = FIRST_PAUSE_MS;
  return flush();
}

export function onKept(listener: (batchId: string, event: LoggedEvent) => void): () => void {
  keptListeners.add(listener);
  return () => keptListeners.delete(listener);
}

export function useWaiting(): readonly Waiting[] {
  return useSyncExternalStore(subscribe, () => waiting);
}

/**
 * One tab at a time. Where a browser has no locks (a plain address on the house's own net), two may send: the server
 * knows each event by its id and takes it once.
 */
async function alone(work: () => Promise<void>): Promise<void> {
  const locks = (globalThis.navigator as Navigator | undefined)?.locks;
  await (locks ? locks.request(NAME, work) : work());
}

async function sendAll(): Promise<void> {
  clearTimeout(retry);
  await begun;
  const held = new Set<string>();
  for (;;) {
    const next = (await look()).find((one) => !one.refused && !held.has(one.batchId));
    if (!next) break;
    const outcome = await sendOne(next);
    if (outcome === 'gone') pauseMs = FIRST_PAUSE_MS;
    // what the server stumbles over holds up its own batch and no other; without a line all of it waits
    if (outcome === 'held') held.add(next.batchId);
    if (outcome === 'noLine') {
      later();
      return;
    }
  }
  if (held.size > 0) later();
}

function later(): void {
  retry = setTimeout(() => void flush(), pauseMs);
  pauseMs = Math.min(2 * pauseMs, LONGEST_PAUSE_MS);
}

async function sendOne(item: Waiting): Promise<'gone' | 'held' | 'noLine'> {
  const { id, batchId, type, v, payload } = item;
  try {
    const path = batchId === LARDER ? '/larder/events' : `/batches/${batchId}/events`;
    const event = await ask<LoggedEvent>('POST', path, {
      id,
      ageMs: ageOf(item.actedBrowserMs),
      ...(item.isConfirmed ? { confirmed: true } : {}),
      device: deviceName(),
      type,
      v,
      payload,
    });
    for (const listener of keptListeners) listener(batchId, event);
    await drop([id]);
    return 'gone';
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    if (error.isOffline) return 'noLine';
    if (!error.isRefusal) return 'held';
    const refused = error.errors.length > 0 ? error.errors : [{ field: '', sentence: error.message }];
    const after = waiting.filter((one) => one.groupId === item.groupId && one.n > item.n);
    await (await store).remove(after.map((one) => one.id));
    await (await store).change(id, { refused });
    await changed();
    return 'gone';
  }
}

async function drop(ids: readonly string[]): Promise<void> {
  await (await store).remove(ids);
  await changed();
}

/** Something changed here: this tab looks, and tells the others to. */
async function changed(): Promise<void> {
  await look();
  channel?.postMessage('changed');
}

async function look(): Promise<readonly Waiting[]> {
  waiting = await (await store).all();
  for (const listener of listeners) listener();
  return waiting;
}

/** What waited in the store of an older Slow Pot is not lost: it is said in its own words, and brought over once. */
async function bringOver(): Promise<void> {
  const text = globalThis.localStorage?.getItem(NAME);
  if (!text) return;
  try {
    const old = JSON.parse(text) as {
      id: string;
      batchId: string;
      body: { type: string; v?: number; payload: unknown };
      actedBrowserMs: number;
      group: number;
      refused: FieldError[] | null;
    }[];
    await (await store).add(
      old.map(({ body, group, ...item }) => ({
        ...item,
        ...body,
        v: body.v ?? 1,
        groupId: `of ${group}`,
        isConfirmed: false,
      })),
    );
  } catch {
    // what cannot be read was nothing that could have been sent
  }
  globalThis.localStorage.removeItem(NAME);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function deviceName(): string {
  const known = localStorage.getItem('slow-pot-device');
  if (known) return known;
  const name = uuid();
  localStorage.setItem('slow-pot-device', name);
  return name;
}
