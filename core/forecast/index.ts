export { forecast, type MassReading } from './forecast';
export type { ForecastInterval } from './forecast-interval';
export { normalShare, truncatedNormal, Z } from './normal';
