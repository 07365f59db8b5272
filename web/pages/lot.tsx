import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import type { KitchenView, LotDetail } from '../../contract';
import { baseKind } from '../../core/bases';
import { INGREDIENT_BY_ID } from '../../core/matter';
import { type Recipe, recipeIdOf, reheatId } from '../../core/recipe';
import { mustComeCold } from '../../core/safety';
import { Button } from '../components/button';
import { ButtonRow } from '../components/field-row';
import { LinkButton } from '../components/link-button';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { Caution, Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { Tub } from '../components/tub';
import { ApiError } from '../data/api';
import { useMinuteMs } from '../data/clock';
import { useLot, useRecipes } from '../data/queries';
import { colour, space } from '../theme/tokens';
import {
  day,
  dayAndHour,
  isPouredLot,
  lotColour,
  lotWords,
  recordWords,
  storyWords,
  warmWords,
} from '../words';
import { DiluteSheet } from './larder-parts/dilute-sheet';
import { LarderNav } from './larder-parts/larder-nav';
import { actsFor, LOT_ACTS, type LotActId, LotActSheet } from './larder-parts/lot-acts';
import { LotFigures } from './larder-parts/lot-figures';
import { TraceList } from './larder-parts/trace-list';
import { useShelf } from './larder-parts/use-shelf';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled.header`
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: ${space.m};
  align-items: center;
`;

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`;

const Story = styled.ol`
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 ${space.m};
    align-items: center;
    padding: 4px 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** One lot: what it is, what can be done to it, its story, and where it went and came from. */
export function LotPlace() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useLot(id);
  if (error instanceof ApiError && error.status === 404) {
    return (
      <Page>
        <Empty title={lotWords.thereIsNoSuchLot} isPage>
          <Soft>{error.message}</Soft>
          <Link to="/larder">{lotWords.toTheShelf}</Link>
        </Empty>
      </Page>
    );
  }
  if (!data) return <Waiting error={error} onRetry={refetch} />;
  return <LotOf detail={data} />;
}

function LotOf({ detail }: { detail: LotDetail }) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const { data: recipes } = useRecipes();
  const [act, setAct] = useState<LotActId | 'letDown' | null>(null);
  const { lot } = detail;
  const kind = baseKind(lot.contents.base);
  const canLetDown =
    isPouredLot(lot) && kind?.standardBrix !== undefined && lot.storage !== 'frozen' && lot.leftKg > 0.01;
  const reheat = reheatAddress(lot, recipes);
  return (
    <Page>
      <LarderNav />
      <Head>
        <Tub
          size={96}
          share={lot.leftKg / lot.bornKg}
          food={lotColour(lot, recipes)}
          isFrozen={lot.storage === 'frozen'}
          isCrate={lot.origin.kind === 'delivery'}
        />
        <div>
          <Title>{lotWords.lot2(lot.name, lot.number)}</Title>
          <Soft>
            {lot.place}, {lot.storage}; {cameFrom(detail)} {dayAndHour(lot.bornAtMs, kitchen.zone)}
          </Soft>
          {lot.warmMs !== null && lot.warmMs > 0 && <Over>{warmWords(lot.warmMs)}</Over>}
          {isGuess(lot) && <Over>{lotWords.strengthAndSaltAreA}</Over>}
          {lot.countIt && <Caution>{lotWords.moreWasUsedThanThere}</Caution>}
          {lot.usePast && (
            <Caution>
              {lotWords.mayBeUsedPastIts(
                lot.usePast.reason,
                lot.usePast.by,
                dayAndHour(lot.usePast.atMs, kitchen.zone),
              )}
            </Caution>
          )}
          {cameWarm(lot, kitchen.limits.receivingC) && (
            <Caution>{lotWords.itCameInAboveC(kitchen.limits.receivingC)}</Caution>
          )}
          {lot.tags.map((tag) => (
            <Over key={tag}>
              {lotWords.tag(
                tag,
                lot.tagUntilMs === null
                  ? lotWords.keptDaysFromTheLast(kitchen.limits.shellfishTagDays)
                  : lotWords.keptUntil(day(lot.tagUntilMs, kitchen.zone)),
              )}
            </Over>
          ))}
          {lot.advisories.map((advisory) => (
            <Caution key={advisory}>{advisory}</Caution>
          ))}
        </div>
        <ButtonRow>
          <LinkButton to={`/larder/lots/${lot.id}/label`}>{lotWords.label}</LinkButton>
          <LinkButton to={`/log/record?lot=${lot.id}`}>{recordWords.itsRecord}</LinkButton>
        </ButtonRow>
      </Head>
      <Acts role="group" aria-label={lotWords.whatCanBeDone}>
        {actsFor(lot, nowMs).map((id) => (
          <Button key={id} onPress={() => setAct(id)}>
            {LOT_ACTS[id].button}
          </Button>
        ))}
        {reheat && <LinkButton to={reheat}>{lotWords.reheat}</LinkButton>}
        {canLetDown && <Button onPress={() => setAct('letDown')}>{lotWords.diluteOrReduce}</Button>}
      </Acts>
      <Halves>
        <section>
          <LotFigures lot={lot} kitchen={kitchen} nowMs={nowMs} />
        </section>
        <section>
          <Subtitle>
            {lotWords.whereItWent}
            {detail.bowls > 0 && lotWords.bowls(detail.bowls)}
          </Subtitle>
          <TraceList steps={detail.into} zone={kitchen.zone} ending={lotWords.nowhereYet} />
          <Subtitle>{lotWords.whatItCameFrom}</Subtitle>
          <TraceList steps={detail.from} zone={kitchen.zone} ending={lotWords.nothingFurtherIsWrittenDown} />
          <Subtitle>{lotWords.itsStory}</Subtitle>
          <StoryList detail={detail} kitchen={kitchen} />
        </section>
      </Halves>
      {act === 'letDown' && <DiluteSheet lot={lot} kitchen={kitchen} onClose={() => setAct(null)} />}
      {act !== null && act !== 'letDown' && (
        <LotActSheet key={act} lot={lot} act={act} onClose={() => setAct(null)} />
      )}
    </Page>
  );
}

