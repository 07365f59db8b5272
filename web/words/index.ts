/** What Slow Pot says, in the language of this folder: another language is another folder, named here. */
export {
  altitude,
  centsPerKgTyped,
  day,
  dayAndHour,
  depth,
  dose,
  fieldUnit,
  kelvins,
  litres,
  money,
  portion,
  potUnit,
  priceHere,
  pricePerVolume,
  pricePerWeight,
  stick,
  strength,
  temperature,
  volume,
  weight,
  writeFiguresAs,
  writeTenths,
} from './amounts';
export * from './en';
export { inMeasures } from './in-measures';
