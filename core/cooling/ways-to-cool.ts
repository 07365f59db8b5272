import type { ForecastInterval } from '../forecast';
import type { CoolingPlace } from './cooling-acts';
import {
  CODE_COOLING_LIMITS,
  COLD_C,
  type CoolingLimits,
  coolingForecast,
  FIRST_STEP_C,
} from './cooling-forecast';
import { type CoolingHow, isStirred } from './cooling-how';
import { coolingKnown, type FilmShown, POURED_SD_C } from './cooling-run';
import { PAN_AREA_M2, SHALLOWEST_CM, SOUP_KJ_PER_KG_K } from './data/films';
import { iceBathKg } from './ice';

/** A pan of 10 cm is filled to this, cm. Common practice. */
const DEEPEST_CM = 9;

/** A way is in time where so much as one in ten would miss. */
const MAY_MISS = 0.1;

/** A pan is filled, wiped and carried in so long, and a stir takes so long, min. Common practice. */
const HANDS_MIN = { pan: 2, stir: 1, stirEvery: 5 } as const;

/** One way to cool what is hot: in which place, in how many pans, how deep; and when it would be cold. */
export interface CoolingWay {
  how: CoolingHow;
  first: ForecastInterval;
  cold: ForecastInterval;
  /** the chance of missing either limit, 0..1 */
  mayMiss: number;
  isInTime: boolean;
  /** ice it takes, kg; null where it is none */
  iceKg: number | null;
  /** what it takes of a cook's hands in all, min */
  handsMin: number;
  /** loads, one after the other, where the place takes less at once */
  loads: number;
}

export interface ToCool {
  /** litres of hot soup, above 0 */
  litres: number;
  /** °C as it is poured */
  startC: number;
  places: readonly CoolingPlace[];
  /** empty pans there are; null where nobody counted */
  emptyPans: number | null;
  /** what the films of places have shown, by their ids */
  shown?: Readonly<Record<string, FilmShown>>;
  limits?: CoolingLimits;
}

/**
 * The ways a kitchen has to cool so much hot soup: for each of its cold places the fewest pans that make both limits, or
 * the most it has where none do.
 *
 * @param of what is to be cooled, and where it may be
 * @param atMs when it is poured, ms
 * @returns those in time first, the fewest pans first; empty where the kitchen has no cold place
 * @source docs/model.md § 10
 */
export function waysToCool(of: ToCool, atMs: number): CoolingWay[] {
  return of.places
    .filter((place) => place.airC < COLD_C)
    .map((place) => wayIn(place, of, atMs))
    .sort(
      (a, b) =>
        Number(b.isInTime) - Number(a.isInTime) ||
        a.loads - b.loads ||
        Number(isStirred(a.how)) - Number(isStirred(b.how)) ||
        a.how.pans - b.how.pans,
    );
}

function wayIn(place: CoolingPlace, of: ToCool, atMs: number): CoolingWay {
  const litresAt = (depthCm: number) => PAN_AREA_M2 * depthCm * 10;
  const fewest = Math.max(1, Math.ceil(of.litres / litresAt(DEEPEST_CM)));
  const most = Math.max(
    fewest,
    Math.min(of.emptyPans ?? Number.POSITIVE_INFINITY, Math.floor(of.litres / litresAt(SHALLOWEST_CM))),
  );
  let [low, high] = [fewest, most];
  // more pans are shallower and sooner cold: the first that is in time is found by halving
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (withPans(place, middle, of, atMs).mayMiss <= MAY_MISS) high = middle;
    else low = middle + 1;
  }
  return withPans(place, low, of, atMs);
}

/**
 * One way: so many pans in one place.
 *
 * @param pans 1 or more
 */
export function withPans(place: CoolingPlace, pans: number, of: ToCool, atMs: number): CoolingWay {
  const how: CoolingHow = {
    pans,
    areaM2: PAN_AREA_M2,
    depthCm: of.litres / (pans * PAN_AREA_M2 * 10),
    air: place.air,
    airC: place.airC,
    placeId: place.id,
    place: place.name,
  };
  const known = coolingKnown(
    { startC: of.startC, startSdC: POURED_SD_C.computed, steps: [{ atMs, how }], readings: [] },
    of.shown,
  );
  const { first, cold, missFirst, missCold } = coolingForecast(known, atMs, of.limits ?? CODE_COOLING_LIMITS);
  const mayMiss = Math.max(missFirst, missCold);
  const iceKg = isStirred(how)
    ? iceBathKg({ massKg: of.litres, specificHeatKJ: SOUP_KJ_PER_KG_K, fromC: of.startC, toC: FIRST_STEP_C })
    : null;
  const takesKg = place.kg;
  const loads = takesKg === null || takesKg <= 0 ? 1 : Math.ceil((iceKg ?? of.litres) / takesKg - 1e-9);
  const stirredMin = isStirred(how) && first.p50Ms !== null ? (first.p50Ms - atMs) / 60_000 : 0;
  const handsMin = pans * HANDS_MIN.pan + Math.ceil(stirredMin / HANDS_MIN.stirEvery) * HANDS_MIN.stir;
  return {
    how,
    first,
    cold,
    mayMiss,
    isInTime: mayMiss <= MAY_MISS && loads === 1,
    iceKg,
    handsMin,
    loads,
  };
}
