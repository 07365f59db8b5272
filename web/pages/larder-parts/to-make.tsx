import { Link } from 'react-router';
import styled from 'styled-components';
import { daysAhead, type KitchenView, refusalSentence } from '../../../contract';
import { orderedRecipe } from '../../../core/book';
import type { BaseAhead } from '../../../core/order';
import { Button } from '../../components/button';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';

import {
  useCancelOrder,
  useFoods,
  useLots,
  useOpenBatches,
  useOrders,
  useRecipes,
  useWholeKitchen,
} from '../../data/queries';
import { colour, radius, size, space } from '../../theme/tokens';
import { basesWords, day, dayAndHour, hourMinute, litres, makingRefusalWords } from '../../words';
import { useComputed } from '../../workers/use-computed';

const Part = styled.section`
  display: grid;
  gap: ${space.s};
  align-content: start;
`;

const Card = styled.li<{ $isShort: boolean }>`
  display: grid;
  gap: 4px;
  padding: ${space.s} ${space.m};
  border-left: 4px solid ${({ $isShort }) => ($isShort ? colour.lookIn : colour.onTarget)};
  border-radius: ${radius.s};
  background: ${colour.sheet};
  strong {
    font-size: ${size.lead};
  }
  a {
    font-weight: 700;
  }
`;

const List = styled.ul`
  display: grid;
  gap: ${space.s};
`;

const Kept = styled.ul`
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0 ${space.s};
    padding: 2px 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** What the kept orders will draw in the days ahead, what is there for them, and what to make by when. */
export function ToMake({ kitchen, nowMs }: { kitchen: KitchenView; nowMs: number }) {
  const { data: orders } = useOrders();
  const { data: book } = useRecipes();
  const { data: lots } = useLots();
  const whole = useWholeKitchen(kitchen);
  const { data: open = [] } = useOpenBatches();
  const busy = open.map(({ potId, burnerId, snapshot }) => ({
    potId,
    burnerId,
    untilMs: snapshot.plan.serviceAtMs,
  }));
  const minuteMs = Math.floor(nowMs / 300_000) * 300_000;
  const asked =
    orders && book && lots && whole
      ? { orders, kitchen: whole, book, lots: lots.filter((lot) => lot.leftKg > 0), nowMs: minuteMs, busy }
      : null;
  const { data: ahead, error } = useComputed('bases', asked);
  if (!orders || !ahead) {
    return (
      <Part aria-label={basesWords.toMake}>
        <Subtitle>{basesWords.toMake}</Subtitle>
        <Soft role="status">{error ? error.message : basesWords.workingOutTheDaysAhead}</Soft>
      </Part>
    );
  }
  return (
    <Part aria-label={basesWords.toMake}>
      <Subtitle>{basesWords.toMake}</Subtitle>
      {orders.length === 0 && <Soft>{basesWords.nothingIsPlannedForLater}</Soft>}
      <Errors
        sentences={ahead.refused.map(
          (one) =>
            `${one.name}: ${one.refusals.map((refusal) => refusalSentence(refusal, kitchen)).join(' ')}`,
        )}
      />
      <List>
        {ahead.bases.map((base) => (
          <BaseCard key={base.demand.rowId} base={base} kitchen={kitchen} nowMs={nowMs} />
        ))}
      </List>
      {orders.length > 0 && <KeptOrders kitchen={kitchen} />}
    </Part>
  );
}

function BaseCard({ base, kitchen, nowMs }: { base: BaseAhead; kitchen: KitchenView; nowMs: number }) {
  const { zone } = kitchen;
  const { demand, making } = base;
  const l = (kg: number) => litres(kg / demand.densityKgPerL);
  const isShort = demand.toMakeKg > 0;
  const names = [...new Set(demand.parts.map((part) => part.need.forName))];
  return (
    <Card $isShort={isShort}>
      <strong>
        {making ? `${litres(making.litres)} ${making.name.toLowerCase()}` : demand.name}
        {!isShort && basesWords.enough}
      </strong>
      <Over>
        {basesWords.wantedFor(
          l(demand.wantedKg),
          names.map((name) => name.toLowerCase()).join(', '),
          demand.thereKg > 0.01 ? basesWords.there(l(demand.thereKg)) : basesWords.noneThere,
        )}
        {demand.byMs !== null && basesWords.shortFrom(dayAndHour(demand.byMs, zone))}.
      </Over>
      {demand.passedOver.length > 0 && isShort && (
        <Over>
          {basesWords.leftOut(
            demand.passedOver
              .map((one) => (one.why === 'frozen' ? basesWords.oneFrozen : basesWords.onePastItsDateBy))
              .join(', '),
          )}
        </Over>
      )}
      {making && (
        <p>
          {basesWords.lightItStrainedColdBy(
            making.potName,
            making.burnerName,
            dayAndHour(making.startAtMs, zone),
            hourMinute(making.readyAtMs, zone),
            dayAndHour(making.latestStartMs, zone),
          )}{' '}
          {making.cooled &&
            basesWords.coldInPans(
              hourMinute(making.cooled.coldAtMs, zone),
              making.cooled.how.pans,
              making.cooled.how.depthCm,
              making.cooled.how.place,
            )}
        </p>
      )}
      {making?.cooled?.isInTime === false && <Caution>{basesWords.notCooledInTime}</Caution>}
      {making && making.batches > 1 && (
        <Caution>
          {basesWords.itWantsBatchesInThat(
            making.batches,
            making.runs.map((run) => hourMinute(run.readyAtMs, zone)).join(', '),
          )}
        </Caution>
      )}
      {making?.isLate && <Caution>{basesWords.nothingIsFreeInTime}</Caution>}
      {base.refusal && <p>{makingRefusalWords(base.refusal, (one) => refusalSentence(one, kitchen))}</p>}
      {making && <Link to={planAddress(making, zone, nowMs)}>{basesWords.planIt}</Link>}
    </Card>
  );
}

function planAddress(making: NonNullable<BaseAhead['making']>, zone: string, nowMs: number): string {
  return `/plan?${new URLSearchParams({
    recipe: making.recipeId,
    amountBy: 'litres',
    portions: String(making.litres),
    pot: making.potId,
    burner: making.burnerId,
    by: hourMinute(making.readyAtMs, zone),
    day: String(Math.max(0, daysAhead(nowMs, making.readyAtMs, zone))),
  })}`;
}

/** The orders themselves: opened again, or deleted. */
function KeptOrders({ kitchen }: { kitchen: KitchenView }) {
  const { data: orders = [] } = useOrders();
  const { data: book = [] } = useRecipes();
  const { data: foods } = useFoods();
  const cancel = useCancelOrder();
  return (
    <>
      <Over>{basesWords.planned}</Over>
      <Kept>
        {orders.map(({ id, request }) => {
          const recipe = foods && orderedRecipe(request.recipeId, foods, book);
          return (
            <li key={id}>
              <span>
                {basesWords.bowlsOf(
                  day(request.serviceAtMs, kitchen.zone),
                  hourMinute(request.serviceAtMs, kitchen.zone),
                  Math.round(request.portions),
                  recipe?.name.toLowerCase() ?? request.recipeId,
                )}
              </span>
              <Button
                kind="quiet"
                onPress={() => cancel.mutate(id)}
                aria-label={basesWords.delete(recipe?.name ?? id)}
              >
                {basesWords.delete2}
              </Button>
            </li>
          );
        })}
      </Kept>
    </>
  );
}
