import * as v from 'valibot';

/** One thing wrong with what was sent: which field, and a sentence about it. */
export interface FieldError {
  field: string;
  sentence: string;
  /** which rule refused it, and its quantities; absent where the form itself is wrong */
  code?: string;
  values?: Readonly<Record<string, unknown>>;
}

/** An error as RFC 9457 problem JSON. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  errors: FieldError[];
}

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: FieldError[] };

/** Holds something against a schema; never throws. */
export function check<T>(schema: v.GenericSchema<unknown, T>, input: unknown): Checked<T> {
  const result = v.safeParse(schema, input);
  if (result.success) return { ok: true, value: result.output };
  return {
    ok: false,
    errors: result.issues.map((issue) => ({
      field: v.getDotPath(issue) ?? 'body',
      sentence: sentenceOf(issue),
    })),
  };
}

/** A missing or a strange field has no sentence of its own in the schema. */
function sentenceOf(issue: v.BaseIssue<unknown>): string {
  const isObject = issue.type === 'object' || issue.type === 'strict_object';
  const key = issue.path?.at(-1)?.key;
  if (!isObject || key === undefined) return issue.message;
  return issue.expected === 'never' ? `“${String(key)}” is not known here.` : `“${String(key)}” is missing.`;
}
