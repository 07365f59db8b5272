import type { Ingredient } from '../matter';
import { IDLE_WORDS } from './data/words';
import { wordsOf } from './ingredient-names';
import type { Reading } from './reading';

/** An ingredient line as a method may speak of it. */
export interface MethodLine {
  reading: Reading;
  ingredient: Ingredient | null;
  /** what it may be called, by its words */
  names: readonly (readonly string[])[];
  /** how much of it has a place, 0..1 */
  placed: number;
  /** it has been lifted out, and its meat waits by the pot */
  isOut: boolean;
}

/** A line that a clause names, and how much of it; `isBack` where it was lifted out and goes in again. */
export interface Named {
  line: number;
  share: number;
  isBack: boolean;
}

interface Token {
  word: string;
  /** a comma, an “and”: what is said of a share does not reach over it */
  isBreak: boolean;
}

/** Words that tell one food from another and are no food by themselves. */
const ADJECTIVES: ReadonlySet<string> = new Set(
  `white red green black yellow brown golden dried dry fresh tinned canned frozen whole ground smoked sweet cold hot plain
  ripe raw cooked large small medium baby young old double single heavy light dark fine coarse pearl split mixed bell
  wild spring sour strong hard soft wine mustard cayenne stick bunch leaf clove head powder seed paste juice sauce stock
  broth water oil vinegar cream milk butter flour chopped stewing`.split(/\s+/),
);

/** A drop of it to help along, not the line. */
const A_LITTLE = /^(?:little|spoon|spoonful|splash|ladle|ladleful|drop|dash|cup)$/;

const COLLECTIVES: readonly [RegExp, (line: MethodLine) => boolean][] = [
  [/\b(?:vegetables|veg|roots)\b/i, ({ ingredient }) => ingredient?.kind === 'vegetable'],
  [/\bspices\b/i, ({ ingredient }) => ingredient?.kind === 'spice'],
  [/\bherbs\b/i, ({ ingredient }) => ingredient?.kind === 'herb'],
  [
    /\b(?:everything|all (?:of )?the (?:other |remaining )?ingredients|all ingredients|(?:remaining|other) ingredients|rest of the ingredients)\b/i,
    ({ reading }) => !reading.toTaste && !isForTheBowl(reading),
  ],
];

/** Kept for the bowls: a garnish, whatever else is said of the pot. */
export const isForTheBowl = (reading: Reading): boolean => /garnish|to serve|to finish/i.test(reading.note);

/**
 * The lines that a clause of a method names, by their whole name, by its last word, by a word that tells them; or all of a
 * kind at once. “Half the basil” is half of it, “the rest” what is left; what is in already is not named again, and meat
 * that was lifted out comes back.
 *
 * @param isPutIn what is said is put in, so that “it” may be what was lifted out; elsewhere “it” is the pot
 */
export function foodsNamed(text: string, lines: readonly MethodLine[], isPutIn: boolean): Named[] {
  const tokens = tokensIn(text);
  const at = matched(tokens, lines);
  const named: Named[] = [];
  lines.forEach((line, i) => {
    const where = at.get(i);
    if (where === undefined) return;
    if (line.isOut) named.push({ line: i, share: 0, isBack: true });
    else {
      const share = shareBefore(tokens, where, 1 - line.placed);
      if (share > 0) named.push({ line: i, share, isBack: false });
    }
  });
  for (const [said, isMeant] of COLLECTIVES) {
    if (!said.test(text)) continue;
    lines.forEach((line, i) => {
      if (line.placed === 0 && isMeant(line) && !named.some((one) => one.line === i))
        named.push({ line: i, share: 1, isBack: false });
    });
  }
  if (isPutIn && /\b(?:meat|flesh|it|them|birds?)\b/i.test(text) && !named.some((one) => one.isBack))
    lines.forEach((line, i) => {
      if (line.isOut) named.push({ line: i, share: 0, isBack: true });
    });
  return named;
}

