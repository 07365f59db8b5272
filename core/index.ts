// The public face of core: the functions that checks from outside the project rely on, with their names and units
// (docs/model.md). The house itself imports each topic through `core/<topic>`.

import { sound } from './check';
import { coolingHours as coolingHoursOf } from './cooling/cooling-hours';
import { boilOffKgPerHour as boilOffKgPerHourOf } from './evaporation/boil-off-kg-per-hour';
import { surfaceLossKgPerHour as surfaceLossKgPerHourOf } from './evaporation/surface-loss-kg-per-hour';
import { forecast as forecastOf } from './forecast/forecast';
import { boilingPointC as boilingPointCOf } from './heat/boiling-point-c';
import { latentHeatKJPerKg as latentHeatKJPerKgOf } from './heat/latent-heat-kj-per-kg';
import { minutesToCookDice as minutesToCookDiceOf } from './heat/minutes-to-cook-dice';
import { minutesToHeat as minutesToHeatOf } from './heat/minutes-to-heat';
import { mixTempC as mixTempCOf } from './heat/mix-temp-c';
import { bowlMl as bowlMlOf } from './portions/bowl-ml';
import { portions as portionsOf } from './portions/portions';
import { dilutionKg as dilutionKgOf } from './salt/dilution-kg';
import { saltToAddG as saltToAddGOf } from './salt/salt-to-add-g';
import { umamiGPer100g as umamiGPer100gOf } from './taste/umami-g-per-100g';
import { flourEquivalentGPerL as flourEquivalentGPerLOf } from './thickness/flour-equivalent-g-per-l';
import { thicknessBand as thicknessBandOf } from './thickness/thickness-band';
import { convert as convertOf } from './units/convert';
import { depthAtLitres as depthAtLitresOf } from './vessel/depth-at-litres';
import { litresAtDepth as litresAtDepthOf } from './vessel/litres-at-depth';
import { surfaceM2 as surfaceM2Of } from './vessel/surface-m2';

export type { Vessel } from './vessel/vessel';

export const coolingHours = sound('coolingHours', coolingHoursOf);
export const boilOffKgPerHour = sound('boilOffKgPerHour', boilOffKgPerHourOf);
export const surfaceLossKgPerHour = sound('surfaceLossKgPerHour', surfaceLossKgPerHourOf);
export const forecast = sound('forecast', forecastOf);
export const boilingPointC = sound('boilingPointC', boilingPointCOf);
export const latentHeatKJPerKg = sound('latentHeatKJPerKg', latentHeatKJPerKgOf);
export const minutesToCookDice = sound('minutesToCookDice', minutesToCookDiceOf);
export const minutesToHeat = sound('minutesToHeat', minutesToHeatOf);
export const mixTempC = sound('mixTempC', mixTempCOf);
export const bowlMl = sound('bowlMl', bowlMlOf);
export const portions = sound('portions', portionsOf);
export const dilutionKg = sound('dilutionKg', dilutionKgOf);
export const saltToAddG = sound('saltToAddG', saltToAddGOf);
export const umamiGPer100g = sound('umamiGPer100g', umamiGPer100gOf);
export const flourEquivalentGPerL = sound('flourEquivalentGPerL', flourEquivalentGPerLOf);
export const thicknessBand = sound('thicknessBand', thicknessBandOf);
export const convert = sound('convert', convertOf);
export const depthAtLitres = sound('depthAtLitres', depthAtLitresOf);
export const litresAtDepth = sound('litresAtDepth', litresAtDepthOf);
export const surfaceM2 = sound('surfaceM2', surfaceM2Of);
