import { type CoolingBody, centreC, hoursUntil, scaled } from './cooling-body';
import { beginBody, type CoolingHow, changedBody } from './cooling-how';
import { FILM_LOG_SD, THREE_POINTS } from './data/films';

const HOUR_MS = 3_600_000;

/** A kitchen thermometer shows too much or too little all day, and each look is off a little, °C. From memory. */
const OFFSET_SD_C = 0.8;
const LOOK_SD_C = 0.4;

/** Of the temperature a pot was thought to have as it was poured, and of one that was read, °C. From memory. */
export const POURED_SD_C = { computed: 4, read: 1 } as const;

/** More readings than this say nothing more: a probe's are thinned, the first and the last kept. */
const MOST_READINGS = 24;

/** What past coolings say of a place's film, over the first guess: mean and sd of the logarithm. */
export interface FilmShown {
  mean: number;
  sd: number;
}

export const FILM_UNKNOWN: FilmShown = { mean: 0, sd: FILM_LOG_SD };

/** One cooling as it was said: what was poured and how warm, how it stood from when on, what the thermometer said. */
export interface CoolingSaid {
  startC: number;
  startSdC: number;
  /** the first from the start on; in the order of their time */
  steps: readonly { atMs: number; how: CoolingHow }[];
  /** in the middle of a pan; in the order of their time */
  readings: readonly { atMs: number; tempC: number }[];
}

/** One way it may go, and how likely that is. */
interface Course {
  weight: number;
  logFilm: number;
  body: CoolingBody;
}

/** A cooling as far as it can be told: the ways it may go in the place where it stands now. */
export interface CoolingKnown {
  how: CoolingHow;
  /** since when it has stood so, ms; the bodies of the courses begin there */
  sinceMs: number;
  courses: readonly Course[];
  /** what its readings show of the film of this place; the first guess where there were none */
  film: FilmShown;
  /** how many readings were taken since it stands so */
  readings: number;
  /** when its middle passed a temperature before it stood so, by the likeliest course, ms */
  passedBefore: (tempC: number) => number | null;
}

/**
 * What is known of a cooling: the film of the place and what the thermometer is off by, out of the readings; each stretch
 * in another place after the one before it.
 *
 * @param said the cooling; its times in ms
 * @param shown what is known of each place's film before, by its id
 * @source log-normal film, ±40 % where nothing is known; the start and the thermometer's offset as normals, estimated
 *   along each film by a Kalman filter; checked on simulated coolings
 */
export function coolingKnown(
  said: CoolingSaid,
  shown: Readonly<Record<string, FilmShown>> = {},
): CoolingKnown {
  let start: Start = { offset: { mean: 0, variance: OFFSET_SD_C ** 2 }, sdC: said.startSdC, before: null };
  const seen = new Map<string, FilmShown>();
  const passed: { fromMs: number; toMs: number; body: CoolingBody }[] = [];
  for (const [i, { atMs, how }] of said.steps.entries()) {
    const untilMs = said.steps[i + 1]?.atMs ?? Number.POSITIVE_INFINITY;
    const readings = thinned(said.readings.filter((one) => one.atMs >= atMs && one.atMs < untilMs));
    const stretch: Stretch = { atMs, how, start, startC: said.startC, readings };
    // what it showed of a place before it was poured otherwise there holds there still
    const film = filmOf(stretch, seen.get(how.placeId) ?? shown[how.placeId] ?? FILM_UNKNOWN);
    seen.set(how.placeId, film);
    if (i === said.steps.length - 1) {
      return {
        how,
        sinceMs: atMs,
        courses: coursesOf(stretch, film),
        film,
        readings: readings.length,
        passedBefore: (tempC) => {
          for (const one of passed) {
            const hours = hoursUntil(one.body, tempC);
            if (hours !== null && hours * HOUR_MS < one.toMs - one.fromMs)
              return one.fromMs + hours * HOUR_MS;
          }
          return null;
        },
      };
    }
    const along = filtered(stretch, film.mean);
    const hours = (untilMs - atMs) / HOUR_MS;
    const body = warmer(along.body, along.startC);
    passed.push({ fromMs: atMs, toMs: untilMs, body });
    const spread = along.startC.variance * along.shareAt(hours) ** 2;
    const byFilm = centreC(filtered(stretch, film.mean + film.sd).body, hours) - centreC(along.body, hours);
    start = {
      offset: along.offset,
      sdC: Math.sqrt(spread + byFilm * byFilm),
      before: { body, hours, how },
    };
  }
  throw new RangeError('steps must have the start of the cooling, got none');
}

/** What a stretch begins with: what the thermometer is off by, how sure the temperature is, what it was before. */
interface Start {
  offset: Normal;
  sdC: number;
  before: { body: CoolingBody; hours: number; how: CoolingHow } | null;
}

