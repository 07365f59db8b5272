import { massKg } from '../matter/mixture';
import { saltPercent, whole } from '../matter/operations';
import { volumeLitres } from '../matter/volume-litres';
import { stageTarget } from '../plan/cook-through';
import { setupOf } from '../plan/plan-batch';
import { advancePot } from '../pot/advance-pot';
import { drawFromPot, openPot } from '../pot/change-pot';
import { finishStage } from '../pot/finish-stage';
import type { PotSetup } from '../pot/pot';
import { potLitres } from '../pot/pot-litres';
import { liftFoodOut, putFoodIn } from '../pot/put-food-in';
import { measuredMass, readPot } from '../pot/read-pot';
import { cookingStages } from '../recipe/recipe';
import { activeEvents } from './active-events';
import type { AddedItem, BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState, PutBy, TakenReading } from './batch-state';

/** What is put by is measured cold, °C. */
const COLD_C = 20;

/** What the fold knows beside the state: the snapshot, its pot, and which surprising readings the cook stands by. */
export interface FoldContext {
  snapshot: BatchSnapshot;
  setup: PotSetup;
  answers: ReadonlyMap<string, boolean>;
}

/**
 * The batch at a moment: its log, undos resolved, run through the pot in the order things happened.
 *
 * @param snapshot what was decided when the batch started
 * @param events its log, any order
 * @param atMs the moment wanted; the log's last event if that is later
 * @returns pot, stages, readings, questions, portions
 * @throws RangeError for an event that names what the snapshot does not hold; the server refuses those beforehand
 * @source docs/architecture.md, "A batch is its log"
 */
export function foldBatch(snapshot: BatchSnapshot, events: readonly BatchEvent[], atMs: number): BatchState {
  const active = activeEvents(events);
  const context = foldContext(snapshot, active);
  let state = openBatch(context, active[0]?.actedAtMs ?? snapshot.plan.startAtMs);
  for (const event of active) state = applyEvent(context, state, event);
  return advanceBatch(context, state, atMs);
}

/** The part of a fold that does not change from event to event. */
export function foldContext(snapshot: BatchSnapshot, active: readonly BatchEvent[]): FoldContext {
  const answers = new Map<string, boolean>();
  for (const event of active) {
    if (event.type === 'answered') answers.set(event.payload.eventId, event.payload.believed);
  }
  return { snapshot, setup: setupOf(snapshot.input), answers };
}

/** A batch before anything has happened. */
export function openBatch(context: FoldContext, atMs: number): BatchState {
  const { input } = context.snapshot;
  return {
    pot: openPot({ atMs, tempC: input.kitchen.airTempC, gain: input.burner.gain }),
    stages: input.recipe.stages.map((stage) => ({
      stageId: stage.id,
      begunMs: null,
      doneMs: null,
      fromLitres: null,
      targetKg: null,
    })),
    currentStageId: null,
    addedLineIds: [],
    addedKgByIngredient: {},
    toComeOut: [],
    readings: [],
    questions: [],
    served: 0,
    discarded: 0,
    firstServedMs: null,
    atService: null,
    costCents: 0,
    putBy: [],
    notes: [],
    closed: null,
    lateEventIds: [],
  };
}

/** Runs a batch forward to a moment; a closed one stands still. */
export function advanceBatch(context: FoldContext, state: BatchState, toMs: number): BatchState {
  if (state.closed || toMs <= state.pot.atMs) return state;
  return { ...state, pot: advancePot(context.setup, state.pot, toMs) };
}

/** What is only written down: the pot need not be run up to it. */
const LEAVES_THE_POT: ReadonlySet<BatchEvent['type']> = new Set(['note', 'answered', 'stageDone']);

/** One event that stands, at its own moment. */
export function applyEvent(context: FoldContext, before: BatchState, event: BatchEvent): BatchState {
  if (before.closed) return { ...before, lateEventIds: [...before.lateEventIds, event.id] };
  const state = LEAVES_THE_POT.has(event.type) ? before : advanceBatch(context, before, event.actedAtMs);
  switch (event.type) {
    case 'stageBegun':
      return begin(context, state, event.payload.stageId, event.actedAtMs);
    case 'stageDone': {
      const after = done(context, state, event.payload.stageId, event.actedAtMs);
      return {
        ...after,
        currentStageId: after.currentStageId === event.payload.stageId ? null : after.currentStageId,
      };
    }
    case 'added':
      return withAdded(context, state, event.payload.items, event.actedAtMs);
    case 'heatSet':
      return { ...state, pot: { ...state.pot, heatFraction: event.payload.fraction } };
    case 'lidSet':
      return { ...state, pot: { ...state.pot, lid: event.payload.lid } };
    case 'reading':
      return read(context, state, event);
    case 'answered':
      return { ...state, questions: state.questions.filter((one) => one.eventId !== event.payload.eventId) };
    case 'removed':
      return lift(context, state, event.payload);
    case 'portioned':
      return portion(context, state, event.payload.portions, event.payload.fate, event.actedAtMs);
    case 'putBy':
      return putBy(atService(state, event.actedAtMs), event);
    case 'note':
      return { ...state, notes: [...state.notes, { atMs: event.actedAtMs, text: event.payload.text }] };
    case 'closed':
      return {
        ...atService(state, event.actedAtMs),
        closed: { atMs: event.actedAtMs, leftLitres: event.payload.leftLitres },
        currentStageId: null,
      };
    case 'undone':
      return state;
  }
}

