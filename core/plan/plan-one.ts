import { timesStandard } from '../bases';
import { within } from '../check';
import {
  brixOf,
  type Ingredient,
  isPoured,
  type Mixture,
  massesOf,
  massKg,
  rowOfLine,
  saltPercent,
  soakedUp,
  soakHours,
  totalKg,
  volumeLitres,
} from '../matter';
import { CLING_PERCENT, garnishedPortions, portions } from '../portions';
import { bodyOfPot, foodLitres, liquidLitres } from '../pot';
import { allergensOf, type RecipeLine, type Stage } from '../recipe';
import { isDosed } from '../scaling';
import { thicknessBand } from '../thickness';
import { litresAtDepth, workingFillLitres } from '../vessel';

import { CannotCook, orElse } from './cannot-cook';
import { type CookedStage, type CookedThrough, cookThrough, type Load } from './cook-through';
import {
  type LetDown,
  MODEL_VERSION,
  type Plan,
  type PlanInput,
  type PlannedBase,
  type PlannedLine,
  type PlannedStage,
} from './plan';
import { setupOf } from './setup-of';
import { slowReheat } from './slow-reheat';
import { HELD_AT_C, type SolvedLoad, solveLoad } from './solve-load';
import { unmetWishes } from './unmet-wishes';
import { workings } from './workings';

/** Stages that go by the clock or by softness are off by this share, one standard deviation. From memory. */
const STAGE_SPREAD = 0.12;

/** The least time kept free between ready and served, minutes. */
const LEAST_SLACK_MIN = 5;

/** 90 % of batches are ready in time with this many standard deviations of slack. */
const SLACK_Z = 1.28;

/** The most of a bowl that may be held back out of the pot; common practice. */
const MOST_HELD_BACK = 0.6;

/** More loads than this are no longer loading in rounds but another pot. Common practice. */
const MOST_LOADS = 6;

/** Whether anything in it foams: then the pot is filled less. */
export const hasWhatFoams = (input: PlanInput): boolean =>
  input.recipe.lines.some(
    (line) => line.scaling !== 'perBowl' && input.ingredients[line.ingredientId]!.foams,
  );

/** Litres that have to be in the pot for the bowls, what clings to it among them. */
export const servedLitres = (input: PlanInput): number =>
  (input.portions * input.portionMl) / 1000 / (1 - CLING_PERCENT / 100);

/** Of what is left in the pot at the end, so many times may boil away beside what is reduced on purpose. From memory. */
const MOST_BOILED_AWAY = 3;

/** A pot too wide for what is in it boils it down to something else than the dish, whatever is poured in. */
function refuseBoiledAway({ stages, end }: CookedThrough, wantedLitres: number): void {
  const loose = stages.filter(({ stage }) => stage.ends.rule !== 'fall');
  const steamedKg = loose.reduce((sum, one) => sum + one.steamedKg, 0);
  const kg = massKg(end.mixture);
  const isShort = foodLitres(end) < LEAST_OF_THE_ORDER * wantedLitres && steamedKg > kg;
  if (steamedKg <= MOST_BOILED_AWAY * kg && !isShort) return;
  const worst = loose.reduce((a, b) => (b.steamedKg > a.steamedKg ? b : a));
  throw new CannotCook({ code: 'boilsDry', stageTitle: worst.stage.title, kg });
}

/** A plan that comes to less than this share of its order for what boils away is no plan. */
const LEAST_OF_THE_ORDER = 0.9;

