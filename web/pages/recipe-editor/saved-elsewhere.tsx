import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { writtenOf } from '../../../core/reader';
import type { Recipe, WrittenLine } from '../../../core/recipe';
import { Button } from '../../components/button';
import { Over, Subtitle } from '../../components/text';
import type { Book } from '../../data/use-book';
import { colour, media, radius, size, space } from '../../theme/tokens';
import { recipeEditorWords } from '../../words';
import type { Editing } from './use-editing';

const Box = styled.section`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 2px solid ${colour.danger};
  border-radius: ${radius.m};
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: ${space.xs} ${space.m};
    align-items: center;
    padding: ${space.xs} 0;
    border-top: 1px solid ${colour.line};
    font-size: ${size.small};
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
  }
  ${media.narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** A line as it was saved elsewhere and as it stands here; null where one of them has none. */
interface Pair {
  id: string;
  theirs: WrittenLine | null;
  mine: WrittenLine | null;
}

/**
 * The same recipe was saved in another window while this one was written: both side by side, each line of the other to be
 * taken over; then this one over it, or as another recipe. Nothing typed is lost either way.
 */
export function SavedElsewhere({ editing, latest, book }: { editing: Editing; latest: Recipe; book: Book }) {
  const { form } = editing;
  const theirs = writtenOf(latest, book.table);
  const pairs = differing(theirs, form.written);
  const take = ({ id, theirs: line }: Pair) => {
    const rest = form.written.filter((one) => one.id !== id);
    const known = line && { ...line, parts: placed(line, editing) };
    const at = form.written.findIndex((one) => one.id === id);
    editing.alter({
      written: known
        ? [...rest.slice(0, at < 0 ? rest.length : at), known, ...rest.slice(at < 0 ? rest.length : at)]
        : rest,
    });
  };
  return (
    <Box aria-label={recipeEditorWords.savedElsewhere(latest.version)}>
      <Subtitle>{recipeEditorWords.savedElsewhere(latest.version)}</Subtitle>
      <Over>{pairs.length > 0 ? recipeEditorWords.theirsAndYours : recipeEditorWords.linesAreAlike}</Over>
      <ul>
        {pairs.map((pair) => (
          <li key={pair.id}>
            <span>{pair.theirs?.text ?? recipeEditorWords.noSuchLine}</span>
            <b>{pair.mine?.text ?? recipeEditorWords.noSuchLine}</b>
            <Button
              kind="quiet"
              aria-label={recipeEditorWords.takeTheirs(pair.theirs?.text ?? pair.mine?.text ?? '')}
              onPress={() => take(pair)}
            >
              {recipeEditorWords.takeIt}
            </Button>
          </li>
        ))}
      </ul>
      <div className="ways">
        <Button onPress={() => editing.alter({ basedOn: latest.version })}>
          {recipeEditorWords.mineOverIt(latest.version + 1)}
        </Button>
        <Button
          onPress={() =>
            editing.alter({
              id: uuid(),
              basedOn: null,
              was: null,
              name: recipeEditorWords.another(form.name),
            })
          }
        >
          {recipeEditorWords.asAnotherRecipe}
        </Button>
      </div>
    </Box>
  );
}

function differing(theirs: readonly WrittenLine[], mine: readonly WrittenLine[]): Pair[] {
  const ids = [...new Set([...theirs, ...mine].map((line) => line.id))];
  return ids
    .map((id) => ({
      id,
      theirs: theirs.find((line) => line.id === id) ?? null,
      mine: mine.find((line) => line.id === id) ?? null,
    }))
    .filter((pair) => pair.theirs?.text !== pair.mine?.text);
}

/** Where a line of the other version goes in here: its own stages as far as they are here, else the first. */
function placed(line: WrittenLine, { form }: Editing): WrittenLine['parts'] {
  const isHere = line.parts.every((part) => form.stages.some((stage) => stage.id === part.stageId));
  return isHere ? line.parts : [{ stageId: form.stages[0]!.id, share: 1 }];
}