function tokensIn(text: string): Token[] {
  const parts = text.split(/([,;:()]|\band\b|\bthen\b|\bwith\b)/i);
  return parts.flatMap((part, i): Token[] =>
    i % 2 === 1 ? [{ word: part, isBreak: true }] : wordsOf(part).map((word) => ({ word, isBreak: false })),
  );
}

/** Which token names each line, by the line’s place; whole names before last words before telling ones. */
function matched(tokens: readonly Token[], lines: readonly MethodLine[]): Map<number, number> {
  const at = new Map<number, number>();
  const taken = new Set<number>();
  const names = lines.map((line) => line.names);
  const longest = Math.max(1, ...names.flat().map((name) => name.length));
  for (let length = longest; length > 0; length--) {
    const here: { from: number; line: number }[] = [];
    for (let from = 0; from + length <= tokens.length; from++) {
      if (rangeTaken(taken, from, length)) continue;
      names.forEach((ofLine, line) => {
        if (at.has(line)) return;
        const isNamed = ofLine.some((name) => name.length === length && says(tokens, from, name));
        if (isNamed) here.push({ from, line });
      });
    }
    for (const { from, line } of unplacedFirst(here, lines)) {
      at.set(line, from);
      for (let i = from; i < from + length; i++) taken.add(i);
    }
  }
  const byWord = (isIt: (name: readonly string[], word: string) => boolean) => {
    for (const [from, token] of tokens.entries()) {
      if (token.isBreak || taken.has(from) || isALittle(tokens, from)) continue;
      const here = lines.flatMap((_, line) =>
        !at.has(line) && names[line]!.some((name) => isIt(name, token.word)) ? [{ from, line }] : [],
      );
      for (const { line } of unplacedFirst(here, lines)) {
        at.set(line, from);
        taken.add(from);
      }
    }
  };
  byWord((name, word) => name.at(-1) === word);
  byWord((name, word) => name.includes(word) && !ADJECTIVES.has(word) && !IDLE_WORDS.has(word));
  return at;
}

function rangeTaken(taken: ReadonlySet<number>, from: number, length: number): boolean {
  for (let i = from; i < from + length; i++) if (taken.has(i)) return true;
  return false;
}

const says = (tokens: readonly Token[], from: number, name: readonly string[]): boolean =>
  name.every((word, i) => tokens[from + i]?.word === word && !tokens[from + i]!.isBreak) &&
  !isALittle(tokens, from);

/** “A little water”, “a spoon of water”. */
const isALittle = (tokens: readonly Token[], from: number): boolean =>
  /^(?:water|stock|milk|wine|oil)$/.test(tokens[from]!.word) &&
  [tokens[from - 1], tokens[from - 1]?.word === 'of' ? tokens[from - 2] : undefined].some(
    (token) => token !== undefined && A_LITTLE.test(token.word),
  );

/** Of lines that one word may name, those that have no place yet, where there are such. */
function unplacedFirst(here: { from: number; line: number }[], lines: readonly MethodLine[]) {
  const open = here.filter(({ line }) => lines[line]!.placed < 1 || lines[line]!.isOut);
  return open.length > 0 ? open : here;
}

/** What a method may call a line: by its own words, by its food's name. */
export function namesOf(reading: Reading, ingredient: Ingredient | null): string[][] {
  const names = [wordsOf(reading.name), ...(ingredient ? [wordsOf(ingredient.name.split(',')[0]!)] : [])];
  const nick = /cr[èe]me/i.test(reading.name) ? [['cream']] : [];
  return [...names, ...nick].filter((name) => name.length > 0);
}

function shareBefore(tokens: readonly Token[], at: number, left: number): number {
  for (let i = at - 1; i >= Math.max(0, at - 5) && !tokens[i]!.isBreak; i--) {
    const { word } = tokens[i]!;
    if (/^(rest|remaining|remainder|other)$/.test(word)) return left;
    if (word === 'half') return Math.min(0.5, left);
    if (word === 'third') return Math.min(tokens[i - 1]?.word === 'two' ? 2 / 3 : 1 / 3, left);
    if (word === 'quarter') return Math.min(0.25, left);
  }
  return left < 1 ? 0 : 1;
}
