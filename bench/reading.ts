import { INGREDIENT_BY_ID } from '../core/matter';
import { readingTable, readRecipeText } from '../core/reader';
import { LINES_OF_MANY_HANDS } from '../core/reader/data/lines-of-many-hands';
import { medianMs } from './median-ms';

/**
 * A page of sixty lines and a method read off paper, as the house ships it, beside the same page merely cut into words.
 * Medians after a warm-up; fails where the reading takes more than is allowed.
 */
const MOST_MS = 10;

const METHOD =
  'Sweat the vegetables for 10 minutes. Add the stock and bring to the boil. Simmer for an hour, lid ajar. Lift out the chicken and pick the meat. Blend a third, return the meat, season and serve.';
const lines = LINES_OF_MANY_HANDS.slice(0, 60).map((line) => line.text);
const page = ['Soup', 'Serves 40', ...lines, '', METHOD].join('\n');
const table = readingTable(INGREDIENT_BY_ID);
const readMs = medianMs(() => readRecipeText(page, table));
const cutMs = medianMs(() => page.split(/[^\p{L}\p{N}]+/u));
console.log(
  `a page of ${lines.length} lines: read in ${readMs.toFixed(1)} ms (at most ${MOST_MS}), ${Math.round(readMs / cutMs)} times cutting it into words`,
);
if (readMs > MOST_MS) process.exit(1);
