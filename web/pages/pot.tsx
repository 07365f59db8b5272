import { useState } from 'react';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import { Sheet } from '../components/sheet';
import { Over } from '../components/text';
import { colour, media, size, space } from '../theme/tokens';
import { passWords, potWords } from '../words';
import type { BatchHere } from './batch-frame';
import { DrawForm } from './pass-parts/draw-sheet';
import { CameFrom, DrawFirstNote } from './pass-parts/parts';
import { Act, AmountsOf } from './pot-parts/act';
import { DeviceLine } from './pot-parts/device-line';
import { HeatForm } from './pot-parts/heat-form';
import { LiftForm } from './pot-parts/lift-form';
import { MarkForm } from './pot-parts/mark-form';
import type { PotSheet } from './pot-parts/more-acts';
import { PotLog } from './pot-parts/pot-log';
import { ReadingForm } from './pot-parts/reading-form';
import { heatLine, Section } from './pot-parts/section';
import { SlipForm } from './pot-parts/slip-form';
import { TemperForm } from './pot-parts/temper-form';
import { WhatIf } from './pot-parts/what-if';

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 43fr) minmax(0, 57fr);
  min-height: calc(100% - 62px);
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const PotSide = styled.section`
  contain: content;
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
  contain: content;
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

interface InSheet {
  here: BatchHere;
  onClose: () => void;
  /** where the cook pointed at the wall */
  pointedCm: number | null;
}

/** What a pot's sheets are called, and what is on them. */
const SHEETS: Readonly<
  Record<Exclude<PotSheet, 'amounts'>, { title: string; inside: (of: InSheet) => React.ReactNode }>
> = {
  reading: {
    title: potWords.takeAReading,
    inside: ({ here, onClose, pointedCm }) => (
      <ReadingForm here={here} onClose={onClose} firstDepthCm={pointedCm} />
    ),
  },
  heat: { title: potWords.heatAndLid, inside: (of) => <HeatForm here={of.here} onClose={of.onClose} /> },
  log: { title: potWords.theLogOfThisPot, inside: (of) => <PotLog here={of.here} /> },
  whatIf: { title: potWords.whatIf, inside: (of) => <WhatIf here={of.here} onClose={of.onClose} /> },
  slip: {
    title: potWords.somethingWentWrong,
    inside: (of) => <SlipForm here={of.here} onClose={of.onClose} />,
  },
  lift: { title: potWords.outOfThePot, inside: (of) => <LiftForm here={of.here} onClose={of.onClose} /> },
  temper: { title: potWords.temper, inside: (of) => <TemperForm here={of.here} /> },
  draw: {
    title: passWords.drawOffTitle,
    inside: (of) => <DrawForm here={of.here} kindId={null} onClose={of.onClose} />,
  },
  mark: { title: potWords.reduceTo, inside: (of) => <MarkForm here={of.here} onClose={of.onClose} /> },
};

/** The pot: what is in it, the one thing it wants, and when it will be there. */
export function PotPlace() {
  const here = useOutletContext<BatchHere>();
  const [open, setOpen] = useState<PotSheet | null>(null);
  const [pointedCm, setPointedCm] = useState<number | null>(null);
  const { next } = here.pot;
  const close = () => setOpen(null);
  const sheet = open && open !== 'amounts' ? SHEETS[open] : null;
  const point = (depthCm: number | null) => {
    setPointedCm(depthCm);
    setOpen('reading');
  };
  return (
    <Halves>
      <PotSide aria-label={potWords.thePotInSection}>
        <Section here={here} onPoint={point} />
        <Over>{heatLine(here)}</Over>
        <DeviceLine at={here.batch.id} />
      </PotSide>
      <ActSide>
        <CameFrom here={here} />
        <DrawFirstNote here={here} />
        <Act here={here} next={next} onRead={() => point(null)} onOpen={setOpen} />
      </ActSide>
      {sheet && (
        <Sheet title={sheet.title} isOpen onClose={close}>
          {sheet.inside({ here, onClose: close, pointedCm })}
        </Sheet>
      )}
      {next.kind === 'begin' && open === 'amounts' && <AmountsOf here={here} next={next} onClose={close} />}
    </Halves>
  );
}
