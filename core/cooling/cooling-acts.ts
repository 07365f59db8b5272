import type { ForecastInterval } from '../forecast';
import { type CoolingBody, hoursUntil } from './cooling-body';
import { COLD_C, type CoolingForecast, FIRST_STEP_C, momentsOf } from './cooling-forecast';
import { type CoolingHow, changedBody, isStirred, litresIn } from './cooling-how';
import { type CoolingKnown, FILM_UNKNOWN, type FilmShown } from './cooling-run';
import { type CoolingAir, SHALLOWEST_CM, SOUP_KJ_PER_KG_K, THREE_POINTS } from './data/films';
import { iceBathKg } from './ice';

const HOUR_MS = 3_600_000;

/** A cold place as the kitchen has it. */
export interface CoolingPlace {
  id: string;
  name: string;
  air: CoolingAir;
  airC: number;
  /** what it takes at once, or the ice on hand, kg; null where nobody said */
  kg: number | null;
}

/** Something that can still be done for a cooling, and where it leads. */
export interface CoolingAct {
  act: 'pour' | 'ice' | 'move';
  how: CoolingHow;
  /** when the limit that presses is reached, were it done now */
  reaches: ForecastInterval;
  /** until when it saves the cooling, ms; null where it no longer does */
  lastMs: number | null;
  /** empty pans it takes */
  pans: number;
  /** ice it takes; null where it is none */
  iceKg: number | null;
  /** more than the place takes, or more ice than there is, kg; 0 where it has room */
  overKg: number;
}

/** From the word to its being done pans are carried and poured, min. Common practice. */
const HANDS_MIN = 10;

/** Told on the safe side: one film in five is worse. */
const SAFE_Z = -0.8416;

/**
 * What can still be done for a cooling: pour it shallower, stand it in ice and stir, carry it to moving or colder air. Each
 * with when it would be cold enough, and the last moment at which it still is.
 *
 * @param known the cooling as its readings show it
 * @param forecast of it, for its limits
 * @param of the kitchen's cold places, what their films have shown, and empty pans (null where nobody counted)
 * @param nowMs the moment, ms
 * @returns the act that is cold soonest first
 * @source the courses of `coolingKnown`; the last moment with a film that four in five are better than
 */
export function coolingActs(
  known: CoolingKnown,
  forecast: CoolingForecast,
  of: {
    places: readonly CoolingPlace[];
    shown?: Readonly<Record<string, FilmShown>>;
    emptyPans: number | null;
  },
  nowMs: number,
): CoolingAct[] {
  const massKg = litresIn(known.how);
  return waysOut(known.how, of)
    .map(({ act, how, place }): CoolingAct => {
      const iceKg = isStirred(how)
        ? iceBathKg({
            massKg,
            specificHeatKJ: SOUP_KJ_PER_KG_K,
            fromC: Math.max(forecast.centreC.p90, FIRST_STEP_C),
            toC: COLD_C,
          })
        : null;
      const takesKg = place?.kg ?? null;
      return {
        act,
        how,
        ...outlook(known, forecast, how, of.shown?.[how.placeId], nowMs),
        pans: act === 'pour' ? how.pans - known.how.pans : 0,
        iceKg,
        overKg: act === 'pour' || takesKg === null ? 0 : Math.max(0, (iceKg ?? massKg) - takesKg),
      };
    })
    .sort((a, b) => (a.reaches.p50Ms ?? Infinity) - (b.reaches.p50Ms ?? Infinity));
}

interface WayOut {
  act: CoolingAct['act'];
  how: CoolingHow;
  place: CoolingPlace | null;
}

function waysOut(
  now: CoolingHow,
  { places, emptyPans }: { places: readonly CoolingPlace[]; emptyPans: number | null },
): WayOut[] {
  const pans = Math.min(2 * now.pans, now.pans + (emptyPans ?? Number.POSITIVE_INFINITY));
  const depthCm = (now.depthCm * now.pans) / pans;
  const pours: WayOut[] =
    pans > now.pans && depthCm >= SHALLOWEST_CM
      ? [{ act: 'pour', how: { ...now, pans, depthCm }, place: null }]
      : [];
  const moves = places
    .filter((place) => place.id !== now.placeId && place.airC < FIRST_STEP_C)
    .map(
      (place): WayOut => ({
        act: place.air === 'ice' ? 'ice' : 'move',
        how: { ...now, air: place.air, airC: place.airC, placeId: place.id, place: place.name },
        place,
      }),
    );
  return [...pours, ...moves];
}

/** When it reaches what presses if it is done now, and until when that is in time. */
function outlook(
  known: CoolingKnown,
  forecast: CoolingForecast,
  how: CoolingHow,
  shown: FilmShown | undefined,
  nowMs: number,
): Pick<CoolingAct, 'reaches' | 'lastMs'> {
  const isSamePlace = how.placeId === known.how.placeId;
  const there = isSamePlace ? known.film : (shown ?? FILM_UNKNOWN);
  const isFirst = forecast.centreC.p50 > FIRST_STEP_C;
  const toC = isFirst ? FIRST_STEP_C : COLD_C;
  const after = (fromMs: number, body: CoolingBody, logFilm: number) =>
    changedBody(body, Math.max(0, fromMs - known.sinceMs) / HOUR_MS, known.how, how, Math.exp(logFilm));
  const points = THREE_POINTS.flatMap((now) => {
    const body = courseAt(known, now.z);
    return THREE_POINTS.map((then) => {
      const logFilm = isSamePlace ? known.film.mean + now.z * known.film.sd : there.mean + then.z * there.sd;
      const hours = hoursUntil(after(nowMs, body, logFilm), toC);
      return { weight: now.weight * then.weight, value: hours === null ? null : nowMs + hours * HOUR_MS };
    });
  });
  const slow = courseAt(known, SAFE_Z);
  const inTime = (fromMs: number) => {
    const body = after(fromMs, slow, there.mean + SAFE_Z * there.sd);
    const isBy = (limitC: number, dueMs: number) => {
      const hours = hoursUntil(body, limitC);
      return hours !== null && fromMs + hours * HOUR_MS <= dueMs;
    };
    return (!isFirst || isBy(FIRST_STEP_C, forecast.firstDueMs)) && isBy(COLD_C, forecast.coldDueMs);
  };
  return {
    reaches: momentsOf(points),
    lastMs: lastMoment(inTime, nowMs, isFirst ? forecast.firstDueMs : forecast.coldDueMs),
  };
}

/** The course whose film is so many standard deviations off what is known, begun as warm as is likeliest. */
function courseAt(known: CoolingKnown, z: number): CoolingBody {
  const wanted = known.film.mean + z * known.film.sd;
  const middle = known.courses.filter((_, i) => i % THREE_POINTS.length === 1);
  return middle.reduce((a, b) => (Math.abs(b.logFilm - wanted) < Math.abs(a.logFilm - wanted) ? b : a)).body;
}

/** The last moment of a stretch to begin what holds no more later, to the minute; null where that is past. */
function lastMoment(holds: (atMs: number) => boolean, fromMs: number, toMs: number): number | null {
  if (toMs <= fromMs || !holds(fromMs)) return null;
  let low = fromMs;
  let high = toMs;
  while (high - low > 60_000) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low - HANDS_MIN * 60_000 > fromMs ? low - HANDS_MIN * 60_000 : null;
}
