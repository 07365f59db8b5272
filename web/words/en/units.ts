import { measuresHere } from '../amounts';

const LARGE = { metric: 'litres', us: 'quarts', imperial: 'pints' } as const;

/** What a pot is measured in: litres, quarts, pints. */
export const litresWord = (): string => LARGE[measuresHere().volume];
