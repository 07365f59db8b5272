import { type ReadingTable, rewritten, writeLine } from '../reader';
import type { Recipe, RecipeLine, RightTaste, WrittenLine } from '../recipe';
import type { Scale } from '../taste';
import type { NextTime, Right } from './next-time';

/** So many batches are remembered as learned from. */
const BATCHES = 40;

/** True where a version of the recipe has taken this batch’s word already. */
export const isLearnedFrom = (recipe: Recipe, batchId: string): boolean =>
  recipe.profile?.fromBatchIds.includes(batchId) === true;

/**
 * A recipe as it is with what was accepted: amounts moved, what it did not have yet as a line that goes in by two thirds,
 * the rest by the spoon.
 *
 * @param accepted any of what `nextTime` proposed for this recipe
 * @param shown what the batch’s spoons found right
 * @returns the recipe to save over its version
 */
export function withNextTime(
  recipe: Recipe,
  accepted: readonly NextTime[],
  shown: { batchId: string; right: Right },
  table: ReadingTable,
): Recipe {
  const after = accepted.reduce((one, change) => changed(one, change, table), recipe);
  const fromBatchIds = [...(recipe.profile?.fromBatchIds ?? []), shown.batchId].slice(-BATCHES);
  return { ...after, profile: { right: pooled(recipe.profile?.right ?? {}, shown.right), fromBatchIds } };
}

function changed(recipe: Recipe, change: NextTime, table: ReadingTable): Recipe {
  if (change.code === 'salt') return { ...recipe, targetSaltPercent: change.toPercent };
  if (change.code === 'band') return { ...recipe, targetBand: change.toBand };
  const lines =
    change.lineId === null
      ? [...recipe.lines, newLine(recipe, change)]
      : movedLines(recipe.lines, change.ingredientId, change.toKg / change.fromKg);
  if (!recipe.written) return { ...recipe, lines };
  const after = { ...recipe, lines };
  const written = rewritten(recipe, after, recipe.written, table);
  return {
    ...after,
    written: change.lineId === null ? [...written, newWritten(lines.at(-1)!, table)] : written,
  };
}

function movedLines(lines: readonly RecipeLine[], ingredientId: string, times: number): RecipeLine[] {
  return lines.map((line) =>
    line.ingredientId === ingredientId && line.scaling !== 'perBowl' && typeof line.scaling === 'string'
      ? { ...line, kg: line.kg * times }
      : line,
  );
}

function newLine(recipe: Recipe, { ingredientId, toKg }: Extract<NextTime, { code: 'food' }>): RecipeLine {
  const taken = new Set([
    ...recipe.lines.map((line) => line.id),
    ...(recipe.written ?? []).map((line) => line.id),
  ]);
  let id = `${ingredientId}-by-spoon`;
  for (let n = 2; taken.has(id); n++) id = `${ingredientId}-by-spoon-${n}`;
  return { id, ingredientId, stageId: seasoningStageId(recipe), kg: toKg, scaling: 'bySpoon', tempC: 18 };
}

/** Where salt goes in, else the last stage before it is served. */
function seasoningStageId({ stages, lines }: Recipe): string {
  const season = stages.find((stage) => stage.kind === 'season')?.id;
  const salted = lines.findLast((line) => line.scaling === 'toSalt')?.stageId;
  const last = stages.findLast((stage) => stage.ends.rule !== 'served')?.id;
  return season ?? salted ?? last ?? stages[0]!.id;
}

function newWritten(line: RecipeLine, table: ReadingTable): WrittenLine {
  const ingredient = table.ingredients[line.ingredientId]!;
  const text = writeLine({ ingredient, edibleKg: line.kg, comesOut: false }, table);
  return {
    id: line.id,
    text,
    ingredientId: line.ingredientId,
    edibleG: line.kg * 1000,
    settled: text,
    scaling: 'bySpoon',
    parts: [{ stageId: line.stageId, share: 1 }],
  };
}

/** What was right before and now, each by the spoons that said so. */
function pooled(before: Right, now: Right): Right {
  const after: Right = { ...before };
  for (const [scale, found] of Object.entries(now) as [Scale, RightTaste][]) {
    const was = before[scale];
    const verdicts = found.verdicts + (was?.verdicts ?? 0);
    const value = was ? (was.value * was.verdicts + found.value * found.verdicts) / verdicts : found.value;
    after[scale] = { value, verdicts };
  }
  return after;
}
