import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { BOARDS, miseList, type Plan, type PlanInput, pullList, recipeIdOf } from '../../core';
import { useNowMs } from '../data/clock';
import {
  dayAndHour,
  hourMinute,
  litres,
  minutes,
  percent,
  sentenceCase,
  volume,
  weight,
} from '../data/format';
import { useRecipes } from '../data/queries';
import { endOf, heatOf } from '../data/stage-words';
import { Button } from '../parts/button';
import { Page, Waiting } from '../parts/page';
import { Caution, Errors, Over, Soft, Subtitle, Title, Unseen } from '../parts/text';
import { colour, media, size, space } from '../theme/tokens';
import { NotHere } from './not-here';
import { useOrder } from './plan-parts/use-order';
import { amountOf } from './plan-parts/weigh-list';
import { useKitchenHere } from './use-kitchen-here';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.m};
  align-items: center;
  ${media.paper} {
    display: none;
  }
`;

const Part = styled.section`
  display: grid;
  gap: ${space.s};
  break-inside: auto;
  & + & {
    padding-top: ${space.m};
    border-top: 2px solid ${colour.iron};
  }
  ${media.paper} {
    & + & {
      break-before: page;
      border-top: 0;
    }
  }
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
  caption {
    text-align: left;
    font-weight: 700;
    padding-top: ${space.s};
  }
  th,
  td {
    padding: 5px ${space.s} 5px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
    vertical-align: top;
  }
  th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  td.figure,
  th.figure {
    text-align: right;
    white-space: nowrap;
  }
  td.figure:first-of-type,
  td b {
    font-weight: 700;
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  tr {
    break-inside: avoid;
  }
  .box {
    width: 26px;
  }
  th.figure {
    width: 104px;
  }
  th.at {
    width: 72px;
  }
  th.stage {
    width: 44%;
  }
  th.in {
    width: 27%;
  }
  .box i {
    display: block;
    width: 14px;
    height: 14px;
    margin-top: 4px;
    border: 1.5px solid ${colour.edge};
  }
`;

/** What goes on paper for one order: what to pull, what to make ready and when, how to cook it. */
export function SheetPlace() {
  const { data: recipes, error, refetch } = useRecipes();
  const [params] = useSearchParams();
  const nowMs = useNowMs();
  if (!recipes || nowMs === 0) return <Waiting error={error} onRetry={refetch} />;
  const recipe = recipes.find((one) => one.id === params.get('recipe'));
  return recipe ? <SheetOf key={recipe.id} recipeId={recipe.id} /> : <NotHere />;
}

function SheetOf({ recipeId }: { recipeId: string }) {
  const kitchen = useKitchenHere();
  const { data: recipes = [] } = useRecipes();
  const recipe = recipes.find((one) => one.id === recipeId)!;
  const minuteMs = Math.floor(useNowMs() / 60_000) * 60_000;
  const order = useOrder(kitchen, recipes, recipe, minuteMs);
  if (!order.plan || !order.input) {
    return (
      <Page>
        <Title>{recipe.name}</Title>
        <Errors sentences={order.errors.map((one) => one.sentence)} />
        <Link to={`/plan?${order.search}`}>Back to the order</Link>
      </Page>
    );
  }
  const { plan, input } = order;
  return (
    <Page>
      <Bar>
        <Button kind="main" onPress={() => window.print()}>
          Print
        </Button>
        <Link to={`/plan?${order.search}`}>Back to the order</Link>
        <Soft>Or keep it as PDF from the print window.</Soft>
      </Bar>
      <header>
        <Over>
          {kitchen.name}, {dayAndHour(plan.serviceAtMs, kitchen.zone)}
        </Over>
        <Title>{recipe.name}</Title>
        <p>
          <strong>
            {plan.portions} bowls of {plan.portionMl} mL
          </strong>
          , {litres(plan.yieldLitres + (plan.letDown?.litres ?? 0))}, in the {input.pot.name} on{' '}
          {input.burner.name}; light it at <strong>{hourMinute(plan.startAtMs, kitchen.zone)}</strong>. Recipe
          version {recipe.version}.
        </p>
      </header>
      <PullPart name={recipe.name} plan={plan} input={input} />
      <MisePart plan={plan} input={input} />
      <BatchPart plan={plan} input={input} />
    </Page>
  );
}

function PullPart({ name, plan, input }: { name: string; plan: Plan; input: PlanInput }) {
  const { units, suppliers } = useKitchenHere();
  const items = pullList([{ name, plan, ingredients: input.ingredients }], suppliers);
  const stores = [...new Set(items.map((item) => item.store))];
  return (
    <Part aria-label="What to pull">
      <Subtitle>What to pull</Subtitle>
      {stores.map((store) => (
        <Table key={store}>
          <caption>{sentenceCase(store)}</caption>
          <thead>
            <tr>
              <th className="box" scope="col">
                <Unseen>Done</Unseen>
              </th>
              <th scope="col">What</th>
              <th scope="col">From</th>
              <th scope="col" className="figure">
                As bought
              </th>
            </tr>
          </thead>
          <tbody>
            {items
              .filter((item) => item.store === store)
              .map((item) => (
                <tr key={item.ingredientId}>
                  <td className="box">
                    <i />
                  </td>
                  <td>{item.name}</td>
                  <td>
                    {item.supplier ??
                      (recipeIdOf(item.ingredientId) || input.ingredients[item.ingredientId]?.kind === 'stock'
                        ? 'made here'
                        : '')}
                  </td>
                  <td className="figure">
                    {item.litres !== null ? volume(item.litres, units) : weight(item.purchasedKg, units)}
                  </td>
                </tr>
              ))}
          </tbody>
        </Table>
      ))}
    </Part>
  );
}

function MisePart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { units, zone } = useKitchenHere();
  const items = miseList({ recipe: input.recipe, plan, ingredients: input.ingredients });
  const hands = items.reduce((sum, item) => sum + item.minutes, 0);
  return (
    <Part aria-label="What to make ready">
      <Subtitle>What to make ready</Subtitle>
      <Over>About {minutes(hands)} of hands in all; boards in this order, each washed before the next.</Over>
      {BOARDS.filter((board) => items.some((item) => item.board === board)).map((board) => (
        <Table key={board}>
          <caption>{sentenceCase(board)}: a board of its own</caption>
          <thead>
            <tr>
              <th className="box" scope="col">
                <Unseen>Done</Unseen>
              </th>
              <th scope="col">What, and how</th>
              <th scope="col" className="figure">
                From
              </th>
              <th scope="col" className="figure">
                Ready
              </th>
              <th scope="col" className="figure">
                Begin by
              </th>
            </tr>
          </thead>
          <tbody>
            {items
              .filter((item) => item.board === board)
              .map((item) => (
                <tr key={item.lineId}>
                  <td className="box">
                    <i />
                  </td>
                  <td>
                    {item.name}
                    {item.cut && <b>, {item.cut}</b>}
                    {item.notes.length > 0 && <small>{item.notes.join(' ')}</small>}
                    {item.keptByKg > 0.00005 && (
                      <small>And {weight(item.keptByKg, units)} kept by, for the taste.</small>
                    )}
                  </td>
                  <td className="figure">
                    {weight(item.purchasedKg, units)}
                    {item.trimKg > 0.005 && <small>trim {weight(item.trimKg, units)}</small>}
                  </td>
                  <td className="figure">
                    <b>{weight(item.edibleKg, units)}</b>
                  </td>
                  <td className="figure">
                    {dayWord(item.beginByMs, plan.startAtMs, zone)}
                    <small>in at {hourMinute(item.neededAtMs, zone)}</small>
                  </td>
                </tr>
              ))}
          </tbody>
        </Table>
      ))}
    </Part>
  );
}

/** The hour; with its day where that is not the day of cooking. */
function dayWord(atMs: number, cookingMs: number, zone: string): string {
  const isSame = dayAndHour(atMs, zone).split(',')[0] === dayAndHour(cookingMs, zone).split(',')[0];
  return isSame ? hourMinute(atMs, zone) : dayAndHour(atMs, zone);
}

function BatchPart({ plan, input }: { plan: Plan; input: PlanInput }) {
  const { units, zone } = useKitchenHere();
  return (
    <Part aria-label="Batch sheet">
      <Subtitle>Batch sheet</Subtitle>
      <Over>
        Salt {percent(plan.saltPercent)} at the end; fullest {litres(plan.fullest.litres)} of{' '}
        {litres(plan.workingFillLitres)}; holds{' '}
        {plan.allergens.map((one) => one.name).join(', ') || 'none of the fourteen allergens'}.
      </Over>
      {plan.letDown && (
        <Caution>
          Ladle {Math.round(plan.letDown.ladleMl)} mL, then {Math.round(plan.letDown.mlPerBowl)} mL of hot{' '}
          {plan.letDown.name.toLowerCase()} to each bowl.
        </Caution>
      )}
      <Table>
        <thead>
          <tr>
            <th scope="col" className="at">
              At
            </th>
            <th scope="col" className="stage">
              Stage
            </th>
            <th scope="col" className="in">
              Goes in
            </th>
            <th scope="col">Was it so? Time, level, taste</th>
          </tr>
        </thead>
        <tbody>
          {input.recipe.stages.map((stage) => {
            const planned = plan.stages.find((one) => one.stageId === stage.id);
            const lines = plan.lines.filter((line) => line.stageId === stage.id && line.edibleKg > 0.00005);
            return (
              <tr key={stage.id}>
                <td>
                  <b>{hourMinute(planned?.startMs ?? plan.serviceAtMs, zone)}</b>
                  {planned && <small>{minutes(planned.minutes)}</small>}
                </td>
                <td>
                  <b>{stage.title}</b>
                  <small>{stage.act}</small>
                  <small>
                    {heatOf(stage)}, lid {stage.lid}; {endOf(stage)}
                    {(planned?.rounds ?? 1) > 1 && `; goes in by ${planned!.rounds} loads`}
                  </small>
                  <small>Ready when: {stage.cue}</small>
                  {stage.caution && <small>Mind: {stage.caution}</small>}
                </td>
                <td>
                  {lines.map((line) => (
                    <small key={line.lineId}>
                      <b>{amountOf(line, units)}</b> {line.name.toLowerCase()}
                      {line.perBowl && ' on the bowls'}
                    </small>
                  ))}
                </td>
                <td />
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Soft>
        No figure here overrules a thermometer. The local code and the licensed person in charge decide.
      </Soft>
    </Part>
  );
}
