import styled from 'styled-components';
import * as v from 'valibot';
import { textField } from '../../../contract';
import { activeEvents } from '../../../core/log';
import { Button } from '../../components/button';
import { TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Errors, Over, Soft } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import { describeEvent, hourMinute, potWords } from '../../words';
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

const NOTE = v.object({ text: typedWords(textField(potWords.theNote, 500)) });

/** The batch's log, newest first: anything in it can be undone, and a note put to it. */
export function PotLog({ here }: { here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { tell: tellNote, refusals: noteRefusals } = useSubmit(here.batch.id);
  const form = useTypedForm({
    first: { text: '' },
    schema: NOTE,
    keep: async (payload) => {
      if (await tellNote({ type: 'note', payload })) form.reset();
    },
  });
  const standing = activeEvents(here.pot.events).toReversed();
  return (
    <>
      <Over>{potWords.undoIsForWhatDid}</Over>
      <TypedForm form={form}>
        <form.AppField name="text">
          {(field) => <field.AtPot label={potWords.aNote} isText refused={noteRefusals[0] ?? null} />}
        </form.AppField>
        <Button type="submit">{potWords.saveTheNote}</Button>
      </TypedForm>
      {standing.length === 0 && <Soft>{potWords.nothingYet}</Soft>}
      <Errors sentences={refusals} />
      <List>
        {standing.map((event) => (
          <li key={event.id}>
            <Over>{hourMinute(event.actedAtMs, here.kitchen.zone)}</Over>
            <span>{describeEvent(event, here.batch.snapshot)}</span>
            <Button
              kind="quiet"
              aria-label={potWords.undo2(describeEvent(event, here.batch.snapshot))}
              onPress={() => tell({ type: 'undone', payload: { eventId: event.id } })}
            >
              {potWords.undo3}
            </Button>
          </li>
        ))}
      </List>
    </>
  );
}
