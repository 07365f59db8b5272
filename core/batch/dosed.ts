import { massKg } from '../matter';
import type { PotState } from '../pot';
import type { BatchState, Dosed } from './batch-state';

type Doses = Pick<BatchState, 'dosed' | 'pot'>;

/** Grams of flour that a dose still stands for in the pot: what was ladled out since has taken its part along. */
function inPotG({ bodyG, goneKg }: Dosed, pot: PotState): number {
  if (bodyG === 0) return 0;
  const kg = massKg(pot.mixture);
  const sinceKg = Math.max(0, goneOf(pot) - goneKg);
  return kg > 0 ? (bodyG * kg) / (kg + sinceKg) : 0;
}

/** What has been taken out of a pot so far, kg. */
export const goneOf = (pot: PotState): number => pot.drawnKg + pot.takenOutKg;

const swelledShare = ({ swellsMin, hotMin }: Dosed): number =>
  swellsMin > 0 ? Math.min(1, hotMin / swellsMin) : 1;

/**
 * Grams of flour that doses put in to thicken will come to and have not yet: a starch swells at once, flour within ten
 * minutes or more of heat. Steadily, as nothing better is known.
 */
export function yetToSwellG({ dosed, pot }: Doses): number {
  return dosed.reduce((sum, dose) => sum + inPotG(dose, pot) * (1 - swelledShare(dose)), 0);
}

/** When the last dose can be judged, ms, if the pot stays as hot; or how hot it must be for it to swell at all. */
export type Judged = { atMs: number } | { notUnderC: number };

/** What is waited for before the last dose can be judged; null where nothing is. */
export function judgedWhen({ dosed, pot }: Doses): Judged | null {
  const waiting = dosed.filter((dose) => dose.bodyG > 0 && swelledShare(dose) < 1);
  if (waiting.length === 0) return null;
  const coldest = Math.max(...waiting.map((dose) => dose.swellsFromC));
  if (pot.tempC < coldest) return { notUnderC: coldest };
  return { atMs: pot.atMs + 60_000 * Math.max(...waiting.map((dose) => dose.swellsMin - dose.hotMin)) };
}

/** Of the way from one temperature to another, the share that is at or over `fromC`. */
function shareOver(fromC: number, beforeC: number, afterC: number): number {
  const [low, high] = beforeC < afterC ? [beforeC, afterC] : [afterC, beforeC];
  if (low >= fromC) return 1;
  return high <= fromC ? 0 : (high - fromC) / (high - low);
}

/** Doses and pot some minutes on: what is hot enough swells, and what has swollen thins again as it boils. */
export function cookedOn({ dosed, pot: before }: Doses, pot: PotState): Doses {
  const minutes = (pot.atMs - before.atMs) / 60_000;
  if (minutes <= 0 || !dosed.some((dose) => dose.bodyG > 0)) return { dosed, pot };
  let lostG = 0;
  const after = dosed.map((dose) => {
    const hotMin = dose.hotMin + minutes * shareOver(dose.swellsFromC, before.tempC, pot.tempC);
    const pastMin = Math.max(0, hotMin - dose.swellsMin) - Math.max(0, dose.hotMin - dose.swellsMin);
    const lost = 1 - Math.exp((-dose.thinsPerHour * pastMin) / 60);
    lostG += lost * inPotG(dose, pot);
    return { ...dose, hotMin, bodyG: dose.bodyG * (1 - lost) };
  });
  return { dosed: after, pot: thinned(pot, lostG) };
}

/** A blender takes as much of the pot as goes through it, and cuts what has swollen in it. */
export function blended({ dosed, pot }: Doses, share: number): Doses {
  let lostG = 0;
  const after = dosed.map((dose) => {
    const lost = share * dose.blendingLoss;
    lostG += lost * inPotG(dose, pot);
    return { ...dose, bodyG: dose.bodyG * (1 - lost) };
  });
  return lostG > 0 ? { dosed: after, pot: thinned(pot, lostG) } : { dosed, pot };
}

function thinned(pot: PotState, lostG: number): PotState {
  if (lostG <= 0) return pot;
  const { mixture } = pot;
  // by the table, as the dose was: the pot's own factor is of what the recipe brought
  const factor = pot.body?.factor ?? 1;
  const flourEquivalentG = Math.max(0, mixture.flourEquivalentG - lostG / factor);
  return { ...pot, mixture: { ...mixture, flourEquivalentG } };
}
