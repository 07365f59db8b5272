import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { hourMinute, numberField } from '../../../contract';
import { hasGoneIn, rescueOf, rowsInPot, type Slip, TROUBLES, type Trouble } from '../../../core/batch';
import { lotsFor, oldestFirst } from '../../../core/larder';
import { massKg } from '../../../core/matter';
import { potLitres } from '../../../core/pot';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { LinkButton } from '../../components/link-button';
import { PickOne, PickTyped } from '../../components/menu';
import { Errors, Over, Soft } from '../../components/text';
import { useLots } from '../../data/queries';
import { useBook } from '../../data/use-book';
import { space } from '../../theme/tokens';
import { TROUBLE_WORDS } from '../../words/batch';
import { lotWords } from '../../words/lots';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const Steps = styled.ol`
  display: grid;
  gap: ${space.s};
  padding-left: 22px;
  list-style: decimal;
  font-size: 18px;
`;

const KINDS = [
  { value: 'tooMuch', text: 'Too much of it' },
  { value: 'forgot', text: 'Forgotten' },
  { value: 'wrongPot', text: 'From another pot' },
  { value: 'trouble', text: 'Trouble in the pot' },
] as const;

const NO_GRAMS = v.object({
  grams: v.pipe(
    v.string(),
    v.transform(() => 0),
  ),
});

const GRAMS_LABEL: Readonly<Record<Slip['kind'], string>> = {
  tooMuch: 'Over what was said',
  wrongPot: 'About how much',
  trouble: 'About what ran over',
  forgot: '',
};

