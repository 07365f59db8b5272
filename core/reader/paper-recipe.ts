import { INGREDIENT_BY_ID, type Ingredient } from '../matter';
import { newStage, type Recipe, type Stage, type StageKind, type WrittenLine } from '../recipe';
import { linesOf } from './lines-of';
import { readingTable } from './reading-table';

/** A stage of the house's own: a kind, a school, and what is different here. */
export function paperStage(
  id: string,
  kind: StageKind,
  methodId: string,
  change: Partial<Omit<Stage, 'id' | 'kind'>>,
): Stage {
  return { ...newStage(id, kind, methodId), ...change };
}

/** One line of paper: its words, the stage it goes in at (or shares of it by stage), what is corrected in its reading. */
export type PaperLine = readonly [
  text: string,
  where: string | { [stageId: string]: number },
  extra?: Omit<WrittenLine, 'id' | 'text' | 'parts'>,
];

/** A plain soup bowl, where a recipe names no other. */
const BOWL = { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 };

/**
 * A recipe as it is written, read against the table.
 *
 * @param rows what it stands on beside the table: other recipes as the foods they make
 *
 * @throws RangeError for a line that names nothing known
 */
export function paperRecipe(
  of: Omit<Recipe, 'version' | 'lines' | 'written' | 'bowl'> & { bowl?: Recipe['bowl'] },
  paper: readonly PaperLine[],
  rows: Readonly<Record<string, Ingredient>> = {},
): Recipe {
  const table = readingTable({ ...rows, ...INGREDIENT_BY_ID });
  const written = paper.map(
    ([text, where, extra], i): WrittenLine => ({
      id: `w${i + 1}`,
      text,
      ...extra,
      parts:
        typeof where === 'string'
          ? [{ stageId: where, share: 1 }]
          : Object.entries(where).map(([stageId, share]) => ({ stageId, share })),
    }),
  );
  const recipe: Recipe = { bowl: BOWL, ...of, version: 1, written, lines: [] };
  const { lines, notUnderstood } = linesOf(recipe, written, table);
  if (notUnderstood.length > 0) {
    throw new RangeError(
      `every line must name a food, got ${notUnderstood.map((one) => one.line.text).join('; ')}`,
    );
  }
  return { ...recipe, lines };
}
