/** What a trimming is good for, or why it spoils a stock. */
export interface TrimmingRow {
  /** what is left on the board */
  part: string;
  /** kinds of base it suits, best first; empty for none */
  suits: readonly string[];
  /** why it does not suit the rest, or any */
  why: string;
}

const VEGETABLE = [
  'light-vegetable-stock',
  'dark-vegetable-stock',
  'white-poultry-stock',
  'brown-poultry-stock',
  'brown-meat-stock',
];
const PALE = 'it stains';
const SULPHUR = 'cabbages turn sulphurous in half an hour';

/** By ingredient. Common practice. */
export const TRIMMINGS: Readonly<Record<string, TrimmingRow>> = {
  leek: {
    part: 'green tops, washed twice',
    suits: [...VEGETABLE, 'fish-fumet'],
    why: 'sandy unless washed leaf by leaf',
  },
  onion: {
    part: 'ends and inner skins',
    suits: ['dark-vegetable-stock', 'brown-poultry-stock', 'brown-meat-stock'],
    why: 'the skins colour: dark stocks only',
  },
  shallot: { part: 'ends', suits: VEGETABLE, why: '' },
  'spring-onion': {
    part: 'roots and tops',
    suits: ['light-vegetable-stock'],
    why: 'gone flat within the hour in a long one',
  },
  carrot: { part: 'ends and peel, scrubbed', suits: VEGETABLE, why: 'too much of it makes a stock sweet' },
  celery: {
    part: 'leaves and root end',
    suits: [...VEGETABLE, 'fish-fumet'],
    why: 'a handful of leaves to the pot: they turn bitter',
  },
  celeriac: {
    part: 'peel, scrubbed',
    suits: ['dark-vegetable-stock', 'brown-meat-stock'],
    why: 'earthy: it takes over a light one',
  },
  fennel: {
    part: 'stalks and core',
    suits: ['fish-fumet', 'light-vegetable-stock'],
    why: 'aniseed in a meat stock',
  },
  parsnip: { part: 'ends and peel', suits: ['dark-vegetable-stock'], why: 'sweet and of itself only' },
  mushroom: { part: 'stalks', suits: [...VEGETABLE], why: 'it darkens a pale one a little' },
  tomato: {
    part: 'skins and seeds',
    suits: ['dark-vegetable-stock', 'brown-meat-stock', 'tomato-mother'],
    why: PALE,
  },
  parsley: { part: 'stalks', suits: [...VEGETABLE, 'fish-fumet', 'herb-bundle'], why: '' },
  dill: { part: 'stalks', suits: ['fish-fumet'], why: 'of itself only, elsewhere' },
  thyme: { part: 'bare twigs', suits: [...VEGETABLE, 'herb-bundle'], why: '' },
  chervil: { part: 'stalks', suits: ['fish-fumet', 'light-vegetable-stock'], why: '' },
  sweetcorn: { part: 'bare cobs', suits: ['light-vegetable-stock'], why: 'sweet' },
  squash: { part: 'skin and fibres', suits: ['dark-vegetable-stock'], why: 'clouds a clear one' },
  potato: { part: 'peel', suits: [], why: 'its starch clouds any stock, and green peel is not for eating' },
  'sweet-potato': { part: 'peel', suits: [], why: 'its starch clouds any stock' },
  beetroot: { part: 'peel', suits: [], why: `${PALE}, earthy` },
  'red-pepper': { part: 'hearts and seeds', suits: [], why: 'bitter' },
  cabbage: { part: 'core and outer leaves', suits: [], why: SULPHUR },
  kale: { part: 'stalks', suits: [], why: SULPHUR },
  cauliflower: { part: 'leaves and stalk', suits: [], why: SULPHUR },
  swede: { part: 'peel', suits: [], why: SULPHUR },
  spinach: { part: 'stalks', suits: [], why: 'grey and metallic after minutes' },
  garlic: { part: 'skins', suits: ['brown-meat-stock', 'dark-vegetable-stock'], why: 'sharp in a pale one' },
  chicken: {
    part: 'bones and skin',
    suits: ['white-poultry-stock', 'brown-poultry-stock'],
    why: 'fat to skim',
  },
  'chicken-whole': {
    part: 'carcass',
    suits: ['white-poultry-stock', 'brown-poultry-stock'],
    why: 'no liver',
  },
  'white-fish': { part: 'frames and heads, gills out', suits: ['fish-fumet'], why: 'same day only' },
  salmon: { part: 'frame and skin', suits: [], why: 'oily fish tastes of train oil in a fumet' },
  'smoked-trout': { part: 'skin and bones', suits: [], why: 'smoke and salt and oil: no fumet stands it' },
  venison: { part: 'sinew and bone', suits: ['brown-meat-stock'], why: 'game takes over a chicken stock' },
  beef: { part: 'sinew and bone', suits: ['brown-meat-stock'], why: '' },
  mutton: { part: 'fat and bone', suits: [], why: 'its fat tastes of itself; only for a pot of mutton' },
  bacon: { part: 'rind', suits: [], why: 'salt and smoke: into a soup, not a stock' },
  lemon: { part: 'pressed halves', suits: [], why: 'bitter pith' },
};

/** Weight of trimmings to a litre of water in a stock of trimmings alone, kg. source: common practice, as for vegetables */
export const TRIMMINGS_KG_PER_L = 0.35;
