import { brixOf } from '../matter';
import { thicknessBand } from '../thickness';
import { depthAtLitres, litresAtDepth, panBottomM2 } from '../vessel';
import { bodyOfPot } from './body';

import { fullKW } from './heat-balance';
import { arrivingAt, type PotSetup, type PotState } from './pot';
import { liquidLitres, potLitres } from './pot-litres';
import { scorchMargin } from './scorch-margin';

/** How thick the liquid is now, band 0..6; nothing is as thin as water. */
export function bandNow(pot: PotState): number {
  const litres = liquidLitres(pot);
  return litres > 0 ? thicknessBand({ flourEquivalentGPerL: Math.max(0, bodyOfPot(pot) / litres) }) : 0;
}

/** With less water than this in what is wet, a pot is fried in and not simmered: it browns on purpose. */
const SIMMERS_FROM = 0.5;

/** Whether a pot is fried in: fat, with what little the pieces give. */
export function isFriedIn({ mixture: { liquid } }: PotState): boolean {
  const wet = liquid.water + liquid.alcohol + liquid.fat;
  return wet === 0 || (liquid.water + liquid.alcohol) / wet < SIMMERS_FROM;
}

/** What is known of a floor, beside the law: it bears so many times as much. */
export interface KnownFloor {
  mean: number;
  sd: number;
}

/** First guess of what a floor bears, over what the law says. From memory: pots, rings and recipes differ so much. */
export const FIRST_GUESS_FLOOR: KnownFloor = { mean: 1, sd: 0.35 };

/**
 * How far the heat may still go before a pot's floor catches, by the law alone: see `scorchMargin`.
 *
 * @param stirEveryMin how often its bottom is scraped, min, above 0
 * @returns heat it bears over heat it gets; Infinity with the heat off; null while it is fried in
 */
export function lawMargin(setup: PotSetup, pot: PotState, stirEveryMin: number): number | null {
  if (isFriedIn(pot)) return null;
  const litres = potLitres(pot);
  const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
  return scorchMargin({
    heatW: fullKW(setup) * 1000 * pot.heatFraction * arrivingAt(pot),
    bottomM2: panBottomM2(setup.vessel),
    band: bandNow(pot),
    solidsPercent: Math.min(100, brixOf(pot.mixture.liquid)),
    depthCm: depthAtLitres(setup.vessel, Math.min(Math.max(litres, 0), brim)),
    stirEveryMin,
  });
}

/** The same, with what this floor has shown that it bears. */
export function floorMargin(setup: PotSetup, pot: PotState, stirEveryMin: number): number | null {
  const law = lawMargin(setup, pot, stirEveryMin);
  return law === null ? null : law * (setup.floorBears ?? 1);
}

/** A floor under this margin catches. */
export const CATCHES_UNDER = 1;
/** What is advised stays this far from it. Ours. */
const ADVISED_FROM = 1.1;
/** No pot is brought up on less than this share of its burner. Ours. */
const LEAST_UP = 0.2;

/** The most heat that a pot is brought up with, a share of full: all of it, or what its floor bears. */
export function mostHeat(setup: PotSetup, pot: PotState, stirEveryMin: number): number {
  const atFull = floorMargin(setup, { ...pot, heatFraction: 1 }, stirEveryMin);
  if (atFull === null || atFull >= ADVISED_FROM) return 1;
  return Math.max(LEAST_UP, Math.floor((atFull / ADVISED_FROM) * 20) / 20);
}
