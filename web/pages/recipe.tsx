import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { money, sentenceCase, weight } from '../../contract';
import { recipeCostPerPortionCents } from '../../core/book';
import type { Ingredient } from '../../core/matter';
import type { UnitSystem } from '../../core/reader';
import {
  advisoriesOf,
  brokenClaims,
  type Recipe,
  type RecipeLine,
  recipeIdOf,
  type Stage,
  whatItHolds,
} from '../../core/recipe';
import { bandName } from '../../core/thickness';
import { Button } from '../components/button';
import { LinkButton } from '../components/link-button';
import { Halves, Page, Waiting } from '../components/page';
import { Caution, Over, Soft, Subtitle, Title } from '../components/text';
import { useBook } from '../data/use-book';
import { colour, media, size, space } from '../theme/tokens';
import { attentionOf, endOf, heatOf } from '../words/stages';
import { NotHere } from './not-here';
import { PatternSheet } from './recipe-parts/pattern-sheet';
import { Versions } from './recipe-parts/versions';
import { WhatItHolds } from './recipe-parts/what-it-holds';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled.header`
  display: flex;
  justify-content: space-between;
  align-items: end;
  flex-wrap: wrap;
  gap: ${space.m};
`;

const StageRow = styled.li`
  display: grid;
  grid-template-columns: 36px minmax(220px, 0.8fr) 1.2fr;
  gap: ${space.m};
  padding: ${space.m} 0;
  border-top: 2px solid ${colour.iron};
  > b {
    font-size: ${size.figure};
    line-height: 1;
  }
  > div {
    display: grid;
    gap: ${space.s};
    align-content: start;
  }
  ${media.narrow} {
    grid-template-columns: 30px 1fr;
    > div:last-child {
      grid-column: 2;
    }
  }
`;

const Lines = styled.ul`
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space.m};
    padding: 4px 0;
    border-bottom: 1px solid ${colour.line};
  }
  small {
    color: ${colour.soft};
    font-size: ${size.small};
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s} ${space.m};
  align-items: center;
`;

/** A recipe whole: its stages in order, what goes in at each, how, why, what it holds, and how it came to be so. */
export function RecipePlace() {
  const { id } = useParams();
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  const [isPattern, setPattern] = useState(false);
  if (!book) return <Waiting />;
  const recipe = book.library.recipes[id ?? ''];
  if (!recipe) return <NotHere />;
  const holds = whatItHolds(recipe, book.library);
  const standsIn = book.recipes.filter((one) =>
    one.lines.some((line) => recipeIdOf(line.ingredientId) === recipe.id),
  );
  const isDish = recipe.stocksAs === undefined;
  return (
    <Page>
      <Head>
        <div>
          <Over>
            Recipe, version {recipe.version}, written for {recipe.litres} L
          </Over>
          <Title>{recipe.name}</Title>
          <Soft>
            {isDish &&
              `${sentenceCase(bandName(recipe.targetBand))}, ${recipe.targetSaltPercent} % salt, ${recipe.portionMl} mL a bowl. `}
            {money(recipeCostPerPortionCents(recipe, book.library), kitchen.currency)}{' '}
            {recipe.portionMl >= 1000 ? 'a litre' : 'a portion'} as written.
          </Soft>
        </div>
        <Tools>
          {recipe.pattern && <Button onPress={() => setPattern(true)}>Another of its kind</Button>}
          <LinkButton to={`/rehearse/${recipe.id}`}>Rehearse it</LinkButton>
          <LinkButton to={`/recipes/${recipe.id}/edit`}>Take it up again</LinkButton>
          <LinkButton to={`/plan?recipe=${recipe.id}`} $main>
            Plan it
          </LinkButton>
        </Tools>
      </Head>
      <Halves>
        <section>
          <WhatItHolds
            holds={holds}
            broken={brokenClaims(recipe, holds)}
            advisories={advisoriesOf(recipe, book.library)}
          />
        </section>
        <section>
          <div>
            <Subtitle>Take it out</Subtitle>
            <Tools>
              <a href={`/api/recipes/${recipe.id}/export/book`}>Slow Pot JSON</a>
              <a href={`/api/recipes/${recipe.id}/export/jsonld`}>schema.org JSON-LD</a>
              <a href={`/api/recipes/${recipe.id}/export/text`}>Plain text</a>
            </Tools>
          </div>
          {standsIn.length > 0 && (
            <p>
              Stands in{' '}
              {standsIn.map((one, i) => (
                <span key={one.id}>
                  {i > 0 && ', '}
                  <Link to={`/recipes/${one.id}`}>{one.name.toLowerCase()}</Link>
                </span>
              ))}
              .
            </p>
          )}
          {recipe.note && <Soft>{recipe.note}</Soft>}
        </section>
      </Halves>
      <ol>
        {recipe.stages.map((stage, i) => (
          <StageOf key={stage.id} stage={stage} number={i + 1} recipe={recipe} rows={book.rows} />
        ))}
      </ol>
      <Versions recipeId={recipe.id} book={book} />
      {recipe.pattern && (
        <PatternSheet pattern={recipe} book={book} isOpen={isPattern} onClose={() => setPattern(false)} />
      )}
    </Page>
  );
}

function StageOf({
  stage,
  number,
  recipe,
  rows,
}: {
  stage: Stage;
  number: number;
  recipe: Recipe;
  rows: Readonly<Record<string, Ingredient>>;
}) {
  const { units } = useKitchenHere();
  const lines = recipe.lines.filter((line) => line.stageId === stage.id);
  return (
    <StageRow>
      <b>{number}</b>
      <div>
        <Subtitle>{stage.title}</Subtitle>
        <Over>
          {stage.method}; {heatOf(stage)}, lid {stage.lid}; {endOf(stage)}; {attentionOf(stage)}
        </Over>
        <Lines>
          {lines.map((line) => (
            <li key={line.id}>
              <span>
                {recipeIdOf(line.ingredientId) ? (
                  <Link to={`/recipes/${recipeIdOf(line.ingredientId)}`}>
                    {rows[line.ingredientId]?.name}
                  </Link>
                ) : (
                  rows[line.ingredientId]?.name
                )}
                {line.cut && <small>, {line.cut}</small>}
                {line.comesOut && <small>, comes out</small>}
              </span>
              <span>{amount(line, units)}</span>
            </li>
          ))}
        </Lines>
      </div>
      <div>
        <p>{stage.act}</p>
        <p>
          <strong>Ready when:</strong> {stage.cue}
        </p>
        <p>
          <strong>If not:</strong> {stage.trouble}
        </p>
        <Soft>Why so: {stage.methodReason}</Soft>
        {stage.caution && <Caution>{stage.caution}</Caution>}
      </div>
    </StageRow>
  );
}

function amount(line: RecipeLine, units: UnitSystem): string {
  if (line.scaling === 'toThickness') return `to the thickness, about ${weight(line.kg, units)}`;
  if (line.scaling === 'toYield') return `to make up the litres, about ${weight(line.kg, units)}`;
  if (line.scaling === 'toSalt') return 'to the salt';
  if (line.scaling === 'perBowl') return `${weight(line.kg, units)} a bowl`;
  if (typeof line.scaling === 'object') return `${weight(line.kg, units)}, equal weight`;
  return weight(line.kg, units);
}
