import { positive, within } from '../check';
import { SATURATED_SALT_PERCENT } from '../salt';
import { workingFillLitres } from '../vessel';

import type { Plan, PlanInput } from './plan';
import { hasWhatFoams, planOne, servedLitres } from './plan-one';
import { timesLine } from './times-line';
import type { FigureName } from './working';

/** Between one batch and the next the pot is emptied, washed and set up again, minutes. Common practice. */
export const TURNAROUND_MIN = 15;

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
  const fill = workingFillLitres(input.pot.vessel, hasWhatFoams(input));
  // however it is cooked, what is served has been in the pot
  let batches = Math.max(
    1,
    Math.ceil((servedLitres(input) * (1 - (input.holdBackShare ?? 0))) / fill - 1e-9),
  );
  for (let trial = 0; trial < MOST_TRIALS && batches <= MOST_BATCHES; trial++) {
    const share = Number.isInteger(input.portions)
      ? Math.ceil(input.portions / batches)
      : input.portions / batches;
    const plan = planOne({ ...input, portions: share });
    if (plan.fullest.litres <= fill * (1 + 1e-9)) return inRuns(input, plan, batches);
    batches = Math.max(batches + 1, Math.ceil((batches * plan.fullest.litres) / fill - 1e-9));
  }
  throw new RangeError(`portions must be what this pot holds in batches, got ${input.portions}`);
}

/** The next guess follows how much too full the last was: so many are plenty where fewer in the pot fill it less. */
const MOST_TRIALS = 12;

/** More fillings of a pot than this are another pot’s order. */
const MOST_BATCHES = 1000;

/** An order of one batch, or of several one after the other: what it takes in all, and when each is on. */
function inRuns(input: PlanInput, one: Plan, batches: number): Plan {
  if (batches === 1) return one;
  const times = input.portions / one.portions;
  const eachMs = one.readyAtMs - one.startAtMs + TURNAROUND_MIN * 60_000;
  const runs = Array.from({ length: batches }, (_, i) => ({
    portions: Number.isInteger(input.portions) ? Math.ceil((input.portions - i) / batches) : one.portions,
    startAtMs: one.startAtMs - (batches - 1 - i) * eachMs,
    readyAtMs: one.readyAtMs - (batches - 1 - i) * eachMs,
  }));
  const earlierMs = (batches - 1) * eachMs;
  return {
    ...one,
    portions: input.portions,
    batches,
    runs,
    startAtMs: one.startAtMs - earlierMs,
    lines: one.lines.map((line) => timesLine(line, times)),
    stages: one.stages.map((stage) => ({ ...stage, startMs: stage.startMs - earlierMs })),
    yieldLitres: one.yieldLitres * times,
    yieldPortions: one.yieldPortions * times,
    startLitres: one.startLitres * times,
    saltToAddG: one.saltToAddG * times,
    saltBroughtG: one.saltBroughtG * times,
    flourG: one.flourG * times,
    evaporatedKg: one.evaporatedKg * times,
    costCents: one.costCents * times,
    ...(one.letDown
      ? { letDown: { ...one.letDown, litres: one.letDown.litres * times, kg: one.letDown.kg * times } }
      : {}),
    workings: oneOfMany(one, batches),
  };
}

/** The arithmetic is that of one batch, and says so. */
function oneOfMany({ workings, portions }: Plan, batches: number): Plan['workings'] {
  const first = { code: 'oneBatch' as const, batches, portions };
  const told: Plan['workings'] = { ...workings };
  for (const name of Object.keys(workings) as FigureName[])
    told[name] = { ...workings[name], lines: [first, ...workings[name].lines] };
  return told;
}
