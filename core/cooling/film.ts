/**
 * How well air takes heat from a pan, W/m²K: standing still, moved by a fan, blasting. A first guess until a reading says
 * otherwise. source: common practice
 */
export const FILM_WM2K = { still: 10, fan: 20, blast: 40 } as const;
