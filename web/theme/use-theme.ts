import { useSyncExternalStore } from 'react';
import { type ColourName, colour } from './tokens';

export type ThemeName = 'day' | 'dim';

const STORE = 'slow-pot-theme';
const listeners = new Set<() => void>();
let name: ThemeName = localStorage.getItem(STORE) === 'dim' ? 'dim' : 'day';
document.documentElement.dataset.theme = name;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Day or dim kitchen, kept by this device. */
export function useTheme(): [ThemeName, (next: ThemeName) => void] {
  return [useSyncExternalStore(subscribe, () => name), setTheme];
}

function setTheme(next: ThemeName): void {
  name = next;
  localStorage.setItem(STORE, next);
  document.documentElement.dataset.theme = next;
  for (const listener of listeners) listener();
}

/** The theme's colours as values, for a canvas. */
export function useThemeColours(): Record<ColourName, string> {
  useTheme();
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(
    Object.keys(colour).map((key) => [key, style.getPropertyValue(`--${key}`).trim()]),
  ) as Record<ColourName, string>;
}
