import { type PlanRequest, weekdayOf, zonedTimeMs } from '../../contract';
import {
  type BatchEvent,
  type BatchEventBody,
  type BatchResult,
  type BatchSnapshot,
  batchResult,
  foldBatch,
  type LineDraw,
  stageClock,
  toComeOut,
} from '../../core/batch';
import { arrivedBy, NOTHING_SEEN, type ServicePattern } from '../../core/demand';
import { planWithLots, type ShelfLot } from '../../core/larder';
import type { LotStorage } from '../../core/matter';
import { planInputOf } from '../../core/order';
import { potInput, setupOf } from '../../core/plan';
import { type PotReading, potLitres } from '../../core/pot';
import { type Recipe, SIMMER_UNDER_BOIL_C } from '../../core/recipe';
import { depthAtLitres } from '../../core/vessel';
import { BOOK } from '../dishes/dishes';
import { ITEMS, KITCHEN } from '../kitchen';
import { kitchenView } from '../kitchen-view';
import { seededRandom } from '../seeded-random';

/**
 * The hidden truth of Corrie Halt: burners give less than their plates say and wander from day to day, the stick reads a
 * little high, the ladles are generous. The model was not told.
 */
const HIDDEN = {
  heatFactor: { 'gas-1': 0.9, 'gas-2': 0.84, 'gas-3': 0.93, 'gas-4': 0.88, induction: 0.97, jacket: 0.95 },
  gainWanderSd: 0.03,
  stickHighCm: 0.12,
  ladleOver: 1.012,
  /** guests come later than is said of the service; bowls are counted out so often */
  arrival: [0.02, 0.06, 0.11, 0.15, 0.16, 0.14, 0.11, 0.09, 0.07, 0.05, 0.03, 0.01],
  servedBy: [0.15, 0.3, 0.45, 0.6, 0.75, 1],
  stageLateMin: 1.5,
};

/** A service whose hour the kitchen does not name goes on so long, min. */
const USUAL_SERVICE_MIN = 25;

/** The service of an hour as a batch takes it along; the fortnight begins with none seen. */
function serviceAt(atMs: number): ServicePattern | null {
  const found = (ITEMS.service ?? []).find((one) => zonedTimeMs(one.time, KITCHEN.zone, atMs) === atMs);
  if (!found?.lastsMin || !found.arrival) return null;
  const { id: serviceId, lastsMin, arrival } = found;
  return { serviceId, weekday: weekdayOf(atMs, KITCHEN.zone), lastsMin, arrival, seen: NOTHING_SEEN };
}

/** An event as it was said, before the server numbers it. */
export type LogEntry = BatchEventBody & { id: string; actedAtMs: number };

export interface PastBatch {
  id: string;
  request: PlanRequest;
  createdAtMs: number;
  closedAtMs: number;
  snapshot: BatchSnapshot;
  events: LogEntry[];
  result: BatchResult;
}

/** Something the house cooked: a dish for its bowls, or a base for the shelf. */
export interface CookedBefore {
  recipe: Recipe;
  portions: number;
  portionMl?: number;
  readyAtMs: number;
  potId: string;
  burnerId: keyof typeof HIDDEN.heatFactor;
  seed: number;
  /** what is stored of it, in shares of what is there; the rest stays in the pot, or is served */
  stored?: readonly { lotId: string; share: number; place: string; storage: LotStorage }[];
}

/**
 * Cooks one batch as it went at Corrie Halt: planned with what the kitchen knew and what was on the shelf, run by the
 * hidden truth, written down as a cook would.
 *
 * @param known what earlier batches had shown of each burner
 */
