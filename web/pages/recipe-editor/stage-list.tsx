import { GripVertical, Pencil, X } from 'lucide-react';
import { useState } from 'react';
import { GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import { STAGE_KIND_DATA, STAGE_KINDS, type Stage, type StageKind } from '../../../core/recipe';
import { IconButton } from '../../components/icon-button';
import { PickOne } from '../../components/menu';
import { Over } from '../../components/text';
import type { Book } from '../../data/use-book';
import { colour, size, space } from '../../theme/tokens';
import { endOf, recipeEditorWords } from '../../words';
import { StageSheet } from './stage-sheet';
import type { Editing } from './use-editing';

/** A stage with the names of what goes in at it. */
type StageItem = Stage & { lines: string };

const List = styled(GridList<StageItem>)`
  display: grid;
  outline: none;
  .stage {
    display: grid;
    grid-template-columns: 32px 1fr auto;
    gap: ${space.s};
    align-items: center;
    padding: ${space.xs} 0;
    border-bottom: 1px solid ${colour.line};
    outline: none;
  }
  .stage[data-focus-visible] {
    outline: 3px solid ${colour.act};
    outline-offset: -3px;
  }
  .stage[data-dragging] {
    opacity: 0.5;
  }
  .react-aria-DropIndicator[data-drop-target] {
    outline: 2px solid ${colour.act};
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
`;

/** The stages in their order: dragged, or moved by the keyboard from their handle; each opens to its school. */
export function StageList({ editing, book }: { editing: Editing; book: Book }) {
  const { stages } = editing.form;
  const [openId, setOpenId] = useState<string | null>(null);
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ 'text/plain': String(key) })),
    onReorder: ({ keys, target: at }) => {
      const moved = [...keys].map(String);
      // put down where it was taken up
      if (moved.includes(String(at.key))) return;
      const rest = stages.map((stage) => stage.id).filter((id) => !moved.includes(id));
      const index = rest.indexOf(String(at.key)) + (at.dropPosition === 'after' ? 1 : 0);
      editing.orderStages([...rest.slice(0, index), ...moved, ...rest.slice(index)]);
    },
  });
  const open = stages.find((stage) => stage.id === openId);
  return (
    <>
      <List
        aria-label={recipeEditorWords.stagesInOrder}
        dragAndDropHooks={dragAndDropHooks}
        items={stages.map((stage) => ({ ...stage, lines: linesAt(editing, stage.id) }))}
      >
        {(stage: StageItem) => (
          <GridListItem id={stage.id} textValue={stage.title} className="stage">
            <IconButton slot="drag" aria-label={recipeEditorWords.move(stage.title)}>
              <GripVertical size={18} aria-hidden />
            </IconButton>
            <span>
              <strong>{stage.title}</strong>
              <small>
                {stage.method || recipeEditorWords.ourOwnMethod2}; {endOf(stage)}
                {stage.lines && recipeEditorWords.in(stage.lines)}
              </small>
            </span>
            <span style={{ display: 'flex' }}>
              <IconButton
                aria-label={recipeEditorWords.open(stage.title)}
                onPress={() => setOpenId(stage.id)}
              >
                <Pencil size={18} aria-hidden />
              </IconButton>
              <IconButton
                aria-label={recipeEditorWords.deleteTheStage(stage.title)}
                onPress={() => editing.dropStage(stage.id)}
              >
                <X size={19} aria-hidden />
              </IconButton>
            </span>
          </GridListItem>
        )}
      </List>
      <PickOne
        label={recipeEditorWords.addAStage}
        isLabelHidden
        placeholder={recipeEditorWords.addAStage}
        value={null}
        options={STAGE_KINDS.filter(
          (kind) => kind !== 'serve' || !stages.some((stage) => stage.ends.rule === 'served'),
        ).map((kind) => ({
          id: kind,
          text: recipeEditorWords.oneMore(STAGE_KIND_DATA[kind].title.toLowerCase()),
        }))}
        onChange={(kind) => editing.addStage(kind as StageKind)}
      />
      <Over>{recipeEditorWords.dragByTheHandleBy}</Over>
      {open && <StageSheet stage={open} editing={editing} rows={book.rows} onClose={() => setOpenId(null)} />}
    </>
  );
}

function linesAt(editing: Editing, stageId: string): string {
  return editing.understood
    .filter((one) => one.line.parts.some((part) => part.stageId === stageId))
    .map((one) => (one.ingredient?.name ?? one.line.text).split(',')[0]?.toLowerCase())
    .join(', ');
}
