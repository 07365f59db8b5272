import { minutesToCookDice, softeningFactor } from '../heat';
import { massKg } from '../matter';
import {
  advancePot,
  arrivingAt,
  crossingMs,
  finishStage,
  fractionToHold,
  liftFoodOut,
  massAtLitres,
  openPot,
  type PotSetup,
  type PotState,
  type PotTarget,
  potLitres,
  putFoodIn,
} from '../pot';
import { cookingStages, SIMMER_UNDER_BOIL_C, type Stage } from '../recipe';

import { handsMinutes } from './hands-minutes';
import type { PlanInput } from './plan';

/** Kilograms of each recipe line that goes into the pot, by line id. */
export type Load = Readonly<Record<string, number>>;

export interface CookedStage {
  stage: Stage;
  /** minutes of a stage that goes by the clock, grown with the load; null for any other */
  clockMin: number | null;
  minutes: number;
  heatFraction: number;
  litresAtStart: number;
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
}

/** Between one stage and the next a pair of hands needs this long: fetch, tip in, scrape, stir, wipe. Common practice. */
const HANDLING_MIN = 1.5;

/** The centre of a dice is hot enough to soften from here; common practice. */
const DICE_CENTRE_C = 85;

/** From this share of the burner on, the simmer is as hard as the burner can make it. */
const CANNOT_HOLD = 0.97;

/** No stage of a plan is waited for longer than this. */
const LONGEST_STAGE_MIN = 12 * 60;

/**
 * Cooks a load through the stages of a recipe in a pot, on paper: what the plan's times and yields are read from.
 * Full heat brings the pot up, then each stage's own heat holds it.
 *
 * @param input the plan's recipe, kitchen and pot
 * @param setup vessel, burner, air
 * @param load kg of each line, 0 or more
 * @param heatFactor share of the burner's expected heat that arrives, above 0
 * @returns each stage with its minutes and levels, and the pot at the end
 * @throws RangeError when a stage would not end within twelve hours, naming it
 * @source docs/model.md § 4, § 5, § 11
 */
export function cookThrough(
  input: PlanInput,
  setup: PotSetup,
  load: Load,
  heatFactor: number,
): CookedThrough {
  let pot = openPot({ atMs: 0, tempC: setup.air.airTempC, heatFactor: { mean: heatFactor, sd: 1e-9 } });
  const stages: CookedStage[] = [];
  for (const stage of cookingStages(input.recipe)) {
    const { filled, looseLitres } = fillStage(
      input,
      stage.asksOut
        ? withoutWhatComesOut(
            input,
            pot,
            stages.map((one) => one.stage.id),
            load,
          )
        : pot,
      stage,
      load,
    );
    const handledMs = stages.length === 0 ? filled.atMs : filled.atMs + HANDLING_MIN * 60_000;
    const handled = advancePot(setup, { ...filled, lid: stage.lid }, handledMs);
    const grown = withHandsMinutes(input, setup, stage, load, potLitres(filled));
    const cooked = cookStage(setup, { ...handled, softenedMin: 0 }, grown);
    stages.push({
      stage,
      clockMin: grown.ends.rule === 'minutes' ? grown.ends.minutes : null,
      minutes: (cooked.pot.atMs - filled.atMs) / 60_000,
      heatFraction: cooked.heatFraction,
      litresAtStart: potLitres(filled),
      looseLitresAtStart: potLitres(filled) + looseLitres,
      litresAtEnd: potLitres(cooked.pot),
      tempAtEndC: cooked.pot.tempC,
      steamedKg: cooked.pot.evaporatedKg - filled.evaporatedKg,
    });
    pot = finishStage(cooked.pot, stage.does);
  }
  return { stages, end: pot, minutes: pot.atMs / 60_000 };
}

/** A stage that goes by the clock, its minutes grown with what is in it. */
function withHandsMinutes(
  input: PlanInput,
  setup: PotSetup,
  stage: Stage,
  load: Load,
  litres: number,
): Stage {
  if (stage.ends.rule !== 'minutes') return stage;
  const minutes = handsMinutes({ input, setup, stage, load: { kgByLine: load, litres } });
  return { ...stage, ends: { rule: 'minutes', minutes } };
}

/** What is lifted out before a stage that asks for it: as heavy as it went in, as far as the pieces still hold that. */
function withoutWhatComesOut(
  input: PlanInput,
  pot: PotState,
  before: readonly string[],
  load: Load,
): PotState {
  return input.recipe.lines
    .filter((line) => line.comesOut && before.includes(line.stageId) && line.scaling !== 'perBowl')
    .reduce(
      (here, line) => liftFoodOut(here, input.ingredients[line.ingredientId]!, load[line.id] ?? 0),
      pot,
    );
}

/** Puts a stage's lines in; pieces lying loose take up more than they will. */
function fillStage(input: PlanInput, pot: PotState, stage: Stage, load: Load) {
  let filled = pot;
  let looseLitres = 0;
  for (const line of input.recipe.lines) {
    const kg = load[line.id] ?? 0;
    if (line.stageId !== stage.id || kg === 0 || line.scaling === 'perBowl') continue;
    const ingredient = input.ingredients[line.ingredientId]!;
    filled = putFoodIn(filled, { ingredient, kg, tempC: line.tempC, thickener: line.thickener });
    if (ingredient.share === 'pieces') {
      looseLitres += Math.max(0, kg / ingredient.looseKgPerL - kg / ingredient.densityKgPerL);
    }
  }
  return { filled, looseLitres };
}

/** What a stage waits for, as a target of the pot; null for one that goes by the clock. */
export function stageTarget(setup: PotSetup, pot: PotState, stage: Stage): PotTarget | null {
  switch (stage.ends.rule) {
    case 'simmer':
      return { kind: 'temperature', tempC: setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely };
    case 'warm':
      return { kind: 'temperature', tempC: warmTo(setup, stage.ends.tempC) };
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

function cookStage(setup: PotSetup, pot: PotState, stage: Stage): { pot: PotState; heatFraction: number } {
  const target = stageTarget(setup, pot, stage);
  let here = pot;
  let heatFraction = stage.heat.kind === 'burner' ? stage.heat.fraction : 0;
  if (stage.heat.kind === 'hold') {
    const holdC = setup.air.boilingC - SIMMER_UNDER_BOIL_C[stage.heat.simmer];
    heatFraction = fractionToHold(setup, potLitres(here), holdC, stage.lid, arrivingAt(pot));
    if (heatFraction < CANNOT_HOLD && here.tempC < holdC - 0.5) {
      here = run(setup, { ...here, heatFraction: 1 }, { kind: 'temperature', tempC: holdC }, stage);
    }
  }
  here = { ...here, heatFraction };
  if (stage.ends.rule === 'minutes') {
    const spentMs = here.atMs - pot.atMs;
    const leftMs = Math.max(0, stage.ends.minutes * 60_000 - spentMs);
    return { pot: advancePot(setup, here, here.atMs + leftMs), heatFraction };
  }
  if (target === null) return { pot: here, heatFraction };
  return { pot: run(setup, here, target, stage), heatFraction };
}

function run(setup: PotSetup, pot: PotState, target: PotTarget, stage: Stage): PotState {
  const p50Ms = crossingMs(setup, pot, target, LONGEST_STAGE_MIN);
  if (p50Ms === null) {
    throw new RangeError(
      `stage "${stage.title}" would not end within ${LONGEST_STAGE_MIN / 60} hours on this burner, got ${massKg(pot.mixture).toFixed(1)} kg at ${pot.tempC.toFixed(0)} °C`,
    );
  }
  return advancePot(setup, pot, p50Ms);
}
