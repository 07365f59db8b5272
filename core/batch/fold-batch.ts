import { activeEvents } from '../log';
import { setupOf } from '../plan';
import { FIRST_GUESS_SURFACE, finishStage, openPot } from '../pot';
import { cookingStages } from '../recipe';

import { addFood, pourOff, slipped } from './acts/food-acts';
import { moveOver, setLid, surfaceOf, turnHeat, withSegment } from './acts/heat-acts';
import { holdHot, reheatHeld } from './acts/hold-acts';
import { giveBack, liftPieces, takeTagOut } from './acts/out-acts';
import { receiveReading } from './acts/reading-acts';
import { atService, atThePass, nothingOut, portion, storeLot, withoutCovers } from './acts/serving-acts';
import { beginStage, endStage, setTarget } from './acts/stage-acts';
import { readMeter, taste, testThickness } from './acts/taste-acts';
import { advanceBatch, runTo } from './advance-batch';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { copyBatch } from './copy-batch';
import { blended } from './dosed';
import { drawPart, potOfPart } from './drawn-part';
import { type FoldContext, foldContext } from './fold-context';
import { FoldError } from './fold-error';
import { PART_LINE, partRowId } from './part-of-batch';

/**
 * The batch at a moment: its log, undos resolved, run through the pot in the order things happened.
 *
 * @param snapshot what was decided when the batch started
 * @param events its log, any order
 * @param atMs the moment wanted; the log's last event if that is later
 * @returns pot, stages, readings, questions, portions
 * @throws FoldError for an entry that does not go, naming it; such are refused before they are stored
 * @source docs/architecture.md, "A batch is its log"
 */
export function foldBatch(snapshot: BatchSnapshot, events: readonly BatchEvent[], atMs: number): BatchState {
  const active = activeEvents(events);
  const context = foldContext(snapshot, active, true);
  let state = openBatch(snapshot, active[0]);
  for (const event of active) state = applied(context, state, event);
  return advanceBatch(state, atMs);
}

/**
 * A batch before anything has happened: an empty pot, or what was drawn off another. What was never drawn after all is
 * closed, with nothing in it.
 *
 * @param first its first entry: it begins with that, or when it was drawn off
 */
export function openBatch(snapshot: BatchSnapshot, first?: Pick<BatchEvent, 'actedAtMs'>): BatchState {
  const { origin, plan } = snapshot;
  const empty = emptyBatch(snapshot, origin?.drawn?.atMs ?? first?.actedAtMs ?? plan.startAtMs);
  if (!origin) return empty;
  const part = origin.drawn;
  if (!part) return { ...empty, closed: { atMs: plan.startAtMs, leftLitres: 0 } };
  return {
    ...empty,
    pot: potOfPart(empty.pot, part),
    touchedMs: part.atMs,
    heatSinceMs: part.atMs,
    wentIn: [
      ...part.wentIn,
      { lineId: PART_LINE, ingredientId: partRowId(origin), kg: 0, lotId: null, drawn: null, row: null },
    ],
    costCents: part.costCents,
  };
}

function emptyBatch(snapshot: BatchSnapshot, atMs: number): BatchState {
  const { input } = snapshot;
  return {
    pot: openPot({
      atMs,
      tempC: input.kitchen.airTempC,
      heatFactor: input.burner.heatFactor,
      surface: surfaceOf(input.pot, 'off'),
      eye: input.eye,
      body: input.body,
    }),
    inPot: input.pot,
    onBurner: input.burner,
    setup: setupOf(input),
    stages: input.recipe.stages.map((stage) => ({
      stageId: stage.id,
      begunMs: null,
      doneMs: null,
      fromLitres: null,
      targetKg: null,
      target: null,
    })),
    currentStageId: null,
    wentIn: [],
    items: [],
    parked: [],
    lookedMs: null,
    snoozedUntilMs: null,
    slips: [],
    segments: [],
    touchedMs: atMs,
    heatSinceMs: atMs,
    heatKnown: input.burner.heatFactor,
    leavingKnown: surfaceOf(input.pot, 'off') ?? FIRST_GUESS_SURFACE.off,
    caughtAt: null,
    readings: [],
    questions: [],
    tests: [],
    tastings: [],
    dosed: [],
    meters: [],
    acidOffG: 0,
    bodyShown: null,
    served: 0,
    discarded: 0,
    service: nothingOut(),
    held: null,
    reheats: [],
    parts: [],
    firstServedMs: null,
    atService: null,
    costCents: 0,
    stored: [],
    notes: [],
    closed: null,
    lateEventIds: [],
  };
}

