import { totalKg } from '../matter';
import { foodLitres } from '../pot';
import type { Stage } from '../recipe';
import { HOT_FILL } from '../scaling';

import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { hasGoneIn } from './went-in';

/** A blender's fills for what is in the pot now. */
export interface BlenderFills {
  litres: number;
  fills: number;
  /** hottest a fill may be large, L */
  eachLitres: number;
  jarLitres: number;
}

/**
 * How often the jar is filled for a stage that purées, hot and at most two fifths full.
 *
 * @returns null where the stage purées nothing or the kitchen has no jar
 * @source common practice: a hot jar a third to a half
 */
export function blenderFills(snapshot: BatchSnapshot, state: BatchState, stage: Stage): BlenderFills | null {
  const jarLitres = snapshot.input.equipment?.blenderJarLitres ?? 0;
  if (stage.does?.kind !== 'puree' || jarLitres <= 0) return null;
  const litres = foodLitres(state.pot) * stage.does.share;
  const eachLitres = jarLitres * HOT_FILL;
  return { litres, fills: Math.max(1, Math.ceil(litres / eachLitres - 1e-9)), eachLitres, jarLitres };
}

/** Fat that floats, what the flour still to come wants of it, and what may be poured off. */
export interface RenderedFat {
  floatsKg: number;
  keepKg: number;
  pourOffKg: number;
}

/**
 * Rendered fat: what the flour still to come needs is kept, weight for weight, the rest may be poured off.
 *
 * @source common practice: equal weights of fat and flour; fat that comes with that flour counts first
 */
export function renderedFat(snapshot: BatchSnapshot, state: BatchState): RenderedFat {
  const floatsKg = state.pot.mixture.liquid.fat;
  const toCome = snapshot.plan.lines.filter((line) => !line.perBowl && !hasGoneIn(state, line.lineId));
  const thickener = (lineId: string) =>
    snapshot.input.recipe.lines.find((line) => line.id === lineId)?.scaling === 'toThickness';
  const flourKg = toCome.reduce((sum, line) => sum + (thickener(line.lineId) ? line.edibleKg : 0), 0);
  const fatToComeKg = toCome.reduce((sum, line) => {
    const ingredient = snapshot.input.ingredients[line.ingredientId];
    return ingredient?.kind === 'fat'
      ? sum + (line.edibleKg * ingredient.perKg.fat) / totalKg(ingredient.perKg)
      : sum;
  }, 0);
  const keepKg = Math.min(floatsKg, Math.max(0, flourKg - fatToComeKg));
  return { floatsKg, keepKg, pourOffKg: floatsKg - keepKg };
}
