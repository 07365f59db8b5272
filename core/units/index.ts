export { convert } from './convert';
export type { Unit } from './data/units';
export { roundGrams, roundMillilitres } from './round-for-kitchen';
