/**
 * How long a dish stays good, kept hot, by what is in it, minutes. Not a matter of safety: greens turn olive, pasta
 * drinks and bursts, cheese goes to threads, a liaison thickens and grains. source: common practice, from memory
 */
export const GOOD_FOR_MIN = { greens: 20, pasta: 20, fish: 30, cheese: 60, liaison: 60, cream: 120 } as const;

export type GoesOff = keyof typeof GOOD_FOR_MIN;
