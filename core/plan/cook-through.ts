import { minutesToCookDice, softeningFactor } from '../heat';
import { massKg, rowOfLine, specificHeatKJ, totalKg, whole } from '../matter';
import { own, recordOf } from '../own';
import {
  advancePot,
  arrivingAt,
  crossingMs,
  finishStage,
  fractionToHold,
  litresAtMass,
  massAtLitres,
  mostHeat,
  openPot,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  potWays,
  putFoodIn,
} from '../pot';
import { cookingStages, SIMMER_UNDER_BOIL_C, type Stage } from '../recipe';

import { CannotCook } from './cannot-cook';
import { afterOven, isFrying, isInOven, piecesGiveKg } from './frying';
import { handsMinutes } from './hands-minutes';
import { type Hanging, hangingOf, liftHanging, type Picked, putBack } from './lifted';
import type { PlanInput } from './plan';
import { stirEveryMin } from './stirring';
import { lowestTop, UNDER_THE_TOP_C } from './top-asked';

/** Kilograms of each recipe line that goes into the pot, by line id. */
export type Load = Readonly<Record<string, number>>;

export interface CookedStage {
  stage: Stage;
  /** minutes of a stage that goes by the clock, grown with the load; null for any other */
  clockMin: number | null;
  minutes: number;
  heatFraction: number;
  litresAtStart: number;
  kgAtStart: number;
  specificHeatAtStartKJ: number;
  tempAtStartC: number;
  /** with the raw pieces lying loose */
  looseLitresAtStart: number;
  litresAtEnd: number;
  tempAtEndC: number;
  steamedKg: number;
}

export interface CookedThrough {
  stages: CookedStage[];
  end: PotState;
  minutes: number;
  /** lifted out, picked and put in again, kg by line id */
  pickedKg: Readonly<Record<string, number>>;
}

/** Between one stage and the next a pair of hands needs this long: fetch, tip in, scrape, stir, wipe. Common practice. */
const HANDLING_MIN = 1.5;

/** The centre of a dice is hot enough to soften from here; common practice. */
const DICE_CENTRE_C = 85;

/** From this share of the burner on, the simmer is as hard as the burner can make it. */
const CANNOT_HOLD = 0.97;

/** This near under its simmer a pot is turned down to what holds it, K. Common practice. */
const NEARLY_THERE_K = 0.5;

/** No stage of a plan is waited for longer than this. */
const LONGEST_STAGE_MIN = 12 * 60;

/** A pot whose liquid is down to this share of what it was as the stage began has boiled dry. Common practice. */
const DRY_SHARE = 0.03;

/** Less liquid than this share of the pot and it is fried, not boiled. Common practice. */
const A_SOUP_FROM = 0.3;

/**
 * Cooks a load through the stages of a recipe in a pot, on paper: what the plan's times and yields are read from.
 * Full heat brings the pot up, then each stage's own heat holds it, under the top temperature of what is in it.
 *
 * @param input the plan's recipe, kitchen and pot
 * @param setup vessel, burner, air
 * @param load kg of each line, 0 or more
 * @param heatFactor share of the burner's expected heat that arrives, above 0
 * @returns each stage with its minutes and levels, and the pot at the end
 * @throws CannotCook when a stage would not end within twelve hours or boils dry, naming it
 * @source docs/model.md § 4, § 5, § 11
 */
export function cookThrough(
  input: PlanInput,
  setup: PotSetup,
  load: Load,
  heatFactor: number,
): CookedThrough {
  const cooking: Cooking = { input, setup, load, kgById: recordOf(), begun: [], hanging: [], picked: [] };
  const pot = openPot({
    atMs: 0,
    tempC: setup.air.airTempC,
    heatFactor: { mean: heatFactor, sd: 1e-9 },
    body: input.body,
  });
  return cookOn(cooking, cookingStages(input.recipe), pot);
}

