import { normalShare } from '../forecast';

import { setHeat } from './change-pot';
import { type PotTarget, quantilesMs } from './forecast-pot';
import type { PotSetup, PotState } from './pot';

/** A pot that may not get where it should at the heat it has. */
export interface MayNever {
  /** chance that it does not get there within the horizon, 0..1 */
  chance: number;
  /** the least share of the burner that it may be turned up to and very likely does at; null where there is none */
  turnUpTo: number | null;
}

/** Looked at so finely, in standard deviations: from surely to hardly. */
const FINE = 0.25;
const FURTHEST = 2.5;
/** Taken for sure enough at a higher heat: nine days in ten. */
const SURE_Z = 1.2816;
const HEAT_STEP = 0.1;

/**
 * How likely a pot is never to meet its target with its heat and lid as they are, and how far to turn it up. What is left
 * to cool is not turned up.
 *
 * @param canTake whether the pot may be heated so: it neither catches nor goes over what is in it
 * @param horizonMin as of `forecastPot`
 * @returns null where it is met even on a late day
 */
export function mayNever(
  setup: PotSetup,
  pot: PotState,
  target: PotTarget,
  canTake: (heated: PotState) => boolean = () => true,
  horizonMin = 720,
): MayNever | null {
  const meets = (of: PotState, z: number) => quantilesMs(setup, of, target, [z], horizonMin)[0] !== null;
  if (target.kind === 'cooled' || pot.heatFraction === 0 || meets(pot, SURE_Z)) return null;
  const days = Array.from({ length: (2 * FURTHEST) / FINE + 1 }, (_, i) => i * FINE - FURTHEST);
  // early days have it, late ones do not: between them the share of days that never do begins
  const last = quantilesMs(setup, pot, target, days, horizonMin).findLastIndex((ms) => ms !== null);
  const chance = last < 0 ? 1 : 1 - normalShare(days[last]! + FINE / 2);
  for (let at = Math.ceil((pot.heatFraction + 0.05) / HEAT_STEP) * HEAT_STEP; at <= 1.001; at += HEAT_STEP) {
    const fraction = Math.min(1, Math.round(at * 10) / 10);
    const heated = setHeat(pot, fraction);
    if (!canTake(heated)) break;
    if (meets(heated, SURE_Z)) return { chance, turnUpTo: fraction };
  }
  return { chance, turnUpTo: null };
}
