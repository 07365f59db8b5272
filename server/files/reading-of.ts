import type { FileReading, FileToRead, PriceDifference } from '../../contract';
import { libraryOf, rowsOf } from '../../core/book';
import type { Ingredient } from '../../core/matter';
import { own } from '../../core/own';
import { readingTable, readRecipeText } from '../../core/reader';
import type { BookHere } from '../recipes/sound-recipe';
import { type BookIntake, bookIntake } from './book-difference';
import { isBook, readBook } from './book-json';
import { fileProblem } from './file-problem';
import { linesOfHtml, linkedData } from './html-text';
import { readJsonLd } from './json-ld';
import { readPrices } from './prices-csv';

/** Reads a file by its name and what it looks like, beside what stands here. Nothing is kept. */
export function readingOf({ name, text }: FileToRead, here: BookHere): FileReading {
  const library = libraryOf(here.foods, here.book);
  if (/\.csv$/i.test(name))
    return { kind: 'prices', difference: priceDifference(text, library.ingredients, here) };
  if (isBook(text)) return { kind: 'book', difference: bookIntake(readBook(text), here).difference };
  const table = readingTable(rowsOf(library), here.units);
  const isPage = /^\ufeff?\s*</.test(text);
  const hasData = isPage && linkedData(text).length > 0;
  if (hasData || (!isPage && (/\.(json|jsonld)$/i.test(name) || /^\ufeff?\s*[{[]/.test(text))))
    return { kind: 'drafts', drafts: readJsonLd(text, table) };
  // a saved page without data of its own is read as it stands
  const draft = readRecipeText(isPage ? linesOfHtml(text).join('\n') : text, table);
  if (draft.written.length > 0) return { kind: 'drafts', drafts: [draft] };
  throw fileProblem(
    'file',
    isPage
      ? 'There is no recipe in this page: neither data of it (schema.org Recipe) nor an ingredient line.'
      : 'No ingredient line was found in this text: a line such as “2 large onions, sliced”.',
  );
}

/** A book to be taken in, with the rows it comes to. */
export function intakeOf({ text }: Pick<FileToRead, 'text'>, here: BookHere): BookIntake {
  return bookIntake(readBook(text), here);
}

function priceDifference(
  text: string,
  ingredients: Readonly<Record<string, Ingredient>>,
  { foods }: BookHere,
): PriceDifference {
  const read = readPrices(text, ingredients).map((row) => ({
    ...row,
    name: ingredients[row.ingredientId]!.name,
    beforeCentsPerKg: own(foods.pricesCentsPerKg, row.ingredientId) ?? null,
    beforeSupplier: own(foods.suppliers, row.ingredientId) ?? null,
  }));
  const prices = read.filter(
    (row) =>
      row.beforeCentsPerKg === null ||
      Math.abs(row.beforeCentsPerKg - row.centsPerKg) >= CENT_PARTS ||
      (row.supplier !== undefined && row.supplier !== row.beforeSupplier),
  );
  return { prices, same: read.length - prices.length };
}

/** A price is written to the hundredth of the kitchen's money: what differs by less is the same. */
const CENT_PARTS = 0.5;
