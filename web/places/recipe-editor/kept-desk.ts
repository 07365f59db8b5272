import type { Desk } from './use-editing';

/** What lies on the desk, kept on this device until it is saved or cleared away: a reload loses nothing. */

const DESK = 'slow-pot-desk:';
const PAPER = 'slow-pot-paper';

/** The desk of a recipe, or of the new one; null where nothing was left lying. */
export function keptDesk(recipeId: string | null): Desk | null {
  const text = localStorage.getItem(keyOf(recipeId));
  if (!text) return null;
  try {
    const desk = JSON.parse(text) as Desk;
    return Array.isArray(desk.written) && Array.isArray(desk.stages) ? desk : null;
  } catch {
    return null;
  }
}

export function keepDesk(recipeId: string | null, desk: Desk): void {
  localStorage.setItem(keyOf(recipeId), JSON.stringify(desk));
}

export function clearDesk(recipeId: string | null): void {
  localStorage.removeItem(keyOf(recipeId));
}

export function keptPaper(): string {
  return localStorage.getItem(PAPER) ?? '';
}

export function keepPaper(text: string): void {
  if (text === '') localStorage.removeItem(PAPER);
  else localStorage.setItem(PAPER, text);
}

function keyOf(recipeId: string | null): string {
  return `${DESK}${recipeId ?? ''}`;
}
