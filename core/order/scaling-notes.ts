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
  JAR_MIN,
  ROUX_C,
  ROUX_DEPTH_CM,
  ROUX_HEAT_SHARE,
  ROUX_MATTER,
  ROUX_MIN,
} from '../scaling';
import { panBottomM2 } from '../vessel';

/** One thing that does not follow the plain multiple: what that would say, what is so here, and by which law. */
export interface ScalingNote {
  law:
    | 'rounds'
    | 'sweat'
    | 'liquid'
    | 'reduction'
    | 'heatUp'
    | 'fat'
    | 'roux'
    | 'browning'
    | 'blender'
    | 'garlic'
    | 'taste'
    | 'salt'
    | 'garnish'
    | 'alcohol';
  what: string;
  /** what a plain multiple would say */
  plain: string;
  here: string;
  why: string;
  source: string;
}

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
      plain: 'all in at once',
      here: `in ${stage.rounds} loads`,
      why: 'Raw it lies loose and would not go in at once; each load goes in as the one before has collapsed.',
      source: 'loose densities, common practice',
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
      what: liquids.map((line) => line.name).join(' and '),
      plain: litres(plain),
      here: litres(here),
      why: `What boils away follows the pot’s surface and burner, not the volume: ${plan.evaporatedKg.toFixed(1)} kg leave here.`,
      source: 'surface law and heat balance, docs/model.md § 5',
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
        plain: `${one.minutes.toFixed(0)} min, as for ${litres(one.litresAtStart)}`,
        here: `${stage.minutes.toFixed(0)} min, ${times.toFixed(1)} times`,
        why:
          rule === 'fall'
            ? factor > 1
              ? `${factor.toFixed(1)} times as much stands deeper over the same surface and burner, and takes about as many times longer to fall.`
              : `${factor.toFixed(1)} times as much stands lower over the same surface and burner, and is down the sooner.`
            : factor > 1
              ? 'The same burner has that much more to heat.'
              : 'The same burner has that much less to heat.',
        source: 'heat balance, docs/model.md § 4 and § 5',
      },
    ];
  });
}