function begin(context: FoldContext, state: BatchState, stageId: string, atMs: number): BatchState {
  const { currentStageId } = state;
  const before =
    currentStageId !== null && currentStageId !== stageId
      ? done(context, state, currentStageId, atMs)
      : state;
  const stages = before.stages.map((stage) =>
    stage.stageId === stageId ? { ...stage, begunMs: stage.begunMs ?? atMs, doneMs: null } : stage,
  );
  const begun = { ...before, stages, currentStageId: stageId, pot: { ...before.pot, softenedMin: 0 } };
  return withTarget(context, begun);
}

/** A stage is done, and with it what is done to the whole pot as it ends; only the first time it is said. */
function done(context: FoldContext, state: BatchState, stageId: string, atMs: number): BatchState {
  const progress = state.stages.find((one) => one.stageId === stageId);
  const stage = context.snapshot.input.recipe.stages.find((one) => one.id === stageId);
  const isFirst = progress !== undefined && progress.doneMs === null;
  const ran = isFirst && stage?.does ? advanceBatch(context, state, atMs) : state;
  return {
    ...ran,
    pot: isFirst ? finishStage(ran.pot, stage?.does) : ran.pot,
    // a sieve keeps back whatever was still to come out
    toComeOut: isFirst && stage?.does?.kind === 'strain' ? [] : ran.toComeOut,
    stages: ran.stages.map((one) => (one.stageId === stageId ? { ...one, doneMs: atMs } : one)),
  };
}

/** Where the running stage falls to a mark, the mark is a share of what is in the pot once its lines are in. */
function withTarget(context: FoldContext, state: BatchState): BatchState {
  const stage = context.snapshot.input.recipe.stages.find((one) => one.id === state.currentStageId);
  if (!stage || massKg(state.pot.mixture) === 0) return state;
  const target = stageTarget(context.setup, state.pot, stage);
  return {
    ...state,
    stages: state.stages.map((one) =>
      one.stageId === stage.id
        ? { ...one, fromLitres: potLitres(state.pot), targetKg: target?.kind === 'mass' ? target.kg : null }
        : one,
    ),
  };
}

/**
 * What goes in. A stage's own lines set its mark anew; anything else put in on the way down lifts the mark by as much
 * as it weighs, so that what is to steam off stays what it was.
 */
function withAdded(
  context: FoldContext,
  before: BatchState,
  items: readonly AddedItem[],
  atMs: number,
): BatchState {
  const state = items.reduce((next, item) => put(context, next, item, atMs), before);
  const { lines } = context.snapshot.input.recipe;
  const isOwn = items.some(
    (item) => lines.find((line) => line.id === item.lineId)?.stageId === state.currentStageId,
  );
  const running = state.stages.find((one) => one.stageId === state.currentStageId);
  if (isOwn || running?.targetKg == null) return withTarget(context, state);
  const addedKg = items.reduce((sum, item) => sum + item.kg, 0);
  const targetKg = running.targetKg + addedKg;
  return {
    ...state,
    stages: state.stages.map((one) => (one === running ? { ...one, targetKg } : one)),
  };
}

function put(context: FoldContext, state: BatchState, item: AddedItem, atMs: number): BatchState {
  const { input } = context.snapshot;
  const ingredient = input.ingredients[item.ingredientId];
  if (!ingredient) throw new RangeError(`ingredientId is not in this batch, got ${item.ingredientId}`);
  const price = input.pricesCentsPerKg[item.ingredientId] ?? 0;
  return {
    ...state,
    pot: putFoodIn(state.pot, { ingredient, kg: item.kg, tempC: item.tempC, thickener: item.thickener }),
    addedLineIds: item.lineId ? [...state.addedLineIds, item.lineId] : state.addedLineIds,
    addedKgByIngredient: {
      ...state.addedKgByIngredient,
      [item.ingredientId]: (state.addedKgByIngredient[item.ingredientId] ?? 0) + item.kg,
    },
    toComeOut: item.comesOut ? [...state.toComeOut, { ...item.comesOut, sinceMs: atMs }] : state.toComeOut,
    costCents: state.costCents + (item.kg / ingredient.yield) * price,
  };
}

