import type { Ingredient } from '../matter';
import type { BaseKind } from './base-kind';
import { BASE_KINDS } from './base-recipe';
import { TRIMMINGS, TRIMMINGS_KG_PER_L } from './data/trimmings';

/** What a board leaves of one food. */
export interface TrimHeap {
  ingredientId: string;
  trimKg: number;
}

/** Trimmings of one food, and what they are good for. */
export interface Trimming {
  ingredientId: string;
  name: string;
  part: string;
  kg: number;
  /** why it is not for others, or for none */
  why: string;
}

/** A base that trimmings would carry. */
export interface TrimmingUse {
  kind: BaseKind;
  trimmings: Trimming[];
  kg: number;
  /** litres of stock they would give by themselves, or spare the vegetables of */
  litres: number;
}

/** Less than this is swept up, kg. */
const WORTH_KEEPING_KG = 0.02;

/**
 * Which trimmings of the week go into which base, the base that uses most first; and which go into none, and why.
 *
 * @param heaps kg of trim by food, as the mise leaves them; the same food may come more than once
 * @param ingredients rows for their names
 * @source suitability: common practice, `data/trimmings.ts`
 */
export function useItUp(
  heaps: readonly TrimHeap[],
  ingredients: Readonly<Record<string, Ingredient>>,
): { uses: TrimmingUse[]; not: Trimming[] } {
  const kgById = new Map<string, number>();
  for (const heap of heaps) kgById.set(heap.ingredientId, (kgById.get(heap.ingredientId) ?? 0) + heap.trimKg);
  const known = [...kgById].flatMap(([ingredientId, kg]) => {
    const row = TRIMMINGS[ingredientId];
    if (!row || kg < WORTH_KEEPING_KG) return [];
    const name = ingredients[ingredientId]?.name ?? ingredientId;
    return [{ row, trimming: { ingredientId, name, part: row.part, kg, why: row.why } }];
  });
  const uses = BASE_KINDS.map((kind) => {
    const trimmings = known.filter(({ row }) => row.suits.includes(kind.id)).map(({ trimming }) => trimming);
    const kg = trimmings.reduce((sum, one) => sum + one.kg, 0);
    return { kind, trimmings: trimmings.sort((a, b) => b.kg - a.kg), kg, litres: kg / TRIMMINGS_KG_PER_L };
  })
    .filter((use) => use.kg > 0)
    .sort((a, b) => b.kg - a.kg);
  const not = known.filter(({ row }) => row.suits.length === 0).map(({ trimming }) => trimming);
  return { uses, not: not.sort((a, b) => b.kg - a.kg) };
}
