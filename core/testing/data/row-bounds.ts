import type { Masses } from '../../matter';

/**
 * What a row of the table may be, by the kind of food it is: from memory of public food-composition tables, household
 * tables and labels, put down beside the rows and not from them. Grams in 100 g edible; what is not named is 0 to 3.
 */
export type Range = readonly [low: number, high: number];
type Bounds = Partial<Record<keyof Masses, Range>>;

export const BY_GROUP: Readonly<Record<string, Bounds>> = {
  'fresh vegetable': { water: [73, 97], fat: [0, 1.6], protein: [0.5, 6.5], sugars: [0.1, 14], starch: [0, 0.5], other: [1, 10], salt: [0, 0.6] },
  'dried vegetable': { water: [5, 16], fat: [0, 4], protein: [5, 28], sugars: [0, 40], other: [25, 80], salt: [0, 18] },
  'preserved vegetable': { water: [72, 95], fat: [0, 0.6], protein: [0.7, 5], sugars: [1.5, 13], starch: [0, 0.5], other: [1, 10], salt: [0, 2] },
  'dry pulse': { water: [7, 13], fat: [0.5, 7], protein: [18, 26], sugars: [1, 11], starch: [33, 50], other: [10, 27], salt: [0, 0.1] },
  'cooked pulse': { water: [58, 76], fat: [0.2, 3], protein: [6, 11], sugars: [0.2, 5], starch: [8, 20], other: [2, 11], salt: [0, 0.9] },
  'dry grain': { water: [5, 14], fat: [0.4, 7], protein: [5.5, 15], sugars: [0, 7], starch: [50, 80], other: [1.5, 18], salt: [0, 2] },
  bread: { water: [33, 40], fat: [1, 5], protein: [7, 11], sugars: [2, 7], starch: [38, 48], other: [2, 7], salt: [0.8, 1.5] },
  'cooked grain': { water: [60, 72], fat: [0, 1.5], protein: [2, 7], sugars: [0, 1], starch: [20, 31], other: [0.3, 5], salt: [0, 0.5] },
  flour: { water: [9, 14], fat: [0.5, 3], protein: [5, 14], sugars: [0, 2], starch: [55, 80], other: [1, 14], salt: [0, 0.05] },
  'pure starch': { water: [7, 19], fat: [0, 0.3], protein: [0, 0.6], starch: [80, 93], other: [0, 4] },
  gelatine: { water: [8, 14], protein: [83, 90], salt: [0, 1] },
  'ground leaf': { water: [5, 12], fat: [0, 6], protein: [5, 15], sugars: [0, 5], starch: [0, 20], other: [50, 80] },
  fat: { water: [0, 5], fat: [93, 100], protein: [0, 2] },
  butter: { water: [14, 18], fat: [80, 83], protein: [0.5, 1.2], salt: [0, 2] },
  milk: { water: [86, 92], fat: [0, 4], protein: [0.8, 4], sugars: [3.5, 5.5], starch: [0, 2], salt: [0.05, 0.5] },
  cream: { water: [45, 76], fat: [17, 50], protein: [1.4, 3.2], sugars: [2, 4.2], salt: [0.02, 0.15] },
  cheese: { water: [22, 58], fat: [20, 36], protein: [5, 42], sugars: [0, 4.5], other: [0, 7], salt: [0.5, 3.2] },
  egg: { water: [49, 89], fat: [0, 29], protein: [10, 18], sugars: [0, 1], other: [0, 5], salt: [0.08, 0.5] },
  'raw meat': { water: [58, 78], fat: [2, 22], protein: [16, 24], other: [0, 2], salt: [0.05, 0.3] },
  bones: { water: [48, 80], fat: [1, 24], protein: [14, 22], other: [3, 16], salt: [0.1, 0.4] },
  'cured meat': { water: [58, 74], fat: [3, 18], protein: [12, 23], sugars: [0, 2], starch: [0, 4], other: [0, 3], salt: [1.8, 4] },
  'raw fish': { water: [62, 83], fat: [0.3, 16], protein: [16, 22], other: [0, 1.6], salt: [0.08, 0.4] },
  'salted fish': { water: [44, 78], fat: [0.5, 32], protein: [17, 38], other: [0, 2], salt: [1.5, 20] },
  'dried fish': { water: [10, 20], fat: [1, 5], protein: [70, 82], other: [1, 8], salt: [0.3, 2] },
  shellfish: { water: [73, 86], fat: [0.2, 3], protein: [6, 23], sugars: [0, 4.5], other: [0, 3], salt: [0.1, 1.7] },
  stock: { water: [94, 99.3], fat: [0, 1], protein: [0.1, 4], sugars: [0, 2], other: [0, 1], salt: [0, 2.6] },
  'stock powder': { water: [1, 6], fat: [2, 15], protein: [5, 18], sugars: [2, 20], starch: [0, 15], other: [0, 15], salt: [42, 62] },
  water: { water: [100, 100] },
  salt: { water: [0, 1.2], salt: [97, 99.9] },
  'sweet seasoning': { water: [0, 35], sugars: [62, 100] },
  acid: { water: [75, 95], protein: [0, 1], sugars: [0, 16], other: [2, 9] },
  'fresh fruit': { water: [70, 91], fat: [0, 0.6], protein: [0.2, 2], sugars: [2, 12], starch: [0, 0.5], other: [2, 17] },
  'dried fruit': { water: [13, 34], fat: [0, 1], protein: [0.5, 4], sugars: [36, 68], starch: [0, 6], other: [8, 25] },
  nut: { water: [2, 8], fat: [42, 67], protein: [13, 32], sugars: [0.2, 7], starch: [0, 25], other: [3, 20] },
  wine: { water: [71, 93], sugars: [0, 12], alcohol: [3, 16] },
  spirit: { water: [55, 70], sugars: [0, 5], alcohol: [28, 40] },
  'fresh herb': { water: [53, 95], fat: [0.2, 7], protein: [1.5, 7], sugars: [0, 3], other: [3, 40], salt: [0, 0.3] },
  'dry spice': { water: [5, 20], fat: [1, 38], protein: [3, 27], sugars: [0, 42], starch: [0, 52], other: [18, 80], salt: [0, 1] },
};

