import { boilOffKgPerHour } from '../evaporation/boil-off-kg-per-hour';
import { massKg } from '../matter/mixture';
import { waterDensityKgPerL } from '../matter/water-density-kg-per-l';
import { softNeed, warmTo } from '../plan/cook-through';
import { setupOf } from '../plan/plan-batch';
import { forecastPot, type PotTarget, type When } from '../pot/forecast-pot';
import { exits, fractionToHold, fullKW, steamHeat } from '../pot/heat-balance';
import type { PotSetup, PotState } from '../pot/pot';
import { potLitres } from '../pot/pot-litres';
import { SIMMER_UNDER_BOIL_C, type Stage } from '../recipe/recipe';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';

export interface StageClock {
  stage: Stage;
  begunMs: number;
  /** when it ends; the three alike for a stage that goes by the clock */
  ends: When;
  /** litres at its mark, where it falls to one */
  markLitres: number | null;
  /** share of the burner that its own simmer wants now */
  wantedHeat: number;
}

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
  const setup = setupOf(snapshot.input);
  const target = targetOf(setup, stage, progress.targetKg);
  return {
    stage,
    begunMs: progress.begunMs,
    ends: target ? forecastPot(setup, state.pot, target) : byTheClock(stage, progress.begunMs),
    markLitres: progress.targetKg === null ? null : litresAtMass(state, progress.targetKg),
    wantedHeat: wantedHeat(setup, stage, state.pot),
  };
}

/** Share of the burner a stage wants, 0..1: full until it is hot enough, then what holds its simmer. */
export function wantedHeat(setup: PotSetup, stage: Stage, pot: PotState): number {
  if (stage.heat.kind === 'burner') return stage.heat.fraction;
  const holdC = setup.air.boilingC - SIMMER_UNDER_BOIL_C[stage.heat.simmer];
  if (pot.tempC < holdC - 2) return 1;
  return Math.max(
    0.05,
    Math.round(fractionToHold(setup, potLitres(pot), holdC, stage.lid, pot.gain) * 20) / 20,
  );
}

/** What a pot is losing now, kg/h. */
export function lossKgPerHour(setup: PotSetup, pot: PotState): number {
  const out = exits(setup, potLitres(pot));
  const inKW = fullKW(setup) * pot.heatFraction * pot.gain;
  const leftOverKW = Math.max(0, inKW - out.wallKWPerK * (pot.tempC - setup.air.airTempC));
  const boiling = pot.tempC >= setup.air.boilingC - 0.01;
  const steamKW = boiling ? leftOverKW : steamHeat(setup.air, pot.tempC, out.surfaceM2, pot.lid).kW;
  return boilOffKgPerHour({ netPowerW: steamKW * 1000, tempC: pot.tempC });
}

function targetOf(setup: PotSetup, stage: Stage, targetKg: number | null): PotTarget | null {
  switch (stage.ends.rule) {
    case 'simmer':
      return { kind: 'temperature', tempC: setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely };
    case 'warm':
      return { kind: 'temperature', tempC: warmTo(setup, stage.ends.tempC) };
    case 'soft':
      return { kind: 'softened', minutesAt100C: softNeed(setup, stage.ends) };
    case 'fall':
      return targetKg === null ? null : { kind: 'mass', kg: targetKg };
    default:
      return null;
  }
}

function byTheClock(stage: Stage, begunMs: number): When {
  if (stage.ends.rule !== 'minutes') return { p10Ms: null, p50Ms: null, p90Ms: null };
  const atMs = begunMs + stage.ends.minutes * 60_000;
  return { p10Ms: atMs, p50Ms: atMs, p90Ms: atMs };
}

/** Litres when steam has taken the pot down to a mass: a kilogram of hot water is about 1.04 L. */
function litresAtMass(state: BatchState, kg: number): number {
  const { mixture, tempC } = state.pot;
  const here = massKg(mixture);
  return potLitres(state.pot) - (here - kg) / waterDensityKgPerL({ tempC });
}
