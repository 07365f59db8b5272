import { useState } from 'react';
import styled from 'styled-components';
import { typedNumber } from '../../../contract';
import { type Ratio, ratioParts, ratiosOf } from '../../../core/recipe';
import { Over, Subtitle } from '../../components/text';
import type { Book } from '../../data/use-book';
import { colour, radius, size, space, target } from '../../theme/tokens';
import { recipeEditorWords, weight } from '../../words';
import type { Editing } from './use-editing';

const Row = styled.div`
  padding: ${space.s} 0;
  border-bottom: 1px solid ${colour.line};
  .sides {
    display: flex;
    flex-wrap: wrap;
    gap: ${space.xs} ${space.m};
    align-items: center;
  }
  .side {
    display: flex;
    align-items: center;
    gap: ${space.xs};
  }
  input {
    width: 68px;
    min-height: ${target.anywhere};
    padding: 0 ${space.s};
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.enamel};
    font-size: ${size.text};
    text-align: right;
  }
  input[aria-invalid='true'] {
    border-color: ${colour.danger};
  }
  small {
    color: ${colour.soft};
    font-size: ${size.small};
  }
`;

/** The proportions the recipe is built on; one side changed, the rest follow and the lines are written anew. */
export function RatioList({ editing, book }: { editing: Editing; book: Book }) {
  const ratios = ratiosOf(editing.recipe, book.rows);
  if (ratios.length === 0) return null;
  return (
    <div>
      <Subtitle>{recipeEditorWords.proportions}</Subtitle>
      {ratios.map((ratio) => (
        <OneRatio key={ratio.id} ratio={ratio} editing={editing} />
      ))}
    </div>
  );
}

function OneRatio({ ratio, editing }: { ratio: Ratio; editing: Editing }) {
  const parts = ratioParts(ratio);
  return (
    <Row role="group" aria-label={ratio.name}>
      <Over>
        <b>{ratio.name}</b>
        {recipeEditorWords.usually(ratio.usual)}
      </Over>
      <div className="sides">
        {ratio.sides.map((side, i) => (
          <span className="side" key={side.name}>
            <PartField
              key={parts[i]!.toFixed(1)}
              label={`${ratio.name}: ${side.name}`}
              value={Number(parts[i]!.toFixed(1))}
              isGood={(value) => value > 0 && (ratio.perLitre !== null || value < 100)}
              onKeep={(part) => editing.changeRatio(ratio, i, { part })}
            />
            <span>
              {ratio.perLitre ? recipeEditorWords.gToTheLitreOf(side.name, ratio.perLitre.of) : side.name}{' '}
              <small>{weight(side.kg)}</small>
            </span>
          </span>
        ))}
      </div>
    </Row>
  );
}

/** A figure that takes hold when it is left or Enter is pressed; nonsense is marked and takes hold of nothing. */
function PartField({
  label,
  value,
  isGood,
  onKeep,
}: {
  label: string;
  value: number;
  isGood: (value: number) => boolean;
  onKeep: (value: number) => void;
}) {
  const [typed, setTyped] = useState(String(value));
  const read = typedNumber(typed);
  const isWrong = read === null || !isGood(read);
  const keep = () => {
    if (read !== null && !isWrong && read !== value) onKeep(read);
  };
  return (
    <input
      aria-label={label}
      aria-invalid={isWrong}
      inputMode="decimal"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
    />
  );
}
