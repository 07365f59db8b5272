import { lookEveryMin, type PlannedLine } from '../plan';
import type { Stage } from '../recipe';

import { additionTimes } from './addition-times';
import type { BatchSnapshot } from './batch-event';
import type { BatchState, Parked } from './batch-state';
import { type BoilingAway, boilingAway } from './boiling-away';
import { holdClock, type TooCold } from './hold-clock';
import type { StageClock } from './stage-clock';
import { stillToAdd } from './still-to-add';
import { isHeatedOver, type TopTemperature, topTemperature } from './top-temperature';
import { hasGoneIn } from './went-in';

/** What a pot wants next, and when. `dueMs` null: nothing to wait for, it wants it now; past: it is late. */
export type NextAction =
  | { kind: 'closed' }
  | { kind: 'answer'; dueMs: null }
  | { kind: 'cool'; stage: Stage; top: TopTemperature; dueMs: null }
  /** far more has boiled away than was planned, and it goes on */
  | ({ kind: 'losing'; dueMs: null } & BoilingAway)
  | { kind: 'begin'; stage: Stage; lines: PlannedLine[]; later: LaterLine[]; dueMs: number | null }
  | { kind: 'giveBack'; stage: Stage; parked: Parked[]; dueMs: null }
  | { kind: 'add'; stage: Stage; lines: PlannedLine[]; dueMs: number }
  | { kind: 'heat'; stage: Stage; fraction: number; dueMs: null }
  | { kind: 'finish'; stage: Stage; dueMs: number | null }
  | { kind: 'lookIn'; stage: Stage; dueMs: number; everyMin: number }
  | { kind: 'handsOn'; stage: Stage; dueMs: number | null }
  | { kind: 'leave'; stage: Stage; dueMs: number | null }
  /** a thermometer goes into what is held hot */
  | { kind: 'check'; stage: Stage; dueMs: number; everyMin: number }
  /** it was found too cold to be held: reheated once, or thrown away */
  | { kind: 'tooCold'; stage: Stage; below: TooCold; dueMs: null }
  | { kind: 'serve'; stage: Stage; dueMs: number };

/** A line that waits by the pot: it goes in so many minutes after the stage has begun. */
export interface LaterLine {
  line: PlannedLine;
  afterMin: number;
}

/** A burner this far from what the stage wants is worth a word. */
const HEAT_WORTH_SAYING = 0.12;

/** A line is called this long before its moment, so that hands are there, ms. */
const CALL_BEFORE_MS = 30_000;

/**
 * The one next thing a pot wants of the cook.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch now
 * @param clock its running stage's clock, or null
 * @param nowMs the moment, ms
 * @returns the most pressing want
 * @source docs/model.md § 11
 */
export function nextAction(
  snapshot: BatchSnapshot,
  state: BatchState,
  clock: StageClock | null,
  nowMs: number,
): NextAction {
  if (state.closed) return { kind: 'closed' };
  if (state.questions.length > 0) return { kind: 'answer', dueMs: null };
  const losing = boilingAway(snapshot, state);
  if (losing) return { kind: 'losing', ...losing, dueMs: null };
  if (!clock) return beginning(snapshot, state);
  const { stage } = clock;
  const top = topTemperature(snapshot, state);
  if (top && isHeatedOver(state.pot, top)) return { kind: 'cool', stage, top, dueMs: null };
  const waiting = state.parked.filter((one) => one.backStageId === stage.id);
  if (waiting.length > 0) return { kind: 'giveBack', stage, parked: waiting, dueMs: null };
  if (stage.ends.rule === 'served') {
    const hold = holdClock(snapshot, state);
    if (hold?.below) return { kind: 'tooCold', stage, below: hold.below, dueMs: null };
    if (state.pot.keptC === undefined && isTooHigh(clock.wantedHeat, state.pot.heatFraction))
      return { kind: 'heat', stage, fraction: clock.wantedHeat, dueMs: null };
    return hold && hold.nextMs <= nowMs
      ? { kind: 'check', stage, dueMs: hold.nextMs, everyMin: hold.everyMin }
      : { kind: 'serve', stage, dueMs: snapshot.plan.serviceAtMs };
  }
  const later = dueLater(snapshot, state, clock);
  const next = later[0];
  if (next && next.dueMs <= nowMs + CALL_BEFORE_MS) {
    const lines = later.filter((one) => one.dueMs <= nowMs + CALL_BEFORE_MS).map((one) => one.line);
    return { kind: 'add', stage, lines, dueMs: next.dueMs };
  }
  const endMs = clock.ends.p50Ms;
  if (endMs !== null && endMs <= nowMs) return { kind: 'finish', stage, dueMs: endMs };
  if (wantsOtherHeat(clock.wantedHeat, state.pot.heatFraction))
    return { kind: 'heat', stage, fraction: clock.wantedHeat, dueMs: null };
  if (stage.attention.kind === 'handsOn') return { kind: 'handsOn', stage, dueMs: endMs };
  const nextMs = Math.min(endMs ?? Number.POSITIVE_INFINITY, next?.dueMs ?? Number.POSITIVE_INFINITY);
  if (stage.attention.kind === 'lookIn') {
    const everyMin = lookEveryMin(stage.attention.everyMin, state.pot);
    const dueMs = Math.max(clock.begunMs, state.lookedMs ?? 0) + everyMin * 60_000;
    if (dueMs < nextMs) return { kind: 'lookIn', stage, dueMs, everyMin };
  }
  return { kind: 'leave', stage, dueMs: Number.isFinite(nextMs) ? nextMs : null };
}

function beginning(snapshot: BatchSnapshot, state: BatchState): NextAction {
  const next = snapshot.input.recipe.stages.find(
    (stage) => state.stages.find((one) => one.stageId === stage.id)?.doneMs == null,
  );
  if (!next) return { kind: 'closed' };
  const isFirst = state.stages.every((stage) => stage.begunMs === null);
  const lines = stillToAdd(snapshot, state, next.id);
  const later = additionTimes(snapshot, next).filter((one) =>
    lines.some((line) => line.lineId === one.line.lineId),
  );
  return {
    kind: 'begin',
    stage: next,
    lines: lines.filter((line) => !later.some((one) => one.line.lineId === line.lineId)),
    later,
    dueMs: isFirst ? snapshot.plan.startAtMs : null,
  };
}

/** What still waits by the pot in the running stage, the first to go in first. */
function dueLater(snapshot: BatchSnapshot, state: BatchState, clock: StageClock) {
  return additionTimes(snapshot, clock.stage)
    .filter((one) => !hasGoneIn(state, one.line.lineId))
    .map((one) => ({ line: one.line, dueMs: clock.begunMs + one.afterMin * 60_000 }))
    .sort((a, b) => a.dueMs - b.dueMs);
}

/** Too high by what is worth a word; or turned off, or far too low, while the stage wants heat. */
export function wantsOtherHeat(wanted: number, heatFraction: number): boolean {
  return isTooHigh(wanted, heatFraction) || wanted > heatFraction + 2 * HEAT_WORTH_SAYING;
}

/** Higher than the stage wants by what is worth a word. */
export function isTooHigh(wanted: number, heatFraction: number): boolean {
  return wanted < heatFraction - HEAT_WORTH_SAYING;
}
