import { positive, within } from '../check';
import { massKg } from '../matter/mixture';
import { saltPercent } from '../matter/operations';
import { CLING_PERCENT, portions } from '../portions/portions';
import { kitchenAir } from '../pot/kitchen-air';
import type { PotSetup } from '../pot/pot';
import { liquidLitres, potLitres } from '../pot/pot-litres';
import { allergensOf } from '../recipe/allergens-of';
import type { RecipeLine } from '../recipe/recipe';
import { SATURATED_SALT_PERCENT, saltToAddG } from '../salt/salt-to-add-g';
import { THICKENERS } from '../thickness/data/thickeners';
import { flourEquivalentOfBand, thicknessBand } from '../thickness/thickness-band';
import { litresAtDepth } from '../vessel/litres-at-depth';
import { workingFillLitres } from '../vessel/working-fill-litres';
import { type CookedThrough, cookThrough, type Load } from './cook-through';
import { MODEL_VERSION, type Plan, type PlanInput, type PlannedLine, type PlannedStage } from './plan';
import { workings } from './workings';

/** Stages that go by the clock or by softness are off by this share, one standard deviation. From memory. */
const STAGE_SPREAD = 0.12;

/** The least time kept free between ready and served, minutes. */
const LEAST_SLACK_MIN = 5;

/** 90 % of batches are ready in time with this many standard deviations of slack. */
const SLACK_Z = 1.28;

/** Litres that a kilogram more of the liquid leaves at the end, before the solver has seen it: a little boils away. */
const FIRST_SLOPE = 0.9;

/** The solved lines are right when yield is within this many litres. */
const YIELD_TOLERANCE_L = 0.002;

/**
 * Plans a batch: from an order to what to weigh out, when to light the burner, and what will be in the bowls.
 *
 * Straight lines follow the portions. The liquid is solved so that the litres are there after what boils away in this
 * pot on this burner at this height; the flour so that the end has the band; the salt so that the end has the percent.
 *
 * @param input recipe, ingredients, prices, kitchen, pot and burner; portions above 0, portionMl above 0,
 *   saltPercent 0..26.4, band 0..6, serviceAtMs
 * @returns quantities, times, yield, salt, thickness, cost, allergens, and how each came about
 * @throws RangeError naming a bad argument, or a stage that this burner cannot finish
 * @source docs/model.md § 3 to § 9, § 11
 */
