import type { PlanInput } from '../plan';

/** Fewer of a food than this on a portion are cut up, and weighed. Ours. */
const A_PIECE = 0.75;

/** What a garnish is counted in: pieces of so many kg, where a portion has whole ones; null where it is weighed. */
export function pieceOf(
  { recipe, ingredients }: Pick<PlanInput, 'recipe' | 'ingredients'>,
  lineId: string,
): number | null {
  const line = recipe.lines.find((one) => one.id === lineId);
  const pieceKg = (ingredients[line?.ingredientId ?? '']?.pieceG ?? 0) / 1000;
  return line && pieceKg > 0 && line.kg >= A_PIECE * pieceKg ? pieceKg : null;
}
