/** A roux by its colour, pale to dark: its thickening is in the table of thickeners. */
export const ROUX_COLOURS = ['rouxWhite', 'rouxBlond', 'rouxBrown', 'rouxDark'] as const;
export type RouxColour = (typeof ROUX_COLOURS)[number];

/**
 * Minutes from when it is hot: over a flame, stirred without leaving, the shortest and the longest of half a kilo; in an
 * oven at 175 to 180 °C, stirred each quarter of an hour. Dark 30 to 45 and 45 to 90 common practice; the others from
 * memory, in their proportion.
 */
export const ROUX_MINUTES: Readonly<
  Record<
    RouxColour,
    { flame: readonly [from: number, to: number]; oven: readonly [from: number, to: number] | null }
  >
> = {
  rouxWhite: { flame: [3, 5], oven: null },
  rouxBlond: { flame: [6, 10], oven: [20, 30] },
  rouxBrown: { flame: [15, 25], oven: [35, 55] },
  rouxDark: { flame: [30, 45], oven: [45, 90] },
};

/** Up to here the minutes hold; a larger one takes longer, as its depth does. From memory. */
export const USUAL_KG = 0.5;
/** How much longer, as a power of its weight. From memory. */
export const LONGER_BY_LOAD = 0.35;

/** Butter is water in part, which has to go before it browns. source: published: EU definition, at most 16 % */
export const WATER_OF = { butter: 0.16, oil: 0, rendered: 0 } as const;
export type RouxFat = keyof typeof WATER_OF;

/** Over this a starch swells where it lies: a lump, if it has not been stirred apart. source: common practice, 60 to 65 */
export const SWELLS_C = 62;
