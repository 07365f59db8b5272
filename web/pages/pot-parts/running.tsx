import { useMemo } from 'react';
import styled from 'styled-components';
import { sentenceCase, span } from '../../../contract';
import { lookFromMs, lossKgPerHour, mayNeverFinish, type NextAction } from '../../../core/batch';
import type { Dial } from '../../../core/kitchen';
import { massKg } from '../../../core/matter';
import { potLitres, whatReadingsShow } from '../../../core/pot';
import { Caution, Over } from '../../components/text';
import { colour, font, size, space, target } from '../../theme/tokens';
import {
  forecastWords,
  heatShownWords,
  heatWords,
  holdWords,
  hourMinute,
  inMeasures,
  litres,
  mayNeverWords,
  potWords,
  surfaceShownWords,
} from '../../words';
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

/** What the estimator thinks, for who asks. */
const Shown = styled.details`
  color: ${colour.soft};
  font-size: ${size.small};
  summary {
    display: inline-flex;
    align-items: center;
    min-height: ${target.anywhere};
    text-decoration: underline dotted ${colour.edge};
    text-underline-offset: 4px;
    cursor: pointer;
  }
  summary:focus-visible {
    outline: 3px solid ${colour.act};
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
  const shown = whatReadingsShow(state.pot);
  const isDoubtful = clock?.target != null && ends?.p90Ms === null && next.kind !== 'finish';
  const { snapshot } = here.batch;
  const never = useMemo(
    () => (isDoubtful && clock ? mayNeverFinish(snapshot, state, clock) : null),
    [isDoubtful, snapshot, state, clock],
  );
  const loss = massKg(state.pot.mixture) > 0 ? lossKgPerHour(state.setup, state.pot) : 0;
  return (
    <>
      <div>
        <Over>{overWords(next, nowMs, zone)}</Over>
        <h2>{titleOf(next, here.pot.state.onBurner.dial, zone)}</h2>
        <Cues>
          <p>{inMeasures(next.kind === 'finish' ? stage.cue : stage.act)}</p>
        </Cues>
      </div>
      <Answers>
        {stage.ends.rule === 'served' ? (
          <div className="hour">
            <dt>{potWords.service}</dt>
            <dd>{hourMinute(here.batch.snapshot.plan.serviceAtMs, zone)}</dd>
          </div>
        ) : (
          <div className="hour">
            <dt>{clock?.markLitres != null ? potWords.atTheMarkAbout : potWords.doneAbout}</dt>
            <dd>{ends?.p50Ms ? hourMinute(ends.p50Ms, zone) : potWords.wontFinishAtThisHeat}</dd>
          </div>
        )}
        {ends?.p10Ms && !isSure && next.kind !== 'finish' && (
          <div>
            <dt>{potWords.mostLikelyBetween}</dt>
            <dd>
              {potWords.and(
                hourMinute(ends.p10Ms, zone),
                ends.p90Ms ? hourMinute(ends.p90Ms, zone) : potWords.muchLater,
              )}
            </dd>
          </div>
        )}
        <div>
          <dt>{potWords.inThePotNow}</dt>
          <dd>
            {litres(now)}
            {clock?.markLitres != null && <small>{potWords.losingAnHour(loss)}</small>}
          </dd>
        </div>
      </Answers>
      {never && (
        <Caution>{mayNeverWords(never, clock?.target?.kind === 'mass', state.onBurner.dial)}</Caution>
      )}
      {clock?.target && next.kind !== 'finish' && (
        <Shown>
          <summary>{forecastWords.whatItStandsOn}</summary>
          <p>{heatShownWords(sentenceCase(state.onBurner.name), shown.heat)}</p>
          <p>{surfaceShownWords(shown.surface, state.pot.lid)}</p>
        </Shown>
      )}
      {clock?.markLitres != null && <FallChart here={here} markLitres={clock.markLitres} />}
      <Cues>
        {next.kind !== 'finish' && (
          <p>
            <strong>{potWords.readyWhen}</strong> {inMeasures(stage.cue)}
          </p>
        )}
        <p>
          <strong>{potWords.ifItGoesWrong}</strong> {inMeasures(stage.trouble)}
        </p>
        {stage.caution && <Caution>{inMeasures(stage.caution)}</Caution>}
      </Cues>
    </>
  );
}

function titleOf(
  next: Exclude<NextAction, { kind: 'closed' | 'answer' | 'begin' }>,
  dial: Dial | undefined,
  zone: string,
): string {
  switch (next.kind) {
    case 'heat':
      return potWords.heatTo(heatWords(next.fraction, dial));
    case 'cool':
      return potWords.underCHeatOff(next.top.tempC);
    case 'losing':
      return potWords.boilingAwayHeatTo(heatWords(next.fraction, dial));
    case 'giveBack':
      return potWords.backIn(next.parked.map((one) => one.name).join(', '));
    case 'add':
      return `In: ${next.lines.map((line) => line.name.toLowerCase()).join(', ')}`;
    case 'check':
      return holdWords.takeTheTemperature;
    case 'tooCold':
      return next.below.canReheat
        ? holdWords.reheatBy(hourMinute(next.below.reheatByMs, zone))
        : holdWords.throwAwayBy(hourMinute(next.below.throwByMs, zone));
    default:
      return next.stage.title;
  }
}

function overWords(next: NextAction, nowMs: number, zone: string): string {
  switch (next.kind) {
    case 'heat':
      return potWords.atTheBurnerNow;
    case 'cool':
      return potWords.tooHotFor(next.top.because);
    case 'losing':
      return potWords.kgHasBoiledAwayWas(next.lostKg, next.plannedKg);
    case 'giveBack':
      return potWords.putBackWhatWasParked;
    case 'check':
      return potWords.aThermometerIsDue(span(nowMs - next.dueMs));
    case 'tooCold':
      return potWords.tooColdToHold(next.below.tempC);
    case 'add':
      return next.dueMs > nowMs
        ? potWords.inWhatWaitsByThe(span(next.dueMs - nowMs))
        : potWords.whatWaitsBesideThePot;
    case 'finish':
      return potWords.lookNowItShouldBe;
    case 'handsOn':
      return potWords.stayWithItHandsOn;
    case 'lookIn':
      return nowMs > lookFromMs(next)
        ? nowMs - next.dueMs > 60_000
          ? potWords.lookInAndStirLate(span(nowMs - next.dueMs))
          : potWords.lookInAndStirNow
        : potWords.nowAndNothingElseFor(span(next.dueMs - nowMs), hourMinute(next.dueMs, zone));
    case 'leave':
      return next.dueMs === null ? potWords.leaveIt : potWords.leaveItUntil(hourMinute(next.dueMs, zone));
    case 'serve':
      return next.dueMs > nowMs ? potWords.holdItToGo(span(next.dueMs - nowMs)) : potWords.serving;
    default:
      return '';
  }
}