/** A pot half way through its recipe. */
export interface HalfCooked {
  pot: PotState;
  /** stages begun so far, the running one among them */
  begun: readonly Stage[];
  /** the running stage: what is left of its clock, minutes, and the mass it falls to, kg */
  running: { stage: Stage; leftMin: number; targetKg: number | null } | null;
  /** what has gone in, kg by ingredient */
  kgById: Readonly<Record<string, number>>;
  /** what still lies in it and has to come out, kg as it went in */
  hanging: readonly Hanging[];
  /** what lies picked beside it and goes in again */
  picked: readonly Picked[];
}

/**
 * Cooks a pot on from where it is: the running stage to its end, then the stages to come, with what still goes in.
 *
 * @param load kg of each line that has yet to go in
 * @returns the pot at the end, the stages it came by
 * @throws CannotCook as `cookThrough` does
 */
export function cookRest(input: PlanInput, setup: PotSetup, load: Load, from: HalfCooked): CookedThrough {
  const begun = [...from.begun];
  const kgById = recordOf(Object.entries(from.kgById));
  const { hanging, picked } = from;
  const cooking: Cooking = {
    input,
    setup,
    load,
    kgById,
    begun,
    hanging: [...hanging],
    picked: [...picked],
  };
  const left = cookingStages(input.recipe).filter((stage) => !begun.includes(stage));
  const pot = from.running ? finishRunning(cooking, from.pot, from.running) : from.pot;
  return cookOn(cooking, left, { ...pot, wander: 0, setting: 0 });
}

/** What a cook on paper has at hand. */
interface Cooking {
  input: PlanInput;
  setup: PotSetup;
  load: Load;
  kgById: Record<string, number>;
  begun: Stage[];
  hanging: Hanging[];
  picked: Picked[];
}

function cookOn(cooking: Cooking, left: readonly Stage[], from: PotState): CookedThrough {
  const { input, setup, load } = cooking;
  let pot = from;
  const stages: CookedStage[] = [];
  for (const stage of left) {
    const put = linesIn(input, stage, load);
    const isFirst = cooking.begun.length === 0;
    remember(cooking, stage, put);
    const lifted = withPicked(cooking, stage, stage.asksOut ? withoutWhatComesOut(cooking, pot) : pot);
    const { filled, looseLitres } = fillStage(stage, cooledTo(setup, lifted, topOf(cooking, lifted)), put);
    hang(cooking, put);
    const handledMs = isFirst ? filled.atMs : filled.atMs + HANDLING_MIN * 60_000;
    const handled = advancePot(setup, { ...filled, lid: stage.lid }, handledMs);
    const grown = withHandsMinutes(input, setup, stage, load, handled);
    const cooked = cookStage(setup, { ...handled, softenedMin: 0 }, grown, topOf(cooking, handled));
    refuseDry(stage, handled, cooked.pot);
    stages.push({
      stage,
      clockMin: stage.ends.rule === 'minutes' ? (cooked.pot.atMs - handled.atMs) / 60_000 : null,
      minutes: (cooked.pot.atMs - pot.atMs) / 60_000,
      heatFraction: cooked.heatFraction,
      litresAtStart: potLitres(filled),
      kgAtStart: massKg(filled.mixture),
      specificHeatAtStartKJ: massKg(filled.mixture) > 0 ? specificHeatKJ(whole(filled.mixture)) : 0,
      tempAtStartC: filled.tempC,
      looseLitresAtStart: potLitres(filled) + looseLitres,
      litresAtEnd: potLitres(cooked.pot),
      tempAtEndC: cooked.pot.tempC,
      steamedKg: cooked.pot.evaporatedKg - pot.evaporatedKg,
    });
    pot = finishStage(cooked.pot, stage.does);
  }
  const pickedKg = recordOf(
    cooking.picked.flatMap(({ lineId, masses }) => (lineId ? [[lineId, totalKg(masses)] as const] : [])),
  );
  return { stages, end: pot, minutes: (pot.atMs - from.atMs) / 60_000, pickedKg };
}

