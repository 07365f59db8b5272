import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import { sentenceCase, thePot } from '../../contract';
import { rowsInPot, toComeOut } from '../../core/batch';
import { foodLitres } from '../../core/pot';
import { Page } from '../components/page';
import { PotSection } from '../components/pot-section/pot-section';
import { Caution } from '../components/text';
import { media, space } from '../theme/tokens';
import { litres, passWords } from '../words';
import type { BatchHere } from './batch-frame';
import { Beyond } from './pass-parts/beyond';
import { CloseForm } from './pass-parts/close-form';
import { Garnish } from './pass-parts/garnish';
import { Grill } from './pass-parts/grill';
import { HeldHot } from './pass-parts/held-hot';
import { Orders } from './pass-parts/orders';
import { CameFrom, PartsOf } from './pass-parts/parts';
import { PressBar } from './pass-parts/press-bar';
import { Serve } from './pass-parts/serve';
import { StoreForm } from './pass-parts/store-form';
import { useBoard } from './pass-parts/use-board';
import { useServing } from './pass-parts/use-serving';
import { BowlsLeft, BowlsOut, LitresThere } from './pass-parts/what-is-there';
import { WillItLast } from './pass-parts/will-it-last';
import { TakeOut } from './pot-parts/take-out';

const PotBox = styled.div`
  height: 250px;
`;

/** What there is, what goes out, and the rest: beside each other, or in that order under a thumb. */
const Places = styled.div`
  display: grid;
  grid-template: 'there serve' auto 'rest serve' 1fr / minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space.m} ${space.xl};
  > section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: ${space.m};
    align-content: start;
  }
  .there {
    grid-area: there;
  }
  .serve {
    grid-area: serve;
  }
  .rest {
    grid-area: rest;
  }
  ${media.medium} {
    grid-template: 'there' auto 'serve' auto 'rest' auto / minmax(0, 1fr);
  }
`;

export function Pass() {
  const here = useOutletContext<BatchHere>();
  return here.batch.snapshot.input.recipe.base ? <BasePass here={here} /> : <BowlPass here={here} />;
}

/** A base goes to the larder: litres, and no bowls. */
function BasePass({ here }: { here: BatchHere }) {
  const inPot = foodLitres(here.pot.state.pot);
  return (
    <Page>
      <Places>
        <section className="there">
          <LitresThere here={here} />
          <PotOf here={here} inPot={inPot} bowls={null} />
        </section>
        <section className="serve">
          {toComeOut(here.pot.state).length > 0 && <TakeOut here={here} />}
          <StoreForm here={here} />
          <CloseForm here={here} board={null} leftLitres={inPot} />
        </section>
      </Places>
    </Page>
  );
}

/** A service: what is left of each kind, what goes out at one press, who waits, and whether it lasts. */
function BowlPass({ here }: { here: BatchHere }) {
  const board = useBoard(here);
  const serving = useServing(here);
  const { state } = here.pot;
  const inPot = foodLitres(state.pot);
  return (
    <Page>
      <Places>
        <section className="there">
          <CameFrom here={here} />
          <BowlsLeft here={here} board={board} />
          <Beyond here={here} />
          <ServingChecks here={here} />
          {toComeOut(state).length > 0 && <TakeOut here={here} />}
          <WillItLast here={here} board={board} />
          <BowlsOut here={here} board={board} />
          <HeldHot here={here} board={board} />
        </section>
        <section className="serve">
          <Serve here={here} board={board} serving={serving} />
          <Orders here={here} board={board} serving={serving} />
          <Grill here={here} board={board} />
          <Garnish here={here} board={board} />
          <PartsOf here={here} />
          <StoreForm here={here} />
          <CloseForm here={here} board={board} leftLitres={inPot} />
        </section>
        <section className="rest">
          <PotOf here={here} inPot={inPot} bowls={board.portionsLeft} />
        </section>
      </Places>
      <PressBar board={board} serving={serving} />
    </Page>
  );
}

/** Shell, pin bones and splinters are looked for by hand before the first portion goes out. */
function ServingChecks({ here }: { here: BatchHere }) {
  const { state } = here.pot;
  if (state.firstServedMs !== null) return null;
  const rows = rowsInPot(here.batch.snapshot, state);
  const found = new Set(
    state.wentIn.flatMap(({ ingredientId, kg }) => (kg > 0 ? (rows[ingredientId]?.checks ?? []) : [])),
  );
  if (found.size === 0) return null;
  return (
    <Caution>{passWords.lookFor([...found].map((one) => passWords.checkWords[one]).join(', '))}</Caution>
  );
}

function PotOf({ here, inPot, bowls }: { here: BatchHere; inPot: number; bowls: number | null }) {
  const { state } = here.pot;
  return (
    <PotBox>
      <PotSection
        vessel={state.inPot.vessel}
        litres={inPot}
        food={here.batch.snapshot.input.recipe.colour}
        pieces={bowls === null ? 0 : 0.5}
        hasLid={state.pot.lid}
        heatFraction={state.pot.heatFraction}
        tags={toComeOut(state).map((one) => (one.count > 1 ? `${one.count} ${one.word}` : one.word))}
        stick
        description={passWords.inSection(
          sentenceCase(thePot(state.inPot.name)),
          litres(inPot),
          bowls === null ? '' : passWords.bowls(bowls),
        )}
      />
    </PotBox>
  );
}
