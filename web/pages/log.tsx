import { Link } from 'react-router';
import styled from 'styled-components';
import { span } from '../../contract';
import type { BatchHead } from '../../core/views';
import { Button } from '../components/button';
import { LinkButton } from '../components/link-button';
import { Empty, Page, PageHead, Waiting } from '../components/page';
import { Over, Soft, Title } from '../components/text';

import { useClosedBatches, useForecasts } from '../data/queries';
import { colour, size, space } from '../theme/tokens';
import { dayAndHour, litres, logWords, money, percent, recordWords } from '../words';
import { HonestyOf } from './log-parts/honesty-of';
import { useKitchenHere } from './use-kitchen-here';

const Table = styled.div`
  overflow-x: auto;
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    padding: 10px ${space.m} 10px 0;
    text-align: right;
    white-space: nowrap;
    vertical-align: top;
    border-bottom: 1px solid ${colour.line};
  }
  th:first-child,
  td:first-child {
    text-align: left;
    white-space: normal;
    min-width: 230px;
  }
  thead th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
    border-bottom: 2px solid ${colour.iron};
  }
  a {
    font-weight: 700;
  }
`;

/** What was cooked: planned beside what came true, newest first. */
export function Log() {
  const kitchen = useKitchenHere();
  const { data: closed, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useClosedBatches();
  const { data: forecasts = [] } = useForecasts();
  if (!closed) return <Waiting error={error} onRetry={refetch} />;
  return (
    <Page>
      <PageHead>
        <div>
          <Title>{logWords.log}</Title>
          <Soft>{logWords.eachFigureAsItCame}</Soft>
        </div>
        <LinkButton to="/log/record">{recordWords.theRecordOfToday}</LinkButton>
      </PageHead>
      {closed.length === 0 ? (
        <Empty title={logWords.nothingClosedYet}>
          <Soft>{logWords.aBatchComesHereWhen}</Soft>
        </Empty>
      ) : (
        <Table tabIndex={0} role="region" aria-label={logWords.closedBatches}>
          <table>
            <thead>
              <tr>
                <th scope="col">{logWords.batch}</th>
                <th scope="col">{logWords.yield}</th>
                <th scope="col">{logWords.bowlsServed}</th>
                <th scope="col">{logWords.timeAtTheStove}</th>
                <th scope="col">{logWords.ready}</th>
                <th scope="col">{logWords.salt}</th>
                <th scope="col">{logWords.aBowlCost}</th>
              </tr>
            </thead>
            <tbody>
              {closed.map((batch) => (
                <Row key={batch.id} batch={batch} zone={kitchen.zone} currency={kitchen.currency} />
              ))}
            </tbody>
          </table>
        </Table>
      )}
      {hasNextPage && (
        <Button onPress={() => void fetchNextPage()} isDisabled={isFetchingNextPage}>
          {logWords.earlierBatches}
        </Button>
      )}
      <HonestyOf kept={forecasts} />
    </Page>
  );
}

function Row({ batch, zone, currency }: { batch: BatchHead; zone: string; currency: string }) {
  if (!batch.outcome) return null;
  const { predicted, actual, served, storedLitres } = batch.outcome;
  const late = Math.round((actual.readyAtMs - predicted.readyAtMs) / 60_000);
  return (
    <tr>
      <td>
        <Link to={`/log/${batch.id}`}>{dayAndHour(batch.serviceAtMs, zone)}</Link>
        <Over>
          {batch.name}, {batch.potName}
        </Over>
      </td>
      <td>
        {litres(actual.yieldLitres)}
        <Over>{litres(predicted.yieldLitres)}</Over>
      </td>
      <td>
        {storedLitres && served === 0 ? logWords.stored(litres(storedLitres)) : served}
        <Over>{storedLitres && served === 0 ? logWords.forTheLarder : logWords.ordered(batch.portions)}</Over>
      </td>
      <td>
        {span(actual.cookingMinutes * 60_000)}
        <Over>{span(predicted.cookingMinutes * 60_000)}</Over>
      </td>
      <td>
        {late === 0 ? logWords.onTime : logWords.minLate(Math.abs(late), late > 0)}
        <Over>{logWords.byItsPlan}</Over>
      </td>
      <td>
        {percent(actual.saltPercent)}
        <Over>{percent(predicted.saltPercent)}</Over>
      </td>
      <td>
        {money(actual.costPerPortionCents, currency)}
        <Over>{money(predicted.costPerPortionCents, currency)}</Over>
      </td>
    </tr>
  );
}
