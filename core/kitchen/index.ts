export {
  DIAL_KINDS,
  type Dial,
  type DialKind,
  firstDial,
  type HeatMark,
  type LearnedMark,
  learnedMarks,
  markNear,
} from './dial';
export { EFFICIENCY } from './efficiency';
export { type HeatTest, type HeatTestResult, heatTestResult, LEAST_HEAT_TEST } from './heat-test';
export {
  THERMOMETER_WITHIN_C,
  type ThermometerCheck,
  type ThermometerVerdict,
  thermometerVerdict,
} from './thermometer';
