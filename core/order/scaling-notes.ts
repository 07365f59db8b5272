import type { Ingredient } from '../matter';
import { recordOf } from '../own';
import {
  browningLoads,
  browningM2,
  type CookedThrough,
  cookThrough,
  jarFills,
  type Plan,
  type PlanInput,
  type PlannedLine,
  setupOf,
} from '../plan';
import { fullKW } from '../pot';
import { methodById } from '../recipe';
import {
  BROWNING_KG_PER_M2,
  CUTTING_MIN_PER_KG,
  garlicCutOf,
  garlicStrength,
  HOT_FILL,
  isDosed,
  JAR_MIN,
  ROUX_C,
  ROUX_DEPTH_CM,
  ROUX_HEAT_SHARE,
  ROUX_MATTER,
  ROUX_MIN,
} from '../scaling';
import { panBottomM2 } from '../vessel';

import type { DoseNote, ScalingNote } from './scaling-note';

/** Less than this is not worth a word. */
const WORTH_SAYING = 0.05;

/**
 * What does not scale straight in a plan, each by its own law beside the plain multiple.
 *
 * @param input the order
 * @param plan as planned from it
 * @returns notes, the pot's own first
 * @throws RangeError where the recipe at its written size cannot be cooked in this pot
 * @source docs/model.md § 12
 */
export function scalingNotes(input: PlanInput, plan: Plan): ScalingNote[] {
  const factor = (plan.yieldLitres + (plan.letDown?.litres ?? 0)) / input.recipe.litres;
  const written = recordOf(
    input.recipe.lines.filter((line) => line.scaling !== 'perBowl').map((line) => [line.id, line.kg]),
  );
  const small = cookThrough(input, setupOf(input), written, input.burner.heatFactor.mean);
  return [
    ...roundsNotes(plan),
    ...liquidNote(plan),
    ...clockNotes(plan, small, factor),
    ...lineNotes(input, plan, factor),
    ...rouxNotes(input, plan),
    ...sweatNotes(input, plan),
    ...browningNotes(input, plan, factor),
    ...blenderNotes(input, plan),
  ];
}

function roundsNotes(plan: Plan): ScalingNote[] {
  return plan.stages
    .filter((stage) => (stage.rounds ?? 1) > 1)
    .map((stage) => ({
      law: 'rounds',
      what: stage.title,
      loads: stage.rounds!,
    }));
}

function liquidNote(plan: Plan): ScalingNote[] {
  const liquids = plan.lines.filter(
    (line) => line.liquid && !line.perBowl && Math.abs(line.edibleKg / line.plainMultipleKg - 1) > 0.01,
  );
  const here = liquids.reduce((sum, line) => sum + line.litres, 0);
  const plain = liquids.reduce((sum, line) => sum + (line.litres * line.plainMultipleKg) / line.edibleKg, 0);
  if (liquids.length === 0 || Math.abs(here / plain - 1) < 0.01) return [];
  return [
    {
      law: 'liquid',
      names: liquids.map((line) => line.name),
      plainLitres: plain,
      litres: here,
      evaporatedKg: plan.evaporatedKg,
    },
  ];
}

function clockNotes(plan: Plan, small: CookedThrough, factor: number): ScalingNote[] {
  return plan.stages.flatMap((stage): ScalingNote[] => {
    const one = small.stages.find((each) => each.stage.id === stage.stageId);
    const rule = one?.stage.ends.rule;
    if (!one || (rule !== 'fall' && rule !== 'simmer') || one.minutes < 1) return [];
    const times = stage.minutes / one.minutes;
    if (Math.abs(times - 1) < WORTH_SAYING) return [];
    return [
      {
        law: rule === 'fall' ? 'reduction' : 'heatUp',
        what: stage.title,
        plainMin: one.minutes,
        minutes: stage.minutes,
        plainLitres: one.litresAtStart,
        times,
        amounts: factor,
      },
    ];
  });
}

