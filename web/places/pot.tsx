import { useState } from 'react';
import { useNavigate, useOutletContext } from 'react-router';
import styled from 'styled-components';
import { type BatchEventBody, nextWant, type Want } from '../../core';
import { useLots } from '../data/queries';
import { heatWords } from '../data/words';
import { Button } from '../parts/button';
import { Caution, Errors, Over, Soft } from '../parts/text';
import { colour, media, size, space } from '../theme/tokens';
import type { BatchHere } from './batch-frame';
import { WeighList } from './plan-parts/weigh-list';
import { AmountsSheet } from './pot-parts/amounts-sheet';
import { Answer } from './pot-parts/answer';
import { beginBodies, beginWords, drawsOf, firstHeat } from './pot-parts/begin';
import { HeatSheet } from './pot-parts/heat-sheet';
import { Acts, Cues } from './pot-parts/pot-styles';
import { ReadingSheet } from './pot-parts/reading-sheet';
import { Running } from './pot-parts/running';
import { potWords, Section } from './pot-parts/section';
import { TakeBackSheet } from './pot-parts/take-back-sheet';
import { TakeOut } from './pot-parts/take-out';
import { useSay } from './pot-parts/use-say';

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 43fr) minmax(0, 57fr);
  min-height: calc(100% - 62px);
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const PotSide = styled.section`
  display: grid;
  grid-template-rows: 1fr auto;
  padding: ${space.s} 28px ${space.m};
  border-right: 1px solid ${colour.line};
  height: calc(100dvh - 236px);
  min-height: 340px;
  max-height: 720px;
  ${media.medium} {
    border-right: 0;
    border-bottom: 1px solid ${colour.line};
    height: 400px;
    padding: ${space.s} 28px;
  }
  ${media.narrow} {
    padding: ${space.s} ${space.m};
    height: 262px;
    min-height: 0;
    > p {
      display: none;
    }
  }
`;

const ActSide = styled.section`
  display: grid;
  gap: 12px;
  align-content: start;
  padding: ${space.s} 28px ${space.s};
  ${media.narrow} {
    padding: ${space.m};
  }
  h2 {
    font-size: ${size.act};
    letter-spacing: -0.01em;
  }
`;

/** The pot: what is in it, the one thing it wants, and when it will be there. */
export function PotPlace() {
  const here = useOutletContext<BatchHere>();
  const { snapshot } = here.batch;
  const { state, clock, nowMs } = here.pot;
  const { zone } = here.kitchen;
  const [open, setOpen] = useState<'reading' | 'heat' | 'log' | 'amounts' | null>(null);
  const [pointedCm, setPointedCm] = useState<number | null>(null);
  const want = nextWant(snapshot, state, clock, nowMs);
  const close = () => setOpen(null);
  const point = (depthCm: number | null) => {
    setPointedCm(depthCm);
    setOpen('reading');
  };
  return (
    <Halves>
      <PotSide aria-label="The pot in section">
        <Section here={here} onPoint={point} />
        <Over>{potWords(here)}</Over>
      </PotSide>
      <ActSide>
        <Act here={here} want={want} onRead={() => point(null)} onOpen={setOpen} />
      </ActSide>
      <ReadingSheet here={here} isOpen={open === 'reading'} onClose={close} firstDepthCm={pointedCm} />
      <HeatSheet here={here} isOpen={open === 'heat'} onClose={close} />
      <TakeBackSheet here={here} isOpen={open === 'log'} onClose={close} />
      {want.kind === 'begin' && open === 'amounts' && (
        <AmountsOf here={here} want={want} onClose={close} zone={zone} />
      )}
    </Halves>
  );
}

interface ActProps {
  here: BatchHere;
  want: Want;
  onRead: () => void;
  onOpen: (what: 'heat' | 'log' | 'amounts') => void;
}

