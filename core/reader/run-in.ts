import { readAmount, tidyLine } from './read-amount';
import type { Reading } from './reading';

/** A list has at least so many things in it, and so much of them says how much. */
const LEAST_THINGS = 4;
const LEAST_SHARE = 0.6;
/** No shorter line holds such a list. */
const LEAST_LETTERS = 60;

/**
 * A list run on in one paragraph, “1 onion, diced; 2 carrots; 3 litres stock.”, taken into its lines, with what stands
 * before and after it on lines of their own. A paragraph that holds none comes back as it is.
 *
 * @param read a line as an ingredient
 */
export function runIn(paragraph: string, read: (line: string) => Reading): string[] {
  if (paragraph.length < LEAST_LETTERS) return [paragraph];
  const sentences = paragraph.split(/(?<=[.])\s+(?=[\p{Lu}\d½¼¾])/u);
  const at = sentences.findIndex((sentence) => thingsIn(sentence, read) !== null);
  if (at < 0) return [paragraph];
  const after = sentences.slice(at + 1).join(' ');
  return [
    ...sentences.slice(0, at),
    ...thingsIn(sentences[at]!, read)!,
    ...(after === '' ? [] : runIn(after, read)),
  ];
}

function thingsIn(sentence: string, read: (line: string) => Reading): string[] | null {
  const text = sentence.replace(/\.\s*$/, '');
  const bySemicolon = text.split(/\s*;\s*/);
  const things = bySemicolon.length >= LEAST_THINGS ? bySemicolon : byComma(text, read);
  const measured = things.filter((thing) => readAmount(tidyLine(thing)) !== null && read(thing).ingredientId);
  return things.length >= LEAST_THINGS && measured.length >= LEAST_SHARE * things.length ? things : null;
}

/** At each comma after which a new amount stands, or a food by its name alone; “, diced” stays with its food. */
function byComma(text: string, read: (line: string) => Reading): string[] {
  const things: string[] = [];
  for (const part of outsideBrackets(text)) {
    const isNew =
      readAmount(tidyLine(part)) !== null || /^(?:salt|pepper)\b/i.test(part) || isFood(part, read);
    if (isNew || things.length === 0) things.push(part);
    else things[things.length - 1] += `, ${part}`;
  }
  return things;
}

/** The name of a food, and no more words than that. */
function isFood(part: string, read: (line: string) => Reading): boolean {
  const { ingredientId, warnings } = read(part);
  return ingredientId !== null && !warnings.some((one) => one.kind === 'likely' || one.kind === 'unknown');
}

const outsideBrackets = (text: string): string[] => text.split(/,\s+(?![^(]*\))/);