/** An order as one batch, whether or not the pot holds it. */
export function planOne(input: PlanInput): Plan {
  const setup = setupOf(input);
  const wantedLitres = servedLitres(input);
  within('holdBackShare', input.holdBackShare ?? 0, 0, MOST_HELD_BACK);
  const solved = solveLoad(input, setup, wantedLitres);
  const { load, cooked } = solved;
  refuseBoiledAway(cooked, wantedLitres - solved.heldLitres);

  const lines = [
    ...input.recipe.lines.map((line) => ({
      ...plannedLine(input, line, load, wantedLitres),
      ...backAgain(line, cooked),
    })),
    ...heldBackLine(input, solved),
  ];
  const { mean, sd } = input.burner.heatFactor;
  const at = (heatFactor: number) => orElse(cooked, () => cookThrough(input, setup, load, heatFactor));
  const slow = at(Math.max(0.25, mean - sd));
  const quick = at(mean + sd);
  const stageSd = cooked.stages.map((stage, i) =>
    Math.hypot(
      Math.abs(slow.stages[i]!.minutes - quick.stages[i]!.minutes) / 2,
      endsByHeat(stage.stage) ? 0 : STAGE_SPREAD * stage.minutes,
    ),
  );
  const heatSd = Math.abs(slow.minutes - quick.minutes) / 2;
  const clockVariance = cooked.stages.reduce((sum, stage) => {
    return sum + (endsByHeat(stage.stage) ? 0 : (STAGE_SPREAD * stage.minutes) ** 2);
  }, 0);
  const readySdMinutes = Math.sqrt(heatSd ** 2 + clockVariance);
  const readyAtMs = input.serviceAtMs - Math.max(LEAST_SLACK_MIN, SLACK_Z * readySdMinutes) * 60_000;
  const startAtMs = readyAtMs - cooked.minutes * 60_000;

  const { end } = cooked;
  const yieldLitres = foodLitres(end);
  const foams = hasWhatFoams(input);
  const workingFill = workingFillLitres(input.pot.vessel, foams);
  const loaded = cooked.stages.map((stage) => inRounds(stage, workingFill));
  const fullest = loaded.reduce((a, b) => (b.litres > a.litres ? b : a));
  const costCents = lines.reduce((sum, line) => sum + line.costCents, 0);
  const sumG = (law: RecipeLine['scaling']) =>
    1000 *
    input.recipe.lines.reduce((sum, line) => sum + (line.scaling === law ? (load[line.id] ?? 0) : 0), 0);
  const saltToAdd = sumG('toSalt');
  const saltAddedG = lines.reduce((sum, line) => {
    const isSalted = input.recipe.lines.some((one) => one.id === line.lineId && one.scaling === 'toSalt');
    return isSalted ? sum + 1000 * line.edibleKg * input.ingredients[line.ingredientId]!.perKg.salt : sum;
  }, 0);
  const saltInPotG = 1000 * (end.mixture.liquid.salt + end.mixture.pieces.salt);
  const garnish = garnishSalt(input, lines);
  const ladleMl = input.portionMl * (1 - (input.holdBackShare ?? 0));
  const yieldPortions = portions({ litres: yieldLitres, portionMl: ladleMl });
  const letDown = letDownOf(input, solved, ladleMl);
  const bowlBody = bodyOfPot(end) / (liquidLitres(end) + (letDown?.litres ?? 0));
  const plan: Omit<Plan, 'workings'> = {
    modelVersion: MODEL_VERSION,
    portions: input.portions,
    portionMl: input.portionMl,
    serviceAtMs: input.serviceAtMs,
    startAtMs,
    readyAtMs,
    readySdMinutes,
    lines,
    stages: plannedStages(cooked, stageSd, startAtMs, loaded),
    yieldLitres,
    yieldPortions,
    startLitres: litresIn(input, lines),
    fullest: { litres: fullest.litres, stageId: fullest.stageId },
    brimLitres: litresAtDepth(input.pot.vessel, input.pot.vessel.heightCm),
    workingFillLitres: workingFill,
    foams,
    batches: 1,
    saltPercent: bowlSaltPercent(input, solved),
    saltToAddG: saltToAdd,
    saltBroughtG: saltInPotG - saltAddedG,
    saltPercentWithGarnish:
      (100 * (saltInPotG / 1000 + garnish.saltKg)) / (massKg(end.mixture) + garnish.massKg),
    flourEquivalentGPerL: bowlBody,
    band: thicknessBand({ flourEquivalentGPerL: bowlBody }),
    flourG: sumG('toThickness'),
    evaporatedKg: end.evaporatedKg,
    costCents,
    costPerPortionCents: costCents / input.portions,
    ...(input.unpriced && input.unpriced.length > 0 ? { unpriced: input.unpriced } : {}),
    ...(input.guessed && input.guessed.length > 0 ? { guessed: input.guessed } : {}),
    allergens: allergensOf(lines.map((line) => input.ingredients[line.ingredientId]!)),
    boilingC: setup.air.boilingC,
    ...(letDown ? { letDown } : {}),
    ...(input.recipe.base ? { base: plannedBase(input.recipe.base, end.mixture) } : {}),
  };
  const unmet = unmetWishes(input, plan, solved);
  const slowly = slowReheat(input, load);
  return {
    ...plan,
    ...(unmet.length > 0 ? { unmet } : {}),
    ...(slowly ? { slowReheat: slowly } : {}),
    workings: workings(input, setup, plan, cooked),
  };
}

