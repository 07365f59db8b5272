import { NUMBER_WORDS } from './data/words';

const NUMBER = String.raw`(\d+|${Object.keys(NUMBER_WORDS)
  .filter((word) => NUMBER_WORDS[word]! >= 1 && word.length > 2 && !/few|several|couple/.test(word))
  .join('|')}|fifteen|twenty|thirty|forty|fifty)`;
const MORE_WORDS: Readonly<Record<string, number>> = {
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
};
const UP_TO = String.raw`(?:\s*(?:-|–|to|or)\s*${NUMBER})?`;
const PEOPLE =
  '(?:people|persons?|bowls?|portions?|servings?|covers?|helpings?|guests?|eaters|diners|personnes?|personen|portionen|teller)';
const NOT_A_MEASURE = String.raw`(?!\s*(?:[.,]\d|l\b|litres?|liters?|ml\b|kg\b|g\b|cl\b|pints?|quarts?|qts?\b|gallons?|cups?|hours?|hrs?|min))`;

/** Whom a line says that a recipe serves: the words of the line that say it, and how many; of a range the middle. */
export interface Serving {
  at: number;
  length: number;
  portions: number;
  /** by a word that can mean nothing else */
  isSure: boolean;
}

const FORMS: readonly { form: RegExp; isSure: boolean }[] = (
  [
    [
      String.raw`\b(?:serves|feeds|yields?|servings?|portions?|makes|enough for|sufficient for|pour|für)\s*:?\s*(?:about |around |approx\.? )?${NUMBER}${UP_TO}\b${NOT_A_MEASURE}(?:\s+${PEOPLE})?`,
      true,
    ],
    [String.raw`\b${NUMBER}${UP_TO}\s+${PEOPLE}\b`, true],
    [String.raw`\(\s*(?:for )?${NUMBER}\s*\)\s*$`, false],
    [String.raw`(?:^|,|\s)\s*for (?:about )?${NUMBER}${UP_TO}\s*(?:${PEOPLE})?\s*$`, false],
  ] as const
).map(([form, isSure]) => ({ form: new RegExp(form, 'i'), isSure }));

/**
 * How many a line says that a recipe serves: “Serves 6”, “for ten”, “4 to 6 people”, “pour 6 personnes”.
 *
 * @returns null where it says none; a yield in litres is none
 */
export function portionsIn(line: string): Serving | null {
  for (const { form, isSure } of FORMS) {
    const match = form.exec(line);
    if (!match) continue;
    const low = countOf(match[1]!);
    const high = match[2] ? countOf(match[2]) : low;
    return { at: match.index, length: match[0].length, portions: Math.round((low + high) / 2), isSure };
  }
  return null;
}

function countOf(said: string): number {
  const word = said.toLowerCase();
  return MORE_WORDS[word] ?? NUMBER_WORDS[word] ?? Number(word);
}
