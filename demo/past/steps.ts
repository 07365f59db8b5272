import { zonedTimeMs } from '../../contract';
import { MORE_BASES } from '../dishes/bases';
import { DISHES } from '../dishes/dishes';
import { TROUT_CHOWDER } from '../dishes/trout-chowder';
import { DEMO_OPENS_AT, KITCHEN } from '../kitchen';
import type { CookedBefore } from './cook-past';
import type { PastShelf } from './past-shelf';

/** Ids of the lots of the fortnight, by a name of ours. */
export const lotId = (n: number) => `00000000-0000-7000-a000-${String(n).padStart(12, '0')}`;

export const at = (daysBack: number, time: string) =>
  zonedTimeMs(time, KITCHEN.zone, DEMO_OPENS_AT, -daysBack);
export const base = (id: string) => MORE_BASES.find((one) => one.id === id)!;
export const dish = (id: string) => DISHES.find((one) => one.id === id)!;

/** One thing that happened: a word to the shelf, or a batch to cook. */
export type Step = (shelf: PastShelf) => CookedBefore | null;

export const crate =
  (
    daysBack: number,
    time: string,
    n: number,
    of: {
      ingredientId: string;
      kg: number;
      supplier: string;
      arrivedC: number;
      tag?: string;
      keepsDays?: number;
      place?: string;
    },
  ): Step =>
  (shelf) => {
    const { keepsDays, place = 'walk-in, floor', ...rest } = of;
    shelf.say(at(daysBack, time), {
      type: 'delivered',
      payload: {
        lotId: lotId(n),
        place,
        storage: 'chilled',
        ...(keepsDays ? { useByMs: at(daysBack - keepsDays, '23:59') } : {}),
        ...rest,
      },
    });
    return null;
  };
export const chowder =
  (daysBack: number, portions: number, time: string, seed: number): Step =>
  () => ({
    recipe: TROUT_CHOWDER,
    portions,
    portionMl: 250,
    readyAtMs: at(daysBack, time),
    potId: 'stockpot-40',
    burnerId: 'gas-2',
    seed,
  });
export const put = (n: number, place = 'walk-in, shelf 2', share = 1) => ({
  lotId: lotId(n),
  share,
  place,
  storage: 'chilled' as const,
});
export const cook =
  (of: Omit<CookedBefore, 'readyAtMs'> & { daysBack: number; time: string }): Step =>
  () => {
    const { daysBack, time, ...rest } = of;
    return { ...rest, readyAtMs: at(daysBack, time) };
  };
