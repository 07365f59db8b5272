export { coolingHours } from './cooling-hours';
