import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { thePot, type WholeKitchen } from '../../contract';
import { libraryOf } from '../../core/book';
import { advisoriesOf, type Recipe } from '../../core/recipe';
import { Button } from '../components/button';
import { HoldsLine } from '../components/holds-line';
import { Page, Waiting } from '../components/page';
import { Caution, Errors, Over, Soft, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useRecipes, useWholeKitchen } from '../data/queries';
import { media, space } from '../theme/tokens';
import { advisoryWords, dayAndHour, hourMinute, litres, orderedWords, sheetWords } from '../words';
import { NotHere } from './not-here';
import { useOrder } from './plan-parts/use-order';
import { BatchPart } from './sheet-parts/batch-part';
import { MisePart } from './sheet-parts/mise-part';
import { PullPart } from './sheet-parts/pull-part';
import { useKitchenHere, useOrderedRecipe } from './use-kitchen-here';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.m};
  align-items: center;
  ${media.paper} {
    display: none;
  }
`;

/** What goes on paper for one order: what to pull, what to make ready and when, how to cook it. */
export function SheetPlace() {
  const { data: recipes, error, refetch } = useRecipes();
  const [params] = useSearchParams();
  const nowMs = useMinuteMs();
  const recipe = useOrderedRecipe(params.get('recipe'));
  const kitchen = useWholeKitchen(useKitchenHere());
  if (!recipes || !kitchen || nowMs === 0) return <Waiting error={error} onRetry={refetch} />;
  return recipe ? <SheetOf key={recipe.id} kitchen={kitchen} recipe={recipe} book={recipes} /> : <NotHere />;
}

function SheetOf({
  kitchen,
  recipe,
  book,
}: {
  kitchen: WholeKitchen;
  recipe: Recipe;
  book: readonly Recipe[];
}) {
  const minuteMs = useMinuteMs();
  const order = useOrder(kitchen, book, recipe, minuteMs);
  if (!order.plan || !order.input) {
    return (
      <Page>
        <Title>{recipe.name}</Title>
        <Errors sentences={order.errors.map((one) => one.sentence)} />
        <Link to={`/plan?${order.search}`}>{sheetWords.backToTheOrder}</Link>
      </Page>
    );
  }
  const { plan, input } = order;
  return (
    <Page>
      <Bar>
        <Button kind="main" onPress={() => window.print()}>
          {sheetWords.print}
        </Button>
        <Link to={`/plan?${order.search}`}>{sheetWords.backToTheOrder}</Link>
        <Soft>{sheetWords.orKeepItAsPdf}</Soft>
      </Bar>
      <header>
        <Over>
          {kitchen.name}, {dayAndHour(plan.serviceAtMs, kitchen.zone)}
        </Over>
        <Title>{recipe.name}</Title>
        <p>
          <strong>
            {order.request?.kinds
              ? orderedWords(order.request)
              : sheetWords.bowlsOfMl(plan.portions, plan.portionMl)}
          </strong>
          {sheetWords.inOnLightItAt(
            litres(plan.yieldLitres + (plan.letDown?.litres ?? 0)),
            thePot(input.pot.name),
            input.burner.name,
          )}
          <strong>{hourMinute(plan.startAtMs, kitchen.zone)}</strong>
          {sheetWords.recipeVersion(recipe.version)}
        </p>
        {order.holds && <HoldsLine holds={order.holds} />}
        {advisoriesOf(recipe, libraryOf(kitchen, book))
          .map(advisoryWords)
          .map((words) => (
            <Caution key={words}>{words}</Caution>
          ))}
      </header>
      <PullPart name={recipe.name} plan={plan} input={input} />
      <MisePart plan={plan} input={input} />
      <BatchPart plan={plan} input={input} />
    </Page>
  );
}
