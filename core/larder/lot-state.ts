import type { Drawable } from './draw-lots';

/** Less than this clings to the wall of an empty tub, kg. */
export const EMPTY_TUB_KG = 0.01;

/** Nothing is left in it that a ladle could take. */
export function isEmptyTub(leftKg: number): boolean {
  return leftKg < EMPTY_TUB_KG;
}

/** More was drawn than there was, by more than rounding: the shelf has to be counted. */
export function isOverdrawn(leftKg: number): boolean {
  return leftKg < -SCALE_KG;
}

/** A hand and a scale differ by so much, kg. Common practice. */
export const SCALE_KG = 0.05;

/** Its date is over at a moment, and the person in charge has not said that it is used all the same. */
export function isPastUse(lot: Pick<Drawable, 'useByMs' | 'mayBePast'>, atMs: number): boolean {
  return lot.useByMs !== null && lot.useByMs < atMs && !lot.mayBePast;
}
