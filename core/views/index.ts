export { type BatchHead, type BatchOutcome, batchHead } from './batch-head';
export { type LotView, lotView, type SeenFrom, tagUntilMs } from './lot-view';
