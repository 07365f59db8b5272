import { massesOf, massKg, rowOfLine, volumeLitres } from '../matter';
import { recordOf } from '../own';
import { bodyOfPot, foodLitres, liquidLitres, type PotSetup } from '../pot';
import type { RecipeLine } from '../recipe';
import { CUTTING_MIN_PER_KG, firstDose, garlicCutOf, garlicStrength, sweatingFatKg } from '../scaling';
import { bodyG, flourEquivalentOfBand } from '../thickness';
import { panBottomM2 } from '../vessel';

import { CannotCook } from './cannot-cook';
import { type CookedThrough, cookThrough, type Load } from './cook-through';
import type { PlanInput } from './plan';
import { solveSystem } from './solve-system';

/** What is held back is kept this hot, °C. Common practice. */
export const HELD_AT_C = 90;

/** What goes in the pot, what is kept out of it, and how it cooks. */
export interface SolvedLoad {
  load: Load;
  cooked: CookedThrough;
  /** kg of the liquid kept hot beside the pot and ladled in at service */
  heldKg: number;
  heldLitres: number;
  heldLine: RecipeLine | null;
  /** the band could not be had beside the bowls and the salt, and was let go */
  bandLetGo: boolean;
}

/** The least of a solved liquid, kg: a pot is never asked for none. */
const LEAST_KG = 0.001;

/** A solution off by more than this share, stopped by what cannot be cooked, is none. */
const GOOD_ENOUGH = 0.002;

/** Where the thickener pushes the liquid out of its own soup, so much of the written liquid stays. Common practice. */
const LEAST_OF_THE_LIQUID = 0.5;

/**
 * Solves the liquid, the flour and the salt, so that the litres, the thickness and the salt of the bowl come out as
 * ordered: a system of three equations, each trial of which cooks the load through. Lines of one law keep their
 * proportion to each other. What is held back for the bowls counts for litres, body and salt there. Where more
 * thickener would leave no room for the liquid, the bowls and the salt are kept and the thickness gives way.
 *
 * @returns the nearest there is; whether that is what was ordered, `unmetWishes` says
 * @throws CannotCook where no amount of the liquid cooks through
 */
export function solveLoad(input: PlanInput, setup: PotSetup, wantedLitres: number): SolvedLoad {
  const system = systemOf(input, setup, wantedLitres);
  const { plain, solvedLines } = system;
  const all = solveSystem({ ...system, free: solvedLines.map((lines) => lines.length > 0) });
  const [liquidKg, thickenerKg] = all.x as [number, number, number];
  const leastLiquidKg = LEAST_OF_THE_LIQUID * plain[0]!;
  const [litres, body] = system.residuals(all.x) as [number, number, number];
  const isShort = litres < -GOOD_ENOUGH || body < -GOOD_ENOUGH;
  const hasThickener = solvedLines[1]!.length > 0;
  const isPushedOut = hasThickener && liquidKg < leastLiquidKg && (thickenerKg > plain[1]! || isShort);
  const found = (isPushedOut ? withoutTheBand(system, leastLiquidKg) : null) ?? all;
  if (found.residual > GOOD_ENOUGH && found.trouble) throw found.trouble;
  const { held, heldLine } = system;
  return {
    ...system.at(found.x),
    heldKg: held.kg,
    heldLitres: held.litres,
    heldLine,
    bandLetGo: found !== all,
  };
}

/** The liquid as little as may be, the thickener whatever makes up the litres; null where that cannot be cooked. */
function withoutTheBand(system: LoadSystem, leastLiquidKg: number) {
  const residuals = (x: readonly number[]) => {
    const [litres, , salt] = system.residuals(x);
    return [0, litres!, salt!];
  };
  const free = system.solvedLines.map((lines, i) => i > 0 && lines.length > 0);
  const litresPerKg = system.jacobian()[0]![1]!;
  const jacobian = () => [[1, 0, 0], [0, litresPerKg, 0], system.jacobian()[2]!];
  const start = [leastLiquidKg, system.plain[1]!, system.plain[2]!];
  try {
    return solveSystem({ start, least: system.least, free, residuals, jacobian });
  } catch (error) {
    if (error instanceof CannotCook) return null;
    throw error;
  }
}

