import type { Ingredient } from './ingredient';

/** What a liquid carries that is too little to weigh and makes the taste and the set: kg of each. */
export interface Savour {
  readonly glutamate: number;
  readonly aspartate: number;
  readonly imp: number;
  readonly gmp: number;
  readonly amp: number;
  /** of the protein, what sets when cold */
  readonly gelatin: number;
}

export const NO_SAVOUR: Savour = { glutamate: 0, aspartate: 0, imp: 0, gmp: 0, amp: 0, gelatin: 0 };

/** a + b · times, each by itself. */
export function plusSavour(a: Savour, b: Savour, times = 1): Savour {
  return {
    glutamate: a.glutamate + b.glutamate * times,
    aspartate: a.aspartate + b.aspartate * times,
    imp: a.imp + b.imp * times,
    gmp: a.gmp + b.gmp * times,
    amp: a.amp + b.amp * times,
    gelatin: a.gelatin + b.gelatin * times,
  };
}

/** Each times a factor. */
export function timesSavour(savour: Savour, factor: number): Savour {
  return plusSavour(NO_SAVOUR, savour, factor);
}

/** What some kilograms of a food hold of it. */
export function savourOf(ingredient: Ingredient, kg: number): Savour {
  const per = ingredient.umami ?? {};
  return {
    glutamate: ((per.glutamate ?? 0) * kg) / 100,
    aspartate: ((per.aspartate ?? 0) * kg) / 100,
    imp: ((per.imp ?? 0) * kg) / 100,
    gmp: ((per.gmp ?? 0) * kg) / 100,
    amp: ((per.amp ?? 0) * kg) / 100,
    gelatin: (ingredient.gelatin ?? 0) * kg,
  };
}
