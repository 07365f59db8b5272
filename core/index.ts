// The public face of core: the functions that checks from outside the project rely on, with their names and units
// (docs/model.md). The house itself imports each topic through `core/<topic>`.

export { coolingHours } from './cooling/cooling-hours';
export { boilOffKgPerHour } from './evaporation/boil-off-kg-per-hour';
export { surfaceLossKgPerHour } from './evaporation/surface-loss-kg-per-hour';
export { forecast } from './forecast/forecast';
export { boilingPointC } from './heat/boiling-point-c';
export { latentHeatKJPerKg } from './heat/latent-heat-kj-per-kg';
export { minutesToCookDice } from './heat/minutes-to-cook-dice';
export { minutesToHeat } from './heat/minutes-to-heat';
export { mixTempC } from './heat/mix-temp-c';
export { bowlMl } from './portions/bowl-ml';
export { portions } from './portions/portions';
export { dilutionKg } from './salt/dilution-kg';
export { saltToAddG } from './salt/salt-to-add-g';
export { umamiGPer100g } from './taste/umami-g-per-100g';
export { flourEquivalentGPerL } from './thickness/flour-equivalent-g-per-l';
export { thicknessBand } from './thickness/thickness-band';
export { convert } from './units/convert';
export { depthAtLitres } from './vessel/depth-at-litres';
export { litresAtDepth } from './vessel/litres-at-depth';
export { surfaceM2 } from './vessel/surface-m2';
export type { Vessel } from './vessel/vessel';
