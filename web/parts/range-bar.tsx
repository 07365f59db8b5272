import { memo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { BatchView, KitchenView } from '../../contract';
import { potLitres, type Vessel } from '../../core';
import { useNowMs } from '../data/clock';
import { sentenceCase } from '../data/format';
import { useWaiting } from '../data/outbox';
import { useOpenBatches } from '../data/queries';
import { type LivePot, livePot } from '../data/use-pot';
import { wantWords } from '../data/words';
import { colour, font, media, size, space } from '../theme/tokens';
import { PotThumb } from './pot-section/pot-thumb';

const Bar = styled.nav`
  display: flex;
  background: ${colour.rangeBack};
  color: ${colour.rangeText};
  overflow-x: auto;
  ${media.paper} {
    display: none;
  }
`;

const Cell = styled(Link)<{ $isHere: boolean }>`
  flex: 1 0 250px;
  contain: content;
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: ${space.m};
  align-items: center;
  min-height: 104px;
  padding: ${space.s} ${space.m};
  border-right: 1px solid ${colour.rangeLine};
  background: ${({ $isHere }) => ($isHere ? colour.rangeHere : 'transparent')};
  box-shadow: ${({ $isHere }) => ($isHere ? `inset 0 4px 0 ${colour.rangeText}` : 'none')};
  color: inherit;
  text-decoration: none;
  &:focus-visible {
    outline-color: ${colour.rangeLook};
    outline-offset: -4px;
  }
  ${media.narrow} {
    min-height: 76px;
    flex-basis: 260px;
    gap: ${space.s};
    padding: ${space.xs} ${space.s};
  }
`;

const Name = styled.span<{ $isFaint?: boolean }>`
  display: block;
  color: ${({ $isFaint }) => ($isFaint ? colour.rangeSoft : 'inherit')};
  font-family: ${font.title};
  font-weight: 650;
  font-size: ${size.lead};
  line-height: 1.15;
`;

const Doing = styled.span`
  display: block;
  color: ${colour.rangeSoft};
  font-size: ${size.small};
  ${media.narrow} {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

const WantText = styled.span<{ $isPressing: boolean }>`
  display: block;
  font-weight: 700;
  color: ${({ $isPressing }) => ($isPressing ? colour.rangeLook : colour.rangeText)};
  &::before {
    content: ${({ $isPressing }) => ($isPressing ? "'▸ '" : "''")};
  }
`;

/** The range is drawn this many places wide; more pots than that are scrolled to. */
const CELLS = 4;

/** Every live pot along the bottom, always: what it is doing, what it wants and when. */
export function RangeBar({ kitchen, hereId }: { kitchen: KitchenView; hereId: string | null }) {
  const { data: open = [] } = useOpenBatches();
  const nowMs = useNowMs();
  const waiting = useWaiting();
  const taken = new Set(open.map((batch) => batch.burnerId));
  const free = kitchen.burners
    .filter((burner) => !taken.has(burner.id))
    .slice(0, Math.max(1, CELLS - open.length));
  return (
    <Bar aria-label="The range">
      {open.map((batch) => (
        <PotOnRange
          key={batch.id}
          batch={batch}
          live={livePot(batch, waiting, kitchen.clock, nowMs)}
          zone={kitchen.zone}
          isHere={batch.id === hereId}
        />
      ))}
      {free.map((burner) => (
        <Cell key={burner.id} to={`/plan?burner=${burner.id}`} $isHere={false}>
          <PotThumb vessel={null} ink={colour.rangeSoft} />
          <span>
            <Name $isFaint>{sentenceCase(burner.name)} is free</Name>
            <Doing>plan a batch on it</Doing>
          </span>
        </Cell>
      ))}
    </Bar>
  );
}

function PotOnRange({
  batch,
  live,
  zone,
  isHere,
}: {
  batch: BatchView;
  live: LivePot;
  zone: string;
  isHere: boolean;
}) {
  const { state, clock, nowMs, want: wanted } = live;
  const { recipe } = batch.snapshot.input;
  const { inPot: pot, onBurner: burner } = state;
  const want = wantWords(wanted, nowMs, zone);
  return (
    <CellOf
      to={`/batches/${batch.id}`}
      isHere={isHere}
      vessel={pot.vessel}
      litres={roughly(potLitres(state.pot))}
      food={recipe.colour}
      markLitres={clock?.markLitres == null ? null : roughly(clock.markLitres)}
      name={shortName(recipe.name)}
      doing={clock ? `${clock.stage.title.toLowerCase()}, ${burner.name}` : `${pot.name}, ${burner.name}`}
      text={want.text}
      isPressing={want.isPressing}
    />
  );
}

/** A thumb's height of pot shows no more than a fifth of a litre. */
const roughly = (litres: number) => Math.round(litres * 5) / 5;

/** Drawn anew only when something on it reads otherwise: every pot is asked each second, and few have news. */
const CellOf = memo(function CellOf(of: {
  to: string;
  isHere: boolean;
  vessel: Vessel;
  litres: number;
  food: string;
  markLitres: number | null;
  name: string;
  doing: string;
  text: string;
  isPressing: boolean;
}) {
  return (
    <Cell to={of.to} $isHere={of.isHere} aria-current={of.isHere ? 'page' : undefined}>
      <PotThumb
        vessel={of.vessel}
        litres={of.litres}
        food={of.food}
        markLitres={of.markLitres}
        ink={colour.rangeText}
      />
      <span>
        <Name>{of.name}</Name>
        <Doing>{of.doing}</Doing>
        <WantText $isPressing={of.isPressing}>{of.text}</WantText>
      </span>
    </Cell>
  );
});

/** The dish in the two words that tell it from another pot. */
function shortName(name: string): string {
  const words = name.replace(/ and /g, ' ').split(' ');
  return words.length <= 3 ? name : sentenceCase(`${words[1]} ${words.at(-1)}`);
}
