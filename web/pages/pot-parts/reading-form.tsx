import { useStore } from '@tanstack/react-form';
import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { litres as litresText, typedNumber } from '../../../contract';
import { type PotReading, potLitres } from '../../../core/pot';
import { depthAtLitres, litresAtDepth } from '../../../core/vessel';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { anyFigure, TypedForm, useTypedForm } from '../../components/form';
import { PotSection } from '../../components/pot-section/pot-section';
import { Errors, Over } from '../../components/text';
import { space } from '../../theme/tokens';
import { READING_UNIT } from '../../words/batch';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const Both = styled.div`
  display: grid;
  grid-template-columns: 210px 1fr;
  gap: ${space.m};
  align-items: start;
  @media (max-width: 560px) {
    grid-template-columns: 1fr;
    > :first-child {
      display: none;
    }
  }
`;

const KINDS = [
  { value: 'depth', text: 'cm on the stick' },
  { value: 'litres', text: 'Litres' },
  { value: 'weight', text: 'Kilograms' },
  { value: 'brix', text: '°Brix' },
  { value: 'eye', text: 'By eye' },
  { value: 'temperature', text: 'Thermometer' },
] as const;

const LABEL = {
  depth: 'Depth',
  litres: 'Level',
  weight: 'Weight without the pot',
  brix: 'Refractometer',
  eye: 'Gone, of where it began',
  temperature: 'Temperature',
} as const;

/** What a reading is worth, in a line. */
const WORTH: Readonly<Record<PotReading['kind'], string>> = {
  depth: 'Good to 2 mm on a still surface, 5 mm on one that rolls.',
  litres: 'By the marks on the wall: as good as a dip.',
  weight: 'The best there is: good to a few tens of grams.',
  brix: 'Of a strained, cooled, defatted sample. No guide once salt or wine has gone in since.',
  eye: 'An eye is mostly wrong the same way each time: it counts, but little.',
  temperature: 'Says how the heat comes in, and what the pot may do next.',
};

/** “It is here now”: point at the wall, or type what the stick, the scale or the thermometer shows. */
export function ReadingForm({
  here,
  onClose,
  firstDepthCm,
}: {
  here: BatchHere;
  onClose: () => void;
  firstDepthCm: number | null;
}) {
  const { pot: potHere, recipe } = here.batch.snapshot.input;
  const { vessel } = potHere;
  const [kind, setKind] = useState<PotReading['kind']>('depth');
  const [isStill, setStill] = useState(false);
  const { tell, refusals } = useSubmit(here.batch.id);
  const form = useTypedForm({
    first: { value: firstDepthCm === null ? '' : String(firstDepthCm) },
    schema: v.object({ value: anyFigure(LABEL[kind], READING_UNIT[kind]) }),
    keep: async ({ value }) => {
      const still = isStill && (kind === 'depth' || kind === 'litres') ? { still: true } : {};
      if (await tell({ type: 'reading', payload: { kind, value, ...still } })) onClose();
    },
  });
  const value = typedNumber(useStore(form.store, ({ values }) => values.value));
  const drawn = drawnLitres();

  return (
    <Both>
      <div>
        <PotSection
          vessel={vessel}
          litres={drawn}
          food={recipe.colour}
          stick
          description={`The level as typed, ${litresText(drawn)}. Point at the wall to set it.`}
          onPoint={(depthCm) => {
            setKind('depth');
            form.setFieldValue('value', String(depthCm));
          }}
        />
        <Over>Point at the wall, or type.</Over>
      </div>
      <TypedForm form={form}>
        <Choice label="Read off" value={kind} options={KINDS} onChange={setKind} />
        <form.AppField name="value">
          {(field) => (
            <field.AtPot
              label={LABEL[kind]}
              unit={READING_UNIT[kind]}
              refused={refusals[0] ?? null}
              autoFocus
            />
          )}
        </form.AppField>
        {kind === 'depth' && value !== null && value >= 0 && value <= vessel.heightCm && (
          <Over>
            {value} cm is {litresText(litresAtDepth(vessel, value))} in this pot.
          </Over>
        )}
        {(kind === 'depth' || kind === 'litres') && (
          <Choice
            label="The surface was"
            value={isStill ? 'still' : 'asItIs'}
            options={[
              { value: 'asItIs', text: 'as it simmers' },
              { value: 'still', text: 'still, off the boil' },
            ]}
            onChange={(next) => setStill(next === 'still')}
          />
        )}
        <Over>{WORTH[kind]}</Over>
        <Errors sentences={refusals.slice(1)} />
        <Button kind="main" atPot type="submit">
          Keep this reading
        </Button>
      </TypedForm>
    </Both>
  );

  function drawnLitres(): number {
    const now = Math.min(potLitres(here.pot.state.pot), litresAtDepth(vessel, vessel.heightCm));
    if (value === null || value < 0) return now;
    if (kind === 'depth') return value <= vessel.heightCm ? litresAtDepth(vessel, value) : now;
    if (kind === 'litres' && depthIsThere(value)) return value;
    return now;
  }

  function depthIsThere(litres: number): boolean {
    try {
      depthAtLitres(vessel, litres);
      return true;
    } catch {
      return false;
    }
  }
}
