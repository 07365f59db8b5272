import { finite } from '../check';
import { DENSITY_KG_PER_M3 } from './data/component-properties';
import type { Masses } from './masses';
import { waterDensityKgPerL } from './water-density-kg-per-l';

/**
 * Volume of a set of masses at a temperature: each component over its own density.
 *
 * @param masses kg of each component
 * @param tempC 0..150 °C
 * @returns litres
 * @throws RangeError outside 0..150 °C, or for masses that are no numbers
 * @example volumeLitres({ ...NO_MASSES, water: 10 }, 96) // => 10.404
 * @source published: Kell 1975 for water, Choi and Okos 1986 for the rest; volumes add
 */
export function volumeLitres(masses: Masses, tempC: number): number {
  const { fat, protein, sugars, starch, other, salt, alcohol } = DENSITY_KG_PER_M3;
  // written out: a running pot asks this at every event
  const litres =
    masses.water / waterDensityKgPerL({ tempC }) +
    dryLitres(masses.fat, fat, tempC) +
    dryLitres(masses.protein, protein, tempC) +
    dryLitres(masses.sugars, sugars, tempC) +
    dryLitres(masses.starch, starch, tempC) +
    dryLitres(masses.other, other, tempC) +
    dryLitres(masses.salt, salt, tempC) +
    dryLitres(masses.alcohol, alcohol, tempC);
  // the sum is no number where a mass was none
  return finite('masses', litres);
}

function dryLitres(kg: number, density: readonly [number, number], tempC: number): number {
  return (kg / (density[0] + density[1] * tempC)) * 1000;
}
