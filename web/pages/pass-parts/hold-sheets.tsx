import { useState } from 'react';
import * as v from 'valibot';
import { countField, numberField, signedBy } from '../../../contract';
import { topTemperature } from '../../../core/batch';
import type { Lid } from '../../../core/evaporation';
import { HOLDS_IN, type HoldsIn, pansFor } from '../../../core/hold';
import { foodLitres } from '../../../core/pot';
import { CODE_HOT_LIMITS } from '../../../core/safety';
import type { PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { Caution, Errors, Soft } from '../../components/text';
import { ThermometerChoice, useThermometer } from '../../components/thermometer-choice';
import { useWhoLooked, WhoLooked } from '../../components/who-looked';
import { coolingWords, holdWords, passWords, temperature } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

interface Of {
  here: BatchHere;
  onClose: () => void;
}

/** A bain-marie is set some way over the limit, °C. Common practice: 70 to 75. */
const OVER_THE_LIMIT_C = 13;
/** And so far under the top of what is in it, °C. */
const UNDER_THE_TOP_C = 2;
const LIDS: readonly Lid[] = ['on', 'ajar', 'off'];

const KEPT = v.object({
  keptC: figure(numberField(holdWords.keptAt, 30, 105, '°C')),
  pans: figure(countField(holdWords.howManyPans, 1, 60)),
});
const THERMOS = v.object({ litres: figure(numberField(holdWords.whatItHolds, 1, 500, 'L')) });

/** In what, how warm, under which lid. */
export function HoldSheet({ here, onClose }: Of) {
  const { equipment } = here.kitchen;
  const [into, setInto] = useState<HoldsIn>(
    here.pot.state.held?.in ?? (equipment.bainMariePans ? 'pans' : 'pot'),
  );
  return (
    <Sheet title={holdWords.holdItHotTitle} isOpen onClose={onClose}>
      <Choice
        label={holdWords.whatIn}
        value={into}
        options={HOLDS_IN.map((value) => ({ value, text: holdWords.inWhat[value] }))}
        onChange={setInto}
      />
      {into === 'thermos' ? (
        <ThermosForm here={here} onClose={onClose} />
      ) : (
        <KeptForm key={into} into={into} here={here} onClose={onClose} />
      )}
    </Sheet>
  );
}

/** By a thermostat, or a hand at the tap: in its pot, or in pans of the bain-marie. */
function KeptForm({ here, into, onClose }: Of & { into: 'pot' | 'pans' }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { state } = here.pot;
  const { hotHoldingC } = here.batch.snapshot.input.limits ?? CODE_HOT_LIMITS;
  const top = topTemperature(here.batch.snapshot, state);
  const [lid, setLid] = useState<Lid>('on');
  const usual = Math.min(hotHoldingC + OVER_THE_LIMIT_C, (top?.tempC ?? 100) - UNDER_THE_TOP_C);
  const form = useTypedForm({
    first: {
      keptC: String(Math.round(usual)),
      pans: String(pansFor(here.kitchen.equipment, foodLitres(state.pot))),
    },
    schema: KEPT,
    keep: async ({ keptC, pans }) => {
      const size = into === 'pans' ? { pans } : {};
      if (await tell({ type: 'heldHot', payload: { in: into, keptC, lid, ...size } })) onClose();
    },
  });
  return (
    <TypedForm form={form}>
      {into === 'pans' && (
        <form.AppField name="pans">{(field) => <field.AtPot label={holdWords.howManyPans} />}</form.AppField>
      )}
      <form.AppField name="keptC">
        {(field) => <field.AtPot label={holdWords.keptAt} unit="°C" />}
      </form.AppField>
      <Choice
        label={holdWords.lid}
        value={lid}
        options={LIDS.map((value) => ({ value, text: holdWords.lids[value] }))}
        onChange={setLid}
      />
      {top && <Soft>{holdWords.noHotter(temperature(top.tempC), top.why)}</Soft>}
      <Errors sentences={refusals} />
      <Button kind="main" atPot type="submit">
        {holdWords.hold}
      </Button>
    </TypedForm>
  );
}

/** In an insulated box: nothing heats it. */
function ThermosForm({ here, onClose }: Of) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const form = useTypedForm({
    first: { litres: String(Math.ceil(foodLitres(here.pot.state.pot))) },
    schema: THERMOS,
    keep: async ({ litres }) => {
      if (await tell({ type: 'heldHot', payload: { in: 'thermos', litres, keptC: null, lid: 'on' } }))
        onClose();
    },
  });
  return (
    <TypedForm form={form}>
      <form.AppField name="litres">
        {(field) => <field.AtPot label={holdWords.whatItHolds} unit="L" />}
      </form.AppField>
      <Errors sentences={refusals} />
      <Button kind="main" atPot type="submit">
        {holdWords.hold}
      </Button>
    </TypedForm>
  );
}

