/**
 * How well a place takes heat from a pan, W/m²K: air standing still, moved by a fan, blasting; ice and water round it, while
 * it is stirred. A first guess until readings say otherwise. source: air: common practice; ice: from memory, stirred soup
 * behind steel in ice water 100 to 300, stirred every 5 min nearer the lower end
 */
export const FILM_WM2K = { still: 10, fan: 20, blast: 40, ice: 120 } as const;
export type CoolingAir = keyof typeof FILM_WM2K;

/** What a first guess of a film may be off by: one standard deviation of its logarithm. Common practice, ±40 %. */
export const FILM_LOG_SD = 0.4;

/** How much a place differs from one day to the next, doors and neighbours: the same of its logarithm. From memory. */
export const FILM_DAY_LOG_SD = 0.12;

/** Soup, W/mK and m²/s. source: from memory: watery foods 0.55 to 0.62 and 1.4 ·10⁻⁷ */
export const SOUP = { conductivityWmK: 0.6, diffusivityM2S: 1.4e-7 } as const;

/** Heat a litre of it holds, J/m³K: what the two come to. */
export const SOUP_HEAT_JM3K = SOUP.conductivityWmK / SOUP.diffusivityM2S;

/** Soup is about water, kJ/kgK; a litre of it is about a kilogram. From memory. */
export const SOUP_KJ_PER_KG_K = 3.9;

/** Shallower than this nobody pours, cm. Common practice. */
export const SHALLOWEST_CM = 1.5;

/** A normal as three points of the same mean and spread. source: published: Gauss and Hermite */
export const THREE_POINTS = [
  { z: -Math.sqrt(3), weight: 1 / 6 },
  { z: 0, weight: 2 / 3 },
  { z: Math.sqrt(3), weight: 1 / 6 },
] as const;

/** The floor of a 1/1 pan, m². source: published: EN 631-1, 530 × 325 mm */
export const PAN_AREA_M2 = 0.53 * 0.325;
