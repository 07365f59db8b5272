import { useSyncExternalStore } from 'react';

/** A page is loaded anew for a new build when nobody has touched it for so long, ms. */
const QUIET_MS = 30_000;
const LOOKED_AT_MS = 2000;

let running: string | null = null;
let isWaiting = false;
let touchedMs = Date.now();
let timer: ReturnType<typeof setInterval> | undefined;
const listeners = new Set<() => void>();
const unsaved = new Set<symbol>();

/** The server says which build it serves: the first is this page's own, another one waits until nobody types. */
export function newBuild(id: string): void {
  running ??= id;
  const isOther = running !== id;
  if (isOther === isWaiting) return;
  isWaiting = isOther;
  for (const listener of listeners) listener();
  clearInterval(timer);
  if (!isOther) return;
  timer = setInterval(() => {
    if (!isBusy()) loadNow();
  }, LOOKED_AT_MS);
}

/** A form with something in it that is kept nowhere else holds the page; the answer lets go. */
export function holdPage(): () => void {
  const hold = Symbol('unsaved');
  unsaved.add(hold);
  return () => unsaved.delete(hold);
}

export function loadNow(): void {
  location.reload();
}

/** True while a new build waits for the hands to rest. */
export function useNewBuild(): boolean {
  return useSyncExternalStore(subscribe, () => isWaiting);
}

/** Somebody is in the middle of something: a text field, an open sheet, a form not saved, a touch a moment ago. */
function isBusy(): boolean {
  const at = document.activeElement;
  const isTyping = at?.matches('input, textarea, select, [contenteditable]') ?? false;
  const isAsked = document.querySelector('[role=dialog], [role=alertdialog]') !== null;
  return isTyping || isAsked || unsaved.size > 0 || Date.now() - touchedMs < QUIET_MS;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

if (typeof window !== 'undefined')
  for (const kind of ['pointerdown', 'keydown'])
    window.addEventListener(kind, () => {
      touchedMs = Date.now();
    });