/** Starch of what is a root, a tuber or a seed; leaves, stems, bulbs and fruits hold none, alliums fructan in its stead. */
export const STARCH: Readonly<Record<string, Range>> = {
  potato: [11, 18],
  'sweet-potato': [9, 20],
  parsnip: [4, 10],
  celeriac: [0.3, 5],
  carrot: [0.5, 2],
  swede: [0, 1],
  turnip: [0, 1],
  sweetcorn: [6, 13],
  peas: [2, 7],
  'broad-bean': [1, 7],
  squash: [3, 9],
  pumpkin: [0.3, 4],
  ginger: [3, 14],
  horseradish: [0, 4],
  'green-bean': [0.3, 2],
  'brussels-sprout': [0, 4.4],
};

/** What else leaves its group: the reason with each. */
export const APART: Readonly<Record<string, Bounds>> = {
  garlic: { water: [57, 66], sugars: [15, 30] }, // a dry bulb, a quarter fructan
  lemongrass: { water: [65, 76], other: [18, 28] }, // a woody stem
  shallot: { other: [3, 7] },
  'jerusalem-artichoke': { sugars: [9, 18] }, // inulin
  horseradish: { other: [8, 16] },
  peas: { water: [73, 82] },
  'cheese-rind': { protein: [35, 45] },
  'clam-liquor': { salt: [1.5, 3] }, // sea water
  kelp: { salt: [3, 9] },
  'oat-drink': { other: [0.5, 3] },
  'coconut-milk': { water: [68, 78] },
  'chicken-whole': { fat: [10, 20] },
  'pork-belly': { water: [33, 42], fat: [45, 60], protein: [8, 14] },
  bacon: { water: [38, 50], fat: [30, 42] },
  'smoked-sausage': { water: [48, 60], fat: [20, 32] },
  'cured-sausage': { water: [30, 40], fat: [32, 44] },
  'white-fish': { fat: [0.3, 2] },
  'fish-bones': { salt: [0.1, 0.5] },
  prawn: { salt: [0.2, 1.2] },
  'black-pepper': { starch: [30, 42] },
};

