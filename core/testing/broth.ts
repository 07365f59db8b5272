import type { BatchEvent, BatchEventBody, BatchSnapshot } from '../batch';
import { INGREDIENT_BY_ID } from '../matter';
import { type PlanInput, planBatch } from '../plan';
import { FIRST_GUESS_HEAT_FACTOR } from '../pot';
import type { Recipe } from '../recipe';

/** A plain dish for tests: roots in stock, let fall, bound with flour, salted. Invented. */
export const BROTH: Recipe = {
  id: 'broth',
  version: 1,
  name: 'Test broth',
  litres: 10,
  portionMl: 250,
  bowl: { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 },
  targetBand: 2,
  targetSaltPercent: 0.9,
  colour: 'broth',
  stages: [
    stage('boil', { kind: 'burner', fraction: 1 }, 'on', { rule: 'simmer' }),
    stage('fall', { kind: 'hold', simmer: 'steady' }, 'off', { rule: 'fall', fractionGone: 0.2 }),
    stage('roots', { kind: 'hold', simmer: 'barely' }, 'ajar', { rule: 'soft', edgeCm: 2, softenMin: 8 }),
    stage('season', { kind: 'burner', fraction: 0.2 }, 'off', { rule: 'minutes', minutes: 5 }),
    stage('serve', { kind: 'burner', fraction: 0.2 }, 'on', { rule: 'served' }),
  ],
  lines: [
    { id: 'stock', ingredientId: 'vegetable-stock', stageId: 'boil', kg: 8, scaling: 'toYield', tempC: 5 },
    { id: 'flour', ingredientId: 'flour', stageId: 'boil', kg: 0.2, scaling: 'toThickness', tempC: 18 },
    {
      id: 'butter',
      ingredientId: 'butter',
      stageId: 'boil',
      kg: 0.2,
      scaling: { sameAs: 'flour' },
      tempC: 18,
    },
    {
      id: 'bay',
      ingredientId: 'bay-leaf',
      stageId: 'boil',
      kg: 0.001,
      scaling: 'straight',
      tempC: 15,
      comesOut: { word: 'bay', eachG: 0.5 },
    },
    { id: 'carrot', ingredientId: 'carrot', stageId: 'roots', kg: 2, scaling: 'straight', tempC: 10 },
    { id: 'salt', ingredientId: 'salt', stageId: 'season', kg: 0.07, scaling: 'toSalt', tempC: 18 },
    { id: 'cheese', ingredientId: 'hard-cheese', stageId: 'serve', kg: 0.01, scaling: 'perBowl', tempC: 5 },
  ],
};

function stage(
  id: string,
  heat: Recipe['stages'][number]['heat'],
  lid: Recipe['stages'][number]['lid'],
  ends: Recipe['stages'][number]['ends'],
): Recipe['stages'][number] {
  return {
    id,
    title: id,
    act: id,
    method: id,
    methodReason: id,
    heat,
    lid,
    ends,
    attention: { kind: 'leave' },
    cue: id,
    trouble: id,
  };
}

export const SERVICE_AT_MS = Date.UTC(2026, 2, 10, 13, 10);

export function orderOf(change: Partial<PlanInput> = {}): PlanInput {
  return {
    recipe: BROTH,
    ingredients: INGREDIENT_BY_ID,
    pricesCentsPerKg: {
      'vegetable-stock': 100,
      carrot: 90,
      flour: 80,
      butter: 800,
      salt: 50,
      'hard-cheese': 1200,
    },
    kitchen: { altitudeM: 1240, airTempC: 24, relativeHumidity: 0.5 },
    pot: {
      id: 'stockpot',
      name: '40 L stockpot',
      vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
      emptyMassKg: 7.5,
    },
    burner: {
      id: 'gas',
      name: 'burner',
      powerW: 7000,
      efficiency: 0.4,
      heatFactor: { ...FIRST_GUESS_HEAT_FACTOR, batches: 0 },
    },
    portions: 60,
    portionMl: 250,
    saltPercent: 0.9,
    band: 2,
    serviceAtMs: SERVICE_AT_MS,
    ...change,
  };
}

export function snapshotOf(input: PlanInput = orderOf()): BatchSnapshot {
  return { input, plan: planBatch(input) };
}

/** A log in the making: minutes after 10:00, bodies as a cook would cause them. */
export function logOf(entries: readonly [number, BatchEventBody][]): BatchEvent[] {
  const startMs = Date.UTC(2026, 2, 10, 10, 0);
  return entries.map(([minute, body], i) => ({
    ...body,
    id: `e${i + 1}`,
    seq: i + 1,
    actedAtMs: startMs + minute * 60_000,
  }));
}

/** The planned lines of a stage as the items that go in. */
export function itemsFor(snapshot: BatchSnapshot, stageId: string) {
  return snapshot.plan.lines
    .filter((line) => line.stageId === stageId && !line.perBowl)
    .map((line) => ({
      ingredientId: line.ingredientId,
      kg: line.edibleKg,
      tempC: line.tempC,
      lineId: line.lineId,
      ...(line.comesOut ? { comesOut: line.comesOut } : {}),
    }));
}

/** A batch cooked as planned up to the fall, with readings on the way down. */
export function cookedLog(snapshot: BatchSnapshot): BatchEvent[] {
  return logOf([
    [0, { type: 'stageBegun', payload: { stageId: 'boil' } }],
    [0.1, { type: 'added', payload: { items: itemsFor(snapshot, 'boil') } }],
    [0.2, { type: 'lidSet', payload: { lid: 'on' } }],
    [0.3, { type: 'heatSet', payload: { fraction: 1 } }],
    [20, { type: 'reading', payload: { kind: 'temperature', value: 60 } }],
    [45, { type: 'stageDone', payload: { stageId: 'boil' } }],
    [45.1, { type: 'stageBegun', payload: { stageId: 'fall' } }],
    [45.2, { type: 'lidSet', payload: { lid: 'off' } }],
    [60, { type: 'reading', payload: { kind: 'depth', value: 13.8 } }],
    [75, { type: 'reading', payload: { kind: 'depth', value: 12.9 } }],
  ]);
}
