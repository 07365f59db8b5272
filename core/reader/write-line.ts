import type { Ingredient } from '../matter';
import { readLine } from './read-line';
import type { ReadingTable } from './reading-table';

/**
 * Writes a line so that reading it gives it back: edible grams, the ingredient, its cut, whether it is lifted out.
 *
 * @param edibleKg 0 or above
 * @returns one line, such as “700 g onion, small dice”; weights of food with trim are written as purchased
 */
export function writeLine(
  of: { ingredient: Ingredient; edibleKg: number; cut?: string; comesOut?: boolean },
  table: ReadingTable,
): string {
  const name = writtenName(of.ingredient, table);
  const purchasedG = (of.edibleKg * 1000) / of.ingredient.yield;
  const isByNature = of.ingredient.out !== undefined;
  return [
    `${gramsWritten(purchasedG)} ${name}`,
    of.cut ? `, ${of.cut}` : '',
    of.comesOut && !isByNature ? ' (lift out)' : '',
  ].join('');
}

/** The shortest of its names that is read back as itself, with nothing passed over. */
export function writtenName(ingredient: Ingredient, table: ReadingTable): string {
  const plain = ingredient.name.toLowerCase();
  const names = [
    plain,
    plain.split(',')[0]!,
    ...(ingredient.aliases ?? []),
    ingredient.id.replace(/-/g, ' '),
  ];
  const isItself = (name: string) => {
    const read = readLine(`100 g ${name}`, table);
    return read.ingredientId === ingredient.id && read.cut === '' && read.warnings.length === 0;
  };
  return names.find(isItself) ?? plain;
}

/** Enough digits that nothing is lost between writing and reading: a hundredth of a gram. */
function gramsWritten(grams: number): string {
  return grams >= 1000 ? `${Number((grams / 1000).toFixed(5))} kg` : `${Number(grams.toFixed(2))} g`;
}
