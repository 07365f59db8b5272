import { boilOffKgPerHour } from '../evaporation';
import type { ForecastInterval } from '../forecast';
import { stageTarget, stirEveryMin, UNDER_THE_TOP_C } from '../plan';
import {
  arrivingAt,
  fallTo,
  forecastPot,
  fractionToHold,
  fullKW,
  litresAtMass,
  mostHeat,
  type PotSetup,
  type PotState,
  type PotTarget,
  potWays,
  steamHeat,
} from '../pot';
import { SIMMER_UNDER_BOIL_C, type Stage } from '../recipe';

import type { BatchSnapshot } from './batch-event';
import type { BatchState, StageProgress } from './batch-state';
import { topTemperature } from './top-temperature';

export interface StageClock {
  stage: Stage;
  begunMs: number;
  /** when it ends; the three alike for a stage that goes by the clock */
  ends: ForecastInterval;
  /** what it waits for, as the forecast is told; null for one that goes by the clock or by the cook */
  target: PotTarget | null;
  /** litres at its mark, where it falls to one */
  markLitres: number | null;
  /** share of the burner that its own simmer wants now */
  wantedHeat: number;
}

/** Hot enough to serve: from here a pot that is only held is not brought up at full heat. Over the code's 57 °C. */
const HELD_HOT_C = 65;

/**
 * The running stage's clock: when it will be done, with the pot as it is heated and covered now.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch at a moment
 * @returns null when no stage is running
 * @source docs/model.md § 5 and § 11
 */
export function stageClock(snapshot: BatchSnapshot, state: BatchState): StageClock | null {
  const stage = snapshot.input.recipe.stages.find((one) => one.id === state.currentStageId);
  const progress = state.stages.find((one) => one.stageId === state.currentStageId);
  if (!stage || progress?.begunMs == null) return null;
  const { setup } = state;
  const topC = topTemperature(snapshot, state)?.tempC;
  const target = targetOf(state, stage, progress, topC);
  return {
    stage,
    begunMs: progress.begunMs,
    ends: target ? forecastPot(setup, state.pot, target) : byTheClock(stage, progress.begunMs),
    markLitres: target?.kind === 'mass' ? litresAtMass(state.pot, target.kg) : null,
    target,
    wantedHeat: wantedHeat(setup, stage, state.pot, topC),
  };
}

/**
 * Share of the burner a stage wants, 0..1: full until it is hot enough, or what its floor bears; then what holds its
 * simmer.
 *
 * @param topC the hottest the pot may get, °C; it is held a little under that
 */
export function wantedHeat(
  setup: PotSetup,
  stage: Stage,
  pot: PotState,
  topC = Number.POSITIVE_INFINITY,
): number {
  if (pot.tempC > topC) return 0;
  const simmerC =
    stage.heat.kind === 'hold'
      ? setup.air.boilingC - SIMMER_UNDER_BOIL_C[stage.heat.simmer]
      : Number.POSITIVE_INFINITY;
  const holdC = Math.min(simmerC, topC - UNDER_THE_TOP_C);
  if (stage.heat.kind === 'burner') {
    if (pot.tempC < holdC - 2 || stage.heat.fraction === 0) return stage.heat.fraction;
  }
  const isHeldHot = stage.ends.rule === 'served' && pot.tempC >= HELD_HOT_C;
  const holds = Math.max(
    0.05,
    Math.round(fractionToHold(setup, potWays(setup, pot, stage.lid), holdC, arrivingAt(pot)) * 20) / 20,
  );
  const comesUp = pot.tempC < holdC - 2 && !isHeldHot;
  return comesUp ? Math.max(holds, mostHeat(setup, pot, stirEveryMin(stage, pot))) : holds;
}

/** What a pot is losing now, kg/h. */
export function lossKgPerHour(setup: PotSetup, pot: PotState): number {
  const out = potWays(setup, pot);
  const inKW = fullKW(setup) * pot.heatFraction * arrivingAt(pot);
  const leftOverKW = Math.max(0, inKW - out.wallKWPerK * (pot.tempC - setup.air.airTempC));
  const boiling = pot.tempC >= setup.air.boilingC - 0.01;
  const steamKW = boiling ? leftOverKW : steamHeat(setup.air, pot.tempC, out.openM2).kW;
  return boilOffKgPerHour({ netPowerW: steamKW * 1000, tempC: pot.tempC });
}

function targetOf(
  state: BatchState,
  stage: Stage,
  progress: StageProgress,
  topC: number | undefined,
): PotTarget | null {
  const { setup } = state;
  if (progress.target && progress.fromLitres !== null)
    return fallTo(setup, state.pot, progress.target, progress.fromLitres);
  if (stage.ends.rule === 'fall')
    return progress.targetKg === null ? null : { kind: 'mass', kg: progress.targetKg };
  return stageTarget(setup, state.pot, stage, topC);
}

function byTheClock(stage: Stage, begunMs: number): ForecastInterval {
  if (stage.ends.rule !== 'minutes') return { p10Ms: null, p50Ms: null, p90Ms: null };
  const atMs = begunMs + stage.ends.minutes * 60_000;
  return { p10Ms: atMs, p50Ms: atMs, p90Ms: atMs };
}
