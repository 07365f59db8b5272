import { useMemo } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { type BatchView, sentenceCase, span } from '../../contract';
import { foldBatch, forecastBand, levelTrace } from '../../core/batch';
import { activeEvents, undoneIds } from '../../core/log';
import { LevelChart } from '../components/chart/level-chart';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { Over, Soft, Subtitle, Title } from '../components/text';

import { useBatch } from '../data/queries';
import { colour, font, size, space } from '../theme/tokens';
import {
  dayAndHour,
  describeEvent,
  hourMinute,
  litres,
  logWords,
  markWords,
  money,
  percent,
  reasonWords,
} from '../words';
import { PotPhotos } from './adjust-parts/pot-photos';
import { LotsOfBatch } from './log-parts/lots-of-batch';
import { NextTimeOf } from './log-parts/next-time';
import { YieldWalkOf } from './log-parts/yield-walk-of';
import { useKitchenHere } from './use-kitchen-here';

const Outcome = styled.p`
  font-family: ${font.title};
  font-weight: 500;
  font-size: 22px;
  line-height: 1.3;
  margin-top: ${space.s};
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 8px 0;
    text-align: right;
    border-bottom: 1px solid ${colour.line};
  }
  th:first-child {
    text-align: left;
    font-weight: 400;
    color: ${colour.soft};
  }
  thead th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
  td:last-child {
    font-weight: 700;
  }
`;

const ChartBox = styled.div`
  height: 270px;
`;

const Events = styled.ol`
  max-height: 360px;
  overflow: auto;
  li {
    display: grid;
    grid-template-columns: 58px 1fr;
    gap: ${space.s};
    padding: 5px 0;
    border-bottom: 1px solid ${colour.line};
    font-size: ${size.small};
  }
  li[data-undone='true'] span:nth-child(2) {
    text-decoration: line-through;
    color: ${colour.soft};
  }
  em {
    color: ${colour.lookIn};
    font-style: normal;
    font-weight: 700;
  }
`;

/** One batch as it was: predicted beside actual, the fall against its forecast, and every entry of its log. */
export function LogBatch() {
  const { id = '' } = useParams();
  const { data: batch, error, refetch } = useBatch(id);
  if (!batch) return <Waiting error={error} onRetry={refetch} />;
  return <Told batch={batch} />;
}

