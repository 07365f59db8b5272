import { useParams } from 'react-router';
import styled from 'styled-components';
import {
  allergensOf,
  bandName,
  INGREDIENT_BY_ID,
  type Recipe,
  type RecipeLine,
  type Stage,
} from '../../core';
import { sentenceCase, weight } from '../data/format';
import { useRecipes } from '../data/queries';
import { heatWords } from '../data/words';
import { LinkButton } from '../parts/link-button';
import { Page, Waiting } from '../parts/page';
import { Caution, Over, Soft, Subtitle, Title } from '../parts/text';
import { colour, media, size, space } from '../theme/tokens';
import { NotHere } from './not-here';

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

/** A recipe whole: its stages in order, what goes in at each, how, why, and what can go wrong. */
export function RecipePlace() {
  const { id } = useParams();
  const { data: recipes, error, refetch } = useRecipes();
  if (!recipes) return <Waiting error={error} onRetry={refetch} />;
  const recipe = recipes.find((one) => one.id === id);
  if (!recipe) return <NotHere />;
  const holds = allergensOf(recipe.lines.map((line) => INGREDIENT_BY_ID[line.ingredientId]!));
  return (
    <Page>
      <Head>
        <div>
          <Over>
            Recipe, version {recipe.version}, written for {recipe.litres} L
          </Over>
          <Title>{recipe.name}</Title>
          <Soft>
            {sentenceCase(bandName(recipe.targetBand))}, {recipe.targetSaltPercent} % salt, {recipe.portionMl}{' '}
            mL a bowl. Holds {holds.map((one) => one.name).join(', ')}.
          </Soft>
        </div>
        <LinkButton to="/plan" $main>
          Plan it
        </LinkButton>
      </Head>
      <ol>
        {recipe.stages.map((stage, i) => (
          <StageOf key={stage.id} stage={stage} number={i + 1} recipe={recipe} />
        ))}
      </ol>
    </Page>
  );
}

function StageOf({ stage, number, recipe }: { stage: Stage; number: number; recipe: Recipe }) {
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
                {INGREDIENT_BY_ID[line.ingredientId]?.name}
                {line.cut && <small>, {line.cut}</small>}
                {line.comesOut && <small>, comes out</small>}
              </span>
              <span>{amount(line)}</span>
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

function amount(line: RecipeLine): string {
  if (line.scaling === 'toYield') return 'to make up the litres';
  if (line.scaling === 'toThickness') return 'to the thickness';
  if (line.scaling === 'toSalt') return 'to the salt';
  if (line.scaling === 'perBowl') return `${weight(line.kg)} a bowl`;
  if (typeof line.scaling === 'object') return 'equal weight';
  return weight(line.kg);
}

export function heatOf(stage: Stage): string {
  if (stage.heat.kind === 'burner')
    return stage.heat.fraction === 0 ? 'heat off' : `burner at ${heatWords(stage.heat.fraction)}`;
  return { justUnder: 'just under a simmer', barely: 'barely bubbling', steady: 'a steady simmer' }[
    stage.heat.simmer
  ];
}

function endOf(stage: Stage): string {
  switch (stage.ends.rule) {
    case 'minutes':
      return `${stage.ends.minutes} min`;
    case 'simmer':
      return 'until it simmers';
    case 'soft':
      return `until ${stage.ends.edgeCm} cm dice are soft`;
    case 'fall':
      return `until ${Math.round(stage.ends.fractionGone * 100)} % has gone`;
    case 'served':
      return 'until it is served';
  }
}

function attentionOf(stage: Stage): string {
  if (stage.attention.kind === 'lookIn') return `look in every ${stage.attention.everyMin} min`;
  return stage.attention.kind === 'handsOn' ? 'hands on' : 'leave it';
}
