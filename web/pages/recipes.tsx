import { Link } from 'react-router';
import styled from 'styled-components';

import { recipeCostPerPortionCents } from '../../core/book';
import { type Recipe, whatItHolds } from '../../core/recipe';
import { bandName } from '../../core/thickness';
import { LinkButton } from '../components/link-button';
import { Empty, Page, Waiting } from '../components/page';
import { Over, Soft, Subtitle, Title } from '../components/text';
import { type Book, useBook } from '../data/use-book';
import { colour, FOOD, media, space } from '../theme/tokens';
import { money, recipeWords } from '../words';
import { BookIn } from './recipe-parts/book-in';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: ${space.m};
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: center;
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: 20px 1fr auto auto;
  gap: ${space.m};
  align-items: center;
  padding: ${space.m} 0;
  border-bottom: 1px solid ${colour.line};
  h2 a {
    color: inherit;
  }
  .cost {
    text-align: right;
    white-space: nowrap;
  }
  ${media.narrow} {
    grid-template-columns: 20px 1fr auto;
    > :last-child {
      grid-column: 2 / -1;
    }
  }
`;

const Swatch = styled.span`
  width: 20px;
  height: 48px;
  border: 3px solid ${colour.iron};
  border-top: 0;
  border-radius: 0 0 7px 7px;
`;

/** The book: what the kitchen cooks, and what it stands on. */
export function Recipes() {
  const kitchen = useKitchenHere();
  const book = useBook(kitchen);
  if (!book) return <Waiting />;
  const dishes = book.recipes.filter(isDish);
  const bases = book.recipes.filter((recipe) => !isDish(recipe));
  return (
    <Page>
      <Head>
        <Title>{recipeWords.recipes}</Title>
        <Tools>
          <LinkButton to="/recipes/new" $main>
            {recipeWords.newRecipe}
          </LinkButton>
          <BookIn />
          <a href="/api/book.json" download>
            {recipeWords.export}
          </a>
        </Tools>
      </Head>
      {book.recipes.length === 0 && (
        <Empty title={recipeWords.theBookIsEmpty}>
          <Soft>{recipeWords.typeTheFirstOneAs}</Soft>
        </Empty>
      )}
      <ul>
        {dishes.map((recipe) => (
          <RecipeRow key={recipe.id} recipe={recipe} book={book} />
        ))}
      </ul>
      {bases.length > 0 && (
        <section>
          <Subtitle>{recipeWords.basesTheyUse}</Subtitle>
          <ul>
            {bases.map((recipe) => (
              <RecipeRow key={recipe.id} recipe={recipe} book={book} />
            ))}
          </ul>
        </section>
      )}
    </Page>
  );
}

function RecipeRow({ recipe, book }: { recipe: Recipe; book: Book }) {
  const kitchen = useKitchenHere();
  const known = knownOf(recipe, book);
  return (
    <Row>
      <Swatch style={{ background: (FOOD[recipe.colour] ?? FOOD.broth!).fill }} />
      <div>
        <Subtitle as="h2">
          <Link to={`/recipes/${recipe.id}`}>{recipe.name}</Link>
        </Subtitle>
        <Over>
          {isDish(recipe)
            ? recipeWords.saltMlABowl(
                bandName(Math.round(recipe.targetBand)),
                recipe.targetSaltPercent,
                recipe.portionMl,
              )
            : ''}
          {known
            ? recipeWords.contains2(known.diet, known.allergens || recipeWords.noAllergen)
            : recipeWords.hasAMistake}
          {recipe.version > 1 && recipeWords.version(recipe.version)}
        </Over>
      </div>
      <span className="cost">
        {known && <strong>{money(known.cents, kitchen.currency)}</strong>}
        <Over>{recipe.portionMl >= 1000 ? recipeWords.aVolume() : recipeWords.aPortion}</Over>
      </span>
      <LinkButton to={`/plan?recipe=${recipe.id}`}>{recipeWords.planIt}</LinkButton>
    </Row>
  );
}

/** What goes in a bowl; the rest is what dishes stand on. */
function isDish(recipe: Recipe): boolean {
  return !recipe.base && recipe.stocksAs === undefined && !recipe.staysPieces && !recipe.keeps;
}

const DIET_WORDS = {
  vegan: 'vegan',
  vegetarian: 'vegetarian',
  fish: recipeWords.withFish,
  meat: recipeWords.withMeat,
} as const;

function knownOf(recipe: Recipe, book: Book): { diet: string; allergens: string; cents: number } | null {
  try {
    const holds = whatItHolds(recipe, book.library);
    return {
      diet: DIET_WORDS[holds.diet],
      allergens: holds.allergens.map((one) => one.name).join(', '),
      cents: recipeCostPerPortionCents(recipe, book.library),
    };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