/** The three unknowns, kg of liquid, thickener and salt, and what each is solved for. */
interface LoadSystem {
  solvedLines: RecipeLine[][];
  held: { litres: number; kg: number; saltKg: number };
  heldLine: RecipeLine | null;
  /** what a plain multiple of the recipe has of each, kg */
  plain: number[];
  start: number[];
  least: number[];
  at(x: readonly number[]): { load: Load; cooked: CookedThrough };
  /** what is too much (above 0) or missing of litres, body and salt, as shares of what is wanted */
  residuals(x: readonly number[]): number[];
  /** how they follow the unknowns, by what the foods are: the first guess, which the trials correct */
  jacobian(): number[][];
}

function systemOf(input: PlanInput, setup: PotSetup, wantedLitres: number): LoadSystem {
  const { recipe } = input;
  const factor = wantedLitres / recipe.litres;
  const straight = recordOf<number>();
  for (const line of recipe.lines) {
    if (line.scaling !== 'perBowl') straight[line.id] = scaledKg(input, line, factor);
  }
  const solvedLines = (['toYield', 'toThickness', 'toSalt'] as const).map((law) => byLaw(recipe.lines, law));
  const [liquids, thickeners] = solvedLines as [RecipeLine[], RecipeLine[], RecipeLine[]];
  const heldLine = input.holdBackShare ? (liquids[0] ?? null) : null;
  const held = heldOf(input, heldLine, wantedLitres * (input.holdBackShare ?? 0));
  const plain = solvedLines.map((lines) => total(straight, lines));
  const wantedBodyGPerL = flourEquivalentOfBand({ band: input.band });
  const wantedSalt = input.saltPercent / 100;

  let last: { key: string; trial: { load: Load; cooked: CookedThrough } } | null = null;
  const at = (x: readonly number[]) => {
    const key = x.join();
    if (last?.key === key) return last.trial;
    const load = recordOf(Object.entries(straight));
    solvedLines.forEach((lines, i) => {
      spread(load, lines, x[i]!);
    });
    followLines(recipe.lines, load);
    const trial = { load, cooked: cookThrough(input, setup, load, input.burner.heatFactor.mean) };
    last = { key, trial };
    return trial;
  };
  // what body and salt are measured against: a thin soup's body and an unsalted one's salt must not divide by nothing
  const bodyScaleG = Math.max(wantedBodyGPerL, LEAST_BODY_G_PER_L) * wantedLitres;
  const saltScaleKg = Math.max(wantedSalt, LEAST_SALT) * wantedLitres;
  const residuals = (x: readonly number[]) => {
    const { end } = at(x).cooked;
    const { liquid, pieces } = end.mixture;
    const litres = foodLitres(end) + held.litres - wantedLitres;
    const body = bodyOfPot(end) - wantedBodyGPerL * (liquidLitres(end) + held.litres);
    const salt = liquid.salt + pieces.salt + held.saltKg - wantedSalt * (massKg(end.mixture) + held.kg);
    return [litres / wantedLitres, body / bodyScaleG, salt / saltScaleKg];
  };
  const jacobian = () => {
    const liquid = perKgOf(input, recipe.lines, liquids);
    const thickener = perKgOf(input, recipe.lines, thickeners);
    const row = (scale: number, ...values: number[]) => values.map((value) => value / scale);
    return [
      row(wantedLitres, liquid.litres * STEAMED_SLOPE, thickener.litres, 0.4),
      row(
        bodyScaleG,
        -wantedBodyGPerL * liquid.litres,
        thickener.bodyG - wantedBodyGPerL * thickener.litres,
        0,
      ),
      row(
        saltScaleKg,
        liquid.saltKg - wantedSalt,
        thickener.saltKg - wantedSalt * thickener.kg,
        1 - wantedSalt,
      ),
    ];
  };
  const least = [LEAST_KG, 0, 0];
  return { solvedLines, held, heldLine, plain, start: plain, least, at, residuals, jacobian };
}

