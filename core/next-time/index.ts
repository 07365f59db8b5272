export { isLearnedFrom, withNextTime } from './accepted';
export { type NextTime, nextTime, type Right, type ShownByBatch } from './next-time';
