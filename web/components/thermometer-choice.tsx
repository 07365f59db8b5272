import { useState } from 'react';
import type { KitchenView } from '../../contract';
import { thermometerVerdict } from '../../core/kitchen';
import { coolingWords } from '../words';
import { Choice } from './choice';
import { Caution } from './text';

/** Which thermometer: the one that is good for the record first. */
export function useThermometer(kitchen: KitchenView) {
  const all = thermometersOf(kitchen);
  return useState((all.find((one) => isForRecords(one, kitchen)) ?? all[0])?.id ?? '');
}

const thermometersOf = ({ instruments }: Pick<KitchenView, 'instruments'>) =>
  instruments.filter((one) => one.kind === 'thermometer');

/** Its last check on ice and at the boil was good. */
export function isForRecords(
  { checked }: Pick<KitchenView['instruments'][number], 'checked'>,
  { altitudeM }: Pick<KitchenView, 'altitudeM'>,
): boolean {
  return checked !== null && thermometerVerdict(checked, altitudeM).isForRecords;
}

/** The kitchen's thermometers, and a word where the chosen one is not good for the record. */
export function ThermometerChoice({
  kitchen,
  value,
  onChange,
}: {
  kitchen: KitchenView;
  value: string;
  onChange: (id: string) => void;
}) {
  const all = thermometersOf(kitchen);
  const chosen = all.find((one) => one.id === value);
  if (all.length === 0) return null;
  return (
    <>
      <Choice
        label={coolingWords.withWhich}
        value={value}
        options={[
          ...all.map(({ id, name }) => ({ value: id, text: name })),
          { value: '', text: coolingWords.anyThermometer },
        ]}
        onChange={onChange}
      />
      {chosen && !isForRecords(chosen, kitchen) && <Caution>{coolingWords.notChecked(chosen.name)}</Caution>}
    </>
  );
}
