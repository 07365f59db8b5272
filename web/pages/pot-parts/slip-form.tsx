import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
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
import { hourMinute, lotAsChoice, potWords, rescueWords, slipTitle, TROUBLE_WORDS } from '../../words';
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
  { value: 'tooMuch', text: potWords.tooMuchOfIt },
  { value: 'forgot', text: potWords.forgotten },
  { value: 'wrongPot', text: potWords.fromAnotherPot },
  { value: 'trouble', text: potWords.troubleInThePot },
] as const;

const NO_GRAMS = v.object({
  grams: v.pipe(
    v.string(),
    v.transform(() => 0),
  ),
});

const GRAMS_LABEL: Readonly<Record<Slip['kind'], string>> = {
  tooMuch: potWords.extraAmount,
  wrongPot: potWords.aboutHowMuch,
  trouble: potWords.aboutWhatRanOver,
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
  const what = kind === 'trouble' ? potWords.whatRanOver : potWords.theAmount;
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
      <Over>{potWords.logWhatDidHappenThe}</Over>
      <Choice label={potWords.whatWasIt} value={kind} options={KINDS} onChange={setKind} atPot />
      {(kind === 'tooMuch' || kind === 'wrongPot') && (
        <PickTyped
          label={potWords.which}
          value={ingredientId}
          options={foods.map((food) => ({ id: food.id, text: food.name }))}
          onChange={(id) => id && setIngredient(id)}
        />
      )}
      {(kind === 'tooMuch' || kind === 'wrongPot') && there.length > 0 && (
        <PickOne
          label={potWords.outOf}
          value={lotId}
          options={[
            ...there.map((lot) => ({ id: lot.id, text: lotAsChoice(lot, here.holds, here.pot.nowMs) })),
            { id: NO_LOT, text: potWords.noLotOfTheLarder },
          ]}
          onChange={(id) => setLotOf({ ...lotOf, [ingredientId]: id })}
        />
      )}
      {kind === 'forgot' && own.length > 0 && (
        <PickOne
          label={potWords.inTheLogButNot}
          value={lineId}
          options={own.map((line) => ({ id: line.lineId, text: line.name }))}
          onChange={setLine}
        />
      )}
      {kind === 'trouble' && (
        <Choice
          label={potWords.which}
          value={trouble}
          options={TROUBLES.map((one) => ({ value: one, text: TROUBLE_WORDS[one] }))}
          onChange={setTrouble}
          atPot
        />
      )}
      {kind === 'forgot' && own.length === 0 && <Soft>{potWords.nothingIsInThePot}</Soft>}
      {asksGrams && (
        <form.AppField name="grams">
          {(field) => <field.AtPot label={GRAMS_LABEL[kind]} unit="g" refused={refusals[0] ?? null} />}
        </form.AppField>
      )}
      <Errors sentences={asksGrams ? refusals.slice(1) : refusals} />
      <Button kind="main" atPot type="submit">
        {potWords.logIt}
      </Button>
    </TypedForm>
  );
}

const NO_LOT = potWords.noLot;

/** A slip over what was said is at room temperature, °C. */
const ROOM_C = 20;

const LEFT = v.object({ litres: figure(numberField(potWords.whatStaysBehind, 0, 200, 'L')) });

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
  if (isDone) return <Soft>{potWords.itIsInTheClean}</Soft>;
  return (
    <TypedForm form={form}>
      <PickOne
        label={potWords.theCleanPot}
        value={potId}
        options={pots.map((one) => ({
          id: one.id,
          text: one.id === state.inPot.id ? potWords.anotherOfTheKind(one.name) : one.name,
        }))}
        onChange={setPot}
      />
      <form.AppField name="litres">
        {(field) => <field.AtPot label={potWords.staysBehindBurnt} unit="L" refused={refusals[0] ?? null} />}
      </form.AppField>
      <Button atPot type="submit">
        {potWords.movedLogIt}
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
      <h3>{slipTitle(slip, slipName(here, slip))}</h3>
      <Steps>
        {rescue.steps.flatMap(rescueWords).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Steps>
      {trouble && <Soft>{potWords.thisStage2(trouble)}</Soft>}
      {rescue.minutes !== null && (
        <Soft>
          {potWords.itCostsAboutMinFrom(
            Math.round(rescue.minutes),
            hourMinute(nowMs + rescue.minutes * 60_000, here.kitchen.zone),
          )}
        </Soft>
      )}
      {slip.kind === 'trouble' && slip.trouble === 'scorched' && <IntoAnotherPot here={here} />}
      {rescue.toAdjust && (
        <LinkButton to={`/batches/${here.batch.id}/adjust`} $main>
          {potWords.compareTheWaysOnAdjust}
        </LinkButton>
      )}
      <Button atPot onPress={onClose}>
        {potWords.goOn}
      </Button>
    </>
  );
}

/** The food that a slip is about, by name. */
function slipName({ batch: { snapshot }, pot }: BatchHere, slip: Slip): string {
  if (slip.kind === 'trouble') return '';
  if (slip.kind === 'forgot')
    return snapshot.plan.lines.find((line) => line.lineId === slip.lineId)?.name ?? slip.lineId;
  return rowsInPot(snapshot, pot.state)[slip.ingredientId]?.name ?? slip.ingredientId;
}
