import { GripVertical } from 'lucide-react';
import { Button, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import { filledByStage, type Stage } from '../../../core/recipe';
import type { Vessel } from '../../../core/vessel';
import { PotThumb } from '../../components/pot-section/pot-thumb';
import type { Book } from '../../data/use-book';
import { colour, radius, size, space } from '../../theme/tokens';
import { endOf, litres as litresWords, recipeEditorWords } from '../../words';
import type { Editing } from './use-editing';

const Strip = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(152px, 1fr));
  gap: ${space.s};
  > li {
    display: grid;
    grid-template-rows: auto 1fr;
    gap: ${space.xs};
    padding: ${space.s};
    border: 1px solid ${colour.line};
    border-radius: ${radius.m};
    background: ${colour.enamel};
  }
  header {
    display: grid;
    grid-template-columns: 56px minmax(0, 1fr);
    gap: ${space.s};
    align-items: center;
  }
  strong,
  small {
    display: block;
    overflow-wrap: anywhere;
  }
  small {
    font-size: ${size.small};
    color: ${colour.soft};
  }
  .back {
    font-size: ${size.small};
    color: ${colour.act};
  }
`;

const Foods = styled(GridList<Part>)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.xs};
  align-content: start;
  min-height: 36px;
  padding: 2px;
  border-radius: ${radius.s};
  outline: none;
  &[data-drop-target] {
    background: ${colour.hollow};
    outline: 2px dashed ${colour.act};
  }
  .food {
    display: inline-flex;
    align-items: center;
    gap: 2px;
    padding: 6px ${space.m} 6px 6px;
    border: 1px solid ${colour.edge};
    border-radius: 999px;
    background: ${colour.sheet};
    font-size: ${size.small};
    cursor: grab;
    outline: none;
  }
  .food button {
    display: inline-flex;
    padding: 0;
    border: 0;
    border-radius: ${radius.s};
    background: none;
    color: ${colour.soft};
    cursor: grab;
  }
  .food button:focus-visible,
  .food[data-focus-visible] {
    outline: 3px solid ${colour.act};
  }
  .food[data-dragging] {
    opacity: 0.5;
  }
`;

/** A line, or the part of one, that goes in at a stage. */
interface Part {
  id: string;
  lineId: string;
  name: string;
  share: number;
}

const PART = 'slow-pot-part';

/** Twice as wide as it is full: a pot that the written size fills well. */
const FILLED_TO = 0.8;

/**
 * What was understood, stage by stage: a pot in section as full as it is by then, and what goes in. A food is put in
 * elsewhere by dragging it to another pot, or by the keyboard: Enter on its grip takes it up, Tab goes from pot to pot,
 * Enter puts it down.
 */
export function StagePictures({ editing, book }: { editing: Editing; book: Book }) {
  const { stages } = editing.form;
  const filled = filledByStage(editing.recipe, book.rows);
  const most = Math.max(0.1, ...filled.map((one) => one.litres));
  const vessel = potFor(most);
  return (
    <section aria-label={recipeEditorWords.stageByStage}>
      <Strip>
        {stages.map((stage) => {
          const there = filled.find((one) => one.stageId === stage.id);
          return (
            <li key={stage.id}>
              <header>
                <PotThumb
                  vessel={vessel}
                  litres={there?.litres ?? 0}
                  food={editing.form.rest.colour}
                  ink={colour.iron}
                />
                <span>
                  <strong>{stage.title}</strong>
                  <small>{saidOf(stage)}</small>
                  {there && there.litres > 0 && <small>{litresWords(there.litres)}</small>}
                </span>
              </header>
              <FoodsAt stage={stage} editing={editing} />
              {backAt(editing, stage, book).map((name) => (
                <span key={name} className="back">
                  {recipeEditorWords.backIn(name)}
                </span>
              ))}
            </li>
          );
        })}
      </Strip>
    </section>
  );
}

function FoodsAt({ stage, editing }: { stage: Stage; editing: Editing }) {
  const parts = partsAt(editing, stage.id);
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ [PART]: String(key), 'text/plain': String(key) })),
    acceptedDragTypes: [PART],
    onRootDrop: async ({ items }) => {
      for (const item of items) if (item.kind === 'text') moveTo(editing, await item.getText(PART), stage.id);
    },
  });
  return (
    <Foods
      aria-label={recipeEditorWords.goesInAtStage(stage.title)}
      items={parts}
      dragAndDropHooks={dragAndDropHooks}
      layout="stack"
    >
      {(part: Part) => (
        <GridListItem id={part.id} textValue={part.name} className="food">
          <Button slot="drag">
            <GripVertical size={14} aria-hidden />
          </Button>
          {part.name}
          {part.share < 0.999 && ` ${Math.round(part.share * 100)} %`}
        </GridListItem>
      )}
    </Foods>
  );
}

function partsAt(editing: Editing, stageId: string): Part[] {
  return editing.understood.flatMap(({ line, ingredient, reading }) =>
    line.parts
      .filter((part) => part.stageId === stageId)
      .map((part) => ({
        id: `${line.id} ${stageId}`,
        lineId: line.id,
        name: (ingredient?.name ?? reading.name).split(',')[0]!,
        share: part.share,
      })),
  );
}

/** The part of a line that was at one stage goes in at another; with what is there of it already it is one part again. */
function moveTo(editing: Editing, key: string, toId: string): void {
  const [lineId, fromId] = key.split(' ');
  const line = editing.form.written.find((one) => one.id === lineId);
  if (!line || fromId === toId) return;
  const shares = new Map<string, number>();
  for (const part of line.parts) {
    const at = part.stageId === fromId ? toId : part.stageId;
    shares.set(at, (shares.get(at) ?? 0) + part.share);
  }
  const parts = [...shares].map(([stageId, share]) => ({ stageId, share }));
  editing.alter({
    written: editing.form.written.map((one) => (one.id === lineId ? { ...one, parts } : one)),
  });
}

function backAt(editing: Editing, stage: Stage, book: Book): string[] {
  return editing.recipe.lines
    .filter((line) => line.comesOut?.backStageId === stage.id)
    .map((line) => (book.rows[line.ingredientId]?.name ?? '').split(',')[0]!.toLowerCase());
}

function saidOf(stage: Stage): string {
  const share = stage.does?.kind === 'puree' && stage.does.share < 1 ? stage.does.share : null;
  const lid =
    stage.ends.rule === 'served' || stage.kind === 'puree' ? '' : recipeEditorWords.lidIs(stage.lid);
  return [share === null ? '' : recipeEditorWords.partOfIt(share), endOf(stage), lid]
    .filter((said) => said !== '')
    .join(', ');
}

/** A cylinder as high as it is wide that the most of it fills well. */
function potFor(litres: number): Vessel {
  const diameterCm = ((4000 * litres) / FILLED_TO / Math.PI) ** (1 / 3);
  return { shape: 'cylinder', diameterCm, heightCm: diameterCm };
}