interface Normal {
  mean: number;
  variance: number;
}

interface Stretch {
  atMs: number;
  how: CoolingHow;
  start: Start;
  startC: number;
  readings: CoolingSaid['readings'];
}

/** The readings along one film: how likely they are, how much warmer it began than thought, and the thermometer's offset. */
function filtered({ atMs, how, start, startC: saidC, readings }: Stretch, logFilm: number) {
  const factor = Math.exp(logFilm);
  const { before } = start;
  const body = before
    ? changedBody(before.body, before.hours, before.how, how, factor)
    : beginBody(how, saidC, factor);
  const aboveK = centreC(body, 0) - how.airC;
  const shareAt = (hours: number) => (aboveK === 0 ? 0 : (centreC(body, hours) - how.airC) / aboveK);
  // a filter of two: warmer at the start, and the thermometer's offset
  let warmC = 0;
  let offC = start.offset.mean;
  let [pWarm, pBoth, pOff] = [start.sdC ** 2, 0, start.offset.variance];
  let logLikelihood = 0;
  for (const reading of readings) {
    const share = shareAt((reading.atMs - atMs) / HOUR_MS);
    const gainWarm = pWarm * share + pBoth;
    const gainOff = pBoth * share + pOff;
    const variance = gainWarm * share + gainOff + LOOK_SD_C ** 2;
    const missedC = reading.tempC - (how.airC + (aboveK + warmC) * share + offC);
    logLikelihood -= (Math.log(variance) + (missedC * missedC) / variance) / 2;
    warmC += (gainWarm * missedC) / variance;
    offC += (gainOff * missedC) / variance;
    pWarm -= (gainWarm * gainWarm) / variance;
    pBoth -= (gainWarm * gainOff) / variance;
    pOff -= (gainOff * gainOff) / variance;
  }
  return {
    body,
    shareAt,
    logLikelihood,
    startC: { mean: warmC, variance: pWarm },
    offset: { mean: offC, variance: pOff },
  };
}

const warmer = (body: CoolingBody, { mean }: Normal): CoolingBody => {
  const aboveK = centreC(body, 0) - body.airC;
  return aboveK > 0 ? scaled(body, Math.max(0, 1 + mean / aboveK)) : body;
};

/** Points of the logarithm, in standard deviations, by which a film is felt for and then told. */
const FELT = Array.from({ length: 7 }, (_, i) => (i - 3) * 0.8);

/** Where it is not much narrower than the points lay, they lay close enough. */
const FINE_ENOUGH = 0.6;

/** The film by its readings: felt for round what is known, then twice more round what was found. */
function filmOf(stretch: Stretch, known: FilmShown): FilmShown {
  if (stretch.readings.length === 0) return known;
  let found = known;
  for (let round = 0; round < 3; round++) {
    const points = FELT.map((z) => found.mean + z * found.sd);
    const logs = points.map(
      (logFilm) => filtered(stretch, logFilm).logLikelihood - ((logFilm - known.mean) / known.sd) ** 2 / 2,
    );
    const most = Math.max(...logs);
    const weights = logs.map((log) => Math.exp(log - most));
    const sum = weights.reduce((total, weight) => total + weight, 0);
    const mean = points.reduce((total, point, i) => total + point * weights[i]!, 0) / sum;
    const variance = points.reduce((total, point, i) => total + (point - mean) ** 2 * weights[i]!, 0) / sum;
    const sd = Math.max(Math.sqrt(variance), found.sd / 4, 0.01);
    const isFelt = sd > found.sd * FINE_ENOUGH;
    found = { mean, sd };
    if (isFelt) break;
  }
  return found;
}

/** The courses it may take from here: over the films that remain, each begun as warm as that makes likely. */
function coursesOf(stretch: Stretch, film: FilmShown): Course[] {
  return FELT.flatMap((z) => {
    const logFilm = film.mean + z * film.sd;
    const along = filtered(stretch, logFilm);
    const spread = Math.sqrt(along.startC.variance);
    return THREE_POINTS.map((point) => ({
      weight: Math.exp((-z * z) / 2) * point.weight,
      logFilm,
      body: warmer(along.body, { mean: along.startC.mean + point.z * spread, variance: 0 }),
    }));
  });
}

/** A probe says the same many times: readings apart in time, the first and the last among them. */
function thinned(readings: CoolingSaid['readings']): CoolingSaid['readings'] {
  if (readings.length <= MOST_READINGS) return readings;
  const step = (readings.length - 1) / (MOST_READINGS - 1);
  return Array.from({ length: MOST_READINGS }, (_, i) => readings[Math.round(i * step)]!);
}
