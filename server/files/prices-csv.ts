import Papa from 'papaparse';
import type { Ingredient } from '../../core/matter';
import { own } from '../../core/own';
import { fileProblem } from './file-problem';

/** No food costs more a kg: a price over it is a slip. */
const MOST_PRICE = 100_000;

export interface PriceRow {
  ingredientId: string;
  centsPerKg: number;
  supplier?: string;
}

/** Prices as CSV: a row an ingredient, price a kg as purchased, who brings it, where it is kept, what trimming leaves. */
export function writePrices(
  ingredients: readonly Ingredient[],
  pricesCentsPerKg: Readonly<Record<string, number>>,
  suppliers: Readonly<Record<string, string>>,
): string {
  const rows = ingredients.map((row) => ({
    id: row.id,
    ingredient: row.name,
    price_per_kg: pricesCentsPerKg[row.id] === undefined ? '' : (pricesCentsPerKg[row.id]! / 100).toFixed(2),
    supplier: suppliers[row.id] ?? '',
    place: row.store,
    yield_percent: Number((row.yield * 100).toFixed(1)),
  }));
  return `${Papa.unparse(rows)}\r\n`;
}

/**
 * Reads prices: columns `id` or `ingredient`, `price_per_kg`, and `supplier` if there is one. A row without a price is
 * passed over; the first row that is wrong is said with its line, and nothing is taken.
 */
export function readPrices(text: string, ingredients: Readonly<Record<string, Ingredient>>): PriceRow[] {
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase().replace(/\s+/g, '_'),
  });
  const fields = meta.fields ?? [];
  if (!fields.includes('price_per_kg') || !(fields.includes('id') || fields.includes('ingredient'))) {
    throw fileProblem(
      'line 1',
      `Line 1 must name the columns id or ingredient, and price_per_kg; it names ${fields.filter((one) => one !== '').join(', ') || 'nothing'}.`,
    );
  }
  const broken = errors.find((error) => error.type !== 'Delimiter');
  if (broken)
    throw fileProblem(
      `line ${(broken.row ?? 0) + 2}`,
      `Line ${(broken.row ?? 0) + 2}: ${broken.message.toLowerCase()}.`,
    );
  const byName = new Map(Object.values(ingredients).map((row) => [row.name.toLowerCase(), row.id]));
  const seen = new Map<string, number>();
  return data.flatMap((row, i): PriceRow[] => {
    const line = i + 2;
    const said = (row.id ?? '').trim() || (row.ingredient ?? '').trim();
    const id = own(ingredients, said)?.id ?? byName.get(said.toLowerCase());
    if (!id)
      throw fileProblem(`line ${line}`, `Line ${line}: there is no ingredient “${said}” in the table.`);
    const price = (row.price_per_kg ?? '').trim();
    if (price === '') return [];
    if (/^\d{1,3},\d{3}$/.test(price))
      throw fileProblem(
        `line ${line}`,
        `Line ${line}: “${price}” may be ${price.replace(',', '.')} or ${price.replace(',', '')}: write it without the comma.`,
      );
    // figures and one point or comma: “0x1f” and “1e3” are slips, whatever a machine makes of them
    const value = /^\d+(?:[.,]\d+)?$/.test(price) ? Number(price.replace(',', '.')) : Number.NaN;
    if (!Number.isFinite(value) || value > MOST_PRICE)
      throw fileProblem(`line ${line}`, `Line ${line}: “${price}” is not a price.`);
    if (seen.has(id))
      throw fileProblem(`line ${line}`, `Line ${line}: ${said} is in line ${seen.get(id)} too.`);
    seen.set(id, line);
    const supplier = (row.supplier ?? '').trim();
    return [
      { ingredientId: id, centsPerKg: Math.round(value * 1e6) / 1e4, ...(supplier ? { supplier } : {}) },
    ];
  });
}
