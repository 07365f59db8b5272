import { asc, eq } from 'drizzle-orm';
import { check, ingredientSchema } from '../../contract';
import type { Ingredient } from '../../core/matter';
import { type Measures, measuresOf } from '../../core/units';
import { prepared } from './prepared';
import { kitchens, ownIngredients, prices } from './schema';
import type { Db, Tx } from './storage';

export type KitchenRow = Omit<typeof kitchens.$inferSelect, 'id' | 'units' | 'measures'> & {
  measures: Measures;
};

/** What the kitchen says of itself; undefined before it has said anything. */
export function kitchenRow(db: Db): KitchenRow | undefined {
  const row = prepared(db, 'kitchen', () => db.select().from(kitchens).limit(1).prepare()).get();
  if (!row) return undefined;
  const { id: _only, units, measures, ...kitchen } = row;
  return { ...kitchen, measures: measures ?? measuresOf(units) };
}

export function updateKitchen(tx: Tx, settings: Partial<KitchenRow>): void {
  tx.update(kitchens).set(settings).where(eq(kitchens.id, 1)).run();
}

/** A kitchen as it is first said, without its things. */
export function insertKitchen(tx: Tx, kitchen: typeof kitchens.$inferInsert): void {
  tx.insert(kitchens)
    .values({ ...kitchen, id: 1 })
    .run();
}

export interface PriceRow {
  ingredientId: string;
  centsPerKg: number;
  supplier: string | null;
}

export function priceRows(db: Db): PriceRow[] {
  return db.select().from(prices).all();
}

/** Sets prices; a supplier that is not named stays, an empty one goes. */
export function setPrices(
  tx: Tx,
  rows: readonly { ingredientId: string; centsPerKg: number; supplier?: string | undefined }[],
): void {
  for (const { ingredientId, centsPerKg, supplier } of rows) {
    tx.insert(prices)
      .values({ ingredientId, centsPerKg, supplier: supplier || null })
      .onConflictDoUpdate({
        target: prices.ingredientId,
        set: { centsPerKg, ...(supplier === undefined ? {} : { supplier: supplier || null }) },
      })
      .run();
  }
}

export function ownIngredientRows(db: Db): Ingredient[] {
  return db
    .select()
    .from(ownIngredients)
    .orderBy(asc(ownIngredients.id))
    .all()
    .flatMap((own) => readable(own.row) ?? []);
}

/** A row as far as it can be read: what of it is not of its type is left out, and a row without its figures is none. */
function readable(row: Ingredient): Ingredient | null {
  let read: Record<string, unknown> = { ...row };
  for (let tries = Object.keys(row).length; tries > 0; tries--) {
    const found = check(ingredientSchema, read);
    if (found.ok) return read as unknown as Ingredient;
    const field = found.errors[0]!.field.split('.')[0]!;
    if (!Object.hasOwn(read, field) || NEEDED.includes(field)) return null;
    const { [field]: _unread, ...rest } = read;
    read = rest;
  }
  return null;
}

/** Without these a food is none. */
const NEEDED: readonly string[] = [
  'id',
  'name',
  'kind',
  'perKg',
  'allergens',
  'diet',
  'share',
  'store',
  'yield',
];

export function setOwnIngredient(tx: Tx, row: Ingredient): void {
  tx.insert(ownIngredients)
    .values({ id: row.id, row })
    .onConflictDoUpdate({ target: ownIngredients.id, set: { row } })
    .run();
}
