import { useState } from 'react';
import * as v from 'valibot';
import { typedNumber } from '../../../contract';
import { type FallTarget, fallTo, forecastPot, litresAtMass, potLitres } from '../../../core/pot';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { TypedForm, useTypedForm } from '../../components/form';
import { Errors, Over, Soft } from '../../components/text';
import { hourMinute, litres, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from './use-submit';

const KINDS = [
  { value: 'gone', text: potWords.aShareGone },
  { value: 'litres', text: potWords.volumeOf },
  { value: 'depth', text: potWords.cmOnTheStick },
  { value: 'weight', text: potWords.weightOf },
  { value: 'brix', text: potWords.brix },
  { value: 'salt', text: potWords.salt },
  { value: 'band', text: potWords.thickness },
] as const;
const FIELD: Readonly<Record<FallTarget['kind'], { label: string; unit: string }>> = {
  gone: { label: potWords.goneSinceTheStart, unit: '%' },
  litres: { label: potWords.downTo, unit: 'L' },
  depth: { label: potWords.downTo, unit: 'cm' },
  weight: { label: potWords.downToWithoutThePot, unit: 'kg' },
  brix: { label: potWords.upTo, unit: '°Brix' },
  salt: { label: potWords.upTo, unit: '%' },
  band: { label: potWords.upToBand0Thin, unit: '' },
};

/** Another mark for this fall: a share, a level, a weight, °Brix, salt, thickness. Its hour is shown before it is set. */
export function MarkForm({ here, onClose }: { here: BatchHere; onClose: () => void }) {
  const { state } = here.pot;
  const { tell, refusals } = useSubmit(here.batch.id);
  const [kind, setKind] = useState<FallTarget['kind']>('litres');
  const form = useTypedForm({
    first: { mark: '' },
    schema: v.object({
      mark: v.pipe(
        v.string(),
        v.check((text) => {
          const target = read(text);
          return target !== null && foresee(here, target) !== null;
        }, potWords.theMarkMustBeOne),
      ),
    }),
    keep: async ({ mark }) => {
      const target = read(mark);
      if (target && (await tell({ type: 'targetSet', payload: { target } }))) onClose();
    },
  });
  const read = (text: string) => {
    const value = typedNumber(text);
    return value === null ? null : targetOf(kind, value);
  };

  return (
    <TypedForm form={form}>
      <Choice label={potWords.measuredBy} value={kind} options={KINDS} onChange={setKind} />
      <form.AppField name="mark">
        {(field) => {
          const target = read(field.state.value);
          const foreseen = target && foresee(here, target);
          return (
            <>
              <field.AtPot
                label={FIELD[kind].label}
                unit={FIELD[kind].unit}
                refused={refusals[0] ?? null}
                autoFocus
              />
              {foreseen && <Soft>{potWords.thatIs(litres(foreseen.litres), foreseen.words)}</Soft>}
            </>
          );
        }}
      </form.AppField>
      {(kind === 'litres' || kind === 'depth') && <Over>{potWords.readWithTheSameStick}</Over>}
      <Errors sentences={refusals.slice(1)} />
      <Button kind="main" atPot type="submit">
        {potWords.setThisMark}
      </Button>
    </TypedForm>
  );

  function foresee(of: BatchHere, wanted: FallTarget): { litres: number; words: string } | null {
    const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres;
    try {
      const mark = fallTo(state.setup, state.pot, wanted, from ?? potLitres(state.pot));
      if (mark.kind !== 'mass' || mark.kg <= 0) return null;
      const when = forecastPot(state.setup, state.pot, mark).p50Ms;
      const there = of.pot.nowMs;
      const words =
        when === null
          ? potWords.notWithin12HoursAs
          : when <= there
            ? potWords.andItIsThereAlready
            : potWords.aboutAsItIs(hourMinute(when, of.kitchen.zone));
      return { litres: Math.max(0, litresAtMass(state.pot, mark.kg)), words };
    } catch (error) {
      if (error instanceof RangeError) return null;
      throw error;
    }
  }
}

function targetOf(kind: FallTarget['kind'], value: number): FallTarget {
  switch (kind) {
    case 'gone':
      return { kind, fraction: value / 100 };
    case 'litres':
      return { kind, litres: value };
    case 'depth':
      return { kind, cm: value };
    case 'weight':
      return { kind, kg: value };
    case 'brix':
      return { kind, brix: value };
    case 'salt':
      return { kind, percent: value };
    case 'band':
      return { kind, band: value };
  }
}
