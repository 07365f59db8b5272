import { specificHeatKJ } from '../matter';
import { fullKW, type PotSetup } from '../pot';
import { methodById, type Stage } from '../recipe';
import {
  BONES_KG_PER_M2,
  BROWNING_KG_PER_M2,
  BROWNING_MIN,
  HOT_FILL,
  JAR_MIN,
  STICK_BLENDER,
} from '../scaling';
import { panBottomM2 } from '../vessel';
import type { PlanInput } from './plan';

/** From the walk-in to where it gives up its water, K. Common practice. */
const WARMED_K = 75;

/** A stage's load: what lies in the pot or goes in at it. */
export interface StageLoad {
  /** kg of each line that goes in at this stage */
  kgByLine: Readonly<Record<string, number>>;
  /** litres in the pot with it */
  litres: number;
  /** fried or sweated, not boiled */
  isFrying: boolean;
}

/**
 * Minutes of a stage that a clock on paper gives for the written size, for the size it is cooked at: meat browns in as
 * many loads as the pan takes, a jar is filled as often as it must be, and a roux has first to get hot on the burner
 * there is. (What pieces take to give up their water the pot itself tells.)
 *
 * @param of the order, its pot, the stage with a school of its own and what is in it
 * @returns minutes; those written where nothing grows with the load
 * @source common practice (loads, fills); heat balance without losses (getting hot)
 */
export function handsMinutes(of: {
  input: PlanInput;
  setup: PotSetup;
  stage: Stage;
  load: StageLoad;
}): number {
  const { input, setup, stage, load } = of;
  if (stage.ends.rule !== 'minutes') throw new RangeError(`stage must go by minutes, got ${stage.ends.rule}`);
  const written = stage.ends.minutes;
  const method = methodById(stage.methodId ?? '');
  if (method?.browns) {
    const eachMin = method.inOven ? BROWNING_MIN.oven : BROWNING_MIN.pan;
    return Math.max(written, browningLoads(input, stage, load.kgByLine) * eachMin);
  }
  if (stage.does?.kind === 'puree')
    return Math.max(written, pureeMinutes(input, load.litres * stage.does.share));
  if (load.isFrying) {
    return written + Math.max(0, warmingMinutes(input, setup, stage, load.kgByLine));
  }
  return written;
}

/** Loads of meat that the pan's bottom, or the oven's trays, take one after the other; at least one. */
export function browningLoads(
  input: PlanInput,
  stage: Stage,
  kgByLine: Readonly<Record<string, number>>,
): number {
  const neededM2 = input.recipe.lines
    .filter((line) => line.stageId === stage.id)
    .reduce((sum, line) => {
      const { kind, out } = input.ingredients[line.ingredientId]!;
      if (kind !== 'meat' && kind !== 'poultry') return sum;
      const kgPerM2 = out === 'bones' ? BONES_KG_PER_M2 : BROWNING_KG_PER_M2;
      return sum + (kgByLine[line.id] ?? 0) / kgPerM2;
    }, 0);
  return Math.max(1, Math.ceil(neededM2 / browningM2(input, stage) - 1e-9));
}

/** Where it browns, m²: the pot's own bottom, or the trays that go in the oven at once. */
export function browningM2(input: PlanInput, stage: Stage): number {
  const { equipment } = input;
  if (methodById(stage.methodId ?? '')?.inOven && equipment && equipment.ovenTrays > 0)
    return equipment.ovenTrays * equipment.trayAreaM2;
  return panBottomM2(input.pot.vessel);
}

/** Fills of the jar for some litres, hot; 0 where there is none. */
export function jarFills(input: PlanInput, litres: number): number {
  const jar = input.equipment?.blenderJarLitres ?? 0;
  return jar > 0 ? Math.ceil(litres / (jar * HOT_FILL) - 1e-9) : 0;
}

function pureeMinutes(input: PlanInput, litres: number): number {
  const { equipment } = input;
  if (!equipment) return 0;
  const fills = jarFills(input, litres);
  const byJar = fills > 0 ? fills * JAR_MIN : Number.POSITIVE_INFINITY;
  const byStick = equipment.hasStickBlender
    ? STICK_BLENDER.setUpMin + litres * STICK_BLENDER.minPerLitre
    : Number.POSITIVE_INFINITY;
  const minutes = Math.min(byJar, byStick);
  return Number.isFinite(minutes) ? minutes : 0;
}

/** Minutes more than at the written size for what is no piece, fat and flour, to get hot at this stage's heat. */
function warmingMinutes(
  input: PlanInput,
  setup: PotSetup,
  stage: Stage,
  kgByLine: Readonly<Record<string, number>>,
): number {
  const fraction = stage.heat.kind === 'burner' ? stage.heat.fraction : 0;
  const lines = input.recipe.lines.filter((line) => line.stageId === stage.id && line.scaling !== 'perBowl');
  const moreKJ = lines.reduce((sum, line) => {
    const { perKg, share } = input.ingredients[line.ingredientId]!;
    if (share === 'pieces') return sum;
    return sum + ((kgByLine[line.id] ?? 0) - line.kg) * specificHeatKJ(perKg) * WARMED_K;
  }, 0);
  return moreKJ / (fullKW(setup) * input.burner.heatFactor.mean * fraction * 60);
}
