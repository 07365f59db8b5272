import { useState } from 'react';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import { Over } from '../parts/text';
import { colour, media, size, space } from '../theme/tokens';
import type { BatchHere } from './batch-frame';
import { Act, AmountsOf, type PotSheet } from './pot-parts/act';
import { DeviceLine } from './pot-parts/device-line';
import { HeatSheet } from './pot-parts/heat-sheet';
import { LiftSheet } from './pot-parts/lift-sheet';
import { MarkSheet } from './pot-parts/mark-sheet';
import { ReadingSheet } from './pot-parts/reading-sheet';
import { potWords, Section } from './pot-parts/section';
import { SlipSheet } from './pot-parts/slip-sheet';
import { TakeBackSheet } from './pot-parts/take-back-sheet';
import { TemperSheet } from './pot-parts/temper-sheet';
import { WhatIfSheet } from './pot-parts/what-if-sheet';

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

/** The pot: what is in it, the one thing it wants, and when it will be there. */
export function PotPlace() {
  const here = useOutletContext<BatchHere>();
  const [open, setOpen] = useState<PotSheet | null>(null);
  const [pointedCm, setPointedCm] = useState<number | null>(null);
  const { want } = here.pot;
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
        <DeviceLine batchId={here.batch.id} />
      </PotSide>
      <ActSide>
        <Act here={here} want={want} onRead={() => point(null)} onOpen={setOpen} />
      </ActSide>
      {open === 'reading' && <ReadingSheet here={here} isOpen onClose={close} firstDepthCm={pointedCm} />}
      {open === 'heat' && <HeatSheet here={here} isOpen onClose={close} />}
      {open === 'log' && <TakeBackSheet here={here} isOpen onClose={close} />}
      {open === 'whatIf' && <WhatIfSheet here={here} isOpen onClose={close} />}
      {open === 'slip' && <SlipSheet here={here} isOpen onClose={close} />}
      {open === 'lift' && <LiftSheet here={here} isOpen onClose={close} />}
      {open === 'temper' && <TemperSheet here={here} isOpen onClose={close} />}
      {open === 'mark' && <MarkSheet here={here} isOpen onClose={close} />}
      {want.kind === 'begin' && open === 'amounts' && <AmountsOf here={here} want={want} onClose={close} />}
    </Halves>
  );
}
