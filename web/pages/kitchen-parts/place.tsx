import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import {
  altitudeField,
  type KitchenView,
  numberField,
  placeSchema,
  textField,
  typedNumber,
} from '../../../contract';
import { altitudeFromBoilingM } from '../../../core/heat';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { useKitchenChange, useOrders } from '../../data/queries';
import { space } from '../../theme/tokens';
import { boilWords } from '../../words/kitchen';

const Narrow = styled.div`
  display: grid;
  gap: ${space.m};
  max-width: 460px;
`;

const PLACE = v.object({
  name: typedWords(textField('The kitchen’s name', 60)),
  altitudeM: figure(altitudeField),
  zone: v.pipe(v.string(), v.trim(), v.unwrap(placeSchema.entries.zone)),
  locale: v.pipe(v.string(), v.trim(), v.unwrap(placeSchema.entries.locale)),
  currency: v.pipe(v.string(), v.trim(), v.toUpperCase(), v.unwrap(placeSchema.entries.currency)),
  airTempC: figure(numberField('The kitchen air', 0, 50, '°C')),
});

/** Where the kitchen is: what its water boils at follows from it, and how its figures are written. */
export function PlaceSection({ kitchen, onSaved }: { kitchen: KitchenView; onSaved: () => void }) {
  const change = useKitchenChange();
  const isNew = kitchen.name === '';
  const { data: orders = [] } = useOrders();
  const form = useTypedForm({
    first: {
      name: kitchen.name,
      altitudeM: isNew ? '' : String(kitchen.altitudeM),
      zone: isNew ? Intl.DateTimeFormat().resolvedOptions().timeZone : kitchen.zone,
      locale: isNew ? navigator.language : kitchen.locale,
      currency: kitchen.currency,
      airTempC: String(kitchen.airTempC),
    },
    schema: PLACE,
    keep: async (place) => {
      await change.mutateAsync({ change: 'place', place }).then(onSaved, () => {});
    },
  });
  return (
    <Narrow>
      <Subtitle>Place</Subtitle>
      <TypedForm form={form}>
        <form.AppField name="name">{(field) => <field.InOffice label="Name of the kitchen" />}</form.AppField>
        <form.AppField name="altitudeM">
          {(field) => (
            <>
              <field.InOffice label="Altitude" unit="m" />
              <ByTheBoil onFound={(m) => field.setValue(String(m))} />
              <Over>{altitudeWords(field.state.value)}</Over>
              {!isNew && typedNumber(field.state.value) !== kitchen.altitudeM && orders.length > 0 && (
                <Soft>
                  {orders.length === 1 ? 'One planned order is' : `${orders.length} planned orders are`}{' '}
                  worked out anew. Pots already cooking keep the altitude they began with.
                </Soft>
              )}
            </>
          )}
        </form.AppField>
        <Choice
          label="Weights and measures"
          value={kitchen.units}
          options={[
            { value: 'metric', text: 'Metric' },
            { value: 'us', text: 'US' },
            { value: 'imperial', text: 'Imperial' },
          ]}
          onChange={(units) => change.mutate({ change: 'place', place: { units } })}
        />
        <form.AppField name="currency">
          {(field) => <field.InOffice label="Currency, as EUR or USD" />}
        </form.AppField>
        <form.AppField name="zone">{(field) => <field.InOffice label="Time zone" />}</form.AppField>
        <form.AppField name="locale">
          {(field) => <field.InOffice label="Language of dates and money, as en-GB" />}
        </form.AppField>
        <form.AppField name="airTempC">
          {(field) => <field.InOffice label="The kitchen air" unit="°C" />}
        </form.AppField>
        <Errors sentences={change.error ? [change.error.message] : []} />
        <Button kind="main" type="submit">
          Save the place
        </Button>
        <Over role="status">
          {change.isSuccess ? 'Saved. Pots already cooking keep what they began with.' : ''}
        </Over>
      </TypedForm>
    </Narrow>
  );
}

function altitudeWords(text: string): string {
  const altitudeM = typedNumber(text);
  return altitudeM !== null && altitudeM >= -430 && altitudeM <= 5000 ? boilWords(altitudeM) : '';
}

/** For whoever does not know how high the kitchen lies: by what a thermometer shows in boiling water. */
function ByTheBoil({ onFound }: { onFound: (altitudeM: number) => void }) {
  const [isOpen, setOpen] = useState(false);
  const [shown, setShown] = useState('');
  if (!isOpen)
    return (
      <span>
        <Button kind="quiet" onPress={() => setOpen(true)}>
          I don’t know: find it by boiling water
        </Button>
      </span>
    );
  const tempC = typedNumber(shown);
  const found = tempC === null ? null : foundAt(tempC);
  return (
    <Narrow>
      <SmallField label="Boiling water shows" unit="°C" value={shown} onChange={setShown} />
      {tempC !== null && !found && (
        <Over>Water boils between 80 and 102.5 °C: check the thermometer on ice.</Over>
      )}
      {found && (
        <>
          <Soft>
            About {Math.round(found.altitudeM)} m, give or take {Math.round(found.sdM)}: the weather moves the
            boil, and so does the thermometer.
          </Soft>
          <span>
            <Button onPress={() => onFound(Math.round(found.altitudeM))}>Use that</Button>
          </span>
        </>
      )}
    </Narrow>
  );
}

/** An ordinary thermometer is right to half a degree. Common practice. */
const THERMOMETER_SD_C = 0.5;

function foundAt(tempC: number) {
  try {
    return altitudeFromBoilingM({ tempC, thermometerSdC: THERMOMETER_SD_C });
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