function read(
  context: FoldContext,
  state: BatchState,
  event: Extract<BatchEvent, { type: 'reading' }>,
): BatchState {
  const answer = context.answers.get(event.id);
  const litres =
    event.payload.kind === 'temperature'
      ? potLitres(state.pot)
      : measuredMass(context.setup, state.pot, event.payload).litres;
  const taken = (status: TakenReading['status']): TakenReading[] =>
    state.readings.concat({
      kind: event.payload.kind,
      value: event.payload.value,
      eventId: event.id,
      atMs: event.actedAtMs,
      litres,
      status,
    });
  if (answer === false || massKg(state.pot.mixture) === 0) return { ...state, readings: taken('set aside') };
  const result = readPot(context.setup, state.pot, event.payload, answer === true);
  if (result.surprise === null) return { ...state, pot: result.pot, readings: taken('taken') };
  const expected =
    event.payload.kind === 'temperature'
      ? `${state.pot.tempC.toFixed(0)} °C was expected`
      : `about ${potLitres(state.pot).toFixed(1)} L was expected`;
  const said = event.payload.kind === 'temperature' ? `${event.payload.value} °C` : `${litres.toFixed(1)} L`;
  const sentence =
    result.surprise === 'gained'
      ? `${said} is more than has gone in; ${expected}. Was something added, or is it a slip of the hand?`
      : `${said} is far from the rest; ${expected}. Is it right?`;
  return {
    ...state,
    readings: taken('asked'),
    questions: [...state.questions, { eventId: event.id, atMs: event.actedAtMs, sentence }],
  };
}

/** Takes out what was put in to come out, as heavy as it went in as far as the pieces still hold that. */
function lift(context: FoldContext, state: BatchState, what: { word: string; count: number }): BatchState {
  const line = context.snapshot.input.recipe.lines.find((one) => one.comesOut?.word === what.word);
  let left = what.count;
  const toComeOut = state.toComeOut.flatMap((item) => {
    if (item.word !== what.word || left === 0) return [item];
    const gone = Math.min(left, item.count);
    left -= gone;
    return item.count > gone ? [{ ...item, count: item.count - gone }] : [];
  });
  const lifted = what.count - left;
  if (!line?.comesOut || lifted === 0) return { ...state, toComeOut };
  const ingredient = context.snapshot.input.ingredients[line.ingredientId]!;
  const kg = (lifted * line.comesOut.eachG) / 1000;
  return { ...state, toComeOut, pot: liftFoodOut(state.pot, ingredient, kg) };
}

function portion(
  context: FoldContext,
  before: BatchState,
  count: number,
  fate: 'served' | 'discarded',
  atMs: number,
): BatchState {
  const state = fate === 'served' ? atService(before, atMs) : before;
  const litres = potLitres(state.pot);
  const kgPerLitre = litres > 0 ? massKg(state.pot.mixture) / litres : 1;
  const kg = ((count * context.snapshot.input.portionMl) / 1000) * kgPerLitre;
  const { pot } = drawFromPot(state.pot, kg);
  return {
    ...state,
    pot,
    served: state.served + (fate === 'served' ? count : 0),
    discarded: state.discarded + (fate === 'discarded' ? count : 0),
    firstServedMs: fate === 'served' ? (state.firstServedMs ?? atMs) : state.firstServedMs,
  };
}

/** Litres as they are cold leave the pot for the larder; what they cost is their share of what went in. */
function putBy(state: BatchState, event: Extract<BatchEvent, { type: 'putBy' }>): BatchState {
  const { lotId, litres, place, storage } = event.payload;
  const there = massKg(state.pot.mixture);
  const coldLitres = volumeLitres(whole(state.pot.mixture), COLD_C);
  const kg = coldLitres > 0 ? Math.min(there, (litres * there) / coldLitres) : 0;
  const { pot, drawn } = drawFromPot(state.pot, kg);
  const gone = there + state.pot.drawnKg;
  const lot: PutBy = {
    eventId: event.id,
    seq: event.seq,
    atMs: event.actedAtMs,
    lotId,
    kg,
    litres,
    mixture: drawn,
    costCents: gone > 0 ? (state.costCents * kg) / gone : 0,
    place,
    storage,
  };
  return { ...state, pot, putBy: [...state.putBy, lot] };
}

function atService(state: BatchState, atMs: number): BatchState {
  if (state.atService) return state;
  return {
    ...state,
    atService: {
      litres: potLitres(state.pot),
      saltPercent: saltPercent(state.pot.mixture, 'all'),
      atMs,
    },
  };
}

/** The stages of a batch that happen before serving, with how far each is. */
export function cookingProgress(snapshot: BatchSnapshot, state: BatchState) {
  return cookingStages(snapshot.input.recipe).map((stage) => ({
    stage,
    progress: state.stages.find((one) => one.stageId === stage.id)!,
  }));
}
