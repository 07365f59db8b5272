import { useState } from 'react';
import type { KitchenView } from '../../contract';
import { rememberWho, whoHere } from '../data/who-here';
import { recordWords } from '../words';
import { Choice } from './choice';

/** Who looks at the thermometer: one of those who work here, remembered at this tablet; empty where nobody says. */
export function useWhoLooked({ people }: Pick<KitchenView, 'people'>) {
  return useState(() => {
    const last = whoHere('looker');
    return people.some((one) => one.name === last) ? last : '';
  });
}

/** The people of the kitchen to choose from; nothing where it has named none. */
export function WhoLooked({
  kitchen,
  value,
  onChange,
}: {
  kitchen: Pick<KitchenView, 'people'>;
  value: string;
  onChange: (name: string) => void;
}) {
  if (kitchen.people.length === 0) return null;
  return (
    <Choice
      label={recordWords.whoLooked}
      value={value}
      options={[
        ...kitchen.people.map(({ name }) => ({ value: name, text: name })),
        { value: '', text: recordWords.nobodySays },
      ]}
      onChange={(name) => {
        rememberWho('looker', name);
        onChange(name);
      }}
    />
  );
}
