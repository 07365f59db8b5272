export { type BegunAhead, begunAhead, QUICK_SOAK_MS, type ShortWay } from './begun-ahead';
export { BOARDS, type Board, type MiseNote, miseList } from './mise-list';
export { pullList } from './pull-list';
