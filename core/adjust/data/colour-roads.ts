import type { TasteRoad } from './taste-roads';

const road = (ingredientId: string, usualGPerL: number, tempC = 18): TasteRoad => ({
  ingredientId,
  usualGPerL,
  tempC,
});

/** What deepens a colour and what makes it paler, g of the food to a litre in all. */
interface ColourRoads {
  deeper: readonly TasteRoad[];
  paler: readonly TasteRoad[];
}

const CREAM = [road('cream', 20), road('milk', 40)];
const RED: ColourRoads = { deeper: [road('tomato-paste', 8), road('paprika', 0.8)], paler: CREAM };
const BROWN: ColourRoads = { deeper: [road('soy-sauce', 3), road('tomato-paste', 5)], paler: [] };
const GOLD: ColourRoads = { deeper: [road('turmeric', 0.15), road('saffron', 0.02)], paler: CREAM };
const GREEN: ColourRoads = { deeper: [road('spinach', 25), road('parsley', 8)], paler: CREAM };

/** By the colour that a recipe goes by; a dish of another has none. From memory, in what a pot bears without tasting of it. */
export const COLOUR_ROADS: Readonly<Record<string, ColourRoads>> = {
  tomato: RED,
  pepper: RED,
  beetroot: RED,
  venison: BROWN,
  mutton: BROWN,
  broth: BROWN,
  chowder: GOLD,
  veloute: GOLD,
  leek: GREEN,
};
