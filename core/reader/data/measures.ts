import { UNITS, type Unit } from '../../units';

/**
 * Units a recipe is written in, by the words cooks use for them. Weights are grams; volumes are mL by system; counted
 * measures get their grams from the ingredient, else from `usualG`, a first guess.
 *
 * source: published: NIST Handbook 44, App. C (US and imperial); common practice (metric spoons 5 and 15 mL, cup 250)
 */
export interface Measure {
  words: readonly string[];
  grams?: number;
  mL?: number | { metric: number; us: number; imperial: number };
  /** counted; grams of one where the ingredient has none of its own */
  usualG?: number | null;
}

/** Grams or mL of a unit of the one table. */
const of = (unit: Unit) => UNITS[unit].factor;
/** A US measure, and the imperial one where metric cooks write it too. */
const byCountry = (us: Unit, imperial: Unit) => ({ metric: of(imperial), us: of(us), imperial: of(imperial) });

const SPOONS = { tsp: { metric: 5, us: of('tsp'), imperial: 5 }, tbsp: { metric: of('metric-tbsp'), us: of('tbsp'), imperial: of('metric-tbsp') } };

const ROWS = {
  g: { words: ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'], grams: 1 },
  kg: { words: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'], grams: 1000 },
  mg: { words: ['mg', 'milligram', 'milligrams'], grams: 0.001 },
  oz: { words: ['oz', 'ozs', 'ounce', 'ounces'], grams: of('oz') },
  lb: { words: ['lb', 'lbs', 'pound', 'pounds'], grams: of('lb') },
  mL: { words: ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc'], mL: 1 },
  cL: { words: ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'], mL: 10 },
  dL: { words: ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'], mL: 100 },
  L: { words: ['l', 'ltr', 'ltrs', 'litre', 'litres', 'liter', 'liters'], mL: 1000 },
  tsp: { words: ['tsp', 'tsps', 'teaspoon', 'teaspoons', 'teaspoonful', 'teaspoonfuls'], mL: SPOONS.tsp },
  tbsp: { words: ['tbsp', 'tbsps', 'tbs', 'tblsp', 'tablespoon', 'tablespoons', 'tablespoonful', 'tablespoonfuls'], mL: SPOONS.tbsp },
  floz: { words: ['fl oz', 'floz', 'fluid ounce', 'fluid ounces'], mL: byCountry('floz', 'imp-floz') },
  cup: { words: ['cup', 'cups', 'cupful', 'cupfuls'], mL: byCountry('cup', 'metric-cup') },
  pint: { words: ['pint', 'pints', 'pt', 'pts'], mL: byCountry('pint', 'imp-pint') },
  quart: { words: ['quart', 'quarts', 'qt', 'qts'], mL: byCountry('quart', 'imp-quart') },
  gallon: { words: ['gallon', 'gallons', 'gal'], mL: byCountry('gallon', 'imp-gallon') },
  pinch: { words: ['pinch', 'pinches'], usualG: 0.3 },
  dash: { words: ['dash', 'dashes', 'shake', 'shakes'], mL: 2.5 },
  splash: { words: ['splash', 'splashes', 'glug', 'glugs', 'drizzle', 'drizzles'], usualG: 10 },
  drop: { words: ['drop', 'drops'], mL: 0.05 },
  handful: { words: ['handful', 'handfuls'], usualG: 20 },
  knob: { words: ['knob', 'knobs'], usualG: 15 },
  thumb: { words: ['thumb', 'thumbs'], usualG: 25 },
  clove: { words: ['clove', 'cloves'], usualG: null },
  head: { words: ['head', 'heads'], usualG: null },
  bulb: { words: ['bulb', 'bulbs'], usualG: null },
  bunch: { words: ['bunch', 'bunches'], usualG: null },
  bundle: { words: ['bundle', 'bundles'], usualG: null },
  sprig: { words: ['sprig', 'sprigs'], usualG: 1.5 },
  stick: { words: ['stick', 'sticks', 'rib', 'ribs'], usualG: null },
  stalk: { words: ['stalk', 'stalks'], usualG: null },
  spear: { words: ['spear', 'spears'], usualG: null },
  ear: { words: ['ear', 'ears', 'cob', 'cobs'], usualG: null },
  leaf: { words: ['leaf', 'leaves'], usualG: null },
  rasher: { words: ['rasher', 'rashers'], usualG: 30 },
  slice: { words: ['slice', 'slices'], usualG: null },
  strip: { words: ['strip', 'strips'], usualG: null },
  piece: { words: ['piece', 'pieces', 'chunk', 'chunks'], usualG: null },
  fillet: { words: ['fillet', 'fillets'], usualG: null },
  blade: { words: ['blade', 'blades'], usualG: null },
  pod: { words: ['pod', 'pods'], usualG: null },
  thread: { words: ['thread', 'threads', 'strand', 'strands'], usualG: null },
  grating: { words: ['grating', 'gratings'], usualG: null },
  grind: { words: ['grind', 'grinds', 'twist', 'twists'], usualG: 0.05 },
  cube: { words: ['cube', 'cubes'], usualG: null },
  sheet: { words: ['sheet', 'sheets'], usualG: null },
  loaf: { words: ['loaf', 'loaves'], usualG: null },
  wedge: { words: ['wedge', 'wedges'], usualG: null },
  bag: { words: ['bag', 'bags'], usualG: null },
  tin: { words: ['tin', 'tins', 'can', 'cans'], usualG: 400 },
  jar: { words: ['jar', 'jars'], usualG: null },
  tube: { words: ['tube', 'tubes'], usualG: null },
  tub: { words: ['tub', 'tubs'], usualG: null },
  carton: { words: ['carton', 'cartons', 'packet', 'packets', 'pack', 'packs', 'package', 'packages', 'pkg', 'pkgs'], usualG: null },
  bottle: { words: ['bottle', 'bottles'], usualG: null },
  glass: { words: ['glass', 'glasses'], usualG: null },
} as const satisfies Record<string, Measure>;

export const MEASURES: Readonly<Record<keyof typeof ROWS, Measure>> = ROWS;

/** A unit as written; `each` is a plain count. */
export type WrittenUnit = keyof typeof ROWS | 'each';

export const MEASURE_BY_WORD: ReadonlyMap<string, keyof typeof ROWS> = new Map(Object.entries(MEASURES).flatMap(([unit, measure]) => measure.words.map((word) => [word, unit as keyof typeof ROWS] as const)));

/** A large one weighs this much of a middling one; common practice (1.1 kg of onions is about five large). */
export const SIZE_SHARE = { small: 0.6, medium: 1, large: 1.45 } as const;
