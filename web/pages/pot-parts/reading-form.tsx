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
import { potWords, READING_UNIT } from '../../words';
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
  { value: 'depth', text: potWords.cmOnTheStick },
  { value: 'litres', text: potWords.volumeOf },
  { value: 'weight', text: potWords.weightOf },
  { value: 'brix', text: potWords.brix },
  { value: 'eye', text: potWords.byEye },
  { value: 'temperature', text: potWords.thermometer },
] as const;

const LABEL = {
  depth: potWords.depth,
  litres: potWords.level,
  weight: potWords.weightWithoutThePot,
  brix: potWords.refractometer,
  eye: potWords.goneSinceTheStart,
  temperature: potWords.temperature,
} as const;

/** What a reading is worth, in a line. */
const WORTH: Readonly<Record<PotReading['kind'], string>> = {
  depth: potWords.goodTo2MmOn,
  litres: potWords.byTheMarksOnThe,
  weight: potWords.theBestThereIsGood,
  brix: potWords.ofAStrainedCooledDefatted,
  eye: potWords.anEyeIsMostlyWrong,
  temperature: potWords.saysHowTheHeatComes,
};

/** “Take a reading”: point at the wall, or type what the stick, the scale or the thermometer shows. */
export function ReadingForm({
  here,
  onClose,
  firstDepthCm,
}: {
  here: BatchHere;
  onClose: () => void;
  firstDepthCm: number | null;
}) {
  const { recipe } = here.batch.snapshot.input;
  // of the pot it is in, which need not be the one it was begun in
  const { vessel } = here.pot.state.inPot;
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
          description={potWords.theLevelAsTypedPoint(litresText(drawn))}
          onPoint={(depthCm) => {
            setKind('depth');
            form.setFieldValue('value', String(depthCm));
          }}
        />
        <Over>{potWords.pointAtTheWallOr}</Over>
      </div>
      <TypedForm form={form}>
        <Choice label={potWords.readOff} value={kind} options={KINDS} onChange={setKind} />
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
          <Over>{potWords.cmIsInThisPot(value, litresText(litresAtDepth(vessel, value)))}</Over>
        )}
        {(kind === 'depth' || kind === 'litres') && (
          <Choice
            label={potWords.theSurfaceWas}
            value={isStill ? 'still' : 'asItIs'}
            options={[
              { value: 'asItIs', text: potWords.asItSimmers },
              { value: 'still', text: potWords.stillOffTheBoil },
            ]}
            onChange={(next) => setStill(next === 'still')}
          />
        )}
        <Over>{WORTH[kind]}</Over>
        <Errors sentences={refusals.slice(1)} />
        <Button kind="main" atPot type="submit">
          {potWords.saveTheReading}
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