/** The same, with the entry named where it does not go. */
export function applied(context: FoldContext, state: BatchState, event: BatchEvent): BatchState {
  try {
    return applyEvent(context, state, event);
  } catch (error) {
    throw new FoldError(event, error);
  }
}

/** What is only written down: the pot need not be run up to it. */
const LEAVES_THE_POT: ReadonlySet<BatchEvent['type']> = new Set([
  'note',
  'answered',
  'stageDone',
  'looked',
  'snoozed',
  'takenBack',
  'turnedAway',
  'coversSet',
  'sizeSet',
  'asked',
  'askedAnew',
  'garnishReady',
  'grilled',
]);

/**
 * One event that stands, at its own moment. The acts are given a state of their own: they write on it, or hand back
 * another.
 */
export function applyEvent(context: FoldContext, before: BatchState, event: BatchEvent): BatchState {
  const own = context.own(before);
  const after = act(context, own, event);
  // laid out alike whatever the act was: thousands of readings after it find their fields the sooner
  return after === own ? own : copyBatch(after);
}

function act(context: FoldContext, state: BatchState, event: BatchEvent): BatchState {
  if (state.closed) {
    state.lateEventIds = context.append(state.lateEventIds, event.id);
    return state;
  }
  const atMs = event.actedAtMs;
  if (!LEAVES_THE_POT.has(event.type)) {
    Object.assign(state, runTo(state, atMs));
    state.touchedMs = atMs;
  }
  switch (event.type) {
    case 'stageBegun':
      return beginStage(context, state, event.payload.stageId, atMs);
    case 'stageDone':
      return endStage(context, state, event.payload.stageId, atMs);
    case 'added':
      return addFood(context, state, event);
    case 'heatSet':
      return turnHeat(context, state, event.payload.fraction, atMs);
    case 'lidSet':
      return setLid(context, state, event.payload.lid, atMs);
    case 'reading':
      return receiveReading(context, state, event);
    case 'tested':
      return testThickness(context, state, event);
    case 'tasted':
      return taste(context, state, event);
    case 'metered':
      return readMeter(context, state, event);
    case 'pureed':
      state.pot = finishStage(state.pot, {
        kind: 'puree',
        share: event.payload.share,
        sieve: 'none',
      });
      return Object.assign(state, blended(state, event.payload.share));
    case 'answered':
      state.questions = state.questions.filter((one) => one.eventId !== event.payload.eventId);
      return state;
    case 'looked':
      state.lookedMs = atMs;
      state.snoozedUntilMs = null;
      return state;
    case 'snoozed':
      state.snoozedUntilMs = atMs + event.payload.minutes * 60_000;
      return state;
    case 'targetSet':
      return setTarget(state, event.payload.target);
    case 'removed':
      return takeTagOut(context, state, event);
    case 'lifted':
      return liftPieces(context, state, event);
    case 'returned':
      return giveBack(context, state, event);
    case 'pouredOff':
      return pourOff(state, event.payload.what, event.payload.kg);
    case 'slip':
      return slipped(context, state, event);
    case 'moved':
      return moveOver(context, state, event);
    case 'portioned':
      return portion(context, state, event);
    case 'drawnOff': {
      const { pot, part } = drawPart(state, { ...event.payload, eventId: event.id, atMs });
      const service = withoutCovers(context.snapshot.input, state.service, event.payload.kinds ?? []);
      return { ...state, pot, service, parts: context.append(state.parts, part) };
    }
    case 'takenBack':
      // what stands of the entry it names is known before that is put (`foldContext`)
      return state;
    case 'turnedAway':
    case 'coversSet':
    case 'sizeSet':
    case 'asked':
    case 'askedAnew':
    case 'garnishReady':
    case 'grilled':
      state.service = atThePass(state.service, event);
      return state;
    case 'heldHot':
      return holdHot(context, state, event);
    case 'reheated':
      return reheatHeld(context, state, event);
    case 'stored':
      return storeLot(state, event);
    case 'note':
      state.notes = context.append(state.notes, { atMs, text: event.payload.text });
      return state;
    case 'closed':
      return {
        ...withSegment(context, atService(state, atMs), atMs),
        closed: { atMs, ...event.payload },
        currentStageId: null,
      };
    case 'undone':
      return state;
  }
}

/** The stages of a batch that happen before serving, with how far each is. */
export function cookingProgress(snapshot: BatchSnapshot, state: BatchState) {
  return cookingStages(snapshot.input.recipe).map((stage) => ({
    stage,
    progress: state.stages.find((one) => one.stageId === stage.id)!,
  }));
}
