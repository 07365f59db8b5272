import type { Ingredient } from '../matter';
import { own } from '../own';
import type { UnitSystem } from '../units';
import { MEASURES, type WrittenUnit } from './data/measures';
import { ASIDE, COMES_OUT, TO_TASTE, TRIMMING_WORDS } from './data/words';
import { findName, type IngredientNames, ingredientNames, nearName, wordsOf } from './ingredient-names';
import { intoEnglish } from './into-english';
import {
  amountFirst,
  cutBefore,
  fruitOf,
  inUnits,
  isContainer,
  isKnownWord,
  sizeOf,
  takeEach,
  takeParens,
  takeSecond,
  takeUnit,
  takeWeightAfter,
} from './line-parts';
import { minutesIn } from './method-sentences';
import { plainNumber, readAmount, tidyLine } from './read-amount';
import type { ParseWarning, ParseWarningKind, Reading } from './reading';
import { gramsOf, isByVolume, weigh } from './weigh-reading';
import { preserved, spansTheAnd, trailingMeasure, wholeOne } from './which-food';

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
  const warnings: ParseWarning[] = [];
  const asides: string[] = [];
  let line = tidyLine(english);
  const isByLength = BY_LENGTH.test(line);
  if (isByLength) line = line.replace(BY_LENGTH, (_, n: string, unit: string) => `${thumbs(n, unit)} thumb `);

  const comesOutSaid = COMES_OUT.test(line);
  if (comesOutSaid) line = line.replace(COMES_OUT, '').replace(/\(\s*\)/g, '');
  const toTasteSaid = TO_TASTE.test(line);
  if (toTasteSaid) line = line.replace(TO_TASTE, '').replace(/\(\s*\)/g, '');
  line = line.replace(new RegExp(ASIDE, 'gi'), (aside) => {
    asides.push(aside.trim());
    return '';
  });
  line = line.replace(/,\s*(?=,|$)/g, '').trim();

  const { rest: bare, weights, notes } = takeParens(amountFirst(line));
  asides.push(...notes);
  const said = takeWeightAfter(bare);
  if (said?.isEach) weights.each ??= said.grams;
  else if (said) weights.total ??= said.grams;
  const withoutParens = said?.rest ?? bare;
  const of = fruitOf(withoutParens);
  if (of?.also) warnings.push({ kind: 'two', name: of.name });
  const written = readAmount(of?.rest ?? withoutParens);
  const isOneOfThem = written === null && said !== null;
  let amount = isOneOfThem ? { low: 1, high: 1, rest: of?.rest ?? withoutParens, warnings: [] } : written;
  if (amount) {
    const dozen = /^dozens?\b(?: of)?\s*/i.exec(amount.rest);
    if (dozen)
      amount = {
        ...amount,
        low: 12 * amount.low,
        high: 12 * amount.high,
        rest: amount.rest.slice(dozen[0].length),
      };
    warnings.push(...amount.warnings);
  }
  let rest = (amount?.rest ?? of?.rest ?? withoutParens).replace(/^(?:\/|\+)\s*/, '');

  const each = amount ? takeEach(rest) : null;
  if (each) rest = each.rest;
  let { unit, rest: named } = amount ? takeUnit(rest) : { unit: null, rest };
  const heaped = /^heap(ed|ing)\b/i.test(rest);
  if (heaped) {
    ({ unit, rest: named } = takeUnit(rest.replace(/^heap(ed|ing)\s*/i, '')));
    warnings.push({ kind: 'measure', spoon: 'heaped' });
  }
  const second = amount && unit ? takeSecond(named) : null;
  const share = second && unit ? inUnits(second.unit, unit, table.system) : null;
  if (second && share !== null && amount && unit) {
    const other = plainNumber(second.amount);
    named = second.rest;
    if (second.joins === 'adds')
      amount = { ...amount, low: amount.low + other * share, high: amount.high + other * share };
    else if (second.joins === 'to') {
      amount = { ...amount, high: other * share };
      warnings.push({ kind: 'range', low: amount.low, high: amount.high });
    } else if (Math.abs(other * share - amount.high) < TWO_UNITS_WITHIN * amount.high) {
      // the same said twice: the metric one was weighed
      if (METRIC_UNITS.has(second.unit)) {
        amount = { ...amount, low: other, high: other };
        unit = second.unit;
      }
    } else {
      const grams = (value: number, by: WrittenUnit) =>
        value * (MEASURES[by as keyof typeof MEASURES].grams ?? 1);
      warnings.push({
        kind: 'disagree',
        bracketsG: grams(amount.high, unit),
        readG: grams(other, second.unit),
      });
    }
  } else if (second?.joins === 'same') named = second.rest;

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

  const stuck = / (?:stuck|studded|spiked) with (.*)$/i.exec(
    `${head}${tail === '' ? '' : `, ${tail}`}`.replace(/, (?=(?:stuck|studded|spiked) with)/i, ' '),
  );
  if (stuck) head = head.replace(/ (?:stuck|studded|spiked) with .*$/i, '');

  const isEither = / or /i.test(head);
  const first = isEither ? head.split(/ or /i)[0]! : head;
  const isTwo =
    / (and|&) /i.test(first) &&
    !/ and (peeled|chopped|drained|sliced|diced|deveined|bearded|cleaned)/i.test(first) &&
    !spansTheAnd(table.names, first);
  const words = wordsOf(isTwo ? first.split(/ (?:and|&) /i)[0]! : first);
  const otherNote = notes.find((note) => /^or\b|\b\w+ or \w+\b/i.test(note) && !/more or less/i.test(note));
  if (isEither) warnings.push({ kind: 'either', words: head });
  else if (otherNote) warnings.push({ kind: 'either', words: `${head} (${otherNote})` });

  let found = findName(table.names, words) ?? (isEither ? findName(table.names, wordsOf(head)) : null);
  if (isTwo) {
    const other = findName(table.names, wordsOf(first.split(/ (?:and|&) /i)[1]!));
    if (other && found && other.ingredientId !== found.ingredientId)
      warnings.push({ kind: 'two', name: table.ingredients[found.ingredientId]!.name });
  }
  if (!found && byTheSpelling) {
    found = nearName(table.names, words);
    if (found)
      warnings.push({ kind: 'likely', name: table.ingredients[found.ingredientId]!.name, unread: null });
  }
  if (!found) {
    // “greens (kale)”: the brackets say which
    const inNote = notes.map((note) => ({
      words: wordsOf(note),
      found: findName(table.names, wordsOf(note)),
    }));
    const told = inNote.find((one) => one.found?.from === 0 && one.found.to === one.words.length);
    if (told?.found)
      return readEnglish(line.replace(head, told.words.join(' ')), text, table, keptId, byTheSpelling);
  }
  const saidName = found && words.slice(found.from, found.to).join(' ');
  if (found && saidName && table.names.standIns.has(saidName) && keptId === undefined)
    warnings.push({ kind: 'standsIn', said: saidName, name: table.ingredients[found.ingredientId]!.name });
  const kept = keptId === undefined ? undefined : own(table.ingredients, keptId);
  if (found && unit === null && amount) found = wholeOne(table, words, found);
  const ingredient =
    kept ?? (found ? preserved(table, table.ingredients[found.ingredientId]!, unit, words) : null);
  if (!ingredient) warnings.push({ kind: 'unknown', name: head || text.trim() });
  else if (stuck || isAnother(table, tail)) warnings.push({ kind: 'two', name: ingredient.name });
  if (ingredient && isByLength) {
    const grams = gramsOf(1, unit ?? 'each', ingredient, table.system)?.grams ?? null;
    warnings.push({ kind: 'measure', measure: unit ?? 'piece', name: ingredient.name, grams });
  }

  const left = found ? words.filter((_, i) => i < found.from || i >= found.to) : [];
  const size = sizeOf(wordsOf(first));
  const trailing =
    ingredient && found ? trailingMeasure(unit, amount !== null, words, found, ingredient) : null;
  unit = trailing?.unit ?? unit ?? (amount ? 'each' : null);
  const isDry = (word: string) => word === 'dried' && /\b(?:dry|dried)\b/i.test(ingredient?.name ?? '');
  const strange = left.filter((word) => word !== trailing?.word && !isKnownWord(word) && !isDry(word));
  if (ingredient && strange.length > 0) {
    warnings.push({ kind: 'likely', name: ingredient.name, unread: strange.join(' ') });
  }

  const before = cutBefore(first, found, ingredient);
  const cut = [before, inCut ? inCut[0].trim() : '', tail].filter((part) => part !== '').join(', ');
  const isNet = /\b(?:trimmed|peeled|prepared|cleaned|net|drained|picked|edible) weight\b/i.test(line);
  const isWeighedTrimmed =
    isNet || (left.some((word) => TRIMMING_WORDS.has(word)) && unit !== 'each' && ingredient?.yield !== 1);
  const isSeasoning = ingredient?.kind === 'salt' || ingredient?.kind === 'spice';
  const toTaste = toTasteSaid || (amount === null && isSeasoning);
  const middle = amount ? (amount.low + amount.high) / 2 : null;
  const weighed =
    ingredient && middle !== null && unit
      ? weigh({
          count: heaped ? middle * 1.5 : middle,
          unit,
          ingredient,
          system: table.system,
          size,
          each: each?.grams ?? weights.each,
          warnings,
        })
      : null;
  if (
    weighed &&
    weights.total !== null &&
    !weights.each &&
    isContainer(unit) &&
    ingredient &&
    middle !== null
  ) {
    // of one or of all: as near to what such a pack holds; told where there are several
    const one = weighed.grams / middle;
    const isOfAll = Math.abs(weights.total / middle - one) <= Math.abs(weights.total - one);
    const grams = isOfAll ? weights.total : weights.total * middle;
    const isDrainedWeight = /\bdrained\b/i.test(tail) && grams < FULL_FROM * weighed.grams;
    weighed.grams = isDrainedWeight ? grams / ingredient.yield : grams;
    if (middle > 1)
      warnings.push({ kind: 'ofEach', bracketsG: weights.total, count: middle, grams: weighed.grams });
  } else if (weighed && weights.total !== null && !weights.each) {
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
  if (weighed && unit && ingredient?.grainVaries && isByVolume(unit))
    warnings.push({ kind: 'grain', measure: unit, name: ingredient.name, grams: weighed.grams });
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
      comesOut: comesOutSaid || (ingredient?.out !== undefined && !isGround(ingredient, first, unit)),
      toTaste,
      comesBack: comesOutSaid && COMES_BACK.test(english),
      soakH: soakIn(english, ingredient),
      purchasedG: weight ? (isEdible ? weight.grams / yieldShare : weight.grams) : null,
      edibleG: weight ? (isEdible ? weight.grams : weight.grams * yieldShare) : null,
      warnings,
    };
  }
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

