import { type ReadingTable, writtenOf } from '../../core/reader';
import type { Recipe } from '../../core/recipe';

/** A recipe as it would be typed on a sheet: name, portions, lines, numbered method. */
export function writeRecipeText(recipe: Recipe, table: ReadingTable): string {
  const portions = Math.max(1, Math.round((recipe.litres * 1000) / recipe.portionMl));
  return [
    recipe.name,
    `Serves ${portions}`,
    `Bowls of ${recipe.portionMl} ml`,
    '',
    'Ingredients',
    ...writtenOf(recipe, table).map((line) => line.text),
    '',
    'Method',
    ...recipe.stages.map((stage, i) => {
      const clock = stage.ends.rule === 'minutes' ? ` (${stage.ends.minutes} min)` : '';
      return `${i + 1}. ${stage.title}${clock}: ${stage.act}`;
    }),
    '',
  ].join('\n');
}
