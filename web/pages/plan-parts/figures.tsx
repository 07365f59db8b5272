import { useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { daysAhead, minutes, span } from '../../../contract';
import { orderedRecipe } from '../../../core/book';
import type { FigureName, Plan } from '../../../core/plan';
import { guestPortions } from '../../../core/portions';
import { Button } from '../../components/button';
import { Field } from '../../components/field';
import { Figure } from '../../components/figure';
import { LinkButton } from '../../components/link-button';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Subtitle } from '../../components/text';
import { sentencesOf } from '../../data/api';
import { useMinuteMs } from '../../data/clock';
import {
  useFoods,
  useKeepOrder,
  useOpenBatches,
  useOrders,
  useRecipes,
  useStartBatch,
} from '../../data/queries';
import { colour, size, space } from '../../theme/tokens';
import {
  day,
  dayAndHour,
  hourMinute,
  litres,
  percent,
  planWords,
  runsWords,
  slowReheatWords,
  unmetWords,
  workingWords,
} from '../../words';
import { useKitchenHere } from '../use-kitchen-here';
import { BaseFigures, BowlFigures } from './bowl-figures';
import { bowlsKept, bowlsOnTheRange, bowlsOver } from './bowls-at-service';
import { Shortages } from './from-larder';
import { InTime } from './in-time';
import { Unpriced } from './price-form';
import type { Order } from './use-order';

const Stages = styled.ol`
  display: grid;
  gap: 2px;
  li {
    display: grid;
    grid-template-columns: 54px 1fr auto;
    gap: ${space.s};
    font-size: ${size.small};
    padding: 3px 0;
    border-bottom: 1px solid ${colour.line};
  }
  li span:last-child {
    color: ${colour.soft};
  }
`;

/** An order to be lit further off than this is kept, not taken to the burner. */
const AHEAD_MS = 20 * 3_600_000;

