import styled from 'styled-components';
import { lookFromMs, lossKgPerHour, massKg, potLitres, type Want } from '../../../core';
import { hourMinute, litres, span } from '../../data/format';
import { heatWords } from '../../data/words';
import { Caution, Over } from '../../parts/text';
import { colour, font, size, space } from '../../theme/tokens';
import type { BatchHere } from '../batch-frame';
import { FallChart } from './fall-chart';
import { Cues } from './pot-styles';

const Answers = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.xs} 26px;
  align-items: end;
  dt {
    color: ${colour.soft};
  }
  dd {
    font-family: ${font.title};
    font-weight: 700;
    font-size: ${size.potFigure};
    line-height: 1.15;
  }
  dd small {
    font-size: ${size.lead};
    font-weight: 500;
  }
  .hour dd {
    font-size: ${size.hour};
    line-height: 0.98;
  }
`;

/** A running stage: its title, its cue, its clock, and the curve where a level falls. */
export function Running({
  here,
  want,
}: {
  here: BatchHere;
  want: Exclude<Want, { kind: 'closed' | 'answer' | 'begin' }>;
}) {
  const { state, clock, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const { stage } = want;
  const now = potLitres(state.pot);
  const ends = clock?.ends;
  const isSure = ends?.p10Ms === ends?.p90Ms;
  const loss = massKg(state.pot.mixture) > 0 ? lossKgPerHour(state.setup, state.pot) : 0;
  return (
    <>
      <div>
        <Over>{overWords(want, nowMs, zone)}</Over>
        <h2>{titleOf(want)}</h2>
        <Cues>
          <p>{want.kind === 'finish' ? stage.cue : stage.act}</p>
        </Cues>
      </div>
      <Answers>
        {want.kind === 'serve' ? (
          <div className="hour">
            <dt>service</dt>
            <dd>{hourMinute(here.batch.snapshot.plan.serviceAtMs, zone)}</dd>
          </div>
        ) : (
          <div className="hour">
            <dt>{clock?.markLitres != null ? 'at the mark about' : 'done about'}</dt>
            <dd>{ends?.p50Ms ? hourMinute(ends.p50Ms, zone) : 'not so'}</dd>
          </div>
        )}
        {ends?.p10Ms && !isSure && want.kind !== 'finish' && (
          <div>
            <dt>most likely between</dt>
            <dd>
              {hourMinute(ends.p10Ms, zone)} and {ends.p90Ms ? hourMinute(ends.p90Ms, zone) : 'much later'}
            </dd>
          </div>
        )}
        <div>
          <dt>in the pot now</dt>
          <dd>
            {litres(now)}
            {clock?.markLitres != null && <small>, losing {loss.toFixed(1)} kg/h</small>}
          </dd>
        </div>
      </Answers>
      {clock?.markLitres != null && <FallChart here={here} markLitres={clock.markLitres} />}
      <Cues>
        {want.kind !== 'finish' && (
          <p>
            <strong>Ready when:</strong> {stage.cue}
          </p>
        )}
        <p>
          <strong>If not:</strong> {stage.trouble}
        </p>
        {stage.caution && <Caution>{stage.caution}</Caution>}
      </Cues>
    </>
  );
}

function titleOf(want: Exclude<Want, { kind: 'closed' | 'answer' | 'begin' }>): string {
  switch (want.kind) {
    case 'heat':
      return `Heat to ${heatWords(want.fraction)}`;
    case 'cool':
      return `Under ${want.top.tempC} °C: heat off`;
    case 'giveBack':
      return `Back in: ${want.parked.map((one) => one.name).join(', ')}`;
    case 'add':
      return `In: ${want.lines.map((line) => line.name.toLowerCase()).join(', ')}`;
    default:
      return want.stage.title;
  }
}

function overWords(want: Want, nowMs: number, zone: string): string {
  switch (want.kind) {
    case 'heat':
      return 'Now, at the burner';
    case 'cool':
      return `Too hot for ${want.top.because}`;
    case 'giveBack':
      return 'What was parked is wanted back';
    case 'add':
      return want.dueMs > nowMs
        ? `In ${span(want.dueMs - nowMs)}, what waits by the pot`
        : 'In now, what waits by the pot';
    case 'finish':
      return 'Look now: it should be done';
    case 'handsOn':
      return 'Stay with it, hands on';
    case 'lookIn':
      return nowMs > lookFromMs(want)
        ? nowMs - want.dueMs > 60_000
          ? `Look in and stir: ${span(nowMs - want.dueMs)} late`
          : 'Look in and stir now'
        : `Now, and nothing else for ${span(want.dueMs - nowMs)}: look in at ${hourMinute(want.dueMs, zone)}`;
    case 'leave':
      return want.dueMs === null ? 'Leave it' : `Leave it until ${hourMinute(want.dueMs, zone)}`;
    case 'serve':
      return want.dueMs > nowMs ? `Hold it, ${span(want.dueMs - nowMs)} to go` : 'Serving';
    default:
      return '';
  }
}
