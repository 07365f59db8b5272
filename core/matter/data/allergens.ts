/**
 * Allergens that must be declared, in the words shown to a guest, each with its place in the European list.
 * source: published: EU Regulation 1169/2011, Annex II (fourteen, numbered here); the US nine are marked
 * (FALCPA 2004 and the FASTER Act 2021)
 */
export const ALLERGENS = {
  wheat: { name: 'wheat', eu: 1, us: true },
  otherGluten: { name: 'barley, rye or oats', eu: 1, us: false },
  crustaceans: { name: 'crustaceans', eu: 2, us: true },
  eggs: { name: 'egg', eu: 3, us: true },
  fish: { name: 'fish', eu: 4, us: true },
  peanuts: { name: 'peanut', eu: 5, us: true },
  soybeans: { name: 'soya', eu: 6, us: true },
  milk: { name: 'milk', eu: 7, us: true },
  nuts: { name: 'tree nuts', eu: 8, us: true },
  celery: { name: 'celery', eu: 9, us: false },
  mustard: { name: 'mustard', eu: 10, us: false },
  sesame: { name: 'sesame', eu: 11, us: true },
  sulphites: { name: 'sulphites', eu: 12, us: false },
  lupin: { name: 'lupin', eu: 13, us: false },
  molluscs: { name: 'molluscs', eu: 14, us: false },
} as const;

export type Allergen = keyof typeof ALLERGENS;
