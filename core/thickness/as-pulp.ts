import { type Ingredient, massesOf } from '../matter';
import { pulpBodyG } from './pulp-body-g';

/** A piece of it falls apart in so many minutes where the table says none: bread, beans out of a tin. Common practice. */
const USUAL_MIN = 8;

/**
 * A food of pieces as it goes in to thicken: grated, mashed or beaten in, it is no piece any more and does all it can.
 * What is no piece, or a powder, is as it is.
 */
export function asPulp(ingredient: Ingredient): Ingredient {
  if (ingredient.share !== 'pieces' || ingredient.thickener) return ingredient;
  const bodyGPerKg = Math.max(pulpBodyG(massesOf(ingredient, 1)), ingredient.bodyGPerKg ?? 0);
  return { ...ingredient, share: 'liquid', bodyGPerKg };
}

/** Minutes until it has done so. */
export const pulpMin = (ingredient: Ingredient): number => ingredient.softenMin ?? USUAL_MIN;
