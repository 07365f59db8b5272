import { Link, Navigate } from 'react-router';
import styled from 'styled-components';
import {
  type BatchView,
  type KitchenView,
  nextServiceAtMs,
  type ServiceView,
  sentenceCase,
  span,
  thePot,
} from '../../contract';
import { orderedRecipe } from '../../core/book';
import { boilingPointC } from '../../core/heat';
import { oldestFirst } from '../../core/larder';
import { potLitres } from '../../core/pot';
import { Boundary } from '../components/boundary';
import { LinkButton } from '../components/link-button';
import { Empty, Page } from '../components/page';
import { PotThumb } from '../components/pot-section/pot-thumb';
import { Over, Soft, Subtitle, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useFoods, useLastServed, useLots, useOpenBatches, useOrders, useRecipes } from '../data/queries';
import { useLivePot } from '../data/use-pot';
import { colour, font, media, size, space, target } from '../theme/tokens';
import {
  dateWords,
  day,
  hourMinute,
  litres,
  lotAmount,
  missingWords,
  nextActionWords,
  orderedWords,
  reasonWords,
  todayWords,
} from '../words';
import { canCook } from './kitchen-parts/sections';
import { orderAddress } from './plan-parts/order-address';
import { useKitchenHere } from './use-kitchen-here';

const Line = styled.ol`
  position: relative;
  display: grid;
  gap: 0;
  border-left: 4px solid ${colour.iron};
  margin-left: ${space.s};
`;

const Stop = styled.li`
  position: relative;
  display: grid;
  grid-template-columns: 140px 150px 1fr auto;
  gap: ${space.m};
  align-items: center;
  padding: ${space.m} 0 ${space.m} ${space.l};
  border-bottom: 1px solid ${colour.line};
  &::before {
    content: '';
    position: absolute;
    left: -12px;
    top: 50%;
    width: 16px;
    height: 16px;
    margin-top: -10px;
    border: 4px solid ${colour.iron};
    border-radius: 50%;
    background: ${colour.enamel};
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding-left: ${space.m};
    > :nth-child(n + 3) {
      grid-column: 1 / -1;
    }
  }
`;

const Hour = styled.span`
  font-family: ${font.title};
  font-weight: 700;
  font-size: 38px;
  line-height: 1;
  white-space: nowrap;
  small {
    font-size: ${size.small};
  }
`;

const Kept = styled.ul`
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 ${space.s};
    min-height: ${target.anywhere};
    border-bottom: 1px solid ${colour.line};
  }
`;

const Pots = styled.div`
  display: grid;
  gap: ${space.s};
`;

const PotLine = styled(Link)`
  min-width: 0;
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr) auto;
  gap: ${space.m};
  align-items: center;
  color: inherit;
  ${media.narrow} {
    grid-template-columns: 56px minmax(0, 1fr);
    > :last-child {
      grid-column: 2;
    }
  }
  text-decoration: none;
  &:hover strong {
    text-decoration: underline;
  }
`;

const Pressing = styled.span<{ $isPressing: boolean }>`
  font-weight: 700;
  color: ${({ $isPressing }) => ($isPressing ? colour.lookIn : colour.onTarget)};
  font-size: ${size.text};
`;

/** The day down to its last train: what each service wants, what is on for it, and the next thing to do. */
export function Today() {
  const kitchen = useKitchenHere();
  if (kitchen.name === '') return <Navigate to="/kitchen/place" replace />;
  return <TheDay kitchen={kitchen} />;
}

