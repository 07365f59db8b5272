export { boilOffKgPerHour } from './boil-off-kg-per-hour';
export { LID_FACTOR, type Lid } from './data/evaporation-constants';
export { surfaceLossKgPerHour, surfaceSteam } from './surface-loss-kg-per-hour';
