import { Link } from 'react-router';
import styled from 'styled-components';
import { bandName } from '../../core';
import { useRecipes } from '../data/queries';
import { LinkButton } from '../parts/link-button';
import { Empty, Page, Waiting } from '../parts/page';
import { Over, Soft, Subtitle, Title } from '../parts/text';
import { colour, FOOD, media, space } from '../theme/tokens';

const Row = styled.li`
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: ${space.m};
  align-items: center;
  padding: ${space.m} 0;
  border-bottom: 1px solid ${colour.line};
  h2 a {
    color: inherit;
  }
  ${media.narrow} {
    grid-template-columns: 20px 1fr;
  }
`;

const Swatch = styled.span`
  width: 20px;
  height: 48px;
  border: 3px solid ${colour.iron};
  border-top: 0;
  border-radius: 0 0 7px 7px;
`;

/** The book: what the kitchen cooks. */
export function Recipes() {
  const { data: recipes, error, refetch } = useRecipes();
  if (!recipes) return <Waiting error={error} onRetry={refetch} />;
  return (
    <Page>
      <Title>Recipes</Title>
      {recipes.length === 0 && (
        <Empty title="The book is empty">
          <Soft>Recipes will be written here.</Soft>
        </Empty>
      )}
      <ul>
        {recipes.map((recipe) => (
          <Row key={recipe.id}>
            <Swatch style={{ background: (FOOD[recipe.colour] ?? FOOD.broth!).fill }} />
            <div>
              <Subtitle>
                <Link to={`/recipes/${recipe.id}`}>{recipe.name}</Link>
              </Subtitle>
              <Over>
                {recipe.stages.length} stages, {recipe.lines.length} lines; {bandName(recipe.targetBand)},{' '}
                {recipe.targetSaltPercent} % salt, {recipe.portionMl} mL a bowl
              </Over>
            </div>
            <LinkButton to="/plan">Plan it</LinkButton>
          </Row>
        ))}
      </ul>
    </Page>
  );
}