function plannedBase(kindId: string, { liquid, savour }: Mixture): PlannedBase {
  const kg = totalKg(liquid);
  const brix = brixOf(liquid);
  return {
    brix,
    strength: timesStandard(brix, kindId),
    gelatinPercent: kg > 0 ? (100 * savour.gelatin) / kg : 0,
    fatPercent: kg > 0 ? (100 * liquid.fat) / kg : 0,
  };
}

/** What a soaked line weighs as it goes in. */
function soakedOf(
  line: RecipeLine,
  ingredient: Ingredient,
  kg: number,
): Pick<PlannedLine, 'inPotKg' | 'isSoaked'> {
  const takenKg = kg * soakedUp(ingredient, soakHours(line, ingredient));
  return takenKg > 0 ? { inPotKg: kg + takenKg, isSoaked: true } : {};
}

/** Its length follows the burner, and its doubt with it. */
function endsByHeat(stage: Stage): boolean {
  return ['fall', 'simmer', 'warm'].includes(stage.ends.rule);
}

function plannedLine(input: PlanInput, line: RecipeLine, load: Load, wantedLitres: number): PlannedLine {
  const ingredient = input.ingredients[line.ingredientId]!;
  const perBowl = line.scaling === 'perBowl';
  const edibleKg = perBowl ? line.kg * garnishedPortions(input, line.id) : (load[line.id] ?? 0);
  const purchasedKg = edibleKg / ingredient.yield;
  const plainMultipleKg = perBowl ? edibleKg : (line.kg * wantedLitres) / input.recipe.litres;
  return {
    lineId: line.id,
    ingredientId: line.ingredientId,
    name: ingredient.name,
    ...(line.cut ? { cut: line.cut } : {}),
    stageId: line.stageId,
    tempC: line.tempC,
    edibleKg,
    ...(ingredient.wholeInPot ? { inPotKg: purchasedKg } : {}),
    ...soakedOf(line, ingredient, edibleKg),
    purchasedKg,
    litres: edibleKg / ingredient.densityKgPerL,
    liquid: isPoured(ingredient),
    ...(ingredient.kind === 'egg' && ingredient.pieceG
      ? { count: Math.max(1, Math.round((purchasedKg * 1000) / ingredient.pieceG)) }
      : {}),
    costCents: purchasedKg * (input.pricesCentsPerKg[line.ingredientId] ?? 0),
    perBowl,
    plainMultipleKg,
    ...(isDosed(line.scaling) ? { keptByKg: Math.max(0, plainMultipleKg - edibleKg) } : {}),
    ...(line.comesOut
      ? {
          comesOut: {
            word: line.comesOut.word,
            count: Math.max(1, Math.round((edibleKg * 1000) / line.comesOut.eachG)),
          },
        }
      : {}),
  };
}

/** Lifted out, picked, and the meat in again: where, and about how much. */
function backAgain(
  { id, comesOut }: RecipeLine,
  { pickedKg }: CookedThrough,
): Pick<PlannedLine, 'comesBack'> {
  const kg = pickedKg[id];
  const stageId = comesOut?.backStageId;
  return stageId && kg ? { comesBack: { stageId, kg } } : {};
}

function plannedStages(
  cooked: CookedThrough,
  sd: readonly number[],
  startAtMs: number,
  loaded: readonly { rounds: number }[],
): PlannedStage[] {
  let atMs = startAtMs;
  return cooked.stages.map((one, i) => {
    const startMs = atMs;
    atMs += one.minutes * 60_000;
    return {
      stageId: one.stage.id,
      title: one.stage.title,
      startMs,
      minutes: one.minutes,
      sdMinutes: sd[i]!,
      heatFraction: one.heatFraction,
      lid: one.stage.lid,
      litresAtStart: one.litresAtStart,
      litresAtEnd: one.litresAtEnd,
      tempAtEndC: one.tempAtEndC,
      steamedKg: one.steamedKg,
      ...(one.clockMin === null ? {} : { clockMin: one.clockMin }),
      ...(loaded[i]!.rounds > 1 ? { rounds: loaded[i]!.rounds } : {}),
    };
  });
}

