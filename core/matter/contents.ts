import type { Allergen } from './data/allergens';
import { holdsOf } from './holds';
import type { Diet, Ingredient } from './ingredient';
import type { Masses } from './masses';
import type { Savour } from './savour';

/** What a lot of the larder is, kilogram for kilogram. */
export interface LotContents {
  name: string;
  /** the row it is: a food of the table, or `recipe:…` */
  ingredientId: string;
  /** rows that recipes may name it by, its own first */
  satisfies: readonly string[];
  /** its kind of base, if it is one */
  base?: string;
  share: 'liquid' | 'pieces';
  perKg: Masses;
  densityKgPerL: number;
  savourPerKg: Savour;
  bodyGPerKg: number;
  allergens: readonly Allergen[];
  diet: Diet;
}

/** Some of a lot as it was drawn: what goes into the pot is what the lot held then. */
export interface DrawnLot {
  /** the number on its label */
  number: number;
  contents: LotContents;
  /** hundredths of the kitchen's money a kg */
  centsPerKg: number;
  /** weighed as purchased and trimmed; what the kitchen made goes in whole */
  isAsPurchased: boolean;
}

/**
 * A row of the table with what a lot of it holds laid over: its composition, savour, body, allergens and diet. What is
 * as it was bought keeps what the table says of trimming it, and holds whatever either the crate or the table says.
 *
 * @param row what the recipe calls for
 * @param drawn the lot that stands for it
 */
export function rowOfLot(row: Ingredient, { contents, isAsPurchased }: DrawnLot): Ingredient {
  const per = contents.savourPerKg;
  const percent = (share: number) => 100 * share;
  return {
    ...row,
    perKg: contents.perKg,
    densityKgPerL: contents.densityKgPerL,
    looseKgPerL: row.share === 'liquid' ? contents.densityKgPerL : row.looseKgPerL,
    ...(row.thickener ? {} : { bodyGPerKg: contents.bodyGPerKg }),
    umami: {
      glutamate: percent(per.glutamate),
      aspartate: percent(per.aspartate),
      imp: percent(per.imp),
      gmp: percent(per.gmp),
      amp: percent(per.amp),
    },
    gelatin: per.gelatin,
    ...holdsOf(isAsPurchased ? [contents, row] : [contents]),
    yield: isAsPurchased ? row.yield : 1,
  };
}
