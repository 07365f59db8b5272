import { massKg } from '../../matter';
import { potLitres, readPot } from '../../pot';

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
  const answer = context.answers.get(event.id);
  const isTemperature = reading.kind === 'temperature';
  const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres ?? undefined;
  const result = readPot(state.setup, state.pot, reading, answer === true, from);
  const keep = (status: LoggedReading['status']): BatchState => {
    state.readings = context.append(state.readings, {
      kind: reading.kind,
      value: reading.value,
      still: reading.still,
      from: reading.from,
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
  const expected = isTemperature
    ? `${state.pot.tempC.toFixed(0)} °C was expected`
    : `about ${potLitres(state.pot).toFixed(1)} L was expected`;
  const said = result.litres === null ? `${reading.value} °C` : `${result.litres.toFixed(1)} L`;
  const sentence =
    result.surprise === 'gained'
      ? `${said} is more than has gone in; ${expected}. Was something added, or is it a slip of the hand?`
      : `${said} is far from the rest; ${expected}. Is it right?`;
  state.questions = context.append(state.questions, { eventId: event.id, atMs: event.actedAtMs, sentence });
  return keep('asked');
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
