import type { Ingredient } from '../matter';
import type { UnitSystem } from '../units';
import { MEASURES, SIZE_SHARE, type WrittenUnit } from './data/measures';
import { isContainer } from './line-parts';
import type { ParseWarning, Reading } from './reading';
import type { SaidAmount } from './said-amount';

/**
 * Grams of so many of a unit of an ingredient.
 *
 * @param count how many, 0 or more
 * @param unit as written; `each` is a plain count
 * @param ingredient whose densities, piece weight and own measures are used
 * @param system which cups, pints and spoons
 * @param size of counted things
 * @returns grams and whether that is edible already (a cup of cut onion is); null where the ingredient has no such
 *   measure; `isGuess` where the measure is a usual one and not the ingredient's own
 */
export function gramsOf(
  count: number,
  unit: WrittenUnit,
  ingredient: Ingredient,
  system: UnitSystem,
  size: keyof typeof SIZE_SHARE = 'medium',
): { grams: number; isEdible: boolean; isGuess: boolean } | null {
  if (unit === 'each') {
    const pieceG = ingredient.pieceG;
    if (pieceG === undefined) return null;
    return { grams: count * pieceG * SIZE_SHARE[size], isEdible: false, isGuess: false };
  }
  const own = ingredient.measures?.[unit];
  if (own !== undefined) return { grams: count * own * SIZE_SHARE[size], isEdible: false, isGuess: false };
  const measure = MEASURES[unit];
  if (measure.grams !== undefined) return { grams: count * measure.grams, isEdible: false, isGuess: false };
  if (measure.mL !== undefined) {
    const mL = typeof measure.mL === 'number' ? measure.mL : measure.mL[system];
    return { grams: count * mL * ingredient.looseKgPerL, isEdible: true, isGuess: false };
  }
  if (WHOLE_PIECES.has(unit) && ingredient.pieceG !== undefined)
    return gramsOf(count, 'each', ingredient, system, size);
  if (measure.usualG)
    return { grams: count * measure.usualG * SIZE_SHARE[size], isEdible: false, isGuess: true };
  return null;
}

/** A head of fennel is one of it. */
const WHOLE_PIECES: ReadonlySet<WrittenUnit> = new Set(['head', 'bulb']);

/** Spoons, cups, litres: a measure that says how much room, not how heavy. */
export const isByVolume = (unit: WrittenUnit): boolean => unit !== 'each' && MEASURES[unit].mL !== undefined;

export interface Weighed {
  grams: number;
  /** of the edible part: a cup of cut onion is */
  isEdible: boolean;
}

/** What a line comes to, g: of its own weights, or by the food's; what is a guess, and what disagrees, is told. */
export function weighLine(of: {
  much: SaidAmount;
  unit: WrittenUnit | null;
  size: Reading['size'];
  ingredient: Ingredient;
  /** after the comma */
  tail: string;
  system: UnitSystem;
}): { weight: Weighed | null; warnings: ParseWarning[] } {
  const { much, unit, ingredient, size, system } = of;
  const { name } = ingredient;
  const warnings: ParseWarning[] = [];
  if (much.isByLength) {
    const grams = gramsOf(1, unit ?? 'each', ingredient, system)?.grams ?? null;
    warnings.push({ kind: 'measure', measure: unit ?? 'piece', name, grams });
  }
  if (!much.amount || !unit) return { weight: null, warnings };
  const middle = (much.amount.low + much.amount.high) / 2;
  const count = much.isHeaped ? middle * HEAPED : middle;
  const { each, total } = much.weights;
  if (each !== null) return { weight: { grams: count * each, isEdible: false }, warnings };
  const own = gramsOf(count, unit, ingredient, system, size ?? 'medium');
  if (!own) {
    // an unknown measure with its weight in brackets: the brackets say it
    if (total !== null) return { weight: { grams: middle * total, isEdible: false }, warnings };
    return { weight: null, warnings: [...warnings, { kind: 'measure', measure: unit, name, grams: null }] };
  }
  if (own.isGuess && unit !== 'pinch' && unit !== 'tin')
    warnings.push({ kind: 'measure', measure: unit, name, grams: own.grams / count });
  const weight = { grams: own.grams, isEdible: own.isEdible };
  if (total !== null && isContainer(unit)) {
    // of one or of all: as near to what such a pack holds; told where there are several
    const one = own.grams / middle;
    const isOfAll = Math.abs(total / middle - one) <= Math.abs(total - one);
    const grams = isOfAll ? total : total * middle;
    const isDrainedWeight = /\bdrained\b/i.test(of.tail) && grams < FULL_FROM * own.grams;
    weight.grams = isDrainedWeight ? grams / ingredient.yield : grams;
    if (middle > 1) warnings.push({ kind: 'ofEach', bracketsG: total, count: middle, grams: weight.grams });
  } else if (total !== null) {
    // the brackets were weighed; what was counted or spooned is told where it is far from them
    if (unit !== 'each' && Math.abs(total - own.grams) > FAR_FROM * total)
      warnings.push({ kind: 'disagree', bracketsG: total, readG: own.grams });
    weight.grams = total;
  }
  if (ingredient.grainVaries && isByVolume(unit))
    warnings.push({ kind: 'grain', measure: unit, name, grams: weight.grams });
  return { weight, warnings };
}

/** A heaped spoon of a level one. Common practice. */
const HEAPED = 1.5;

/** Under this share of what such a tin holds, a weight beside “drained” is of what is left of it. Common practice. */
const FULL_FROM = 0.8;

/** A measure and the weight in brackets beside it disagree beyond this share. */
const FAR_FROM = 0.12;
