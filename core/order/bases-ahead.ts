import { orderedRecipe } from '../book';
import { type CoolingHow, type ToCool, waysToCool } from '../cooling';
import { holdsAsWritten, isBaseRow, layLots, type ShelfLot } from '../larder';
import { heatDeliveredW, type Plan, type PlanInput, planBatch } from '../plan';
import { type Recipe, recipeRowId } from '../recipe';
import { type BaseDemand, type BaseNeed, baseDemand } from './base-demand';
import { type MakingShape, type Reserved, readySlot, reservedBy } from './base-schedule';
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
  /** pots and burners that something stands on now, and until when, ms */
  busy?: readonly { potId: string; burnerId: string; untilMs: number }[];
  /** what there is to cool in */
  cooling: Pick<ToCool, 'places' | 'emptyPans' | 'limits'>;
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
  /** one batch of it in the kitchen’s own pans and places: how, when it is cold, ms, and whether that is in time; null without any */
  cooled: { how: CoolingHow; coldAtMs: number; isInTime: boolean } | null;
  /** the latest it can be lit and still be there hot, straight from the sieve, ms */
  latestStartMs: number;
  batches: number;
  /** each of them, where the pot takes several one after the other */
  runs: readonly { startAtMs: number; readyAtMs: number }[];
  /** nothing is free early enough: it is ready after it is wanted */
  isLate: boolean;
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

/** From the sieve into the pans, °C. Common practice. */
const STRAINED_C = 85;

/** Bases that bases stand on are asked for too, so deep. */
const MOST_LEVELS = 4;

/**
 * What the planned soups will draw, what is there, what to make, in which pot and by when; what the making itself draws
 * is asked for too.
 */
export function basesAhead(asked: BasesAsked): BasesAhead {
  const refused = new Map<string, RefusedOrder>();
  const plans: PlansMade = new Map();
  const already = reservedAlready(asked);
  let needs: BaseNeed[] = asked.orders.flatMap((order) => needsOf(asked, order, refused));
  let answer: BaseAhead[] = [];
  for (let level = 0; level < MOST_LEVELS; level++) {
    const reserved = [...already];
    answer = baseDemand(needs, asked.lots.map(standing)).map((demand) => {
      const one = withMaking(asked, demand, reserved, plans);
      reserved.push(...one.reserved);
      return one.base;
    });
    const below = answer.flatMap((one) => needsOfMaking(asked, one));
    const known = needs.filter((need) => !need.orderId.startsWith('making '));
    const next = [...known, ...below];
    if (next.length === needs.length) break;
    needs = next;
  }
  return { bases: answer, refused: [...refused.values()] };
}

const standing = (lot: ShelfLot) => ({ ...lot, satisfies: lot.contents.satisfies, holds: lot.contents });

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
  const dish = holdsAsWritten(input);
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
        dish,
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

/** What stands on the range, and what the kept orders will take of it themselves. */
function reservedAlready(asked: BasesAsked): Reserved[] {
  const standing = (asked.busy ?? []).map((one) => ({ ...one, fromMs: asked.nowMs, hands: [] }));
  const cooked = asked.orders.flatMap((order): Reserved[] => {
    const recipe = orderedRecipe(order.request.recipeId, asked.kitchen, asked.book);
    const planned = recipe && planOf(asked, order.request, recipe);
    if (!planned || Array.isArray(planned)) return [];
    const { potId, burnerId, serviceAtMs } = order.request;
    const { startAtMs } = planned.plan;
    return [{ potId, burnerId, fromMs: startAtMs, untilMs: serviceAtMs, hands: handsIn(planned) }];
  });
  return [...standing, ...cooked];
}

/** When a plan wants both hands. */
function handsIn({ input, plan }: { input: PlanInput; plan: Plan }): Reserved['hands'] {
  return plan.stages.flatMap(({ stageId, startMs, minutes }) => {
    const stage = input.recipe.stages.find((one) => one.id === stageId);
    return stage?.attention.kind === 'handsOn'
      ? [{ fromMs: startMs, untilMs: startMs + minutes * 60_000 }]
      : [];
  });
}

interface Candidate {
  pot: PlanningKitchen['pots'][number];
  burner: PlanningKitchen['burners'][number];
  plan: Plan;
  shape: MakingShape;
  readyMs: number | null;
}

