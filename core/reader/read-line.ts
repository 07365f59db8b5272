import type { Ingredient } from '../matter';
import type { WrittenUnit } from './data/measures';
import { ASIDE, COMES_OUT, TO_TASTE, TRIMMING_WORDS } from './data/words';
import { wordsOf } from './ingredient-names';
import { intoEnglish } from './into-english';
import { cutBefore, isKnownWord, sizeOf } from './line-parts';
import { minutesIn } from './method-sentences';
import { tidyLine } from './read-amount';
import type { ParseWarning, ParseWarningKind, Reading } from './reading';
import type { ReadingTable } from './reading-table';
import { saidAmount } from './said-amount';
import { saidFood, saidName } from './said-food';
import { isByVolume, type Weighed, weighLine } from './weigh-reading';
import { trailingMeasure } from './which-food';

/**
 * Reads an ingredient line as cooks write them: “2 large onions, sliced 3 mm”.
 *
 * A weight before a comma is as purchased; a weight of something already peeled, chopped or cooked (“1 kg peeled
 * potatoes”) or measured in cups is edible. A range is weighed at its middle. Whatever was not understood to the last
 * word comes back as a doubt; nothing is dropped in silence.
 *
 * @param text one line
 * @param table ingredients, names, units
 * @param keptId the food it is, whatever its name would be taken for
 * @returns what it was taken for, in grams where they can be told
 */
export function readLine(text: string, table: ReadingTable, keptId?: string): Reading {
  try {
    return readOrThrow(text, table, keptId);
  } catch {
    return notRead(text);
  }
}

/** The same, for tests: a line that it falls over is thrown. */
export function readOrThrow(text: string, table: ReadingTable, keptId?: string): Reading {
  const read = readEnglish(text, text, table, keptId);
  if (read.ingredientId !== null && !read.warnings.some((one) => STRANGE.has(one.kind))) return read;
  const english = intoEnglish(text);
  if (english !== text) {
    const foreign = readEnglish(english, text, table, keptId);
    if (foreign.ingredientId !== null && (read.ingredientId === null || countOf(foreign) <= countOf(read)))
      return foreign;
  }
  return read.ingredientId === null ? readEnglish(text, text, table, keptId, true) : read;
}

/** Doubts of a line whose words were not all understood: another tongue may know them. */
const STRANGE: ReadonlySet<ParseWarningKind> = new Set(['likely', 'unknown', 'measure']);
const countOf = (read: Reading): number => read.warnings.length;

/** A line that the reader fell over: a doubt on it, and the rest of the page goes on. */
function notRead(text: string): Reading {
  const name = text.trim();
  return {
    text: name,
    amount: null,
    unit: null,
    size: null,
    ingredientId: null,
    name,
    cut: '',
    note: '',
    comesOut: false,
    toTaste: false,
    comesBack: false,
    soakH: null,
    purchasedG: null,
    edibleG: null,
    warnings: [{ kind: 'unknown', name }],
  };
}