/** Of a kilogram more of the liquid, so much is there at the end, before the solver has seen it: a little boils away. */
const STEAMED_SLOPE = 0.95;

const LEAST_BODY_G_PER_L = 5;
const LEAST_SALT = 0.002;

/** What a kilogram of some lines brings, in their written proportion, with the lines that follow them. */
function perKgOf(input: PlanInput, lines: readonly RecipeLine[], of: readonly RecipeLine[]) {
  const load = recordOf<number>();
  spread(load, of, 1);
  followLines(lines, load);
  const sum = { kg: 0, litres: 0, bodyG: 0, saltKg: 0 };
  for (const line of lines) {
    const kg = load[line.id] ?? 0;
    const ingredient = rowOfLine(line, input.ingredients);
    sum.kg += kg;
    sum.litres += kg > 0 ? volumeLitres(massesOf(ingredient, kg), HELD_AT_C) : 0;
    sum.bodyG += bodyG(ingredient, kg, line.thickener);
    sum.saltKg += kg * ingredient.perKg.salt;
  }
  return sum;
}

/** Lines that are as much as another, or some times it. */
function followLines(lines: readonly RecipeLine[], load: Record<string, number>): void {
  for (const line of lines) {
    if (typeof line.scaling !== 'object') continue;
    const kg = load[line.scaling.sameAs];
    if (kg !== undefined) load[line.id] = kg * (line.scaling.times ?? 1);
  }
}

/** A line's kg by its own law, before anything is solved. */
function scaledKg(input: PlanInput, line: RecipeLine, factor: number): number {
  const { recipe, pot } = input;
  switch (line.scaling) {
    case 'bySurface':
      return sweatingFatKg({
        kg: line.kg,
        writtenLitres: recipe.litres,
        areaM2: panBottomM2(pot.vessel),
        factor,
      });
    case 'byTaste':
    case 'startLow':
    case 'bySpoon':
      return line.kg * factor * firstDose({ factor, law: line.scaling }) * garlicShare(input, line, factor);
    default:
      return line.kg * factor;
  }
}

/** Garlic cut for a large batch stands longer before it goes in, and bites the more for it. */
function garlicShare(input: PlanInput, line: RecipeLine, factor: number): number {
  if (input.ingredients[line.ingredientId]?.strength !== 'pungent') return 1;
  const cut = garlicCutOf(line.cut ?? '');
  const stands = (kg: number) => garlicStrength({ cut, standingMin: (CUTTING_MIN_PER_KG * kg) / 2 });
  return stands(line.kg) / stands(line.kg * factor);
}

function byLaw(lines: readonly RecipeLine[], law: RecipeLine['scaling']): RecipeLine[] {
  return lines.filter((line) => line.scaling === law);
}

function total(load: Load, lines: readonly RecipeLine[]): number {
  return lines.reduce((sum, line) => sum + (load[line.id] ?? 0), 0);
}

/** Gives lines a new total in their written proportion. */
function spread(load: Record<string, number>, lines: readonly RecipeLine[], kg: number): void {
  const written = lines.reduce((sum, line) => sum + line.kg, 0);
  for (const line of lines) load[line.id] = written > 0 ? (kg * line.kg) / written : kg / lines.length;
}

function heldOf(input: PlanInput, line: RecipeLine | null, litres: number) {
  if (!line || litres === 0) return { litres: 0, kg: 0, saltKg: 0 };
  const ingredient = input.ingredients[line.ingredientId]!;
  const kg = litres / volumeLitres(massesOf(ingredient, 1), HELD_AT_C);
  return { litres, kg, saltKg: kg * ingredient.perKg.salt };
}