function TheDay({ kitchen }: { kitchen: KitchenView }) {
  const nowMs = useMinuteMs();
  const { data: open = [] } = useOpenBatches();
  const stops = kitchen.services
    .map((service) => ({ service, atMs: nextServiceAtMs(service, kitchen.zone, nowMs) }))
    .sort((a, b) => a.atMs - b.atMs);
  const firstBare = stops.find((stop) => !open.some((batch) => isFor(batch, stop.atMs)));
  return (
    <Page>
      <header>
        <Over>{day(nowMs, kitchen.zone)}</Over>
        <Title>{kitchen.name}</Title>
      </header>
      <Line>
        {stops.map((stop) => (
          <ServiceStop
            key={stop.service.id}
            {...stop}
            nowMs={nowMs}
            kitchen={kitchen}
            batches={open.filter((batch) => isFor(batch, stop.atMs))}
            isNext={stop === firstBare}
          />
        ))}
      </Line>
      {!canCook(kitchen) && <SetUpFurther kitchen={kitchen} />}
      {canCook(kitchen) && stops.length === 0 && (
        <Empty title={todayWords.noServiceYet}>
          <Soft>{todayWords.nameTheHoursThatBowls}</Soft>
          <LinkButton to="/kitchen/service">{todayWords.addAService}</LinkButton>
          <LinkButton to="/plan" $main>
            {todayWords.planABatch}
          </LinkButton>
        </Empty>
      )}
      <UseFirst kitchen={kitchen} nowMs={nowMs} />
      <Ahead kitchen={kitchen} nowMs={nowMs} />
      <LastTime zone={kitchen.zone} />
      <Soft>{todayWords.waterBoilsAtCHere(boilingPointC({ altitudeM: kitchen.altitudeM }))}</Soft>
    </Page>
  );
}

/** A kitchen that cannot cook yet: what it lacks, and the way there. */
function SetUpFurther({ kitchen }: { kitchen: KitchenView }) {
  return (
    <Empty title={todayWords.setUpYourKitchen}>
      <Soft>{missingWords(kitchen) ?? todayWords.sayWhichBurnerYourPots}</Soft>
      <LinkButton to={kitchen.pots.length === 0 ? '/kitchen/pots' : '/kitchen/heat'} $main>
        {todayWords.goOn}
      </LinkButton>
    </Empty>
  );
}

/** Lots whose days are over or nearly so: what a soup should be made of today. */
function UseFirst({ kitchen, nowMs }: { kitchen: KitchenView; nowMs: number }) {
  const { data: lots = [] } = useLots();
  const pressing = oldestFirst(lots.filter((lot) => lot.leftKg > LEAST_KG))
    .map((lot) => ({ lot, date: dateWords(lot, nowMs, kitchen.zone) }))
    .filter(({ date }) => date.tone !== 'calm')
    .slice(0, 4);
  if (pressing.length === 0) return null;
  return (
    <section>
      <Subtitle>{todayWords.useFirst}</Subtitle>
      <Kept>
        {pressing.map(({ lot, date }) => (
          <li key={lot.id}>
            <Link to={`/larder/lots/${lot.id}`}>
              {todayWords.lot(lotAmount(lot, lot.leftKg), lot.name.toLowerCase(), lot.number)}
            </Link>
            <span>{date.left}</span>
          </li>
        ))}
      </Kept>
    </section>
  );
}

/** Less than this is an empty tub, kg. */
const LEAST_KG = 0.01;

/** What is kept for the days ahead, each to be opened when its day has come. */
function Ahead({ kitchen, nowMs }: { kitchen: KitchenView; nowMs: number }) {
  const { data: orders = [] } = useOrders();
  const { data: recipes = [] } = useRecipes();
  const { data: foods } = useFoods();
  if (orders.length === 0) return null;
  return (
    <section>
      <Subtitle>{todayWords.planned}</Subtitle>
      <Kept>
        {orders.map((order) => {
          const { id, request } = order;
          return (
            <li key={id}>
              {day(request.serviceAtMs, kitchen.zone)}, {hourMinute(request.serviceAtMs, kitchen.zone)}:{' '}
              <Link to={orderAddress(order, kitchen, nowMs)}>
                {todayWords.bowlsOf(
                  Math.round(request.portions),
                  (foods && orderedRecipe(request.recipeId, foods, recipes)?.name.toLowerCase()) ??
                    request.recipeId,
                )}
              </Link>
            </li>
          );
        })}
      </Kept>
      <Over>
        <Link to="/larder">{todayWords.whatTheyWillDrawAnd}</Link>
      </Over>
    </section>
  );
}