function Act({ here, want, onRead, onOpen }: ActProps) {
  const { tell, refusals } = useSay(here.batch.id);
  const navigate = useNavigate();
  const [isBusy, setBusy] = useState(false);
  const once = async (...bodies: BatchEventBody[]) => {
    setBusy(true);
    await tell(...bodies);
    setBusy(false);
  };
  const beside = (
    <>
      <Button atPot onPress={() => onOpen('heat')}>
        Heat and lid
      </Button>
      <Button atPot onPress={() => onOpen('log')}>
        Take back…
      </Button>
    </>
  );
  const { state, clock } = here.pot;
  switch (want.kind) {
    case 'closed':
      return <h2>This batch is closed</h2>;
    case 'answer':
      return <Answer here={here} beside={beside} />;
    case 'begin':
      return (
        <>
          <div>
            <Over>{beginWords(want, here)}</Over>
            <h2>{want.stage.title}</h2>
          </div>
          <Cues>
            <p>{want.stage.act}</p>
            {want.stage.caution && <Caution>{want.stage.caution}</Caution>}
          </Cues>
          {want.lines.length > 0 && <WeighList lines={want.lines} withBuying={false} />}
          {want.stage.asksOut && state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Soft>
            Then {here.batch.snapshot.input.burner.name} at {heatWords(firstHeat(here, want))}, lid{' '}
            {want.stage.lid}.
          </Soft>
          <Errors sentences={refusals} />
          <Acts>
            <Button kind="main" atPot isDisabled={isBusy} onPress={() => once(...beginBodies(here, want))}>
              {want.lines.length > 0 ? 'These are in: begin' : 'Begin'}
            </Button>
            {want.lines.length > 0 ? (
              <Button atPot onPress={() => onOpen('amounts')}>
                Other amounts
              </Button>
            ) : (
              <Button atPot onPress={() => onOpen('heat')}>
                Heat and lid
              </Button>
            )}
            <Button atPot onPress={() => onOpen('log')}>
              Take back…
            </Button>
          </Acts>
        </>
      );
    case 'serve':
      return (
        <>
          <Running here={here} want={want} />
          {state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Acts>
            <Button kind="main" atPot onPress={() => navigate(`/batches/${here.batch.id}/pass`)}>
              {here.batch.snapshot.input.recipe.base ? 'To put it by' : 'To the pass'}
            </Button>
            {beside}
          </Acts>
        </>
      );
    default: {
      // Each button keeps its own key: one that changed its meaning under a thumb would act on the wrong word.
      const falls = clock?.markLitres != null;
      const finish = (
        <Button
          key="finish"
          kind={want.kind === 'finish' ? 'main' : 'plain'}
          atPot
          isDisabled={isBusy}
          onPress={() => once({ type: 'stageDone', v: 1, payload: { stageId: want.stage.id } })}
        >
          {falls ? 'At the mark' : 'It is done'}
        </Button>
      );
      const read = (
        <Button
          key="read"
          kind={want.kind === 'finish' || want.kind === 'heat' ? 'plain' : 'main'}
          atPot
          onPress={onRead}
        >
          It is here now
        </Button>
      );
      return (
        <>
          <Running here={here} want={want} />
          {want.stage.asksOut && state.toComeOut.length > 0 && <TakeOut here={here} />}
          <Errors sentences={refusals} />
          <Acts>
            {want.kind === 'heat' ? (
              <Button
                key="heat"
                kind="main"
                atPot
                isDisabled={isBusy}
                onPress={() => once({ type: 'heatSet', v: 1, payload: { fraction: want.fraction } })}
              >
                {want.fraction === 0 ? 'Heat is off' : `Heat is at ${heatWords(want.fraction)}`}
              </Button>
            ) : want.kind === 'finish' ? (
              finish
            ) : (
              read
            )}
            {want.kind === 'heat' || want.kind === 'finish' ? read : finish}
            <Button atPot onPress={() => onOpen('heat')}>
              Heat and lid
            </Button>
          </Acts>
          <div>
            <Button kind="quiet" onPress={() => onOpen('log')}>
              Take something back, or note it
            </Button>
          </div>
        </>
      );
    }
  }
}

function AmountsOf({
  here,
  want,
  onClose,
}: {
  here: BatchHere;
  want: Extract<Want, { kind: 'begin' }>;
  onClose: () => void;
  zone: string;
}) {
  const { tell, refusals } = useSay(here.batch.id);
  const { data: lots = [] } = useLots();
  return (
    <AmountsSheet
      lines={want.lines}
      isOpen
      onClose={onClose}
      refusals={refusals}
      lots={lots}
      draws={drawsOf(here.batch.snapshot)}
      onKeep={async (kgByLine, draws) => {
        if (await tell(...beginBodies(here, want, kgByLine, draws))) onClose();
      }}
    />
  );
}
