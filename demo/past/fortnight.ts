import type { LarderEvent } from '../../core/larder';
import {
  CHICKEN_STOCK,
  DARK_VEGETABLE_STOCK,
  FUMET,
  GARLIC_OIL,
  GLAZE,
  KELP_STOCK,
  MOTHER_SAUCE,
} from '../dishes/bases';
import { cookPast, type PastBatch } from './cook-past';
import { type PastShelf, pastShelf } from './past-shelf';

import { at, base, chowder, cook, crate, dish, lotId, put, type Step } from './steps';

/** The fortnight in the order it happened: crates in, bases made, soups cooked from them. Invented. */
const STEPS: readonly Step[] = [
  crate(14, '07:40', 1, {
    ingredientId: 'fish-bones',
    kg: 8,
    supplier: 'Quayhead Fish',
    arrivedC: 2,
    keepsDays: 2,
  }),
  cook({
    daysBack: 14,
    time: '15:00',
    recipe: FUMET,
    portions: 13,
    potId: 'stockpot-40',
    burnerId: 'gas-3',
    seed: 201,
    stored: [put(2)],
  }),
  chowder(13, 40, '13:10', 101),
  chowder(11, 60, '13:10', 102),
  cook({
    daysBack: 10,
    time: '17:00',
    recipe: CHICKEN_STOCK,
    portions: 12,
    potId: 'kettle-60',
    burnerId: 'jacket',
    seed: 202,
    stored: [put(3, 'walk-in, shelf 1')],
  }),
  (shelf) => {
    shelf.say(at(9, '08:40'), { type: 'fatLifted', payload: { lotId: lotId(3), kg: 0.18 } });
    return null;
  },
  cook({
    daysBack: 9,
    time: '16:00',
    recipe: GLAZE,
    portions: 10,
    potId: 'rondeau-24',
    burnerId: 'gas-1',
    seed: 203,
    stored: [{ ...put(4, 'freezer, drawer 1'), storage: 'frozen' as const }],
  }),
  crate(8, '07:35', 5, {
    ingredientId: 'fish-bones',
    kg: 8,
    supplier: 'Quayhead Fish',
    arrivedC: 3,
    keepsDays: 2,
  }),
  cook({
    daysBack: 8,
    time: '14:40',
    recipe: FUMET,
    portions: 14,
    potId: 'stockpot-40',
    burnerId: 'gas-3',
    seed: 204,
    stored: [put(6)],
  }),
  cook({
    daysBack: 8,
    time: '16:30',
    recipe: base('light-vegetable-stock'),
    portions: 10,
    potId: 'rondeau-24',
    burnerId: 'gas-1',
    seed: 205,
    stored: [put(7, 'walk-in, shelf 3')],
  }),
  cook({
    daysBack: 8,
    time: '15:10',
    recipe: base('blond-roux'),
    portions: 18,
    potId: 'saucepan-4',
    burnerId: 'gas-4',
    seed: 206,
    stored: [put(8, 'walk-in, door')],
  }),
  chowder(7, 55, '13:10', 103),
  cook({
    daysBack: 6,
    time: '18:05',
    recipe: dish('pepper-lentil-puree'),
    portions: 36,
    potId: 'rondeau-24',
    burnerId: 'gas-1',
    seed: 207,
  }),
  chowder(5, 35, '11:40', 104),
  crate(4, '08:10', 9, {
    ingredientId: 'leek',
    kg: 14,
    supplier: 'Nether Corrie Growers',
    arrivedC: 7,
    place: 'walk-in, crates',
  }),
  cook({
    daysBack: 4,
    time: '12:30',
    recipe: DARK_VEGETABLE_STOCK,
    portions: 14,
    potId: 'stockpot-40',
    burnerId: 'induction',
    seed: 208,
    stored: [put(10, 'walk-in, shelf 3')],
  }),
  cook({
    daysBack: 4,
    time: '16:30',
    recipe: MOTHER_SAUCE,
    portions: 45,
    potId: 'rondeau-24',
    burnerId: 'gas-3',
    seed: 209,
    stored: [put(11, 'walk-in, shelf 1')],
  }),
  cook({
    daysBack: 4,
    time: '10:40',
    recipe: FUMET,
    portions: 8,
    potId: 'rondeau-24',
    burnerId: 'induction',
    seed: 210,
    stored: [put(12)],
  }),
  cook({
    daysBack: 3,
    time: '18:05',
    recipe: dish('leek-perry-broth'),
    portions: 30,
    potId: 'stockpot-40',
    burnerId: 'gas-1',
    seed: 211,
  }),
  crate(2, '07:30', 13, {
    ingredientId: 'chicken-bones',
    kg: 14,
    supplier: 'Stey Brae Meat',
    arrivedC: 4,
    keepsDays: 3,
  }),
  cook({
    daysBack: 2,
    time: '15:30',
    recipe: CHICKEN_STOCK,
    portions: 12,
    potId: 'kettle-60',
    burnerId: 'jacket',
    seed: 212,
    stored: [put(15, 'walk-in, shelf 1')],
  }),
  cook({
    daysBack: 2,
    time: '16:45',
    recipe: base('root-puree'),
    portions: 12,
    potId: 'rondeau-24',
    burnerId: 'gas-3',
    seed: 213,
    stored: [put(16, 'walk-in, shelf 3')],
  }),
  crate(1, '07:35', 17, {
    ingredientId: 'fish-bones',
    kg: 9,
    supplier: 'Quayhead Fish',
    arrivedC: 2,
    keepsDays: 2,
  }),
  crate(1, '07:36', 18, {
    ingredientId: 'smoked-trout',
    kg: 9,
    supplier: 'Quayhead Fish',
    arrivedC: 3,
    keepsDays: 7,
    place: 'walk-in, shelf 4',
  }),
  crate(1, '07:37', 19, {
    ingredientId: 'mussel',
    kg: 5,
    supplier: 'Quayhead Fish',
    arrivedC: 4,
    tag: 'QF 2207',
    keepsDays: 3,
  }),
  chowder(1, 60, '13:10', 105),
  cook({
    daysBack: 1,
    time: '14:30',
    recipe: FUMET,
    portions: 14,
    potId: 'stockpot-40',
    burnerId: 'induction',
    seed: 214,
    stored: [put(14)],
  }),
  cook({
    daysBack: 1,
    time: '15:40',
    recipe: KELP_STOCK,
    portions: 6,
    potId: 'rondeau-24',
    burnerId: 'induction',
    seed: 215,
    stored: [put(20, 'walk-in, shelf 3')],
  }),
  cook({
    daysBack: 1,
    time: '16:10',
    recipe: GARLIC_OIL,
    portions: 90,
    potId: 'saucepan-4',
    burnerId: 'gas-4',
    seed: 216,
    stored: [put(21, 'walk-in, door')],
  }),
  // what was done on the shelf besides
  (shelf) => {
    const said = (daysBack: number, time: string, body: Parameters<PastShelf['say']>[1]) =>
      shelf.say(at(daysBack, time), body);
    const left = (n: number, daysBack: number) => {
      const lot = shelf.lotsAt(at(daysBack, '17:30')).find((one) => one.id === lotId(n));
      return Math.max(0.01, Math.round((lot?.leftKg ?? 0) * 100) / 100);
    };
    const toss = (daysBack: number, n: number, kg: number, reason: string) =>
      said(daysBack, '17:30', { type: 'discarded', payload: { lotId: lotId(n), kg, reason } });
    toss(13, 1, left(1, 13), 'bones keep two days');
    toss(9, 2, left(2, 9), 'past its best, and the new one is made');
    toss(7, 5, left(5, 7), 'bones keep two days');
    toss(5, 3, left(3, 5), 'past its date tomorrow, nothing planned for it');
    toss(2, 6, left(6, 2), 'its last day');
    said(1, '09:10', { type: 'fatLifted', payload: { lotId: lotId(15), kg: 0.2 } });
    said(1, '09:12', { type: 'lotRead', payload: { lotId: lotId(15), kind: 'brix', value: 3.3 } });
    said(1, '09:13', { type: 'lotRead', payload: { lotId: lotId(15), kind: 'set', sets: true } });
    said(1, '09:20', {
      type: 'split',
      payload: { lotId: lotId(15), toLotId: lotId(22), kg: 3, place: 'freezer, drawer 2', storage: 'frozen' },
    });
    said(1, '16:50', { type: 'moved', payload: { lotId: lotId(11), place: 'walk-in, shelf 4' } });
    said(1, '17:00', { type: 'lotRead', payload: { lotId: lotId(14), kind: 'salt', value: 0.15 } });
    return null;
  },
];

export interface Fortnight {
  batches: PastBatch[];
  larderEvents: LarderEvent[];
  /** numbers on the labels, as the lots were made */
  lotIds: string[];
}

/** Cooks the fortnight, oldest first; each batch's first guess is what the ones before it taught. */
export function cookFortnight(): Fortnight {
  const shelf = pastShelf();
  const batches: PastBatch[] = [];
  const known: Record<string, { mean: number; sd: number }[]> = {};
  for (const step of STEPS) {
    const cooked = step(shelf);
    if (!cooked) continue;
    const batch = cookPast(cooked, shelf.lotsAt(cooked.readyAtMs), known);
    shelf.takeIn(batch);
    batches.push(batch);
    known[cooked.burnerId] = [...(known[cooked.burnerId] ?? []), batch.result.heatFactor];
  }
  return { batches, larderEvents: shelf.events(), lotIds: shelf.lotIds() };
}
