export { BOARDS, miseList } from './mise-list';
export { pullList } from './pull-list';