/** Salt of what is sold salted, g in 100 g: labels, from memory. */
export const SALT: Readonly<Record<string, Range>> = {
  'soy-sauce': [13, 17],
  tamari: [12, 17],
  'fish-sauce': [18, 26],
  miso: [9, 14],
  'white-miso': [4, 8],
  mustard: [5, 6.5],
  'table-sauce': [2, 4],
  'oyster-sauce': [6, 11],
  'yeast-extract': [8, 12],
  olives: [1.5, 4.5],
  capers: [5, 9],
  gherkin: [1.5, 3],
  'peanut-butter': [0.5, 1.5],
  'tomato-tinned': [0, 0.1],
  passata: [0, 0.3],
  'tomato-paste': [0, 0.3],
  sauerkraut: [1, 2.2],
  wakame: [8, 20],
  'sun-dried-tomato': [0.3, 5.5],
  anchovy: [8, 15],
  'salt-cod': [15, 20],
  bacon: [2, 3.2],
  'ham-hock': [2.4, 4],
  gammon: [2.4, 4],
  ham: [1.8, 3],
  bread: [0.9, 1.3],
};

/** Middling pieces as purchased, g: household tables, from memory. */
export const PIECE: Readonly<Record<string, Range>> = {
  onion: [110, 170],
  'red-onion': [110, 170],
  carrot: [60, 100],
  celery: [40, 65],
  potato: [140, 220],
  leek: [150, 300],
  garlic: [3, 7],
  tomato: [85, 130],
  parsnip: [100, 180],
  turnip: [100, 200],
  beetroot: [80, 170],
  swede: [400, 900],
  celeriac: [500, 1000],
  'red-pepper': [140, 200],
  'green-pepper': [140, 200],
  courgette: [150, 250],
  aubergine: [250, 460],
  cucumber: [280, 400],
  cauliflower: [700, 1100],
  broccoli: [300, 600],
  lemon: [85, 130],
  egg: [50, 65],
  'egg-yolk': [15, 20],
  'egg-white': [28, 40],
  apple: [130, 200],
  pear: [140, 200],
  shallot: [20, 45],
  mushroom: [12, 25],
  chilli: [10, 45],
  'sweet-potato': [130, 300],
  'chicken-breast': [150, 230],
  'chicken-whole': [1200, 2200],
  anchovy: [3, 6],
  bread: [400, 900],
};

/** Alcohol by volume, per cent: labels. */
export const ABV: Readonly<Record<string, Range>> = {
  'red-wine': [12, 15],
  'white-wine': [10.5, 14],
  cider: [4, 7],
  perry: [4, 7],
  ale: [3.5, 6.5],
  sherry: [15, 18],
  'fortified-wine': [18, 21],
  vermouth: [15, 19],
  brandy: [36, 42],
  whisky: [40, 46],
  'anise-spirit': [40, 50],
};
export const ETHANOL_KG_PER_L = 0.789;

/** How many grams of flour a gram of thickener stands for, hot: handbooks, from memory. */
export const STRENGTH: Readonly<Record<string, Range>> = {
  flour: [1, 1],
  wholemealFlour: [0.7, 0.9],
  cornstarch: [1.6, 2.2],
  arrowroot: [1.5, 2.2],
  riceFlour: [1, 1.3],
  tapioca: [1.6, 2.6],
  potatoStarch: [2, 2.5],
};

/** A level teaspoon, g: common practice. */
export const TEASPOON_G: Readonly<Record<string, Range>> = {
  salt: [5.7, 6.3],
  'fine-sea-salt': [5.2, 5.8],
  'coarse-salt': [4.7, 5.3],
  'kosher-salt': [4.6, 5],
  'light-kosher-salt': [2.6, 3],
  'flaky-salt': [2, 3],
};
export const TEASPOON_ML = 4.93;

/** What still has its bones or its shell, as purchased: so much of it is eaten, per cent. */
export const WITH_BONES: Readonly<Record<string, Range>> = {
  'ham-hock': [45, 65],
  oxtail: [35, 55],
  'chicken-whole': [42, 60],
  duck: [50, 70],
  rabbit: [55, 70],
  pheasant: [45, 65],
  mussel: [18, 35],
  lobster: [25, 40],
  clam: [12, 30],
};
