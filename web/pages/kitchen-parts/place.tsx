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
import type { Measures } from '../../../core/units';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft, Subtitle } from '../../components/text';
import { useKitchenChange, useOrders } from '../../data/queries';
import { space } from '../../theme/tokens';
import { boilWords, kitchenWords } from '../../words';

const Narrow = styled.div`
  display: grid;
  gap: ${space.m};
  max-width: 460px;
`;

const PLACE = v.object({
  name: typedWords(textField(kitchenWords.theKitchensName, 60)),
  altitudeM: figure(altitudeField),
  zone: v.pipe(v.string(), v.trim(), v.unwrap(placeSchema.entries.zone)),
  locale: v.pipe(v.string(), v.trim(), v.unwrap(placeSchema.entries.locale)),
  currency: v.pipe(v.string(), v.trim(), v.toUpperCase(), v.unwrap(placeSchema.entries.currency)),
  airTempC: figure(numberField(kitchenWords.theKitchenAir, 0, 50, '°C')),
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
      <Subtitle>{kitchenWords.place}</Subtitle>
      <TypedForm form={form}>
        <form.AppField name="name">
          {(field) => <field.InOffice label={kitchenWords.nameOfTheKitchen} />}
        </form.AppField>
        <form.AppField name="altitudeM">
          {(field) => (
            <>
              <field.InOffice label={kitchenWords.altitude} unit="m" />
              <ByTheBoil onFound={(m) => field.setValue(String(m))} />
              <Over>{altitudeWords(field.state.value)}</Over>
              {!isNew && typedNumber(field.state.value) !== kitchen.altitudeM && orders.length > 0 && (
                <Soft>
                  {kitchenWords.workedOutAnewPotsAlready(
                    orders.length === 1
                      ? kitchenWords.onePlannedOrderIs
                      : kitchenWords.plannedOrdersAre(orders.length),
                  )}
                </Soft>
              )}
            </>
          )}
        </form.AppField>
        <Measured kitchen={kitchen} />
        <form.AppField name="currency">
          {(field) => <field.InOffice label={kitchenWords.currencyAsEurOrUsd} />}
        </form.AppField>
        <form.AppField name="zone">
          {(field) => <field.InOffice label={kitchenWords.timeZone} />}
        </form.AppField>
        <form.AppField name="locale">
          {(field) => <field.InOffice label={kitchenWords.languageOfDatesAndMoney} />}
        </form.AppField>
        <form.AppField name="airTempC">
          {(field) => <field.InOffice label={kitchenWords.theKitchenAir} unit="°C" />}
        </form.AppField>
        <Errors sentences={change.error ? [change.error.message] : []} />
        <Button kind="main" type="submit">
          {kitchenWords.saveThePlace}
        </Button>
        <Over role="status">{change.isSuccess ? kitchenWords.savedPotsAlreadyCookingKeep : ''}</Over>
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
          {kitchenWords.iDontKnowFindIt}
        </Button>
      </span>
    );
  const tempC = typedNumber(shown);
  const found = tempC === null ? null : foundAt(tempC);
  return (
    <Narrow>
      <SmallField label={kitchenWords.boilingWaterShows} unit="°C" value={shown} onChange={setShown} />
      {tempC !== null && !found && <Over>{kitchenWords.waterBoilsBetween(80, 102.5)}</Over>}
      {found && (
        <>
          <Soft>{kitchenWords.aboutMGiveOrTake(Math.round(found.altitudeM), Math.round(found.sdM))}</Soft>
          <span>
            <Button onPress={() => onFound(Math.round(found.altitudeM))}>{kitchenWords.useThat}</Button>
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

/** What the kitchen weighs in, pours in and reads its thermometer in: three choices, as it likes. */
function Measured({ kitchen: { measures } }: { kitchen: KitchenView }) {
  const change = useKitchenChange();
  const set = (next: Partial<Measures>) => change.mutate({ change: 'place', place: { measures: next } });
  return (
    <>
      <Choice
        label={kitchenWords.weighIn}
        value={measures.weight}
        options={[
          { value: 'metric', text: kitchenWords.gramsAndKilograms },
          { value: 'pounds', text: kitchenWords.ouncesAndPounds },
        ]}
        onChange={(weight) => set({ weight })}
      />
      <Choice
        label={kitchenWords.pourIn}
        value={measures.volume}
        options={[
          { value: 'metric', text: kitchenWords.litresAndCentimetres },
          { value: 'us', text: kitchenWords.usQuartsAndInches },
          { value: 'imperial', text: kitchenWords.imperialPintsAndInches },
        ]}
        onChange={(volume) => set({ volume })}
      />
      <Choice
        label={kitchenWords.thermometersRead}
        value={measures.temperature}
        options={[
          { value: 'C', text: '°C' },
          { value: 'F', text: '°F' },
        ]}
        onChange={(temperature) => set({ temperature })}
      />
    </>
  );
}