/** What the order comes to: every figure opens to its arithmetic; then the act, the paper, and the stages. */
export function Figures({
  plan,
  order,
  onSubstitute,
}: {
  plan: Plan;
  order: Order;
  onSubstitute: (lineId: string) => void;
}) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const navigate = useNavigate();
  const start = useStartBatch();
  const keep = useKeepOrder();
  const { reset: forgetStart } = start;
  const { reset: forgetKeep } = keep;
  // what was refused of another order says nothing of this one
  useEffect(() => {
    forgetStart();
    forgetKeep();
  }, [order.search, forgetStart, forgetKeep]);
  const [isAsked, setAsked] = useState(false);
  const [overrideReason, setOverrideReason] = useState('');
  const { search } = useLocation();
  const { data: open = [] } = useOpenBatches();
  const [batchId] = useState(() => uuid());
  const { zone } = kitchen;
  const burner = kitchen.burners.find((one) => one.id === order.draft.burnerId)!;
  const boilId = order.shown?.input.recipe.stages.find((stage) => stage.ends.rule === 'simmer')?.id;
  const simmer = plan.stages.find((stage) => stage.stageId === boilId);
  const busy = open.find((batch) => batch.burnerId === burner.id || batch.potId === order.draft.potId);
  const service = kitchen.services.find((one) => one.id === order.draft.serviceId);
  const orderId = new URLSearchParams(search).get('order');
  const kept = useBowlsKept(orderId);
  const over =
    plan.base || !service
      ? null
      : bowlsOver(
          service.covers,
          { serviceAtMs: plan.serviceAtMs, portions: guestPortions(order.request ?? plan) },
          [...bowlsOnTheRange(open), ...kept],
        );
  const isTooFull = plan.batches > 1;
  const isLate = plan.startAtMs < nowMs - 5 * 60_000;
  const w = (figure: FigureName) => workingWords(plan, figure, kitchen.currency);
  const isAhead = plan.startAtMs - nowMs > AHEAD_MS;
  const take = (reason?: string) =>
    order.request &&
    start.mutate(
      {
        id: batchId,
        ...order.request,
        ...(reason ? { overrideReason: reason } : {}),
        ...(orderId ? { orderId } : {}),
      },
      { onSuccess: (batch) => navigate(`/batches/${batch.id}`) },
    );
  return (
    <>
      <div>
        <Figure
          label={planWords.lightTheBurner}
          value={runHour(plan.startAtMs, nowMs, zone)}
          note={fromNow(plan.startAtMs, nowMs)}
          working={w('start')}
        />
        <Figure
          label={planWords.readyToServe}
          value={hourMinute(plan.readyAtMs, zone)}
          note={planWords.min(Math.max(1, Math.round(plan.readySdMinutes)))}
          working={w('ready')}
        />
        <Figure
          label={planWords.yield}
          value={litres(plan.yieldLitres)}
          note={
            plan.letDown
              ? planWords.dilutedToBowls(
                  litres(plan.yieldLitres + plan.letDown.litres),
                  Math.floor(plan.yieldPortions + 0.05),
                )
              : plan.base
                ? planWords.strained
                : planWords.bowls2(Math.floor(plan.yieldPortions + 0.05))
          }
          working={w('yield')}
        />
        <Figure
          label={planWords.intoThePot}
          value={litres(plan.startLitres)}
          note={planWords.kgSteamsOff(plan.evaporatedKg)}
          working={w('liquid')}
        />
        <Figure
          label={planWords.atItsFullest}
          value={litres(plan.fullest.litres)}
          note={planWords.of3(litres(plan.workingFillLitres))}
          working={w('fill')}
        />
        {simmer && (
          <Figure label={planWords.comingToASimmer} value={minutes(simmer.minutes)} working={w('simmer')} />
        )}
        {plan.base ? <BaseFigures plan={plan} base={plan.base} /> : <BowlFigures plan={plan} />}
        <Figure
          label={planWords.contains}
          value={plan.allergens.map((one) => one.name).join(', ')}
          working={w('allergens')}
          long
        />
      </div>
      {plan.letDown && (
        <Caution>
          {planWords.cookedConcentratedThePotReaches(
            percent(plan.letDown.potSaltPercent),
            Math.round(plan.letDown.ladleMl),
            Math.round(plan.letDown.mlPerBowl),
            plan.letDown.name.toLowerCase(),
          )}
        </Caution>
      )}
      {isTooFull && (
        <Caution>
          {planWords.itWouldBoilOverTake(
            plan.batches,
            plan.base
              ? litres(plan.yieldLitres / plan.batches)
              : planWords.bowls3(Math.ceil(plan.portions / plan.batches)),
            runsWords(plan.runs ?? [], (ms) => runHour(ms, nowMs, zone)),
          )}
        </Caution>
      )}
      {over && (
        <Caution>
          {planWords.ordersForComeToBowls(hourMinute(plan.serviceAtMs, zone), over.bowls, over.covers)}
        </Caution>
      )}
      {order.shown && (
        <Unpriced
          names={plan.unpriced ?? []}
          guessed={plan.guessed ?? []}
          rows={Object.values(order.shown.input.ingredients)}
        />
      )}
      {plan.slowReheat && <Caution>{slowReheatWords(plan.slowReheat, order.shown?.input.limits)}</Caution>}
      {(plan.unmet ?? []).map((wish) => (
        <div key={wish.wish}>
          <Caution>{unmetWords(wish)}</Caution>
          {wish.wish === 'bowls' && wish.why === 'nothingToSolve' && wish.nearest < wish.wanted && (
            <MakeUp order={order} />
          )}
        </div>
      ))}
      {isLate && (
        <Caution>
          {planWords.theTimeToLightIt(
            span(nowMs - plan.startAtMs),
            hourMinute(plan.readyAtMs + (nowMs - plan.startAtMs), zone),
          )}
        </Caution>
      )}
      {isLate && !plan.base && <InTime order={order} name={order.shown!.input.recipe.name} zone={zone} />}
      {busy && (
        <Caution>
          {planWords.isInUseChooseAnother(busy.burnerId === burner.id ? burner.name : planWords.thisPot)}
        </Caution>
      )}
      <Shortages order={order} onSubstitute={onSubstitute} />
      <Errors sentences={isAsked ? [] : sentencesOf(start.error ?? keep.error)} />
      {isAhead && (
        <Button
          kind="main"
          atPot
          isDisabled={!order.plan || isTooFull || keep.isPending}
          onPress={() =>
            order.request &&
            keep.mutate({ id: batchId, ...order.request }, { onSuccess: () => navigate('/larder') })
          }
        >
          {isTooFull ? planWords.itDoesNotFitThis : planWords.saveItFor(day(plan.serviceAtMs, zone))}
        </Button>
      )}
      {(!isAhead || !isTooFull) && (
        <Button
          kind={isAhead ? 'plain' : 'main'}
          atPot={!isAhead}
          isDisabled={!order.plan || isTooFull || busy !== undefined || start.isPending}
          onPress={() => (order.shorts.length > 0 ? setAsked(true) : take())}
        >
          {isTooFull
            ? planWords.itDoesNotFitThis
            : planWords.takeItTo(
                burner.name,
                isAhead ? planWords.nowAnyway : hourMinute(plan.startAtMs, zone),
              )}
        </Button>
      )}
      <Sheet title={planWords.theLarderIsShort} isOpen={isAsked} onClose={() => setAsked(false)}>
        <p>
          {planWords.areNotThereMakeIt(
            order.shorts
              .map((short) =>
                planWords.of4(litres(short.shortKg / short.densityKgPerL), short.name.toLowerCase()),
              )
              .join(' and '),
          )}
        </p>
        <Field
          label={planWords.itComesFrom}
          value={overrideReason}
          onChange={setOverrideReason}
          isText
          error={start.error ? sentencesOf(start.error).join(' ') : null}
        />
        <Button kind="main" atPot onPress={() => take(overrideReason.trim())}>
          {planWords.cookItAnyway}
        </Button>
      </Sheet>
      <LinkButton to={`/sheet?${order.search}`}>{planWords.whatToPullCutAnd}</LinkButton>
      <div>
        <Subtitle>{planWords.stageByStage}</Subtitle>
        <Stages>
          {plan.stages.map((stage) => (
            <li key={stage.stageId}>
              <span>{hourMinute(stage.startMs, zone)}</span>
              <span>{stage.title}</span>
              <span>{minutes(stage.minutes)}</span>
            </li>
          ))}
        </Stages>
      </div>
    </>
  );
}

