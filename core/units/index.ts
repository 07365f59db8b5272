export { convert } from './convert';
export { UNITS, type Unit } from './data/units';
export { METRIC, type Measures, measuresOf, type UnitSystem } from './measures';
export {
  FIELD_UNITS,
  type FieldUnit,
  kitchenUnit,
  MODEL_UNIT,
  readQuantity,
  writeQuantity,
} from './read-quantity';
export { roundGrams, roundMillilitres } from './round-for-kitchen';
