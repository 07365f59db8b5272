import type { PlanRequest } from '../contract';
import { planInputOf, zonedTimeMs } from '../contract';
import {
  type BatchEvent,
  type BatchEventBody,
  type BatchResult,
  type BatchSnapshot,
  batchResult,
  depthAtLitres,
  foldBatch,
  type PotReading,
  planBatch,
  potLitres,
  SIMMER_UNDER_BOIL_C,
  setupOf,
  stageClock,
} from '../core';
import { TROUT_CHOWDER } from './dishes/trout-chowder';
import { DEMO_OPENS_AT, FUMET_LOT, KITCHEN } from './kitchen';
import { kitchenView } from './kitchen-view';
import { seededRandom } from './seeded-random';

/**
 * The past fortnight at Corrie Halt: five chowders cooked by a hidden truth. Burner 2 gives less than its plate says
 * and wanders from day to day, the stick reads a little high, the ladles are generous. The model was not told.
 */
const HIDDEN = { gain: 0.84, gainWanderSd: 0.03, stickHighCm: 0.12, ladleOver: 1.012, stageLateMin: 1.5 };

const DAYS: readonly { daysBack: number; portions: number; service: string; seed: number }[] = [
  { daysBack: 13, portions: 40, service: '13:10', seed: 101 },
  { daysBack: 11, portions: 60, service: '13:10', seed: 102 },
  { daysBack: 7, portions: 55, service: '13:10', seed: 103 },
  { daysBack: 5, portions: 35, service: '11:40', seed: 104 },
  { daysBack: 1, portions: 60, service: '13:10', seed: 105 },
];

/** An event as it was said, before the server numbers it. */
type LogEntry = BatchEventBody & { id: string; actedAtMs: number };

export interface PastBatch {
  id: string;
  request: PlanRequest;
  createdAtMs: number;
  closedAtMs: number;
  snapshot: BatchSnapshot;
  events: LogEntry[];
  result: BatchResult;
}

/** Cooks the fortnight, oldest first; each batch's first guess is what the ones before it taught. */
export function cookFortnight(): PastBatch[] {
  const past: PastBatch[] = [];
  for (const day of DAYS)
    past.push(
      cookDay(
        day,
        past.map((one) => one.result.gain),
      ),
    );
  return past;
}

function cookDay(day: (typeof DAYS)[number], known: { mean: number; sd: number }[]): PastBatch {
  const random = seededRandom(day.seed);
  const serviceAtMs = zonedTimeMs(day.service, KITCHEN.zone, DEMO_OPENS_AT, -day.daysBack);
  const request: PlanRequest = {
    recipeId: TROUT_CHOWDER.id,
    portions: day.portions,
    portionMl: 250,
    saltPercent: 0.9,
    band: 3,
    serviceAtMs,
    potId: 'stockpot-40',
    burnerId: 'gas-2',
  };
  const kitchen = kitchenView({ 'gas-2': known });
  const input = planInputOf(request, kitchen, TROUT_CHOWDER, FUMET_LOT);
  if (Array.isArray(input)) throw new Error(input.map((error) => error.sentence).join(' '));
  const snapshot: BatchSnapshot = { input, plan: planBatch(input) };
  const gain = HIDDEN.gain + random.normal(HIDDEN.gainWanderSd);
  const truth: BatchSnapshot = {
    ...snapshot,
    input: { ...input, burner: { ...input.burner, gain: { mean: gain, sd: 1e-9, batches: 0 } } },
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

  let nowMs = snapshot.plan.startAtMs + random.normal(2) * 60_000;
  for (const stage of TROUT_CHOWDER.stages) {
    say(nowMs, { type: 'stageBegun', v: 1, payload: { stageId: stage.id } });
    const items = snapshot.plan.lines
      .filter((line) => line.stageId === stage.id && !line.perBowl && line.edibleKg > 0)
      .map((line) => ({
        ingredientId: line.ingredientId,
        kg: round(line.edibleKg * (1 + random.normal(0.006)), 4),
        tempC: line.tempC,
        lineId: line.lineId,
        ...(line.comesOut ? { comesOut: line.comesOut } : {}),
      }));
    if (items.length > 0) say(nowMs + 20_000, { type: 'added', v: 1, payload: { items } });
    say(nowMs + 30_000, { type: 'lidSet', v: 1, payload: { lid: stage.lid } });
    nowMs += 40_000;
    if (stage.ends.rule === 'served') {
      say(nowMs, { type: 'heatSet', v: 1, payload: { fraction: 0.15 } });
      break;
    }
    nowMs = cookStage(nowMs, stage.id);
    if (stage.id === 'season') {
      for (const item of realState(nowMs).toComeOut) {
        say(nowMs, { type: 'removed', v: 1, payload: { word: item.word, count: item.count } });
      }
    }
    say(nowMs, { type: 'stageDone', v: 1, payload: { stageId: stage.id } });
    nowMs += Math.abs(random.normal(HIDDEN.stageLateMin)) * 60_000;
  }

  const servedFrom = Math.max(nowMs, serviceAtMs);
  const portionL = request.portionMl / 1000;
  const real = potLitres(realState(servedFrom).pot);
  const asked = Math.min(
    Math.round(day.portions * (0.94 + 0.06 * random.uniform())),
    Math.floor(real / portionL),
  );
  const first = Math.round(asked * 0.6);
  say(servedFrom, { type: 'portioned', v: 1, payload: { portions: first, fate: 'served' } });
  say(servedFrom + 14 * 60_000, {
    type: 'portioned',
    v: 1,
    payload: { portions: asked - first, fate: 'served' },
  });
  const left = Math.max(
    0,
    potLitres(realState(servedFrom + 25 * 60_000).pot) - asked * portionL * (HIDDEN.ladleOver - 1),
  );
  const closedAtMs = Math.round(servedFrom + 40 * 60_000);
  say(closedAtMs, { type: 'closed', v: 1, payload: { leftLitres: round(left, 1) } });

  const state = foldBatch(
    snapshot,
    asEvents(() => true),
    closedAtMs,
  );
  return {
    id: `00000000-0000-7000-8000-000000000${day.seed}`,
    request,
    createdAtMs: Math.round(snapshot.plan.startAtMs - 20 * 60_000),
    closedAtMs,
    snapshot,
    events: log,
    result: batchResult(snapshot, state),
  };

  /** Heats as the stage wants, reads the pot now and then, and says when the real pot is done. */
  function cookStage(fromMs: number, stageId: string): number {
    const stage = TROUT_CHOWDER.stages.find((one) => one.id === stageId)!;
    const setup = setupOf(truth.input);
    let atMs = fromMs;
    const heat = (fraction: number) =>
      say(atMs, { type: 'heatSet', v: 1, payload: { fraction: round(fraction, 2) } });
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
    say(atMs, { type: 'reading', v: 1, payload: reading });
  }
}

function eventId(seed: number, index: number): string {
  return `00000000-0000-7000-9${seed}-${String(index).padStart(12, '0')}`;
}

function round(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}
