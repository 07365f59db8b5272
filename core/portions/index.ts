export { bowlMl } from './bowl-ml';
export { bowlsFor, type Ladling, ladling, underRimMl } from './ladling';
export {
  garnishedPortions,
  garnishTimes,
  guestPortions,
  isForNow,
  kindOf,
  kindsOf,
  litresOfKinds,
  PLAIN_KIND,
  PORTION_WORDS,
  type PortionKind,
  type PortionWord,
  portionsOfKinds,
} from './portion-kind';
export { CLING_PERCENT, portions } from './portions';
