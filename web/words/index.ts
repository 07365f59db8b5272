/** What Slow Pot says, in the language of this folder: another language is another folder, named here. */
export {
  depth,
  dose,
  fieldUnit,
  kelvins,
  litres,
  money,
  portion,
  stick,
  temperature,
  volume,
  weight,
  writeFiguresAs,
  writeTenths,
} from './amounts';
export * from './en';
