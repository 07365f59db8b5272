/**
 * What hot or cold water draws out of a food. Each is the share that comes in the end; `halfMin` is how long half of
 * that takes in water at 100 °C, in pieces as a kitchen cuts them.
 */
export interface Gives {
  /** sugars, salts and savour wander out; collagen has to come apart first, which heat decides */
  way: keyof typeof STEEPING_WAYS;
  halfMin: number;
  protein?: number;
  sugars?: number;
  other?: number;
  /** fat that renders and floats */
  fat?: number;
  savour?: number;
  /** share of the drawn protein that is gelatin, 0..1 */
  gelatin?: number;
  source: string;
}

/**
 * How the two ways speed up with heat: ten times as fast for so many K more. source: from memory: diffusion in water
 * follows its viscosity, four to five times from 20 to 100 °C; collagen hardly yields below 70 °C.
 */
export const STEEPING_WAYS = {
  diffuses: { tenfoldK: 120 },
  dissolves: { tenfoldK: 40 },
} as const;

const TRADE = 'common practice for the time; shares from memory, so that the usual ratio gives the usual strength';
const AROMATIC: Gives = { way: 'diffuses', halfMin: 16, protein: 0.25, sugars: 0.41, other: 0.25, savour: 0.75, source: TRADE };
const MEAT: Gives = { way: 'diffuses', halfMin: 45, protein: 0.17, other: 0.3, fat: 0.35, savour: 0.8, gelatin: 0.5, source: TRADE };

/** By ingredient. What is not here gives nothing worth counting. */
export const EXTRACTION: Readonly<Record<string, Gives>> = {
  'chicken-bones': { way: 'dissolves', halfMin: 55, protein: 0.15, other: 0.1, fat: 0.5, savour: 0.9, gelatin: 0.75, source: TRADE },
  'beef-bones': { way: 'dissolves', halfMin: 110, protein: 0.14, other: 0.05, fat: 0.45, savour: 0.9, gelatin: 0.85, source: TRADE },
  'lamb-bones': { way: 'dissolves', halfMin: 80, protein: 0.14, other: 0.05, fat: 0.5, savour: 0.9, gelatin: 0.8, source: TRADE },
  'venison-bones': { way: 'dissolves', halfMin: 90, protein: 0.14, other: 0.05, fat: 0.45, savour: 0.9, gelatin: 0.85, source: TRADE },
  'fish-bones': { way: 'dissolves', halfMin: 7, protein: 0.26, other: 0.1, fat: 0.3, savour: 0.9, gelatin: 0.6, source: TRADE },
  kelp: { way: 'diffuses', halfMin: 4, sugars: 0.6, other: 0.12, protein: 0.1, savour: 0.95, source: `${TRADE}; half an hour cold, then slowly up` },
  'fish-flakes': { way: 'diffuses', halfMin: 1.4, protein: 0.14, other: 0.3, savour: 0.92, source: `${TRADE}; five minutes off the heat` },
  'shiitake-dried': { way: 'diffuses', halfMin: 7, protein: 0.25, sugars: 0.7, other: 0.2, savour: 0.9, source: TRADE },
  'dried-mushroom': { way: 'diffuses', halfMin: 7, protein: 0.25, sugars: 0.7, other: 0.2, savour: 0.9, source: TRADE },
  mushroom: AROMATIC,
  onion: AROMATIC,
  shallot: AROMATIC,
  leek: AROMATIC,
  carrot: AROMATIC,
  celery: AROMATIC,
  celeriac: { ...AROMATIC, halfMin: 22 },
  fennel: AROMATIC,
  parsnip: AROMATIC,
  tomato: { ...AROMATIC, halfMin: 10 },
  'chicken-whole': MEAT,
  beef: { ...MEAT, halfMin: 60, gelatin: 0.6 },
};
