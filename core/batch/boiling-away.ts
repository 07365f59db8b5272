import { massKg } from '../matter';
import type { Stage } from '../recipe';

import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { wantedHeat } from './stage-clock';
import { topTemperature } from './top-temperature';

/** More than was planned may have gone by so much before a pot calls: kg, and as a share of what was there. From memory. */
const LOOSE_KG = 0.5;
const LOOSE_SHARE = 0.08;

/** Heat this far over what holds the pot goes on boiling it away. */
const OVER_HOLD = 0.1;

/** A pot that loses more than its plan and goes on losing: how much has gone, and the heat that would hold it. */
export interface BoilingAway {
  stage: Stage;
  lostKg: number;
  plannedKg: number;
  /** share of the burner that holds it */
  fraction: number;
}

/**
 * Whether a pot boils away: far more steam has left than the plan drives off in the stages it has come to, and its
 * heat is over what holds it. Null where it does not.
 */
export function boilingAway(snapshot: BatchSnapshot, state: BatchState): BoilingAway | null {
  const { pot } = state;
  if (pot.heatFraction === 0 || massKg(pot.mixture) <= 0) return null;
  const { stages } = snapshot.input.recipe;
  const begun = new Set(state.stages.flatMap((one) => (one.begunMs === null ? [] : [one.stageId])));
  const stage =
    stages.find((one) => one.id === state.currentStageId) ?? stages.findLast((one) => begun.has(one.id));
  if (!stage) return null;
  const plannedKg = snapshot.plan.stages.reduce(
    (sum, one) => sum + (begun.has(one.stageId) ? one.steamedKg : 0),
    0,
  );
  const lostKg = pot.evaporatedKg;
  const loose = Math.max(LOOSE_KG, LOOSE_SHARE * (massKg(pot.mixture) + lostKg));
  if (lostKg <= plannedKg + loose) return null;
  const held: Stage = { ...stage, heat: { kind: 'hold', simmer: 'justUnder' }, ends: { rule: 'served' } };
  const fraction = wantedHeat(state.setup, held, pot, topTemperature(snapshot, state)?.tempC);
  return pot.heatFraction > fraction + OVER_HOLD ? { stage, lostKg, plannedKg, fraction } : null;
}
