import styled from 'styled-components';
import { hourMinute, litres, span } from '../../../contract';
import { lookFromMs, lossKgPerHour, type NextAction } from '../../../core/batch';
import type { Dial } from '../../../core/kitchen';
import { massKg } from '../../../core/matter';
import { potLitres } from '../../../core/pot';
import { Caution, Over } from '../../components/text';
import { colour, font, size, space } from '../../theme/tokens';
import { heatWords } from '../../words/batch';
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
  next,
}: {
  here: BatchHere;
  next: Exclude<NextAction, { kind: 'closed' | 'answer' | 'begin' }>;
}) {
  const { state, clock, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const { stage } = next;
  const now = potLitres(state.pot);
  const ends = clock?.ends;
  const isSure = ends?.p10Ms === ends?.p90Ms;
  const loss = massKg(state.pot.mixture) > 0 ? lossKgPerHour(state.setup, state.pot) : 0;
  return (
    <>
      <div>
        <Over>{overWords(next, nowMs, zone)}</Over>
        <h2>{titleOf(next, here.pot.state.onBurner.dial)}</h2>
        <Cues>
          <p>{next.kind === 'finish' ? stage.cue : stage.act}</p>
        </Cues>
      </div>
      <Answers>
        {next.kind === 'serve' ? (
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
        {ends?.p10Ms && !isSure && next.kind !== 'finish' && (
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
        {next.kind !== 'finish' && (
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

function titleOf(
  next: Exclude<NextAction, { kind: 'closed' | 'answer' | 'begin' }>,
  dial: Dial | undefined,
): string {
  switch (next.kind) {
    case 'heat':
      return `Heat to ${heatWords(next.fraction, dial)}`;
    case 'cool':
      return `Under ${next.top.tempC} °C: heat off`;
    case 'losing':
      return `Boiling away: heat to ${heatWords(next.fraction, dial)}`;
    case 'giveBack':
      return `Back in: ${next.parked.map((one) => one.name).join(', ')}`;
    case 'add':
      return `In: ${next.lines.map((line) => line.name.toLowerCase()).join(', ')}`;
    default:
      return next.stage.title;
  }
}

function overWords(next: NextAction, nowMs: number, zone: string): string {
  switch (next.kind) {
    case 'heat':
      return 'Now, at the burner';
    case 'cool':
      return `Too hot for ${next.top.because}`;
    case 'losing':
      return `${next.lostKg.toFixed(1)} kg has boiled away, ${next.plannedKg.toFixed(1)} was planned`;
    case 'giveBack':
      return 'What was parked is wanted back';
    case 'add':
      return next.dueMs > nowMs
        ? `In ${span(next.dueMs - nowMs)}, what waits by the pot`
        : 'In now, what waits by the pot';
    case 'finish':
      return 'Look now: it should be done';
    case 'handsOn':
      return 'Stay with it, hands on';
    case 'lookIn':
      return nowMs > lookFromMs(next)
        ? nowMs - next.dueMs > 60_000
          ? `Look in and stir: ${span(nowMs - next.dueMs)} late`
          : 'Look in and stir now'
        : `Now, and nothing else for ${span(next.dueMs - nowMs)}: look in at ${hourMinute(next.dueMs, zone)}`;
    case 'leave':
      return next.dueMs === null ? 'Leave it' : `Leave it until ${hourMinute(next.dueMs, zone)}`;
    case 'serve':
      return next.dueMs > nowMs ? `Hold it, ${span(next.dueMs - nowMs)} to go` : 'Serving';
    default:
      return '';
  }
}
