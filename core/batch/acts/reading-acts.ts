import { massKg } from '../../matter';
import { foundAt, potLitres, readPot } from '../../pot';

import type { BatchState, LoggedReading } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';

/** After a “no” to a device the like of it is set aside by itself for so long: a probe beside the pot says it for ever, ms. */
const NO_HOLDS_MS = 20 * 60_000;

/** A reading is taken in, set aside, or asked about; written on the state. */
export function receiveReading(
  context: FoldContext,
  state: BatchState,
  event: EventOf<'reading'>,
): BatchState {
  const reading = event.payload;
  const answer = context.answers.get(event.id) ?? reading.sure;
  const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres ?? undefined;
  const result =
    answer !== false && isPlainlyHeld(state, reading)
      ? { pot: foundAt(state.pot, reading.value), surprise: null, litres: null }
      : readPot(state.setup, state.pot, reading, answer === true, from);
  const keep = (status: LoggedReading['status']): BatchState => {
    state.readings = context.append(state.readings, {
      kind: reading.kind,
      value: reading.value,
      still: reading.still,
      from: reading.from,
      by: reading.by,
      thermometerId: reading.thermometerId,
      eventId: event.id,
      atMs: event.actedAtMs,
      litres: result.litres,
      status,
    });
    return state;
  };
  if (answer === false || massKg(state.pot.mixture) === 0) return keep('set aside');
  if (result.surprise === null) {
    state.pot = result.pot;
    return keep('accepted');
  }
  if (isToldAlready(context, state, event)) return keep('set aside');
  state.questions = context.append(state.questions, {
    eventId: event.id,
    atMs: event.actedAtMs,
    why: result.surprise,
    ...(result.litres === null
      ? { read: { tempC: reading.value }, expected: { tempC: state.pot.tempC } }
      : { read: { litres: result.litres }, expected: { litres: potLitres(state.pot) } }),
  });
  return keep('asked');
}

/** What is ladled of was hot not long ago: no thermometer shows less of it than this, °C. Ours. */
const LEAST_HELD_C = 30;

/** Of what is held hot a thermometer is believed at once, however cold it shows it: the clock runs while it is asked about. */
function isPlainlyHeld({ held, setup }: BatchState, { kind, value }: EventOf<'reading'>['payload']): boolean {
  return held !== null && kind === 'temperature' && value >= LEAST_HELD_C && value <= setup.air.boilingC + 1;
}

/** A device has said the like of it before, and it is being asked about or has been called wrong: it is not asked again. */
function isToldAlready(context: FoldContext, state: BatchState, event: EventOf<'reading'>): boolean {
  const { kind, from } = event.payload;
  if (from !== 'device') return false;
  return state.readings.some((before) => {
    if (before.kind !== kind || before.from !== 'device') return false;
    if (state.questions.some((question) => question.eventId === before.eventId)) return true;
    return context.answers.get(before.eventId) === false && event.actedAtMs - before.atMs <= NO_HOLDS_MS;
  });
}