/** @param byTheSpelling takes a name that is spelt nearly so */
function readEnglish(
  english: string,
  text: string,
  table: ReadingTable,
  keptId?: string,
  byTheSpelling = false,
): Reading {
  const asides: string[] = [];
  let line = tidyLine(english);
  const takeOut = (words: RegExp): boolean => {
    const isSaid = words.test(line);
    if (isSaid) line = line.replace(words, '').replace(/\(\s*\)/g, '');
    return isSaid;
  };
  const comesOutSaid = takeOut(COMES_OUT);
  const toTasteSaid = takeOut(TO_TASTE);
  line = line.replace(new RegExp(ASIDE, 'gi'), (aside) => {
    asides.push(aside.trim());
    return '';
  });
  line = line.replace(/,\s*(?=,|$)/g, '').trim();

  const much = saidAmount(line, table.system);
  const name = saidName(much.rest, much.fruit, table);
  const food = saidFood(
    { name, notes: much.notes, unit: much.unit, isCounted: much.amount !== null, keptId },
    table,
    byTheSpelling,
  );
  if (food.inBrackets !== null && food.inBrackets !== name.words.join(' '))
    return readEnglish(line.replace(name.head, food.inBrackets), text, table, keptId, byTheSpelling);
  const { found, ingredient } = food;
  const warnings = [...much.warnings, ...food.warnings];

  const trailing =
    ingredient && found
      ? trailingMeasure(much.unit, much.amount !== null, name.words, found, ingredient)
      : null;
  const unit = trailing?.unit ?? much.unit ?? (much.amount ? 'each' : null);
  const size = sizeOf(wordsOf(name.first));
  const left = found ? name.words.filter((_, i) => i < found.from || i >= found.to) : [];
  const isNet = /\b(?:trimmed|peeled|prepared|cleaned|net|drained|picked|edible) weight\b/i.test(line);
  const isWeighedTrimmed =
    isNet || (left.some((word) => TRIMMING_WORDS.has(word)) && unit !== 'each' && ingredient?.yield !== 1);
  const isSeasoning = ingredient?.kind === 'salt' || ingredient?.kind === 'spice';
  const toTaste = toTasteSaid || (much.amount === null && isSeasoning);
  let weight: Weighed | null = null;
  if (!ingredient) warnings.push({ kind: 'unknown', name: name.head || text.trim() });
  else {
    warnings.push(...namingDoubts(left, trailing?.word ?? null, ingredient));
    const weighed = weighLine({ much, unit, size, ingredient, tail: name.tail, system: table.system });
    warnings.push(...weighed.warnings);
    weight = weighed.weight;
    if (much.amount === null && !toTaste) warnings.push({ kind: 'amount', name: ingredient.name });
  }

  const isEdible = weight !== null && (weight.isEdible || isWeighedTrimmed);
  const yieldShare = ingredient?.yield ?? 1;
  const before = cutBefore(name.first, found, ingredient);
  return {
    text: text.trim(),
    amount: much.amount,
    unit,
    size,
    ingredientId: ingredient?.id ?? null,
    name: food.name,
    cut: [before, name.inCut, name.tail].filter((part) => part !== '').join(', '),
    note: [...asides, ...much.notes].join('; '),
    comesOut: comesOutSaid || (ingredient?.out !== undefined && !isGround(ingredient, name.first, unit)),
    toTaste,
    comesBack: comesOutSaid && COMES_BACK.test(english),
    soakH: soakIn(english, ingredient),
    purchasedG: weight ? (isEdible ? weight.grams / yieldShare : weight.grams) : null,
    edibleG: weight ? (isEdible ? weight.grams : weight.grams * yieldShare) : null,
    warnings,
  };
}

/** Words beside the name that say nothing the reader knows. */
function namingDoubts(
  left: readonly string[],
  measure: string | null,
  ingredient: Ingredient,
): ParseWarning[] {
  const isDry = (word: string) => word === 'dried' && /\b(?:dry|dried)\b/i.test(ingredient.name);
  const strange = left.filter((word) => word !== measure && !isKnownWord(word) && !isDry(word));
  return strange.length > 0 ? [{ kind: 'likely', name: ingredient.name, unread: strange.join(' ') }] : [];
}

const COMES_BACK = /\b(?:put|goes|go|return(?:ed)?|tip|add(?:ed)?)\b[^,;)]*\bback\b|\breturn(?:ed)?\b/i;

/** Hours of soaking a line says: “soaked overnight”, “soaked for 8 hours”; by the food where it says no time. */
function soakIn(line: string, ingredient: Ingredient | null): number | null {
  if (/\b(?:unsoaked|not soaked|no soaking|no need to soak)\b/i.test(line)) return 0;
  const said = /\bsoak(?:ed|ing)?\b([^,;)]*)/i.exec(line);
  if (!said) return null;
  if (/over ?night/i.test(line)) return OVERNIGHT_H;
  const minutes = minutesIn(said[1]!);
  return minutes === null ? (ingredient?.soakH ?? SOAK_H) : minutes / 60;
}

/** Soaked over night, and soaked without a time said, h. Common practice. */
export const OVERNIGHT_H = 12;
const SOAK_H = 8;

/** Ground, or by the spoon, there is nothing to lift out again. */
const isGround = (ingredient: Ingredient, words: string, unit: WrittenUnit | null): boolean =>
  /ground|powder/i.test(words) || (ingredient.kind === 'spice' && unit !== null && isByVolume(unit));
