import type { Ingredient } from '../matter';
import type { PlannedLine } from './plan';

/** Kg as purchased that are fetched for a line: what goes in, and what is kept back for the palate. */
export function pulledKg(line: PlannedLine, ingredient: Ingredient): number {
  return line.purchasedKg + (line.keptByKg ?? 0) / ingredient.yield;
}
