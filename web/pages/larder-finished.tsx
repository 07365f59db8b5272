import styled from 'styled-components';

import type { LotView } from '../../core/views';
import { Button } from '../components/button';
import { Empty, Page, Waiting } from '../components/page';
import { Over, Soft, Title } from '../components/text';
import { useFinishedLots } from '../data/queries';
import { colour, media, space } from '../theme/tokens';
import { day, larderWords, lotAmount } from '../words';
import { LarderNav } from './larder-parts/larder-nav';
import { RowLink } from './larder-parts/row-link';
import { useKitchenHere } from './use-kitchen-here';

const Row = styled(RowLink)`
  grid-template-columns: minmax(0, 1fr) 190px 120px;
  align-items: baseline;
  .number {
    color: ${colour.soft};
    white-space: nowrap;
  }
  .amount {
    text-align: right;
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 ${space.m};
    .when {
      grid-row: 2;
    }
  }
`;

/** Lots that are used up or thrown away, the newest first: each still knows where it came from and where it went. */
export function LarderFinished() {
  const { zone } = useKitchenHere();
  const { data: lots, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useFinishedLots();
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  return (
    <Page>
      <LarderNav />
      <header>
        <Title>{larderWords.finishedLots}</Title>
        <Soft>{larderWords.usedUpOrThrownAway}</Soft>
      </header>
      {lots.length === 0 ? (
        <Empty title={larderWords.nothingIsFinishedYet}>
          <Soft>{larderWords.aLotComesHereWhen}</Soft>
        </Empty>
      ) : (
        <section aria-label={larderWords.finishedLots}>
          {lots.map((lot) => (
            <Row key={lot.id} to={`/larder/lots/${lot.id}`}>
              <span>
                <strong>{lot.name}</strong> <span className="number">{larderWords.lot(lot.number)}</span>
                <Over as="span" style={{ display: 'block' }}>
                  {lot.place}
                </Over>
              </span>
              <span className="when">{cameWords(lot, zone)}</span>
              <span className="amount">{lotAmount(lot, lot.bornKg)}</span>
            </Row>
          ))}
        </section>
      )}
      {hasNextPage && (
        <Button onPress={() => void fetchNextPage()} isDisabled={isFetchingNextPage}>
          {larderWords.earlierLots}
        </Button>
      )}
    </Page>
  );
}

function cameWords(lot: LotView, zone: string): string {
  return `${lot.origin.kind === 'delivery' ? larderWords.cameIn2 : larderWords.made} ${day(lot.bornAtMs, zone)}`;
}