/** What could be added where no liquid of the recipe makes up the litres: one press puts it in the order. */
function MakeUp({ order }: { order: Order }) {
  const rows = order.shown?.input.ingredients ?? {};
  return (
    <>
      {MAKES_UP.flatMap((id) => rows[id] ?? []).map((row) => (
        <Button
          key={row.id}
          onPress={() =>
            order.change({ changes: [...order.draft.changes, { kind: 'makeUp', byIngredientId: row.id }] })
          }
        >
          {planWords.makeItUpWith(row.name.toLowerCase())}
        </Button>
      ))}
    </>
  );
}

const MAKES_UP = ['water', 'milk'] as const;

/** What the kept orders come to, but for the one that is open here. */
function useBowlsKept(orderId: string | null) {
  const { data: orders = [] } = useOrders();
  const { data: book = [] } = useRecipes();
  const { data: foods } = useFoods();
  const isBase = (id: string) => Boolean(foods && orderedRecipe(id, foods, book)?.base);
  return bowlsKept(orders, isBase, orderId);
}

/** The hour; with its day where that is not today. */
const runHour = (ms: number, nowMs: number, zone: string) =>
  daysAhead(nowMs, ms, zone) === 0 ? hourMinute(ms, zone) : dayAndHour(ms, zone);

function fromNow(atMs: number, nowMs: number): string {
  return atMs >= nowMs ? `in ${span(atMs - nowMs)}` : planWords.ago(span(nowMs - atMs));
}