export function planBatch(input: PlanInput): Plan {
  positive('portions', input.portions);
  positive('portionMl', input.portionMl);
  within('saltPercent', input.saltPercent, 0, SATURATED_SALT_PERCENT);
  within('band', input.band, 0, 6);
  const setup = setupOf(input);
  const wantedLitres = (input.portions * input.portionMl) / 1000 / (1 - CLING_PERCENT / 100);
  const { load, cooked } = solveLoad(input, setup, wantedLitres);

  const lines = input.recipe.lines.map((line) => plannedLine(input, line, load, wantedLitres));
  const { mean, sd } = input.burner.gain;
  const slow = cookThrough(input, setup, load, Math.max(0.25, mean - sd));
  const quick = cookThrough(input, setup, load, mean + sd);
  const stageSd = cooked.stages.map((stage, i) =>
    Math.hypot(
      Math.abs(slow.stages[i]!.minutes - quick.stages[i]!.minutes) / 2,
      stage.stage.ends.rule === 'fall' || stage.stage.ends.rule === 'simmer'
        ? 0
        : STAGE_SPREAD * stage.minutes,
    ),
  );
  const heatSd = Math.abs(slow.minutes - quick.minutes) / 2;
  const clockVariance = cooked.stages.reduce((sum, stage) => {
    const byHeat = stage.stage.ends.rule === 'fall' || stage.stage.ends.rule === 'simmer';
    return sum + (byHeat ? 0 : (STAGE_SPREAD * stage.minutes) ** 2);
  }, 0);
  const readySdMinutes = Math.sqrt(heatSd ** 2 + clockVariance);
  const readyAtMs = input.serviceAtMs - Math.max(LEAST_SLACK_MIN, SLACK_Z * readySdMinutes) * 60_000;
  const startAtMs = readyAtMs - cooked.minutes * 60_000;

  const { end } = cooked;
  const yieldLitres = potLitres(end);
  const flourEquivalentGPerL = end.mixture.flourEquivalentG / liquidLitres(end);
  const foams = lines.some((line) => !line.perBowl && input.ingredients[line.ingredientId]!.foams);
  const fullestStage = cooked.stages.reduce((a, b) => (b.looseLitresAtStart > a.looseLitresAtStart ? b : a));
  const workingFill = workingFillLitres(input.pot.vessel, foams);
  const costCents = lines.reduce((sum, line) => sum + line.costCents, 0);
  const saltToAdd = 1000 * (load[saltLine(input)?.id ?? ''] ?? 0);
  const saltInPotG = 1000 * (end.mixture.liquid.salt + end.mixture.pieces.salt);
  const garnish = garnishSalt(input, lines);
  const yieldPortions = portions({ litres: yieldLitres, portionMl: input.portionMl });
  const plan: Omit<Plan, 'workings'> = {
    modelVersion: MODEL_VERSION,
    portions: input.portions,
    portionMl: input.portionMl,
    serviceAtMs: input.serviceAtMs,
    startAtMs,
    readyAtMs,
    readySdMinutes,
    lines,
    stages: plannedStages(cooked, stageSd, startAtMs),
    yieldLitres,
    yieldPortions,
    startLitres: litresBeforeSteam(cooked),
    fullest: { litres: fullestStage.looseLitresAtStart, stageId: fullestStage.stage.id },
    brimLitres: litresAtDepth(input.pot.vessel, input.pot.vessel.heightCm),
    workingFillLitres: workingFill,
    foams,
    batches: Math.ceil(fullestStage.looseLitresAtStart / workingFill - 1e-9),
    saltPercent: saltPercent(end.mixture, 'all'),
    saltToAddG: saltToAdd,
    saltBroughtG: saltInPotG - saltToAdd * 0.998,
    saltPercentWithGarnish:
      (100 * (saltInPotG / 1000 + garnish.saltKg)) / (massKg(end.mixture) + garnish.massKg),
    flourEquivalentGPerL,
    band: thicknessBand({ flourEquivalentGPerL }),
    flourG: 1000 * (load[thickenerLine(input)?.id ?? ''] ?? 0),
    evaporatedKg: end.evaporatedKg,
    costCents,
    costPerPortionCents: costCents / input.portions,
    allergens: allergensOf(lines.map((line) => input.ingredients[line.ingredientId]!)),
    boilingC: setup.air.boilingC,
  };
  return { ...plan, workings: workings(input, setup, plan, cooked) };
}

/** The pot, burner and air of a plan, ready for the model. */
export function setupOf(input: Pick<PlanInput, 'pot' | 'burner' | 'kitchen'>): PotSetup {
  return {
    vessel: input.pot.vessel,
    emptyMassKg: input.pot.emptyMassKg,
    burner: input.burner,
    air: kitchenAir(input.kitchen),
  };
}

