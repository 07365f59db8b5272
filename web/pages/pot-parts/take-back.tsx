import { useState } from 'react';
import styled from 'styled-components';
import { hourMinute } from '../../../contract';
import { activeEvents } from '../../../core/log';
import { Button } from '../../components/button';
import { Field } from '../../components/field';
import { Errors, Over, Soft } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { describeEvent } from '../../words/batch';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const List = styled.ol`
  display: grid;
  max-height: 42vh;
  overflow: auto;
  li {
    display: grid;
    grid-template-columns: 54px 1fr auto;
    gap: ${space.s};
    align-items: center;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** The batch's log, newest first: anything in it can be taken back, and a note put to it. */
export function TakeBack({ here }: { here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { tell: tellNote, refusals: noteRefusals } = useSubmit(here.batch.id);
  const [note, setNote] = useState('');
  const standing = activeEvents(here.pot.events).toReversed();
  return (
    <>
      <Over>Taking back is for what did not happen. What did happen is mended on the bench.</Over>
      <form
        onSubmit={async (event) => {
          event.preventDefault();
          if (await tellNote({ type: 'note', payload: { text: note } })) setNote('');
        }}
      >
        <Field label="A note" value={note} onChange={setNote} error={noteRefusals[0] ?? null} isText />
        <Button type="submit">Keep the note</Button>
      </form>
      {standing.length === 0 && <Soft>Nothing yet.</Soft>}
      <Errors sentences={refusals} />
      <List>
        {standing.map((event) => (
          <li key={event.id}>
            <Over>{hourMinute(event.actedAtMs, here.kitchen.zone)}</Over>
            <span>{describeEvent(event, here.batch.snapshot)}</span>
            <Button
              kind="quiet"
              aria-label={`Take back: ${describeEvent(event, here.batch.snapshot)}`}
              onPress={() => tell({ type: 'undone', payload: { eventId: event.id } })}
            >
              Take back
            </Button>
          </li>
        ))}
      </List>
    </>
  );
}
