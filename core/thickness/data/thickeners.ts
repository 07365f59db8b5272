import type { ThickenerKind } from '../../matter';

interface Thickener {
  /** grams of flour that one gram stands for, and the least and the most handbooks give */
  strength: number;
  low: number;
  high: number;
  cookOutMin: number;
  /** under this it does not swell, °C */
  swellsFromC: number;
  /** share lost again in an hour at the simmer once it has swollen, and to a blender */
  thinsPerHour: number;
  blendingLoss: number;
  name: string;
}

/** Of grain, flour holds; of roots, starch swells far, and falls apart again. From memory: handbooks rank them so. */
const FLOUR = { swellsFromC: 80, thinsPerHour: 0.03, blendingLoss: 0.05 } as const;
const GRAIN = { swellsFromC: 80, thinsPerHour: 0.06, blendingLoss: 0.1 } as const;
const ROOT = { swellsFromC: 70, thinsPerHour: 0.3, blendingLoss: 0.25 } as const;

/** As sour as this, g/L as citric, it thins so many times as fast: a tomato soup. From memory. */
export const SOUR = { gPerL: 4, times: 3 } as const;

/**
 * Grams of cooked-out wheat flour that one gram of dry thickener stands for, with the range handbooks give.
 * As it is eaten, hot: potato starch is strongest just as it swells and loses a third by the time it is served.
 * source: from memory, corrected by the kitchen's own tests; roux strength by colour common practice.
 */
export const THICKENERS = {
  flour: { strength: 1.0, low: 1.0, high: 1.0, cookOutMin: 10, ...FLOUR, name: 'flour' },
  wholemealFlour: { strength: 0.8, low: 0.7, high: 0.9, cookOutMin: 10, ...FLOUR, name: 'wholemeal flour' },
  rouxWhite: { strength: 1.0, low: 0.95, high: 1.0, cookOutMin: 10, ...FLOUR, name: 'flour in white roux' },
  rouxBlond: { strength: 0.9, low: 0.8, high: 0.95, cookOutMin: 10, ...FLOUR, name: 'flour in blond roux' },
  rouxBrown: { strength: 0.6, low: 0.5, high: 0.75, cookOutMin: 15, ...FLOUR, name: 'flour in brown roux' },
  rouxDark: { strength: 0.35, low: 0.25, high: 0.5, cookOutMin: 15, ...FLOUR, name: 'flour in dark roux' },
  cornstarch: { strength: 2.0, low: 1.6, high: 2.2, cookOutMin: 2, ...GRAIN, name: 'cornstarch' },
  arrowroot: { strength: 1.8, low: 1.5, high: 2.2, cookOutMin: 1, ...ROOT, name: 'arrowroot' },
  riceFlour: { strength: 1.2, low: 1.0, high: 1.4, cookOutMin: 5, ...GRAIN, name: 'rice flour' },
  tapioca: { strength: 2.2, low: 1.8, high: 2.6, cookOutMin: 5, ...ROOT, name: 'tapioca starch' },
  potatoStarch: { strength: 2.3, low: 2.0, high: 3.0, cookOutMin: 1, ...ROOT, name: 'potato starch' },
} as const satisfies Readonly<Record<ThickenerKind, Thickener>>;

/**
 * The bands of thickness, our own, from their knots in grams of flour equivalent per litre of liquid.
 * source: knots from the anchors in docs/model.md § 7; words ours
 */
export const BANDS = [
  { flourEquivalentGPerL: 0, name: 'thin as water' },
  { flourEquivalentGPerL: 12, name: 'a little body' },
  { flourEquivalentGPerL: 30, name: 'lightly coats' },
  { flourEquivalentGPerL: 50, name: 'coats the spoon' },
  { flourEquivalentGPerL: 72, name: 'holds a drawn line' },
  { flourEquivalentGPerL: 100, name: 'mounds slowly' },
  { flourEquivalentGPerL: 135, name: 'stands' },
] as const;
