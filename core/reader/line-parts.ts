import type { Ingredient } from '../matter';
import { MEASURE_BY_WORD, MEASURES, type Measure, type WrittenUnit } from './data/measures';
import { CUT_WORDS, IDLE_WORDS } from './data/words';
import { type FoundName, wordsOf } from './ingredient-names';
import type { Reading } from './reading';

/* The parts a line is taken into, each with what is left of the line after it. */

/** “juice of 2 lemons”, “grated zest of 1 orange”: the fruit names something else than itself. */
export function fruitOf(line: string): { rest: string; name: string } | null {
  const match =
    /^(?:the )?(?:finely |freshly |grated |squeezed |pared )*(juice|zest|peel|rind) of (.*?)\s*(lemon|lime|orange)s?\b(.*)$/i.exec(
      line,
    );
  if (!match) return null;
  const part = match[1]!.toLowerCase() === 'juice' ? 'juice' : 'zest';
  return { rest: `${match[2] || '1'}${match[4]}`, name: `${match[3]!.toLowerCase()} ${part}` };
}

/** “2 x 400 g tins”: the weight of one. */
export function takeEach(rest: string): { grams: number; rest: string } | null {
  const match = /^x?\s*(\d+(?:[.,]\d+)?)[\s-]*(g|kg|oz|ml|lb)\b\s*/i.exec(rest);
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
    const match =
      /^(?:about |approx\.? |around |ca\.? |~)?(\d+(?:[.,]\d+)?)\s*-?(g|kg|oz|lb|ml|l)\b\.?(?: ?\/.*)?\s*(each|a piece|apiece)?(.*)$/i.exec(
        inside.trim(),
      );
    if (match && match[4]!.trim() === '') {
      const grams = plainGrams(
        Number(match[1]!.replace(',', '.')),
        MEASURE_BY_WORD.get(match[2]!.toLowerCase())!,
      );
      // before the measure it is of one tin; after the amount's own name it is of all
      const isBeforeMeasure = /^\s*[\d./\s]+$/.test(line.slice(0, line.indexOf('(')));
      if (match[3] || isBeforeMeasure) weights.each = grams;
      else weights.total = grams;
    } else if (inside.trim() !== '') notes.push(inside.trim());
    return ' ';
  });
  return { rest: rest.replace(/\s+/g, ' ').replace(/ ,/g, ',').trim(), weights, notes };
}

function plainGrams(value: number, unit: WrittenUnit): number {
  const measure: Partial<Measure> = unit === 'each' ? {} : MEASURES[unit];
  return value * (measure.grams ?? (typeof measure.mL === 'number' ? measure.mL : 1));
}

export function takeUnit(rest: string): { unit: WrittenUnit | null; rest: string } {
  const match = /^(fl\.? oz|fluid ounces?|[a-z]+)\.?(?=[\s,(/]|$)\s*(of\s+)?/i.exec(
    rest.replace(/^(small|medium|large|big|fat|good|generous|scant|level)\s+(?=\w+)/i, ''),
  );
  const skipped =
    rest.length -
    rest.replace(/^(small|medium|large|big|fat|good|generous|scant|level)\s+(?=\w+)/i, '').length;
  const unit = match ? MEASURE_BY_WORD.get(match[1]!.toLowerCase().replace('.', '')) : undefined;
  if (!match || !unit) return { unit: null, rest };
  const after = rest.slice(skipped + match[0].length);
  // “1 clove” alone is the spice; “2 leaves sage” a measure
  if (after.trim() === '') return { unit: null, rest };
  const size = skipped > 0 ? `${rest.slice(0, skipped).trim()} ` : '';
  return { unit, rest: `${/small|medium|large/i.test(size) ? size : ''}${after}` };
}

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
