import { massesOf, massKg, volumeLitres } from '../matter';
import { recordOf } from '../own';
import { liquidLitres, type PotSetup, potLitres } from '../pot';
import type { RecipeLine } from '../recipe';
import { CUTTING_MIN_PER_KG, firstDose, garlicCutOf, garlicStrength, sweatingFatKg } from '../scaling';
import { flourEquivalentOfBand, THICKENERS } from '../thickness';
import { panBottomM2 } from '../vessel';

import { type CookedThrough, cookThrough, type Load } from './cook-through';
import type { PlanInput } from './plan';

/** Litres that a kilogram more of the liquid leaves at the end, before the solver has seen it: a little boils away. */
const FIRST_SLOPE = 0.9;

/** The solved lines are right when yield is within this many litres. */
const YIELD_TOLERANCE_L = 0.002;

const MOST_ROUNDS = 16;

/** What is held back is kept this hot, °C. Common practice. */
export const HELD_AT_C = 90;

/** What goes in the pot, what is kept out of it, and how it cooks. */
export interface SolvedLoad {
  load: Load;
  cooked: CookedThrough;
  /** kg of the liquid kept hot beside the pot and ladled in at service */
  heldKg: number;
  heldLine: RecipeLine | null;
}

/**
 * Solves the liquid, the flour and the salt: each round cooks the load through and mends what came out wrong. Lines of
 * one law keep their proportion to each other. What is held back for the bowls counts for litres, body and salt there.
 */
export function solveLoad(input: PlanInput, setup: PotSetup, wantedLitres: number): SolvedLoad {
  const { recipe } = input;
  const factor = wantedLitres / recipe.litres;
  const load = recordOf<number>();
  for (const line of recipe.lines) {
    if (line.scaling !== 'perBowl') load[line.id] = scaledKg(input, line, factor);
  }
  const liquids = byLaw(recipe.lines, 'toYield');
  const thickeners = byLaw(recipe.lines, 'toThickness');
  const salts = byLaw(recipe.lines, 'toSalt');
  const heldLine = input.holdBackShare ? (liquids[0] ?? null) : null;
  const held = heldOf(input, heldLine, wantedLitres * (input.holdBackShare ?? 0));
  const wantedBody = flourEquivalentOfBand({ band: input.band });
  let cooked = cookThrough(input, setup, load, input.burner.heatFactor.mean);
  let lastStepKg = 0;
  let lastMissing = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const missingLitres = wantedLitres - held.litres - potLitres(cooked.end);
    const bodyMissing =
      wantedBody * (liquidLitres(cooked.end) + held.litres) - cooked.end.mixture.flourEquivalentG;
    const saltMissing = saltMissingG(input, cooked, held, total(load, salts));
    const done =
      (liquids.length === 0 ||
        Math.abs(missingLitres) < YIELD_TOLERANCE_L ||
        isEmpty(load, liquids, missingLitres)) &&
      (thickeners.length === 0 || Math.abs(bodyMissing) < 0.5 || isEmpty(load, thickeners, bodyMissing)) &&
      (salts.length === 0 || Math.abs(saltMissing) < 0.05 || isEmpty(load, salts, saltMissing));
    if (done) break;
    if (liquids.length > 0) {
      const slope = round > 0 && lastStepKg !== 0 ? (lastMissing - missingLitres) / lastStepKg : FIRST_SLOPE;
      const wanted = missingLitres / Math.min(1.2, Math.max(0.3, slope));
      const before = total(load, liquids);
      spread(load, liquids, Math.max(LEAST_KG, before + wanted));
      lastStepKg = total(load, liquids) - before;
      lastMissing = missingLitres;
    }
    if (thickeners.length > 0) {
      const strength = THICKENERS[thickeners[0]!.thickener ?? 'flour'].strength;
      spread(load, thickeners, Math.max(0, total(load, thickeners) + bodyMissing / strength / 1000));
    }
    if (salts.length > 0) spread(load, salts, Math.max(0, total(load, salts) + saltMissing / 1000));
    for (const line of recipe.lines) {
      if (typeof line.scaling === 'object') load[line.id] = load[line.scaling.sameAs] ?? 0;
    }
    cooked = cookThrough(input, setup, load, input.burner.heatFactor.mean);
  }
  return { load, cooked, heldKg: held.kg, heldLine };
}

/** The least of a solved liquid, kg: a pot is never asked for none. */
const LEAST_KG = 0.01;

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

function isEmpty(load: Load, lines: readonly RecipeLine[], missing: number): boolean {
  return missing < 0 && total(load, lines) <= LEAST_KG;
}

function heldOf(input: PlanInput, line: RecipeLine | null, litres: number) {
  if (!line || litres === 0) return { litres: 0, kg: 0, saltKg: 0 };
  const ingredient = input.ingredients[line.ingredientId]!;
  const kg = litres / volumeLitres(massesOf(ingredient, 1), HELD_AT_C);
  return { litres, kg, saltKg: kg * ingredient.perKg.salt };
}

/** Grams of salt to put in more (or less) so that the bowl, with what is held back for it, has its percent. */
function saltMissingG(
  input: PlanInput,
  cooked: CookedThrough,
  held: { kg: number; saltKg: number },
  loadedKg: number,
): number {
  const mass = massKg(cooked.end.mixture) + held.kg;
  const { liquid, pieces } = cooked.end.mixture;
  const saltKg = liquid.salt + pieces.salt + held.saltKg;
  const wanted = input.saltPercent / 100;
  const missingKg = (wanted * mass - saltKg) / (1 - wanted);
  return missingKg >= 0 ? missingKg * 1000 : -Math.min(loadedKg, saltKg - wanted * mass) * 1000;
}
