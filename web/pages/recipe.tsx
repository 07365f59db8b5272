import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { sentenceCase } from '../../contract';
import { recipeCostPerPortionCents } from '../../core/book';
import type { Ingredient } from '../../core/matter';
import { doubtsOf } from '../../core/reader';
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
import {
  attentionOf,
  countedOrWeighed,
  endOf,
  heatOf,
  inMeasures,
  money,
  recipeWords,
  weight,
} from '../words';
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
  const { written, stages } = recipe;
  const open = written ? doubtsOf({ written, stages, open: recipe.open ?? [] }, book.table).length : 0;
  const isDish = recipe.stocksAs === undefined;
  return (
    <Page>
      <Head>
        <div>
          <Over>{recipeWords.recipeVersionWrittenForL(recipe.version, recipe.litres)}</Over>
          <Title>{recipe.name}</Title>
          <Soft>
            {isDish &&
              recipeWords.saltMlABowl2(
                sentenceCase(bandName(recipe.targetBand)),
                recipe.targetSaltPercent,
                recipe.portionMl,
              )}
            {recipeWords.aLitreAsWritten(
              money(recipeCostPerPortionCents(recipe, book.library), kitchen.currency),
              recipe.portionMl >= 1000,
            )}
          </Soft>
          {open > 0 && <Caution>{recipeWords.stillToCheck(open)}</Caution>}
        </div>
        <Tools>
          {recipe.pattern && <Button onPress={() => setPattern(true)}>{recipeWords.makeAVariation}</Button>}
          <LinkButton to={`/rehearse/${recipe.id}`}>{recipeWords.rehearseIt}</LinkButton>
          <LinkButton to={`/recipes/${recipe.id}/edit`}>{recipeWords.edit}</LinkButton>
          <LinkButton to={`/plan?recipe=${recipe.id}`} $main>
            {recipeWords.planIt}
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
            <Subtitle>{recipeWords.export}</Subtitle>
            <Tools>
              <a href={`/api/recipes/${recipe.id}/export/book`}>{recipeWords.slowPotJson}</a>
              <a href={`/api/recipes/${recipe.id}/export/jsonld`}>{recipeWords.schemaOrgJsonLd}</a>
              <a href={`/api/recipes/${recipe.id}/export/text`}>{recipeWords.plainText}</a>
            </Tools>
          </div>
          {standsIn.length > 0 && (
            <p>
              {recipeWords.usedIn}
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
  const lines = recipe.lines.filter((line) => line.stageId === stage.id);
  return (
    <StageRow>
      <b>{number}</b>
      <div>
        <Subtitle>{stage.title}</Subtitle>
        <Over>
          {recipeWords.lid(
            inMeasures(stage.method),
            heatOf(stage),
            stage.lid,
            endOf(stage),
            attentionOf(stage),
          )}
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
                {line.cut && <small>, {inMeasures(line.cut)}</small>}
                {line.comesOut && <small>{recipeWords.removedBeforeServing}</small>}
              </span>
              <span>{amount(line)}</span>
            </li>
          ))}
        </Lines>
      </div>
      <div>
        <p>{inMeasures(stage.act)}</p>
        <p>
          <strong>{recipeWords.readyWhen}</strong> {inMeasures(stage.cue)}
        </p>
        <p>
          <strong>{recipeWords.ifItGoesWrong}</strong> {inMeasures(stage.trouble)}
        </p>
        <Soft>{recipeWords.whySo(inMeasures(stage.methodReason))}</Soft>
        {stage.caution && <Caution>{inMeasures(stage.caution)}</Caution>}
      </div>
    </StageRow>
  );
}

function amount(line: RecipeLine): string {
  if (line.scaling === 'toThickness') return recipeWords.toTheThicknessAbout(weight(line.kg));
  if (line.scaling === 'toYield') return recipeWords.toMakeUpTheAmount(weight(line.kg));
  if (line.scaling === 'toSalt') return recipeWords.toTheSalt;
  if (line.scaling === 'perBowl') return recipeWords.aBowl(weight(line.kg));
  if (typeof line.scaling === 'object') return recipeWords.equalWeight(weight(line.kg));
  return countedOrWeighed(line.kg, line.comesOut ?? null);
}
