import { type DrawnLot, type Ingredient, rowOfLot, soakedRow, soakHours } from '../matter';
import { own, recordOf } from '../own';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';

/** Kilograms of a food that went into the pot, as planned or not, and did not turn out to have been forgotten. */
export interface WentIn {
  /** the line it went in for; null for what was added beside the recipe */
  lineId: string | null;
  ingredientId: string;
  /** edible */
  kg: number;
  lotId: string | null;
  /** what its lot held as it was drawn; null for what came from no lot, and in logs of before */
  drawn: DrawnLot | null;
  /** the row of a food that the batch did not start with */
  row: Ingredient | null;
}

/** Something of a line has gone in. */
export function hasGoneIn({ wentIn }: Pick<BatchState, 'wentIn'>, lineId: string): boolean {
  return wentIn.some((one) => one.lineId === lineId);
}

/** Kilograms of a line that have gone in so far. */
export function kgOfLine({ wentIn }: Pick<BatchState, 'wentIn'>, lineId: string): number {
  return wentIn.reduce((sum, one) => (one.lineId === lineId ? sum + one.kg : sum), 0);
}

/** Kilograms of each food that have gone in, by its id. */
export function kgByFood({ wentIn }: Pick<BatchState, 'wentIn'>): Record<string, number> {
  const kgById = recordOf<number>();
  for (const { ingredientId, kg } of wentIn) kgById[ingredientId] = (own(kgById, ingredientId) ?? 0) + kg;
  return kgById;
}

/** The rows of all that a batch started with, and of what else has gone into its pot. */
export function rowsInPot(
  { input }: Pick<BatchSnapshot, 'input'>,
  { wentIn }: Pick<BatchState, 'wentIn'>,
): Readonly<Record<string, Ingredient>> {
  const more = wentIn.flatMap((one) => (one.row ? [[one.ingredientId, one.row] as const] : []));
  return more.length === 0 ? input.ingredients : recordOf([...more, ...Object.entries(input.ingredients)]);
}

/**
 * The row of a food as it goes in: of a lot, what the lot held; of a line that is soaked, with the water it has taken up.
 *
 * @throws RangeError for a food that is not in this batch
 */
export function rowGoingIn(
  { input }: Pick<BatchSnapshot, 'input'>,
  one: {
    ingredientId: string;
    lineId?: string | null;
    drawn?: DrawnLot | null;
    row?: Ingredient | null;
  },
): Ingredient {
  const row = own(input.ingredients, one.ingredientId) ?? one.row;
  if (!row) throw new RangeError(`ingredientId is not in this batch, got ${one.ingredientId}`);
  if (one.drawn) return rowOfLot(row, one.drawn);
  const line = one.lineId ? input.recipe.lines.find(({ id }) => id === one.lineId) : undefined;
  return line?.ingredientId === one.ingredientId ? soakedRow(row, soakHours(line, row)) : row;
}

/** What some of a food costs as it goes in, hundredths of the kitchen's money. */
export function costGoingIn(
  snapshot: Pick<BatchSnapshot, 'input'>,
  one: { ingredientId: string; kg: number; drawn?: DrawnLot | null; row?: Ingredient | null },
): number {
  const price = one.drawn?.centsPerKg ?? own(snapshot.input.pricesCentsPerKg, one.ingredientId) ?? 0;
  return (one.kg / rowGoingIn(snapshot, one).yield) * price;
}
