import { holdsOf, type Ingredient, massKg, times, totalKg, volumeLitres, whole } from '../matter';
import { type Plan, type PlanInput, type PlannedBurner, type Pot, planBatch, potInput } from '../plan';
import { CLING_PERCENT, type PortionKind } from '../portions';
import { cookingStages, type Recipe, type RecipeLine, type Stage } from '../recipe';
import type { BatchSnapshot, PartOrigin } from './batch-event';
import { holdsInPot } from './batch-holds';
import type { BatchState } from './batch-state';
import type { DrawnPart } from './drawn-part';
import { hasGoneIn, rowsInPot } from './went-in';

/** The line of a part's recipe that it begins with, and the row it is in. */
export const PART_LINE = 'part';
export const partRowId = ({ eventId }: Pick<PartOrigin, 'eventId'>): string => `part:${eventId}`;

/** What is to become of a part. */
export interface PartOrder {
  name: string;
  kinds: readonly PortionKind[];
  pot: Pot;
  burner: PlannedBurner;
  serviceAtMs: number;
  /** lines of the recipe that do not go in here */
  leaveOut: readonly string[];
  /** stages of its own instead of those that are left of the recipe, with what goes in, kg for all of it */
  finish?: {
    stages: readonly Stage[];
    lines: readonly RecipeLine[];
    rows: Readonly<Record<string, Ingredient>>;
  };
}

/** Bread, salt and what is left to do: a stage that asks for nothing but heat. */
const KEEP_HOT: Stage = {
  id: 'keep-hot',
  title: 'Keep it hot',
  act: 'Hot through, stirred now and then, lid on.',
  method: 'held',
  methodReason: 'nothing more goes in',
  heat: { kind: 'burner', fraction: 0.2 },
  lid: 'on',
  ends: { rule: 'minutes', minutes: 2 },
  attention: { kind: 'lookIn', everyMin: 10 },
  cue: 'Steam when it is stirred.',
  trouble: 'Under the holding temperature: hotter, by the thermometer.',
};

/**
 * A batch that goes on with a part of another: its recipe is what is left to do, less what is left out, by its share.
 *
 * @param parent as it was before the part was drawn
 * @param part what was drawn
 * @throws RangeError where nothing of it can be planned
 */
export function partOfBatch(
  parentId: string,
  { snapshot, state }: { snapshot: BatchSnapshot; state: BatchState },
  part: DrawnPart,
  order: PartOrder,
): BatchSnapshot {
  const { input } = snapshot;
  const origin: PartOrigin = {
    batchId: parentId,
    eventId: part.eventId,
    name: input.recipe.name,
    drawn: part,
  };
  const there = massKg(state.pot.mixture);
  const share = there > 0 ? part.kg / there : 0;
  const { stages, lines } = order.finish ?? leftToDo(snapshot, state, share, order.leaveOut);
  const rowId = partRowId(origin);
  const row = rowOfPart(rowId, snapshot, state, part);
  const serve = input.recipe.stages.filter((stage) => stage.ends.rule === 'served');
  const all = [...(stages.length > 0 ? stages : [KEEP_HOT]), ...serve];
  const garnish = input.recipe.lines.filter(
    (line) => line.scaling === 'perBowl' && !order.leaveOut.includes(line.id),
  );
  const partLine: RecipeLine = {
    id: PART_LINE,
    ingredientId: rowId,
    stageId: all[0]!.id,
    kg: part.kg,
    scaling: 'straight',
    tempC: part.tempC,
  };
  const { written: _written, pattern: _pattern, base: _base, stocksAs: _stocksAs, ...kept } = input.recipe;
  const litres = part.litres;
  const recipe: Recipe = {
    ...kept,
    name: order.name,
    litres,
    stages: all,
    lines: [partLine, ...lines, ...garnish],
  };
  const partInput: PlanInput = {
    ...input,
    recipe,
    ingredients: { ...rowsInPot(snapshot, state), ...order.finish?.rows, [rowId]: row },
    pricesCentsPerKg: {
      ...input.pricesCentsPerKg,
      [rowId]: part.kg > 0 ? part.costCents / part.kg : 0,
    },
    pot: order.pot,
    burner: order.burner,
    // so many that the straight lines are what they are
    portions: Math.max(0.001, (litres * 1000 * (1 - CLING_PERCENT / 100)) / input.portionMl),
    kinds: order.kinds,
    serviceAtMs: order.serviceAtMs,
    holdBackShare: 0,
  };
  const { plan, planned } = plannedOrKept(partInput, partLine, serve);
  const holds = holdsOf([
    holdsInPot(snapshot, state),
    ...recipe.lines.flatMap((line) => partInput.ingredients[line.ingredientId] ?? []),
  ]);
  return { input: potInput(planned, plan), plan, origin, holds, draws: [] };
}

/** Planned as it is; where what is left to do cannot be planned of so little, it is only kept hot. */
function plannedOrKept(
  input: PlanInput,
  partLine: RecipeLine,
  serve: readonly Stage[],
): { plan: Plan; planned: PlanInput } {
  try {
    return { plan: planBatch(input), planned: input };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const recipe = {
      ...input.recipe,
      stages: [KEEP_HOT, ...serve],
      lines: [{ ...partLine, stageId: KEEP_HOT.id }],
    };
    const planned = { ...input, recipe };
    return { plan: planBatch(planned), planned };
  }
}

/** The stages that are not done, and what of their lines has not gone in, by the share. */
function leftToDo(
  { input, plan }: BatchSnapshot,
  state: BatchState,
  share: number,
  leaveOut: readonly string[],
): { stages: Stage[]; lines: RecipeLine[] } {
  const all = cookingStages(input.recipe);
  const progress = (stageId: string) => state.stages.find((one) => one.stageId === stageId);
  // a stage that the pot has gone past is done there, whether or not anybody said so
  const reached = all.findLastIndex(
    (stage) =>
      progress(stage.id)?.begunMs != null ||
      input.recipe.lines.some((line) => line.stageId === stage.id && hasGoneIn(state, line.id)),
  );
  const stages = all.slice(Math.max(0, reached)).filter((stage) => progress(stage.id)?.doneMs == null);
  const lines = input.recipe.lines.flatMap((line): RecipeLine[] => {
    const isLeft =
      line.scaling !== 'perBowl' &&
      !leaveOut.includes(line.id) &&
      stages.some((stage) => stage.id === line.stageId) &&
      !hasGoneIn(state, line.id);
    const kg = share * (plan.lines.find((one) => one.lineId === line.id)?.edibleKg ?? 0);
    if (!isLeft || kg <= 0) return [];
    return [{ ...line, kg, scaling: line.scaling === 'toSalt' ? 'toSalt' : 'straight' }];
  });
  return { stages, lines };
}

/** What was drawn as a row of the table, so that it is planned with like any food. */
function rowOfPart(
  id: string,
  snapshot: BatchSnapshot,
  state: BatchState,
  { mixture, kg }: DrawnPart,
): Ingredient {
  const perKg = kg > 0 ? 1 / kg : 0;
  const masses = whole(mixture);
  const litres = volumeLitres(masses, 20);
  const density = litres > 0 ? totalKg(masses) / litres : 1;
  return {
    id,
    name: snapshot.input.recipe.name,
    kind: 'stock',
    perKg: times(masses, perKg),
    densityKgPerL: density,
    looseKgPerL: density,
    yield: 1,
    share: 'liquid',
    bodyGPerKg: mixture.flourEquivalentG * perKg,
    ...holdsInPot(snapshot, state),
    store: 'walk-in',
    source: 'the pot it was drawn from',
  };
}
