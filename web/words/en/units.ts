import { measuresHere } from '../amounts';

const LARGE = { metric: 'litres', us: 'quarts', imperial: 'pints' } as const;

/** What goods are weighed and priced by. */
export const weightWord = (): string => (measuresHere().weight === 'metric' ? 'kilogram' : 'pound');

const POURED = { metric: 'litre', us: 'quart', imperial: 'pint' } as const;

/** What liquids are priced by. */
export const volumeWord = (): string => POURED[measuresHere().volume];

/** What a pot is measured in: litres, quarts, pints. */
export const litresWord = (): string => LARGE[measuresHere().volume];
