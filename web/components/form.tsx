import { createFormHook, createFormHookContexts, revalidateLogic } from '@tanstack/react-form';
import { type ReactNode, useRef } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, typedNumber } from '../../contract';
import { space } from '../theme/tokens';
import { Field } from './field';
import { SmallField } from './small-field';

/**
 * Forms: what is typed is text until it is kept, and is then held against the same schemas as what crosses the wire.
 * Figures are typed into text fields: a number field of the browser's language reads “0,4” as 4, and moves what is out of
 * its range into it without a word. `typedNumber` reads a comma as a cook means it, and a wrong figure gets a sentence.
 */
const { fieldContext, formContext, useFieldContext } = createFormHookContexts();

interface Shown {
  label: string;
  unit?: string;
  /** what is wrong with it beside what the schema says: of the server's */
  refused?: string | null;
}

/** A figure or a word at the pot. */
function AtPot({ refused, ...of }: Shown & { isText?: boolean; autoFocus?: boolean }) {
  const { state, handleChange } = useFieldContext<string>();
  const error = wrong(state.meta.errors) ?? refused ?? null;
  return <Field {...of} value={state.value} onChange={handleChange} error={error} />;
}

/** A figure, a word or a page in the office. */
function InOffice({
  refused,
  ...of
}: Shown & {
  isLabelHidden?: boolean;
  rows?: number;
  inputMode?: 'text' | 'decimal';
  placeholder?: string;
  suggestions?: readonly string[];
}) {
  const { state, handleChange } = useFieldContext<string>();
  const error = wrong(state.meta.errors) ?? refused ?? null;
  return <SmallField {...of} value={state.value} onChange={handleChange} error={error} />;
}

const { useAppForm } = createFormHook({
  fieldContext,
  formContext,
  fieldComponents: { AtPot, InOffice },
  formComponents: {},
});

/**
 * A form of typed text.
 *
 * @param of.first what stands in it when it opens
 * @param of.schema what it must be, and what it comes to
 * @param of.keep what is done with that; nothing is while something is wrong
 */
export function useTypedForm<Typed extends object, Meant>(of: {
  first: Typed;
  schema: v.GenericSchema<Typed, Meant>;
  keep: (meant: Meant) => unknown;
}) {
  const keep = useOneAtATime(of.keep);
  return useAppForm({
    defaultValues: of.first,
    // said when it is to be kept; from then on what is mended is seen as it is typed
    validationLogic: revalidateLogic({ mode: 'submit', modeAfterSubmission: 'change' }),
    validators: { onDynamic: of.schema },
    canSubmitWhenInvalid: true,
    onSubmit: async ({ value }) => {
      await keep(v.parse(of.schema, value));
    },
  });
}

/** An act that is not done again while it is being done: a second press in haste says nothing new. */
export function useOneAtATime<Said extends unknown[]>(
  act: (...said: Said) => unknown,
): (...said: Said) => Promise<void> {
  const isBusy = useRef(false);
  return async (...said) => {
    if (isBusy.current) return;
    isBusy.current = true;
    try {
      await act(...said);
    } finally {
      isBusy.current = false;
    }
  };
}

const Stack = styled.form`
  display: grid;
  gap: ${space.m};
`;

/** Its fields, kept by Enter or by its button. */
export function TypedForm({
  form,
  onSubmit,
  children,
}: {
  form: { handleSubmit: () => unknown };
  /** what else is looked at when it is to be kept */
  onSubmit?: () => void;
  children: ReactNode;
}) {
  return (
    <Stack
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit?.();
        void form.handleSubmit();
      }}
    >
      {children}
    </Stack>
  );
}

/** A figure as a cook types it, held against a schema of numbers; its sentence says what was typed. */
export const figure = <S extends v.GenericSchema<number, number>>(schema: S) =>
  v.pipe(
    v.string(),
    v.transform((text): number => typedNumber(text) ?? (text.trim() as unknown as number)),
    schema,
  );

/** A figure whose range is for the rules to say: here it has only to be a number. */
export const anyFigure = (name: string, unit: string) => figure(numberField(name, -1e12, 1e12, unit));

/** The same where nothing may be typed: undefined then. */
export const figureOrNone = <S extends v.GenericSchema<number, number>>(schema: S) =>
  v.pipe(
    v.string(),
    v.transform((text): number | undefined =>
      text.trim() === '' ? undefined : (typedNumber(text) ?? (text.trim() as unknown as number)),
    ),
    v.optional(schema),
  );

/** Words held against a schema, spaces around them left out. */
export const typedWords = <S extends v.GenericSchema<string, string>>(schema: S) =>
  v.pipe(v.string(), v.trim(), schema);

/** What schemas say of a field, each once. */
export function sentencesIn(errors: readonly unknown[]): string[] {
  const found = errors.flatMap((error) =>
    typeof error === 'object' && error !== null && 'message' in error ? [String(error.message)] : [],
  );
  return [...new Set(found)];
}

const wrong = (errors: readonly unknown[]): string | null => sentencesIn(errors)[0] ?? null;
