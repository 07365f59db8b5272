import { foodLitres } from '../pot';
import { CODE_HOT_LIMITS, FOOD_CODE } from '../safety';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';

/** How often a thermometer goes into what is held hot, min, until the kitchen says otherwise. Common practice. */
export const HOLD_CHECK_MIN = 30;

/** The model has it under the limit: a thermometer is asked for, but not oftener than so, min. Ours. */
const AGAIN_MIN = 5;

/** Less than this is a lick on the wall, L. */
const LEAST_L = 0.1;

/** The temperature checks of what is served, and the clock of what was found too cold. */
export interface HoldClock {
  /** the last thermometer since it is served, and what it showed; null where there was none */
  last: { atMs: number; tempC: number } | null;
  nextMs: number;
  everyMin: number;
  below: TooCold | null;
}

/** Found under the limit: since when it may have been, and what can be done by when. */
export interface TooCold {
  /** the last moment it was known to be hot: it may have been too cold ever since, ms */
  sinceMs: number;
  foundMs: number;
  tempC: number;
  /** till then it is reheated, once; ms */
  reheatByMs: number;
  /** and thrown away by then; ms */
  throwByMs: number;
  /** it has not been reheated yet while it is served */
  canReheat: boolean;
}

/**
 * What thermometers have shown of a pot that is served, held against the kitchen's limits. The model asks for a
 * thermometer; it never says that something is hot.
 *
 * @returns null while nothing is served, and of what goes to the larder
 * @source published: FDA Food Code 2022 § 3-501.16, § 3-501.19, § 3-403.11; the rhythm is common practice
 */
export function holdClock({ input }: Pick<BatchSnapshot, 'input'>, state: BatchState): HoldClock | null {
  const stage = input.recipe.stages.find((one) => one.id === state.currentStageId);
  if (stage?.ends.rule !== 'served' || input.recipe.base || foodLitres(state.pot) < LEAST_L) return null;
  const begunMs = state.stages.find((one) => one.stageId === stage.id)?.begunMs ?? state.pot.atMs;
  const { hotHoldingC, reheatWithinH } = input.limits ?? CODE_HOT_LIMITS;
  const everyMin = input.equipment?.holdCheckMin ?? HOLD_CHECK_MIN;
  const checks = state.readings
    .filter((one) => one.kind === 'temperature' && one.status === 'accepted' && one.atMs >= begunMs)
    .map(({ atMs, value }) => ({ atMs, tempC: value }));
  const reheats = state.reheats.filter((one) => one.atMs >= begunMs);
  const hotMs = [...checks.filter((one) => one.tempC >= hotHoldingC), ...reheats].map((one) => one.atMs);
  const sinceMs = Math.max(begunMs, ...hotMs);
  const found = checks.find((one) => one.atMs > sinceMs && one.tempC < hotHoldingC);
  const last = checks.at(-1) ?? null;
  const lastMs = Math.max(begunMs, last?.atMs ?? 0, ...reheats.map((one) => one.atMs));
  const isDoubtful = state.pot.tempC < hotHoldingC;
  return {
    last,
    nextMs: lastMs + (isDoubtful ? Math.min(AGAIN_MIN, everyMin) : everyMin) * 60_000,
    everyMin,
    below: found
      ? {
          sinceMs,
          foundMs: found.atMs,
          tempC: last?.tempC ?? found.tempC,
          reheatByMs: sinceMs + reheatWithinH * 3_600_000,
          throwByMs: sinceMs + FOOD_CODE.timeOnlyH.value * 3_600_000,
          canReheat: reheats.length === 0,
        }
      : null,
  };
}
