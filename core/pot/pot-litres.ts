import { massKg, volumeLitres, waterDensityKgPerL, whole } from '../matter';

import type { PotState } from './pot';

/** Litres in the pot, liquid and pieces, at its temperature. */
export function potLitres(pot: PotState): number {
  return volumeLitres(whole(pot.mixture), pot.tempC);
}

/** Litres of liquid without pieces, at 20 °C: what thickness goes by. */
export function liquidLitres(pot: PotState): number {
  return volumeLitres(pot.mixture.liquid, 20);
}

/** Kilograms the pot will hold when its level has fallen to some litres by steam alone. */
export function massAtLitres(pot: PotState, litres: number): number {
  return massKg(pot.mixture) - (potLitres(pot) - litres) * waterDensityKgPerL({ tempC: pot.tempC });
}

/** Litres when steam has taken the pot down to a mass, kg: a kilogram of hot water is about 1.04 L. */
export function litresAtMass(pot: PotState, kg: number): number {
  return potLitres(pot) - (massKg(pot.mixture) - kg) / waterDensityKgPerL({ tempC: pot.tempC });
}
