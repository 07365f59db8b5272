import { massKg } from '../../matter/mixture';
import { potLitres } from '../../pot/pot-litres';
import { measuredMass, readPot } from '../../pot/read-pot';
import type { BatchState, TakenReading } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { withPot } from '../with-pot';

const STILL = { still: true } as const;

/** A reading is taken in, set aside, or asked about. */
export function takeReading(context: FoldContext, state: BatchState, event: EventOf<'reading'>): BatchState {
  const reading = event.payload;
  const answer = context.answers.get(event.id);
  const isTemperature = reading.kind === 'temperature';
  const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres ?? undefined;
  const litres = isTemperature
    ? potLitres(state.pot)
    : measuredMass(state.setup, state.pot, reading, from).litres;
  const taken = (status: TakenReading['status']): TakenReading[] =>
    context.append(state.readings, {
      kind: reading.kind,
      value: reading.value,
      ...(reading.still ? STILL : undefined),
      eventId: event.id,
      atMs: event.actedAtMs,
      litres,
      status,
    });
  if (answer === false || massKg(state.pot.mixture) === 0) return { ...state, readings: taken('set aside') };
  const result = readPot(state.setup, state.pot, reading, answer === true, from);
  if (result.surprise === null) {
    const after = withPot(state, result.pot);
    after.readings = taken('taken');
    return after;
  }
  const expected = isTemperature
    ? `${state.pot.tempC.toFixed(0)} °C was expected`
    : `about ${potLitres(state.pot).toFixed(1)} L was expected`;
  const said = isTemperature ? `${reading.value} °C` : `${litres.toFixed(1)} L`;
  const sentence =
    result.surprise === 'gained'
      ? `${said} is more than has gone in; ${expected}. Was something added, or is it a slip of the hand?`
      : `${said} is far from the rest; ${expected}. Is it right?`;
  return {
    ...state,
    readings: taken('asked'),
    questions: [...state.questions, { eventId: event.id, atMs: event.actedAtMs, sentence }],
  };
}
