import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import type { Parked } from '../../../core/batch';
import { PICKED_C } from '../../../core/plan';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { colour, space } from '../../theme/tokens';
import { potWords, weight } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const Lying = styled.div`
  display: grid;
  gap: ${space.s};
  padding: ${space.s} ${space.m};
  background: ${colour.hollow};
  border-radius: 10px;
`;

const SCHEMA = v.object({ grams: figure(numberField(potWords.whatGoesBack, 1, 500_000, 'g')) });

const HOW = [
  { value: 'picked', text: potWords.pickedOffTheBone },
  { value: 'whole', text: potWords.wholeAsItCameOut },
] as const;

/** One parked thing goes back by its weight: what is picked off a bone weighs less than what came out with it. */
export function GiveBack({ here, parked }: { here: BatchHere; parked: Parked }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const hasBones = here.batch.snapshot.input.ingredients[parked.ingredientId]?.wholeInPot === true;
  const [how, setHow] = useState<(typeof HOW)[number]['value']>('picked');
  const isWhole = hasBones && how === 'whole';
  const expectedKg = isWhole ? (parked.weighedKg ?? parked.kg) : parked.kg;
  const form = useTypedForm({
    first: { grams: String(Math.round(expectedKg * 1000)) },
    schema: SCHEMA,
    keep: async ({ grams }) => {
      const whole = isWhole ? { isWhole } : {};
      await tell({
        type: 'returned',
        payload: { liftedId: parked.liftedId, kg: grams / 1000, tempC: PICKED_C, ...whole },
      });
    },
  });
  return (
    <Lying role="group" aria-label={potWords.parked(parked.name)}>
      <span>
        <strong>{parked.name}</strong>, {parked.place}
        {parked.weighedKg !== null && potWords.asItCameOut(weight(parked.weighedKg))}
        {parked.backStageId && potWords.backFor(titleOf(here, parked.backStageId))}
      </span>
      <TypedForm form={form}>
        {hasBones && <Choice label={potWords.itGoesBack} value={how} options={HOW} onChange={setHow} atPot />}
        <form.AppField name="grams">
          {(field) => (
            <field.AtPot
              label={hasBones && !isWhole ? potWords.thePickedMeatWeighs : potWords.itWeighs}
              unit="g"
              refused={refusals[0] ?? null}
            />
          )}
        </form.AppField>
        <Button atPot type="submit">
          {potWords.backInThePot}
        </Button>
      </TypedForm>
    </Lying>
  );
}

function titleOf(here: BatchHere, stageId: string): string {
  return here.batch.snapshot.input.recipe.stages.find((stage) => stage.id === stageId)?.title ?? stageId;
}
