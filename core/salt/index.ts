export { dilutionKg } from './dilution-kg';
export { reducedSaltPercent } from './reduced-salt-percent';
export { SATURATED_SALT_PERCENT, saltToAddG } from './salt-to-add-g';
