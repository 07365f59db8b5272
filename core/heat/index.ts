export { airPressureKPa } from './air-pressure-kpa';
export { boilingPointC } from './boiling-point-c';
export { cookMinutes } from './cook-minutes';
export { STEEL_SPECIFIC_HEAT_KJ, WALL_LOSS_W_PER_M2K } from './data/heat-constants';
export { latentHeatKJPerKg } from './latent-heat-kj-per-kg';
export { minutesToCookDice, softeningFactor } from './minutes-to-cook-dice';
export { minutesToHeat } from './minutes-to-heat';
export { type MixPart, mixTempC } from './mix-temp-c';
export { saturation, saturationPressureKPa } from './saturation-pressure-kpa';
