import type { Ingredient } from '../matter';
import type { UnitSystem } from '../units';
import { MEASURE_BY_WORD, MEASURES, type Measure, type WrittenUnit } from './data/measures';
import { CUT_WORDS, IDLE_WORDS } from './data/words';
import { type FoundName, wordsOf } from './ingredient-names';
import { readAmount } from './read-amount';
import type { Reading } from './reading';

/* The parts a line is taken into, each with what is left of the line after it. */

/** “juice of 2 lemons”, “grated zest of 1 orange”, “1 lime, juiced”: the fruit names something else than itself. */
export function fruitOf(line: string): { rest: string; name: string; also?: string } | null {
  const done =
    /^(.*?)\b(lemon|lime|orange)s?,? (juiced|zested|juice only|zest only|just the juice|just the zest)\b(.*)$/i.exec(
      line,
    );
  if (done) {
    const part = /juice/i.test(done[3]!) ? 'juice' : 'zest';
    return { rest: `${done[1] || '1'}${done[4]}`, name: `${done[2]!.toLowerCase()} ${part}` };
  }
  const both =
    /^(?:the )?(?:(?:finely |freshly |grated )*(?:juice and|zest and|grated zest and)) ?(?:zest|juice) of (.*?)\s*(lemon|lime|orange)s?\b(.*)$/i.exec(
      line,
    );
  if (both) {
    const fruit = both[2]!.toLowerCase();
    return { rest: `${both[1] || '1'}${both[3]}`, name: `${fruit} juice`, also: `${fruit} zest` };
  }
  const match =
    /^(?:the )?(?:finely |freshly |grated |squeezed |pared )*(juice|zest|peel|rind)(?: of|(?= \d)) (.*?)\s*(lemon|lime|orange)s?\b(.*)$/i.exec(
      line,
    );
  if (!match) return null;
  const part = match[1]!.toLowerCase() === 'juice' ? 'juice' : 'zest';
  return { rest: `${match[2] || '1'}${match[4]}`, name: `${match[3]!.toLowerCase()} ${part}` };
}

/** “2 x 400 g tins”: the weight of one. */
export function takeEach(rest: string): { grams: number; rest: string } | null {
  const match = /^x?\s*(\d+(?:[.,]\d+)?)[\s-]*(g|kg|oz|ounces?|ml|lbs?|pounds?)\b\.?\s*/i.exec(rest);
  const isTimes = /^x/i.test(rest) || /^\d/.test(rest);
  if (!match || !isTimes) return null;
  const unit = MEASURE_BY_WORD.get(match[2]!.toLowerCase())!;
  return { grams: plainGrams(Number(match[1]!.replace(',', '.')), unit), rest: rest.slice(match[0].length) };
}

/** Weights in brackets, of one or of all, and whatever else stands in brackets. */
export function takeParens(line: string): {
  rest: string;
  weights: { each: number | null; total: number | null };
  notes: string[];
} {
  const weights: { each: number | null; total: number | null } = { each: null, total: null };
  const notes: string[] = [];
  const rest = line.replace(/\(([^()]*)\)/g, (_all, inside: string) => {
    const match = IN_BRACKETS.exec(inside.trim());
    const unit = match && MEASURE_BY_WORD.get(match[2]!.toLowerCase().replace(/\.? (?=oz)/, ' '));
    const amount = match && readAmount(match[1]!);
    if (match && unit && amount?.rest === '' && match[4]!.trim() === '') {
      const grams = plainGrams((amount.low + amount.high) / 2, unit);
      // before the measure it is of one tin; after the amount's own name it is of all
      const isBeforeMeasure = /^\s*[\d./\s]+(?:(?:small|medium|large|big)\s*)?$/i.test(
        line.slice(0, line.indexOf('(')),
      );
      if (match[3] || isBeforeMeasure) weights.each = grams;
      else weights.total = grams;
    } else if (inside.trim() !== '') notes.push(inside.trim());
    return ' ';
  });
  return { rest: rest.replace(/\s+/g, ' ').replace(/ ,/g, ',').trim(), weights, notes };
}

/** A weight, or what pours, of all or of each: “about 1.2-1.5 kg each”, “3 1/2 lb”, “14 fl oz”. */
const IN_BRACKETS =
  /^(?:about |approx\.? |around |ca\.? |~|each )?(\d[\d.,/ -]*?)\s*-?(g|kg|fl\.? oz|oz|ounces?|lbs?|pounds?|ml|l|litres?)\b\.?(?: ?\/.*)?\s*(each|a piece|apiece)?(.*)$/i;

function plainGrams(value: number, unit: WrittenUnit): number {
  const measure: Partial<Measure> = unit === 'each' ? {} : MEASURES[unit];
  return value * (measure.grams ?? (typeof measure.mL === 'object' ? measure.mL.us : (measure.mL ?? 1)));
}

