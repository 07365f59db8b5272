import {
  type BatchSnapshot,
  type BatchState,
  type NextAction,
  nextAction,
  type StageClock,
  stageClock,
} from '../batch';
import { massKg, totalKg } from '../matter';
import { bodyOfPot, type PotState, potLitres } from '../pot';

/** What every page asks of a batch. */
export interface Outlook {
  clock: StageClock | null;
  next: NextAction;
}

/**
 * Looks ahead from a batch as every page does: its clock and what it wants next. What cannot be looked ahead from is not
 * let in. (Adjusting is worked out from any state.)
 *
 * @param state run to `nowMs`
 * @throws RangeError where a figure is no number, or the model has no answer
 */
export function outlook(snapshot: BatchSnapshot, state: BatchState, nowMs: number): Outlook {
  for (const [name, value] of Object.entries(figuresOf(state)))
    if (!Number.isFinite(value)) throw new RangeError(`${name} must be a finite number, got ${value}`);
  const clock = stageClock(snapshot, state);
  const next = nextAction(snapshot, state, clock, nowMs);
  return { clock, next };
}

function figuresOf({ pot, costCents, served, discarded }: BatchState): Record<string, number> {
  return {
    massKg: massKg(pot.mixture),
    liquidKg: totalKg(pot.mixture.liquid),
    piecesKg: totalKg(pot.mixture.pieces),
    flourEquivalentG: bodyOfPot(pot),
    litres: potLitres(pot),
    doubt: doubtOf(pot),
    tempC: pot.tempC,
    heatFactor: pot.heatFactor,
    wander: pot.wander,
    setting: pot.setting,
    costCents,
    served,
    discarded,
  };
}

/** All of the covariance in one number: one that is none spoils it. */
function doubtOf(pot: PotState): number {
  return pot.covariance.reduce((sum, value) => sum + value, 0);
}
