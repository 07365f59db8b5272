export { forecast, type MassReading } from './forecast';
export { normalShare, Z } from './normal';
