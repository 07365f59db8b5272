import type { FileReading, FileToRead } from '../../contract';
import type { Ingredient } from '../../core/matter';
import { type ReadingTable, readRecipeText } from '../../core/reader';
import { isBook, readBook } from './book-json';
import { fileProblem } from './file-problem';
import { readJsonLd } from './json-ld';
import { readPrices } from './prices-csv';

/** Reads a file by its name and what it looks like. Nothing is kept. */
export function readFile(
  file: FileToRead,
  table: ReadingTable,
  ingredients: Readonly<Record<string, Ingredient>>,
): FileReading {
  const { name, text } = file;
  if (/\.csv$/i.test(name)) return { kind: 'prices', prices: readPrices(text, ingredients) };
  if (isBook(text)) return { kind: 'book', ...readBook(text) };
  if (/\.(json|jsonld|html?)$/i.test(name) || /^\s*[<{[]/.test(text)) {
    return { kind: 'drafts', drafts: readJsonLd(text, table) };
  }
  const draft = readRecipeText(text, table);
  if (draft.written.length === 0) {
    throw fileProblem(
      'file',
      'No ingredient line was found in this text: a line such as “2 large onions, sliced”.',
    );
  }
  return { kind: 'drafts', drafts: [draft] };
}