function withMaking(
  asked: BasesAsked,
  demand: BaseDemand,
  reserved: readonly Reserved[],
  plans: PlansMade,
): { base: BaseAhead; reserved: Reserved[] } {
  const without = (base: BaseAhead) => ({ base, reserved: [] });
  if (demand.toMakeKg === 0 || demand.byMs === null) return without({ demand, making: null });
  const recipe = asked.book.find(
    (one) => recipeRowId(one.id) === demand.rowId || one.stocksAs === demand.rowId,
  );
  if (!recipe) return without({ demand, making: null, refusal: { code: 'noRecipe' } });
  const litres = Math.ceil(((demand.toMakeKg / demand.densityKgPerL) * OVER) / STEP_L) * STEP_L;
  const when = { wantedMs: readyBy(asked, demand.byMs), byMs: demand.byMs, nowMs: asked.nowMs };
  const isLate = ({ readyMs }: Candidate) => readyMs === null || readyMs > when.byMs;
  const refusals: OrderRefusal[] = [];
  const candidates = asked.kitchen.pots.flatMap((pot) => {
    const found: Candidate[] = [];
    const burners = asked.kitchen.burners.filter((burner) => burner.potIds.includes(pot.id));
    // the strongest that is free; a weaker one only where it is not
    for (const burner of burners.sort((a, b) => heatDeliveredW(b) - heatDeliveredW(a))) {
      const request = requestFor(recipe, litres, when.wantedMs, pot.id, burner.id);
      const planned = plannedOnce(plans, asked, request, recipe);
      if (Array.isArray(planned)) {
        refusals.push(...planned);
        continue;
      }
      const shape = shapeOf(planned, pot.id, burner.id);
      const one = { pot, burner, plan: planned.plan, shape, readyMs: readySlot(shape, when, reserved) };
      found.push(one);
      if (!isLate(one)) break;
    }
    return found;
  });
  const off = ({ readyMs }: Candidate) => Math.abs((readyMs ?? Number.MAX_SAFE_INTEGER) - when.wantedMs);
  const best = candidates
    .filter((one) => one.readyMs !== null)
    .sort(
      (a, b) =>
        Number(isLate(a)) - Number(isLate(b)) ||
        a.plan.batches - b.plan.batches ||
        a.plan.workingFillLitres - b.plan.workingFillLitres ||
        off(a) - off(b) ||
        heatDeliveredW(b.burner) - heatDeliveredW(a.burner),
    )[0];
  if (!best) return without({ demand, making: null, refusal: refusals[0] ?? { code: 'noPot' } });
  const { plan, pot, burner, shape } = best;
  const readyAtMs = best.readyMs!;
  const moved = readyAtMs - plan.readyAtMs;
  const runs = (plan.runs ?? []).map((run) => ({
    startAtMs: run.startAtMs + moved,
    readyAtMs: run.readyAtMs + moved,
  }));
  const making: Making = {
    recipeId: recipe.id,
    name: recipe.name,
    litres,
    potId: pot.id,
    potName: pot.name,
    burnerId: burner.id,
    burnerName: burner.name,
    startAtMs: readyAtMs - shape.longMs,
    readyAtMs,
    cooled: cooledFrom(asked, litres / plan.batches, readyAtMs),
    latestStartMs: Math.max(asked.nowMs, demand.byMs - shape.longMs),
    batches: plan.batches,
    runs,
    isLate: isLate(best),
  };
  return { base: { demand, making }, reserved: [reservedBy(shape, readyAtMs)] };
}

/** The kitchen's best way to cool so much, poured as it is strained. */
function cooledFrom({ cooling }: BasesAsked, litres: number, readyAtMs: number): Making['cooled'] {
  const [way] = waysToCool({ litres, startC: STRAINED_C, ...cooling }, readyAtMs);
  if (!way || way.cold.p50Ms === null) return null;
  return { how: way.how, coldAtMs: way.cold.p50Ms, isInTime: way.isInTime };
}

/** What makings were planned as, by what, how much, where. */
type PlansMade = Map<string, ReturnType<typeof planOf>>;

/** As long as it is for one hour it is for another: it is planned once. */
function plannedOnce(plans: PlansMade, asked: BasesAsked, request: OrderRequest, recipe: Recipe) {
  const { recipeId, portions, potId, burnerId } = request;
  const key = `${recipeId} ${portions} ${potId} ${burnerId}`;
  const known = plans.get(key) ?? planOf(asked, request, recipe);
  plans.set(key, known);
  return known;
}

function shapeOf(planned: { input: PlanInput; plan: Plan }, potId: string, burnerId: string): MakingShape {
  const { startAtMs, readyAtMs } = planned.plan;
  return {
    potId,
    burnerId,
    longMs: readyAtMs - startAtMs,
    hands: handsIn(planned).map(({ fromMs, untilMs }) => ({
      fromMs: readyAtMs - fromMs,
      untilMs: readyAtMs - untilMs,
    })),
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
