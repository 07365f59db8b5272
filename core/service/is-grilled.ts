import type { PortionKind } from '../portions';
import type { Recipe } from '../recipe';

/** The way of serving that is under the grill. */
const GRILL_METHOD = 'serve-grill';

/** A portion goes under the grill: as it is said, or as its recipe serves bowls. */
export function isGrilled(
  recipe: Pick<Recipe, 'stages'>,
  kind: Pick<PortionKind, 'word' | 'isGrilled'>,
): boolean {
  const isUsual = recipe.stages.some(
    (stage) => stage.ends.rule === 'served' && stage.methodId === GRILL_METHOD,
  );
  return kind.isGrilled ?? (isUsual && kind.word === 'bowl');
}
