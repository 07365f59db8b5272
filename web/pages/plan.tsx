import { useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { sentenceCase, thePot, type WholeKitchen } from '../../contract';
import type { PotChoice } from '../../core/order';
import type { Plan } from '../../core/plan';
import type { Recipe } from '../../core/recipe';
import { Button } from '../components/button';
import { HoldsLine } from '../components/holds-line';
import { LinkButton } from '../components/link-button';
import { Empty, Page, Waiting } from '../components/page';
import { PotSection, type WallMark } from '../components/pot-section/pot-section';
import { Over, Soft } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useLots, useOpenBatches, useRecipes, useUsualRecipe, useWholeKitchen } from '../data/queries';
import { colour, media, radius, size, space, target } from '../theme/tokens';
import { fitWords, hourMinute, isFit, litres, missingWords, planWords } from '../words';
import { useComputed } from '../workers/use-computed';
import { BegunAheadList } from './plan-parts/begun-ahead';
import { Figures } from './plan-parts/figures';
import { FromLarder } from './plan-parts/from-larder';
import { fillThePot, HaveSheet } from './plan-parts/have-sheet';
import { LessSalt, SaltReduced } from './plan-parts/less-salt';
import { MorePortions } from './plan-parts/more-portions';
import { OrderSentence } from './plan-parts/order-sentence';
import { ScalingList } from './plan-parts/scaling-list';
import { SwapSheet, SwapsDone } from './plan-parts/swap-sheet';
import { ToBeCooled } from './plan-parts/to-be-cooled';
import { type Order, useOrder } from './plan-parts/use-order';
import { Ways } from './plan-parts/ways';
import { WeighList } from './plan-parts/weigh-list';
import { useKitchenHere, useOrderedRecipe } from './use-kitchen-here';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(330px, 1.05fr) minmax(330px, 1fr) minmax(340px, 1fr);
  min-height: 100%;
  > section {
    padding: ${space.m} 28px ${space.l};
    display: grid;
    gap: ${space.m};
    align-content: start;
  }
  > section + section {
    border-left: 1px solid ${colour.line};
  }
  > section:last-child {
    background: ${colour.sheet};
  }
  ${media.medium} {
    grid-template-columns: 1fr 1fr;
    > section:last-child {
      grid-column: 1 / -1;
    }
  }
  ${media.narrow} {
    grid-template-columns: 1fr;
    > section {
      padding: ${space.m};
    }
  }
`;

const Choices = styled.div`
  display: grid;
  grid-template-columns: repeat(2, 1fr);
  gap: ${space.s};
`;

const ChoiceCard = styled.button<{ $isPicked: boolean }>`
  min-height: ${target.anywhere};
  padding: ${space.s};
  border: 2px solid ${({ $isPicked }) => ($isPicked ? colour.act : colour.line)};
  box-shadow: ${({ $isPicked }) => ($isPicked ? `inset 0 0 0 1px ${colour.act}` : 'none')};
  border-radius: ${radius.m};
  background: ${colour.sheet};
  text-align: center;
  font-size: ${size.small};
  line-height: 1.3;
  cursor: pointer;
  strong {
    display: block;
    font-size: ${size.text};
  }
  .no {
    color: ${colour.danger};
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space.s};
  margin: -${space.s} 0 0 -${space.s};
