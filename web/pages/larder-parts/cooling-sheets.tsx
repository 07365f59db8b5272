import { useState } from 'react';
import * as v from 'valibot';
import { type KitchenView, numberField, textField } from '../../../contract';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Errors } from '../../components/text';
import { ThermometerChoice, useThermometer } from '../../components/thermometer-choice';
import { useWhoLooked, WhoLooked } from '../../components/who-looked';
import { coolingWords } from '../../words';
import { useShelf } from './use-shelf';

interface Of {
  lot: LotView;
  kitchen: KitchenView;
  onClose: () => void;
}

const READ = v.object({ tempC: figure(numberField(coolingWords.inTheMiddle, -40, 110, '°C')) });

/** A temperature in the middle, by which thermometer; what is far from the forecast is asked about once. */
export function TemperatureSheet({ lot, kitchen, onClose }: Of) {
  const { tell, refusals } = useShelf();
  const [thermometerId, setThermometerId] = useThermometer(kitchen);
  const [by, setBy] = useWhoLooked(kitchen);
  const [asked, setAsked] = useState<number | null>(null);
  const said = (value: number, sure: boolean) =>
    tell({
      type: 'lotRead',
      payload: {
        lotId: lot.id,
        kind: 'temperature',
        value,
        ...(thermometerId ? { thermometerId } : {}),
        ...(by ? { by } : {}),
        ...(sure ? { sure: true } : {}),
      },
    });
  const form = useTypedForm({
    first: { tempC: '' },
    schema: READ,
    keep: async ({ tempC }) => {
      if (await said(tempC, false)) onClose();
      else setAsked(tempC);
    },
  });
  return (
    <Sheet title={coolingWords.takeATemperature} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="tempC">
          {(field) => <field.AtPot label={coolingWords.inTheMiddle} unit="°C" autoFocus />}
        </form.AppField>
        <ThermometerChoice kitchen={kitchen} value={thermometerId} onChange={setThermometerId} />
        <WhoLooked kitchen={kitchen} value={by} onChange={setBy} />
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {coolingWords.save}
        </Button>
        {asked !== null && refusals.length > 0 && (
          <Button
            atPot
            onPress={async () => {
              if (await said(asked, true)) onClose();
            }}
          >
            {coolingWords.itIsRight}
          </Button>
        )}
      </TypedForm>
    </Sheet>
  );
}

const REHEATED = v.object({
  tempC: figure(numberField(coolingWords.reheatedTo, 40, 105, '°C')),
  by: typedWords(textField(coolingWords.whoSigns, 60)),
});

/** Too late: it was brought to the reheating temperature, and is cooled again. Signed. */
export function ReheatedSheet({ lot, kitchen, onClose }: Of) {
  const { tell, refusals } = useShelf();
  const [thermometerId, setThermometerId] = useThermometer(kitchen);
  const form = useTypedForm({
    first: { tempC: '', by: '' },
    schema: REHEATED,
    keep: async ({ tempC, by }) => {
      const with_ = thermometerId ? { thermometerId } : {};
      if (await tell({ type: 'lotReheated', payload: { lotId: lot.id, tempC, by, ...with_ } })) onClose();
    },
  });
  return (
    <Sheet title={coolingWords.reheatedTitle} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="tempC">
          {(field) => <field.AtPot label={coolingWords.reheatedTo} unit="°C" autoFocus />}
        </form.AppField>
        <ThermometerChoice kitchen={kitchen} value={thermometerId} onChange={setThermometerId} />
        <form.AppField name="by">
          {(field) => (
            <field.InOffice
              label={coolingWords.whoSigns}
              suggestions={kitchen.people.map((one) => one.name)}
            />
          )}
        </form.AppField>
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {coolingWords.signed}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

const THROWN = v.object({
  reason: typedWords(textField(coolingWords.why, 200)),
  by: typedWords(textField(coolingWords.whoSigns, 60)),
});

/** Too late, and thrown away: all of it, with the reason. Signed. */
export function ThrownAwaySheet({ lot, kitchen, onClose }: Of) {
  const { tell, refusals } = useShelf();
  const form = useTypedForm({
    first: { reason: coolingWords.coolingMissed, by: '' },
    schema: THROWN,
    keep: async ({ reason, by }) => {
      const kg = Math.round(lot.leftKg * 1000) / 1000;
      if (await tell({ type: 'discarded', payload: { lotId: lot.id, kg, reason, by } })) onClose();
    },
  });
  return (
    <Sheet title={coolingWords.thrownAwayTitle} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="reason">{(field) => <field.InOffice label={coolingWords.why} />}</form.AppField>
        <form.AppField name="by">
          {(field) => (
            <field.InOffice
              label={coolingWords.whoSigns}
              suggestions={kitchen.people.map((one) => one.name)}
            />
          )}
        </form.AppField>
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {coolingWords.signed}
        </Button>
      </TypedForm>
    </Sheet>
  );
}
