import { useState } from 'react';
import styled from 'styled-components';
import type { BatchView } from '../../../contract';
import { activeEvents } from '../../../core/log';
import { isLearnedFrom, nextTime, withNextTime } from '../../../core/next-time';
import type { Recipe } from '../../../core/recipe';
import { Button } from '../../components/button';
import { Card } from '../../components/card';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { Tick } from '../../components/tick';
import { sentencesOf } from '../../data/api';
import { useSaveRecipe } from '../../data/queries';
import { type Book, useBook } from '../../data/use-book';
import { evidenceWords, nextTimeWords, proposalWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

const Evidence = styled(Over)`
  display: block;
`;

/** What this batch says of its recipe: proposed with its evidence, and saved as a version where it is accepted. */
export function NextTimeOf({ batch }: { batch: BatchView }) {
  const book = useBook(useKitchenHere());
  const recipe = book?.library.recipes[batch.recipeId];
  if (!book || !recipe) return null;
  // another version has other proposals: what was ticked of the old one is not carried over
  return <Proposed key={recipe.version} batch={batch} recipe={recipe} book={book} />;
}

function Proposed({ batch, recipe, book }: { batch: BatchView; recipe: Recipe; book: Book }) {
  const save = useSaveRecipe();
  const { snapshot, result } = batch;
  const [shown] = useState(() => nextTime(snapshot, activeEvents(batch.events), recipe));
  const { right } = shown;
  // a food that the kitchen has no more is no proposal
  const proposals = shown.proposals.filter((one) => one.code !== 'food' || book.rows[one.ingredientId]);
  // how thick it was served was nobody's word: it is offered, not taken for granted
  const [isOff, setOff] = useState<readonly string[]>(() =>
    proposals.some((one) => one.code === 'band') ? ['band'] : [],
  );
  const chosen = proposals.filter((one) => !isOff.includes(one.id));
  const { body } = result ?? {};
  const thickens = body
    ? nextTimeWords.thickens(
        Math.round(100 * Math.exp(body.mean)),
        Math.round(100 * Math.exp(body.mean) * body.sd),
      )
    : null;
  if (isLearnedFrom(recipe, batch.id))
    return (
      <Card aria-label={nextTimeWords.nextTime}>
        <Subtitle>{nextTimeWords.nextTime}</Subtitle>
        <Soft role="status">{nextTimeWords.acceptedInto(recipe.version)}</Soft>
        {thickens && <Over>{thickens}</Over>}
      </Card>
    );
  if (proposals.length === 0 && !thickens) return null;
  const nameOf = (id: string) => (book.rows[id]?.name ?? id).toLowerCase();
  const accept = () =>
    save.mutate({
      basedOn: recipe.version,
      recipe: withNextTime(recipe, chosen, { batchId: batch.id, right }, book.table),
    });
  return (
    <Card aria-label={nextTimeWords.nextTime}>
      <Subtitle>{nextTimeWords.nextTime}</Subtitle>
      {proposals.length > 0 && (
        <>
          <Over>{nextTimeWords.chooseWhatIsRight}</Over>
          <ul>
            {proposals.map((one) => (
              <li key={one.id}>
                <Tick
                  isOn={!isOff.includes(one.id)}
                  onChange={(isOn) => setOff(isOn ? isOff.filter((id) => id !== one.id) : [...isOff, one.id])}
                >
                  <strong>
                    {proposalWords(one, {
                      name: one.code === 'food' ? nameOf(one.ingredientId) : '',
                      recipeLitres: recipe.litres,
                    })}
                  </strong>
                  <Evidence as="span">{evidenceWords(one)}</Evidence>
                </Tick>
              </li>
            ))}
          </ul>
          <Errors sentences={sentencesOf(save.error)} />
          <div>
            <Button kind="main" isDisabled={chosen.length === 0 || save.isPending} onPress={accept}>
              {nextTimeWords.acceptInto(recipe.version + 1)}
            </Button>
          </div>
        </>
      )}
      {thickens && <Over>{thickens}</Over>}
    </Card>
  );
}
