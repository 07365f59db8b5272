import { type BatchHolds, heldBy, type LineDraw } from '../batch';
import {
  type Brings,
  bringsTo,
  type DrawnLot,
  type Holds,
  holdsOf,
  type Ingredient,
  type LotContents,
  rowOfLot,
} from '../matter';
import { type Plan, type PlanInput, planBatch } from '../plan';
import { recipeIdOf } from '../recipe';

import { type Drawable, drawLots, oldestFirst, type PassedOver } from './draw-lots';
import type { LotOrigin } from './lot';
import type { LotCooling } from './lot-cooling';
import { mixContents } from './mix-contents';

/** A lot as planning sees it: what it is (as read), what is left, what it costs. */
export interface ShelfLot extends Drawable {
  number: number;
  /** when it came into the larder; nothing was done with it before */
  bornAtMs: number;
  origin: LotOrigin;
  contents: LotContents;
  centsPerKg: number;
  /** how it is cooled, or was; null for what nobody cooled */
  cooling?: LotCooling | null;
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

/** A lot that would do for a line, and brings to the dish what it does not hold: drawn only when a cook says so. */
export interface OfferedLot {
  lineId: string;
  lotId: string;
  brings: Brings;
}

export interface PlanWithLots {
  input: PlanInput;
  plan: Plan;
  draws: LineDraw[];
  shorts: ShortLine[];
  offers: OfferedLot[];
  /** what the dish holds as it is written, whatever it is drawn from */
  holds: Holds;
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

/** What a dish holds as it is written, each line by its row. */
export function holdsAsWritten({ recipe, ingredients }: Pick<PlanInput, 'recipe' | 'ingredients'>): Holds {
  return holdsOf(recipe.lines.flatMap((line) => ingredients[line.ingredientId] ?? []));
}

/** What a planned dish holds with the lots it will be drawn from. */
export function planHolds(
  { input, draws, holds }: Pick<PlanWithLots, 'input' | 'draws' | 'holds'>,
  lots: readonly ShelfLot[],
): BatchHolds {
  const drawn = lots.filter((lot) => draws.some((draw) => draw.lotId === lot.id));
  const foods = drawn.map(({ number, contents }) => ({
    name: contents.name,
    lotNumber: number,
    holds: contents,
  }));
  return heldBy(holds, foods, input.recipe.claims);
}

/** A lot as it goes into a pot. */
export function drawnLotOf({ number, contents, centsPerKg, origin }: Drawn): DrawnLot {
  const isMade =
    origin.kind === 'batch' || origin.kind === 'blend' || recipeIdOf(contents.ingredientId) !== null;
  return { number, contents, centsPerKg, isAsPurchased: !isMade };
}

type Drawn = Pick<ShelfLot, 'number' | 'contents' | 'centsPerKg' | 'origin'>;

/**
 * The lots that may be drawn for a dish without a word, and what the others would bring to it.
 *
 * @param dish what it holds as it is written
 * @param taken ids of lots that a cook has taken all the same
 */
export function lotsThatFit<T extends Pick<ShelfLot, 'id' | 'contents'>>(
  lots: readonly T[],
  dish: Holds,
  taken: readonly string[] = [],
): { fit: T[]; others: { lot: T; brings: Brings }[] } {
  const fit: T[] = [];
  const others: { lot: T; brings: Brings }[] = [];
  for (const lot of lots) {
    const brings = taken.includes(lot.id) ? null : bringsTo(lot.contents, dish);
    if (brings) others.push({ lot, brings });
    else fit.push(lot);
  }
  return { fit, others };
}

/** The order with the rows of what will be drawn first laid over the table’s: its salt, its strength, its price. */
export function layLots(input: PlanInput, lots: readonly ShelfLot[], taken?: readonly string[]): PlanInput {
  return laidFirst(input, lotsThatFit(lots, holdsAsWritten(input), taken).fit, taken);
}

/** Draws what a cook has picked, and then the oldest first. */
function drawTaken(kg: number, lots: readonly ShelfLot[], atMs: number, taken: readonly string[]) {
  const picked = drawLots(
    kg,
    lots.filter((lot) => taken.includes(lot.id)),
    atMs,
  );
  const rest = drawLots(
    picked.shortKg,
    lots.filter((lot) => !taken.includes(lot.id)),
    atMs,
  );
  return {
    draws: [...picked.draws, ...rest.draws],
    shortKg: rest.shortKg,
    passedOver: [...picked.passedOver, ...rest.passedOver],
  };
}

/** What a cook has picked goes before what is older. */
function takenFirst<T extends { id: string }>(lots: readonly T[], taken: readonly string[]): T[] {
  return [...lots].sort((a, b) => Number(taken.includes(b.id)) - Number(taken.includes(a.id)));
}

function laidFirst(input: PlanInput, lots: readonly ShelfLot[], taken: readonly string[] = []): PlanInput {
  const firsts = Object.keys(input.ingredients).flatMap((rowId) => {
    const there = takenFirst(oldestFirst(lotsFor(rowId, lots)), taken).filter((lot) =>
      isDrawable(lot, input.serviceAtMs),
    );
    return there[0] ? [{ rowId, poured: [{ lot: there[0], kg: 1 }] }] : [];
  });
  return laidOver(input, firsts);
}

/**
 * Plans an order from what is on the shelf: each line draws the oldest lots that are still good at service; where two
 * lots of one base differ, the plan goes by what they are poured together. What is not there is short, never promised;
 * a lot that would bring an allergen, or food that the dish's guests do not eat, is offered and never drawn by itself.
 *
 * @param input the order with rows of the table
 * @param lots the shelf
 * @param taken ids of lots that a cook has taken, whatever they bring
 * @throws RangeError as `planBatch`
 * @source docs/model.md § 13
 */
export function planWithLots(
  input: PlanInput,
  lots: readonly ShelfLot[],
  taken?: readonly string[],
): PlanWithLots {
  const holds = holdsAsWritten(input);
  const { fit, others } = lotsThatFit(lots, holds, taken);
  const first = laidFirst(input, fit, taken);
  let plan = planBatch(first);
  let drawn = drawnBy(first, plan, fit, taken);
  let laid = first;
  if (drawn.mixed.length > 0) {
    laid = laidOver(first, drawn.mixed);
    plan = planBatch(laid);
    drawn = drawnBy(laid, plan, fit, taken);
  }
  const offers = plan.lines.flatMap(({ lineId, ingredientId }) =>
    others
      .filter(({ lot }) => isDrawable(lot, plan.serviceAtMs) && lotsFor(ingredientId, [lot]).length > 0)
      .map(({ lot, brings }) => ({ lineId, lotId: lot.id, brings })),
  );
  return { input: laid, plan, draws: drawn.draws, shorts: drawn.shorts, offers, holds };
}

function isDrawable(lot: ShelfLot, atMs: number): boolean {
  const isPast = lot.useByMs !== null && lot.useByMs < atMs && !lot.mayBePast;
  return lot.leftKg > 0 && lot.storage !== 'frozen' && !isPast;
}

interface Laid {
  rowId: string;
  poured: readonly { lot: ShelfLot; kg: number }[];
}

function drawnBy(input: PlanInput, plan: Plan, lots: readonly ShelfLot[], taken: readonly string[] = []) {
  const leftKg = new Map(lots.map((lot) => [lot.id, lot.leftKg]));
  const draws: LineDraw[] = [];
  const shorts: ShortLine[] = [];
  const pouredByRow = new Map<string, Map<ShelfLot, number>>();
  for (const line of plan.lines) {
    const row = input.ingredients[line.ingredientId]!;
    const there = lotsFor(row.id, lots).map((lot) => ({ ...lot, leftKg: leftKg.get(lot.id)! }));
    if (line.purchasedKg <= 0 || (there.length === 0 && !isBaseRow(row))) continue;
    const found = drawTaken(line.purchasedKg, there, plan.serviceAtMs, taken);
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

/** A row becomes what will be drawn of it, poured together. */
function laidOver(input: PlanInput, laid: readonly Laid[]): PlanInput {
  if (laid.length === 0) return input;
  const ingredients = { ...input.ingredients };
  const prices = { ...input.pricesCentsPerKg };
  for (const { rowId, poured } of laid) {
    const row = ingredients[rowId]!;
    const kg = poured.reduce((sum, part) => sum + part.kg, 0);
    const centsPerKg = poured.reduce((sum, part) => sum + part.kg * part.lot.centsPerKg, 0) / kg;
    prices[rowId] = centsPerKg;
    const drawn = poured.map((part) => ({ ...drawnLotOf(part.lot), kg: part.kg }));
    const contents = mixContents(row.name, drawn);
    ingredients[rowId] = rowOfLot(row, {
      number: 0,
      contents,
      centsPerKg,
      isAsPurchased: drawn.every((one) => one.isAsPurchased),
    });
  }
  return { ...input, ingredients, pricesCentsPerKg: prices };
}
