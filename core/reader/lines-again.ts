import type { Recipe, RecipeLine, WrittenLine } from '../recipe';
import { linesOf, type Understood } from './lines-of';
import type { ReadingTable } from './reading-table';
import { writtenOf } from './written-of';

/**
 * A table that knows what a recipe's lines were saved with: a line keeps its food until a person changes what it names,
 * whatever else may be called so by now.
 */
export function tableOf(table: ReadingTable, was: Recipe | null): ReadingTable {
  if (!was) return table;
  const written = writtenOf(was, table);
  const saved = new Map(
    written.flatMap((line) => {
      const ingredientId = was.lines.find((one) => writtenIdOf(one) === line.id)?.ingredientId;
      // one that was corrected says so itself
      return ingredientId && !line.ingredientId
        ? [[line.id, { text: line.text, ingredientId }] as const]
        : [];
    }),
  );
  return { ...table, saved };
}

/**
 * A recipe's lines from its written ones, as `linesOf`, held against the version before it: what nobody touched keeps its
 * food, its grams and its way of scaling.
 *
 * @param was the version it is written over; null for a new recipe
 * @returns lines, those not understood, and the ids of written lines that stand as they stood
 */
export function linesAgain(
  recipe: Pick<Recipe, 'litres' | 'portionMl' | 'stages'>,
  written: readonly WrittenLine[],
  table: ReadingTable,
  was: Recipe | null,
): { lines: RecipeLine[]; notUnderstood: Understood[]; untouched: ReadonlySet<string> } {
  const read = linesOf(recipe, written, tableOf(table, was));
  const isSameSize = was?.litres === recipe.litres && was.portionMl === recipe.portionMl;
  if (!was || !isSameSize) return { ...read, untouched: new Set() };
  const before = new Map(writtenOf(was, table).map((line) => [line.id, JSON.stringify(line)]));
  const untouched = new Set(
    written.flatMap((line) => (before.get(line.id) === JSON.stringify(line) ? [line.id] : [])),
  );
  return { ...read, lines: asTheyWere(read.lines, was, untouched), untouched };
}

/** A line that nobody touched is not read again: that would round it. */
function asTheyWere(read: readonly RecipeLine[], was: Recipe, untouched: ReadonlySet<string>): RecipeLine[] {
  const kept = new Set<string>();
  return read.flatMap((line) => {
    const id = writtenIdOf(line);
    if (!untouched.has(id)) return [line];
    if (kept.has(id)) return [];
    kept.add(id);
    return was.lines.filter((one) => writtenIdOf(one) === id);
  });
}

const writtenIdOf = (line: RecipeLine): string => line.writtenId ?? line.id;
