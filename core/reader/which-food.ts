import type { Ingredient } from '../matter';
import { MEASURE_BY_WORD, type WrittenUnit } from './data/measures';
import { type FoundName, findName, type IngredientNames, wordsOf } from './ingredient-names';

/* Which food of the table a line names, where its words alone do not say. */

/** “Kelp and mushroom stock” is one thing: its name goes over the “and”. */
export function spansTheAnd(names: IngredientNames, text: string): boolean {
  const whole = findName(names, wordsOf(text));
  const at = wordsOf(text).indexOf('and');
  return whole !== null && at > whole.from && at < whole.to - 1;
}

/** Tinned, where it comes in a tin or says so and the table knows the tinned kind. */
export function preserved(
  { ingredients, names }: { ingredients: Readonly<Record<string, Ingredient>>; names: IngredientNames },
  ingredient: Ingredient,
  unit: WrittenUnit | null,
  words: readonly string[],
): Ingredient {
  const tinnedId = names.tinned.get(ingredient.id);
  if (tinnedId === undefined) return ingredient;
  const isTinned =
    unit === 'tin' || unit === 'jar' || words.some((word) => /^(tinned|canned|jarred|tin|can)$/.test(word));
  return isTinned ? (ingredients[tinnedId] ?? ingredient) : ingredient;
}

/** “2 garlic cloves”, “6 sage leaves”: the measure after the name, or the last word of the name itself. */
export function trailingMeasure(
  unit: WrittenUnit | null,
  hasAmount: boolean,
  words: readonly string[],
  found: FoundName,
  ingredient: Ingredient,
): { unit: WrittenUnit; word: string } | null {
  if (unit !== null || !hasAmount) return null;
  for (const word of [words[found.to], words[found.to - 1]]) {
    const measure = word ? MEASURE_BY_WORD.get(word) : undefined;
    if (word && measure && ingredient.measures?.[measure] !== undefined) return { unit: measure, word };
  }
  return null;
}

/** One chicken is a whole one: what is counted, and weighs nothing by the piece, is the whole of its kind where there is one. */
export function wholeOne(
  { ingredients, names }: { ingredients: Readonly<Record<string, Ingredient>>; names: IngredientNames },
  words: readonly string[],
  found: FoundName,
): FoundName {
  if (ingredients[found.ingredientId]?.pieceG !== undefined) return found;
  const named = words.slice(found.from, found.to);
  const whole = findName(names, ['whole', ...named]);
  const isWhole = whole !== null && whole.to - whole.from > named.length;
  return isWhole && ingredients[whole.ingredientId]?.pieceG !== undefined
    ? { ...found, ingredientId: whole.ingredientId }
    : found;
}

/**
 * “Haddock, smoked”, “prawns, shell on”, “bones, beef”: what is said after the comma is part of the name where the table
 * has such a food.
 *
 * @param found by the words before the comma
 * @param tail after it
 * @returns the food by both; null where there is none
 */
export function inItsState(
  names: IngredientNames,
  words: readonly string[],
  found: FoundName | null,
  tail: string,
): FoundName | null {
  const { from, to } = found ?? { from: 0, to: words.length };
  const named = words.slice(from, to);
  const states = wordsOf(tail.split(',')[0]!).slice(0, 2);
  for (const state of [states, states.slice(0, 1)])
    for (const whole of state.length > 0
      ? [
          [...state, ...named],
          [...named, ...state],
        ]
      : []) {
      const id = names.byWords.get(whole.join(' '));
      if (id) return { ingredientId: id, from, to };
    }
  return null;
}