/** How the last batch came out: what to have in mind today. */
function LastTime({ zone }: { zone: string }) {
  const { data: last } = useLastServed();
  if (!last?.outcome) return null;
  const { served, leftPortions, reasons } = last.outcome;
  return (
    <section>
      <Subtitle>{todayWords.lastTime}</Subtitle>
      <p>
        <Link to={`/log/${last.id}`}>{day(last.serviceAtMs, zone)}</Link>
        {todayWords.ofServedLeft(
          last.name.toLowerCase(),
          served,
          last.portions,
          leftPortions,
          reasons.length > 0
            ? `${sentenceCase(reasons.map(reasonWords).join('; '))}.`
            : todayWords.itCameOutAsPlanned,
        )}
      </p>
    </section>
  );
}

function ServiceStop(of: {
  service: ServiceView;
  atMs: number;
  nowMs: number;
  kitchen: KitchenView;
  batches: BatchView[];
  isNext: boolean;
}) {
  const { service, atMs, kitchen } = of;
  const order = `/plan?service=${service.id}`;
  const [hour, half] = hourMinute(atMs, kitchen.zone).split('\u00a0');
  const isTomorrow = day(atMs, kitchen.zone) !== day(of.nowMs, kitchen.zone);
  return (
    <Stop>
      <Hour>
        {hour}
        {half && <small> {half}</small>}
      </Hour>
      <span>
        <strong>{span(atMs - of.nowMs)}</strong>
        {todayWords.toGo}
        <Over>{isTomorrow ? day(atMs, kitchen.zone) : todayWords.bowls(service.covers)}</Over>
      </span>
      <Pots>
        {of.batches.map((batch) => (
          <Boundary key={batch.id} instead={() => <AsideLine batch={batch} />}>
            {batch.broken ? <AsideLine batch={batch} /> : <BatchLine batch={batch} kitchen={kitchen} />}
          </Boundary>
        ))}
        {of.batches.length === 0 && <Soft>{todayWords.nothingIsOnForIt}</Soft>}
      </Pots>
      <LinkButton to={order} $main={of.isNext}>
        {of.batches.length > 0 ? todayWords.planAnother : todayWords.planBowls(service.covers)}
      </LinkButton>
    </Stop>
  );
}

function BatchLine({ batch, kitchen }: { batch: BatchView; kitchen: KitchenView }) {
  const { state, clock, nowMs, next: wanted } = useLivePot(batch, kitchen);
  const { recipe } = batch.snapshot.input;
  const { inPot: pot } = state;
  const next = nextActionWords(wanted, nowMs, kitchen.zone, state.onBurner.dial);
  return (
    <PotLine to={`/batches/${batch.id}`}>
      <PotThumb
        vessel={pot.vessel}
        litres={potLitres(state.pot)}
        food={recipe.colour}
        markLitres={clock?.markLitres ?? null}
        ink={colour.iron}
      />
      <span>
        <Subtitle as="strong">{recipe.name}</Subtitle>
        <Over>
          {todayWords.bowlsIn(
            orderedWords(batch.snapshot.input),
            litres(potLitres(state.pot)),
            thePot(pot.name),
          )}
        </Over>
      </span>
      <Pressing $isPressing={next.isPressing}>{next.text}</Pressing>
    </PotLine>
  );
}

function AsideLine({ batch }: { batch: BatchView }) {
  const { pot, recipe } = batch.snapshot.input;
  return (
    <PotLine to={`/batches/${batch.id}`}>
      <PotThumb vessel={pot.vessel} ink={colour.iron} />
      <span>
        <Subtitle as="strong">{recipe.name}</Subtitle>
        <Over>{todayWords.in(thePot(pot.name))}</Over>
      </span>
      <Pressing $isPressing>{todayWords.setAsideLookAtIts}</Pressing>
    </PotLine>
  );
}

function isFor(batch: BatchView, serviceAtMs: number): boolean {
  return batch.snapshot.plan.serviceAtMs === serviceAtMs;
}