export function cookPast(
  day: CookedBefore,
  lots: readonly ShelfLot[],
  known: Readonly<Record<string, { mean: number; sd: number }[]>>,
): PastBatch {
  const { recipe } = day;
  const random = seededRandom(day.seed);
  const request: PlanRequest = {
    recipeId: recipe.id,
    portions: day.portions,
    portionMl: day.portionMl ?? recipe.portionMl,
    saltPercent: recipe.targetSaltPercent,
    band: recipe.targetBand,
    serviceAtMs: day.readyAtMs,
    potId: day.potId,
    burnerId: day.burnerId,
  };
  const asked = planInputOf(request, kitchenView(known), recipe, BOOK);
  if (Array.isArray(asked)) throw new Error(asked.map((error) => error.code).join(' '));
  const { input: laid, plan, draws } = planWithLots(asked, lots);
  const input = potInput(laid, plan);
  const service = serviceAt(day.readyAtMs);
  const snapshot: BatchSnapshot = { input, plan, draws, ...(service && !day.stored ? { service } : {}) };
  const heatFactor = HIDDEN.heatFactor[day.burnerId] + random.normal(HIDDEN.gainWanderSd);
  const truth: BatchSnapshot = {
    ...snapshot,
    input: { ...input, burner: { ...input.burner, heatFactor: { mean: heatFactor, sd: 1e-9, batches: 0 } } },
  };

  const log: LogEntry[] = [];
  const asEvents = (only: (body: BatchEventBody) => boolean) =>
    log.filter(only).map((event, i): BatchEvent => ({ ...event, seq: i + 1 }));
  const realState = (atMs: number) =>
    foldBatch(
      truth,
      asEvents((body) => body.type !== 'reading'),
      atMs,
    );
  const say = (atMs: number, body: BatchEventBody) => {
    log.push({ ...body, id: eventId(day.seed, log.length), actedAtMs: Math.round(atMs) });
  };

  let nowMs = plan.startAtMs + random.normal(2) * 60_000;
  for (const [i, stage] of input.recipe.stages.entries()) {
    say(nowMs, { type: 'stageBegun', payload: { stageId: stage.id } });
    const items = plan.lines
      .filter((line) => line.stageId === stage.id && !line.perBowl && line.edibleKg > 0)
      .flatMap((line) => {
        const kg = round(line.edibleKg * (1 + random.normal(0.006)), 4);
        return drawnItems(line, kg, draws);
      });
    if (items.length > 0) say(nowMs + 20_000, { type: 'added', payload: { items } });
    say(nowMs + 30_000, { type: 'lidSet', payload: { lid: stage.lid } });
    nowMs += 40_000;
    if (stage.ends.rule === 'served') {
      say(nowMs, { type: 'heatSet', payload: { fraction: day.stored ? 0 : 0.15 } });
      break;
    }
    nowMs = cookStage(nowMs, stage.id);
    // a sieve keeps back what hangs in the pot
    if (input.recipe.stages[i + 1]?.asksOut && stage.does?.kind !== 'strain') {
      for (const item of toComeOut(realState(nowMs))) {
        say(nowMs, { type: 'removed', payload: { word: item.word, count: item.count } });
      }
    }
    say(nowMs, { type: 'stageDone', payload: { stageId: stage.id } });
    nowMs += Math.abs(random.normal(HIDDEN.stageLateMin)) * 60_000;
  }

  const closedAtMs = day.stored ? keep(day.stored, nowMs) : serve(nowMs);
  const state = foldBatch(
    snapshot,
    asEvents(() => true),
    closedAtMs,
  );
  return {
    id: `00000000-0000-7000-8000-000000000${day.seed}`,
    request,
    createdAtMs: Math.round(plan.startAtMs - 20 * 60_000),
    closedAtMs,
    snapshot,
    events: log,
    result: batchResult(
      snapshot,
      state,
      asEvents(() => true),
    ),
  };

  function serve(readyMs: number): number {
    const servedFrom = Math.max(readyMs, day.readyAtMs);
    const portionL = input.portionMl / 1000;
    const real = potLitres(realState(servedFrom).pot);
    const asked = Math.min(
      Math.round(day.portions * (0.94 + 0.06 * random.uniform())),
      Math.floor(real / portionL),
    );
    const lastsMs = (service?.lastsMin ?? USUAL_SERVICE_MIN) * 60_000;
    let out = 0;
    for (const part of HIDDEN.servedBy) {
      const portions = Math.round(asked * arrivedBy(HIDDEN.arrival, part)) - out;
      out += portions;
      if (portions > 0)
        say(servedFrom + part * lastsMs, { type: 'portioned', payload: { portions, fate: 'served' } });
    }
    const endMs = servedFrom + lastsMs;
    const left = potLitres(realState(endMs).pot) - asked * portionL * (HIDDEN.ladleOver - 1);
    const closed = Math.round(endMs + 10 * 60_000);
    const isMeasured = left > 0 ? { isMeasured: true } : {};
    const leftLitres = round(Math.max(0, left), 1);
    say(closed, { type: 'closed', payload: { leftLitres, floor: 'clean', ...isMeasured } });
    return closed;
  }

  /** Into its tubs, and the pot to the sink. */
  function keep(lotsMade: NonNullable<CookedBefore['stored']>, readyMs: number): number {
    const atMs = readyMs + 20 * 60_000;
    const litres = potLitres(realState(atMs).pot) / HOT_OVER_COLD;
    for (const { lotId, share, place, storage } of lotsMade)
      say(atMs, {
        type: 'stored',
        payload: { lotId, litres: round(litres * share, 1), place, storage },
      });
    const closed = Math.round(atMs + 10 * 60_000);
    say(closed, { type: 'closed', payload: { leftLitres: 0 } });
    return closed;
  }

  /** Heats as the stage wants, reads the pot now and then, and says when the real pot is done. */
  function cookStage(fromMs: number, stageId: string): number {
    const stage = input.recipe.stages.find((one) => one.id === stageId)!;
    const setup = setupOf(truth.input);
    let atMs = fromMs;
    const heat = (fraction: number) =>
      say(atMs, { type: 'heatSet', payload: { fraction: round(fraction, 2) } });
    if (stage.heat.kind === 'hold') {
      const holdC = setup.air.boilingC - SIMMER_UNDER_BOIL_C[stage.heat.simmer];
      heat(1);
      for (let i = 0; i < 40 && realState(atMs).pot.tempC < holdC - 1; i++) atMs += 60_000;
    }
    heat(stageClock(truth, realState(atMs))?.wantedHeat ?? 0);
    const endMs = stageClock(truth, realState(atMs))?.ends.p50Ms ?? atMs + 5 * 60_000;
    if (stage.ends.rule === 'simmer') {
      for (const share of [0.4, 0.75]) {
        const t = atMs + (endMs - atMs) * share;
        read(t, { kind: 'temperature', value: Math.round(realState(t).pot.tempC + random.normal(0.8)) });
      }
    }
    if (stage.ends.rule === 'fall') {
      for (const share of [0.25, 0.5, 0.75, 0.98]) {
        const t = atMs + (endMs - atMs) * share;
        const cm = depthAtLitres(truth.input.pot.vessel, potLitres(realState(t).pot));
        read(t, { kind: 'depth', value: round(cm + HIDDEN.stickHighCm + random.normal(0.25), 1) });
      }
    }
    return Math.max(endMs, atMs + 60_000);
  }

  function read(atMs: number, reading: PotReading) {
    say(atMs, { type: 'reading', payload: reading });
  }
}

/** A litre at the strain is so much of a litre cold. */
const HOT_OVER_COLD = 1.035;

/** A line as it went in: from its lots, as far as they were drawn, and the rest from wherever it came. */
function drawnItems(line: BatchSnapshot['plan']['lines'][number], kg: number, draws: readonly LineDraw[]) {
  const item = {
    ingredientId: line.ingredientId,
    tempC: line.tempC,
    lineId: line.lineId,
    ...(line.comesOut ? { comesOut: line.comesOut } : {}),
  };
  const own = draws.filter((draw) => draw.lineId === line.lineId);
  const drawnKg = own.reduce((sum, draw) => sum + draw.kg, 0);
  if (drawnKg === 0) return [{ ...item, kg }];
  const weighed = own.map((draw) => ({
    ...item,
    kg: round((kg * draw.kg) / Math.max(drawnKg, line.edibleKg), 4),
    lotId: draw.lotId,
  }));
  const rest = round(kg - weighed.reduce((sum, one) => sum + one.kg, 0), 4);
  return rest > 0.001 ? [...weighed, { ...item, kg: rest }] : weighed;
}

function eventId(seed: number, index: number): string {
  return `00000000-0000-7000-9${seed}-${String(index).padStart(12, '0')}`;
}

function round(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}
