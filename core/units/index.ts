export { convert } from './convert';
export { UNITS, type Unit } from './data/units';
export { roundGrams, roundMillilitres } from './round-for-kitchen';
