export { dilutionKg } from './dilution-kg';
export { SATURATED_SALT_PERCENT, saltToAddG } from './salt-to-add-g';
