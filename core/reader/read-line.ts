import type { Ingredient } from '../matter';
import { own } from '../own';
import type { UnitSystem } from '../units';
import { MEASURE_BY_WORD, MEASURES, type WrittenUnit } from './data/measures';
import { ASIDE, COMES_OUT, TO_TASTE, TRIMMING_WORDS } from './data/words';
import {
  type FoundName,
  findName,
  type IngredientNames,
  ingredientNames,
  nearName,
  wordsOf,
} from './ingredient-names';
import {
  cutBefore,
  fruitOf,
  isContainer,
  isKnownWord,
  sizeOf,
  takeEach,
  takeParens,
  takeUnit,
} from './line-parts';
import { readAmount, tidyLine } from './read-amount';
import type { ParseWarning, Reading } from './reading';
import { gramsOf } from './weigh-reading';

/** What a line is read against: the table with its names, and the kitchen's cups and pints. */
export interface ReadingTable {
  ingredients: Readonly<Record<string, Ingredient>>;
  names: IngredientNames;
  system: UnitSystem;
  /** foods that lines were saved with, and how they read then, by the id of the line */
  saved?: ReadonlyMap<string, { text: string; ingredientId: string }>;
}

/** A table ready to read against; make it once and keep it. */
export function readingTable(
  ingredients: Readonly<Record<string, Ingredient>>,
  system: UnitSystem = 'metric',
): ReadingTable {
  return { ingredients, names: ingredientNames(Object.values(ingredients)), system };
}

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
  const warnings: ParseWarning[] = [];
  const asides: string[] = [];
  let line = tidyLine(text);

  const comesOutSaid = COMES_OUT.test(line);
  if (comesOutSaid) line = line.replace(COMES_OUT, '').replace(/\(\s*\)/g, '');
  const toTasteSaid = TO_TASTE.test(line);
  if (toTasteSaid) line = line.replace(TO_TASTE, '').replace(/\(\s*\)/g, '');
  line = line.replace(new RegExp(ASIDE, 'gi'), (aside) => {
    asides.push(aside.trim());
    return '';
  });
  line = line.replace(/,\s*(?=,|$)/g, '').trim();

  const { rest: withoutParens, weights, notes } = takeParens(line);
  asides.push(...notes);
  const of = fruitOf(withoutParens);
  const amount = readAmount(of?.rest ?? withoutParens);
  if (amount) warnings.push(...amount.warnings);
  let rest = (amount?.rest ?? of?.rest ?? withoutParens).replace(/^(?:\/|\+)\s*/, '');

  const each = amount ? takeEach(rest) : null;
  if (each) rest = each.rest;
  let { unit, rest: named } = amount ? takeUnit(rest) : { unit: null, rest };
  const heaped = /^heap(ed|ing)\b/i.test(rest);
  if (heaped) {
    ({ unit, rest: named } = takeUnit(rest.replace(/^heap(ed|ing)\s*/i, '')));
    warnings.push({ kind: 'measure', spoon: 'heaped' });
  }
  const second = /^\/\s*[\d./\s]+\s*[a-z]+\.?\s+/i.exec(named);
  if (second) named = named.slice(second[0].length);

  const comma = named.search(/,(?!\d)|;|\s-\s/);
  let head = (comma < 0 ? named : named.slice(0, comma)).trim();
  const tail =
    comma < 0
      ? ''
      : named
          .slice(comma)
          .replace(/^[,;]?\s*-?\s*/, '')
          .trim();
  const inCut =
    / (in|into|cut in|cut into) ([\d.,/ ]+ ?(mm|cm)\b.*|chunks|lardons|strips|wedges|rounds|rings|half.*)$/i.exec(
      head,
    );
  if (inCut) head = head.slice(0, inCut.index);
  if (of) head = of.name;

  const isEither = / or /i.test(head);
  const first = isEither ? head.split(/ or /i)[0]! : head;
  const isTwo =
    / (and|&) /i.test(first) &&
    !/ and (peeled|chopped|drained|sliced|diced|deveined|bearded|cleaned)/i.test(first) &&
    !spansTheAnd(table.names, first);
  const words = wordsOf(isTwo ? first.split(/ (?:and|&) /i)[0]! : first);
  if (isEither) warnings.push({ kind: 'either', words: head });

  let found = findName(table.names, words) ?? (isEither ? findName(table.names, wordsOf(head)) : null);
  if (isTwo) {
    const other = findName(table.names, wordsOf(first.split(/ (?:and|&) /i)[1]!));
    if (other && found && other.ingredientId !== found.ingredientId)
      warnings.push({ kind: 'two', name: table.ingredients[found.ingredientId]!.name });
  }
  if (!found) {
    found = nearName(table.names, words);
    if (found)
      warnings.push({ kind: 'likely', name: table.ingredients[found.ingredientId]!.name, unread: null });
  }
  const kept = keptId === undefined ? undefined : own(table.ingredients, keptId);
  const ingredient =
    kept ?? (found ? preserved(table, table.ingredients[found.ingredientId]!, unit, words) : null);
  if (!ingredient) warnings.push({ kind: 'unknown', name: head || text.trim() });

  const left = found ? words.filter((_, i) => i < found.from || i >= found.to) : [];
  const size = sizeOf(wordsOf(first));
  const trailing =
    ingredient && found ? trailingMeasure(unit, amount !== null, words, found, ingredient) : null;
  unit = trailing?.unit ?? unit ?? (amount ? 'each' : null);
  const strange = left.filter((word) => word !== trailing?.word && !isKnownWord(word));
  if (ingredient && strange.length > 0) {
    warnings.push({ kind: 'likely', name: ingredient.name, unread: strange.join(' ') });
  }

  const before = cutBefore(first, found, ingredient);
  const cut = [before, inCut ? inCut[0].trim() : '', tail].filter((part) => part !== '').join(', ');
  const isWeighedTrimmed =
    left.some((word) => TRIMMING_WORDS.has(word)) && unit !== 'each' && ingredient?.yield !== 1;
  const middle = amount ? (amount.low + amount.high) / 2 : null;
  const weighed =
    ingredient && middle !== null && unit
      ? weigh({
          count: heaped ? middle * 1.5 : middle,
          unit,
          ingredient,
          system: table.system,
          size,
          each: each?.grams ?? weights.each ?? (isContainer(unit) ? weights.total : null),
          warnings,
        })
      : null;
  if (weighed && weights.total !== null && !weights.each && !isContainer(unit)) {
    if (unit === 'each' || MEASURES[unit as keyof typeof MEASURES]?.words === undefined)
      weighed.grams = weights.total;
    else if (Math.abs(weights.total - weighed.grams) > 0.12 * weights.total) {
      warnings.push({ kind: 'disagree', bracketsG: weights.total, readG: weighed.grams });
      weighed.grams = weights.total;
    }
  } else if (!weighed && ingredient && middle !== null && weights.total !== null) {
    // an unknown measure with its weight in brackets: the brackets say it
    return finish({ grams: middle * weights.total, isEdible: false });
  }
  if (!weighed && ingredient && middle !== null && unit) {
    warnings.push({ kind: 'measure', measure: unit, name: ingredient.name, grams: null });
  }
  const isSeasoning = ingredient?.kind === 'salt' || ingredient?.kind === 'spice';
  const toTaste = toTasteSaid || (amount === null && isSeasoning);
  if (amount === null && !toTaste && ingredient) {
    warnings.push({ kind: 'amount', name: ingredient.name });
  }
  return finish(weighed);

  function finish(weight: { grams: number; isEdible: boolean } | null): Reading {
    const isEdible = weight !== null && (weight.isEdible || isWeighedTrimmed);
    const yieldShare = ingredient?.yield ?? 1;
    return {
      text: text.trim(),
      amount: amount ? { low: amount.low, high: amount.high } : null,
      unit,
      size,
      ingredientId: ingredient?.id ?? null,
      name: found ? words.slice(found.from, found.to).join(' ') : head,
      cut,
      note: asides.join('; '),
      comesOut: comesOutSaid || (ingredient?.out !== undefined && !/ground|powder/.test(first.toLowerCase())),
      toTaste,
      purchasedG: weight ? (isEdible ? weight.grams / yieldShare : weight.grams) : null,
      edibleG: weight ? (isEdible ? weight.grams : weight.grams * yieldShare) : null,
      warnings,
    };
  }
}

