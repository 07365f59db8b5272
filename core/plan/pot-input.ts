import type { Plan, PlanInput } from './plan';

/**
 * The order as the pot is to be cooked and served from. Where some of the bowl is held back, the ladle is smaller and
 * the pot saltier and thicker than the bowl. Stages that go by the clock go by the clock of this size.
 */
export function potInput(input: PlanInput, plan: Plan): PlanInput {
  const stages = input.recipe.stages.map((stage) => {
    const minutes = plan.stages.find((one) => one.stageId === stage.id)?.clockMin;
    if (stage.ends.rule !== 'minutes' || minutes === undefined || minutes === stage.ends.minutes)
      return stage;
    return { ...stage, ends: { rule: 'minutes' as const, minutes: Math.round(minutes) } };
  });
  return {
    ...input,
    recipe: { ...input.recipe, stages },
    ...(plan.letDown
      ? {
          portionMl: plan.letDown.ladleMl,
          saltPercent: plan.letDown.potSaltPercent,
          band: plan.letDown.potBand,
        }
      : {}),
  };
}