/** The running stage to its end: what still waits beside the pot goes in at once. */
function finishRunning(
  cooking: Cooking,
  pot: PotState,
  { stage, leftMin, targetKg }: NonNullable<HalfCooked['running']>,
): PotState {
  const put = linesIn(cooking.input, stage, cooking.load);
  remember(cooking, null, put);
  hang(cooking, put);
  const lifted = withPicked(cooking, stage, stage.asksOut ? withoutWhatComesOut(cooking, pot) : pot);
  const there = put.length > 0 ? fillStage(stage, lifted, put).filled : lifted;
  const filled = { ...there, lid: stage.lid };
  const ends = endsFrom(stage, filled, leftMin, targetKg);
  const cooked = cookStage(cooking.setup, filled, { ...stage, ends }, topOf(cooking, filled));
  return finishStage(cooked.pot, stage.does);
}

/** What is left of a running stage. */
function endsFrom(stage: Stage, pot: PotState, leftMin: number, targetKg: number | null): Stage['ends'] {
  if (targetKg !== null) {
    const gone = 1 - litresAtMass(pot, targetKg) / potLitres(pot);
    return { rule: 'fall', fractionGone: Math.max(0, gone) };
  }
  if (stage.ends.rule === 'minutes') return { rule: 'minutes', minutes: Math.max(0, leftMin) };
  return stage.ends.rule === 'fall' ? { rule: 'fall', fractionGone: 0 } : stage.ends;
}

function remember(cooking: Cooking, stage: Stage | null, put: ReturnType<typeof linesIn>): void {
  if (stage) cooking.begun.push(stage);
  for (const { line, kg } of put)
    cooking.kgById[line.ingredientId] = (own(cooking.kgById, line.ingredientId) ?? 0) + kg;
}

function hang(cooking: Cooking, put: ReturnType<typeof linesIn>): void {
  cooking.hanging.push(...put.flatMap(({ line, kg }) => hangingOf(line, kg) ?? []));
}

const topOf = ({ input, kgById, begun }: Cooking, pot: PotState): number | undefined =>
  lowestTop({ ingredients: input.ingredients, pot, kgById, begun })?.tempC;

/** A stage that goes by the clock, its minutes grown with what is in it. */
function withHandsMinutes(input: PlanInput, setup: PotSetup, stage: Stage, load: Load, pot: PotState): Stage {
  if (stage.ends.rule !== 'minutes') return stage;
  const of = { kgByLine: load, litres: potLitres(pot), isFrying: isFrying(stage, pot) };
  return { ...stage, ends: { rule: 'minutes', minutes: handsMinutes({ input, setup, stage, load: of }) } };
}

/** A pot too hot for what goes in next waits with the heat off. */
function cooledTo(setup: PotSetup, pot: PotState, topC: number | undefined): PotState {
  if (topC === undefined || pot.tempC <= topC || massKg(pot.mixture) === 0) return pot;
  const off = { ...pot, heatFraction: 0, lid: 'off' as const };
  const coolMs = crossingMs(setup, off, { kind: 'cooled', tempC: topC }, LONGEST_STAGE_MIN);
  return coolMs === null ? pot : advancePot(setup, off, coolMs);
}

/** A soup that boils away is no soup, whatever the arithmetic makes of what is left. */
function refuseDry(stage: Stage, before: PotState, after: PotState): void {
  const { liquid } = before.mixture;
  if (liquid.water < A_SOUP_FROM * massKg(before.mixture) || isBoiledDown(stage)) return;
  if (after.mixture.liquid.water > DRY_SHARE * liquid.water) return;
  throw new CannotCook({ code: 'boilsDry', stageTitle: stage.title, kg: massKg(after.mixture) });
}

/** What is lifted out before a stage that asks for it. */
function withoutWhatComesOut(cooking: Cooking, pot: PotState): PotState {
  const lifted = liftHanging(pot, cooking.hanging.splice(0), cooking.input.ingredients);
  cooking.picked.push(...lifted.picked);
  return lifted.pot;
}

