export { UMAMI } from './data/umami-constants';
export { umamiGPer100g } from './umami-g-per-100g';
