import { Pencil, X } from 'lucide-react';
import styled from 'styled-components';

import { type Ingredient, isPoured } from '../../../core/matter';
import type { Understood } from '../../../core/reader';
import { IconButton } from '../../components/icon-button';
import { PickOne } from '../../components/menu';
import { SmallField } from '../../components/small-field';
import type { Book } from '../../data/use-book';
import { colour, media, size, space } from '../../theme/tokens';
import { countedOrWeighed, recipeEditorWords, volume, weight } from '../../words';
import { LineSheet } from './line-sheet';
import type { Editing } from './use-editing';

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 0.8fr) auto;
  gap: 2px ${space.s};
  align-items: start;
  padding: ${space.s} 0;
  border-bottom: 1px solid ${colour.line};
  .taken {
    grid-column: 1 / -1;
    font-size: ${size.small};
    color: ${colour.soft};
    padding-left: 4px;
  }
  .taken b {
    color: ${colour.iron};
  }
  .doubt {
    grid-column: 1 / -1;
    font-size: ${size.small};
    color: ${colour.lookIn};
    padding-left: 4px;
  }
  .wrong {
    color: ${colour.danger};
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    > :first-child {
      grid-column: 1 / -1;
    }
  }
`;

const Tools = styled.span`
  display: flex;
`;

const SPLIT = 'split';

/** A line as written, what it was taken for, and where it goes in. */
export function LineRow({
  understood,
  editing,
  book,
  isOpen,
  onOpen: setOpen,
}: {
  understood: Understood;
  editing: Editing;
  book: Book;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}) {
  const { line, reading, ingredient, edibleKg } = understood;
  const wrong = editing.errors.find((error) => error.field === `line.${line.id}`);
  const said = line.text.trim() || recipeEditorWords.aNewLine2;
  const stages = editing.form.stages.map((stage) => ({ id: stage.id, text: stage.title }));
  const isServed =
    editing.form.stages.find((stage) => stage.id === line.parts[0]!.stageId)?.ends.rule === 'served';
  const isSplit = line.parts.length > 1;
  const bought = ingredient && edibleKg !== null ? edibleKg / ingredient.yield : null;
  return (
    <Row>
      <SmallField
        label={recipeEditorWords.line(said)}
        isLabelHidden
        value={line.text}
        onChange={(text) => editing.changeLine(line.id, { text })}
        placeholder={recipeEditorWords.n2LargeOnionsSliced3}
      />
      <PickOne
        label={recipeEditorWords.whereItGoesIn(said)}
        isLabelHidden
        value={isSplit ? SPLIT : line.parts[0]!.stageId}
        options={
          isSplit ? [...stages, { id: SPLIT, text: recipeEditorWords.parts(line.parts.length) }] : stages
        }
        onChange={(id) =>
          id === SPLIT ? setOpen(true) : editing.changeLine(line.id, { parts: [{ stageId: id, share: 1 }] })
        }
      />
      <Tools>
        <IconButton aria-label={recipeEditorWords.correct(said)} onPress={() => setOpen(true)}>
          <Pencil size={19} aria-hidden />
        </IconButton>
        <IconButton aria-label={recipeEditorWords.delete(said)} onPress={() => editing.dropLine(line.id)}>
          <X size={20} aria-hidden />
        </IconButton>
      </Tools>
      {ingredient && (
        <span className="taken">
          <b>{ingredient.name}</b>
          {edibleKg !== null && (
            <>
              , <b>{amountIn(ingredient, edibleKg, Boolean(understood.comesOut))}</b>
              {recipeEditorWords.onTheBowls(isServed)}
              {bought !== null && bought - edibleKg > 0.0005 && recipeEditorWords.asPurchased(weight(bought))}
            </>
          )}
          {reading.toTaste && edibleKg === null && recipeEditorWords.toTaste}
          {reading.cut && `; ${reading.cut}`}
          {understood.comesOut && recipeEditorWords.removedBeforeServing}
          {isSplit && `; ${line.parts.map((part) => `${Math.round(part.share * 100)} %`).join(' + ')}`}
          {ingredient.guessedFrom &&
            `; a guess, from ${book.rows[ingredient.guessedFrom]?.name.toLowerCase()}`}
        </span>
      )}
      {wrong && <span className="doubt wrong">✕ {wrong.sentence}</span>}
      <LineSheet
        key={isOpen ? 'open' : 'shut'}
        isOpen={isOpen}
        onClose={() => setOpen(false)}
        understood={understood}
        editing={editing}
        book={book}
      />
    </Row>
  );
}

/** What is poured by volume, the rest by weight. */
function amountIn(ingredient: Ingredient, kg: number, comesOut: boolean): string {
  if (isPoured(ingredient)) return volume(kg / ingredient.densityKgPerL);
  return countedOrWeighed(kg, comesOut ? { eachG: ingredient.pieceG } : null);
}