function lineNotes(input: PlanInput, plan: Plan, factor: number): ScalingNote[] {
  const saltLines = plan.lines.filter((line) => ruleOf(input, line) === 'toSalt');
  const notes: ScalingNote[] = saltLines.map((line) => ({
    law: 'salt',
    what: line.name,
    plainKg: line.plainMultipleKg,
    kg: line.edibleKg,
    saltPercent: plan.saltPercent,
    broughtG: plan.saltBroughtG,
  }));
  for (const line of plan.lines) {
    const ingredient = input.ingredients[line.ingredientId]!;
    const rule = ruleOf(input, line);
    const off = line.edibleKg / line.plainMultipleKg - 1;
    if (rule === 'bySurface' && Math.abs(off) > WORTH_SAYING) {
      notes.push({
        law: 'fat',
        what: line.name,
        plainKg: line.plainMultipleKg,
        kg: line.edibleKg,
      });
    } else if (isDosed(rule) && off < -WORTH_SAYING) {
      notes.push(doseNote(line, ingredient, rule, factor));
    } else if (
      rule === 'perBowl' &&
      Math.abs(line.edibleKg / (writtenGarnishKg(input, line) * factor) - 1) > WORTH_SAYING
    ) {
      notes.push({
        law: 'garnish',
        what: line.name,
        plainKg: writtenGarnishKg(input, line) * factor,
        kg: line.edibleKg,
        perBowlKg: line.edibleKg / plan.portions,
      });
    }
  }
  return notes;
}

/** What the recipe as written puts on all its bowls. */
function writtenGarnishKg(input: PlanInput, line: PlannedLine): number {
  const perBowlKg = input.recipe.lines.find((one) => one.id === line.lineId)?.kg ?? 0;
  return (perBowlKg * input.recipe.litres * 1000) / input.recipe.portionMl;
}

function doseNote(line: PlannedLine, ingredient: Ingredient, rule: string, factor: number): DoseNote {
  const dose = {
    what: line.name,
    plainKg: line.plainMultipleKg,
    kg: line.edibleKg,
    keptByKg: line.keptByKg ?? 0,
    startPercent: (100 * line.edibleKg) / line.plainMultipleKg,
    buildsUp: rule === 'startLow',
  };
  if (ingredient.strength !== 'pungent')
    return { law: ingredient.kind === 'spirit' || ingredient.kind === 'wine' ? 'alcohol' : 'taste', ...dose };
  const cut = garlicCutOf(line.cut ?? '');
  const standsMin = (CUTTING_MIN_PER_KG * line.edibleKg) / 2;
  const bites =
    garlicStrength({ cut, standingMin: standsMin }) /
    garlicStrength({ cut, standingMin: standsMin / Math.max(1, factor) });
  return { law: 'garlic', ...dose, cut, standsMin, bites };
}

function rouxNotes(input: PlanInput, plan: Plan): ScalingNote[] {
  const flour = plan.lines.find((line) => {
    const kind = input.recipe.lines.find((one) => one.id === line.lineId)?.thickener;
    return kind !== undefined && kind in ROUX_MIN;
  });
  if (!flour) return [];
  const kind = input.recipe.lines.find((one) => one.id === flour.lineId)!.thickener as keyof typeof ROUX_MIN;
  const fat = plan.lines.filter(
    (line) => line.stageId === flour.stageId && input.ingredients[line.ingredientId]!.kind === 'fat',
  );
  const kg = flour.edibleKg + fat.reduce((sum, line) => sum + line.edibleKg, 0);
  const vegetables = plan.lines.some(
    (line) =>
      line.stageId !== flour.stageId &&
      input.ingredients[line.ingredientId]!.kind === 'vegetable' &&
      before(input, line.stageId, flour.stageId),
  );
  if (vegetables && fat.length === 0) return [];
  const areaM2 = panBottomM2(input.pot.vessel);
  const volumeM3 = kg / ROUX_MATTER.densityKgPerL / 1000;
  const depthCm = (volumeM3 / areaM2) * 100;
  const wantedCm = Math.sqrt((4 * volumeM3) / ((ROUX_DEPTH_CM / 100) * Math.PI)) * 100;
  const warmingMin = (some: number) =>
    (some * ROUX_MATTER.specificHeatKJ * (ROUX_C - ROUX_MATTER.fromC)) /
    (fullKW(setupOf(input)) * ROUX_HEAT_SHARE * 60);
  const heatMin = warmingMin(kg);
  const writtenKg = (flour.plainMultipleKg * 2 * input.recipe.litres) / (plan.yieldLitres || 1);
  const writtenMin = warmingMin(writtenKg) + ROUX_MIN[kind];
  // the stage's own minutes where it goes by the clock: one stage has one length, here and in the plan
  const stage = input.recipe.stages.find((one) => one.id === flour.stageId);
  const planned = plan.stages.find((one) => one.stageId === flour.stageId)?.clockMin;
  const plannedMin = planned ?? heatMin + ROUX_MIN[kind];
  const paperMin = stage?.ends.rule === 'minutes' ? stage.ends.minutes : writtenMin;
  if (plannedMin - paperMin < 1 && depthCm <= ROUX_DEPTH_CM) return [];
  return [
    {
      law: 'roux',
      kg,
      plainKg: writtenKg,
      plainMin: paperMin,
      minutes: plannedMin,
      panCm: Math.max(wantedCm, input.equipment?.fryingPanCm ?? 0),
      heatMin,
      depthCm,
      mostDepthCm: ROUX_DEPTH_CM,
    },
  ];
}

