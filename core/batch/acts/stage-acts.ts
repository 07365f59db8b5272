import { massKg } from '../../matter';
import { afterOven, isInOven, piecesGiveKg, stageTarget } from '../../plan';
import { type FallTarget, finishStage, potLitres, type StageDeed } from '../../pot';
import type { Stage } from '../../recipe';

import { advanceBatch } from '../advance-batch';
import type { BatchState, StageProgress } from '../batch-state';
import { blended } from '../dosed';
import type { FoldContext } from '../fold-context';

/** A stage begins; one that was running is done. */
export function beginStage(
  context: FoldContext,
  state: BatchState,
  stageId: string,
  atMs: number,
): BatchState {
  const { currentStageId } = state;
  const before =
    currentStageId !== null && currentStageId !== stageId
      ? endStage(context, state, currentStageId, atMs)
      : state;
  const stages = withStage(before.stages, stageId, (one) => ({ begunMs: one.begunMs ?? atMs, doneMs: null }));
  const stage = stageOf(context, stageId);
  const put = stage ? fryingNow(context, before, stage) : undefined;
  const pot = { ...before.pot, softenedMin: 0, piecesGiveKg: put };
  return withMark(context, { ...before, stages, currentStageId: stageId, lookedMs: atMs, pot });
}

/** What the pieces of a stage's own lines may give up: its lines are mostly in before it is said to have begun. */
function fryingNow(context: FoldContext, state: BatchState, stage: Stage): number | undefined {
  const { recipe, ingredients } = context.snapshot.input;
  const own = new Set(recipe.lines.filter((line) => line.stageId === stage.id).map((line) => line.id));
  const put = state.items.flatMap(({ lineId, ingredientId, kg }) => {
    const ingredient = ingredients[ingredientId];
    return ingredient && lineId !== null && own.has(lineId) ? [{ ingredient, kg }] : [];
  });
  return piecesGiveKg(stage, { ...state.pot, piecesGiveKg: undefined }, put);
}

/** A stage is done, and with it what is done to the whole pot as it ends; only the first time it is said. */
export function endStage(context: FoldContext, state: BatchState, stageId: string, atMs: number): BatchState {
  const progress = state.stages.find((one) => one.stageId === stageId);
  const stage = stageOf(context, stageId);
  const isFirst = progress !== undefined && progress.doneMs === null;
  const isLeft = isFirst && stage !== undefined && (stage.does !== undefined || isInOven(stage));
  const ran = isLeft ? advanceBatch(state, atMs) : state;
  const pot = isLeft ? finishStage(afterOven(stage, ran.pot), stage.does) : ran.pot;
  const share = isLeft && stage.does?.kind === 'puree' ? stage.does.share : 0;
  return {
    ...ran,
    ...blended({ dosed: ran.dosed, pot }, share),
    items: isFirst && stage?.does ? itemsAfter(ran.items, stage.does) : ran.items,
    stages: withStage(ran.stages, stageId, () => ({ doneMs: atMs })),
    currentStageId: ran.currentStageId === stageId ? null : ran.currentStageId,
  };
}

/** Where the running stage falls to a mark, the mark is a share of what is in the pot once its lines are in. */
export function withMark(context: FoldContext, state: BatchState): BatchState {
  const stage = stageOf(context, state.currentStageId);
  if (!stage || massKg(state.pot.mixture) === 0) return state;
  const target = stageTarget(state.setup, state.pot, stage);
  const stages = withStage(state.stages, stage.id, () => ({
    fromLitres: potLitres(state.pot),
    targetKg: target?.kind === 'mass' ? target.kg : null,
  }));
  return { ...state, stages };
}

/** The cook wants it down to something else than the recipe says. */
export function setTarget(state: BatchState, target: FallTarget): BatchState {
  if (state.currentStageId === null) return state;
  const stages = withStage(state.stages, state.currentStageId, (one) => ({
    target,
    fromLitres: one.fromLitres ?? potLitres(state.pot),
  }));
  return { ...state, stages };
}

/** What goes in on the way down lifts the mark by as much as it weighs, so that what is to steam off stays what it was. */
export function withMarkLifted(state: BatchState, addedKg: number): BatchState {
  const running = state.stages.find((one) => one.stageId === state.currentStageId);
  if (running?.targetKg == null) return state;
  const targetKg = running.targetKg + addedKg;
  return { ...state, stages: withStage(state.stages, running.stageId, () => ({ targetKg })) };
}

/** A sieve keeps back whatever was in pieces; what is puréed is in pieces no more. */
function itemsAfter(items: BatchState['items'], does: StageDeed): BatchState['items'] {
  if (does.kind === 'strain') return [];
  if (does.kind !== 'puree') return items;
  return does.share === 1
    ? items.filter((item) => item.tag !== null)
    : items.map((item) => (item.tag ? item : { ...item, kg: item.kg * (1 - does.share) }));
}

function stageOf(context: FoldContext, stageId: string | null): Stage | undefined {
  return context.snapshot.input.recipe.stages.find((one) => one.id === stageId);
}

function withStage(
  stages: readonly StageProgress[],
  stageId: string,
  change: (one: StageProgress) => Partial<StageProgress>,
): StageProgress[] {
  return stages.map((one) => (one.stageId === stageId ? { ...one, ...change(one) } : one));
}
