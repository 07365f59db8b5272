import type { SwapKeeps } from '../substitution';

const oil = { by: ['rapeseed-oil'], keep: 'weight' } as const;
const milk = { by: ['oat-drink', 'coconut-milk'], keep: 'weight' } as const;
const cream = { by: ['coconut-milk'], keep: 'weight' } as const;
const starch = { by: ['rice-flour', 'cornstarch'], keep: 'strength' } as const;
const kelp = { by: ['kelp-stock'], keep: 'weight' } as const;
const lemon = { by: ['lemon-juice'], keep: 'weight' } as const;

/** What can stand in for a food that a guest may not eat. Common practice, each a first try: taste decides. */
export const FREE_SWAPS: Readonly<Record<string, { by: readonly string[]; keep: SwapKeeps }>> = {
  butter: oil,
  'salted-butter': oil,
  ghee: oil,
  milk,
  'skimmed-milk': milk,
  cream,
  'double-cream': cream,
  'single-cream': cream,
  'creme-fraiche': cream,
  flour: starch,
  'wholemeal-flour': starch,
  celery: { by: ['fennel', 'parsnip'], keep: 'weight' },
  celeriac: { by: ['parsnip'], keep: 'weight' },
  'fish-fumet': kelp,
  'chicken-stock': kelp,
  'vegetable-stock': kelp,
  'dark-vegetable-stock': kelp,
  'beef-stock': kelp,
  'game-stock': kelp,
  'soy-sauce': { by: ['tamari'], keep: 'weight' },
  'wine-vinegar': lemon,
  'cider-vinegar': lemon,
};
