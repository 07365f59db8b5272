import { acidIn, type BatchSnapshot, type BatchState, hotIn } from '../batch';
import { saltPercent, totalKg } from '../matter';
import { foodLitres, type PotState } from '../pot';
import { umamiGPer100g } from '../taste';

/** What a pot holds of what a mouth tells apart. */
export interface Tastes {
  /** of the whole pot, percent */
  saltPercent: number;
  /** as anhydrous citric acid, g/L */
  acidGPerL: number;
  sugarGPerL: number;
  fatPercent: number;
  /** hot spice, g/L */
  heatGPerL: number;
  /** as glutamate alone, g/100 g */
  umami: number;
}

export const NO_TASTES: Tastes = {
  saltPercent: 0,
  acidGPerL: 0,
  sugarGPerL: 0,
  fatPercent: 0,
  heatGPerL: 0,
  umami: 0,
};

/** What is known of what went in and is no part of the masses, g. */
export interface Ledger {
  acidG: number;
  heatG: number;
}

export function tastesOf(pot: PotState, { acidG, heatG }: Ledger): Tastes {
  const { liquid, pieces } = pot.mixture;
  const litres = foodLitres(pot);
  const kg = totalKg(liquid) + totalKg(pieces);
  if (litres <= 0 || kg <= 0) return NO_TASTES;
  const { glutamate, aspartate, imp, gmp, amp } = pot.mixture.savour;
  const per100G = 100 / Math.max(0.001, totalKg(liquid));
  return {
    saltPercent: saltPercent(pot.mixture, 'all'),
    acidGPerL: acidG / litres,
    sugarGPerL: (1000 * (liquid.sugars + pieces.sugars)) / litres,
    fatPercent: (100 * (liquid.fat + pieces.fat)) / kg,
    heatGPerL: heatG / litres,
    umami: umamiGPer100g({
      glutamate: glutamate * per100G,
      aspartate: aspartate * per100G,
      imp: imp * per100G,
      gmp: gmp * per100G,
      amp: amp * per100G,
    }),
  };
}

/** What a pot holds now of what a mouth tells apart, by its ledger. */
export const tastesNow = (snapshot: BatchSnapshot, state: BatchState): Tastes =>
  tastesOf(state.pot, { acidG: acidIn(snapshot, state), heatG: hotIn(snapshot, state) });
