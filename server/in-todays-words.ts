import type * as v from 'valibot';
import { writtenSchema } from '../contract';
import { UnknownVersion, type Written } from '../core/log';
import { checked, ProblemError } from './problem';

/**
 * What was said, of whatever version, in the words of today.
 *
 * @param upcast brings it there; throws UnknownVersion
 * @throws ProblemError 400 for what is not known here, or does not pass its schema
 */
export function inTodaysWords<T>(
  body: unknown,
  upcast: (written: Written) => unknown,
  schema: v.GenericSchema<unknown, T>,
): T {
  const written = checked(writtenSchema, body);
  let today: unknown;
  try {
    today = upcast(written);
  } catch (error) {
    if (!(error instanceof UnknownVersion)) throw error;
    const sentence =
      written.v === 1
        ? `“${written.type}” is not an event Slow Pot knows.`
        : `“${written.type}”, version ${written.v}, is not known here: it is of a newer Slow Pot.`;
    throw new ProblemError(400, 'Something in it is not right', [{ field: 'type', sentence }]);
  }
  return checked(schema, today);
}