/** “Kelp and mushroom stock” is one thing: its name goes over the “and”. */
function spansTheAnd(names: IngredientNames, text: string): boolean {
  const whole = findName(names, wordsOf(text));
  const at = wordsOf(text).indexOf('and');
  return whole !== null && at > whole.from && at < whole.to - 1;
}

/** Tinned, where it comes in a tin or says so and the table knows the tinned kind. */
function preserved(
  table: ReadingTable,
  ingredient: Ingredient,
  unit: WrittenUnit | null,
  words: readonly string[],
): Ingredient {
  const isTinned =
    unit === 'tin' || unit === 'jar' || words.some((word) => /^(tinned|canned|jarred|tin|can)$/.test(word));
  return (isTinned && table.ingredients[`${ingredient.id}-tinned`]) || ingredient;
}

/** “2 garlic cloves”, “6 sage leaves”: the measure after the name, or the last word of the name itself. */
function trailingMeasure(
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

function weigh(of: {
  count: number;
  unit: WrittenUnit;
  ingredient: Ingredient;
  system: UnitSystem;
  size: Reading['size'];
  each: number | null;
  warnings: ParseWarning[];
}): { grams: number; isEdible: boolean } | null {
  if (of.each !== null) return { grams: of.count * of.each, isEdible: false };
  const weight = gramsOf(of.count, of.unit, of.ingredient, of.system, of.size ?? 'medium');
  if (weight?.isGuess && of.unit !== 'pinch' && of.unit !== 'tin') {
    of.warnings.push({
      kind: 'measure',
      measure: of.unit,
      name: of.ingredient.name,
      grams: weight.grams / of.count,
    });
  }
  return weight;
}