const READ = v.object({ tempC: figure(numberField(holdWords.temperature, -30, 110, '°C')) });

/** Stirred, in the middle, by which thermometer. */
export function TemperatureSheet({ here, onClose }: Of) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const [thermometerId, setThermometerId] = useThermometer(here.kitchen);
  const [by, setBy] = useWhoLooked(here.kitchen);
  const form = useTypedForm({
    first: { tempC: '' },
    schema: READ,
    keep: async ({ tempC }) => {
      const with_ = { ...(thermometerId ? { thermometerId } : {}), ...(by ? { by } : {}) };
      if (await tell({ type: 'reading', payload: { kind: 'temperature', value: tempC, ...with_ } }))
        onClose();
    },
  });
  return (
    <Sheet title={holdWords.takeTheTemperature} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="tempC">
          {(field) => <field.AtPot label={holdWords.inTheMiddle} unit="°C" autoFocus />}
        </form.AppField>
        <ThermometerChoice kitchen={here.kitchen} value={thermometerId} onChange={setThermometerId} />
        <WhoLooked kitchen={here.kitchen} value={by} onChange={setBy} />
        <Errors sentences={refusals} />
        <Button kind="main" atPot type="submit">
          {holdWords.save}
        </Button>
      </TypedForm>
    </Sheet>
  );
}

const REHEATED = v.object({
  tempC: figure(numberField(coolingWords.reheatedTo, 40, 105, '°C')),
  by: typedWords(signedBy),
});

/** It was brought to the reheating temperature, and is held hot again. Signed. */
export function ReheatedSheet({ here, onClose }: Of) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const [thermometerId, setThermometerId] = useThermometer(here.kitchen);
  const form = useTypedForm({
    first: { tempC: '', by: '' },
    schema: REHEATED,
    keep: async (typed) => {
      const with_ = thermometerId ? { thermometerId } : {};
      if (await tell({ type: 'reheated', payload: { ...typed, ...with_ } })) onClose();
    },
  });
  return (
    <Sheet title={holdWords.reheatedTitle} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <form.AppField name="tempC">
          {(field) => <field.AtPot label={coolingWords.reheatedTo} unit="°C" autoFocus />}
        </form.AppField>
        <ThermometerChoice kitchen={here.kitchen} value={thermometerId} onChange={setThermometerId} />
        <form.AppField name="by">
          {(field) => (
            <field.InOffice
              label={coolingWords.whoSigns}
              suggestions={here.kitchen.people.map((one) => one.name)}
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

const THROWN = v.object({ by: typedWords(signedBy) });

/** Too late: all that is left is thrown away and the batch is closed. Signed. */
export function ThrownAwaySheet({ here, board, onClose }: Of & { board: PassBoard }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const left = Math.max(1, Math.round(board.portionsLeft));
  const form = useTypedForm({
    first: { by: '' },
    schema: THROWN,
    keep: async ({ by }) => {
      const said = await tell(
        {
          type: 'portioned',
          payload: { portions: left, fate: 'discarded', reason: 'overHeld', by },
        },
        { type: 'closed', payload: { leftLitres: 0 } },
      );
      if (said) onClose();
    },
  });
  return (
    <Sheet title={holdWords.thrownAwayTitle} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <Caution>{holdWords.thrownAwayAll(passWords.bowls(left))}</Caution>
        <form.AppField name="by">
          {(field) => (
            <field.InOffice
              label={coolingWords.whoSigns}
              suggestions={here.kitchen.people.map((one) => one.name)}
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
