import { positive, within } from '../check';
import { latentHeatKJPerKg, mixTempC } from '../heat';
import { ROUX_C, ROUX_DEPTH_CM, ROUX_HEAT_SHARE, ROUX_MATTER } from '../scaling';
import { flourEquivalentOfBand, THICKENERS } from '../thickness';
import {
  LONGER_BY_LOAD,
  ROUX_COLOURS,
  ROUX_MINUTES,
  type RouxColour,
  type RouxFat,
  SWELLS_C,
  USUAL_KG,
  WATER_OF,
} from './data/roux-stages';

/** What a roux is asked for. */
export interface RouxAsked {
  /** of liquid to be thickened, L; as thick as it is already, and as it should be, bands 0..6 */
  litres: number;
  fromBand: number;
  band: number;
  colour: RouxColour;
  fat: RouxFat;
  /** rendered in the pan already, kg */
  renderedKg: number;
  /** across the pan it is made in, cm; what its burner gives when it is full on, kW */
  panCm: number;
  burnerKW: number;
  where: 'flame' | 'oven';
  /** as they are joined, °C */
  rouxC: number;
  liquidC: number;
}

/** One stage on the way to its colour, minutes from when it is set on. */
export interface RouxStage {
  colour: RouxColour;
  fromMin: number;
  toMin: number;
}

export interface Roux {
  flourKg: number;
  /** in all; to be put in beside what is rendered; and what of that is too much and poured off, kg */
  fatKg: number;
  fatToAddKg: number;
  pourOffKg: number;
  rouxKg: number;
  /** share of white flour's thickening that its colour has cost, 0..1 */
  lost: number;
  depthCm: number;
  /** so many pans of it, or one after the other, none deeper than is good */
  pans: number;
  /** until one pan of it is hot, the butter's water gone */
  warmMin: number;
  stages: RouxStage[];
  joined: { tempC: number; how: 'oneHot' | 'bothHot' | 'bothCold' };
}

/** Stock and milk, kJ/kg·K, a kilogram to the litre. From memory, a little under water. */
const LIQUID_KJ_PER_KG_K = 4;

/**
 * A roux for so much liquid: its weights by colour, the fat that is there already counted, pan, minutes, and what happens
 * as the two are joined.
 *
 * @param asked litres above 0 up to 500; bands 0..6, `band` above `fromBand`; fat 0 kg or more; pan 10..120 cm; burner
 *   0.2..60 kW; temperatures -5..200 °C
 * @returns kg, cm, minutes, °C
 * @throws RangeError naming what is out of range; for an oven and a white roux, which is made on the flame
 * @source equal weights of fat and flour, pale and dark: common practice; warming by heat balance
 */
export function rouxFor(asked: RouxAsked): Roux {
  const litres = within('litres', asked.litres, 0.05, 500);
  const fromBand = within('fromBand', asked.fromBand, 0, 6);
  const band = within('band', asked.band, 0, 6);
  if (band <= fromBand) throw new RangeError(`band must be above ${fromBand}, got ${band}`);
  const { strength } = THICKENERS[asked.colour];
  const bodyG = litres * (flourEquivalentOfBand({ band }) - flourEquivalentOfBand({ band: fromBand }));
  const flourKg = bodyG / strength / 1000;
  const fatKg = flourKg;
  const rendered = within('renderedKg', asked.renderedKg, 0, 100);
  const fatToAddKg = Math.max(0, fatKg - rendered);
  const rouxKg = flourKg + fatKg;
  const areaM2 = Math.PI * (within('panCm', asked.panCm, 10, 120) / 200) ** 2;
  const depthCm = (100 * rouxKg) / ROUX_MATTER.densityKgPerL / 1000 / areaM2;
  const pans = Math.max(1, Math.ceil(depthCm / ROUX_DEPTH_CM - 1e-9));
  const warmMin = warmingMin(asked, fatToAddKg / pans, rouxKg / pans);
  const rouxC = within('rouxC', asked.rouxC, -5, 200);
  const liquidC = within('liquidC', asked.liquidC, -5, 105);
  return {
    flourKg,
    fatKg,
    fatToAddKg,
    pourOffKg: Math.max(0, rendered - fatKg),
    rouxKg,
    lost: 1 - strength / THICKENERS.rouxWhite.strength,
    depthCm: depthCm / pans,
    pans,
    warmMin,
    stages: stagesOf(asked, rouxKg / pans, warmMin),
    joined: {
      tempC: mixTempC({
        parts: [
          { massKg: rouxKg, specificHeatKJ: ROUX_MATTER.specificHeatKJ, tempC: rouxC },
          { massKg: litres, specificHeatKJ: LIQUID_KJ_PER_KG_K, tempC: liquidC },
        ],
      }),
      how: howJoined(rouxC, liquidC),
    },
  };
}

/** Heat to bring it to where it colours, and to drive the butter's water off, at the share of the burner it bears. */
function warmingMin(asked: RouxAsked, addedKg: number, rouxKg: number): number {
  const warmKJ = rouxKg * ROUX_MATTER.specificHeatKJ * (ROUX_C - ROUX_MATTER.fromC);
  const waterKJ = addedKg * WATER_OF[asked.fat] * latentHeatKJPerKg({ tempC: 100 });
  const kW = ROUX_HEAT_SHARE * within('burnerKW', asked.burnerKW, 0.2, 60);
  return (warmKJ + waterKJ) / kW / 60;
}

/** Each stage up to the colour that is wanted; a heavier one takes longer than half a kilo. */
function stagesOf({ colour, where }: RouxAsked, kg: number, warmMin: number): RouxStage[] {
  if (where === 'oven' && ROUX_MINUTES[colour].oven === null)
    throw new RangeError('colour must be blond or darker in an oven, got white');
  const longer = Math.max(1, (positive('kg', kg) / USUAL_KG) ** LONGER_BY_LOAD);
  return ROUX_COLOURS.slice(0, ROUX_COLOURS.indexOf(colour) + 1).flatMap((one) => {
    const minutes = ROUX_MINUTES[one][where];
    if (!minutes) return [];
    return [{ colour: one, fromMin: warmMin + minutes[0] * longer, toMin: warmMin + minutes[1] * longer }];
  });
}

function howJoined(rouxC: number, liquidC: number): Roux['joined']['how'] {
  const isHot = (tempC: number) => tempC > SWELLS_C;
  if (isHot(rouxC) && isHot(liquidC)) return 'bothHot';
  return isHot(rouxC) || isHot(liquidC) ? 'oneHot' : 'bothCold';
}
