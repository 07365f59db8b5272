import type { Ingredient } from '../matter';
import type { Plan } from '../plan';
import type { Recipe } from '../recipe';
import { type MiseNote, miseList } from './mise-list';

/** A thing that stands for hours before it goes in: soaked, brined, thawed. */
export interface BegunAhead {
  lineId: string;
  ingredientId: string;
  name: string;
  purchasedKg: number;
  how: Extract<MiseNote, { code: 'soak' | 'brine' | 'thaw' }>;
  /** at the latest, ms */
  beginByMs: number;
  neededAtMs: number;
  /** where it is too late: what can still be done, none where nothing can */
  shortWays: readonly ShortWay[] | null;
}

/** Boiled two minutes and stood for an hour; or bought cooked, in tins. Common practice. */
export type ShortWay = 'quickSoak' | 'tins';

/** Shorter than this is done on the day, in its turn, h. */
const AHEAD_FROM_H = 2;

/** To the boil, two minutes at it, an hour's stand: at the stove for so long, ms. Common practice. */
export const QUICK_SOAK_MS = 85 * 60_000;

/** A brine or a thaw is worth its while down to this share of its time. Common practice. */
const STILL_GOOD = 0.9;

/**
 * What a plan has begun hours before it: the evening before, as often as not. One that can no longer be begun in time says
 * what still can be done.
 *
 * @param of the recipe as planned, its plan and rows
 * @param nowMs the moment, ms
 * @returns the first to begin first
 */
export function begunAhead(
  of: { recipe: Recipe; plan: Plan; ingredients: Readonly<Record<string, Ingredient>> },
  nowMs: number,
): BegunAhead[] {
  const rows = Object.values(of.ingredients);
  return miseList(of)
    .flatMap((item): BegunAhead[] => {
      const how = item.notes.find(isLong);
      const ingredientId = of.plan.lines.find((line) => line.lineId === item.lineId)?.ingredientId;
      if (!how || !ingredientId || how.hours < AHEAD_FROM_H) return [];
      const beginByMs = item.neededAtMs - how.hours * 3_600_000;
      const latestMs = item.neededAtMs - STILL_GOOD * how.hours * 3_600_000;
      const { kind } = of.ingredients[ingredientId]!;
      const isPulse = how.code === 'soak' && (kind === 'pulse' || kind === 'grain');
      const ways: ShortWay[] = [
        ...(isPulse && item.neededAtMs - nowMs >= QUICK_SOAK_MS ? (['quickSoak'] as const) : []),
        ...(isPulse && rows.some((row) => row.tinnedOf === ingredientId) ? (['tins'] as const) : []),
      ];
      return [
        {
          lineId: item.lineId,
          ingredientId,
          name: item.name,
          purchasedKg: item.purchasedKg,
          how,
          beginByMs,
          neededAtMs: item.neededAtMs,
          shortWays: nowMs > latestMs ? ways : null,
        },
      ];
    })
    .sort((a, b) => a.beginByMs - b.beginByMs);
}

function isLong(note: MiseNote): note is BegunAhead['how'] {
  return note.code === 'soak' || note.code === 'brine' || note.code === 'thaw';
}
