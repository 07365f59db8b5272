import type { LineDraw } from '../batch';
import type { Ingredient } from '../matter';
import { type Plan, type PlanInput, planBatch } from '../plan';
import { recipeIdOf } from '../recipe';

import { type Drawable, drawLots, oldestFirst, type PassedOver } from './draw-lots';
import type { LotContents, LotOrigin } from './lot';
import { mixContents } from './mix-contents';

/** A lot as planning sees it: what it is (as read), what is left, what it costs. */
export interface ShelfLot extends Drawable {
  number: number;
  origin: LotOrigin;
  contents: LotContents;
  centsPerKg: number;
}

/** A base that the larder has not enough of. */
export interface ShortLine {
  lineId: string;
  rowId: string;
  name: string;
  wantedKg: number;
  shortKg: number;
  densityKgPerL: number;
  passedOver: readonly PassedOver[];
}

export interface PlanWithLots {
  input: PlanInput;
  plan: Plan;
  draws: LineDraw[];
  shorts: ShortLine[];
}

/** Two lots this different in salt or solids, as a share of a kilogram, change a plan. */
const SAME_WITHIN = 1e-6;

/** The lots that can stand for a row. */
export function lotsFor<T extends Pick<ShelfLot, 'contents'>>(rowId: string, lots: readonly T[]): T[] {
  return lots.filter((lot) => lot.contents.satisfies.includes(rowId));
}

/** A base: what the house makes ahead and a soup stands on. Bouillon and the like are bought, and no base. */
export function isBaseRow(row: Pick<Ingredient, 'id' | 'kind' | 'perKg'>): boolean {
  return recipeIdOf(row.id) !== null || (row.kind === 'stock' && row.perKg.water > 0.5);
}

/** The order with the rows of what will be drawn first laid over the table’s: its salt, its strength, its price. */
export function layLots(input: PlanInput, lots: readonly ShelfLot[]): PlanInput {
  const firsts = Object.keys(input.ingredients).flatMap((rowId) => {
    const there = oldestFirst(lotsFor(rowId, lots)).filter((lot) => isDrawable(lot, input.serviceAtMs));
    return there[0] ? [{ rowId, poured: [{ lot: there[0], kg: 1 }] }] : [];
  });
  return laidOver(input, firsts);
}

/**
 * Plans an order from what is on the shelf: each line draws the oldest lots that are still good at service; where two
 * lots of one base differ, the plan goes by what they are poured together. What is not there is short, never promised.
 *
 * @param input the order with rows of the table
 * @param lots the shelf
 * @throws RangeError as `planBatch`
 * @source docs/model.md § 13
 */
export function planWithLots(input: PlanInput, lots: readonly ShelfLot[]): PlanWithLots {
  const first = layLots(input, lots);
  let plan = planBatch(first);
  let drawn = drawnBy(first, plan, lots);
  let laid = first;
  if (drawn.mixed.length > 0) {
    laid = laidOver(first, drawn.mixed);
    plan = planBatch(laid);
    drawn = drawnBy(laid, plan, lots);
  }
  return { input: laid, plan, draws: drawn.draws, shorts: drawn.shorts };
}

function isDrawable(lot: ShelfLot, atMs: number): boolean {
  const isPast = lot.useByMs !== null && lot.useByMs < atMs && !lot.mayBePast;
  return lot.leftKg > 0 && lot.storage !== 'frozen' && !isPast;
}

interface Laid {
  rowId: string;
  poured: readonly { lot: ShelfLot; kg: number }[];
}

function drawnBy(input: PlanInput, plan: Plan, lots: readonly ShelfLot[]) {
  const leftKg = new Map(lots.map((lot) => [lot.id, lot.leftKg]));
  const draws: LineDraw[] = [];
  const shorts: ShortLine[] = [];
  const pouredByRow = new Map<string, Map<ShelfLot, number>>();
  for (const line of plan.lines) {
    const row = input.ingredients[line.ingredientId]!;
    const there = lotsFor(row.id, lots).map((lot) => ({ ...lot, leftKg: leftKg.get(lot.id)! }));
    if (line.purchasedKg <= 0 || (there.length === 0 && !isBaseRow(row))) continue;
    const found = drawLots(line.purchasedKg, there, plan.serviceAtMs);
    for (const draw of found.draws) {
      leftKg.set(draw.lotId, leftKg.get(draw.lotId)! - draw.kg);
      draws.push({ lineId: line.lineId, lotId: draw.lotId, kg: draw.kg * row.yield });
      const lot = lots.find((one) => one.id === draw.lotId)!;
      const poured = pouredByRow.get(row.id) ?? new Map<ShelfLot, number>();
      pouredByRow.set(row.id, poured.set(lot, (poured.get(lot) ?? 0) + draw.kg));
    }
    if (found.shortKg > 0 && isBaseRow(row)) {
      shorts.push({
        lineId: line.lineId,
        rowId: row.id,
        name: row.name,
        wantedKg: line.purchasedKg,
        shortKg: found.shortKg,
        densityKgPerL: row.densityKgPerL,
        passedOver: found.passedOver,
      });
    }
  }
  const mixed = [...pouredByRow].flatMap(([rowId, poured]): Laid[] => {
    const parts = [...poured].map(([lot, kg]) => ({ lot, kg }));
    return parts.some(({ lot }) => differs(lot, parts[0]!.lot)) ? [{ rowId, poured: parts }] : [];
  });
  return { draws, shorts, mixed };
}

function differs(a: ShelfLot, b: ShelfLot): boolean {
  const { perKg: one } = a.contents;
  const { perKg: other } = b.contents;
  return (
    Math.abs(one.salt - other.salt) > SAME_WITHIN ||
    Math.abs(one.water - other.water) > SAME_WITHIN ||
    Math.abs(a.centsPerKg - b.centsPerKg) > SAME_WITHIN
  );
}

/** Raw goods change the price of their row; what the house made changes the row. */
function laidOver(input: PlanInput, laid: readonly Laid[]): PlanInput {
  if (laid.length === 0) return input;
  const ingredients = { ...input.ingredients };
  const prices = { ...input.pricesCentsPerKg };
  for (const { rowId, poured } of laid) {
    const row = ingredients[rowId]!;
    const kg = poured.reduce((sum, part) => sum + part.kg, 0);
    prices[rowId] = poured.reduce((sum, part) => sum + part.kg * part.lot.centsPerKg, 0) / kg;
    const made = poured.filter((part) => part.lot.origin.kind !== 'delivery');
    if (made.length === 0) continue;
    const mixed = mixContents(
      row.name,
      made.map((part) => ({ contents: part.lot.contents, kg: part.kg })),
    );
    ingredients[rowId] = rowOf(row, mixed);
  }
  return { ...input, ingredients, pricesCentsPerKg: prices };
}

function rowOf(row: Ingredient, of: LotContents): Ingredient {
  const per = of.savourPerKg;
  return {
    ...row,
    perKg: of.perKg,
    densityKgPerL: of.densityKgPerL,
    looseKgPerL: row.share === 'liquid' ? of.densityKgPerL : row.looseKgPerL,
    ...(row.thickener ? {} : { bodyGPerKg: of.bodyGPerKg }),
    umami: {
      glutamate: 100 * per.glutamate,
      aspartate: 100 * per.aspartate,
      imp: 100 * per.imp,
      gmp: 100 * per.gmp,
      amp: 100 * per.amp,
    },
    gelatin: per.gelatin,
    allergens: of.allergens,
    diet: of.diet,
    yield: 1,
  };
}
