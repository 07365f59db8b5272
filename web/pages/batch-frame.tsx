import { memo } from 'react';
import { Link, NavLink, Outlet, useParams } from 'react-router';
import styled from 'styled-components';
import type { BatchView, KitchenView } from '../../contract';
import type { BatchHolds } from '../../core/batch';
import { LinkButton } from '../components/link-button';
import { Empty, Page, Waiting } from '../components/page';
import { Caution, Over, Soft } from '../components/text';
import { ApiError } from '../data/api';

import { holdsHere } from '../data/holds-here';
import { useBatch, useLots, useLotsOf } from '../data/queries';
import { type LivePot, useLivePot } from '../data/use-pot';
import { colour, font, media, size, space, target } from '../theme/tokens';
import { containsWords, hourMinute, notAsOrdered, orderedWords, potWords } from '../words';
import { SetAside } from './set-aside';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space.l};
  padding: ${space.s} 28px 0;
  h1 {
    font-size: 23px;
  }
  nav {
    display: flex;
    margin-left: auto;
  }
  nav a {
    display: grid;
    place-items: center;
    min-height: ${target.anywhere};
    min-width: 76px;
    padding: 0 ${space.m};
    color: ${colour.soft};
    text-decoration: none;
    font-family: ${font.title};
    font-size: ${size.lead};
    border-bottom: 3px solid ${colour.line};
  }
  nav a[aria-current='page'] {
    color: ${colour.iron};
    font-weight: 700;
    border-bottom-color: ${colour.iron};
  }
  ${media.narrow} {
    padding: ${space.s} ${space.m} 0;
    nav {
      width: 100%;
    }
    nav a {
      flex: 1;
    }
  }
`;

const Strip = styled.div`
  padding: ${space.s} 28px 0;
  ${media.narrow} {
    padding: ${space.s} ${space.m} 0;
  }
`;

/** Told to every cook who drew from a lot that held less: somebody has to look. */
const Overdrawn = memo(function Overdrawn({ batch }: { batch: BatchView }) {
  const { data: lots = [] } = useLots();
  const drawn = new Set(
    batch.events.flatMap((event) =>
      event.type === 'added' ? event.payload.items.flatMap((item) => item.lotId ?? []) : [],
    ),
  );
  const over = lots.filter((lot) => lot.countIt && drawn.has(lot.id));
  if (over.length === 0) return null;
  return (
    <Strip role="status">
      {over.map((lot) => (
        <Caution key={lot.id}>
          {potWords.moreWasDrawnFromLot(lot.name.toLowerCase(), lot.number)}
          <Link to={`/larder/lots/${lot.id}`}>{potWords.count}</Link>.
        </Caution>
      ))}
    </Strip>
  );
});

/** What is in the pot and was not ordered: said on every page of the batch for as long as it is open. */
const NotAsOrdered = memo(function NotAsOrdered({ holds }: { holds: BatchHolds }) {
  const sentences = notAsOrdered(holds);
  if (sentences.length === 0) return null;
  return (
    <Strip role="alert" aria-label={potWords.notAsOrdered}>
      {sentences.map((sentence) => (
        <Caution key={sentence}>{sentence}</Caution>
      ))}
    </Strip>
  );
});

export interface BatchHere {
  batch: BatchView;
  kitchen: KitchenView;
  pot: LivePot;
  /** what a guest may be told of it */
  holds: BatchHolds;
}

/** What a pot, its Adjust and its pass share: one batch, alive. */
export function BatchFrame() {
  const { id = '' } = useParams();
  const kitchen = useKitchenHere();
  const { data: batch, error, refetch } = useBatch(id);
  if (error instanceof ApiError && error.status === 404) {
    return (
      <Page>
        <Empty title={potWords.thereIsNoSuchBatch} isPage>
          <Soft>{error.message}</Soft>
        </Empty>
      </Page>
    );
  }
  if (!batch) return <Waiting error={error} onRetry={refetch} />;
  if (batch.broken) return <SetAside batch={batch} broken={batch.broken} />;
  return <Inside batch={batch} kitchen={kitchen} />;
}

function Inside({ batch, kitchen }: { batch: BatchView; kitchen: KitchenView }) {
  const pot = useLivePot(batch, kitchen);
  const { data: lots } = useLotsOf(batch.id);
  const holds = holdsHere(batch, pot.state, lots);
  const here: BatchHere = { batch, kitchen, pot, holds };
  return (
    <>
      <BatchHead
        batch={batch}
        zone={kitchen.zone}
        standsIn={[...new Set([pot.state.inPot.name, pot.state.onBurner.name])].join(', ')}
        isClosed={pot.state.closed !== null}
        contains={containsWords(holds)}
      />
      <NotAsOrdered holds={holds} />
      <Overdrawn batch={batch} />
      <Outlet context={here} />
    </>
  );
}

/** What batch it is, and the ways to its pot, Adjust and pass. */
const BatchHead = memo(function BatchHead(of: {
  batch: BatchView;
  zone: string;
  standsIn: string;
  isClosed: boolean;
  contains: string;
}) {
  const { id, snapshot } = of.batch;
  const { plan, input } = snapshot;
  const { base, name } = input.recipe;
  return (
    <Head>
      <div>
        <h1>{name}</h1>
        <Over>
          {base
            ? potWords.lReadyBy((plan.portions * plan.portionMl) / 1000)
            : potWords.orderedFor(orderedWords(input), input.kinds !== undefined)}{' '}
          {hourMinute(plan.serviceAtMs, of.zone)}, {of.standsIn}
        </Over>
        <Over as="p">{of.contains}</Over>
      </div>
      {of.isClosed ? (
        <nav aria-label={potWords.thisBatch}>
          <LinkButton to={`/log/${id}`} $main>
            {potWords.closedReadItsLog}
          </LinkButton>
        </nav>
      ) : (
        <nav aria-label={potWords.thisBatch}>
          <NavLink to={`/batches/${id}`} end>
            {potWords.pot}
          </NavLink>
          <NavLink to={`/batches/${id}/adjust`}>{potWords.adjust}</NavLink>
          <NavLink to={`/batches/${id}/pass`}>{base ? potWords.store : potWords.pass}</NavLink>
        </nav>
      )}
    </Head>
  );
});