/** What was picked for a stage goes in as it begins. */
function withPicked(cooking: Cooking, stage: Stage, pot: PotState): PotState {
  return putBack(
    pot,
    cooking.picked.filter((one) => one.backStageId === stage.id),
  );
}

/** The lines that go in the pot at a stage, with their kg. */
function linesIn(input: PlanInput, stage: Stage, load: Load) {
  return input.recipe.lines.flatMap((line) => {
    const kg = load[line.id] ?? 0;
    if (line.stageId !== stage.id || kg === 0 || line.scaling === 'perBowl') return [];
    return [{ line, kg, ingredient: rowOfLine(line, input.ingredients) }];
  });
}

/** What a pot is started with, and wine, cider or water over the fond, is boiled down on purpose, somebody standing by. */
function isBoiledDown({ kind, attention }: Stage): boolean {
  return kind === 'start' || (attention.kind === 'handsOn' && (kind === undefined || kind === 'liquid'));
}

/** Puts a stage's lines in; pieces lying loose take up more than they will. */
function fillStage(stage: Stage, pot: PotState, put: ReturnType<typeof linesIn>) {
  let filled = pot;
  let looseLitres = 0;
  for (const { line, kg, ingredient } of put) {
    filled = putFoodIn(filled, { ingredient, kg, tempC: line.tempC, thickener: line.thickener });
    if (ingredient.share === 'pieces') {
      looseLitres += Math.max(0, kg / ingredient.looseKgPerL - kg / ingredient.densityKgPerL);
    }
  }
  const none = { ...filled, piecesGiveKg: undefined };
  return { filled: { ...filled, piecesGiveKg: piecesGiveKg(stage, none, put) }, looseLitres };
}

/**
 * What a stage waits for, as a target of the pot; null for one that goes by the clock.
 *
 * @param topC the hottest the pot may get, °C: a stage waits for no more than a little under that
 */
export function stageTarget(
  setup: PotSetup,
  pot: PotState,
  stage: Stage,
  topC = Number.POSITIVE_INFINITY,
): PotTarget | null {
  const mostC = topC - UNDER_THE_TOP_C;
  switch (stage.ends.rule) {
    case 'simmer':
      return { kind: 'temperature', tempC: Math.min(mostC, setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely) };
    case 'warm':
      return { kind: 'temperature', tempC: Math.min(mostC, warmTo(setup, stage.ends.tempC)) };
    case 'soft':
      return { kind: 'softened', minutesAt100C: softNeed(setup, stage.ends) };
    case 'fall':
      return { kind: 'mass', kg: massAtLitres(pot, potLitres(pot) * (1 - stage.ends.fractionGone)) };
    default:
      return null;
  }
}

/** A temperature to warm to, °C, kept under the boil of this height. */
export function warmTo(setup: PotSetup, tempC: number): number {
  return Math.min(tempC, setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely);
}

/** Softening a dice needs, as minutes at 100 °C: its centre's heat-up at a bare simmer, then its own. */
export function softNeed(setup: PotSetup, ends: { edgeCm: number; softenMin: number }): number {
  const liquidC = setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely;
  const heatUp = minutesToCookDice({ edgeCm: ends.edgeCm, startC: 20, liquidC, centreC: DICE_CENTRE_C });
  return heatUp / softeningFactor({ liquidC }) + ends.softenMin;
}

