import { massesOf, massKg, rowOfLine, saltPercent, volumeLitres } from '../matter';
import { recordOf } from '../own';
import { CannotCook, cookRest, type HalfCooked, type PlannedLine, timesLine } from '../plan';
import { bodyOfPot, fallTo, foodLitres, liquidLitres, type PotState, putFoodIn } from '../pot';
import type { RecipeLine, Stage } from '../recipe';
import { bodyG, flourEquivalentOfBand } from '../thickness';

import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { hasGoneIn, kgByFood, kgOfLine } from './went-in';

/** A line that has gone in but for less than this share of it is in. Common practice: nobody weighs the rest. */
const ALL_BUT = 0.1;

/** What the pot needs is as good as planned within this share: the plan's figure stays, and the list on the wall with it. */
const AS_PLANNED = 0.03;

/** Less than this is nothing to weigh out, kg. */
const NOTHING_KG = 5e-5;

/** A kilogram of liquid more is so much more at the end: a little of it boils away. */
const STAYS = 0.95;

/** Tried with so much more, a share, where what it would do is asked of the pot itself. */
const MORE = 0.1;

/** The amounts that are solved from what the pot needs, not multiplied. */
const SOLVED = ['toYield', 'toThickness', 'toSalt'] as const;
type Solved = (typeof SOLVED)[number];

/**
 * What this pot still needs, line by line. Salt, thickener and liquid are solved again from the pot as it is: what has
 * gone in under any name counts, what boiled away counts. Of several lines of one law the last makes up what is missing.
 * All else is the line less what has gone in of it.
 *
 * @param snapshot what was decided when the batch started
 * @param state the batch at a moment
 * @param stageId lines of this stage alone; all of them without it
 * @returns planned lines with the amounts still to add, those with nothing to add left out
 * @source docs/model.md § 6, § 7
 */
export function stillToAdd(snapshot: BatchSnapshot, state: BatchState, stageId?: string): PlannedLine[] {
  const pending = pendingLines(snapshot, state);
  return pending
    .filter((line) => stageId === undefined || line.stageId === stageId)
    .map((line) => {
      const law = lawOf(snapshot, line.lineId);
      const isLast = law !== null && pending.findLast((one) => lawOf(snapshot, one.lineId) === law) === line;
      const wants = isLast ? neededKg(snapshot, state, law, pending, line) : leftKg(state, line);
      return withKg(snapshot, line, wants);
    })
    .filter((line) => line.edibleKg > NOTHING_KG);
}

/**
 * What was passed over: lines of stages that have begun and that still are not in, with what is missing of them. What a
 * running stage of additions times back waits for its own call.
 */
export function leftOut(snapshot: BatchSnapshot, state: BatchState): PlannedLine[] {
  const { stages } = snapshot.input.recipe;
  const passed = stages.filter((stage) => {
    const isTimed = stage.kind === 'additions' && stage.id === state.currentStageId;
    return !isTimed && state.stages.find((one) => one.stageId === stage.id)?.begunMs != null;
  });
  const ids = new Set(passed.map((stage) => stage.id));
  if (!pendingLines(snapshot, state).some((line) => ids.has(line.stageId))) return [];
  return stillToAdd(snapshot, state).filter((line) => ids.has(line.stageId));
}

/** Lines that have not gone in yet, or not all of it, in the order of their stages. */
export function pendingLines(snapshot: BatchSnapshot, state: BatchState): PlannedLine[] {
  const order = snapshot.input.recipe.stages.map((stage) => stage.id);
  return snapshot.plan.lines
    .filter((line) => !line.perBowl && isPending(snapshot, state, line))
    .sort((a, b) => order.indexOf(a.stageId) - order.indexOf(b.stageId));
}

/** A solved line is done once it has been ticked; another when what is planned has gone in. */
function isPending(snapshot: BatchSnapshot, state: BatchState, line: PlannedLine): boolean {
  const isTicked = hasGoneIn(state, line.lineId);
  if (lawOf(snapshot, line.lineId) !== null) return !isTicked;
  return line.edibleKg > NOTHING_KG && leftKg(state, line) > ALL_BUT * line.edibleKg;
}

function leftKg(state: BatchState, line: PlannedLine): number {
  return Math.max(0, line.edibleKg - kgOfLine(state, line.lineId));
}

function lawOf(snapshot: BatchSnapshot, lineId: string): Solved | null {
  const scaling = snapshot.input.recipe.lines.find((line) => line.id === lineId)?.scaling;
  return SOLVED.find((law) => law === scaling) ?? null;
}

/**
 * The pot as it will be served if the rest of its recipe goes as planned: the running stage to its mark, the stages to
 * come with what they drive off, purée and strain, and what still goes in.
 *
 * @param load kg of each line that has yet to go in
 * @returns a pot that cannot be cooked so is shown with the rest put in and nothing cooked
 */
export function potAtEnd(
  snapshot: BatchSnapshot,
  state: BatchState,
  load: Readonly<Record<string, number>>,
): PotState {
  const { input } = snapshot;
  try {
    return cookRest(input, state.setup, load, halfCooked(snapshot, state)).end;
  } catch (error) {
    if (!(error instanceof CannotCook)) throw error;
    return input.recipe.lines.reduce((pot, line) => {
      const kg = load[line.id] ?? 0;
      const ingredient = rowOfLine(line, input.ingredients);
      return putFoodIn(pot, { ingredient, kg, tempC: line.tempC, thickener: line.thickener });
    }, state.pot);
  }
}

