import { type Ingredient, isPoured, rowOfLine } from '../matter';
import { BONE_KG_PER_L } from '../pot';
import type { Recipe, RecipeLine } from './recipe';

/** The pot of a recipe as it is written, at the end of one of its stages. */
export interface FilledStage {
  stageId: string;
  /** bone and shell with it, L */
  litres: number;
  /** of that, what lies in pieces, 0..1 */
  piecesShare: number;
}

/**
 * How full a pot of the written size is as each stage ends, by the lines alone: for a picture of what was understood, not
 * for a plan. What boils away is left out but where a stage reduces to a mark.
 *
 * @param recipe stages in order, lines in kg for its `litres`
 */
export function filledByStage(
  recipe: Pick<Recipe, 'stages' | 'lines'>,
  ingredients: Readonly<Record<string, Ingredient>>,
): FilledStage[] {
  let liquid = 0;
  let pieces = 0;
  let out: { line: RecipeLine; litres: number; edibleL: number }[] = [];
  return recipe.stages.map((stage) => {
    if (stage.asksOut) {
      pieces -= out.reduce((sum, one) => sum + one.litres, 0);
      out = out
        .filter((one) => one.line.comesOut?.backStageId !== undefined)
        .map((one) => ({ ...one, litres: 0 }));
    }
    for (const one of out) if (one.line.comesOut?.backStageId === stage.id) pieces += one.edibleL;
    for (const line of recipe.lines) {
      const row = ingredients[line.ingredientId] && rowOfLine(line, ingredients);
      if (!row || line.stageId !== stage.id || line.scaling === 'perBowl') continue;
      const edibleL = line.kg / row.densityKgPerL;
      const boneL = row.wholeInPot ? (line.kg / row.yield - line.kg) / BONE_KG_PER_L : 0;
      if (isPoured(row) || row.share === 'liquid') liquid += edibleL;
      else pieces += edibleL + boneL;
      if (line.comesOut) out.push({ line, litres: edibleL + boneL, edibleL });
    }
    pieces = Math.max(0, pieces);
    if (stage.ends.rule === 'fall' && stage.kind === 'reduce')
      liquid = Math.max(0, liquid - stage.ends.fractionGone * (liquid + pieces));
    if (stage.does?.kind === 'puree') {
      const smooth = pieces * stage.does.share;
      [liquid, pieces] = [liquid + smooth, pieces - smooth];
    }
    if (stage.does?.kind === 'strain') pieces = 0;
    const litres = liquid + pieces;
    return { stageId: stage.id, litres, piecesShare: litres > 0 ? pieces / litres : 0 };
  });
}
