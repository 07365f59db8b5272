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
  return COMPONENTS.reduce((sum, component) => sum + masses[component], 0);
}

/** a + b · times, component by component. */
export function plus(a: Masses, b: Masses, times = 1): Masses {
  return mapMasses((component) => a[component] + b[component] * times);
}

/** Every component times a factor. */
export function times(masses: Masses, factor: number): Masses {
  return mapMasses((component) => masses[component] * factor);
}