/** Kilograms of the lines that have yet to go in, by line id; some laws left out. */
export function loadStillToAdd(
  snapshot: BatchSnapshot,
  state: BatchState,
  without: readonly RecipeLine['scaling'][] = [],
): Record<string, number> {
  return recordOf(
    pendingLines(snapshot, state)
      .filter((line) => !without.includes(lawOf(snapshot, line.lineId) ?? 'straight'))
      .map((line) => [line.lineId, leftKg(state, line)]),
  );
}

function halfCooked(snapshot: BatchSnapshot, state: BatchState): HalfCooked {
  const { stages } = snapshot.input.recipe;
  const stageOf = (id: string | null) => stages.find((one) => one.id === id);
  const begun = state.stages.flatMap(({ stageId, begunMs, doneMs }): Stage[] => {
    const stage = begunMs !== null || doneMs !== null ? stageOf(stageId) : undefined;
    return stage ? [stage] : [];
  });
  const running = stageOf(state.currentStageId);
  const progress = state.stages.find((one) => one.stageId === state.currentStageId);
  const spentMin = progress?.begunMs == null ? 0 : (state.pot.atMs - progress.begunMs) / 60_000;
  const clockMin = running?.ends.rule === 'minutes' ? running.ends.minutes : 0;
  return {
    pot: state.pot,
    begun,
    running: running ? { stage: running, leftMin: clockMin - spentMin, targetKg: markKg(state) } : null,
    kgById: kgByFood(state),
    hanging: state.items.flatMap(({ ingredientId, kg, lineId, tag }) =>
      tag ? [{ ingredientId, kg, ...backOf(snapshot, lineId) }] : [],
    ),
    picked: state.parked.flatMap(({ masses, backStageId }) => (backStageId ? [{ masses, backStageId }] : [])),
  };
}

function backOf({ input }: BatchSnapshot, lineId: string | null): { backStageId?: string } {
  const backStageId = input.recipe.lines.find((one) => one.id === lineId)?.comesOut?.backStageId;
  return backStageId ? { backStageId } : {};
}

/** The mass the running stage falls to: the cook's own mark before the recipe's; null where it falls to none. */
function markKg(state: BatchState): number | null {
  const progress = state.stages.find((one) => one.stageId === state.currentStageId);
  if (!progress?.target || progress.fromLitres === null) return progress?.targetKg ?? null;
  const mark = fallTo(state.setup, state.pot, progress.target, progress.fromLitres);
  return mark.kind === 'mass' ? mark.kg : null;
}

/** Kilograms of the last line of a law, so that the end comes to what was ordered. */
function neededKg(
  snapshot: BatchSnapshot,
  state: BatchState,
  law: Solved,
  pending: readonly PlannedLine[],
  line: PlannedLine,
): number {
  const { input, plan } = snapshot;
  const load = recordOf(
    pending.map((one) => [one.lineId, one === line && law === 'toSalt' ? 0 : leftKg(state, one)]),
  );
  const end = potAtEnd(snapshot, state, load);
  const ingredient = input.ingredients[line.ingredientId]!;
  const perKg = volumeLitres(massesOf(ingredient, 1), end.tempC);
  const plannedKg = line.edibleKg;
  const wanted = (): number => {
    if (law === 'toSalt') {
      const target = (plan.letDown?.potSaltPercent ?? plan.saltPercent) / 100;
      const kg = massKg(end.mixture);
      const missingKg = target * kg - (saltPercent(end.mixture, 'all') / 100) * kg;
      return missingKg / Math.max(0.01, ingredient.perKg.salt - target);
    }
    if (law === 'toYield') return plannedKg + (plan.yieldLitres - foodLitres(end)) / (STAYS * perKg);
    const bodyGPerL = flourEquivalentOfBand({ band: plan.letDown?.potBand ?? plan.band });
    const missing = (pot: PotState) => bodyGPerL * liquidLitres(pot) - bodyOfPot(pot);
    const missingG = missing(end);
    const thickener = input.recipe.lines.find((one) => one.id === line.lineId)?.thickener;
    // what lies in pieces gives its body as it softens: as far as there is time for
    const atEndWith = (kg: number) => potAtEnd(snapshot, state, { ...load, [line.lineId]: kg });
    const gain =
      ingredient.share === 'pieces' && plannedKg > 0
        ? (missingG - missing(atEndWith(plannedKg * (1 + MORE)))) / (plannedKg * MORE)
        : bodyG(ingredient, 1, thickener) - bodyGPerL * perKg;
    return gain > 0 ? plannedKg + missingG / gain : plannedKg;
  };
  const kg = Math.max(0, wanted());
  return Math.abs(kg - plannedKg) <= AS_PLANNED * plannedKg ? plannedKg : kg;
}

function withKg(snapshot: BatchSnapshot, line: PlannedLine, kg: number): PlannedLine {
  if (kg === line.edibleKg) return line;
  if (line.edibleKg > NOTHING_KG) return timesLine(line, kg / line.edibleKg);
  const { yield: edible, densityKgPerL } = snapshot.input.ingredients[line.ingredientId]!;
  return { ...line, edibleKg: kg, purchasedKg: kg / edible, litres: kg / densityKgPerL };
}