function lineNotes(input: PlanInput, plan: Plan, factor: number): ScalingNote[] {
  const saltLines = plan.lines.filter((line) => ruleOf(input, line) === 'toSalt');
  const notes: ScalingNote[] = saltLines.map((line) => ({
    law: 'salt',
    what: line.name,
    plain: grams(line.plainMultipleKg),
    here: grams(line.edibleKg),
    why: `To ${plan.saltPercent.toFixed(2)} % at the end, after what the rest of the pot brings (${plan.saltBroughtG.toFixed(0)} g).`,
    source: 'salt ledger, docs/model.md § 6',
  }));
  for (const line of plan.lines) {
    const ingredient = input.ingredients[line.ingredientId]!;
    const rule = ruleOf(input, line);
    const off = line.edibleKg / line.plainMultipleKg - 1;
    if (rule === 'bySurface' && Math.abs(off) > WORTH_SAYING) {
      notes.push({
        law: 'fat',
        what: line.name,
        plain: grams(line.plainMultipleKg),
        here: grams(line.edibleKg),
        why: 'Fat for sweating covers the pan’s bottom; the pan does not grow with the litres.',
        source: 'common practice',
      });
    } else if ((rule === 'byTaste' || rule === 'startLow') && off < -WORTH_SAYING) {
      notes.push(doseNote(line, ingredient, rule, factor));
    } else if (
      rule === 'perBowl' &&
      Math.abs(line.edibleKg / (writtenGarnishKg(input, line) * factor) - 1) > WORTH_SAYING
    ) {
      notes.push({
        law: 'garnish',
        what: line.name,
        plain: grams(writtenGarnishKg(input, line) * factor),
        here: `${grams(line.edibleKg / plan.portions)} a bowl, ${grams(line.edibleKg)}`,
        why: 'By the bowl, whatever the bowl holds.',
        source: 'common practice',
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

function doseNote(line: PlannedLine, ingredient: Ingredient, rule: string, factor: number): ScalingNote {
  const isGarlic = ingredient.strength === 'pungent';
  const cut = garlicCutOf(line.cut ?? '');
  const standsMin = (CUTTING_MIN_PER_KG * line.edibleKg) / 2;
  const bite =
    garlicStrength({ cut, standingMin: standsMin }) /
    garlicStrength({ cut, standingMin: (CUTTING_MIN_PER_KG * line.edibleKg) / 2 / Math.max(1, factor) });
  return {
    law: isGarlic
      ? 'garlic'
      : ingredient.kind === 'spirit' || ingredient.kind === 'wine'
        ? 'alcohol'
        : 'taste',
    what: line.name,
    plain: grams(line.plainMultipleKg),
    here: `${grams(line.edibleKg)} first; ${grams(line.keptByKg ?? 0)} kept by`,
    why: isGarlic
      ? `Cut for so many it stands ${standsMin.toFixed(0)} min on average and bites ${bite.toFixed(2)} times as hard, ${cut}; then taste.`
      : rule === 'startLow'
        ? `Heat and spirit start at ${startShare(line)} % of the multiple: they build up, and cannot be taken out.`
        : `Strong herbs and spices start at ${startShare(line)} % of the multiple; the rest after tasting.`,
    source: 'common practice; exponents from memory',
  };
}

/** What goes in at first of the plain multiple, percent. */
function startShare(line: PlannedLine): number {
  return Math.round((100 * line.edibleKg) / line.plainMultipleKg);
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
      what: `Roux, ${grams(kg)}`,
      plain: `${paperMin.toFixed(0)} min, as for ${grams(writtenKg)}`,
      here: `${plannedMin.toFixed(0)} min in a pan of ${Math.max(wantedCm, input.equipment?.fryingPanCm ?? 0).toFixed(0)} cm or wider`,
      why: `More takes longer to get hot (${heatMin.toFixed(0)} min at a low flame) and lies ${depthCm.toFixed(1)} cm deep in this pot; over ${ROUX_DEPTH_CM} cm it cooks unevenly.`,
      source: 'heat balance; minutes to the stage common practice',
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
        plain: `${stage.ends.minutes} min`,
        here: `${clockMin.toFixed(0)} min`,
        why: 'So much more has first to get hot on the same burner before it gives up its water.',
        source: 'heat balance, docs/model.md § 4',
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
    const where = method.inOven ? 'on the trays' : `on the bottom of the ${input.pot.name}`;
    return [
      {
        law: 'browning',
        what: stage.title,
        plain: loadsWord(once),
        here: `${loadsWord(loads)}, ${plan.stages.find((one) => one.stageId === stage.id)!.minutes.toFixed(0)} min`,
        why: `One layer with gaps: ${kg.toFixed(1)} kg at a time ${where}. Crowded it stews.`,
        source: 'common practice',
      },
    ];
  });
}

function loadsWord(loads: number): string {
  return loads === 1 ? 'one load' : `${loads} loads`;
}

function blenderNotes(input: PlanInput, plan: Plan): ScalingNote[] {
  return input.recipe.stages.flatMap((stage): ScalingNote[] => {
    const planned = plan.stages.find((one) => one.stageId === stage.id);
    if (stage.does?.kind !== 'puree' || !planned || !input.equipment) return [];
    const share = planned.litresAtStart * stage.does.share;
    const { blenderJarLitres, hasStickBlender } = input.equipment;
    const fills = jarFills(input, share);
    const stick = hasStickBlender ? 'the stick blender in the pot' : '';
    const jar =
      fills > 0
        ? `${fills} fills of ${(blenderJarLitres * HOT_FILL).toFixed(1)} L, ${Math.ceil(fills * JAR_MIN)} min`
        : '';
    return [
      {
        law: 'blender',
        what: stage.title,
        plain: stage.ends.rule === 'minutes' ? `${stage.ends.minutes} min` : '',
        here: [jar, stick].filter((one) => one !== '').join(', or ') || 'no blender in this kitchen',
        why: `${litres(share)} to purée; a hot jar is filled at most a third to a half, lid vented: steam blows it off.`,
        source: 'common practice',
      },
    ];
  });
}

function ruleOf(input: PlanInput, line: PlannedLine): unknown {
  return input.recipe.lines.find((one) => one.id === line.lineId)?.scaling;
}

function grams(kg: number): string {
  const g = kg * 1000;
  return g >= 1000 ? `${kg.toFixed(2)} kg` : `${g < 10 ? g.toFixed(1) : g.toFixed(0)} g`;
}

function litres(value: number): string {
  return `${value.toFixed(1)} L`;
}
