/** What Slow Pot says, in the language of this folder: another language is another folder, named here. */
export {
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
  stick,
  temperature,
  volume,
  weight,
  writeFiguresAs,
  writeTenths,
} from './amounts';
export * from './en';