/** A bowl that is short of a drop is a bowl. */
const A_DROP = 0.02;

/** The order that brings a dish back hot for as many bowls as are left of it; null for what is no dish of the book. */
function reheatAddress(lot: LotDetail['lot'], recipes: readonly Recipe[] = []): string | null {
  const dish = recipes.find((one) => one.id === recipeIdOf(lot.contents.ingredientId));
  if (!dish || dish.base || lot.storage === 'frozen' || !isPouredLot(lot)) return null;
  const litres = lot.leftKg / lot.contents.densityKgPerL;
  const bowls = Math.floor((litres * 1000) / dish.portionMl + A_DROP);
  if (bowls < 1) return null;
  return `/plan?${new URLSearchParams({ recipe: reheatId(dish.id), portions: String(bowls) })}`;
}

function StoryList({ detail, kitchen }: { detail: LotDetail; kitchen: KitchenView }) {
  const { tell, refusals } = useShelf();
  return (
    <>
      <Errors sentences={refusals} />
      <Story>
        {[...detail.story].reverse().map((line) => (
          <li key={line.eventId}>
            <span>
              {storyWords(line)}
              <Over as="span" style={{ display: 'block' }}>
                {dayAndHour(line.atMs, kitchen.zone)}
                {line.by && `, ${line.by}`}
              </Over>
            </span>
            {line.kind === 'shelf' && line.mayUndo && (
              <Button
                kind="quiet"
                aria-label={lotWords.undo(storyWords(line))}
                onPress={() => tell({ type: 'undone', payload: { eventId: line.eventId } })}
              >
                {lotWords.undo2}
              </Button>
            )}
          </li>
        ))}
      </Story>
    </>
  );
}

/** Found on the shelf and not read yet: what it is stands in its recipe. */
function isGuess({ origin, contents, isBrixRead }: LotDetail['lot']): boolean {
  return origin.kind === 'found' && recipeIdOf(contents.ingredientId) !== null && !isBrixRead;
}

/** Food that has to come in cold and did not. */
function cameWarm({ origin, contents }: LotDetail['lot'], limitC: number): boolean {
  const row = INGREDIENT_BY_ID[contents.ingredientId];
  return (
    origin.kind === 'delivery' &&
    row !== undefined &&
    mustComeCold(row) &&
    (origin.arrivedC ?? limitC) > limitC
  );
}

function cameFrom({ lot }: LotDetail): string {
  switch (lot.origin.kind) {
    case 'batch':
      return lotWords.made2;
    case 'delivery':
      return lotWords.from(
        lot.origin.supplier,
        lot.origin.arrivedC === undefined ? '' : lotWords.atC(lot.origin.arrivedC),
      );
    case 'split':
      return lotWords.splitOff2;
    case 'blend':
      return lotWords.blended;
    case 'found':
      return lotWords.foundOnTheShelf;
  }
}
