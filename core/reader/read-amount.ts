import { FRACTIONS, NUMBER_WORDS } from './data/words';
import type { ParseWarning } from './reading';

export interface ReadAmount {
  low: number;
  high: number;
  /** what is left of the line */
  rest: string;
  warnings: ParseWarning[];
}

const NUMBER = String.raw`(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+[.,]\d+|\.\d+|\d+)`;
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

/** Fractions, dashes, spaces and bullets as the rest of the reader expects them. */
export function tidyLine(text: string): string {
  return text
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
    if (!thousands) return spanOf(numberOf(single[1]!), numberOf(single[1]!), rest);
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
  if (mixed) return Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]);
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
