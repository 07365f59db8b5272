export { batchLines, type RecordedBatch, type SaidOfBatch } from './batch-lines';
export { type LotLimits, lotLines, type RecordedLot, type SaidOfLot } from './lot-lines';
export {
  inOrder,
  RECORD_KINDS,
  type RecordDeed,
  type RecordKind,
  type RecordLimit,
  type RecordLine,
  type RecordStanding,
  type RecordSubject,
} from './record-line';
export { sealDigits } from './seal-digits';
export {
  type SaidOfThermometer,
  type ThermometerStanding,
  thermometerLines,
  thermometerStanding,
} from './thermometer-lines';
