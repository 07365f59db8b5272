import Papa from 'papaparse';
import type { OrdersRead } from '../../contract';
import { ALLERGENS, type Allergen } from '../../core/matter';
import { PORTION_WORDS, type PortionKind, type PortionWord } from '../../core/portions';
import { fileProblem } from '../files/file-problem';
import { kindFor } from './kind-for';

/** No file has more orders: a service has fewer guests. */
const MOST_ROWS = 2000;

/**
 * Reads orders: columns `count`, and `portion`, `ml`, `without`, `for` where there are any; each row is an order. The first
 * row that is wrong is said with its line, and nothing is taken.
 *
 * @param kinds of the batch they are for
 */
export function readOrders(text: string, kinds: readonly PortionKind[]): OrdersRead['orders'] {
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const fields = meta.fields ?? [];
  if (!fields.includes('count'))
    throw fileProblem(
      'line 1',
      `Line 1 must name the column count; it names ${fields.filter((one) => one !== '').join(', ') || 'nothing'}.`,
    );
  const broken = errors.find((error) => error.type !== 'Delimiter');
  if (broken) throw wrong((broken.row ?? 0) + 2, `${broken.message.toLowerCase()}.`);
  if (data.length > MOST_ROWS) throw wrong(MOST_ROWS + 2, `a file has at most ${MOST_ROWS} orders.`);
  return data.map((row, i) => {
    const line = i + 2;
    const count = Number((row.count ?? '').trim());
    if (!Number.isInteger(count) || count < 1 || count > MOST_ROWS)
      throw wrong(line, `count must be a whole number from 1 to ${MOST_ROWS}, not “${row.count ?? ''}”.`);
    const word = (row.portion ?? '').trim().toLowerCase() || 'bowl';
    if (!PORTION_WORDS.includes(word as PortionWord))
      throw wrong(line, `portion is ${PORTION_WORDS.join(', ')}, not “${row.portion}”.`);
    const ml = (row.ml ?? '').trim();
    if (ml !== '' && !(Number(ml) > 0)) throw wrong(line, `ml must be a number above 0, not “${row.ml}”.`);
    const kind = kindFor(kinds, { portion: word as PortionWord, ...(ml ? { ml: Number(ml) } : {}) });
    if (!kind) throw wrong(line, `this order has no ${word}${ml ? ` of ${ml} mL` : ''}.`);
    const freeOf = allergensIn(row.without ?? '', line);
    const words = (row.for ?? '').trim().slice(0, 60);
    return {
      items: [{ kindId: kind.id, count }],
      ...(freeOf.length > 0 ? { freeOf } : {}),
      ...(words ? { words } : {}),
    };
  });
}

/** Allergens by their words or their ids, with commas or semicolons between. */
function allergensIn(text: string, line: number): Allergen[] {
  const said = text
    .split(/[,;/]| and /)
    .map((one) => one.trim().toLowerCase())
    .filter(Boolean);
  return said.map((one) => {
    const found = (Object.keys(ALLERGENS) as Allergen[]).find(
      (id) => id.toLowerCase() === one || ALLERGENS[id].name === one,
    );
    // what is not understood of what a guest may not eat is never passed over
    if (!found) throw wrong(line, `“${one}” is none of the allergens Slow Pot knows.`);
    return found;
  });
}

const wrong = (line: number, what: string) => fileProblem(`line ${line}`, `Line ${line}: ${what}`);
