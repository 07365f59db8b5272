import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../../contract';
import type { Doubt, DoubtAsks, DoubtChange, DoubtChoice } from '../../../core/reader';
import { Button } from '../../components/button';
import { SmallField } from '../../components/small-field';
import { Subtitle } from '../../components/text';
import { colour, media, radius, size, space } from '../../theme/tokens';
import { doubtChoiceWords, doubtQuestion, recipeEditorWords } from '../../words';
import type { Editing } from './use-editing';

const Box = styled.section`
  display: grid;
  gap: ${space.s};
  padding: ${space.m};
  border: 2px solid ${colour.lookIn};
  border-radius: ${radius.m};
  ol {
    display: grid;
  }
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
    gap: ${space.xs} ${space.m};
    align-items: center;
    padding: ${space.s} 0;
    border-top: 1px solid ${colour.line};
  }
  q {
    font-style: italic;
  }
  p {
    font-size: ${size.small};
    color: ${colour.soft};
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.s};
    align-items: end;
  }
  .typed {
    display: flex;
    gap: ${space.xs};
    align-items: end;
    max-width: 190px;
  }
  ${media.narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** What the page left open, in one list: its words, the question, and answers of one press. The rest is taken as read. */
export function DoubtList({ editing, onFood }: { editing: Editing; onFood: (lineId: string) => void }) {
  const { doubts } = editing;
  if (doubts.length === 0) return null;
  return (
    <Box aria-labelledby="doubts">
      <Subtitle id="doubts">{recipeEditorWords.thingsToCheck(doubts.length)}</Subtitle>
      <ol>
        {doubts.map((doubt) => (
          <li key={doubt.id}>
            <div>
              {doubt.words && <q>{doubt.words}</q>}
              <p>{doubtQuestion(doubt.about)}</p>
            </div>
            <Answers doubt={doubt} editing={editing} onFood={onFood} />
          </li>
        ))}
      </ol>
      <p>{recipeEditorWords.restIsTakenAsRead}</p>
    </Box>
  );
}

function Answers({
  doubt,
  editing,
  onFood,
}: {
  doubt: Doubt;
  editing: Editing;
  onFood: (lineId: string) => void;
}) {
  const said = (choice: DoubtChoice) => doubtChoiceWords(doubt, choice);
  return (
    <div className="answers">
      {doubt.choices.map((choice) => (
        <Button
          key={choice.id}
          aria-label={`${doubt.words}: ${said(choice)}`}
          onPress={() => editing.answer(doubt, choice.change)}
        >
          {said(choice)}
        </Button>
      ))}
      {doubt.asks && <Typed doubt={doubt} asks={doubt.asks} editing={editing} />}
      {doubt.isFood && doubt.lineId && (
        <Button kind="quiet" onPress={() => onFood(doubt.lineId!)}>
          {recipeEditorWords.anotherFood}
        </Button>
      )}
    </div>
  );
}

const ASKED: Readonly<Record<NonNullable<DoubtAsks>, { unit: string; least: number; most: number }>> = {
  grams: { unit: 'g', least: 0.1, most: 500_000 },
  minutes: { unit: 'min', least: 0, most: 720 },
  portions: { unit: recipeEditorWords.bowls, least: 1, most: 1000 },
  percent: { unit: '%', least: 1, most: 90 },
};

/** A figure typed instead; what is none is said beside it, and nothing is changed. */
function Typed({ doubt, asks, editing }: { doubt: Doubt; asks: NonNullable<DoubtAsks>; editing: Editing }) {
  const [text, setText] = useState('');
  const [isWrong, setWrong] = useState(false);
  const { unit, least, most } = ASKED[asks];
  const keep = () => {
    const value = typedNumber(text);
    if (value === null || value < least || value > most) return setWrong(true);
    editing.answer(doubt, changeOf(doubt, asks, value));
  };
  return (
    <form
      className="typed"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <SmallField
        label={recipeEditorWords.typed(doubt.words)}
        isLabelHidden
        value={text}
        onChange={(next) => {
          setText(next);
          setWrong(false);
        }}
        unit={unit}
        error={isWrong ? recipeEditorWords.aNumberFrom(least, most) : null}
      />
      <Button type="submit">{recipeEditorWords.ok}</Button>
    </form>
  );
}

function changeOf(doubt: Doubt, asks: NonNullable<DoubtAsks>, value: number): DoubtChange {
  if (asks === 'portions') return { what: 'portions', portions: Math.round(value) };
  if (asks === 'minutes') return { what: 'minutes', stageId: doubt.stageId!, minutes: value };
  if (asks === 'percent') return { what: 'gone', stageId: doubt.stageId!, fractionGone: value / 100 };
  return { what: 'line', lineId: doubt.lineId!, line: { edibleG: value } };
}
