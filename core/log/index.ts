export { activeEvents, undoneIds } from './active-events';
