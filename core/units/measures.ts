/** A system of measures as a country has it: what a pint is in it, and what a cook there weighs in. */
export type UnitSystem = 'metric' | 'us' | 'imperial';

/** How a kitchen writes its figures: it may weigh in grams, pour in quarts and read its thermometer in °F. */
export interface Measures {
  weight: 'metric' | 'pounds';
  /** also what the stick shows: centimetres, or inches in eighths */
  volume: UnitSystem;
  temperature: 'C' | 'F';
}

export const METRIC: Measures = { weight: 'metric', volume: 'metric', temperature: 'C' };

const MEASURES: Readonly<Record<UnitSystem, Measures>> = {
  metric: METRIC,
  us: { weight: 'pounds', volume: 'us', temperature: 'F' },
  imperial: { weight: 'pounds', volume: 'imperial', temperature: 'C' },
};

/** The three choices as a system has them, to begin with. */
export function measuresOf(system: UnitSystem): Measures {
  return MEASURES[system];
}
