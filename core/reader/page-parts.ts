import { MEASURE_BY_WORD } from './data/measures';
import { portionsIn } from './portions-in';
import { readAmount, tidyLine } from './read-amount';
import type { Reading } from './reading';
import { runIn } from './run-in';

/** A page taken into its parts. */
export interface PageParts {
  name: string;
  portions: number | null;
  portionMl: number | null;
  ingredientLines: string[];
  /** paragraphs of the method */
  methodLines: string[];
}

const BOWL = /\b(?:bowls?|portions?|servings?) of (\d+)\s*ml\b/i;
const INGREDIENTS_HEAD = /^(?:ingredients|you(?:'ll| will)? need|what you need|zutaten|ingrédients)\s*:?$/i;
const METHOD_HEAD =
  /^(?:method|directions|steps|preparation|procedure|instructions|how to|to make it|zubereitung|préparation)\s*:?$/i;
/** A yield in litres, times of the kitchen, the foot of a page: nothing goes in by them. */
const ASIDE =
  /^(?:(?:makes|yields?|gives)\b.*\b(?:litres?|liters?|l|quarts?|pints?|gallons?|kg)\.?|(?:prep|cook|total|ready)\w*(?: time| in)?\s*:.*|page \d+(?: of \d+)?|- ?\d+ ?-|\d{1,4})$/i;
/** “FOR THE BASE”, “To finish:”: a heading over some of the lines. */
const SECTION = /^(?:(?:for|to) (?:the )?[\p{L} ]{2,30}|[\p{Lu} ]{4,30}|[\p{L} ]{3,30}:)$/u;
const BULLET = /^\s*[-*•▢□·–]\s+/;
const STEP = /^(?:step\s*)?\d+[.):]\s+/i;

/**
 * The parts of a page as it was typed, or copied out of a book or a screen: its name on the first line that is none of the
 * others, whom it serves, ingredient lines, the method. Lines that the copying broke are joined again; numbers of pages and
 * headings are left out.
 *
 * @param read a line as an ingredient
 */
export function pageParts(text: string, read: (line: string) => Reading): PageParts {
  const parts: PageParts = {
    name: '',
    portions: null,
    portionMl: null,
    ingredientLines: [],
    methodLines: [],
  };
  let isMethod = false;
  for (const line of joined(columnsApart(text)).flatMap((one) => runIn(one, read))) {
    if (INGREDIENTS_HEAD.test(line) || ASIDE.test(line)) continue;
    if (METHOD_HEAD.test(line)) {
      isMethod = true;
      continue;
    }
    if (parts.name !== '' && SECTION.test(line) && isHeading(line, read)) continue;
    const bowl = BOWL.exec(line);
    if (bowl) parts.portionMl = Number(bowl[1]);
    if (!isMethod && takeServing(line, parts, read)) continue;
    if (bowl && line.length < 40) continue;
    if (parts.name === '' && !readAmount(tidyLine(line))) {
      parts.name = line;
      continue;
    }
    const step = STEP.exec(line);
    if (!isMethod && (step !== null || isSentence(line)) && !looksLikeIngredient(line, read)) isMethod = true;
    if (isMethod) parts.methodLines.push(step ? line.slice(step[0].length) : line);
    else parts.ingredientLines.push(line);
  }
  return { ...parts, name: parts.name || 'A soup without a name' };
}

/** So many lines in the same two columns, and so much of all that have a gap, are a page set in two. */
const LEAST_ROWS = 4;
const LEAST_IN_COLUMN = 0.7;

/** A page set in two columns, the left before the right; another as it is. */
function columnsApart(text: string): string {
  const rows = text.split(/\r?\n/);
  const gaps = rows.flatMap((row) => {
    const gap = /\S {3,}(?=\S)/.exec(row);
    return gap ? [gap.index + gap[0].length] : [];
  });
  const times = new Map<number, number>();
  for (const at of gaps) times.set(at, (times.get(at) ?? 0) + 1);
  const [column, count] = [...times].sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
  if (count < LEAST_ROWS || count < LEAST_IN_COLUMN * gaps.length) return text;
  // what runs over the gap is set across both
  const isAcross = (row: string) => row.length > column && row.slice(column - 2, column).trim() !== '';
  const first = rows.findIndex((row) => row.length > column && !isAcross(row));
  const head = rows.slice(0, first);
  const body = rows.slice(first);
  const left = body.map((row) => (isAcross(row) ? row : row.slice(0, column)).trimEnd());
  const right = body.map((row) => (isAcross(row) ? '' : row.slice(column)));
  return [...head, ...left, '', ...right].join('\n');
}

/** Lines as they were meant: what is indented or goes on in small letters belongs to the line before. */
function joined(text: string): string[] {
  const raw = text.replace(/^\ufeff/, '').split(/\r?\n/);
  const isBulleted = raw.filter((line) => BULLET.test(line)).length >= 3;
  const lines: string[] = [];
  let isOpen = false;
  for (const one of raw) {
    // a number far to the right is that of the page
    const line = cellsInOrder(one)
      .replace(/\s{4,}\d{1,4}\s*$/, '')
      .replace(/^#+\s*/, '')
      .trim();
    const last = lines.at(-1);
    const isIndented = /^\s{2,}\S/.test(one) && !BULLET.test(one);
    const isTime = /^\d+(?:\s*(?:-|–|to)\s*\d+)?\s*(?:min|hour|hr)/i.test(line);
    const goesOn = isTime || (/^\p{Ll}/u.test(line) && !readAmount(tidyLine(line)));
    const isBroken =
      last !== undefined &&
      isOpen &&
      goesOn &&
      (isIndented || isRunning(last) || (isBulleted && BULLET.test(last)));
    if (line === '') isOpen = false;
    else if (isBroken) lines[lines.length - 1] = `${last} ${line}`;
    else lines.push(line);
    if (line !== '') isOpen = true;
  }
  return lines;
}

/** A row of a sheet: whatever order its cells stand in, the amount before its unit before the food. */
function cellsInOrder(row: string): string {
  const cells = row.split(/\t|;/).map((cell) => cell.trim());
  const isRow = cells.length >= 2 && cells.length <= 6 && cells.some((cell) => /^[\d.,/½¼¾]+$/.test(cell));
  if (!isRow) return row;
  const amount = cells.find((cell) => /^[\d.,/½¼¾]+$/.test(cell))!;
  const rest = cells.filter((cell) => cell !== amount && cell !== '');
  const unit = rest.find((cell) => MEASURE_BY_WORD.has(cell.toLowerCase().replace(/\.$/, '')));
  const foods = rest.filter((cell) => cell !== unit);
  return [amount, ...(unit ? [unit] : []), foods.join(', ')].join(' ');
}

/** Prose that has not come to its end. */
function isRunning(line: string): boolean {
  return line.length > 24 && !/[.!?:;)]$/.test(line) && isSentence(line) && !/^\d/.test(line);
}

/** A line that says whom it serves, alone or beside the name; of a line that is an ingredient it says nothing. */
function takeServing(line: string, parts: PageParts, read: (line: string) => Reading): boolean {
  const serving = parts.portions === null && line.length < 70 ? portionsIn(line) : null;
  if (!serving || (!serving.isSure && parts.name !== '' && serving.at > 0)) return false;
  if (looksLikeIngredient(line, read)) return false;
  parts.portions = serving.portions;
  const before = line
    .slice(0, serving.at)
    .replace(/[\s,;:(.–-]+$/, '')
    .trim();
  if (parts.name === '' && before !== '') parts.name = before;
  return true;
}

/** A heading, unless it is a food that somebody wrote in capitals. */
function isHeading(line: string, read: (line: string) => Reading): boolean {
  return /^(?:for|to)\b|:$/i.test(line) || read(line).ingredientId === null;
}

function isSentence(line: string): boolean {
  return (
    line.length > 45 ||
    /[.!]$/.test(line) ||
    /^(heat|melt|sweat|fry|add|bring|simmer|pour|blend|stir|season|serve|boil|soften|brown|cook|put|warm)\b/i.test(
      line,
    )
  );
}

function looksLikeIngredient(line: string, read: (line: string) => Reading): boolean {
  const tidy = tidyLine(line);
  const isShort = line.length < 90 && !/[.]$/.test(line);
  return isShort && readAmount(tidy) !== null && read(line).ingredientId !== null;
}