/** Solves the liquid, the flour and the salt: each round cooks the load through and mends what came out wrong. */
function solveLoad(
  input: PlanInput,
  setup: PotSetup,
  wantedLitres: number,
): { load: Load; cooked: CookedThrough } {
  const factor = wantedLitres / input.recipe.litres;
  const load: Record<string, number> = {};
  for (const line of input.recipe.lines) {
    if (line.scaling !== 'perBowl') load[line.id] = line.kg * factor;
  }
  const liquid = input.recipe.lines.find((line) => line.scaling === 'toYield');
  const thickener = thickenerLine(input);
  const salt = saltLine(input);
  const wantedBody = flourEquivalentOfBand({ band: input.band });
  let cooked = cookThrough(input, setup, load, input.burner.gain.mean);
  let lastStepKg = 0;
  let lastMissing = 0;
  for (let round = 0; round < 12; round++) {
    const missingLitres = wantedLitres - potLitres(cooked.end);
    const bodyMissing = wantedBody * liquidLitres(cooked.end) - cooked.end.mixture.flourEquivalentG;
    const saltMissing = saltMissingG(input, cooked, load[salt?.id ?? ''] ?? 0);
    const done =
      (!liquid || Math.abs(missingLitres) < YIELD_TOLERANCE_L) &&
      (!thickener || Math.abs(bodyMissing) < 0.5 || (bodyMissing < 0 && load[thickener.id] === 0)) &&
      (!salt || Math.abs(saltMissing) < 0.05 || (saltMissing < 0 && load[salt.id] === 0));
    if (done) break;
    if (liquid) {
      const slope = round > 0 && lastStepKg !== 0 ? (lastMissing - missingLitres) / lastStepKg : FIRST_SLOPE;
      lastStepKg = missingLitres / Math.min(1.2, Math.max(0.3, slope));
      lastMissing = missingLitres;
      load[liquid.id] = Math.max(0.01, load[liquid.id]! + lastStepKg);
    }
    if (thickener) {
      const strength = THICKENERS[thickener.thickener ?? 'flour'].strength;
      load[thickener.id] = Math.max(0, load[thickener.id]! + bodyMissing / strength / 1000);
    }
    if (salt) load[salt.id] = Math.max(0, load[salt.id]! + saltMissing / 1000);
    for (const line of input.recipe.lines) {
      if (typeof line.scaling === 'object') load[line.id] = load[line.scaling.sameAs] ?? 0;
    }
    cooked = cookThrough(input, setup, load, input.burner.gain.mean);
  }
  return { load, cooked };
}

function saltMissingG(input: PlanInput, cooked: CookedThrough, loadedKg: number): number {
  const mass = massKg(cooked.end.mixture);
  const now = saltPercent(cooked.end.mixture, 'all');
  if (now <= input.saltPercent) {
    return saltToAddG({ massKg: mass, nowPercent: now, targetPercent: input.saltPercent });
  }
  return -Math.min(loadedKg * 1000, mass * 10 * (now - input.saltPercent));
}

function saltLine(input: PlanInput): RecipeLine | undefined {
  return input.recipe.lines.find((line) => line.scaling === 'toSalt');
}

function thickenerLine(input: PlanInput): RecipeLine | undefined {
  return input.recipe.lines.find((line) => line.scaling === 'toThickness');
}

function plannedLine(input: PlanInput, line: RecipeLine, load: Load, wantedLitres: number): PlannedLine {
  const ingredient = input.ingredients[line.ingredientId]!;
  const perBowl = line.scaling === 'perBowl';
  const edibleKg = perBowl ? line.kg * input.portions : (load[line.id] ?? 0);
  const purchasedKg = edibleKg / ingredient.yield;
  return {
    lineId: line.id,
    ingredientId: line.ingredientId,
    name: ingredient.name,
    ...(line.cut ? { cut: line.cut } : {}),
    stageId: line.stageId,
    tempC: line.tempC,
    edibleKg,
    purchasedKg,
    litres: edibleKg / ingredient.densityKgPerL,
    liquid: ingredient.share === 'liquid' && ingredient.perKg.water > 0.5,
    costCents: purchasedKg * (input.pricesCentsPerKg[line.ingredientId] ?? 0),
    perBowl,
    plainMultipleKg: perBowl ? edibleKg : (line.kg * wantedLitres) / input.recipe.litres,
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

function plannedStages(cooked: CookedThrough, sd: readonly number[], startAtMs: number): PlannedStage[] {
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
    };
  });
}

/** What goes in would come to this many litres if nothing boiled away. */
function litresBeforeSteam(cooked: CookedThrough): number {
  return potLitres(cooked.end) + cooked.end.evaporatedKg;
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
