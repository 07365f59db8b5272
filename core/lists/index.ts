export { BOARDS, type Board, type MiseNote, miseList } from './mise-list';
export { pullList } from './pull-list';
