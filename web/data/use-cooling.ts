import { useMemo } from 'react';
import { coolingPlaces, type KitchenView, type LearnedView } from '../../contract';
import {
  type CoolingAct,
  type CoolingForecast,
  type CoolingKnown,
  coolingActs,
  coolingForecast,
  coolingKnown,
  type FilmShown,
} from '../../core/cooling';
import { clockBeforePouring, isCooling, type LotCooling, saidOfCooling } from '../../core/larder';
import type { LotView } from '../../core/views';

/** What past coolings say of each cold place, by its id. */
export function filmsShown(learned: LearnedView | undefined): Record<string, FilmShown> {
  return Object.fromEntries(
    (learned?.shares ?? []).flatMap(({ key, share }) => ('filmOf' in key ? [[key.filmOf, share]] : [])),
  );
}

/** Pans that stand empty: those of the kitchen, less those that something cools in; null where nobody counted. */
export function emptyPansOf(
  { equipment }: Pick<KitchenView, 'equipment'>,
  coolings: readonly Pick<LotView, 'cooling' | 'leftKg'>[],
): number | null {
  if (equipment.coolingPans === undefined) return null;
  const taken = coolings
    .filter((lot) => isCooling(lot.cooling) && lot.leftKg > 0)
    .reduce((sum, lot) => sum + (lot.cooling?.steps.at(-1)?.how.pans ?? 0), 0);
  return Math.max(0, equipment.coolingPans - taken);
}

/** A cooling as it stands: what is known of it, where it leads, what can still be done. */
export interface CoolingNow {
  cooling: LotCooling;
  known: CoolingKnown;
  forecast: CoolingForecast;
  acts: CoolingAct[];
}

/** What a cooling looks like at a moment; null for a lot that is not being cooled. */
export function coolingNow(
  lot: Pick<LotView, 'cooling'>,
  kitchen: KitchenView,
  of: { shown: Record<string, FilmShown>; emptyPans: number | null },
  nowMs: number,
): CoolingNow | null {
  const { cooling } = lot;
  if (!cooling || !isCooling(cooling)) return null;
  const { limits } = kitchen;
  const known = coolingKnown(saidOfCooling(cooling), of.shown);
  const clock = clockBeforePouring(cooling, limits.hotHoldingC);
  const forecast = coolingForecast(known, nowMs, limits, clock);
  const acts = coolingActs(known, forecast, { places: coolingPlaces(kitchen), ...of }, nowMs);
  return { cooling, known, forecast, acts };
}

/** There is room and ice for it, and it is not too late. */
export const canBeDone = ({ lastMs, overKg }: CoolingAct): boolean => lastMs !== null && overKg === 0;

/** The last moment at which any act still saves it, ms; null where none does. */
export function lastToAct(acts: readonly CoolingAct[]): number | null {
  const moments = acts.flatMap((act) => (canBeDone(act) && act.lastMs !== null ? [act.lastMs] : []));
  return moments.length > 0 ? Math.max(...moments) : null;
}

export function useCooling(
  lot: LotView,
  kitchen: KitchenView,
  of: { learned: LearnedView | undefined; emptyPans: number | null },
  nowMs: number,
): CoolingNow | null {
  const { learned, emptyPans } = of;
  return useMemo(
    () => coolingNow(lot, kitchen, { shown: filmsShown(learned), emptyPans }, nowMs),
    [lot, kitchen, learned, emptyPans, nowMs],
  );
}
