import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';

import { oldestFirst } from '../../core/larder';
import type { LotView } from '../../core/views';
import { Button } from '../components/button';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { Caution, Over, Soft, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';

import { useLots, useStrays } from '../data/queries';
import { space } from '../theme/tokens';
import { dayAndHour, larderWords, strayWords } from '../words';
import { DeliverySheet } from './larder-parts/delivery-sheet';
import { LarderNav } from './larder-parts/larder-nav';
import { LotRow } from './larder-parts/lot-row';
import { ToMake } from './larder-parts/to-make';
import { UseItUp } from './larder-parts/use-it-up';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: ${space.s};
`;

const Side = styled.div`
  display: grid;
  gap: ${space.l};
  align-content: start;
`;

/** What there is to cook from, the first to be used on top; what has to be made; what the board leaves. */
export function Larder() {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const { data: lots, error, refetch } = useLots();
  const [isOpen, setOpen] = useState(false);
  if (!lots || nowMs === 0) return <Waiting error={error} onRetry={refetch} />;
  const there = oldestFirst(lots.filter((lot) => lot.leftKg > LEAST_KG || lot.countIt));
  const groups: [string, LotView[]][] = [
    [larderWords.madeHere, there.filter((lot) => lot.origin.kind !== 'delivery' && lot.storage !== 'frozen')],
    [larderWords.cameIn, there.filter((lot) => lot.origin.kind === 'delivery' && lot.storage !== 'frozen')],
    [larderWords.inTheFreezer, there.filter((lot) => lot.storage === 'frozen')],
  ];
  return (
    <Page>
      <LarderNav />
      <Head>
        <Title>{larderWords.theShelf}</Title>
        <Button onPress={() => setOpen(true)}>{larderWords.aDelivery2}</Button>
      </Head>
      <Strays zone={kitchen.zone} />
      <Halves $columns="minmax(0, 1.55fr) minmax(0, 1fr)">
        <section aria-label={larderWords.theShelf}>
          {there.length === 0 && (
            <Empty title={larderWords.nothingOnTheShelf}>
              <Soft>{larderWords.stocksAndPureesAppearHere}</Soft>
            </Empty>
          )}
          {groups.map(
            ([name, rows]) =>
              rows.length > 0 && (
                <div key={name}>
                  <Over as="h2">{larderWords.theFirstToBeUsed(name)}</Over>
                  {rows.map((lot) => (
                    <LotRow key={lot.id} lot={lot} kitchen={kitchen} nowMs={nowMs} />
                  ))}
                </div>
              ),
          )}
          <Soft>{larderWords.daysAt5COr(kitchen.limits.dateMarkDays)}</Soft>
        </section>
        <Side>
          <ToMake kitchen={kitchen} nowMs={nowMs} />
          <UseItUp kitchen={kitchen} />
        </Side>
      </Halves>
      {isOpen && <DeliverySheet onClose={() => setOpen(false)} />}
    </Page>
  );
}

/** What names a lot that is not there any more: somebody has to look. */
function Strays({ zone }: { zone: string }) {
  const { data: strays = [] } = useStrays();
  if (strays.length === 0) return null;
  return (
    <div role="status">
      {strays.map((stray) => (
        <Caution key={stray.eventId}>
          {strayWords(stray)} {dayAndHour(stray.atMs, zone)}.{' '}
          {stray.batchId && <Link to={`/log/${stray.batchId}`}>{larderWords.theBatch}</Link>}
        </Caution>
      ))}
    </div>
  );
}

/** Less than this is an empty tub, kg. */
const LEAST_KG = 0.005;
