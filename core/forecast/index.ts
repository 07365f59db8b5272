export { forecast, type MassReading } from './forecast';
export { normalShare, truncatedNormal, Z } from './normal';
