import { DENSITY_KG_PER_M3 } from './data/component-properties';
import type { Masses } from './masses';
import { waterDensityKgPerL } from './water-density-kg-per-l';

/**
 * Volume of a set of masses at a temperature: each component over its own density.
 *
 * @param masses kg of each component
 * @param tempC 0..150 °C
 * @returns litres
 * @throws RangeError outside 0..150 °C
 * @example volumeLitres({ ...NO_MASSES, water: 10 }, 96) // => 10.404
 * @source published: Kell 1975 for water, Choi and Okos 1986 for the rest; volumes add
 */
export function volumeLitres(masses: Masses, tempC: number): number {
  let litres = masses.water / waterDensityKgPerL({ tempC });
  for (const component of DRY) {
    const kg = masses[component];
    if (kg === 0) continue;
    const [at0, perC] = DENSITY_KG_PER_M3[component];
    litres += (kg / (at0 + perC * tempC)) * 1000;
  }
  return litres;
}

const DRY = ['fat', 'protein', 'sugars', 'starch', 'other', 'salt', 'alcohol'] as const;
