import { liquidLitres } from '../pot';
import { thicknessBand } from '../thickness';

import type { BatchState } from './batch-state';

/** From this band on a pot catches, and each band more halves the time that it can be left. source: common practice */
const CATCHES_FROM_BAND = 2;
/** No interval gets shorter: who has to stir more often stays with it, min. */
const SHORTEST_MIN = 0.5;

/** A look-in may be pulled forward by this share of its interval. Common practice: stirring early does no harm. */
export const EARLY_SHARE = 0.35;
/** By itself, and not as one walk with another pot's, it is answered no earlier than this, ms. */
const EARLY_MS = 45_000;

/** From when on a look-in may be answered, ms. */
export function lookFromMs(next: { dueMs: number; everyMin: number }): number {
  return next.dueMs - Math.min(EARLY_MS, EARLY_SHARE * next.everyMin * 60_000);
}

/**
 * How often a pot has to be looked at and stirred: as the recipe says, more often as it thickens.
 *
 * @param everyMin the recipe's own interval, min
 * @param state the batch now
 * @returns minutes, rounded to halves
 * @source common practice: starch and sugar catch, the sooner the thicker; the halving from memory
 */
export function lookEveryMin(everyMin: number, state: BatchState): number {
  const litres = liquidLitres(state.pot);
  const flourEquivalentGPerL = litres > 0 ? Math.max(0, state.pot.mixture.flourEquivalentG / litres) : 0;
  const over = Math.max(0, thicknessBand({ flourEquivalentGPerL }) - CATCHES_FROM_BAND);
  return Math.max(SHORTEST_MIN, Math.round(everyMin * 2 ** -over * 2) / 2);
}
