import type { ThickenerKind } from '../matter';
import { THICKENERS } from './data/thickeners';

/** Grams of flour that some kilograms of an ingredient thicken like once cooked. */
export function bodyG(
  ingredient: { thickener?: ThickenerKind; bodyGPerKg?: number },
  kg: number,
  asKind?: ThickenerKind,
): number {
  const kind = asKind ?? ingredient.thickener;
  return kind ? kg * 1000 * THICKENERS[kind].strength : kg * (ingredient.bodyGPerKg ?? 0);
}
