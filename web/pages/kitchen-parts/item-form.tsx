import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { check, ITEM_SCHEMAS, type ItemKind, type ItemOf, typedNumber } from '../../../contract';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { useOneAtATime } from '../../components/form';
import { SmallField } from '../../components/small-field';
import { Errors, Over, Soft } from '../../components/text';
import { Tick } from '../../components/tick';
import { ApiError } from '../../data/api';
import { useKitchenChange } from '../../data/queries';
import { space } from '../../theme/tokens';
import { dayName, kitchenWords } from '../../words';
import { useTouched } from './use-touched';

/** One field of a thing: how it is asked for. Figures and words are typed, the rest is pressed. */
export type FieldSpec = { name: string; label: string; first?: string | boolean } & (
  | { as: 'text'; placeholder?: string }
  | { as: 'figure'; unit: string; isOptional?: boolean }
  | { as: 'choice'; options: readonly { value: string; text: string }[] }
  | { as: 'flag' }
  | { as: 'days' }
);

/** What stands in the fields: text as typed, a press, or days of the week. */
type Typed = Record<string, string | boolean | readonly number[]>;

const Fields = styled.form`
  display: grid;
  gap: ${space.m};
  max-width: 460px;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s};
  align-items: center;
`;

const ALL_DAYS = [1, 2, 3, 4, 5, 6, 7];

/** A thing of the kitchen, new or as it stands; what is wrong stands beside its field. */
export function ItemForm<K extends ItemKind>({
  kind,
  fields,
  item,
  locale,
  onDone,
}: {
  kind: K;
  fields: readonly FieldSpec[];
  item: ItemOf<K> | null;
  locale: string;
  onDone: () => void;
}) {
  const [typed, setTyped] = useState<Typed>(() => firstTyped(fields, item));
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [id] = useState(() => item?.id ?? uuid());
  const change = useKitchenChange();
  const set = (name: string, value: Typed[string]) => setTyped((before) => ({ ...before, [name]: value }));

  const keep = useOneAtATime(async () => {
    const made = { id, ...meant(fields, typed) };
    const held = check(ITEM_SCHEMAS[kind], made);
    if (!held.ok) {
      setErrors(Object.fromEntries(held.errors.map((one) => [one.field, one.sentence])));
      return;
    }
    try {
      await change.mutateAsync({ change: 'save', kind, item: held.value });
      onDone();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(
        error.errors.length > 0
          ? Object.fromEntries(error.errors.map((one) => [one.field.replace('item.', ''), one.sentence]))
          : { line: error.message },
      );
    }
  });
  const touched = useTouched(kind, id);
  const known = new Set(fields.map((field) => field.name));
  const rest = Object.entries(errors).flatMap(([name, sentence]) => (known.has(name) ? [] : [sentence]));
  return (
    <Fields
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      {fields.map((field) => (
        <Asked
          key={field.name}
          field={field}
          value={typed[field.name]!}
          error={errors[field.name] ?? null}
          locale={locale}
          onChange={(value) => set(field.name, value)}
        />
      ))}
      {item && touched && <Soft>{touched}</Soft>}
      <Errors sentences={rest} />
      <Row>
        <Button kind="main" type="submit">
          {kitchenWords.save}
        </Button>
        <Button kind="quiet" onPress={onDone}>
          {kitchenWords.cancel}
        </Button>
      </Row>
    </Fields>
  );
}

function Asked({
  field,
  value,
  error,
  locale,
  onChange,
}: {
  field: FieldSpec;
  value: Typed[string];
  error: string | null;
  locale: string;
  onChange: (value: Typed[string]) => void;
}) {
  switch (field.as) {
    case 'text':
      return <SmallField label={field.label} value={String(value)} onChange={onChange} error={error} />;
    case 'figure':
      return (
        <SmallField
          label={field.isOptional ? kitchenWords.ifYouKnowIt(field.label) : field.label}
          unit={field.unit}
          inputMode="decimal"
          value={String(value)}
          onChange={onChange}
          error={error}
        />
      );
    case 'choice':
      return (
        <div>
          <Choice label={field.label} value={String(value)} options={field.options} onChange={onChange} />
          <Errors sentences={error ? [error] : []} />
        </div>
      );
    case 'flag':
      return (
        <Tick isOn={value === true} onChange={onChange}>
          {field.label}
        </Tick>
      );
    case 'days': {
      const days = value as readonly number[];
      return (
        <div>
          <Over>{field.label}</Over>
          <Row role="group" aria-label={field.label}>
            {ALL_DAYS.map((day) => (
              <Tick
                key={day}
                isOn={days.includes(day)}
                onChange={(isOn) => onChange(isOn ? [...days, day] : days.filter((one) => one !== day))}
              >
                {dayName(day, locale)}
              </Tick>
            ))}
          </Row>
          <Errors sentences={error ? [error] : []} />
        </div>
      );
    }
  }
}

function firstTyped(fields: readonly FieldSpec[], item: object | null): Typed {
  const known = (item ?? {}) as Record<string, unknown>;
  return Object.fromEntries(
    fields.map((field): [string, Typed[string]] => {
      const value = known[field.name];
      if (field.as === 'days') return [field.name, (value as number[] | undefined) ?? ALL_DAYS];
      if (field.as === 'flag') return [field.name, (value as boolean | undefined) ?? field.first === true];
      return [field.name, value === undefined ? String(field.first ?? '') : String(value)];
    }),
  );
}

/** What was typed, as it is meant: a figure that cannot be read stays text, and its schema says so. */
function meant(fields: readonly FieldSpec[], typed: Typed): object {
  return Object.fromEntries(
    fields.flatMap((field): [string, unknown][] => {
      const value = typed[field.name];
      if (field.as === 'figure') {
        const text = String(value).trim();
        if (text === '' && field.isOptional) return [];
        return [[field.name, typedNumber(text) ?? text]];
      }
      if (field.as === 'days') return (value as number[]).length === 7 ? [] : [[field.name, value]];
      return [[field.name, value]];
    }),
  );
}
