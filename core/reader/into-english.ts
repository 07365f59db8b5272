import { FRENCH, GERMAN, type Tongue } from './data/tongues';

/** A phrase by its words, and what it means. */
interface Phrase {
  words: readonly string[];
  means: string;
}

/** Words, an apostrophe closing its own, and whatever stands between. */
const tokensOf = (text: string): string[] => text.match(/[\p{L}][\p{L}.-]*['’]?|[^\p{L}]+/gu) ?? [];
const plain = (word: string): string => word.toLowerCase().replace('’', "'");
const isWord = (token: string): boolean => /^\p{L}/u.test(token);

const TONGUES = [FRENCH, GERMAN].map((tongue) => ({ tongue, byFirst: byFirstWord(tongue) }));

function byFirstWord({ phrases }: Tongue): Map<string, Phrase[]> {
  const byFirst = new Map<string, Phrase[]>();
  for (const [phrase, means] of phrases) {
    const words = tokensOf(phrase).filter(isWord);
    byFirst.set(words[0]!, [...(byFirst.get(words[0]!) ?? []), { words, means }]);
  }
  for (const list of byFirst.values()) list.sort((a, b) => b.words.length - a.words.length);
  return byFirst;
}

/**
 * A line of another tongue in the reader's English, word by word: measures, foods, what is done to them. A line that does
 * not sound of it is left as it stands, and so is what the lists do not hold: it comes back as a doubt.
 *
 * @param line as written
 * @returns the line to read, in English as far as the words are known
 */
export function intoEnglish(line: string): string {
  return heardIn(line).english;
}

/** Plain English by its small words: nothing in it is to be heard as another tongue. */
const ENGLISH = /\b(?:the|and|with|until|for|add|then|to a|into)\b/i;

/** A sentence of a method in English; in German the word that tells what is done comes last. */
export function methodInEnglish(sentence: string): { english: string; isDeedLast: boolean } {
  return ENGLISH.test(sentence) ? { english: sentence, isDeedLast: false } : heardIn(sentence);
}

function heardIn(line: string): { english: string; isDeedLast: boolean } {
  const tokens = tokensOf(line);
  const heard = TONGUES.map(({ tongue, byFirst }) => ({
    tongue,
    byFirst,
    words: tokens.filter((token) => byFirst.has(plain(token))).length,
    sounds: tongue.tells.test(line),
  }))
    .filter((one) => one.words > 0)
    .sort((a, b) => Number(b.sounds) - Number(a.sounds) || b.words - a.words)[0];
  if (!heard) return { english: line, isDeedLast: false };
  return { english: saidIn(tokens, heard.byFirst), isDeedLast: heard.tongue === GERMAN };
}

function saidIn(tokens: readonly string[], byFirst: ReadonlyMap<string, readonly Phrase[]>): string {
  let said = '';
  for (let at = 0; at < tokens.length; ) {
    const phrase = byFirst.get(plain(tokens[at]!))?.find((one) => stands(tokens, at, one.words));
    said += phrase ? ` ${phrase.means} ` : tokens[at];
    at += phrase ? 2 * phrase.words.length - 1 - elisions(phrase.words) : 1;
  }
  return said
    .replace(/\s+/g, ' ')
    .replace(/ (?=[,;)])/g, '')
    .trim();
}

/** Words of a phrase stand with one gap between them, and none after an apostrophe. */
function stands(tokens: readonly string[], from: number, words: readonly string[]): boolean {
  let at = from;
  return words.every((word, i) => {
    const isHere = tokens[at] !== undefined && plain(tokens[at]!) === word;
    at += word.endsWith("'") && i < words.length - 1 ? 1 : 2;
    return isHere;
  });
}

const elisions = (words: readonly string[]): number =>
  words.slice(0, -1).filter((word) => word.endsWith("'")).length;
