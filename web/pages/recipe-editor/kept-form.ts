import type { RecipeForm } from './use-editing';

/** What stands in the form, kept on this device until it is saved or cleared away: a reload loses nothing. */

const FORM = 'slow-pot-recipe-form:';
const PAPER = 'slow-pot-paper';

/** The form of a recipe, or of the new one; null where nothing was left lying. */
export function keptForm(recipeId: string | null): RecipeForm | null {
  const text = localStorage.getItem(keyOf(recipeId));
  if (!text) return null;
  try {
    const form = JSON.parse(text) as RecipeForm;
    if (!Array.isArray(form.written) || !Array.isArray(form.stages)) return null;
    // one left lying by an older page does not know what it was laid out from
    return { ...form, was: form.was ?? null, open: form.open ?? [] };
  } catch {
    return null;
  }
}

export function keepForm(recipeId: string | null, form: RecipeForm): void {
  localStorage.setItem(keyOf(recipeId), JSON.stringify(form));
}

export function clearForm(recipeId: string | null): void {
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
  return `${FORM}${recipeId ?? ''}`;
}
