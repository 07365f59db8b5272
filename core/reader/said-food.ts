import type { Ingredient } from '../matter';
import { own } from '../own';
import type { WrittenUnit } from './data/measures';
import { type FoundName, findName, nearName, wordsOf } from './ingredient-names';
import type { ParseWarning } from './reading';
import type { ReadingTable } from './reading-table';
import { inItsState, preserved, spansTheAnd, wholeOne } from './which-food';

/** The words of a line that name its food, and those that say what is done to it. */
export interface SaidName {
  /** up to the comma */
  head: string;
  tail: string;
  /** “in 1 cm dice” */
  inCut: string;
  /** the first of two, or the first of what may be taken */
  first: string;
  words: readonly string[];
  /** a second food is named beside it */
  isTwo: boolean;
  isEither: boolean;
  /** “stuck with 2 cloves”, “mixed with water” */
  isWithAnother: boolean;
}

const IN_A_CUT =
  / (in|into|cut in|cut into) ([\d.,/ ]+ ?(mm|cm)\b.*|chunks|lardons|strips|wedges|rounds|rings|half.*)$/i;
const WITH_ANOTHER =
  / (?:stuck|studded|spiked|(?:mixed|blended|slaked|dissolved|stirred|whisked|worked)(?: up| together)?(?: in| into)?) (?:with |in |into )?(.*)$/i;

/** @param rest of the line, its amount taken off */
export function saidName(rest: string, fruit: string | null, table: ReadingTable): SaidName {
  const comma = rest.search(/,(?!\d)|;|\s-\s/);
  const before = (comma < 0 ? rest : rest.slice(0, comma)).trim();
  const tail =
    comma < 0
      ? ''
      : rest
          .slice(comma)
          .replace(/^[,;]?\s*-?\s*/, '')
          .trim();
  const inCut = IN_A_CUT.exec(before);
  const uncut = fruit ?? (inCut ? before.slice(0, inCut.index) : before);
  const joined = `${uncut}${tail === '' ? '' : `, ${tail}`}`.replace(
    /, (?=(?:stuck|studded|spiked) with)/i,
    ' ',
  );
  const another = WITH_ANOTHER.exec(joined)?.[1];
  const isWithAnother = another !== undefined && !isWater(another, table);
  const head = another !== undefined ? uncut.replace(WITH_ANOTHER, '') : uncut;
  const isEither = / or /i.test(head);
  const first = isEither ? head.split(/ or /i)[0]! : head;
  const isTwo =
    / (and|&) /i.test(first) &&
    !/ and (peeled|chopped|drained|sliced|diced|deveined|bearded|cleaned)/i.test(first) &&
    !spansTheAnd(table.names, first);
  return {
    head,
    tail,
    inCut: inCut?.[0].trim() ?? '',
    first,
    words: wordsOf(isTwo ? first.split(/ (?:and|&) /i)[0]! : first),
    isTwo,
    isEither,
    isWithAnother,
  };
}

/** What starch is slaked with is no food to ask about. */
function isWater(text: string, { names, ingredients }: ReadingTable): boolean {
  const found = findName(names, wordsOf(text));
  return found !== null && ingredients[found.ingredientId]!.kind === 'water';
}

/** Which food of the table a line means, and what is doubtful in that. */
export interface SaidFood {
  found: FoundName | null;
  ingredient: Ingredient | null;
  /** of the line's words, those that name it */
  name: string;
  /** “greens (kale)”: the words in the brackets name it */
  inBrackets: string | null;
  warnings: ParseWarning[];
}

/**
 * @param of the name, what stood in brackets, whether it is counted and by which unit; the food it is kept as
 * @param byTheSpelling takes a name that is spelt nearly so
 */
export function saidFood(
  of: {
    name: SaidName;
    notes: readonly string[];
    unit: WrittenUnit | null;
    isCounted: boolean;
    keptId?: string;
  },
  table: ReadingTable,
  byTheSpelling: boolean,
): SaidFood {
  const { name, notes } = of;
  const warnings: ParseWarning[] = [];
  const nameOf = (id: string) => table.ingredients[id]!.name;
  const other = notes.find((note) => /^or\b|\b\w+ or \w+\b/i.test(note) && !/more or less/i.test(note));
  if (name.isEither) warnings.push({ kind: 'either', words: name.head });
  else if (other) warnings.push({ kind: 'either', words: `${name.head} (${other})` });

  let found = name.isEither ? ofTheFirst(name, table) : findName(table.names, name.words);
  if (name.isTwo) {
    const second = findName(table.names, wordsOf(name.first.split(/ (?:and|&) /i)[1]!));
    if (second && found && second.ingredientId !== found.ingredientId)
      warnings.push({ kind: 'two', name: nameOf(found.ingredientId) });
  }
  if (!found && byTheSpelling) {
    found = nearName(table.names, name.words);
    if (found) warnings.push({ kind: 'likely', name: nameOf(found.ingredientId), unread: null });
  }
  const inBrackets = found ? null : wholeNameIn(notes, table);
  const said = found ? name.words.slice(found.from, found.to).join(' ') : name.head;
  if (found && table.names.standIns.has(said) && of.keptId === undefined)
    warnings.push({ kind: 'standsIn', said, name: nameOf(found.ingredientId) });
  const inState = inItsState(table.names, name.words, found, name.tail);
  if (inState) found = inState;
  if (found && of.unit === null && of.isCounted) found = wholeOne(table, name.words, found);
  const kept = of.keptId === undefined ? undefined : own(table.ingredients, of.keptId);
  const ingredient =
    kept ?? (found ? preserved(table, table.ingredients[found.ingredientId]!, of.unit, name.words) : null);
  if (ingredient && (name.isWithAnother || (!inState && isAnother(table, name.tail))))
    warnings.push({ kind: 'two', name: ingredient.name });
  return { found, ingredient, name: said, inBrackets, warnings };
}

/** Of two that may be taken the first; “beef or vegetable stock” is a stock. */
function ofTheFirst({ words, head }: SaidName, { names }: ReadingTable): FoundName | null {
  const first = findName(names, words);
  const noun = wordsOf(head).at(-1)!;
  const shared = findName(names, [...words, noun]);
  if (shared && shared.to === words.length + 1 && shared.to - shared.from > 1)
    return { ...shared, to: words.length };
  return first ?? findName(names, wordsOf(head));
}

/** The first note in brackets that is the name of a food and nothing else. */
function wholeNameIn(notes: readonly string[], table: ReadingTable): string | null {
  for (const note of notes) {
    const words = wordsOf(note);
    const found = findName(table.names, words);
    if (found?.from === 0 && found.to === words.length) return words.join(' ');
  }
  return null;
}

/** After the comma stands a food of its own, nothing that was done to the first: “salt, pepper”. */
function isAnother(table: ReadingTable, tail: string): boolean {
  const words = wordsOf(tail.split(',')[0]!);
  const found = findName(table.names, words);
  return found !== null && found.from === 0 && found.to === words.length;
}
