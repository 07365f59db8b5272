import { activeEvents } from '../log';
import { advanceBatch } from './advance-batch';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { applyEvent, openBatch } from './fold-batch';
import { foldContext } from './fold-context';
import { isTooHigh, type NextAction, wantsOtherHeat } from './next-action';
import { wantedHeat } from './stage-clock';
import { isHeatedOver, topTemperature } from './top-temperature';

/** A crossing is found to the second, ms. */
const FOUND_TO_MS = 1000;

/**
 * Since when a pot has wanted what it wants. It follows from the log alone, so that every tablet rings at the same
 * moment, whenever it was switched on.
 *
 * @param events its log, any order
 * @param state the batch now
 * @param next what it wants now
 * @param nowMs the moment, ms
 * @source docs/model.md § 11
 */
export function wantedSinceMs(
  snapshot: BatchSnapshot,
  events: readonly BatchEvent[],
  state: BatchState,
  next: NextAction,
  nowMs: number,
): number {
  switch (next.kind) {
    case 'answer':
      return Math.min(nowMs, ...state.questions.map((one) => one.atMs));
    case 'begin':
      return next.dueMs ?? lastDoneMs(state) ?? nowMs;
    case 'giveBack':
      return Math.max(begunMs(state, next.stage.id), ...next.parked.map((one) => one.sinceMs));
    case 'heat':
    case 'cool':
    case 'losing': {
      const holds = (at: BatchState) => wantsHeatChanged(snapshot, at, next);
      return heldSinceMs(snapshot, events, begunMs(state, next.stage.id), holds, nowMs);
    }
    case 'tooCold':
      return next.below.foundMs;
    case 'closed':
      return state.closed?.atMs ?? nowMs;
    default:
      return Math.min(next.dueMs ?? nowMs, nowMs);
  }
}

function lastDoneMs(state: BatchState): number | null {
  const done = state.stages.flatMap((stage) => stage.doneMs ?? []);
  return done.length > 0 ? Math.max(...done) : null;
}

function begunMs(state: BatchState, stageId: string): number {
  return state.stages.find((stage) => stage.stageId === stageId)?.begunMs ?? 0;
}

/** The same stage wants its heat changed in the same way: turned to what holds it, or off because it is too hot. */
function wantsHeatChanged(
  snapshot: BatchSnapshot,
  state: BatchState,
  next: Extract<NextAction, { kind: 'heat' | 'cool' | 'losing' }>,
): boolean {
  // it has called for less heat since that was too high, not only since too much had gone
  if (next.kind === 'losing') return isTooHigh(next.fraction, state.pot.heatFraction);
  if (state.currentStageId !== next.stage.id) return false;
  const { pot, setup } = state;
  const top = topTemperature(snapshot, state);
  if (next.kind === 'cool') return top !== null && isHeatedOver(pot, top);
  const wanted = wantedHeat(setup, next.stage, pot, top?.tempC);
  return next.stage.ends.rule === 'served'
    ? isTooHigh(wanted, pot.heatFraction)
    : wantsOtherHeat(wanted, pot.heatFraction);
}

/** Since when something has held without a break, up to now. */
function heldSinceMs(
  snapshot: BatchSnapshot,
  events: readonly BatchEvent[],
  fromMs: number,
  holds: (state: BatchState) => boolean,
  nowMs: number,
): number {
  const active = activeEvents(events);
  const context = foldContext(snapshot, active);
  let state = openBatch(snapshot, active[0]);
  let sinceMs: number | null = null;
  for (const event of active) {
    if (event.actedAtMs > fromMs && sinceMs === null) sinceMs = crossingMs(state, event.actedAtMs, holds);
    state = applyEvent(context, state, event);
    if (event.actedAtMs < fromMs) continue;
    sinceMs = holds(state) ? (sinceMs ?? event.actedAtMs) : null;
  }
  return sinceMs ?? crossingMs(state, nowMs, holds) ?? nowMs;
}

/** When something begins to hold while a pot runs on by itself; null where it does not hold at the end. */
function crossingMs(from: BatchState, untilMs: number, holds: (state: BatchState) => boolean): number | null {
  if (!holds(advanceBatch(from, untilMs))) return null;
  let [notMs, yesMs] = [from.pot.atMs, untilMs];
  while (yesMs - notMs > FOUND_TO_MS) {
    const middleMs = Math.floor((notMs + yesMs) / 2 / FOUND_TO_MS) * FOUND_TO_MS;
    const atMs = middleMs > notMs ? middleMs : notMs + FOUND_TO_MS;
    if (atMs >= yesMs) break;
    if (holds(advanceBatch(from, atMs))) yesMs = atMs;
    else notMs = atMs;
  }
  return yesMs;
}
