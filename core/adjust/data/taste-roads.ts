import type { Scale } from '../../taste';

/** A way to more of something, or against too much of it: what is usually right in all, g of the food to a litre. */
export interface TasteRoad {
  ingredientId: string;
  usualGPerL: number;
  tempC: number;
}

/** Salt goes by its target, colour by the dish. */
type TastedScale = Exclude<Scale, 'salt' | 'colour'>;

const road = (ingredientId: string, usualGPerL: number, tempC = 18): TasteRoad => ({
  ingredientId,
  usualGPerL,
  tempC,
});

/**
 * Grams a litre that usually put it right; salt goes by its target and stands first where it is wanted. source: common
 * practice for lemon (6 to 8 mL a litre), sugar (2 to 4 g) and butter (5 to 10 g); the others from memory
 */
export const MORE_OF: Readonly<Record<TastedScale, readonly TasteRoad[]>> = {
  acid: [road('lemon-juice', 8), road('wine-vinegar', 6), road('tomato-paste', 10)],
  sweet: [road('sugar', 3), road('honey', 4)],
  fat: [road('butter', 7), road('cream', 25), road('double-cream', 18)],
  heat: [road('cayenne', 0.06)],
  umami: [
    road('soy-sauce', 4),
    road('fish-sauce', 3),
    road('white-miso', 6),
    road('tomato-paste', 6),
    road('yeast-extract', 1),
    road('dried-mushroom', 1.2),
  ],
  bitter: [],
};

/** Against too much: one taste hides another; only acid is really taken away, and only by a little. From memory. */
export const AGAINST: Readonly<Record<TastedScale, readonly TasteRoad[]>> = {
  acid: [road('sugar', 3), road('butter', 7), road('cream', 25)],
  sweet: [road('lemon-juice', 6), road('wine-vinegar', 4)],
  fat: [road('lemon-juice', 6)],
  heat: [road('cream', 30), road('butter', 8), road('sugar', 3)],
  umami: [road('lemon-juice', 6)],
  bitter: [road('sugar', 3), road('butter', 7)],
};

/** Of what is too sour so much acid is taken, g/L as citric: more, and it tastes of soap. Common practice. */
export const SOURNESS_TAKEN_G_PER_L = { tooMuch: 0.3, farTooMuch: 0.6 } as const;
