import { orderedRecipe } from '../book';
import { coolingHours } from '../cooling';
import { isBaseRow, layLots, type ShelfLot } from '../larder';
import { type Plan, type PlanInput, planBatch, strongestBurner } from '../plan';
import { type Recipe, recipeRowId } from '../recipe';
import { type BaseDemand, type BaseNeed, baseDemand } from './base-demand';
import { cannotBeCooked, type OrderRefusal } from './order-refusal';
import type { OrderRequest, PlanningKitchen } from './order-request';
import { planInputOf } from './plan-input';

/** An order kept for a day to come. */
export interface KeptOrder {
  id: string;
  request: OrderRequest;
}

export interface BasesAsked {
  orders: readonly KeptOrder[];
  kitchen: PlanningKitchen;
  book: readonly Recipe[];
  lots: readonly ShelfLot[];
  nowMs: number;
  /** the hour HH:MM of the day before a moment, in the kitchen's zone, ms */
  dayBeforeMs: (time: string, atMs: number) => number;
}

/** How a base that is short would be made: in which pot, when, and when it is cold. */
export interface Making {
  recipeId: string;
  name: string;
  litres: number;
  potId: string;
  potName: string;
  burnerId: string;
  burnerName: string;
  /** to have it ready when the making is planned for, ms */
  startAtMs: number;
  readyAtMs: number;
  coldAtMs: number;
  /** the latest it can be lit and still be there hot, straight from the sieve, ms */
  latestStartMs: number;
  batches: number;
}

export interface BaseAhead {
  demand: BaseDemand;
  making: Making | null;
  /** why it cannot be made here, where it cannot */
  refusal?: MakingRefusal;
}

/** No recipe makes it, no pot takes it, or it cannot be planned. */
export type MakingRefusal = { code: 'noRecipe' | 'noPot' } | OrderRefusal;

/** An order that cannot be planned as it stands. */
export interface RefusedOrder {
  name: string;
  refusals: readonly OrderRefusal[];
}

export interface BasesAhead {
  bases: BaseAhead[];
  refused: RefusedOrder[];
}

/** Bases are made in half litres, and a little over: ladles and cloths keep some. Common practice. */
const OVER = 1.05;
const STEP_L = 0.5;

/** From this far ahead a base is made the day before, to be ready by this hour. */
const DAY_AHEAD_MS = 16 * 3_600_000;
const READY_BY = '16:00';

/** Cooled as the rule allows it: 2.5 cm deep in a still walk-in of 3 °C, from the sieve to 5 °C. */
const COOLING = { how: 'pan', depthCm: 2.5, filmWm2K: 10, airC: 3, startC: 85, fromC: 84, toC: 5 } as const;

/** Bases that bases stand on are asked for too, so deep. */
const MOST_LEVELS = 4;

/**
 * What the planned soups will draw, what is there, what to make, in which pot and by when; what the making itself draws
 * is asked for too.
 */
export function basesAhead(asked: BasesAsked): BasesAhead {
  const refused = new Map<string, RefusedOrder>();
  let needs: BaseNeed[] = asked.orders.flatMap((order) => needsOf(asked, order, refused));
  let answer: BaseAhead[] = [];
  for (let level = 0; level < MOST_LEVELS; level++) {
    answer = baseDemand(needs, asked.lots.map(standing)).map((demand) => withMaking(asked, demand));
    const below = answer.flatMap((one) => needsOfMaking(asked, one));
    const known = needs.filter((need) => !need.orderId.startsWith('making '));
    const next = [...known, ...below];
    if (next.length === needs.length) break;
    needs = next;
  }
  return { bases: answer, refused: [...refused.values()] };
}

const standing = (lot: ShelfLot) => ({ ...lot, satisfies: lot.contents.satisfies });

function needsOf(asked: BasesAsked, order: KeptOrder, refused: Map<string, RefusedOrder>): BaseNeed[] {
  const recipe = orderedRecipe(order.request.recipeId, asked.kitchen, asked.book);
  if (!recipe) return [];
  const planned = planOf(asked, order.request, recipe);
  if (Array.isArray(planned)) {
    refused.set(order.id, { name: recipe.name, refusals: planned });
    return [];
  }
  return needsIn(planned, order.id, recipe.name);
}

