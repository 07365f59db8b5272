import type { Ingredient } from '../matter';
import { wordsOf } from './ingredient-names';

/**
 * The food that a name is already said of, by its name or another it is written by; null where it is free. Case, hyphens
 * and plurals make no other name of it.
 *
 * @param name as it would be called
 * @param rows foods, and recipes as the foods they make
 * @param exceptId the food itself
 * @example nameTaken('Milks', [{ id: 'milk', name: 'Milk' }])?.id // => 'milk'
 */
export function nameTaken<T extends Pick<Ingredient, 'id' | 'name' | 'aliases'>>(
  name: string,
  rows: Iterable<T>,
  exceptId?: string,
): T | null {
  const wanted = wordsOf(name).join(' ');
  if (wanted === '') return null;
  for (const row of rows) {
    if (row.id === exceptId) continue;
    if ([row.name, ...(row.aliases ?? [])].some((one) => wordsOf(one).join(' ') === wanted)) return row;
  }
  return null;
}
