export { bowlMl } from './bowl-ml';
export { CLING_PERCENT, portions } from './portions';
