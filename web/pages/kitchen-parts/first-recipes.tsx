import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { type Recipe, recipeIdOf } from '../../../core/recipe';
import { Button } from '../../components/button';
import { LinkButton } from '../../components/link-button';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { Tick } from '../../components/tick';
import { useBringIn, useRecipes, useStarterBook } from '../../data/queries';
import { space } from '../../theme/tokens';
import { kitchenWords } from '../../words';

const Section = styled.section`
  display: grid;
  gap: ${space.m};
`;

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
`;

const List = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
`;

/** A book to begin with: one's own from paper or a file, general bases, the invented kitchen's dishes as examples. */
export function FirstRecipes() {
  const { data: recipes = [] } = useRecipes();
  const { data: starters = [] } = useStarterBook();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const take = useBringIn();
  const have = new Set(recipes.map((recipe) => recipe.id));
  const groups = [
    { title: kitchenWords.generalBases, rows: starters.filter((one) => one.base) },
    { title: kitchenWords.dishesOfAnInventedKitchen, rows: starters.filter((one) => !one.base) },
  ];
  const wanted = withWhatTheyStandOn(chosen, starters).filter((one) => !have.has(one.id));
  const text = () =>
    JSON.stringify({ format: 'slow-pot-book', version: 1, recipes: wanted, ingredients: [] });
  return (
    <Section>
      <Subtitle>{kitchenWords.firstRecipes}</Subtitle>
      <Soft>
        {recipes.length === 0
          ? kitchenWords.nothingIsInTheBook
          : kitchenWords.recipeIsInTheBook(recipes.length)}
      </Soft>
      <Acts>
        <LinkButton to="/recipes/new" $main>
          {kitchenWords.typeOneFromPaper}
        </LinkButton>
        <LinkButton to="/recipes">{kitchenWords.importAFile}</LinkButton>
      </Acts>
      {groups.map(({ title, rows }) => (
        <div key={title}>
          <Over>{title}</Over>
          <List role="group" aria-label={title}>
            {rows.map((one) => (
              <Tick
                key={one.id}
                isOn={have.has(one.id) || chosen.includes(one.id)}
                onChange={(isOn) =>
                  setChosen(isOn ? [...chosen, one.id] : chosen.filter((id) => id !== one.id))
                }
              >
                {kitchenWords.inTheBook(one.name, have.has(one.id))}
              </Tick>
            ))}
          </List>
        </div>
      ))}
      <Errors sentences={take.error ? [take.error.message] : []} />
      {wanted.length > 0 && (
        <Button
          kind="main"
          onPress={() =>
            take.mutate(
              { id: uuid(), name: 'starter-book.json', text: text(), checkedFoodIds: [] },
              { onSuccess: () => setChosen([]) },
            )
          }
        >
          {kitchenWords.addToTheBook(wanted.length)}
        </Button>
      )}
    </Section>
  );
}

/** A dish with its parts and bases, as far as they are recipes of the same book. */
function withWhatTheyStandOn(ids: readonly string[], book: readonly Recipe[]): Recipe[] {
  const found = new Set<Recipe>();
  const add = (id: string | null) => {
    const recipe = book.find((one) => one.id === id);
    if (!recipe || found.has(recipe)) return;
    found.add(recipe);
    for (const line of recipe.lines) add(recipeIdOf(line.ingredientId));
  };
  for (const id of ids) add(id);
  return [...found];
}
