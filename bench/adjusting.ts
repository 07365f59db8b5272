import { adjustments, tasteFigures, toMend } from '../core/adjust';
import { foldBatch } from '../core/batch';
import { INGREDIENT_BY_ID } from '../core/matter';
import { type PlanInput, planBatch } from '../core/plan';
import { SCALES, type Verdict } from '../core/taste';
import { allButSalt, filledPot } from '../demo/filled-pot';
import { medianMs } from './median-ms';

/**
 * Every way to another thickness and every dose for every scale, of a pot of forty foods that still falls to its mark:
 * what a press on Adjust waits for. Beside it the same pot folded once. Medians after a warm-up; fails where it takes
 * more than is allowed.
 */
const MOST_MS = 12;
const FOODS = 40;

const { snapshot: chowder, said, startMs } = filledPot('trout-chowder');
const { input } = chowder;
const has = new Set(input.recipe.lines.map((line) => line.ingredientId));
const stageId = input.recipe.stages[1]!.id;
const more = Object.values(INGREDIENT_BY_ID)
  .filter((row) => !has.has(row.id) && ['vegetable', 'root', 'herb', 'spice', 'pulse'].includes(row.kind))
  .slice(0, FOODS - input.recipe.lines.length);
const big: PlanInput = {
  ...input,
  ingredients: { ...INGREDIENT_BY_ID, ...input.ingredients },
  recipe: {
    ...input.recipe,
    lines: [
      ...input.recipe.lines,
      ...more.map(({ id }) => ({
        id,
        ingredientId: id,
        stageId,
        kg: 0.02,
        scaling: 'straight' as const,
        tempC: 18,
      })),
    ],
  },
};
const snapshot = { input: big, plan: planBatch(big) };
const events = [said(1, allButSalt(snapshot.plan))];
const atMs = startMs + 30 * 60_000;
const state = foldBatch(snapshot, events, atMs);
const says = Object.fromEntries(SCALES.map((scale): [string, Verdict] => [scale, 'more']));

const judgedMs = medianMs(() => {
  const mend = toMend(snapshot, state);
  adjustments(snapshot, state, 5, mend);
  return tasteFigures(snapshot, state, { says }, mend);
});
const foldMs = medianMs(() => foldBatch(snapshot, events, atMs));
const { ways } = adjustments(snapshot, state, 5);
const doses = Object.values(tasteFigures(snapshot, state, { says }).doses).flat();
console.log(
  `${snapshot.plan.lines.length} foods: ${ways.length} ways and ${doses.length} doses in ${judgedMs.toFixed(1)} ms (at most ${MOST_MS}), ${(judgedMs / foldMs).toFixed(1)} times folding the pot once`,
);
if (judgedMs > MOST_MS) process.exit(1);
