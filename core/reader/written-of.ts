import { type Recipe, recipeIdOf, type WrittenLine } from '../recipe';
import type { ReadingTable } from './reading-table';
import { writeLine } from './write-line';

/** The recipe's lines as they would stand on paper: its own where it was written so, else written from its grams. */
export function writtenOf(recipe: Recipe, table: ReadingTable): WrittenLine[] {
  if (recipe.written) return [...recipe.written];
  return recipe.lines.flatMap((line): WrittenLine[] => {
    const ingredient = table.ingredients[line.ingredientId];
    if (!ingredient) return [];
    const portions = (recipe.litres * 1000) / recipe.portionMl;
    const edibleKg = line.scaling === 'perBowl' ? line.kg * portions : line.kg;
    return [
      {
        id: line.id,
        text: writeLine(
          {
            ingredient,
            edibleKg,
            ...(line.cut ? { cut: line.cut } : {}),
            comesOut: line.comesOut !== undefined,
          },
          table,
        ),
        ...(recipeIdOf(line.ingredientId) ? { ingredientId: line.ingredientId } : {}),
        ...(line.scaling === 'perBowl' ? {} : { scaling: line.scaling }),
        ...(line.cure ? { cure: line.cure } : {}),
        parts: [{ stageId: line.stageId, share: 1 }],
      },
    ];
  });
}

/** Written lines after their grams changed on the lines: those that moved are written anew, the rest left as they were. */
export function rewritten(
  before: Recipe,
  after: Recipe,
  written: readonly WrittenLine[],
  table: ReadingTable,
): WrittenLine[] {
  const kgOf = (recipe: Recipe, id: string) =>
    recipe.lines.filter((line) => (line.writtenId ?? line.id) === id).reduce((sum, line) => sum + line.kg, 0);
  return written.map((one) => {
    const kg = kgOf(after, one.id);
    if (Math.abs(kg - kgOf(before, one.id)) < 1e-9) return one;
    const line = after.lines.find((each) => (each.writtenId ?? each.id) === one.id)!;
    const ingredient = table.ingredients[line.ingredientId]!;
    const { edibleG: _edibleG, ...kept } = one;
    return {
      ...kept,
      text: writeLine(
        {
          ingredient,
          edibleKg: kg,
          ...(line.cut ? { cut: line.cut } : {}),
          comesOut: line.comesOut !== undefined,
        },
        table,
      ),
    };
  });
}
