import { activeEvents } from '../log';
import type { BatchEvent, BatchSnapshot } from './batch-event';
import { applyEvent, openBatch } from './fold-batch';
import { foldContext } from './fold-context';
import { stageClock } from './stage-clock';

/** A forecast as it was shown at a moment, and what came true. */
export interface KeptForecast {
  stageId: string;
  saidMs: number;
  p10Ms: number;
  p50Ms: number;
  p90Ms: number;
  cameMs: number;
}

/** A forecast of less than this left is no forecast, ms. */
const WORTH_KEEPING_MS = 60_000;

/** What changes a forecast: a reading, a change of heat or lid, what goes in, a stage begun. */
const CHANGES_IT: ReadonlySet<BatchEvent['type']> = new Set([
  'stageBegun',
  'added',
  'heatSet',
  'lidSet',
  'reading',
  'answered',
  'targetSet',
  'moved',
  'returned',
]);

/**
 * Every forecast of a stage's end that a closed batch showed, each as it stood right after what changed it, beside the
 * moment the cook said it was done.
 *
 * @param snapshot what was decided when the batch started
 * @param events its log, any order
 * @returns oldest first; those said in one breath count once, as the last of them left it
 * @source docs/model.md § 5
 */
export function keptForecasts(snapshot: BatchSnapshot, events: readonly BatchEvent[]): KeptForecast[] {
  const active = activeEvents(events);
  const context = foldContext(snapshot, active);
  const doneMs = new Map<string, number>();
  for (const event of active)
    if (event.type === 'stageDone') doneMs.set(event.payload.stageId, event.actedAtMs);
  const kept: KeptForecast[] = [];
  let state = openBatch(snapshot, active[0]);
  active.forEach((event, i) => {
    state = applyEvent(context, state, event);
    const next = active[i + 1];
    const isLastBreath = !next || next.actedAtMs - event.actedAtMs > BREATH_MS;
    if (!CHANGES_IT.has(event.type) || !isLastBreath) return;
    const clock = stageClock(snapshot, state);
    const cameMs = clock ? doneMs.get(clock.stage.id) : undefined;
    if (!clock?.target || cameMs === undefined || cameMs - event.actedAtMs < WORTH_KEEPING_MS) return;
    const { p10Ms, p50Ms, p90Ms } = clock.ends;
    if (p10Ms === null || p50Ms === null || p90Ms === null) return;
    kept.push({ stageId: clock.stage.id, saidMs: event.actedAtMs, p10Ms, p50Ms, p90Ms, cameMs });
  });
  return kept;
}

/** What is said within this time is one breath, ms. */
const BREATH_MS = 45_000;

/** How honest a set of forecasts was. */
export interface Honesty {
  forecasts: number;
  /** share of truths inside the interval of 80 % */
  inside: number;
  /** median of how far the middle was off, as a share of the time that was left */
  medianOff: number;
  /** share of truths that came after the middle; one half where nothing leans */
  late: number;
}

/** How often the truth lay inside, how far the middle was off, and which way it leaned; null for none. */
export function honesty(kept: readonly KeptForecast[]): Honesty | null {
  if (kept.length === 0) return null;
  const share = (test: (one: KeptForecast) => boolean) => kept.filter(test).length / kept.length;
  const off = kept
    .map((one) => Math.abs(one.p50Ms - one.cameMs) / Math.max(1, one.cameMs - one.saidMs))
    .sort((a, b) => a - b);
  return {
    forecasts: kept.length,
    inside: share((one) => one.cameMs >= one.p10Ms && one.cameMs <= one.p90Ms),
    medianOff: off[Math.floor(off.length / 2)]!,
    late: share((one) => one.cameMs > one.p50Ms),
  };
}
