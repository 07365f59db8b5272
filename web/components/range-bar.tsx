import { memo, useCallback } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { type BatchView, type KitchenView, type LotLabel, sentenceCase } from '../../contract';
import { potLitres } from '../../core/pot';
import type { Vessel } from '../../core/vessel';
import { useTicking } from '../data/clock';
import { type CoolingPlaceOnRange, useCoolingsOnRange } from '../data/cooling-calls';
import { holdsHere } from '../data/holds-here';
import { useWaiting } from '../data/outbox';
import { useLotsOfEach, useOpenBatches, useRecipes } from '../data/queries';
import { type LivePot, livePotOrNull } from '../data/use-pot';
import { colour, font, media, size, space } from '../theme/tokens';
import { commonWords, coolingWords, lotColour, newInIt, nextActionWords } from '../words';
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

const NotOrdered = styled.span`
  display: block;
  font-weight: 700;
  &::before {
    content: '! ';
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

const NO_POTS: readonly BatchView[] = [];

/** Every live pot along the bottom, always: what it is doing, what it wants and when. */
export function RangeBar({ kitchen, hereId }: { kitchen: KitchenView; hereId: string | null }) {
  const { data: open = NO_POTS } = useOpenBatches();
  const lotsOf = useLotsOfEach(open.map((batch) => batch.id));
  const waiting = useWaiting();
  const { clock, zone } = kitchen;
  const read = useCallback(
    (nowMs: number) =>
      open.map((batch, i) => placeOf(batch, lotsOf[i], livePotOrNull(batch, waiting, kitchen, nowMs), zone)),
    [open, lotsOf, waiting, kitchen, zone],
  );
  const places = useTicking(clock, read);
  const coolings = useCoolingsOnRange(kitchen);
  const busy = new Set(open.map((batch) => batch.burnerId));
  const free = kitchen.burners
    .filter((burner) => !busy.has(burner.id))
    .slice(0, Math.max(1, CELLS - open.length - coolings.length));
  return (
    <Bar aria-label={commonWords.theRange}>
      {places.map((place) => (
        <PotOnRange key={place.batchId} place={place} isHere={place.batchId === hereId} />
      ))}
      {coolings.map((cooling) => (
        <CoolingOnRange key={cooling.lot.id} cooling={cooling} />
      ))}
      {free.map((burner) => (
        <Cell key={burner.id} to={`/plan?burner=${burner.id}`} $isHere={false}>
          <PotThumb vessel={null} ink={colour.rangeSoft} />
          <span>
            <Name $isFaint>{commonWords.isFree(sentenceCase(burner.name))}</Name>
            <Doing>{commonWords.planABatchOnIt}</Doing>
          </span>
        </Cell>
      ))}
    </Bar>
  );
}

/** A pan that cools, among the pots: what it wants next. */
const CoolingOnRange = memo(function CoolingOnRange({ cooling }: { cooling: CoolingPlaceOnRange }) {
  const { data: recipes } = useRecipes();
  const { lot, depthCm, doing, wants, call } = cooling;
  const vessel: Vessel = { shape: 'box', lengthCm: 53, widthCm: 32.5, heightCm: Math.max(10, depthCm + 2) };
  return (
    <Cell to="/larder/cooling" $isHere={false}>
      <PotThumb
        vessel={vessel}
        litres={(53 * 32.5 * depthCm) / 1000}
        food={lotColour(lot, recipes) ?? 'broth'}
        markLitres={null}
        ink={colour.rangeText}
      />
      <span>
        <Name>{coolingWords.the(shortName(lot.name), lot.number)}</Name>
        <Doing>{doing}</Doing>
        <WantText $isPressing={call !== 'none'}>{wants}</WantText>
      </span>
    </Cell>
  );
});

/** What a pot's place on the range shows. */
interface RangePlace {
  batchId: string;
  vessel: Vessel;
  litres: number;
  food: string;
  markLitres: number | null;
  name: string;
  doing: string;
  text: string;
  isPressing: boolean;
  /** what came in that was not ordered; empty for nothing */
  notOrdered: string;
}

function placeOf(
  batch: BatchView,
  lots: readonly LotLabel[] | undefined,
  live: LivePot | null,
  zone: string,
): RangePlace {
  if (!live) return asidePlace(batch);
  const { state, clock, nowMs, next } = live;
  const { recipe } = batch.snapshot.input;
  const { inPot: pot, onBurner: burner } = state;
  return {
    batchId: batch.id,
    vessel: pot.vessel,
    litres: roughly(potLitres(state.pot)),
    food: recipe.colour,
    markLitres: clock?.markLitres == null ? null : roughly(clock.markLitres),
    name: shortName(recipe.name),
    doing: clock ? `${clock.stage.title.toLowerCase()}, ${burner.name}` : `${pot.name}, ${burner.name}`,
    ...nextActionWords(next, nowMs, zone, burner.dial),
    notOrdered: newInIt(holdsHere(batch, state, lots)),
  };
}

/** A pot that cannot be worked out stands there all the same: by its name, and with the way to it. */
function asidePlace({ id, snapshot }: BatchView): RangePlace {
  const { pot, burner, recipe } = snapshot.input;
  return {
    batchId: id,
    vessel: pot.vessel,
    litres: 0,
    food: recipe.colour,
    markLitres: null,
    name: shortName(recipe.name),
    doing: `${pot.name}, ${burner.name}`,
    text: commonWords.setAsideLookAtIts,
    isPressing: true,
    notOrdered: '',
  };
}

/** A thumb's height of pot shows no more than a fifth of a litre. */
const roughly = (litres: number) => Math.round(litres * 5) / 5;

/** Drawn anew only when something on it reads otherwise: every pot is asked each second, and few have news. */
const PotOnRange = memo(function PotOnRange({ place, isHere }: { place: RangePlace; isHere: boolean }) {
  return (
    <Cell to={`/batches/${place.batchId}`} $isHere={isHere} aria-current={isHere ? 'page' : undefined}>
      <PotThumb
        vessel={place.vessel}
        litres={place.litres}
        food={place.food}
        markLitres={place.markLitres}
        ink={colour.rangeText}
      />
      <span>
        <Name>{place.name}</Name>
        <Doing>{place.doing}</Doing>
        {place.notOrdered && <NotOrdered>{place.notOrdered}</NotOrdered>}
        <WantText $isPressing={place.isPressing}>{place.text}</WantText>
      </span>
    </Cell>
  );
});

/** The dish in the two words that tell it from another pot. */
function shortName(full: string): string {
  const name = full.split(',')[0]!;
  const words = name.replace(/ and /g, ' ').split(' ');
  return words.length <= 3 ? name : sentenceCase(`${words[1]} ${words.at(-1)}`);
}
