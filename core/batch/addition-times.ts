import { cookMinutes, softeningFactor } from '../heat';
import { type PlannedLine, setupOf, softNeed } from '../plan';
import { edgeOf } from '../reader';
import { SIMMER_UNDER_BOIL_C, type Stage } from '../recipe';

import type { BatchSnapshot } from './batch-event';

/** Less than this apart is the same handful, min. */
const SAME_HANDFUL_MIN = 2;
/** A cut that is not written: leaves and rings, cm. */
const THIN_CM = 0.5;

/**
 * What of a stage's lines waits by the pot so that everything in it is done together: each goes in so long before the
 * end as it wants itself, the longest first. Only stages of additions are timed so; what is done sooner than two minutes
 * after the longest goes in with it.
 *
 * @param snapshot what was decided when the batch started
 * @param stage one of its stages
 * @returns the late lines, with minutes after the stage has begun; none where all go in at once
 * @source docs/model.md § 4; job: longest first, timed back
 */
export function additionTimes(
  snapshot: BatchSnapshot,
  stage: Stage,
): { line: PlannedLine; afterMin: number }[] {
  if (stage.kind !== 'additions') return [];
  const setup = setupOf(snapshot.input);
  const liquidC =
    setup.air.boilingC - SIMMER_UNDER_BOIL_C[stage.heat.kind === 'hold' ? stage.heat.simmer : 'barely'];
  const wholeMin =
    stage.ends.rule === 'soft'
      ? softNeed(setup, stage.ends) * softeningFactor({ liquidC })
      : stage.ends.rule === 'minutes'
        ? stage.ends.minutes
        : null;
  if (wholeMin === null) return [];
  const { lines, stages } = snapshot.input.recipe;
  const before = stages
    .slice(
      0,
      stages.findIndex((one) => one.id === stage.id),
    )
    .map((one) => one.id);
  const isAcid = lines.some(
    (line) =>
      before.includes(line.stageId) &&
      ['acid', 'wine'].includes(snapshot.input.ingredients[line.ingredientId]?.kind ?? ''),
  );
  return snapshot.plan.lines
    .filter((line) => line.stageId === stage.id && !line.perBowl && !line.comesOut && line.edibleKg > 0)
    .flatMap((line) => {
      const ingredient = snapshot.input.ingredients[line.ingredientId]!;
      const edgeCm = (line.cut && edgeOf(line.cut)) || THIN_CM;
      const ownMin = cookMinutes({ ingredient, edgeCm, liquidC, isAcid });
      const afterMin = ownMin === null ? 0 : wholeMin - ownMin;
      return afterMin > SAME_HANDFUL_MIN ? [{ line, afterMin }] : [];
    });
}
