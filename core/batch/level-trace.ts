import { Z } from '../forecast';
import { activeEvents } from '../log';
import { advancePot, type PotSetup, type PotState, potLitres, variance } from '../pot';

import { advanceBatch } from './advance-batch';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import { applyEvent, openBatch } from './fold-batch';
import { foldContext } from './fold-context';

export interface LevelPoint {
  atMs: number;
  litres: number;
}

export interface ForecastBand {
  /** the forecast as it stood when the stage began, before its own readings */
  points: { atMs: number; litres: number; lowLitres: number; highLitres: number }[];
  markLitres: number;
}

/** Minutes between two points of a drawn curve. */
const EVERY_MIN = 2;

/** A curve over days has its points further apart, so that it has no more than so many. */
const MOST_POINTS = 720;

/**
 * The level of a batch through its log, as estimated at each moment from what was known by then.
 *
 * @param snapshot what was decided when the batch started
 * @param events its log
 * @param untilMs where the curve ends
 * @returns litres every two minutes and at each event
 */
export function levelTrace(
  snapshot: BatchSnapshot,
  events: readonly BatchEvent[],
  untilMs: number,
): LevelPoint[] {
  const active = activeEvents(events).filter((event) => event.actedAtMs <= untilMs);
  const context = foldContext(snapshot, active);
  let state = openBatch(snapshot, active[0]);
  const trace: LevelPoint[] = [];
  const everyMs = Math.max(EVERY_MIN * 60_000, (untilMs - state.pot.atMs) / MOST_POINTS);
  const walkTo = (toMs: number) => {
    while (!state.closed && state.pot.atMs + everyMs < toMs) {
      state = advanceBatch(state, state.pot.atMs + everyMs);
      trace.push({ atMs: state.pot.atMs, litres: potLitres(state.pot) });
    }
  };
  for (const event of active) {
    walkTo(event.actedAtMs);
    state = applyEvent(context, state, event);
    trace.push({ atMs: event.actedAtMs, litres: potLitres(state.pot) });
  }
  walkTo(untilMs);
  if (!state.closed) {
    state = advanceBatch(state, untilMs);
    trace.push({ atMs: state.pot.atMs, litres: potLitres(state.pot) });
  }
  return trace;
}

/**
 * The forecast of a falling level as it stood when its stage was set going: the band that readings are held against.
 *
 * @param snapshot what was decided when the batch started
 * @param events its log
 * @returns the band from the first fall of the recipe, or null if the batch never came to one
 */
export function forecastBand(snapshot: BatchSnapshot, events: readonly BatchEvent[]): ForecastBand | null {
  const fall = snapshot.input.recipe.stages.find((stage) => stage.ends.rule === 'fall');
  const active = activeEvents(events);
  const context = foldContext(snapshot, active);
  let state = openBatch(snapshot, active[0]);
  let set: typeof state | null = null;
  for (const event of active) {
    if (set && event.type !== 'heatSet' && event.type !== 'lidSet') break;
    state = applyEvent(context, state, event);
    if (fall && state.currentStageId === fall.id) set = state;
  }
  if (!fall || !set || fall.ends.rule !== 'fall') return null;
  const from = potLitres(set.pot);
  const markLitres = from * (1 - fall.ends.fractionGone);
  return { points: levelAhead(set.setup, set.pot, markLitres), markLitres };
}

/**
 * The level from now on, with its heat and lid as they are, until it has surely fallen to a mark.
 *
 * @param setup vessel, burner, air
 * @param pot the pot now
 * @param markLitres where to stop
 * @returns litres with an 80 % interval, every two minutes, for at most eight hours
 */
export function levelAhead(setup: PotSetup, pot: PotState, markLitres: number): ForecastBand['points'] {
  const points: ForecastBand['points'] = [];
  let here = pot;
  while (points.length < 240) {
    const litres = potLitres(here);
    const sd = Math.sqrt(variance(here.covariance, 'mass'));
    points.push({ atMs: here.atMs, litres, lowLitres: litres - Z.p90 * sd, highLitres: litres + Z.p90 * sd });
    if (litres + Z.p90 * sd <= markLitres) break;
    here = advancePot(setup, here, here.atMs + EVERY_MIN * 60_000);
  }
  return points;
}