/** Bulky raw stuff goes in by loads, each as the one before has collapsed; `litres` is at the fullest of them. */
function inRounds(
  stage: CookedStage,
  workingFill: number,
): { rounds: number; litres: number; stageId: string } {
  const excess = stage.looseLitresAtStart - stage.litresAtStart;
  const room = workingFill - stage.litresAtStart;
  const needed = excess > 0 && room > 0 ? Math.ceil(excess / room - 1e-9) : 1;
  const rounds = needed > MOST_LOADS ? 1 : Math.max(1, needed);
  return { rounds, litres: stage.litresAtStart + excess / rounds, stageId: stage.stage.id };
}

/** The liquid kept hot beside the pot, as a line of its own, ladled in by the bowl. */
function heldBackLine(input: PlanInput, { heldLine, heldKg }: SolvedLoad): PlannedLine[] {
  if (!heldLine || heldKg === 0) return [];
  const ingredient = input.ingredients[heldLine.ingredientId]!;
  const purchasedKg = heldKg / ingredient.yield;
  return [
    {
      lineId: `${heldLine.id}~held`,
      ingredientId: heldLine.ingredientId,
      name: `${ingredient.name}, held back hot`,
      stageId: input.recipe.stages.at(-1)!.id,
      tempC: HELD_AT_C,
      edibleKg: heldKg,
      purchasedKg,
      litres: heldKg / ingredient.densityKgPerL,
      liquid: true,
      costCents: purchasedKg * (input.pricesCentsPerKg[heldLine.ingredientId] ?? 0),
      perBowl: true,
      plainMultipleKg: heldKg,
    },
  ];
}

function letDownOf(
  input: PlanInput,
  { heldLine, heldKg, cooked }: SolvedLoad,
  ladleMl: number,
): LetDown | null {
  if (!heldLine || !input.holdBackShare) return null;
  const { end } = cooked;
  const mlPerBowl = input.portionMl - ladleMl;
  return {
    litres: (mlPerBowl * input.portions) / 1000,
    kg: heldKg,
    mlPerBowl,
    ladleMl,
    name: input.ingredients[heldLine.ingredientId]!.name,
    potSaltPercent: saltPercent(end.mixture, 'all'),
    potBand: thicknessBand({ flourEquivalentGPerL: bodyOfPot(end) / liquidLitres(end) }),
  };
}

/** Percent salt of the bowl: of the pot, and of what is ladled in beside it. */
function bowlSaltPercent(input: PlanInput, { heldLine, heldKg, cooked }: SolvedLoad): number {
  const { mixture } = cooked.end;
  if (!heldLine) return saltPercent(mixture, 'all');
  const saltKg =
    mixture.liquid.salt + mixture.pieces.salt + heldKg * input.ingredients[heldLine.ingredientId]!.perKg.salt;
  return (100 * saltKg) / (massKg(mixture) + heldKg);
}

function rowOfPlanned({ recipe, ingredients }: PlanInput, line: PlannedLine): Ingredient {
  return rowOfLine(recipe.lines.find((one) => one.id === line.lineId) ?? line, ingredients);
}

/** Litres of all that goes in the pot, each as it goes in. */
function litresIn(input: PlanInput, lines: readonly PlannedLine[]): number {
  return lines.reduce((sum, line) => {
    if (line.perBowl) return sum;
    const masses = massesOf(rowOfPlanned(input, line), line.edibleKg);
    return sum + volumeLitres(masses, Math.max(0, line.tempC));
  }, 0);
}

function garnishSalt(input: PlanInput, lines: readonly PlannedLine[]): { saltKg: number; massKg: number } {
  return lines
    .filter((line) => line.perBowl)
    .reduce(
      (sum, line) => ({
        saltKg: sum.saltKg + line.edibleKg * input.ingredients[line.ingredientId]!.perKg.salt,
        massKg: sum.massKg + line.edibleKg,
      }),
      { saltKg: 0, massKg: 0 },
    );
}
