import {
  type CoolingBody,
  cooledFor,
  inOtherAir,
  meanC,
  slabBody,
  stirredBody,
  stirredPerHour,
} from './cooling-body';
import { type CoolingAir, FILM_WM2K } from './data/films';

/** How food is cooled from a moment on: in what, how deep, where. */
export interface CoolingHow {
  /** pans, or one pot */
  pans: number;
  /** the floor of one, m² */
  areaM2: number;
  depthCm: number;
  air: CoolingAir;
  /** the place's air, or the ice water, °C */
  airC: number;
  /** which of the kitchen's cold places, and what it is called; its film is learned by its id */
  placeId: string;
  place: string;
}

/** Whether it is stirred: in ice it is, each 5 min. */
export const isStirred = ({ air }: Pick<CoolingHow, 'air'>): boolean => air === 'ice';

/** Litres that stand in the pans. */
export const litresIn = ({ pans, areaM2, depthCm }: CoolingHow): number => pans * areaM2 * depthCm * 10;

/** How deep so many litres stand, cm. */
export const depthOf = (litres: number, { pans, areaM2 }: Pick<CoolingHow, 'pans' | 'areaM2'>): number =>
  litres / (pans * areaM2 * 10);

/** A body begun as warm all through, in a place whose film is so many times the first guess. */
export function beginBody(how: CoolingHow, tempC: number, filmFactor = 1): CoolingBody {
  const { depthCm, areaM2, airC, air } = how;
  const filmWm2K = FILM_WM2K[air] * filmFactor;
  return isStirred(how)
    ? stirredBody({ perHour: stirredPerHour({ filmWm2K, depthCm, areaM2 }), airC, tempC })
    : slabBody({ depthCm, filmWm2K, airC, tempC });
}

/**
 * What it is from here on: poured into other pans, or stirred, it is as warm all through as it was on the average; carried
 * to other air as it stands, it keeps its layers.
 *
 * @param body as it has cooled
 * @param hours after the body began
 * @param from,to how it was cooled and how it is from now on
 */
export function changedBody(
  body: CoolingBody,
  hours: number,
  from: CoolingHow,
  to: CoolingHow,
  filmFactor = 1,
): CoolingBody {
  const isPoured = from.pans !== to.pans || from.areaM2 !== to.areaM2 || from.depthCm !== to.depthCm;
  if (isPoured || isStirred(to)) return beginBody(to, meanC(body, hours), filmFactor);
  const { depthCm, airC, air } = to;
  return inOtherAir(cooledFor(body, hours), { depthCm, airC, filmWm2K: FILM_WM2K[air] * filmFactor });
}