/** A slip is said as what happened; the pot follows it, and what mends it is shown with this pot's figures. */
export function SlipForm({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { snapshot } = here.batch;
  const { state } = here.pot;
  const { tell, refusals } = useSubmit(here.batch.id);
  const [kind, setKind] = useState<Slip['kind']>('tooMuch');
  const { data: lots = [] } = useLots();
  const book = useBook(here.kitchen);
  const inBatch = rowsInPot(snapshot, state);
  // what was meant for another pot may be anything the house has
  const foods = Object.values(kind === 'wrongPot' ? { ...book?.rows, ...inBatch } : inBatch).sort((a, b) =>
    a.name.localeCompare(b.name),
  );
  const own = snapshot.plan.lines.filter((line) => hasGoneIn(state, line.lineId));
  const [ingredientId, setIngredient] = useState(own[0]?.ingredientId ?? foods[0]!.id);
  const [lotOf, setLotOf] = useState<Record<string, string>>({});
  const [lineId, setLine] = useState(own[0]?.lineId ?? '');
  const [trouble, setTrouble] = useState<Trouble>('scorched');
  const [said, setSaid] = useState<Slip | null>(null);
  const asksGrams =
    kind === 'tooMuch' || kind === 'wrongPot' || (kind === 'trouble' && trouble === 'boiledOver');
  const most = kind === 'trouble' ? 1000 * massKg(state.pot.mixture) : 100_000;
  const what = kind === 'trouble' ? 'What ran over' : 'The amount';
  const form = useTypedForm({
    first: { grams: '' },
    schema: asksGrams ? v.object({ grams: figure(numberField(what, 1, Math.floor(most), 'g')) }) : NO_GRAMS,
    keep: async ({ grams }) => {
      const slip = slipOf(grams / 1000);
      if (slip && (await tell({ type: 'slip', payload: slip }))) setSaid(slip);
    },
  });
  const there = lotsFor(ingredientId, lots).filter((lot) => lot.leftKg > 0.005);
  const lastLotId = state.wentIn.findLast((one) => one.ingredientId === ingredientId && one.lotId)?.lotId;
  const firstLotId = there.find((lot) => lot.id === lastLotId)?.id ?? oldestFirst(there)[0]?.id;
  const lotId = lotOf[ingredientId] ?? firstLotId ?? NO_LOT;
  if (said) return <RescueOf here={here} slip={said} onClose={onClose} />;

  function slipOf(kg: number): Slip | null {
    switch (kind) {
      case 'forgot':
        return lineId ? { kind, lineId } : null;
      case 'trouble':
        return trouble === 'boiledOver' ? { kind, trouble, lostKg: kg } : { kind, trouble };
      default:
        return { kind, ingredientId, kg, tempC: ROOM_C, ...(lotId === NO_LOT ? {} : { lotId }) };
    }
  }

  return (
    <TypedForm form={form}>
      <Over>Say what did happen; the pot will follow it. Taking back is for what did not.</Over>
      <Choice label="What was it?" value={kind} options={KINDS} onChange={setKind} atPot />
      {(kind === 'tooMuch' || kind === 'wrongPot') && (
        <PickTyped
          label="Which"
          value={ingredientId}
          options={foods.map((food) => ({ id: food.id, text: food.name }))}
          onChange={(id) => id && setIngredient(id)}
        />
      )}
      {(kind === 'tooMuch' || kind === 'wrongPot') && there.length > 0 && (
        <PickOne
          label="Out of"
          value={lotId}
          options={[
            ...there.map((lot) => ({ id: lot.id, text: lotWords(lot, here.holds, here.pot.nowMs) })),
            { id: NO_LOT, text: 'no lot of the larder' },
          ]}
          onChange={(id) => setLotOf({ ...lotOf, [ingredientId]: id })}
        />
      )}
      {kind === 'forgot' && own.length > 0 && (
        <PickOne
          label="What the log has as in, and is not"
          value={lineId}
          options={own.map((line) => ({ id: line.lineId, text: line.name }))}
          onChange={setLine}
        />
      )}
      {kind === 'trouble' && (
        <Choice
          label="Which"
          value={trouble}
          options={TROUBLES.map((one) => ({ value: one, text: TROUBLE_WORDS[one] }))}
          onChange={setTrouble}
          atPot
        />
      )}
      {kind === 'forgot' && own.length === 0 && (
        <Soft>Nothing is in the pot that could have been forgotten.</Soft>
      )}
      {asksGrams && (
        <form.AppField name="grams">
          {(field) => <field.AtPot label={GRAMS_LABEL[kind]} unit="g" refused={refusals[0] ?? null} />}
        </form.AppField>
      )}
      <Errors sentences={asksGrams ? refusals.slice(1) : refusals} />
      <Button kind="main" atPot type="submit">
        That is what happened
      </Button>
    </TypedForm>
  );
}

const NO_LOT = 'no lot';

/** A slip over what was said is at room temperature, °C. */
const ROOM_C = 20;

const LEFT = v.object({ litres: figure(numberField('What stays behind', 0, 200, 'L')) });

/** What runs freely goes into a clean pot, on the same burner; what stays on the floor of the old one is lost. */
function IntoAnotherPot({ here }: { here: BatchHere }) {
  const { state } = here.pot;
  const { tell, refusals } = useSubmit(here.batch.id);
  const [isDone, setDone] = useState(false);
  const burner = here.kitchen.burners.find((one) => one.id === state.onBurner.id);
  const pots = here.kitchen.pots.filter((one) => burner?.potIds.includes(one.id) ?? true);
  const [potId, setPot] = useState(pots.find((one) => one.id !== state.inPot.id)?.id ?? state.inPot.id);
  const form = useTypedForm({
    first: { litres: '0.5' },
    schema: LEFT,
    keep: async ({ litres: lost }) => {
      const kg = (lost * massKg(state.pot.mixture)) / potLitres(state.pot);
      const bodies: BatchCommand[] = [
        ...(kg > 0.001 ? [{ type: 'pouredOff', payload: { what: 'liquid', kg } } as const] : []),
        { type: 'moved', payload: { potId, burnerId: state.onBurner.id } },
      ];
      if (await tell(...bodies)) setDone(true);
    },
  });
  if (isDone) return <Soft>It is in the clean pot. The heat is off until it is set again.</Soft>;
  return (
    <TypedForm form={form}>
      <PickOne
        label="The clean pot"
        value={potId}
        options={pots.map((one) => ({
          id: one.id,
          text: one.id === state.inPot.id ? `another of the kind: ${one.name}` : one.name,
        }))}
        onChange={setPot}
      />
      <form.AppField name="litres">
        {(field) => <field.AtPot label="Stays behind, burnt" unit="L" refused={refusals[0] ?? null} />}
      </form.AppField>
      <Button atPot type="submit">
        It is over: log it
      </Button>
    </TypedForm>
  );
}

function RescueOf({ here, slip, onClose }: { here: BatchHere; slip: Slip; onClose: () => void }) {
  const { state, nowMs } = here.pot;
  const rescue = rescueOf(here.batch.snapshot, state, slip);
  const trouble = slip.kind === 'trouble' ? here.pot.clock?.stage.trouble : null;
  return (
    <>
      <h3>{rescue.title}</h3>
      <Steps>
        {rescue.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Steps>
      {trouble && <Soft>This stage: {trouble}</Soft>}
      {rescue.minutes !== null && (
        <Soft>
          It costs about {Math.round(rescue.minutes)} min: from now until{' '}
          {hourMinute(nowMs + rescue.minutes * 60_000, here.kitchen.zone)}.
        </Soft>
      )}
      {slip.kind === 'trouble' && slip.trouble === 'scorched' && <IntoAnotherPot here={here} />}
      {rescue.toBench && (
        <LinkButton to={`/batches/${here.batch.id}/bench`} $main>
          Side by side on the bench
        </LinkButton>
      )}
      <Button atPot onPress={onClose}>
        On with it
      </Button>
    </>
  );
}
