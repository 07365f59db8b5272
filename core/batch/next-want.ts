import type { PlannedLine } from '../plan/plan';
import type { Stage } from '../recipe/recipe';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import type { StageClock } from './stage-clock';

/** What a pot wants next, and when. `dueMs` null: nothing to wait for, it wants it now. */
export type Want =
  | { kind: 'closed' }
  | { kind: 'answer'; dueMs: null }
  | { kind: 'begin'; stage: Stage; lines: PlannedLine[]; dueMs: number | null }
  | { kind: 'heat'; stage: Stage; fraction: number; dueMs: null }
  | { kind: 'finish'; stage: Stage; dueMs: null }
  | { kind: 'lookIn'; stage: Stage; dueMs: number }
  | { kind: 'handsOn'; stage: Stage; dueMs: number | null }
  | { kind: 'leave'; stage: Stage; dueMs: number | null }
  | { kind: 'serve'; stage: Stage; dueMs: number };

/** A burner this far from what the stage wants is worth a word. */
const HEAT_WORTH_SAYING = 0.12;

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
export function nextWant(
  snapshot: BatchSnapshot,
  state: BatchState,
  clock: StageClock | null,
  nowMs: number,
): Want {
  if (state.closed) return { kind: 'closed' };
  if (state.questions.length > 0) return { kind: 'answer', dueMs: null };
  if (!clock) return beginning(snapshot, state);
  const { stage } = clock;
  if (stage.ends.rule === 'served') return { kind: 'serve', stage, dueMs: snapshot.plan.serviceAtMs };
  const endMs = clock.ends.p50Ms;
  if (endMs !== null && endMs <= nowMs) return { kind: 'finish', stage, dueMs: null };
  if (clock.wantedHeat < state.pot.heatFraction - HEAT_WORTH_SAYING || isCold(clock, state)) {
    return { kind: 'heat', stage, fraction: clock.wantedHeat, dueMs: null };
  }
  if (stage.attention.kind === 'handsOn') return { kind: 'handsOn', stage, dueMs: endMs };
  if (stage.attention.kind === 'lookIn') {
    const everyMs = stage.attention.everyMin * 60_000;
    const lookMs = clock.begunMs + Math.ceil((nowMs - clock.begunMs + 1) / everyMs) * everyMs;
    if (endMs === null || lookMs < endMs) return { kind: 'lookIn', stage, dueMs: lookMs };
  }
  return { kind: 'leave', stage, dueMs: endMs };
}

/** The lines that a stage still wants in the pot. */
export function linesToAdd(snapshot: BatchSnapshot, state: BatchState, stageId: string): PlannedLine[] {
  return snapshot.plan.lines.filter(
    (line) =>
      line.stageId === stageId &&
      !line.perBowl &&
      line.edibleKg > 0.00005 &&
      !state.addedLineIds.includes(line.lineId),
  );
}

function beginning(snapshot: BatchSnapshot, state: BatchState): Want {
  const next = snapshot.input.recipe.stages.find(
    (stage) => state.stages.find((one) => one.stageId === stage.id)?.doneMs == null,
  );
  if (!next) return { kind: 'closed' };
  const isFirst = state.stages.every((stage) => stage.begunMs === null);
  return {
    kind: 'begin',
    stage: next,
    lines: linesToAdd(snapshot, state, next.id),
    dueMs: isFirst ? snapshot.plan.startAtMs : null,
  };
}

/** Turned off, or far too low, while the stage wants heat. */
function isCold(clock: StageClock, state: BatchState): boolean {
  return clock.wantedHeat > state.pot.heatFraction + 2 * HEAT_WORTH_SAYING;
}