/** A heap of vegetables has first to get hot: the sweat grows with the pan's load. */
function sweatNotes(input: PlanInput, plan: Plan): ScalingNote[] {
  return input.recipe.stages.flatMap((stage): ScalingNote[] => {
    const clockMin = plan.stages.find((one) => one.stageId === stage.id)?.clockMin;
    const isSweat =
      stage.kind === 'start' && stage.ends.rule === 'minutes' && !methodById(stage.methodId ?? '')?.browns;
    if (!isSweat || stage.ends.rule !== 'minutes' || clockMin === undefined) return [];
    if (clockMin < stage.ends.minutes + 2) return [];
    return [
      {
        law: 'sweat',
        what: stage.title,
        plainMin: stage.ends.minutes,
        minutes: clockMin,
      },
    ];
  });
}

function before(input: PlanInput, a: string, b: string): boolean {
  const at = (id: string) => input.recipe.stages.findIndex((stage) => stage.id === id);
  return at(a) < at(b);
}

function browningNotes(input: PlanInput, plan: Plan, factor: number): ScalingNote[] {
  return input.recipe.stages.flatMap((stage): ScalingNote[] => {
    const method = methodById(stage.methodId ?? '');
    if (!method?.browns) return [];
    const here = recordOf(plan.lines.map((line) => [line.lineId, line.edibleKg]));
    const paper = recordOf(input.recipe.lines.map((line) => [line.id, line.kg]));
    const loads = browningLoads(input, stage, here);
    const once = browningLoads(input, stage, paper);
    if (loads === once && factor > 1) return [];
    const kg = BROWNING_KG_PER_M2 * browningM2(input, stage);
    return [
      {
        law: 'browning',
        what: stage.title,
        plainLoads: once,
        loads,
        minutes: plan.stages.find((one) => one.stageId === stage.id)!.minutes,
        kgAtATime: kg,
        where: method.inOven ? null : input.pot.name,
      },
    ];
  });
}

function blenderNotes(input: PlanInput, plan: Plan): ScalingNote[] {
  return input.recipe.stages.flatMap((stage): ScalingNote[] => {
    const planned = plan.stages.find((one) => one.stageId === stage.id);
    if (stage.does?.kind !== 'puree' || !planned || !input.equipment) return [];
    const share = planned.litresAtStart * stage.does.share;
    const { blenderJarLitres, hasStickBlender } = input.equipment;
    const fills = jarFills(input, share);
    return [
      {
        law: 'blender',
        what: stage.title,
        plainMin: stage.ends.rule === 'minutes' ? stage.ends.minutes : null,
        litres: share,
        fills,
        fillLitres: blenderJarLitres * HOT_FILL,
        minutes: Math.ceil(fills * JAR_MIN),
        hasStick: hasStickBlender,
      },
    ];
  });
}

function ruleOf(input: PlanInput, line: PlannedLine): unknown {
  return input.recipe.lines.find((one) => one.id === line.lineId)?.scaling;
}
