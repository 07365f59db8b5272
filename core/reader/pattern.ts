import type { Ingredient } from '../matter';
import type { PatternSlot, Recipe } from '../recipe';
import { bodyG } from '../thickness';
import { linesOf, understandLine } from './lines-of';
import { edgeOf } from './method-sentences';
import type { ReadingTable } from './reading-table';
import { writeLine } from './write-line';

/** A recipe made from a pattern, and what the swap brought with it. */
export interface FromPattern {
  recipe: Recipe;
  notes: PatternNote[];
}

export type PatternNote =
  /** minutes at 100 °C; null for what has no set time */
  | { code: 'softens'; name: string; minutes: number; was: string; wasMinutes: number | null }
  /** as purchased, where the trim differs */
  | { code: 'trim'; name: string; kg: number; was: string; wasKg: number }
  /** what it does to the colour, as the food's own row says it */
  | { code: 'colours'; name: string; how: string }
  | { code: 'goesDrab'; name: string }
  | { code: 'browns'; name: string };

/** What may stand in each role. */
export function fitsRole(role: PatternSlot['role'], ingredient: Ingredient): boolean {
  switch (role) {
    case 'vegetable':
      return ingredient.kind === 'vegetable' || ingredient.kind === 'pulse';
    case 'starch':
      return ingredient.thickener !== undefined || (ingredient.bodyGPerKg ?? 0) >= 8;
    case 'liquid':
      return ['stock', 'water', 'dairy'].includes(ingredient.kind) && ingredient.perKg.water > 0.5;
    case 'bone':
      return ingredient.out === 'bones';
  }
}

/**
 * Swaps what a pattern leaves open. Vegetables, bones and liquids change weight for weight, edible, a dry pulse by what
 * it becomes when it has drunk; a starch by its strength. Trim follows the new food's yield, the cooking time its softness, and what it does to the colour is said.
 *
 * @param pattern a recipe with slots and written lines
 * @param swaps ingredient id by written line id
 * @throws RangeError for a recipe without slots, a line that is no slot, or a food that does not fit its role
 */
export function fromPattern(
  pattern: Recipe,
  swaps: Readonly<Record<string, string>>,
  table: ReadingTable,
  as: { id: string; name: string },
): FromPattern {
  if (!pattern.pattern || !pattern.written)
    throw new RangeError(`pattern must have slots and written lines, got ${pattern.id}`);
  const stranger = Object.keys(swaps).find((id) => !pattern.pattern!.some((slot) => slot.writtenId === id));
  if (stranger) throw new RangeError(`swaps must name slots of the pattern, got ${stranger}`);
  const notes: PatternNote[] = [];
  let stages = pattern.stages;
  const written = pattern.written.map((line) => {
    const swap = swaps[line.id];
    if (swap === undefined) return line;
    const slot = pattern.pattern!.find((one) => one.writtenId === line.id)!;
    const after = table.ingredients[swap];
    if (!after || !fitsRole(slot.role, after))
      throw new RangeError(`swaps.${line.id} must fit as ${slot.role}, got ${swap}`);
    const { ingredient: before, edibleKg, reading, comesOut } = understandLine(line, table);
    if (!before || edibleKg === null || before.id === after.id) return line;
    // a dry pulse is weighed by what it becomes: it drinks its own weight and more
    const becomes = edibleKg * (1 + (before.drinks ?? 0));
    const kg =
      slot.role === 'starch'
        ? (edibleKg * strength(before)) / strength(after)
        : becomes / (1 + (after.drinks ?? 0));
    notes.push(...swapNotes(before, after, edibleKg, kg));
    if (after.softenMin !== undefined && after.softenMin !== before.softenMin) {
      // the simmer that waited for the old one, in its own stage or after it, waits for the new
      const from = stages.findIndex((stage) => line.parts.some((part) => part.stageId === stage.id));
      stages = stages.map((stage, at) => {
        if (at < from || stage.ends.rule !== 'soft' || stage.ends.softenMin !== before.softenMin)
          return stage;
        const edgeCm = edgeOf(reading.cut) ?? stage.ends.edgeCm;
        return { ...stage, ends: { rule: 'soft', edgeCm, softenMin: after.softenMin! } };
      });
      notes.push({
        code: 'softens',
        name: after.name,
        minutes: after.softenMin,
        was: before.name,
        wasMinutes: before.softenMin ?? null,
      });
    }
    const { ingredientId: _id, edibleG: _g, ...kept } = line;
    return {
      ...kept,
      ingredientId: after.id,
      text: writeLine(
        { ingredient: after, edibleKg: kg, ...(reading.cut ? { cut: reading.cut } : {}), comesOut },
        table,
      ),
    };
  });
  const { pattern: _slots, ...plain } = pattern;
  const recipe: Recipe = { ...plain, ...as, version: 1, stages, written };
  return { recipe: { ...recipe, lines: linesOf(recipe, written, table).lines }, notes };
}

function strength(ingredient: Ingredient): number {
  return Math.max(1, bodyG(ingredient, 1));
}

function swapNotes(before: Ingredient, after: Ingredient, beforeKg: number, afterKg: number): PatternNote[] {
  const notes: PatternNote[] = [];
  if (before.yield !== after.yield) {
    notes.push({
      code: 'trim',
      name: after.name,
      kg: afterKg / after.yield,
      was: before.name,
      wasKg: beforeKg / before.yield,
    });
  }
  const { name } = after;
  if (after.colour) notes.push({ code: 'colours', name, how: after.colour });
  if (after.green) notes.push({ code: 'goesDrab', name });
  if (after.browns) notes.push({ code: 'browns', name });
  return notes;
}