function Told({ batch }: { batch: BatchView }) {
  const kitchen = useKitchenHere();
  const { snapshot, events, result } = batch;
  const { input, plan } = snapshot;
  const { zone } = kitchen;
  const drawn = useMemo(() => curves(batch), [batch]);
  const undone = undoneIds(events);
  if (!result) {
    return (
      <Page>
        <Empty title={logWords.stillCooking} isPage>
          <Soft>{logWords.itsLogIsShownHere}</Soft>
        </Empty>
      </Page>
    );
  }
  const { predicted, actual } = result;
  const left = result.leftPortions;
  return (
    <Page>
      <header>
        <Over>
          {logWords.byVersionOfTheRecipe(
            dayAndHour(plan.serviceAtMs, zone),
            input.pot.name,
            input.burner.name,
            input.recipe.version,
          )}
        </Over>
        <Title>{input.recipe.name}</Title>
        <Outcome>
          {logWords.servedLeft(
            result.storedLitres ? logWords.stored2(litres(result.storedLitres)) : '',
            result.served,
            left,
            result.discarded > 0 ? logWords.discarded(result.discarded) : '',
            result.reasons.length > 0
              ? `${sentenceCase(result.reasons.map(reasonWords).join('; '))}.`
              : logWords.theYieldCameOutAs,
          )}
        </Outcome>
      </header>
      <Halves $columns="minmax(0, 0.8fr) minmax(0, 1.2fr)">
        <section>
          <NextTimeOf batch={batch} />
          <Table>
            <thead>
              <tr>
                <th scope="col">{logWords.what}</th>
                <th scope="col">{logWords.planned}</th>
                <th scope="col">{logWords.actual}</th>
              </tr>
            </thead>
            <tbody>
              <Compared
                name={logWords.yield}
                planned={litres(predicted.yieldLitres)}
                actual={litres(actual.yieldLitres)}
              />
              <Compared
                name={logWords.ready}
                planned={hourMinute(predicted.readyAtMs, zone)}
                actual={hourMinute(actual.readyAtMs, zone)}
              />
              <Compared
                name={logWords.timeAtTheStove}
                planned={span(predicted.cookingMinutes * 60_000)}
                actual={span(actual.cookingMinutes * 60_000)}
              />
              <Compared
                name={logWords.steamedOff}
                planned={logWords.kg(predicted.evaporatedKg)}
                actual={logWords.kg(actual.evaporatedKg)}
              />
              <Compared
                name={logWords.bowls}
                planned={String(Math.floor(predicted.portions + 0.05))}
                actual={String(Math.round(actual.portions))}
              />
              <Compared
                name={logWords.salt}
                planned={percent(predicted.saltPercent)}
                actual={percent(actual.saltPercent)}
              />
              <Compared
                name={input.unpriced?.length ? logWords.aBowlCostAtLeast : logWords.aBowlCost}
                planned={money(predicted.costPerPortionCents, kitchen.currency)}
                actual={money(actual.costPerPortionCents, kitchen.currency)}
              />
            </tbody>
          </Table>
          <PotPhotos batchId={batch.id} zone={zone} mayTake={false} />
          <LotsOfBatch batch={batch} />
          <Soft>
            {logWords.gaveOfItsRatingThe(
              sentenceCase(input.burner.name),
              Math.round(result.heatFactor.mean * 100),
              Math.round(result.heatFactor.sd * 100),
              Math.round(input.burner.heatFactor.mean * 100),
            )}
          </Soft>
        </section>
        <section>
          <Subtitle>{logWords.theReductionAgainstTheForecast}</Subtitle>
          <ChartBox>
            <LevelChart
              zone={zone}
              trace={drawn.trace}
              band={drawn.band}
              readings={drawn.readings}
              markLitres={drawn.markLitres}
              servedAtMs={null}
              description={logWords.readingsOfTheLevelAgainst(drawn.readings.length)}
            />
          </ChartBox>
          <Over>{logWords.lineAsEstimatedRingsReadings}</Over>
          <YieldWalkOf batch={batch} kitchen={kitchen} />
          <Subtitle>{logWords.batchLog}</Subtitle>
          <Events tabIndex={0} aria-label={logWords.batchLog}>
            {events.map((event) => (
              <li key={event.id} data-undone={undone.has(event.id)}>
                <span>{hourMinute(event.actedAtMs, zone)}</span>
                <span>
                  {describeEvent(event, snapshot)} {event.flag && <em>{markWords(event.flag)}</em>}
                </span>
              </li>
            ))}
          </Events>
        </section>
      </Halves>
    </Page>
  );
}

function Compared({ name, planned, actual }: { name: string; planned: string; actual: string }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{planned}</td>
      <td>{actual}</td>
    </tr>
  );
}

/** The part of the batch in which its level fell to the mark, and a little around it. */
function curves(batch: BatchView) {
  const { snapshot, events } = batch;
  const endMs = batch.closedAtMs ?? activeEvents(events).at(-1)?.actedAtMs ?? batch.createdAtMs;
  const band = forecastBand(snapshot, events);
  const state = foldBatch(snapshot, events, endMs);
  const fall = snapshot.input.recipe.stages.find((stage) => stage.ends.rule === 'fall');
  const progress = state.stages.find((stage) => stage.stageId === fall?.id);
  const fromMs = progress?.begunMs ?? 0;
  const toMs = progress?.doneMs ?? endMs;
  const during = (atMs: number) => atMs >= fromMs && atMs <= toMs;
  return {
    trace: levelTrace(snapshot, events, endMs).filter((point) => during(point.atMs)),
    band: band?.points ?? [],
    markLitres: band?.markLitres ?? null,
    readings: state.readings
      .filter((reading) => during(reading.atMs))
      .flatMap(({ atMs, litres, status }) =>
        litres === null ? [] : [{ atMs, litres, isDoubted: status !== 'accepted' }],
      ),
  };
}
