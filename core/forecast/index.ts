export { forecast, type MassReading } from './forecast';
export { Z } from './normal';