function needsOfMaking(asked: BasesAsked, { making }: BaseAhead): BaseNeed[] {
  const recipe = asked.book.find((one) => one.id === making?.recipeId);
  if (!making || !recipe) return [];
  const request = requestFor(recipe, making.litres, making.readyAtMs, making.potId, making.burnerId);
  const planned = planOf(asked, request, recipe);
  return Array.isArray(planned) ? [] : needsIn(planned, `making ${recipe.id}`, recipe.name);
}

function needsIn(
  { input, plan }: { input: PlanInput; plan: Plan },
  orderId: string,
  forName: string,
): BaseNeed[] {
  return plan.lines.flatMap((line) => {
    const row = input.ingredients[line.ingredientId]!;
    if (!isBaseRow(row) || line.purchasedKg < 1e-3) return [];
    const stage = plan.stages.find((one) => one.stageId === line.stageId);
    return [
      {
        orderId,
        forName,
        rowId: row.id,
        name: row.name,
        densityKgPerL: row.densityKgPerL,
        kg: line.purchasedKg,
        atMs: stage?.startMs ?? plan.serviceAtMs,
      },
    ];
  });
}

function planOf(
  asked: BasesAsked,
  request: OrderRequest,
  recipe: Recipe,
): { input: PlanInput; plan: Plan } | OrderRefusal[] {
  const input = planInputOf(request, asked.kitchen, recipe, asked.book);
  if (Array.isArray(input)) return input;
  try {
    const laid = layLots(input, asked.lots);
    return { input: laid, plan: planBatch(laid) };
  } catch (error) {
    return [cannotBeCooked('burnerId', error)];
  }
}

function withMaking(asked: BasesAsked, demand: BaseDemand): BaseAhead {
  if (demand.toMakeKg === 0 || demand.byMs === null) return { demand, making: null };
  const recipe = asked.book.find(
    (one) => recipeRowId(one.id) === demand.rowId || one.stocksAs === demand.rowId,
  );
  if (!recipe) return { demand, making: null, refusal: { code: 'noRecipe' } };
  const litres = Math.ceil(((demand.toMakeKg / demand.densityKgPerL) * OVER) / STEP_L) * STEP_L;
  const tried = asked.kitchen.pots.flatMap((pot) => {
    const burner = strongestBurner(asked.kitchen.burners, pot.id);
    if (!burner) return [];
    const readyMs = readyBy(asked, demand.byMs!);
    const planned = planOf(asked, requestFor(recipe, litres, readyMs, pot.id, burner.id), recipe);
    return [{ pot, burner, planned, readyMs }];
  });
  const fits = tried.flatMap((one) => (Array.isArray(one.planned) ? [] : [{ ...one, planned: one.planned }]));
  const best = fits.sort(
    (a, b) =>
      a.planned.plan.batches - b.planned.plan.batches ||
      a.planned.plan.workingFillLitres - b.planned.plan.workingFillLitres,
  )[0];
  if (!best) {
    const why = tried.map((one) => one.planned).find((planned) => Array.isArray(planned));
    return { demand, making: null, refusal: why?.[0] ?? { code: 'noPot' } };
  }
  const { plan } = best.planned;
  const readyAtMs = plan.readyAtMs;
  return {
    demand,
    making: {
      recipeId: recipe.id,
      name: recipe.name,
      litres,
      potId: best.pot.id,
      potName: best.pot.name,
      burnerId: best.burner.id,
      burnerName: best.burner.name,
      startAtMs: plan.startAtMs,
      readyAtMs,
      coldAtMs: readyAtMs + coolingHours(COOLING) * 3_600_000,
      latestStartMs: demand.byMs - (readyAtMs - plan.startAtMs),
      batches: plan.batches,
    },
  };
}

/** The day before by mid-afternoon where there is a day for it, else just in time. */
function readyBy({ nowMs, dayBeforeMs }: BasesAsked, byMs: number): number {
  const dayBefore = dayBeforeMs(READY_BY, byMs);
  return byMs - nowMs > DAY_AHEAD_MS && dayBefore > nowMs ? dayBefore : byMs;
}

function requestFor(
  recipe: Recipe,
  litres: number,
  serviceAtMs: number,
  potId: string,
  burnerId: string,
): OrderRequest {
  return {
    recipeId: recipe.id,
    portions: Math.max(1, Math.round((litres * 1000) / recipe.portionMl)),
    portionMl: recipe.portionMl,
    saltPercent: recipe.targetSaltPercent,
    band: recipe.targetBand,
    serviceAtMs,
    potId,
    burnerId,
  };
}
