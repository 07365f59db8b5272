import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { minutes } from '../../contract';
import { type BaseKind, baseKind } from '../../core/bases';
import { recipeAsIngredient } from '../../core/book';
import { INGREDIENT_BY_ID, type Ingredient, savourOf } from '../../core/matter';
import { steepingFactor } from '../../core/pot';
import type { Recipe } from '../../core/recipe';
import { umamiGPer100g } from '../../core/taste';
import { LinkButton } from '../components/link-button';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { Over, Soft, Subtitle, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useLots } from '../data/queries';
import { useBook } from '../data/use-book';
import { colour, space } from '../theme/tokens';
import { basesWords, decimal, inMeasures } from '../words';
import { partsWords, timeWords } from './larder-bases';
import { LarderNav } from './larder-parts/larder-nav';
import { LotRow } from './larder-parts/lot-row';
import { useKitchenHere } from './use-kitchen-here';

const DrawChart = lazy(async () => ({ default: (await import('../components/chart/draw-chart')).DrawChart }));

const Rules = styled.ol`
  display: grid;
  gap: ${space.s};
  li {
    padding-left: ${space.m};
    border-left: 3px solid ${colour.line};
  }
`;

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: center;
`;

/** A kind of base: its proportions, its rules and why, how its foods draw, what it tastes of, what is on the shelf. */
export function LarderBase() {
  const { id } = useParams();
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  const kind = baseKind(id);
  if (!kind) {
    return (
      <Page>
        <Empty title={basesWords.thereIsNoSuchBase} isPage>
          <Link to="/larder/bases">{basesWords.toTheBases}</Link>
        </Empty>
      </Page>
    );
  }
  if (!book) return <Waiting />;
  const recipe = book.recipes.find((one) => one.base === kind.id);
  const row = recipe ? recipeAsIngredient(recipe, book.library).ingredient : undefined;
  return (
    <Page>
      <LarderNav />
      <header>
        <Title>{recipe?.name ?? kind.name}</Title>
        <Soft>{basesWords.byWeight(partsWords(kind), timeWords(kind))}</Soft>
      </header>
      <Acts>
        {recipe && (
          <LinkButton $main to={`/plan?recipe=${recipe.id}`}>
            {basesWords.planIt}
          </LinkButton>
        )}
        {recipe && <Link to={`/recipes/${recipe.id}`}>{basesWords.theRecipe}</Link>}
      </Acts>
      <Halves>
        <section>
          <Subtitle>{basesWords.rulesAndWhy}</Subtitle>
          <Rules>
            {kind.rules.map((rule) => (
              <li key={inMeasures(rule.rule)}>
                <strong>{inMeasures(rule.rule)}</strong>
                <Over>{inMeasures(rule.reason)}</Over>
              </li>
            ))}
          </Rules>
          <Over>
            {basesWords.proportionsTimes(kind.partsSource, kind.timeSource)}
            {kind.frozenMonths > 0 &&
              basesWords.frozenItKeepsItsTaste(
                kind.frozenMonths === 1 ? basesWords.aMonth : basesWords.months(kind.frozenMonths),
              )}
          </Over>
        </section>
        <section>
          {recipe && <HowItDraws kind={kind} recipe={recipe} />}
          {row && <Together recipe={recipe!} row={row} />}
          <OnTheShelf kind={kind} />
        </section>
      </Halves>
    </Page>
  );
}

/** Half of the rest in each half-life: most has come by the usual time. */
function HowItDraws({ kind, recipe }: { kind: BaseKind; recipe: Recipe }) {
  const givers = [...new Set(recipe.lines.map((line) => line.ingredientId))].flatMap((id) => {
    const row = INGREDIENT_BY_ID[id];
    return row?.gives ? [row] : [];
  });
  const shown = oneOfEachPace(givers).slice(0, 4);
  if (shown.length === 0 || !kind.simmerMin) return null;
  const most = Math.max(20, Math.ceil((kind.simmerMin.to * 1.3) / 10) * 10);
  const steps = Array.from({ length: 61 }, (_, i) => (most * i) / 60);
  const lines = shown.map((row) => {
    const pace = steepingFactor(row.gives!.way, DRAWN_AT_C) / row.gives!.halfMin;
    return {
      name: row.name,
      points: steps.map((minute) => ({ minute, percent: 100 * (1 - 2 ** (-minute * pace)) })),
    };
  });
  const words = lines
    .map((line) => `${line.name.toLowerCase()} ${Math.round(line.points.at(-1)!.percent)} %`)
    .join(', ');
  return (
    <>
      <Subtitle>{basesWords.extractionOverTime}</Subtitle>
      <Suspense fallback={<Soft>{basesWords.workingItOut}</Soft>}>
        <DrawChart
          lines={lines}
          usual={kind.simmerMin}
          description={basesWords.shareDrawnOverAtC(minutes(most), DRAWN_AT_C, words)}
        />
      </Suspense>
      <Over>
        {basesWords.atCTheUsualTime(
          shown
            .map((row, i) => `${['solid', 'dashed', 'dotted', 'dash-dot'][i]}: ${row.name.toLowerCase()}`)
            .join('; '),
          DRAWN_AT_C,
        )}
      </Over>
    </>
  );
}

/** Just under a simmer, °C. */
const DRAWN_AT_C = 93;

function oneOfEachPace(rows: readonly Ingredient[]): Ingredient[] {
  return rows.filter(
    (row, i) =>
      rows.findIndex(
        (one) => one.gives!.halfMin === row.gives!.halfMin && one.gives!.way === row.gives!.way,
      ) === i,
  );
}

/** Umami of the whole beside that of each food alone, at the strength it has in this base. */
function Together({ recipe, row }: { recipe: Recipe; row: Ingredient }) {
  const all = umamiGPer100g({ glutamate: 0, ...row.umami });
  const each = [...new Set(recipe.lines.map((line) => line.ingredientId))].flatMap((id) => {
    const food = INGREDIENT_BY_ID[id];
    const kg = recipe.lines
      .filter((line) => line.ingredientId === id)
      .reduce((sum, line) => sum + line.kg, 0);
    if (!food?.umami || !food.gives?.savour) return [];
    const per = savourOf(food, (kg * food.gives.savour) / recipe.litres);
    const alone = umamiGPer100g({
      glutamate: 100 * per.glutamate,
      aspartate: 100 * per.aspartate,
      imp: 100 * per.imp,
      gmp: 100 * per.gmp,
      amp: 100 * per.amp,
    });
    return [{ name: food.name.toLowerCase(), alone }];
  });
  const sum = each.reduce((total, one) => total + one.alone, 0);
  if (all < 0.01 || each.length < 2 || all < 1.3 * sum) return null;
  return (
    <>
      <Subtitle>{basesWords.whatTheyDoTogether}</Subtitle>
      <p>
        {basesWords.aloneTogetherAs(
          each.map((one) => basesWords.tastesAsGOfGlutamate(one.name, decimal(one.alone, 3))).join(', '),
        )}
        <strong>{basesWords.g(all)}</strong>
        {basesWords.timesTheSum(decimal(all / Math.max(sum, 1e-6), 1))}
      </p>
      <Over>{basesWords.yamaguchi1971AminoAcidsAnd}</Over>
    </>
  );
}

function OnTheShelf({ kind }: { kind: BaseKind }) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const { data: lots = [] } = useLots();
  const there = lots.filter((lot) => lot.contents.base === kind.id && lot.leftKg > 0.005);
  return (
    <>
      <Subtitle>{basesWords.onTheShelf}</Subtitle>
      {there.length === 0 && <Soft>{basesWords.none}</Soft>}
      {there.map((lot) => (
        <LotRow key={lot.id} lot={lot} kitchen={kitchen} nowMs={nowMs} />
      ))}
    </>
  );
}