/** Short ways of American cards, told by their capital: a T is a tablespoon, a t a teaspoon, a c a cup. */
const SHORT_UNITS: Readonly<Record<string, WrittenUnit>> = { T: 'tbsp', t: 'tsp', c: 'cup', C: 'cup' };

const BEFORE_A_MEASURE = /^(small|medium|large|big|fat|good|generous|scant|level|whole|full)\s+(?=\w+)/i;

export function takeUnit(rest: string): { unit: WrittenUnit | null; rest: string } {
  const short = /^([TtcC])\.?\s+(?=[a-z])/.exec(rest);
  if (short) return { unit: SHORT_UNITS[short[1]!]!, rest: rest.slice(short[0].length) };
  const match = /^(fl\.? oz|fluid ounces?|[a-z]+)\.?(?=[\s,(/]|-\s?\d|$)\s*(of\s+)?/i.exec(
    rest.replace(BEFORE_A_MEASURE, ''),
  );
  const skipped = rest.length - rest.replace(BEFORE_A_MEASURE, '').length;
  const unit = match ? MEASURE_BY_WORD.get(match[1]!.toLowerCase().replace('.', '')) : undefined;
  if (!match || !unit) return { unit: null, rest };
  const after = rest.slice(skipped + match[0].length);
  // “1 clove” alone is the spice; “2 leaves sage” a measure
  if (after.trim() === '') return { unit: null, rest };
  const size = skipped > 0 ? `${rest.slice(0, skipped).trim()} ` : '';
  // a pack that is weighed is its weight
  const pack =
    isWeighed(unit) &&
    /^(?:pack(?:et|age)?|bunch|bag|tub|pot|punnet|box|sachet|block|piece)s?\b(?: of)?\s+(?=\w)/i.exec(after);
  if (pack) return { unit, rest: after.slice(pack[0].length) };
  return { unit, rest: `${/small|medium|large/i.test(size) ? size : ''}${after}` };
}

const isWeighed = (unit: WrittenUnit): boolean => ['g', 'kg', 'oz', 'lb'].includes(unit);

export function sizeOf(words: readonly string[]): Reading['size'] {
  if (words.includes('large') || words.includes('big')) return 'large';
  if (words.includes('small')) return 'small';
  return words.includes('medium') ? 'medium' : null;
}

export function isContainer(unit: WrittenUnit | null): boolean {
  return unit !== null && ['tin', 'jar', 'tube', 'tub', 'carton', 'bottle'].includes(unit);
}

export function isKnownWord(word: string): boolean {
  return (
    CUT_WORDS.has(word) ||
    IDLE_WORDS.has(word) ||
    /^(tinned|canned|jarred|tin|can|frozen|cooked|uncooked|mixed|unsalted|skin|bone|on)$/.test(word) ||
    /^\d/.test(word) ||
    word === 'mm' ||
    word === 'cm'
  );
}

/** The cut said before or after the name in the same breath: “finely chopped onion”. */
export function cutBefore(first: string, found: FoundName | null, ingredient: Ingredient | null): string {
  if (!found || !ingredient) return '';
  const raw = first.split(/[\s-]+/).filter((word) => word !== '');
  const kept = raw.filter((word) => {
    const [one] = wordsOf(word);
    return one !== undefined && CUT_WORDS.has(one) && one !== 'small' && !nameHolds(ingredient, one);
  });
  const isTelling = kept.some(
    (word) => !/^(very|fine|finely|roughly|coarsely|thinly|thickly|lightly|thick|thin)$/i.test(word),
  );
  return isTelling ? kept.join(' ').toLowerCase() : '';
}

/** “Ground white pepper”: the word is part of what it is. */
function nameHolds(ingredient: Ingredient, word: string): boolean {
  return wordsOf(ingredient.name).includes(word);
}

const WEIGHT = String.raw`(\d+(?:[.,]\d+)?)\s*-?(g|kg|oz|ounces?|lbs?|pounds?)`;
const ABOUT = String.raw`(?:about|around|approx\.?|approximately|roughly|weighing(?: about)?|ca\.?|circa)`;
const SAID_AFTER = new RegExp(
  `,?\\s*${ABOUT}\\s*${WEIGHT}\\b\\.?\\s*(each|apiece)?(?:\\s*(?:in all|in total|altogether|total))?`,
  'i',
);

/** “2 potatoes, about 400 g”, “1 ham hock about 1.2 kg”: what they weigh, said after their name. */
export function takeWeightAfter(line: string): { rest: string; grams: number; isEach: boolean } | null {
  const match = SAID_AFTER.exec(line);
  if (!match || match.index === 0) return null;
  const unit = MEASURE_BY_WORD.get(match[2]!.toLowerCase())!;
  return {
    rest: `${line.slice(0, match.index)}${line.slice(match.index + match[0].length)}`.trim(),
    grams: plainGrams(Number(match[1]!.replace(',', '.')), unit),
    isEach: match[3] !== undefined,
  };
}

const NAME = String.raw`([^\d(]+(?:\([^\d)]*\))?)`;
const PARTED = String.raw`\s*(?:,|:|=|\.{2,}|…|-(?=\s)|\s)\s*`;
const ONE_AMOUNT = String.raw`(\d+(?:[.,]\d+)?(?:\s*\/\s*\d+)?(?:\s+\d\/\d)?)`;
const MEASURED_LAST = new RegExp(
  `^${NAME}${PARTED}${ONE_AMOUNT}\\s*([a-z]{1,11})\\.?(?:\\s*(\\([^()]*\\)))?(?:(,?)\\s+(.*))?$`,
  'i',
);
const COUNTED_LAST = new RegExp(
  `^${NAME}(?:\\s*[:=x…-]\\s*|\\s*\\.{2,}\\s*|,\\s*)${ONE_AMOUNT}(?:\\s+(small|medium|large))?$`,
  'i',
);

/** Of something else than the food: “soaked in 200 ml of water”, “made up to 2 l”. */
const OF_ANOTHER = /\b(?:in|with|for|to|by|about|around|of|every|per|over|under)$/i;

/**
 * “Semi-skimmed milk, 500 ml”, “Potatoes: 6 kg, peeled”, “Eggs x 4”: the amount after the name, put before it. “Pinch of
 * saffron”: there is one.
 */
export function amountFirst(line: string): string {
  if (/^[\d.½¼¾]|^(a|an|one|two|three|half)\b/i.test(line)) return line;
  const one = /^(?:(?:small|large|big|good|generous) )?(\p{L}+) of\s/iu.exec(line);
  if (one && /(?:[^s]|ss)$/i.test(one[1]!) && MEASURE_BY_WORD.has(one[1]!.toLowerCase())) return `1 ${line}`;
  const measured = MEASURED_LAST.exec(line);
  const [, name = '', amount, unit = '', inBrackets = '', comma, after = ''] = measured ?? [];
  const isDone = after === '' || comma === ',' || CUT_WORDS.has(wordsOf(after)[0] ?? '');
  if (measured && isDone && MEASURE_BY_WORD.has(unit.toLowerCase()) && !OF_ANOTHER.test(name.trim()))
    return `${amount} ${unit} ${inBrackets} ${bare(name)}${after ? `, ${after}` : ''}`;
  const counted = COUNTED_LAST.exec(line);
  if (counted && !OF_ANOTHER.test(counted[1]!.trim()))
    return `${counted[2]} ${counted[3] ? `${counted[3]} ` : ''}${bare(counted[1]!)}`;
  return line;
}

const bare = (name: string): string => name.replace(/[\s,:=.…-]+$/, '');

/** The other half of an amount said in two measures: “1 lb 4 oz”, “1 cup plus 2 tbsp”; or the far end, “500 g-600 g”. */
export function takeSecond(
  rest: string,
): { amount: string; unit: WrittenUnit; joins: 'adds' | 'to' | 'same'; rest: string } | null {
  const match =
    /^(plus |\+ ?|and |& |- ?|to |\/ ?)?((?:\d+ )?\d+\/\d+|\d+(?:[.,]\d+)?)\s*([a-z]+)\b\.?\s*(?:of\s+)?/i.exec(
      rest,
    );
  const unit = match && MEASURE_BY_WORD.get(match[3]!.toLowerCase());
  if (!match || !unit) return null;
  const sign = (match[1] ?? '').trim().toLowerCase();
  const joins = sign === '-' || sign === 'to' ? 'to' : sign === '/' ? 'same' : 'adds';
  return { amount: match[2]!, unit, joins, rest: rest.slice(match[0].length) };
}

/** How many of one measure another is, where both weigh or both pour; null where they do not go together. */
export function inUnits(unit: WrittenUnit, of: WrittenUnit, system: UnitSystem): number | null {
  if (unit === 'each' || of === 'each') return null;
  const [a, b]: [Partial<Measure>, Partial<Measure>] = [MEASURES[unit], MEASURES[of]];
  const poured = (one: Partial<Measure>) => (typeof one.mL === 'object' ? one.mL[system] : one.mL);
  if (a.grams !== undefined && b.grams !== undefined) return a.grams / b.grams;
  const [mine, theirs] = [poured(a), poured(b)];
  return mine !== undefined && theirs !== undefined ? mine / theirs : null;
}
