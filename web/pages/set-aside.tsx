import styled from 'styled-components';
import { type BatchView, dayAndHour, type WrittenEventView } from '../../contract';
import { undoneIds } from '../../core/log';
import { Button } from '../components/button';
import { Page, Waiting } from '../components/page';
import { Caution, Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { useWrittenLog } from '../data/queries';
import { colour, space } from '../theme/tokens';
import { describeEvent } from '../words/batch';
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

/** A batch that cannot be worked out: its log as it was written, and the way to take back what stops it. */
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
        <Title>{batch.snapshot.input.recipe.name} is set aside</Title>
        <Soft>Its log does not go through, so that nothing can be worked out of it. No other pot minds.</Soft>
      </header>
      <Caution>
        {broken.eventId
          ? 'take back the entry at which it stops, marked below; then it goes on.'
          : 'which entry stops it is not known: it may be of a newer Slow Pot.'}
      </Caution>
      <Errors sentences={refusals} />
      <section>
        <Subtitle>What was said</Subtitle>
        <Entries aria-label="What was said">
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
                  aria-label={`Take back: ${wordsOf(entry, batch)}`}
                  onPress={() => void takeBack(entry.id)}
                >
                  Take back
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
  return event ? describeEvent(event, batch.snapshot) : `An entry that cannot be read: ${entry.type}`;
}
