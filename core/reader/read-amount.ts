import { FRACTIONS, NUMBER_WORDS } from './data/words';
import type { ParseWarning } from './reading';

export interface ReadAmount {
  low: number;
  high: number;
  /** what is left of the line */
  rest: string;
  warnings: ParseWarning[];
}

const NUMBER = String.raw`(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+[.,]\d+|[.,]\d+|\d+)`;
const WORDS = Object.keys(NUMBER_WORDS).join('|');
const BETWEEN = String.raw`\s*(?:-|–|—|to|or|and)\s*`;
const RANGE = new RegExp(`^(?:between )?(${NUMBER})${BETWEEN}(${NUMBER})(?![\\d/])`, 'i');
const WORD_RANGE = new RegExp(`^(?:between )?(${WORDS})${BETWEEN}(${WORDS})\\b`, 'i');
const SINGLE = new RegExp(`^(${NUMBER})(?![\\d/])`, 'i');
const SINGLE_WORD = new RegExp(
  `^(?:an? (?=half|quarter|dozen|couple|few))?(half an?|half|quarter|${WORDS})\\b(?!-)(?: (?:dozen|couple|few)\\b)?(?: of(?= an? ))?(?: an?\\b(?! few))?`,
  'i',
);
const HEDGE =
  /^(about|approx\.?|approximately|around|circa|ca\.?|roughly|scant|generous|level|good)\s+(?=[\d.½⅓⅔¼¾a])/i;

/** A plain, mixed or broken number as it stands. */
export const plainNumber = (text: string): number => numberOf(text.trim());

/** Fractions, dashes, spaces and bullets as the rest of the reader expects them. */
export function tidyLine(text: string): string {
  return spelt(text)
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (sign) => ` ${FRACTIONS[sign]}`)
    .replace(/⁄/g, '/')
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/[–—−]/g, '-')
    .replace(/[’‘]/g, "'")
    .replace(/×/g, 'x')
    .replace(/^\s*[-*•▢□·]\s+/, '')
    .replace(/\s+/g, ' ')
    .trim();
}

/** What is written for a number or a measure in ways of its own, in the usual way. */
function spelt(text: string): string {
  return text
    .replace(/^(\s*(?:about |around )?\d+)\s*[-–]\s*(?=[½⅓⅔¼¾⅛⅜⅝⅞]|[1-7]\/[2-8]\b)/, '$1 ')
    .replace(
      /\b(one|two|three|four|five|six|seven|eight|nine|ten|a|an) and a (half|quarter)\b/gi,
      (_, n: string, part: string) =>
        String(NUMBER_WORDS[n.toLowerCase()]! + NUMBER_WORDS[part.toLowerCase()]!),
    )
    .replace(/^(\s*\d+)\s*kg\s*(\d{3})\b/i, '$1.$2 kg')
    .replace(/\bthree[- ]quarters of an?\b/gi, '0.75')
    .replace(/^(\s*)an? (\w+) and a half(?: of)?\b/i, '$11.5 $2')
    .replace(/\bwine ?glass(es)?\b/gi, 'glass$1')
    .replace(/[- ]style(?= sauce\b)/gi, '')
    .replace(/\b(thumb|finger)[- ]?sized? (?:piece|knob|bit)s?\b/gi, 'thumb');
}

/**
 * Reads the amount a line begins with: whole, decimal with point or comma, fraction, mixed, in words, a range.
 *
 * @param line a tidied line
 * @returns both ends of the amount and the rest of the line, or null where it begins with none
 */
export function readAmount(line: string): ReadAmount | null {
  const hedged = line.replace(HEDGE, '');
  const range = RANGE.exec(hedged);
  if (range) return spanOf(numberOf(range[1]!), numberOf(range[2]!), hedged.slice(range[0].length));
  const words = WORD_RANGE.exec(hedged);
  if (words && !/^(a|an)$/i.test(words[1]!)) {
    return spanOf(wordOf(words[1]!), wordOf(words[2]!), hedged.slice(words[0].length));
  }
  const single = SINGLE.exec(hedged);
  if (single) {
    const rest = hedged.slice(single[0].length);
    const thousands = /^\d{1,3},\d{3}$/.test(single[1]!);
    // nobody weighs a thousandth of a gram: the point parts thousands, as it does in half the world
    if (/^\d{1,3}\.000$/.test(single[1]!) && /^\s*(g|gr|grams?|ml)\b/i.test(rest)) {
      const value = Number(single[1]!.replace('.', ''));
      return { ...spanOf(value, value, rest), warnings: [{ kind: 'separator', words: single[1]!, value }] };
    }
    if (!thousands) {
      const value = numberOf(single[1]!);
      const isBare: ParseWarning[] = single[1]!.startsWith(',')
        ? [{ kind: 'separator', words: single[1]!, value }]
        : [];
      return { ...spanOf(value, value, rest), warnings: isBare };
    }
    // 1,200 g is a thousand and more; 1,200 kg cannot be told from 1.2 kg by its writing
    const isSmallUnit = /^\s*(g|gr|grams?|ml)\b/i.test(rest);
    const value = isSmallUnit ? Number(single[1]!.replace(',', '')) : numberOf(single[1]!);
    const doubt: ParseWarning = { kind: 'separator', words: single[1]!, value };
    return { ...spanOf(value, value, rest), warnings: isSmallUnit ? [] : [doubt] };
  }
  const word = SINGLE_WORD.exec(hedged);
  if (!word) return null;
  const said = word[0].toLowerCase();
  const value = wordsOf(said);
  const vague = /few|several|couple/.test(said);
  return {
    ...spanOf(value, value, hedged.slice(word[0].length)),
    warnings: vague ? [{ kind: 'amount', words: said, value }] : [],
  };
}

function spanOf(a: number, b: number, rest: string): ReadAmount {
  const [low, high] = a <= b ? [a, b] : [b, a];
  const warnings: ParseWarning[] = low === high ? [] : [{ kind: 'range', low, high }];
  return { low, high, rest: rest.trim(), warnings };
}

function numberOf(text: string): number {
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text);
  if (mixed) {
    const [whole, above, below] = [Number(mixed[1] ?? 0), Number(mixed[2]), Number(mixed[3])];
    // nobody weighs out eleven halves: a whole and its fraction have lost the space between them
    const isGlued = !mixed[1] && above > below && below <= 8 && above % 10 > 0 && above % 10 < below;
    return isGlued ? Math.floor(above / 10) + (above % 10) / below : whole + above / below;
  }
  return Number(text.replace(',', '.'));
}

function wordOf(text: string): number {
  return NUMBER_WORDS[text.toLowerCase()]!;
}

/** “half a dozen”, “a couple”, “a quarter of a”, “three”. */
function wordsOf(said: string): number {
  const parts = said.split(' ').filter((word) => word !== 'of' && Object.hasOwn(NUMBER_WORDS, word));
  const telling = parts.filter((word) => word !== 'a' && word !== 'an');
  if (telling.length === 0) return 1;
  return telling.reduce((product, word) => product * wordOf(word), 1);
}