/** After the comma stands a food of its own, nothing that was done to the first: “salt, pepper”. */
function isAnother(table: ReadingTable, tail: string): boolean {
  const words = wordsOf(tail.split(',')[0]!);
  const found = findName(table.names, words);
  return found !== null && found.from === 0 && found.to === words.length;
}

/** “5 cm piece of ginger”: a thumb is about 5 cm. Common practice. */
const BY_LENGTH =
  /^(\d+(?:[.,]\d+)?(?: \d\/\d)?|\d\/\d)\s*-?(cm|inch(?:es)?|in\.?|")[- ](?:piece|knob|length|chunk|bit)s?(?: of)?\s+/i;
const thumbs = (n: string, unit: string): number =>
  Math.round((plainNumber(n) * (/cm/i.test(unit) ? 1 : 2.54) * 100) / 5) / 100;

/** Under this share of what such a tin holds, a weight beside “drained” is of what is left of it. Common practice. */
const FULL_FROM = 0.8;

/** The same amount in two measures is the same within this share: a pound for 450 g, a pint for 600 mL. Common practice. */
const TWO_UNITS_WITHIN = 0.12;

const METRIC_UNITS: ReadonlySet<WrittenUnit> = new Set(['g', 'kg', 'mL', 'cL', 'dL', 'L']);
