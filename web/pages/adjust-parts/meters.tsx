import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import { Button } from '../../components/button';
import { FieldRow } from '../../components/field-row';
import { figure, TypedForm, useOneAtATime, useTypedForm } from '../../components/form';
import { Errors, Over, Subtitle } from '../../components/text';
import { space } from '../../theme/tokens';
import { adjustWords, decimal, percent } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

const Section = styled.section`
  display: grid;
  gap: ${space.m};
  max-width: 520px;
  margin-top: ${space.l};
`;

const METERS = {
  salinity: {
    label: adjustWords.saltByMeter,
    unit: '%',
    field: numberField(adjustWords.saltByMeter, 0, 30, '%'),
  },
  ph: { label: adjustWords.acidByMeter, unit: 'pH', field: numberField(adjustWords.acidByMeter, 2, 9, 'pH') },
  brix: {
    label: adjustWords.brixByMeter,
    unit: '°Brix',
    field: numberField(adjustWords.brixByMeter, 0.1, 80, '°Brix'),
  },
} as const;
type Meter = keyof typeof METERS;

/** What meters show: each moves what the pot is known to hold, as far as meter and sums are sure. */
export function Meters({ here }: { here: BatchHere }) {
  return (
    <Section aria-label={adjustWords.meters}>
      <Subtitle>{adjustWords.meters}</Subtitle>
      {(Object.keys(METERS) as Meter[]).map((meter) => (
        <MeterForm key={meter} meter={meter} here={here} />
      ))}
      <Over>{adjustWords.aSampleDiluted}</Over>
    </Section>
  );
}

function MeterForm({ meter, here }: { meter: Meter; here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { label, unit, field: schema } = METERS[meter];
  const last = meter === 'brix' ? undefined : here.pot.state.meters.findLast((one) => one.meter === meter);
  const send = (value: number, isSure = false) =>
    meter === 'brix'
      ? tell({ type: 'reading', payload: { kind: 'brix', value } })
      : tell({ type: 'metered', payload: { meter, value, ...(isSure ? { sure: true } : {}) } });
  const form = useTypedForm({
    first: { value: '' },
    schema: v.object({ value: figure(schema) }),
    keep: async ({ value }) => {
      if (await send(value)) form.reset();
    },
  });
  const takeIt = useOneAtATime((value: number) => send(value, true));
  const said = (value: number) => (meter === 'ph' ? `pH ${decimal(value, 1)}` : percent(value));
  return (
    <TypedForm form={form}>
      <FieldRow>
        <form.AppField name="value">
          {(field) => <field.AtPot label={label} unit={unit} refused={refusals[0] ?? null} />}
        </form.AppField>
        <Button type="submit" aria-label={adjustWords.saveMeter(label)}>
          {adjustWords.save}
        </Button>
      </FieldRow>
      {last?.status === 'set aside' && last.expected !== null && (
        <>
          <Errors sentences={[adjustWords.meterFarOff(said(last.value), said(last.expected))]} />
          <span>
            <Button onPress={() => takeIt(last.value)}>{adjustWords.readTwiceItIsSo}</Button>
          </span>
        </>
      )}
      {last?.status === 'accepted' && last.expected !== null && (
        <Over>{adjustWords.meterTaken(said(last.value), said(last.expected))}</Over>
      )}
    </TypedForm>
  );
}
