import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { sentenceCase } from '../../../contract';
import { doubtsOf, type RecipeDraft, readLine, readRecipeText } from '../../../core/reader';
import { Button } from '../../components/button';
import { FilePick } from '../../components/file-pick';
import { Halves, Page } from '../../components/page';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft, Subtitle, Title } from '../../components/text';
import { sentencesOf } from '../../data/api';
import { useReadFile } from '../../data/queries';
import type { Book } from '../../data/use-book';
import { colour, size, space } from '../../theme/tokens';
import { countedOrWeighed, doubtQuestion, recipeEditorWords } from '../../words';
import { keepPaper, keptPaper } from './kept-form';

const Read = styled.ol`
  display: grid;
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 ${space.m};
    padding: 5px 0;
    border-bottom: 1px solid ${colour.line};
  }
  small {
    grid-column: 1 / -1;
    font-size: ${size.small};
    color: ${colour.lookIn};
  }
  b {
    white-space: nowrap;
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: center;
`;

const EXAMPLE = recipeEditorWords.leekAndPotatoSoupServes;

/** The sheet of paper: typed or pasted as it stands, and read as it is typed. */
export function Paper({ book, onTaken }: { book: Book; onTaken: (draft: RecipeDraft) => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState(keptPaper);
  const write = (next: string) => {
    setText(next);
    keepPaper(next);
  };
  const [offered, setOffered] = useState<readonly RecipeDraft[]>([]);
  const read = useReadFile();
  const late = useDeferredValue(text);
  const draft = useMemo(() => (late.trim() ? readRecipeText(late, book.table) : null), [late, book]);
  const readings = useMemo(
    () => (draft ? draft.written.map((line) => readLine(line.text, book.table)) : []),
    [draft, book],
  );
  const doubts = useMemo(() => (draft ? doubtsOf(draft, book.table) : []), [draft, book]);
  return (
    <Page>
      <header>
        <Over>{recipeEditorWords.aNewRecipe}</Over>
        <Title>{recipeEditorWords.asItStandsOnPaper}</Title>
        <Soft>{recipeEditorWords.itsNameHowManyIt}</Soft>
      </header>
      <Halves $columns="minmax(0, 1.1fr) minmax(0, 1fr)">
        <section>
          <SmallField
            label={recipeEditorWords.thePaper}
            isLabelHidden
            value={text}
            onChange={write}
            rows={14}
            placeholder={EXAMPLE}
          />
          <Row>
            <Button
              kind="main"
              isDisabled={!draft || draft.written.length === 0}
              onPress={() => draft && onTaken(draft)}
            >
              {recipeEditorWords.continue}
            </Button>
            <FilePick
              label={recipeEditorWords.fromAFile}
              accept=".txt,.md,.json,.jsonld,.html,.htm"
              onText={(name, content) =>
                read.mutate(
                  { name, text: content },
                  {
                    onSuccess: (found) => {
                      if (found.kind !== 'drafts' || !found.drafts[0]) navigate('/recipes');
                      else if (found.drafts.length === 1) onTaken(found.drafts[0]);
                      else setOffered(found.drafts);
                    },
                  },
                )
              }
            />
          </Row>
          {offered.length > 0 && (
            <Row role="group" aria-label={recipeEditorWords.whichOfThem}>
              <Soft>{recipeEditorWords.whichOfThem}</Soft>
              {offered.map((one, i) => (
                // two of one name are told apart by their place
                <Button key={i} onPress={() => onTaken(one)}>
                  {one.name}
                </Button>
              ))}
            </Row>
          )}
          <Errors sentences={sentencesOf(read.error)} />
        </section>
        <section aria-live="polite">
          {draft ? (
            <>
              <div>
                <Subtitle>{draft.name}</Subtitle>
                <Over>
                  {recipeEditorWords.lineRead(
                    draft.portions ? recipeEditorWords.serves(draft.portions) : '',
                    draft.written.length,
                    doubts.length > 0 ? recipeEditorWords.toLookAt(doubts.length) : '',
                    draft.stages.map((stage) => stage.title.toLowerCase()).join(', '),
                  )}
                </Over>
              </div>
              <Read>
                {readings.map((one, i) => (
                  // the paper is read anew at every key: a line is its place on it
                  <li key={i}>
                    <span>
                      {one.ingredientId ? book.rows[one.ingredientId]?.name : sentenceCase(one.name)}
                      {one.cut && `, ${one.cut}`}
                      {one.comesOut && recipeEditorWords.removedBeforeServing2}
                    </span>
                    <b>
                      {one.edibleG !== null
                        ? countedOrWeighed(
                            one.edibleG / 1000,
                            one.comesOut ? { eachG: book.rows[one.ingredientId ?? '']?.pieceG } : null,
                          )
                        : one.toTaste
                          ? recipeEditorWords.toTaste2
                          : '?'}
                    </b>
                    {doubts
                      .filter((doubt) => doubt.lineId === draft.written[i]?.id)
                      .map(({ id, about }) => (
                        <small key={id}>{recipeEditorWords.look(doubtQuestion(about))}</small>
                      ))}
                  </li>
                ))}
              </Read>
            </>
          ) : (
            <Soft>{recipeEditorWords.whatItIsTakenFor}</Soft>
          )}
        </section>
      </Halves>
    </Page>
  );
}
