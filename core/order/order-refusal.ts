import { CannotCook, type CookingTrouble } from '../plan';

/** Why an order cannot be planned: which field, and the quantities of it. The words are made at the edge. */
export type OrderRefusal = { field: string } & (
  | { code: 'unknownPot'; potId: string }
  | { code: 'unknownBurner'; burnerId: string }
  | { code: 'potNotOnBurner'; potName: string; burnerName: string }
  /** where it stops, or the model's own reason, naming the argument and its value */
  | { code: 'cannotBeCooked'; why: string; trouble?: CookingTrouble }
);

/** An error of the planning as a refusal; any other error is thrown on. */
export function cannotBeCooked(
  field: string,
  error: unknown,
): Extract<OrderRefusal, { code: 'cannotBeCooked' }> {
  if (!(error instanceof RangeError)) throw error;
  return {
    field,
    code: 'cannotBeCooked',
    why: error.message,
    ...(error instanceof CannotCook ? { trouble: error.trouble } : {}),
  };
}
