import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import type { BookDifference, FoodDifference } from '../../../contract';
import { Button } from '../../components/button';
import { FilePick } from '../../components/file-pick';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Over, Soft } from '../../components/text';
import { Tick } from '../../components/tick';
import { sentencesOf } from '../../data/api';
import { useBringIn, useReadFile } from '../../data/queries';
import { colour, space } from '../../theme/tokens';
import { bookTakenWords, foodChangeWords, holdsMoveWords, recipeFieldsWords, recipeWords } from '../../words';

const Rows = styled.ul`
  max-height: 34vh;
  overflow: auto;
  li {
    display: grid;
    gap: 2px;
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

const Part = styled.section`
  display: grid;
  gap: ${space.s};
`;

/** A book that was read, with the file it came from. */
interface Found {
  id: string;
  name: string;
  text: string;
  difference: BookDifference;
}

/** A book of recipes from a file: what it would change is shown, its labels checked by a person, then taken in whole. */
export function BookIn() {
  const navigate = useNavigate();
  const read = useReadFile();
  const [found, setFound] = useState<Found | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  return (
    <>
      <FilePick
        label={recipeWords.import}
        accept=".json"
        onText={(name, text) => {
          setSaid(null);
          read.mutate(
            { name, text },
            {
              onSuccess: (file) =>
                file.kind === 'book'
                  ? setFound({ id: uuid(), name, text, difference: file.difference })
                  : navigate('/recipes/new'),
            },
          );
        }}
      />
      {said && <Over role="status">{said}</Over>}
      <Errors sentences={sentencesOf(read.error)} />
      {found && (
        <BookFound
          found={found}
          onDone={(sentence) => {
            setSaid(sentence);
            setFound(null);
          }}
          onClose={() => setFound(null)}
        />
      )}
    </>
  );
}

function BookFound(of: { found: Found; onDone: (sentence: string) => void; onClose: () => void }) {
  const { difference, ...file } = of.found;
  const bring = useBringIn();
  const [checked, setChecked] = useState<readonly string[]>([]);
  const recipes = difference.recipes.filter((one) => one.change !== 'same');
  const foods = difference.foods.filter((one) => one.change !== 'same');
  const toCheck = foods.filter((one) => one.needsPerson && !checked.includes(one.id));
  const same = difference.recipes.length + difference.foods.length - recipes.length - foods.length;
  const take = () =>
    bring.mutate(
      { ...file, checkedFoodIds: [...checked] },
      {
        onSuccess: (came) => of.onDone(bookTakenWords(came)),
      },
    );
  if (recipes.length === 0 && foods.length === 0)
    return (
      <Sheet title={recipeWords.theBookInThisFile} isOpen onClose={of.onClose}>
        <Soft>{recipeWords.nothingNewAllOfIt}</Soft>
      </Sheet>
    );
  return (
    <Sheet title={recipeWords.theBookInThisFile} isOpen onClose={of.onClose}>
      {recipes.length > 0 && (
        <Part aria-label={recipeWords.recipes}>
          <Over as="h3">{recipeWords.recipes}</Over>
          <Rows>
            {recipes.map((recipe) => (
              <li key={recipe.id}>
                <strong>{recipe.name}</strong>
                <Over>
                  {recipe.change === 'new'
                    ? recipeWords.newHere
                    : recipeWords.versionOther(recipe.version, recipeFieldsWords(recipe.fields))}
                </Over>
              </li>
            ))}
          </Rows>
        </Part>
      )}
      {foods.length > 0 && (
        <Part aria-label={recipeWords.foods}>
          <Over as="h3">{recipeWords.foods}</Over>
          {foods.some((food) => food.needsPerson) && (
            <Caution>{recipeWords.allergensDietKindTrimAnd}</Caution>
          )}
          <Rows>
            {foods.map((food) => (
              <FoodRow
                key={food.id}
                food={food}
                isChecked={checked.includes(food.id)}
                onCheck={(isChecked) =>
                  setChecked(isChecked ? [...checked, food.id] : checked.filter((id) => id !== food.id))
                }
              />
            ))}
          </Rows>
        </Part>
      )}
      {difference.dishes.length > 0 && (
        <Part aria-label={recipeWords.dishes}>
          <Over as="h3">{recipeWords.theseDishesWouldChange}</Over>
          <Rows>
            {difference.dishes.map((dish) => (
              <li key={dish.recipeId}>
                <strong>{dish.name}</strong>
                <span>{holdsMoveWords(dish)}</span>
              </li>
            ))}
          </Rows>
        </Part>
      )}
      {same > 0 && <Over>{recipeWords.moreAreTheSameAlready(same)}</Over>}
      <Errors sentences={sentencesOf(bring.error)} />
      <Button kind="main" isDisabled={bring.isPending || toCheck.length > 0} onPress={take}>
        {recipeWords.importThisBook}
      </Button>
    </Sheet>
  );
}

const CHANGE_WORDS: Readonly<Record<FoodDifference['change'], string>> = {
  new: recipeWords.newHere,
  own: recipeWords.replacesAFoodOfOur,
  table: recipeWords.replacesTheTablesFood,
  same: recipeWords.theSame,
};

function FoodRow(of: { food: FoodDifference; isChecked: boolean; onCheck: (isChecked: boolean) => void }) {
  const { food, isChecked, onCheck } = of;
  return (
    <li>
      <strong>{food.name}</strong>
      <Over>{CHANGE_WORDS[food.change]}</Over>
      {food.fields.map((field) => (
        <span key={field.field}>{foodChangeWords(field)}</span>
      ))}
      {food.needsPerson && (
        <Tick isOn={isChecked} onChange={onCheck}>
          {recipeWords.iHaveCheckedTheLabel(food.name.toLowerCase())}
        </Tick>
      )}
    </li>
  );
}
