export {
  ROUX_COLOURS,
  ROUX_MINUTES,
  type RouxColour,
  type RouxFat,
  SWELLS_C,
  WATER_OF,
} from './data/roux-stages';
export { type Roux, type RouxAsked, type RouxStage, rouxFor } from './roux';
