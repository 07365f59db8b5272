export { bowlMl } from './bowl-ml';
export { bowlsFor, type Ladling, ladling, underRimMl } from './ladling';
export { CLING_PERCENT, portions } from './portions';
