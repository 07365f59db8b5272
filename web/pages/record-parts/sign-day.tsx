import * as v from 'valibot';
import { type KitchenView, type RecordView, signedBy } from '../../../contract';
import { Button } from '../../components/button';
import { FieldRow } from '../../components/field-row';
import { TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Caution, Errors, Soft, Subtitle } from '../../components/text';
import { useKitchenChange } from '../../data/queries';
import { dayAndHour, recordWords } from '../../words';

const SIGNED = v.object({ by: typedWords(signedBy) });

/** Who signed the day, and the press that does. */
export function SignDay({ view, day, kitchen }: { view: RecordView; day: string; kitchen: KitchenView }) {
  const { signed, lines, zone, of } = view;
  const change = useKitchenChange();
  const later = lines.filter((line) => line.isLater).length;
  const inCharge = kitchen.people.filter((one) => one.role === 'inCharge');
  const form = useTypedForm({
    first: { by: inCharge.length === 1 ? inCharge[0]!.name : '' },
    schema: SIGNED,
    keep: ({ by }) => change.mutateAsync({ change: 'daySigned', day, by }).catch(() => {}),
  });
  return (
    <section aria-label={recordWords.sign}>
      <Subtitle>{recordWords.sign}</Subtitle>
      {signed ? (
        <p role="status">{recordWords.signed(signed.by, dayAndHour(signed.atMs, zone))}</p>
      ) : (
        <Soft>{recordWords.notSigned}</Soft>
      )}
      {signed?.isChanged && <Caution>{recordWords.chainChanged}</Caution>}
      {later > 0 && <Caution>{recordWords.cameLater(later)}</Caution>}
      {of.kind === 'day' && !of.isOver && <Soft>{recordWords.notOver}</Soft>}
      {(!signed || later > 0) && (
        <TypedForm form={form}>
          <FieldRow>
            <form.AppField name="by">
              {(field) => (
                <field.InOffice
                  label={recordWords.whoIsInCharge}
                  suggestions={(inCharge.length > 0 ? inCharge : kitchen.people).map((one) => one.name)}
                />
              )}
            </form.AppField>
            <Button kind="main" type="submit">
              {recordWords.signDay}
            </Button>
          </FieldRow>
          <Errors sentences={change.error ? [change.error.message] : []} />
        </TypedForm>
      )}
    </section>
  );
}
