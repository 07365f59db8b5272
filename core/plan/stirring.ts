import { bandNow, type PotState } from '../pot';
import type { Stage } from '../recipe';

/** From this band on a pot catches, and each band more halves the time that it can be left. source: common practice */
const CATCHES_FROM_BAND = 2;
/** No interval gets shorter: who has to stir more often stays with it, min. */
const SHORTEST_MIN = 0.5;

/**
 * How often a pot has to be looked at and stirred: as the recipe says, more often as it thickens.
 *
 * @param everyMin the recipe's own interval, min
 * @returns minutes, rounded to halves
 * @source common practice: starch and sugar catch, the sooner the thicker; the halving from memory
 */
export function lookEveryMin(everyMin: number, pot: PotState): number {
  const over = Math.max(0, bandNow(pot) - CATCHES_FROM_BAND);
  return Math.max(SHORTEST_MIN, Math.round(everyMin * 2 ** -over * 2) / 2);
}

/** How often the bottom is stirred in a stage as the cook is called to it, min; left alone, hardly. Common practice. */
export function stirEveryMin({ attention }: Pick<Stage, 'attention'>, pot: PotState): number {
  switch (attention.kind) {
    case 'handsOn':
      return 1;
    case 'lookIn':
      return lookEveryMin(attention.everyMin, pot);
    case 'leave':
      return LEFT_MIN;
  }
}

/** Nobody is called to a pot that may be left; whoever passes by stirs it. Common practice. */
const LEFT_MIN = 15;
