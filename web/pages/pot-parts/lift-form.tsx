import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, textField, weight } from '../../../contract';
import { type Fate, renderedFat } from '../../../core/batch';
import type { BatchCommand } from '../../../core/rules';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { PickOne } from '../../components/menu';
import { Errors, Over, Soft } from '../../components/text';
import { colour, space } from '../../theme/tokens';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const LIFTED = v.object({
  grams: figure(numberField('The weight', 1, 100_000, 'g')),
  place: typedWords(textField('The place', 60)),
});

const Lying = styled.ul`
  display: grid;
  gap: ${space.xs};
  padding: ${space.s} ${space.m};
  background: ${colour.hollow};
  border-radius: 10px;
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: ${space.m};
    align-items: center;
  }
`;

const FATES = [
  { value: 'parked', text: 'Parked, to go back' },
  { value: 'salvaged', text: 'Kept for another use' },
  { value: 'thrown', text: 'Thrown away' },
] as const;

/** What can be taken out: pieces of a food, floating fat, or a part of the liquid. */
const FAT = 'fat';
const LIQUID = 'liquid';

/** Out of the pot: pieces to be parked, salvaged or thrown away; fat poured off; what lies parked goes back from here. */
export function LiftForm({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { snapshot } = here.batch;
  const { state } = here.pot;
  const { tell, refusals } = useSubmit(here.batch.id);
  const pieces = Object.keys(state.addedKgByIngredient).filter(
    (id) => snapshot.input.ingredients[id]?.share === 'pieces' && (state.addedKgByIngredient[id] ?? 0) > 0,
  );
  const [what, setWhat] = useState(pieces[0] ?? LIQUID);
  const [fate, setFate] = useState<Fate['fate']>('parked');
  const later = snapshot.input.recipe.stages.filter(
    (stage) => state.stages.find((one) => one.stageId === stage.id)?.begunMs === null,
  );
  const [backFor, setBackFor] = useState(later[0]?.id ?? '');
  const isPieces = what !== FAT && what !== LIQUID;
  const fat = renderedFat(snapshot, state);

  const form = useTypedForm({
    first: { grams: '', place: 'tray, spread out' },
    schema: LIFTED,
    keep: async ({ grams, place }) => {
      if (await tell(bodyOf(grams / 1000, place))) onClose();
    },
  });

  function bodyOf(kg: number, place: string): BatchCommand {
    if (what === FAT || what === LIQUID) return { type: 'pouredOff', payload: { what, kg } };
    const back = fate === 'parked' && backFor ? { backStageId: backFor } : {};
    const where = fate === 'thrown' ? {} : { place, weighedKg: kg };
    return { type: 'lifted', payload: { ingredientId: what, kg, fate, ...where, ...back } };
  }

  return (
    <>
      {state.parked.length > 0 && (
        <div>
          <Over>Parked</Over>
          <Lying>
            {state.parked.map((one) => (
              <li key={one.liftedId}>
                <span>
                  {weight(one.kg)} {one.name}, {one.place}
                  {one.backStageId && `, back for “${titleOf(here, one.backStageId)}”`}
                </span>
                <Button
                  onPress={() =>
                    tell({
                      type: 'returned',
                      payload: { liftedId: one.liftedId, kg: one.kg, tempC: RESTED_C },
                    })
                  }
                >
                  Back in now
                </Button>
              </li>
            ))}
          </Lying>
        </div>
      )}
      <TypedForm form={form}>
        <PickOne
          label="What comes out"
          value={what}
          options={[
            ...pieces.map((id) => ({ id, text: snapshot.input.ingredients[id]!.name })),
            { id: FAT, text: `Fat off the top, about ${weight(fat.floatsKg)} is in the liquid` },
            { id: LIQUID, text: 'Liquid, ladled out' },
          ]}
          onChange={setWhat}
        />
        {what === FAT && fat.keepKg > 0.001 && (
          <Soft>
            The flour still to come wants {weight(fat.keepKg)} of it; {weight(fat.pourOffKg)} may be poured
            off.
          </Soft>
        )}
        <form.AppField name="grams">
          {(field) => <field.AtPot label="It weighs" unit="g" refused={refusals[0] ?? null} />}
        </form.AppField>
        {isPieces && (
          <Choice label="What becomes of it" value={fate} options={FATES} onChange={setFate} atPot />
        )}
        {isPieces && fate !== 'thrown' && (
          <form.AppField name="place">
            {(field) => <field.AtPot label="Where it lies" isText />}
          </form.AppField>
        )}
        {isPieces && fate === 'parked' && later.length > 0 && (
          <PickOne
            label="Back in for"
            value={backFor}
            options={later.map((stage) => ({ id: stage.id, text: stage.title }))}
            onChange={setBackFor}
          />
        )}
        <Errors sentences={refusals.slice(1)} />
        <Button kind="main" atPot type="submit">
          It is out
        </Button>
      </TypedForm>
    </>
  );
}

/** What has lain spread on a tray is about this warm, °C. Common practice. */
const RESTED_C = 25;

function titleOf(here: BatchHere, stageId: string): string {
  return here.batch.snapshot.input.recipe.stages.find((stage) => stage.id === stageId)?.title ?? stageId;
}
