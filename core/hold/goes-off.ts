import type { Ingredient } from '../matter';
import { TOP_RULES, topRuleOf } from '../safety';
import { GOOD_FOR_MIN, type GoesOff } from './data/goes-off';

/** What of a dish goes off first while it is kept hot: a matter of its eating, not of safety. */
export interface FirstToGoOff {
  what: GoesOff;
  name: string;
  minutes: number;
}

/** Less than this of a pot nobody sees, share of its mass. */
const SEEN_SHARE = 0.01;

/** Grain that cooks within this goes on drinking until it bursts; barley keeps. Common practice. */
const SOON_SOFT_MIN = 25;

/**
 * What in a pot goes off first, kept hot.
 *
 * @param foods what went in, each with its row, kg
 * @returns null where nothing does
 * @source `data/goes-off.ts`
 */
export function firstToGoOff(foods: readonly { row: Ingredient; kg: number }[]): FirstToGoOff | null {
  const allKg = foods.reduce((sum, { kg }) => sum + Math.max(0, kg), 0);
  const found = foods.flatMap(({ row, kg }) => {
    const what = goesOff(row);
    return what && kg >= SEEN_SHARE * allKg ? [{ what, name: row.name, minutes: GOOD_FOR_MIN[what] }] : [];
  });
  return found.sort((a, b) => a.minutes - b.minutes)[0] ?? null;
}

function goesOff(row: Ingredient): GoesOff | null {
  if (row.green) return 'greens';
  const isSoonSoft = (row.softenMin ?? 0) < SOON_SOFT_MIN;
  if (row.kind === 'grain' && row.share === 'pieces' && row.drinks && isSoonSoft) return 'pasta';
  if (row.kind === 'fish' || row.kind === 'shellfish') return row.share === 'pieces' ? 'fish' : null;
  const top = topRuleOf(row, 0);
  if (top === TOP_RULES.cheese) return 'cheese';
  if (top === TOP_RULES.yolk) return 'liaison';
  return top === TOP_RULES.leanDairy || top === TOP_RULES.cultured ? 'cream' : null;
}