`;

/** From an order to what to weigh, when to light the burner, and what will be in the bowls. */
export function PlanPlace() {
  const { data: recipes, error, refetch } = useRecipes();
  const { data: usual } = useUsualRecipe();
  const [params, setParams] = useSearchParams();
  const nowMs = useMinuteMs();
  const asked = useOrderedRecipe(params.get('recipe'));
  const kitchen = useWholeKitchen(useKitchenHere());
  const open = useOpenBatches();
  const { isPending: isShelfPending } = useLots();
  // an order opens on what is free, by what stands in the larder: both are known before it is begun
  if (!recipes || !usual || !kitchen || open.isPending || isShelfPending)
    return <Waiting error={error} onRetry={refetch} />;
  const recipe = asked ?? recipes.find((one) => one.id === usual.recipeId) ?? recipes[0];
  const missing = missingWords(kitchen);
  if (missing) {
    return (
      <Page>
        <Empty title={planWords.nothingToCookInYet} isPage>
          <Soft>{missing}</Soft>
          <LinkButton to={kitchen.pots.length === 0 ? '/kitchen/pots' : '/kitchen/heat'} $main>
            {kitchen.pots.length === 0 ? planWords.addAPot : planWords.addABurner}
          </LinkButton>
        </Empty>
      </Page>
    );
  }
  if (!recipe || nowMs === 0) {
    return (
      <Page>
        <Empty title={planWords.noRecipeToPlan} isPage>
          <Soft>{planWords.theBookIsEmpty}</Soft>
          <LinkButton to="/kitchen/recipes" $main>
            {planWords.firstRecipes}
          </LinkButton>
        </Empty>
      </Page>
    );
  }
  const turnTo = (id: string) =>
    setParams({ recipe: id, ...(params.get('service') ? { service: params.get('service')! } : {}) });
  return <PlanOf key={recipe.id} kitchen={kitchen} recipe={recipe} book={recipes} onRecipe={turnTo} />;
}

function PlanOf({
  kitchen,
  recipe,
  book,
  onRecipe,
}: {
  kitchen: WholeKitchen;
  recipe: Recipe;
  book: readonly Recipe[];
  onRecipe: (id: string) => void;
}) {
  // An order is for a service, not for a second: the minute is fine enough.
  const minuteMs = useMinuteMs();
  const order = useOrder(kitchen, book, recipe, minuteMs);
  const [sheet, setSheet] = useState<'have' | 'swap' | null>(null);
  const [substitute, setSubstitute] = useState<string | null>(null);
  const pot = kitchen.pots.find((one) => one.id === order.draft.potId)!;
  const plan = order.shown?.plan ?? null;
  const { data: choices = [] } = useComputed('choices', order.asked);
  return (
    <Columns>
      <section>
        <Over as="h1">{planWords.planABatch}</Over>
        <OrderSentence order={order} recipe={recipe} book={book} kitchen={kitchen} onRecipe={onRecipe} />
        <Tools>
          <Button kind="quiet" isDisabled={!order.asked} onPress={() => void fillThePot(order)}>
            {planWords.fillThePot}
          </Button>
          <Button kind="quiet" onPress={() => setSheet('have')}>
            {planWords.fromWhatIHave}
          </Button>
          <Button kind="quiet" onPress={() => setSheet('swap')}>
            {planWords.substitute}
          </Button>
          <LessSalt order={order} recipe={recipe} />
        </Tools>
        {!recipe.base && <MorePortions order={order} kitchen={kitchen} />}
        <SaltReduced order={order} recipe={recipe} />
        <SwapsDone order={order} />
        {plan && <WeighList lines={plan.lines} />}
        {order.shown && <BegunAheadList {...order.shown} nowMs={minuteMs} zone={kitchen.zone} />}
        {order.shown && <ToBeCooled {...order.shown} kitchen={kitchen} />}
        {plan && <FromLarder order={order} />}
        {order.holds && <HoldsLine holds={order.holds} />}
      </section>
      <section>
        <Over>{planWords.in(thePot(pot.name))}</Over>
        {plan && (
          <>
            <PotSection
              vessel={pot.vessel}
              litres={Math.min(plan.yieldLitres / plan.batches, plan.brimLitres)}
              food={recipe.colour}
              pieces={recipe.base ? 0 : 0.55}
              label={
                plan.batches > 1
                  ? planWords.oneOf(litres(plan.yieldLitres / plan.batches), plan.batches)
                  : `${litres(plan.yieldLitres)} ${recipe.base ? planWords.strained : planWords.toServe}`
              }
              marks={marksOf(plan)}
              stick
              description={planWords.inSectionAtTheEnd(
                sentenceCase(thePot(pot.name)),
                litres(plan.yieldLitres / plan.batches),
                litres(plan.fullest.litres),
                litres(plan.workingFillLitres),
              )}
            />
            <Choices role="group" aria-label={planWords.pots}>
              {choices.map((choice) => (
                <PotCard key={choice.potId} choice={choice} order={order} zone={kitchen.zone} />
              ))}
            </Choices>
            {plan.batches > 1 && <Ways order={order} zone={kitchen.zone} />}
            <ScalingList order={order} />
          </>
        )}
      </section>
      <section>{plan && <Figures plan={plan} order={order} onSubstitute={setSubstitute} />}</section>
      <HaveSheet order={order} isOpen={sheet === 'have'} onClose={() => setSheet(null)} />
      <SwapSheet order={order} isOpen={sheet === 'swap'} onClose={() => setSheet(null)} />
      <SwapSheet
        order={order}
        onlyLineId={substitute}
        isOpen={substitute !== null}
        onClose={() => setSubstitute(null)}
      />
    </Columns>
  );
}

function PotCard({ choice, order, zone }: { choice: PotChoice; order: Order; zone: string }) {
  const isPicked = choice.potId === order.draft.potId;
  return (
    <ChoiceCard
      type="button"
      $isPicked={isPicked}
      aria-pressed={isPicked}
      onClick={() => order.change({ potId: choice.potId, burnerId: choice.burnerId, holdBackShare: 0 })}
    >
      <strong>{choice.name}</strong>
      {choice.fullestLitres > 0 && (
        <>
          {planWords.of6(litres(choice.fullestLitres), litres(choice.workingFillLitres))}
          <br />
        </>
      )}
      <span className={isFit(choice) ? '' : 'no'}>
        {isFit(choice)
          ? planWords.light2(fitWords(choice), hourMinute(choice.startAtMs, zone))
          : `✕ ${fitWords(choice)}`}
      </span>
    </ChoiceCard>
  );
}

function marksOf(plan: Plan): WallMark[] {
  const marks: WallMark[] = [
    {
      litres: plan.workingFillLitres,
      text: planWords.noFullerThanWhileIt(litres(plan.workingFillLitres)),
      kind: 'limit',
    },
  ];
  if (plan.fullest.litres - plan.yieldLitres / plan.batches > 0.04 * plan.brimLitres) {
    marks.push({
      litres: plan.fullest.litres,
      text: planWords.fullest(litres(plan.fullest.litres)),
      kind: 'fullest',
    });
  }
  return marks;
}