function cookStage(
  setup: PotSetup,
  pot: PotState,
  stage: Stage,
  topC = Number.POSITIVE_INFINITY,
): { pot: PotState; heatFraction: number } {
  const { heat, ends } = stage;
  const simmerC =
    heat.kind === 'hold' ? setup.air.boilingC - SIMMER_UNDER_BOIL_C[heat.simmer] : Number.POSITIVE_INFINITY;
  const holdC = Math.min(simmerC, topC - UNDER_THE_TOP_C);
  const target = stageTarget(setup, pot, stage, topC);
  const clockMs = ends.rule === 'minutes' ? ends.minutes * 60_000 : null;
  if (!Number.isFinite(holdC) || (heat.kind === 'burner' && heat.fraction === 0)) {
    const fraction = heat.kind === 'burner' ? heat.fraction : 0;
    const lit = { ...pot, heatFraction: fraction };
    if (clockMs !== null) return { pot: fried(setup, stage, lit, clockMs), heatFraction: fraction };
    return { pot: target ? run(setup, lit, target, stage) : lit, heatFraction: fraction };
  }
  // up to where it is held, then held there
  let here = pot;
  const holdFraction = fractionToHold(setup, potWays(setup, here, stage.lid), holdC, arrivingAt(pot));
  if (heat.kind === 'burner') {
    const lit = { ...here, heatFraction: heat.fraction };
    const isUp: PotTarget = { kind: 'temperature', tempC: holdC };
    const upMs = crossingMs(setup, lit, isUp, LONGEST_STAGE_MIN) ?? Number.POSITIVE_INFINITY;
    const doneMs =
      clockMs === null
        ? target === null
          ? here.atMs
          : (crossingMs(setup, lit, target, LONGEST_STAGE_MIN) ?? Number.POSITIVE_INFINITY)
        : here.atMs + clockMs;
    if (doneMs <= upMs && Number.isFinite(doneMs))
      return { pot: advancePot(setup, lit, doneMs), heatFraction: heat.fraction };
    if (Number.isFinite(upMs)) here = advancePot(setup, lit, upMs);
  } else if (holdFraction < CANNOT_HOLD && here.tempC < holdC - NEARLY_THERE_K) {
    const nearly: PotTarget = { kind: 'temperature', tempC: holdC - NEARLY_THERE_K };
    const up = Math.max(holdFraction, mostHeat(setup, here, stirEveryMin(stage, here)));
    here = run(setup, { ...here, heatFraction: up }, nearly, stage);
  }
  here = { ...here, heatFraction: holdFraction };
  if (clockMs !== null)
    return {
      pot: advancePot(setup, here, Math.max(here.atMs, pot.atMs + clockMs)),
      heatFraction: holdFraction,
    };
  return { pot: target ? run(setup, here, target, stage) : here, heatFraction: holdFraction };
}

/** By the clock; what is fried stays on until it has given up its water, and what is in the oven comes out without it. */
function fried(setup: PotSetup, stage: Stage, pot: PotState, clockMs: number): PotState {
  const after = advancePot(setup, pot, pot.atMs + clockMs);
  const leftKg = after.piecesGiveKg ?? 0;
  if (isInOven(stage)) return afterOven(stage, after);
  if (leftKg <= LEAST_TO_WAIT_FOR * massKg(after.mixture)) return after;
  const dry: PotTarget = { kind: 'mass', kg: massKg(after.mixture) - leftKg * ALL_BUT };
  const dryMs = crossingMs(setup, after, dry, LONGEST_STAGE_MIN);
  if (dryMs === null) throw neverEnds(stage, after);
  return advancePot(setup, after, dryMs);
}

/** Water of the pieces under this share of the pot is not waited for; and of what is, so much is all. */
const LEAST_TO_WAIT_FOR = 0.005;
const ALL_BUT = 0.98;

function run(setup: PotSetup, pot: PotState, target: PotTarget, stage: Stage): PotState {
  const p50Ms = crossingMs(setup, pot, target, LONGEST_STAGE_MIN);
  if (p50Ms !== null) return advancePot(setup, pot, p50Ms);
  const last = advancePot(setup, pot, pot.atMs + LONGEST_STAGE_MIN * 60_000);
  const { liquid } = last.mixture;
  if (liquid.water < DRY_SHARE * massKg(pot.mixture))
    throw new CannotCook({ code: 'boilsDry', stageTitle: stage.title, kg: massKg(last.mixture) });
  throw neverEnds(stage, pot);
}

function neverEnds(stage: Stage, pot: PotState): CannotCook {
  return new CannotCook({
    code: 'neverEnds',
    stageTitle: stage.title,
    hours: LONGEST_STAGE_MIN / 60,
    kg: massKg(pot.mixture),
    tempC: pot.tempC,
  });
}
