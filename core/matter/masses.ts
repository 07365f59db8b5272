/** What food is made of, as far as the pot cares. "Other" is fibre, ash without salt, acids. */
export const COMPONENTS = [
  'water',
  'fat',
  'protein',
  'sugars',
  'starch',
  'other',
  'salt',
  'alcohol',
] as const;

export type Component = (typeof COMPONENTS)[number];

/** Kilograms of each component. */
export type Masses = Readonly<Record<Component, number>>;

export const NO_MASSES: Masses = {
  water: 0,
  fat: 0,
  protein: 0,
  sugars: 0,
  starch: 0,
  other: 0,
  salt: 0,
  alcohol: 0,
};

/** A new set of masses, each made from its component. */
export function mapMasses(of: (component: Component) => number): Masses {
  return {
    water: of('water'),
    fat: of('fat'),
    protein: of('protein'),
    sugars: of('sugars'),
    starch: of('starch'),
    other: of('other'),
    salt: of('salt'),
    alcohol: of('alcohol'),
  };
}

/** Kilograms in all. */
export function totalKg(masses: Masses): number {
  const { water, fat, protein, sugars, starch, other, salt, alcohol } = masses;
  return water + fat + protein + sugars + starch + other + salt + alcohol;
}

/** a + b · times, component by component. */
export function plus(a: Masses, b: Masses, times = 1): Masses {
  return {
    water: a.water + b.water * times,
    fat: a.fat + b.fat * times,
    protein: a.protein + b.protein * times,
    sugars: a.sugars + b.sugars * times,
    starch: a.starch + b.starch * times,
    other: a.other + b.other * times,
    salt: a.salt + b.salt * times,
    alcohol: a.alcohol + b.alcohol * times,
  };
}

/** Every component times a factor. */
export function times(masses: Masses, factor: number): Masses {
  return mapMasses((component) => masses[component] * factor);
}

/** The same masses with another amount of one component, kg. Written out: it is what a running pot does most. */
export function withWater(m: Masses, water: number): Masses {
  return {
    water,
    fat: m.fat,
    protein: m.protein,
    sugars: m.sugars,
    starch: m.starch,
    other: m.other,
    salt: m.salt,
    alcohol: m.alcohol,
  };
}

/** As `withWater`, for salt. */
export function withSalt(m: Masses, salt: number): Masses {
  return {
    water: m.water,
    fat: m.fat,
    protein: m.protein,
    sugars: m.sugars,
    starch: m.starch,
    other: m.other,
    salt,
    alcohol: m.alcohol,
  };
}
