import styled from 'styled-components';
import type { BatchView, WrittenEventView } from '../../contract';
import { undoneIds } from '../../core/log';
import { Button } from '../components/button';
import { Page, Waiting } from '../components/page';
import { Caution, Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { useWrittenLog } from '../data/queries';
import { colour, space } from '../theme/tokens';
import { dayAndHour, describeEvent, logWords } from '../words';
import { useSubmit } from './pot-parts/use-submit';
import { useKitchenHere } from './use-kitchen-here';

const Entries = styled.ol`
  li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0 ${space.m};
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
  }
  li[data-stops='true'] {
    font-weight: 700;
    color: ${colour.danger};
  }
  li[data-undone='true'] {
    text-decoration: line-through;
    color: ${colour.soft};
  }
`;

/** A batch that cannot be worked out: its log as it was written, and the way to undo what stops it. */
export function SetAside({ batch, broken }: { batch: BatchView; broken: NonNullable<BatchView['broken']> }) {
  const { zone } = useKitchenHere();
  const { data: written, error, refetch } = useWrittenLog(batch.id);
  const { tell, refusals } = useSubmit(batch.id);
  if (!written) return <Waiting error={error} onRetry={refetch} />;
  const undone = undoneIds(written.map((one) => ({ ...one, payload: Object(one.payload) as object })));
  const takeBack = (eventId: string) => tell({ type: 'undone', payload: { eventId } });
  return (
    <Page>
      <header>
        <Title>{logWords.isSetAside(batch.snapshot.input.recipe.name)}</Title>
        <Soft>{logWords.itsLogCannotBeRead}</Soft>
      </header>
      <Caution>{broken.eventId ? logWords.undoTheEntryAtWhich : logWords.whichEntryStopsItIs}</Caution>
      <Errors sentences={refusals} />
      <section>
        <Subtitle>{logWords.batchLog}</Subtitle>
        <Entries aria-label={logWords.batchLog}>
          {written.map((entry) => (
            <li key={entry.id} data-stops={entry.id === broken.eventId} data-undone={undone.has(entry.id)}>
              <span>
                {wordsOf(entry, batch)}
                <Over>
                  {dayAndHour(entry.actedAtMs, zone)}
                  {entry.by && `, ${entry.by}`}
                </Over>
              </span>
              {entry.type !== 'undone' && !undone.has(entry.id) && (
                <Button
                  kind={entry.id === broken.eventId ? 'main' : 'quiet'}
                  aria-label={logWords.undo(wordsOf(entry, batch))}
                  onPress={() => void takeBack(entry.id)}
                >
                  {logWords.undo2}
                </Button>
              )}
            </li>
          ))}
        </Entries>
      </section>
    </Page>
  );
}

/** An entry in words; one that cannot be read by its type alone. */
function wordsOf(entry: WrittenEventView, batch: BatchView): string {
  const event = batch.events.find((one) => one.id === entry.id);
  return event ? describeEvent(event, batch.snapshot) : logWords.anEntryThatCannotBe(entry.type);
}
